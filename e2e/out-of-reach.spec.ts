import { expect, test } from './fixtures.ts';

test('work done while the server is away waits, outlives a reload, and is sent in order', async ({
  page,
  context,
  workshop,
}) => {
  await workshop.open(page, '/jobs/job-233/complaint');
  await expect(page.getByRole('heading', { name: 'Complaint' })).toBeVisible();
  await context.setOffline(true);
  for (const text of ['limp mode', 'poor response', 'hunting idle'])
    await page.getByRole('button', { name: text, exact: true }).click();
  await expect(page.getByTestId('waiting')).toHaveText('3 waiting to be saved');
  await expect(page.getByRole('button', { name: 'limp mode', exact: true })).toHaveAttribute('aria-pressed', 'true');
  expect(workshop.rows("SELECT 1 FROM event WHERE job_id = 'job-233' AND type = 'symptom-noted'")).toHaveLength(2);

  // The server dies, the page is closed; both come back.
  await workshop.stop();
  await context.setOffline(false);
  await page.close();
  await workshop.start();
  const again = await context.newPage();
  await workshop.open(again, '/jobs/job-233/complaint');
  await expect(again.getByRole('button', { name: 'limp mode', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await expect
    .poll(() =>
      workshop
        .rows<{ text: string }>(
          "SELECT json_extract(data, '$.text') AS text FROM event WHERE job_id = 'job-233' AND type = 'symptom-noted' ORDER BY seq",
        )
        .map(({ text }) => text),
    )
    .toEqual(['rough at lights', 'idle too low', 'limp mode', 'poor response', 'hunting idle']);
  await expect(again.getByTestId('waiting')).toBeHidden();
});

test('two benches on one job: what truly conflicts is said, the rest is taken', async ({ browser, workshop }) => {
  const [first, second] = await Promise.all([browser.newPage(), browser.newPage()]);
  await workshop.open(first, '/jobs/job-233/complaint', 'tomas');
  await workshop.open(second, '/jobs/job-233/complaint', 'wen');
  await expect(second.getByRole('heading', { name: 'Complaint' })).toBeVisible();
  await first.getByRole('button', { name: 'limp mode', exact: true }).click();
  await expect
    .poll(() => workshop.rows("SELECT 1 FROM event WHERE job_id = 'job-233' AND person = 'tomas'").length)
    .toBeGreaterThan(0);
  await second.getByRole('button', { name: 'hunting idle', exact: true }).click();
  // The answer to her own tap brings what he did.
  await expect(second.getByRole('button', { name: 'limp mode', exact: true })).toHaveAttribute('aria-pressed', 'true');
  // He has not seen hers: his tap on the same symptom is refused and told to him, with what he did.
  await first.getByRole('button', { name: 'hunting idle', exact: true }).click();
  await expect(first.getByRole('alert')).toContainText('Not taken: “hunting idle” is already noted.');
  await first.getByRole('button', { name: 'I have read it' }).click();
  await expect(first.getByRole('alert')).toBeHidden();
});
