import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test, type Workshop } from './fixtures.ts';

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });

/** A scenario as a lead would have it in a file. */
const scenario = (faults: readonly string[], more: object = {}) => ({
  name: 'scenario.json',
  mimeType: 'application/json',
  buffer: Buffer.from(
    JSON.stringify({
      format: 'unhurried-wrench-scenario',
      version: 1,
      scenario: {
        group: 'cable',
        faults,
        seed: 'a story',
        difficulty: 1,
        teaches: 'What it is meant to teach.',
        tried: [],
        ...more,
      },
    }),
  ),
});

/** Takes a scenario in as a lead and begins it as whoever is at the bench. @returns the id of the practice job */
async function begin(page: Page, workshop: Workshop, faults: readonly string[], more: object = {}): Promise<string> {
  await workshop.open(page, '/practice', 'isla');
  await page.locator('input[type="file"]').setInputFiles(scenario(faults, more));
  await expect(page.getByText('scenario.json is here.')).toBeVisible();
  await page.getByRole('button', { name: /What it is meant to teach/ }).click();
  await page.waitForURL(/\/practice\/at\/[^/]+\/jobs\/[^/]+\/complaint/);
  return /practice\/at\/([^/]+)/.exec(page.url())![1]!;
}
const to = async (page: Page, id: string, stage: string): Promise<void> => {
  const { origin } = new URL(page.url());
  await page.goto(`${origin}/practice/at/${id}/jobs/${id}/${stage}`);
};
/** Looks at something, and says what it is. */
async function look(page: Page, name: string, outcome: string | null): Promise<void> {
  await button(page, new RegExp(`^${name}`)).click();
  await expect(page.getByRole('heading', { level: 3, name })).toBeVisible();
  if (outcome === null) await button(page, 'Record the reading').click();
  else {
    await page.getByRole('radio', { name: outcome, exact: true }).check();
    await button(page, 'Record').click();
  }
  await expect(page.getByRole('heading', { name: 'What do you look at?' })).toBeVisible();
}
/** Does something on the job in its world, on top of all that was done. */
async function inWorld(page: Page, workshop: Workshop, id: string, type: string, data: object): Promise<void> {
  const api = `${workshop.address}/api/practice/worlds/${id}/jobs/${id}`;
  const read = await page.request.get(`${api}?since=0`);
  const { version } = (await read.json()) as { version: number };
  const reply = await page.request.post(`${api}/commands`, {
    data: {
      id: crypto.randomUUID(),
      at: read.headers()['x-shop-time'],
      by: 'isla',
      seen: version,
      type,
      data,
      late: 'written-up',
    },
  });
  expect(reply.ok(), await reply.text()).toBe(true);
}
async function sayItWas(page: Page, cause: RegExp): Promise<void> {
  await button(page, /^Say what it was/).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('combobox', { name: 'It was' }).fill('');
  await sheet.getByRole('combobox', { name: 'It was' }).pressSequentially(cause.source.slice(0, 12));
  await page.getByRole('option', { name: cause }).first().click();
  await sheet.getByRole('button', { name: 'Say so, and end it' }).click();
  await page.waitForURL(/\/practice\/jobs\/[^/]+\/review/);
}

test('a sticking valve is found by looking, cured on the bench, and reviewed; nothing of it is in the shop', async ({
  page,
  workshop,
}) => {
  const eventsBefore = workshop.rows('SELECT count(*) AS n FROM event');
  const id = await begin(page, workshop, ['valve-stuck']);

  await test.step('it is a world that nobody takes for the shop', async () => {
    await expect(page.getByText('PRACTICE 1').first()).toBeVisible();
    await expect(page.getByText('Nothing here is booked')).toBeVisible();
    await expect(page.getByText('practising')).toBeVisible();
  });
  await test.step('the customer answers what is asked', async () => {
    await page.getByLabel('Ask the customer').selectOption({ index: 3 });
    await button(page, 'Ask').click();
    await expect(page.getByRole('log', { name: 'What the customer said' }).locator('dd')).toHaveCount(1);
  });
  await to(page, id, 'diagnose');
  await test.step('the engine is started, and shows how it runs', async () => {
    await button(page, 'Run').click();
    await expect(page.getByText('It is turned over.')).toBeVisible();
    await expect(async () => {
      const rpm = await page.getByRole('region', { name: 'The simulated vehicle' }).locator('b').first().innerText();
      expect(Number(rpm)).toBeGreaterThan(400);
    }).toPass();
    await button(page, 'Off').click();
  });
  await test.step('what is seen is judged by the person, and the way is counted', async () => {
    await expect(page.getByText('Nothing was looked at yet.')).toBeVisible();
    await look(page, 'Valve moves with key on', 'Clicks, does not move');
    const way = page.getByRole('list', { name: 'Your way so far' });
    await expect(way).toContainText('Clicks, does not move');
    await expect(way).not.toContainText('yours to say');
  });
  await test.step('tags are laid, and the program’s ranking is asked for once', async () => {
    await page.getByRole('combobox', { name: 'A cause' }).pressSequentially('idle valve st');
    await page.getByRole('option', { name: /Idle valve sticks/ }).click();
    for (let tag = 0; tag < 6; tag += 1) await button(page, /One tag more/).click();
    await expect(page.getByText('3 are left.')).toBeVisible();
    await expect(page.getByText('What the program believes')).toHaveCount(0);
    await button(page, 'Ask for it all the same').click();
    await expect(page.getByText('What the program believes')).toBeVisible();
    await expect(page.getByText('Asked once.')).toBeVisible();
  });
  await test.step('it is decided, and the valve is cleaned on the bench', async () => {
    await to(page, id, 'decide');
    await page.getByRole('radio', { name: /Clean the idle air valve on the bench/ }).check();
    await page.getByRole('textbox', { name: 'Why' }).fill('It clicks and does not turn');
    await button(page, 'Decide').click();
    await expect(page.getByRole('status').filter({ hasText: 'Decided: clean on the bench' })).toBeVisible();
    await inWorld(page, workshop, id, 'do-pass', {
      id: 'pass-1',
      unit: 'idle-valve',
      kind: 'brush',
      substance: 'throttle-cleaner',
      how: 'brush',
      form: 'rotary-valve',
      because: 'as practised',
    });
  });
  await test.step('it is said what it was, and both ways stand side by side', async () => {
    await sayItWas(page, /Idle valve sticks/);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^You found it: idle valve sticks/);
    await expect(page.getByText('Nothing of it is left.')).toBeVisible();
    await expect(page.getByTestId('sum')).toContainText('min', { timeout: 20_000 });
    await expect(page.getByRole('img', { name: /Your way, \d+ min/ })).toBeVisible();
    await expect(page.getByText('asked once')).toBeVisible();
  });
  expect(workshop.rows('SELECT count(*) AS n FROM event')).toEqual(eventsBefore);
  await page.goto(`${workshop.address}/jobs`);
  await expect(page.getByText('PRACTICE 1')).toHaveCount(0);
});

test('a part that is bought on a guess is counted, and the fault is still there', async ({ page, workshop }) => {
  const id = await begin(page, workshop, ['intake-leak']);
  await to(page, id, 'diagnose');
  await expect(page.getByRole('heading', { name: 'What do you look at?' })).toBeVisible();
  await inWorld(page, workshop, id, 'replace-unit', {
    id: 'new-1',
    unit: 'idle-valve',
    kind: 'idle-valve',
    place: 'only',
    oldUnitId: 'practice-iv',
    oldPartNumber: 'PX-IV',
    fitted: {
      unitId: 'fresh-valve',
      partNumber: 'PX-IV',
      origin: 'new',
      features: { portMm: 14, gasket: 'square', pins: 3, drive: 'as drawn', mark: 'P' },
      priceMinor: 14_500,
      supplier: '',
      warrantyMonths: 24,
    },
    failCode: 'F-90',
    failNote: 'a guess',
    anyway: '',
  });
  await sayItWas(page, /Idle valve sticks/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^It was .*intake/i);
  await expect(page.getByText('It is as it was when it came in.')).toBeVisible();
  const counted = page.getByRole('complementary', { name: 'Counted along the way' });
  await expect(counted.getByText('Parts fitted for nothing')).toBeVisible();
  await expect(counted.locator('dd').nth(3)).toHaveText(/153\.00/, { timeout: 20_000 });
});

test('a finger at the plate stops the key, and a rag that is left in makes it run badly and is found out', async ({
  page,
  workshop,
}) => {
  const id = await begin(page, workshop, ['deposit'], { group: 'electronic' });
  await to(page, id, 'diagnose');
  await look(page, 'Duct off, look at the plate', 'Dark ring or crust at the edge');
  const vehicle = page.getByRole('region', { name: 'The simulated vehicle' });
  await vehicle.getByRole('button', { name: 'Hand at the plate' }).click();
  await expect(vehicle.getByRole('status')).toHaveText('Your finger lies at the plate.');
  await vehicle.getByRole('button', { name: 'On', exact: true }).click();
  await expect(vehicle.getByRole('status')).toContainText('Stopped: a finger lies at the plate.');
  await vehicle.getByRole('button', { name: 'Hand away' }).click();
  await vehicle.getByRole('button', { name: 'Rag into the inlet' }).click();
  await expect(vehicle.getByRole('status')).toHaveText('The rag lies in the inlet.');
  // The page is closed and opened again: the rag is still there.
  await page.reload();
  await expect(vehicle.getByRole('button', { name: 'Rag out' })).toBeVisible();
  await vehicle.getByRole('button', { name: 'Run' }).click();
  await expect(vehicle.getByRole('status')).toHaveText('It is turned over.');
  await sayItWas(page, /Deposit/);
  await expect(page.getByText('A rag is in the inlet.')).toBeVisible();
  const counted = page.getByRole('complementary', { name: 'Counted along the way' });
  await expect(counted.locator('dd').nth(1)).toHaveText('1');
});

test('a past job of the shop becomes a practice vehicle by one tap, without anything of it, and a lead countersigns', async ({
  page,
  workshop,
  browser,
}) => {
  const [past] = workshop.rows<{ id: string; plate: string }>(
    `SELECT job_id AS id, json_extract(data, '$.vehicle.plate') AS plate FROM event
     WHERE type = 'job-opened' AND job_id IN (SELECT job_id FROM event WHERE type = 'belief-kept') ORDER BY job_id DESC`,
  );
  await workshop.open(page, `/jobs/${past!.id}/hand-over`, 'isla');
  await button(page, 'Let others practise it').click();
  await page.getByRole('link', { name: 'It can be practised' }).click();
  const shelf = page.getByRole('listitem').filter({ hasText: 'From a job of this shop' });
  await expect(shelf).toBeVisible();
  await expect(page.getByText(past!.plate)).toHaveCount(0);

  const other = await browser.newContext();
  const theirs = await other.newPage();
  await workshop.open(theirs, '/practice', 'wen');
  // To others it tells nothing of what is hidden.
  await theirs.getByRole('button', { name: /What it teaches is told/ }).click();
  await theirs.waitForURL(/\/practice\/at\//);
  await expect(theirs.getByText('PRACTICE 1').first()).toBeVisible();
  await expect(theirs.getByText(past!.plate)).toHaveCount(0);
  await sayItWas(theirs, /Fuel/);
  await expect(theirs.getByText('not yet read')).toBeVisible();
  await expect(theirs.getByRole('button', { name: 'I have read it' })).toHaveCount(0);
  await other.close();

  await page.goto(`${workshop.address}/practice`);
  await page.getByRole('link', { name: /Wen: practice 1/ }).click();
  await button(page, 'I have read it').click();
  await expect(page.getByText('not yet read')).toHaveCount(0);
});

test('a drill starts within two taps, judges with reasons, and comes back when it is due', async ({
  page,
  workshop,
}) => {
  await workshop.open(page, '/bay', 'wen');
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Practice' }).click();
  await page.getByRole('link', { name: /What is still in/ }).click();
  for (let task = 0; task < 5; task += 1) {
    await page.getByRole('radio').first().check();
    await button(page, 'That is it').click();
    await expect(page.getByText(/Still in is /)).toBeVisible();
    await button(page, task < 4 ? /^Next/ : /^See how it went/).click();
  }
  await expect(page.getByRole('status')).toHaveText(/^\d of 5$/);
  await page.getByRole('link', { name: 'Back to practice' }).click();
  await expect(
    page.getByRole('complementary', { name: 'Yours' }).getByRole('link', { name: 'What is still in' }),
  ).toBeVisible();
});

test('every page of a practice job is accessible in both themes, and fits a tablet and a phone', async ({
  page,
  workshop,
}) => {
  test.setTimeout(300_000);
  const id = await begin(page, workshop, ['foreign']);
  const looked: string[] = [];
  const check = async (name: string): Promise<void> => {
    for (const theme of ['light', 'dark']) {
      await page.evaluate((chosen) => document.documentElement.setAttribute('data-theme', chosen), theme);
      const { violations } = await new AxeBuilder({ page }).setLegacyMode(true).withTags(RULES).analyze();
      looked.push(
        ...violations.map((each) => `${name}, ${theme}: ${each.id} ${each.nodes[0]?.target.join(' ') ?? ''}`),
      );
    }
    for (const width of [834, 390]) {
      await page.setViewportSize({ width, height: 800 });
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      if (over > 0) looked.push(`${name} is ${over} px too wide at ${width}`);
    }
    await page.setViewportSize({ width: 1280, height: 800 });
  };
  for (const stage of ['complaint', 'decide', 'strip', 'clean', 'inspect', 'relearn']) {
    await to(page, id, stage);
    await expect(page.getByRole('region', { name: 'The simulated vehicle' })).toBeVisible();
    await check(stage);
  }
  await to(page, id, 'diagnose');
  await expect(page.getByRole('heading', { name: 'What do you look at?' })).toBeVisible();
  await check('diagnose, choosing');
  for (const [name, outcome] of [
    ['Duct off, look at the plate', 'Something lies there'],
    ['Light round the closed plate', 'Wide on one side'],
    ['Move the plate by its linkage', 'Drags or does not return'],
  ] as const) {
    await button(page, new RegExp(`^${name}`)).click();
    await expect(page.getByRole('heading', { level: 3, name })).toBeVisible();
    await check(name);
    await page.getByRole('radio', { name: outcome, exact: true }).check();
    await button(page, 'Record').click();
  }
  await sayItWas(page, /Foreign object/);
  await expect(page.getByTestId('sum')).toBeVisible({ timeout: 20_000 });
  await check('review');
  expect(looked).toEqual([]);
});
