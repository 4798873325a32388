import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures.ts';

test.use({ empty: true });

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'];
const clean = async (page: Page): Promise<void> =>
  expect((await new AxeBuilder({ page }).withTags(TAGS).analyze()).violations).toEqual([]);
const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
const radio = (page: Page, name: string) => page.getByRole('radio', { name, exact: true });

test('an empty shop: a name, a wrench, a vehicle nobody knows, and what comes off it without a procedure', async ({
  page,
  workshop,
}) => {
  await page.goto(`${workshop.address}/bay`);
  await page.waitForURL('**/first-day');
  await test.step('the first five minutes', async () => {
    await clean(page);
    await page.getByLabel('Your name').fill('Ida Holm');
    await radio(page, 'Apprentice').click();
    await button(page, 'Add').click();
    await expect(page.getByText('Somebody has to answer for the shop')).toBeVisible();
    await expect(page.getByLabel('Your name')).toHaveValue('Ida Holm');
    await radio(page, 'Lead: signs off').click();
    await button(page, 'Add').click();
    await expect(page.getByRole('list', { name: 'People' })).toContainText('Ida Holm');
    await button(page, /On to the wrenches/).click();
    await button(page, 'Small click').click();
    await page.getByLabel('As stamped').fill('20 Nm');
    await button(page, 'Hang it up').click();
    await expect(page.getByText('From what to what?')).toBeVisible();
    await page.getByLabel('As stamped').fill('4 to 20 Nm');
    await expect(page.getByText('true from 4 to 20')).toBeVisible();
    await button(page, 'Hang it up').click();
    await expect(page.getByRole('list', { name: 'On the wall' })).toContainText('check not known');
    await clean(page);
    expect(workshop.rows('SELECT name, role FROM person')).toEqual([{ name: 'Ida Holm', role: 'lead' }]);
    await button(page, /On to the first vehicle/).click();
    await page.getByRole('link', { name: 'New vehicle' }).click();
  });
  await test.step('a vehicle in a minute, and a job on it', async () => {
    await page.getByLabel('Plate', { exact: true }).fill('QX 12');
    await button(page, 'Keep the vehicle').click();
    await expect(page.getByText('Which throttle: cable, electronic, diesel flap?')).toBeVisible();
    await expect(page.getByText('Which idle air valve? None is an answer.')).toBeVisible();
    await radio(page, 'Car, van, bus or pick-up').click();
    await radio(page, 'Cable').click();
    await radio(page, 'Rotary').click();
    await button(page, 'Keep the vehicle').click();
    await page.getByRole('link', { name: 'Open a job' }).click();
    await page.getByLabel('What does the owner say?').fill('Hunts at idle.');
    await page.getByLabel('Odometer, km').fill('61 204');
    await button(page, 'Open the job').click();
    await expect(page.getByRole('heading', { name: 'Complaint' })).toBeVisible();
  });
  const jobId = /jobs\/([^/]+)/.exec(page.url())![1]!;
  const rows = <T>(sql: string): T[] => workshop.rows<T>(sql, jobId);
  const line = page.getByLabel('What came off?');
  await test.step('strip by typing, by keyboard alone', async () => {
    await page.getByRole('link', { name: /^Strip/ }).click();
    await expect(page.getByText('Say what comes off.')).toBeVisible();
    await page.keyboard.press('a');
    await expect(line).toBeFocused();
    await page.keyboard.type('engine cover, 3 screws T30, rack 2');
    await page.keyboard.press('Enter');
    await expect(line).toHaveValue('');
    await page.keyboard.type('coolant hose, lower, plugged with a bung; 4 flange bolts M6x25, 10 mm');
    await expect(page.getByText('read as 2 items')).toBeVisible();
    await clean(page);
    await page.keyboard.press('Enter');
    await expect(line).toHaveValue('');
    await page.keyboard.type('0 bolts');
    await page.keyboard.press('Enter');
    await expect(page.getByText('expected 1 to 200').first()).toBeVisible();
    await line.fill('throttle body, clean cloth in the inlet');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Engine held')).toBeVisible();
    await expect
      .poll(() => rows('SELECT name, state, pocket FROM strip_item WHERE job_id = ? ORDER BY strip_order'))
      .toEqual([
        { name: 'Engine cover', state: 'off', pocket: 'rack 2' },
        { name: 'Coolant hose, lower', state: 'off', pocket: '' },
        { name: 'Bung', state: 'off', pocket: '' },
        { name: 'Flange bolts', state: 'off', pocket: 'A1' },
        { name: 'Throttle body', state: 'off', pocket: 'bench' },
        { name: 'Clean cloth', state: 'off', pocket: '' },
      ]);
    expect(rows('SELECT name, state FROM opening WHERE job_id = ? ORDER BY name')).toEqual([
      { name: 'Coolant circuit at coolant hose, lower', state: 'plugged' },
      { name: 'Manifold inlet', state: 'plugged' },
    ]);
  });
  await test.step('what has no figure holds the engine until there is one', async () => {
    await button(page, 'Engine held').click();
    await page.getByRole('link', { name: 'Flange bolts: no torque figure, and by feel not chosen' }).click();
    await expect(page.getByRole('heading', { name: 'Torque figure wanted' })).toBeVisible();
    await expect(page.getByText('A limit, not a figure.')).toBeVisible();
    await clean(page);
    await page.getByLabel('Figure', { exact: true }).fill('8 to 10 Nm');
    await button(page, 'Keep the figure').click();
    await expect
      .poll(() => rows('SELECT text, target_nm, wanted FROM fastener_group WHERE job_id = ? AND text IS NOT NULL'))
      .toEqual([{ text: '8 to 10 Nm', target_nm: 9, wanted: 0 }]);
    await expect(page.getByText('shop figure, verify').first()).toBeVisible();
  });
});
