import { PAST_JOBS } from '../demo/past.ts';
import { expect, test } from './fixtures.ts';

test('anything is found from anywhere, by keyboard, however its number is spelt', async ({ page, workshop }) => {
  await workshop.open(page, '/bay');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('/');
  const search = page.getByRole('dialog').getByRole('textbox');
  await expect(search).toBeFocused();
  await page.keyboard.type('tq417');
  await expect(page.getByRole('dialog').getByRole('heading', { name: 'Vehicles' })).toBeVisible();
  await expect(page.getByRole('dialog').locator('mark').first()).toHaveText('TQ 417');
  await search.fill('');
  // A word of a finding on a job that was handed over.
  await page.keyboard.type('dark ring');
  await expect(page.getByRole('dialog').getByRole('button', { name: /^229 .* handed over$/ })).toBeVisible();
  await search.fill('229');
  // What was found for the words before may hold it too, further down.
  await expect(page.getByRole('dialog').locator('[data-found]').first()).toHaveText(/^229/);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/jobs\/job-229/);
  for (const nothing of ['“', "'; DROP TABLE job_summary; --", 'x'.repeat(500)]) {
    await page.keyboard.press('/');
    await page.getByRole('dialog').getByRole('textbox').fill(nothing);
    await expect(page.getByRole('dialog')).toContainText(
      nothing === '“' ? 'Nothing fits' : `Nothing fits “${nothing}”`,
    );
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
});

test('all jobs: put in order, filtered, with the columns that one chose', async ({ page, workshop }) => {
  await workshop.open(page, '/bay');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('g');
  await page.keyboard.press('j');
  const first = page.locator('tr[data-line]').first();
  await expect(first).toContainText('236');
  await page.getByRole('button', { name: 'Plate' }).click();
  await expect(first).toContainText('CW 106');
  await expect(page.getByRole('columnheader', { name: 'Plate' })).toHaveAttribute('aria-sort', 'ascending');
  await page.getByRole('radio', { name: 'Handed over' }).click();
  // Two of now, and those of the past years.
  await expect(page.locator('tr[data-line]')).toHaveCount(2 + PAST_JOBS);
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('checkbox', { name: 'Vehicle' }).uncheck();
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(page.getByRole('columnheader', { name: 'Plate' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Vehicle' })).toHaveCount(0);
  await page.getByLabel('Search jobs').fill('post van 3');
  await expect(page.locator('tr[data-line]')).toHaveCount(1);
  await page.locator('tr[data-line]').getByRole('link').click();
  await expect(page).toHaveURL(/\/jobs\/job-233/);
});

test('what was typed comes back; a list is typed through, and rows are dragged into order', async ({
  page,
  workshop,
}) => {
  await workshop.open(page, '/vehicles/new', 'isla');
  const family = page.getByRole('combobox', { name: 'Engine family' });
  await family.focus();
  await page.keyboard.type('norr');
  await expect(page.getByRole('option', { name: /Norrland/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Engine', { exact: true })).toHaveValue('2.5 L four');
  await page.getByRole('button', { name: 'Keep the vehicle' }).click();
  await expect(page.getByLabel('Plate', { exact: true })).toBeFocused();
  await expect(page.getByText('A plate, or what is painted on it.')).toBeVisible();
  await page.getByLabel('Plate', { exact: true }).fill('ZZ 9');
  await expect(page.getByText('A plate, or what is painted on it.')).toHaveCount(0);
  await page.getByLabel('Make').fill('Norrland');
  await page.reload();
  await expect(page.getByText('did not keep is back')).toBeVisible();
  await expect(page.getByLabel('Plate', { exact: true })).toHaveValue('ZZ 9');
  await page.getByLabel('Model').fill('Parcel');
  await page.getByRole('button', { name: 'Keep the vehicle' }).click();
  await expect(page.getByText('ZZ 9').first()).toBeVisible();
  await expect
    .poll(() => workshop.rows("SELECT make FROM vehicle WHERE plate = 'ZZ 9'"))
    .toEqual([{ make: 'Norrland' }]);

  await page.goto(`${workshop.address}/procedures/cable-rotary/edit`);
  const names = page.locator('ol input.name');
  await expect(names.nth(0)).toHaveValue('Battery negative');
  const box = async (row: number) => (await page.locator('.drag-handle').nth(row).boundingBox())!;
  const [from, to] = [await box(0), await box(2)];
  await page.mouse.move(from.x + 10, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 12, from.y + 30, { steps: 5 });
  await page.mouse.move(to.x + 12, to.y + to.height / 2 + 5, { steps: 10 });
  await page.mouse.up();
  await expect(names.nth(2)).toHaveValue('Battery negative');
  await names.nth(2).focus();
  await page.getByRole('button', { name: 'Move Battery negative up' }).click();
  await expect(names.nth(1)).toHaveValue('Battery negative');
});
