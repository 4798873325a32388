import { busLife } from '../demo/busLife.ts';
import { expect, test } from './fixtures.ts';

const fileOf = (content: unknown) => ({
  name: 'life.json',
  mimeType: 'application/json',
  buffer: Buffer.from(typeof content === 'string' ? content : JSON.stringify(content)),
});

test('a life that another shop signed is read beside ours, believed once its key was compared, and refused when altered', async ({
  page,
  workshop,
}) => {
  // The file is of a bus that is in this shop twice, under another plate.
  const like = workshop.rows<{ n: number }>("SELECT COUNT(*) AS n FROM chapter_elsewhere WHERE subject_id = 'bus'");
  expect(like).toEqual([{ n: 2 }]);
  await workshop.open(page, '/vehicles/van1', 'isla');
  await page.getByRole('link', { name: 'Read what another shop tells' }).click();
  await expect(page.getByRole('heading', { name: 'Files between shops' })).toBeVisible();
  const input = page.locator('input[type="file"]');

  const altered = structuredClone(busLife);
  altered.body.chapters[0]!.title = 'Replaced, new';
  await input.setInputFiles(fileOf(altered));
  await expect(page.getByRole('alert')).toContainText('altered after North Pier Motors signed it');
  await input.setInputFiles(fileOf('{'));
  await expect(page.getByRole('alert')).toContainText('life.json is not JSON');

  await input.setInputFiles(fileOf(busLife));
  await expect(page.getByText('North Pier Motors signed it')).toBeVisible();
  await expect(page.getByText('Nobody here has compared this key with them.')).toBeVisible();
  // The likeliest is the bus itself; here it is taken onto the one that was open.
  await page.getByRole('radio', { name: 'The one you came from' }).check();
  await page.getByRole('button', { name: 'Take it as their history' }).click();
  await expect(page.getByRole('status')).toHaveText('2 chapters taken, as theirs.');
  expect(workshop.rows("SELECT chapter FROM chapter_elsewhere WHERE subject_id = 'van1' ORDER BY chapter")).toEqual([
    { chapter: 'np-131' },
    { chapter: 'np-88' },
  ]);
  await page.getByRole('button', { name: 'It is theirs: compared' }).click();
  await expect(page.getByText('compared by Isla')).toBeVisible();

  await page.goto(`${workshop.address}/vehicles/van1`);
  const told = page.getByRole('region', { name: 'Told by other shops' });
  await expect(told.getByText('their key was compared')).toHaveCount(2);
  await told.locator('summary').first().click();
  await expect(told.getByText('Stalls when coming to rest, worse when cold.')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    told.getByRole('link', { name: 'Hand its life on, as a signed file' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe(`life-${plateOf(workshop)}.json`);
});

const plateOf = ({ rows }: { rows: <T>(sql: string) => T[] }): string =>
  (rows<{ plate: string }>("SELECT plate FROM vehicle WHERE id = 'van1'")[0]?.plate ?? '').replaceAll(/\W+/g, '-');

test('what is unpacked is scanned and booked for the job that waits for it', async ({ page, workshop }) => {
  await workshop.open(page, '/arrivals', 'isla');
  const scanner = page.getByLabel('Scan or type a number');
  await expect(scanner).toBeFocused();
  await page.keyboard.type('np 25 1107\n');
  await expect(page.getByRole('status')).toContainText('Body gasket is here for job 231');
  expect(workshop.rows("SELECT state FROM need_state WHERE job_id = 'job-231' AND part_number = 'NP-25-1107'")).toEqual(
    [{ state: 'ready' }],
  );
  await expect(scanner).toBeFocused();
  await expect(scanner).toHaveValue('');
  await page.keyboard.type('np 25 1107\n');
  await expect(page.getByRole('alert')).toContainText('No job waits for “np 25 1107”.');
});

test('what the shop has learned goes into the procedure of the family, where the next job finds it', async ({
  page,
  workshop,
}) => {
  await workshop.open(page, '/records/lessons', 'isla');
  await expect(page.getByRole('heading', { name: 'O-ring hardness, rotary valve' })).toBeVisible();
  await page
    .getByRole('button', { name: /Add to/ })
    .first()
    .click();
  await expect(page.getByText(/says it \(Isla/)).toBeVisible();
  const [row] = workshop.rows<{ needs: string }>(
    `SELECT json_extract(body, '$.needs') AS needs FROM procedure WHERE body LIKE '%lesson-norrland-25%'`,
  );
  expect(row?.needs).toContain('NP-25-1131');
  expect(row?.needs).toContain('Bad on 5 of 6 of these');
});
