import type { Page } from '@playwright/test';
import { expect, heldForCoolantAlone, test } from './fixtures.ts';

const count = (page: Page, pattern: RegExp): Promise<number> => page.getByText(pattern).count();

test('strip and refit by keyboard alone', async ({ page, workshop }) => {
  const rows = (sql: string) => workshop.rows<{ n: number }>(sql)[0]?.n;
  await workshop.open(page, '/bay');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('seven vehicles in');
  // The farm utility stands at Prepare with nothing off; from the Bay by Tab and Enter, then along the route by ].
  const line = page.getByRole('link', { name: /OT 551/ }).first();
  await line.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Prepare' })).toBeVisible();
  await page.keyboard.press(']');
  await expect(page.getByText('26 still on.')).toBeVisible();

  for (let presses = 0; presses < 60 && (await count(page, /still on\. Tap|An opening gapes/)) > 0; presses += 1)
    await page.keyboard.press('Space');
  await expect(page.getByText('Everything listed is off.')).toBeVisible();
  await expect
    .poll(() =>
      rows("SELECT count(*) AS n FROM strip_item WHERE job_id = 'job-231' AND state = 'off' AND origin = 'procedure'"),
    )
    .toBe(26);

  await page.keyboard.press('u');
  await expect(page.getByText('1 still on.').or(page.getByText('An opening gapes'))).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Everything listed is off.')).toBeVisible();

  // Back at Prepare the gasket has come; then on to refit.
  await page.keyboard.press('[');
  await page.getByRole('group', { name: 'Body gasket' }).getByRole('button', { name: 'Here' }).press('Enter');
  for (let stage = 0; stage < 5; stage += 1) await page.keyboard.press(']');
  await expect(page.getByText(/to go back\. Start at the foot/)).toBeVisible();
  const benchDone = page.getByRole('button', { name: 'Bench work is finished' });
  for (let presses = 0; presses < 90 && (await benchDone.count()) === 0; presses += 1)
    await page.keyboard.press('Space');
  await benchDone.press('Enter');
  // The button is gone with its reason; keys go on from the sheet.
  await page.getByRole('region', { name: 'Refit' }).focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowDown');
  for (let presses = 0; presses < 90 && (await count(page, /to go back\. Start/)) > 0; presses += 1)
    await page.keyboard.press('Space');
  await expect(page.getByText('Everything is back.')).toBeVisible();
  for (let presses = 0; presses < 12 && (await page.getByTestId('act').count()) > 0; presses += 1)
    await page.keyboard.press('Space');
  await heldForCoolantAlone(page);
  await expect
    .poll(() => rows("SELECT count(*) AS n FROM strip_item WHERE job_id = 'job-231' AND state = 'off'"))
    .toBe(0);
});

test('hands busy both ways: Space, Page Down, Not yet and Undo', async ({ page, workshop }) => {
  await workshop.open(page, '/jobs/job-231/hands/strip');
  await expect(page.getByText('Battery negative', { exact: true })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Engine cover', { exact: true })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByText('Air duct, two clamps', { exact: true }).first()).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText(/1 · comes off/)).toBeVisible();
  await page.goto(`${workshop.address}/jobs/job-230/hands/refit`);
  await expect(page.getByText('Flange bolt 4, lower left')).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByText('Flange bolt 4, lower left')).toBeHidden();
  await expect
    .poll(
      () =>
        workshop.rows<{ n: number }>(
          "SELECT count(*) AS n FROM torque_result WHERE job_id = 'job-230' AND item_id = 'flange' AND verdict = 'in band'",
        )[0]?.n,
    )
    .toBe(4);
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/\/refit$/);
});

test('keys show on their sheet, rest while typing, and go places', async ({ page, workshop }) => {
  await workshop.open(page, '/jobs/job-230/refit');
  await expect(page.getByTestId('act')).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Undo the last action');
  await page.keyboard.press('Escape');
  await page.keyboard.press('k');
  await page.getByLabel('Note', { exact: true }).fill('u and g are letters here');
  await page.keyboard.press('Escape');
  const before = await page.evaluate(() => document.documentElement.dataset.theme);
  await page.keyboard.press('m');
  await expect.poll(() => page.evaluate(() => document.documentElement.dataset.theme)).not.toBe(before);
  await page.keyboard.press('/');
  await page.getByLabel(/Plate, VIN, customer/).fill('ot551');
  const found = page.getByRole('dialog').getByRole('button', { name: /^OT 551 · Ostrea Till/ });
  await expect(found).toBeVisible();
  for (let step = 0; step < 6 && !(await found.evaluate((each) => each === document.activeElement)); step += 1)
    await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Ostrea Till, farm utility' })).toBeVisible();
  await page.keyboard.press('g');
  await page.keyboard.press('s');
  await expect(page.getByRole('heading', { name: 'Stock' })).toBeVisible();
});

test('the next step is within ten Tabs of the start of the page', async ({ page, workshop }) => {
  await workshop.open(page, '/jobs/job-230/refit');
  await expect(page.getByTestId('act')).toBeVisible();
  let presses = 0;
  for (; presses < 9; presses += 1) {
    await page.keyboard.press('Tab');
    if (await page.evaluate(() => document.activeElement?.textContent?.includes('To the next step') ?? false)) break;
  }
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('act')).toBeFocused();
  // The stages are one stop of the Tabs; left and right go along them.
  await page.getByRole('link', { name: /^Refit/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('link', { name: /^Coolant/ })).toBeFocused();
});

test('zoomed twice, refit still shows five rows and hands busy its figure', async ({ page, workshop }) => {
  await page.setViewportSize({ width: 640, height: 400 });
  await workshop.open(page, '/jobs/job-230/refit');
  const tags = page.getByRole('list', { name: 'Goes back, read from the foot upward' }).getByRole('button');
  await expect(tags.first()).toBeVisible();
  const seen = await page.evaluate(async () => {
    const list = document.querySelector('ol[aria-label^="Goes back"]')!;
    list.scrollIntoView({ block: 'start' });
    await new Promise((painted) => requestAnimationFrame(() => requestAnimationFrame(painted)));
    const bar = document.querySelector('.sticky.bottom-0')?.getBoundingClientRect().top ?? innerHeight;
    return [...list.querySelectorAll('button')].filter((tag) => {
      const { top, bottom } = tag.getBoundingClientRect();
      const head = document.querySelector('nav[aria-label="Places"]')!.getBoundingClientRect().bottom;
      return top >= head - 1 && bottom <= bar + 1;
    }).length;
  });
  expect(seen).toBeGreaterThanOrEqual(5);
  for (const size of [
    { width: 640, height: 400 },
    { width: 844, height: 390 },
  ]) {
    await page.setViewportSize(size);
    await page.goto(`${workshop.address}/jobs/job-230/hands/refit`);
    for (const words of ['Flange bolt 4, lower left', '75', 'Done'])
      await expect(page.getByText(words, { exact: true }).first()).toBeInViewport({ ratio: 1 });
  }
});
