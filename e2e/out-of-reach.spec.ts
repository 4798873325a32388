import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, sent, test } from './fixtures.ts';

/** What is shown only while something waits is in no list of views. */
async function accessible(page: Page): Promise<void> {
  for (const theme of ['light', 'dark'] as const) {
    await page.evaluate((chosen) => document.documentElement.setAttribute('data-theme', chosen), theme);
    const { violations } = await new AxeBuilder({ page }).setLegacyMode(true).analyze();
    expect(violations.map(({ id, nodes }) => `${theme}: ${id} ${nodes[0]?.target.join(' ')}`)).toEqual([]);
  }
}

test('work done while the server is away waits, outlives a reload, and is sent in order', async ({
  page,
  context,
  workshop,
}) => {
  await workshop.open(page, '/jobs/job-233/complaint');
  await expect(page.getByRole('heading', { name: 'Complaint' })).toBeVisible();
  await page.getByRole('button', { name: 'Pick from the list instead' }).click();
  const symptom = (name: string) => page.getByRole('button', { name, exact: true });
  await context.setOffline(true);
  for (const name of ['Limp mode', 'Slow to return to idle', 'Hunting idle']) await symptom(name).click();
  await expect(page.getByTestId('waiting')).toHaveText('3 waiting to be saved');
  await expect(symptom('Limp mode')).toHaveAttribute('aria-pressed', 'true');
  const answers = () =>
    workshop
      .rows<{ sign: string }>(
        "SELECT json_extract(data, '$.sign') AS sign FROM event WHERE job_id = 'job-233' AND type = 'answer-given' ORDER BY seq",
      )
      .map(({ sign }) => sign);
  expect(answers()).toEqual(['comes-and-goes']);

  // The server dies, the page is closed; both come back.
  await workshop.stop();
  await context.setOffline(false);
  await page.close();
  await workshop.start();
  const again = await context.newPage();
  await workshop.open(again, '/jobs/job-233/complaint');
  await expect(again.getByRole('button', { name: 'strike out Limp mode' })).toBeVisible();
  await expect.poll(answers).toEqual(['comes-and-goes', 'limp', 'hangs', 'hunting']);
  await expect(again.getByTestId('waiting')).toBeHidden();
});

test('two stations on one job: what truly conflicts is said, the rest is taken', async ({ browser, workshop }) => {
  const [first, second] = await Promise.all([browser.newPage(), browser.newPage()]);
  await workshop.open(first, '/jobs/job-233/complaint', 'tomas');
  await workshop.open(second, '/jobs/job-233/complaint', 'wen');
  await expect(second.getByRole('heading', { name: 'Complaint' })).toBeVisible();
  const [{ seeded } = { seeded: 0 }] = workshop.rows<{ seeded: number }>(
    "SELECT max(seq) AS seeded FROM event WHERE job_id = 'job-233'",
  );
  const strike = (page: typeof first, what: string) =>
    page.getByRole('button', { name: `strike out ${what}`, exact: true }).click();
  await strike(first, 'rough at idle');
  const taken = (person: string) =>
    expect
      .poll(
        () =>
          workshop.rows("SELECT 1 FROM event WHERE job_id = 'job-233' AND person = ? AND seq > ?", person, seeded)
            .length,
      )
      .toBe(1);
  await taken('tomas');
  // She sees what he did without doing anything.
  await expect(second.getByRole('button', { name: 'strike out rough at idle' })).toHaveCount(0, { timeout: 2000 });
  await first.context().setOffline(true);
  await strike(second, 'idle too low');
  // Hers must be there first: else his would be the one that is taken.
  await taken('wen');
  // He has not seen hers: his tap on the same finding is refused and told to him, with what she did.
  await strike(first, 'idle too low');
  await first.context().setOffline(false);
  await expect(first.getByRole('alert')).toContainText('Not taken: That finding is not there.');
  // Side by side with what came in between, for him to decide.
  await expect(first.getByRole('alert')).toContainText('On the job meanwhile');
  await expect(first.getByRole('alert')).toContainText('Wen');
  await first.getByRole('button', { name: 'Leave it as it is there' }).click();
  await expect(first.getByRole('alert')).toBeHidden();
});

test('what the server fails over holds up no other job, and is kept over a reload until it is dealt with', async ({
  page,
  workshop,
}) => {
  await workshop.open(page, '/jobs/job-233/complaint');
  await page.getByRole('button', { name: 'Pick from the list instead' }).click();
  await page.route('**/api/jobs/job-233/commands', (route) =>
    route.fulfill({
      status: 500,
      json: { error: { code: 'failed', message: 'The server failed over this.', fields: {}, wouldHelp: '' } },
    }),
  );
  await page.getByRole('button', { name: 'Limp mode', exact: true }).click();
  await expect(page.getByTestId('waiting')).toHaveText('1 waiting to be saved');
  // Another job is written to meanwhile.
  const notes = () => workshop.rows("SELECT 1 FROM event WHERE job_id = 'job-231' AND type = 'note-made'").length;
  const before = notes();
  await workshop.open(page, '/jobs/job-231/complaint');
  await expect(page.getByRole('heading', { name: 'Complaint' })).toBeVisible();
  await page.keyboard.press('k');
  await page.getByRole('dialog').getByRole('textbox').fill('bracket bent');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep the note' }).click();
  await expect.poll(notes).toBe(before + 1);
  // In the end the one command is set aside, in words, above the work.
  const told = page.getByRole('alert').filter({ hasText: 'Not taken: The server failed over this.' });
  await expect(told).toContainText(/limp mode/i, { timeout: 60_000 });
  await page.reload();
  await expect(told).toContainText(/limp mode/i);
  await page.unroute('**/api/jobs/job-233/commands');
  await told.getByRole('button', { name: 'Send it again' }).click();
  await expect(told).toBeHidden();
  await expect
    .poll(() => workshop.rows("SELECT 1 FROM event WHERE job_id = 'job-233' AND json_extract(data, '$.sign') = 'limp'"))
    .toHaveLength(1);
});

test('a job that was cancelled meanwhile: what waited for it is told beside that, and left as it is there', async ({
  page,
  context,
  workshop,
}) => {
  await workshop.open(page, '/jobs/job-233/complaint', 'wen');
  await page.getByRole('button', { name: 'Pick from the list instead' }).click();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Limp mode', exact: true }).click();
  await expect(page.getByTestId('waiting')).toHaveText('1 waiting to be saved');
  // The other station is not out of reach.
  await sent(page, workshop, 'job-233', 'cancel-job', { why: 'sold as it stands' });
  await context.setOffline(false);
  const told = page.getByRole('alert');
  await expect(told).toContainText('Not taken');
  await expect(told).toContainText('limp mode');
  await expect(told).toContainText('On the job meanwhile');
  await expect(told).toContainText('Cancelled');
  await accessible(page);
  await expect(page.getByTestId('waits')).toHaveText('1 not taken');
  await page.getByTestId('waits').click();
  await expect(page.getByRole('dialog')).toContainText('All else you did is saved.');
  await accessible(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Leave it as it is there' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('waits')).toBeHidden();
});
