import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './fixtures.ts';

const DAY_MS = 86_400_000;

test('figures as a stranger writes them: thousands by a comma, a quart asked once, work of yesterday', async ({
  page,
  workshop,
}) => {
  await workshop.open(page, '/vehicles/new');
  for (const [label, text] of [
    ['Plate', 'AB 77'],
    ['Make', 'Calder'],
    ['Model', 'Lark'],
    ['Engine', '1.8 L four'],
    ['Warm idle, rpm', '750 ± 50'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text);
  for (const choice of ['Cable', 'Rotary', 'Miles'])
    await page.getByRole('radio', { name: choice, exact: true }).click();
  await expect(page.getByText('reads as 700 rpm to 800 rpm')).toBeVisible();
  await page.getByRole('button', { name: 'Keep the vehicle' }).click();
  await page.getByRole('link', { name: 'Open a job' }).click();
  await page.getByLabel('What does the owner say?').fill('Hunts.');
  await page.getByLabel('Odometer, mi').fill('56,000');
  await expect(page.getByText('reads as 56\u2009000 mi')).toBeVisible();
  await page.getByRole('button', { name: 'Open the job' }).click();
  await expect(page.getByText('56\u2009000 mi').first()).toBeVisible();
  await expect
    .poll(() =>
      workshop.rows<{ value: number; unit: string }>(
        "SELECT value, unit FROM vehicle_reading r JOIN vehicle v ON v.id = r.vehicle_id WHERE v.plate = 'AB 77'",
      ),
    )
    .toEqual([{ value: 56_000, unit: 'mi' }]);

  await workshop.open(page, '/jobs/job-230/coolant');
  const amount = page.getByLabel('How much');
  await amount.fill('1 qt');
  await page.getByRole('button', { name: 'Record', exact: true }).last().click();
  await expect(page.getByText('Which quart: 1 US qt or 1 imp qt?')).toBeVisible();
  const scan = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']).analyze();
  expect(scan.violations).toEqual([]);
  await page.getByRole('button', { name: '1 imp qt' }).click();
  await expect(amount).toHaveValue('1 imp qt');
  await amount.press('Enter');
  const litres = () =>
    workshop
      .rows<{ litres: number }>("SELECT litres FROM coolant_entry WHERE job_id = 'job-230'")
      .map(({ litres: each }) => Number(each.toFixed(3)));
  await expect.poll(litres).toContain(1.137);
  await expect
    .poll(() => workshop.rows("SELECT value FROM setting WHERE key = 'measures'"))
    .toEqual([{ value: 'imperial' }]);
  await amount.fill('1 pint');
  await amount.press('Enter');
  await expect.poll(litres).toContain(0.568);

  await page.getByRole('button', { name: 'Write up for another time' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Time').fill('16:40');
  await dialog.getByRole('button', { name: /^Write up \w+day .*16:40$/ }).click();
  await expect(page.getByText(/^Written up for \w+day \d+ \w+ \d{4}, 16:40$/)).toBeVisible();
  await page.getByRole('button', { name: 'Add a note' }).click();
  await page.getByLabel('Note', { exact: true }).fill('bled it before going home');
  await page.getByRole('button', { name: 'Keep the note' }).click();
  const late = () =>
    workshop.rows<{ late: string; at: string; received_at: string }>(
      `SELECT c.late, e.at, c.received_at FROM event e JOIN command c ON c.id = e.command_id
       WHERE e.job_id = 'job-230' AND e.type = 'note-made' ORDER BY e.seq DESC LIMIT 1`,
    )[0];
  await expect.poll(() => late()?.late).toBe('written-up');
  expect(new Date(late()!.at).toLocaleTimeString('en-GB', { timeZone: 'Europe/London' })).toBe('16:40:00');
  expect(Date.parse(late()!.received_at) - Date.parse(late()!.at)).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Back to now' }).click();
  await expect(page.getByText('Written up for')).toBeHidden();

  await workshop.open(page, '/jobs/job-229/hand-over');
  await expect(page.getByText(/\w+day \d+ \w+ \d{4}, \d\d:\d\d/).first()).toBeVisible();
});

test('a tablet a day ahead is told so, and its entries count by the time of the shop', async ({ page, workshop }) => {
  await page.clock.setSystemTime(Date.now() + DAY_MS);
  await workshop.open(page, '/jobs/job-233/complaint');
  await expect(
    page.getByText(/This tablet’s clock is 2[34] h.* ahead\.|This tablet’s clock is 24 h ahead\./),
  ).toBeVisible();
  await page.getByRole('button', { name: 'strike out idle too low', exact: true }).click();
  const last = () =>
    workshop.rows<{ at: string; device_at: string; offset_ms: number }>(
      `SELECT e.at, c.device_at, c.offset_ms FROM event e JOIN command c ON c.id = e.command_id
       WHERE e.job_id = 'job-233' AND c.device_at IS NOT NULL ORDER BY e.seq DESC LIMIT 1`,
    )[0];
  await expect.poll(() => last()?.offset_ms ?? 0).toBeLessThan(-DAY_MS + 60_000);
  const { at, device_at } = last()!;
  expect(Math.abs(Date.parse(at) - Date.now())).toBeLessThan(120_000);
  expect(Date.parse(device_at) - Date.parse(at)).toBeGreaterThan(DAY_MS - 60_000);
});
