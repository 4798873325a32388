import type { Page } from '@playwright/test';
import { STAGES } from '../core/job/index.ts';
import { expect, test } from './fixtures.ts';

test.use({ serviceWorkers: 'allow' });

/** The pages are kept, and what the open jobs need is at hand. */
async function takenAlong(page: Page): Promise<void> {
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  const kept = () =>
    page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const asked = indexedDB.open('unhurried-wrench-answers');
          asked.onsuccess = () => {
            const count = asked.result.transaction('answers').objectStore('answers').count('/air');
            count.onsuccess = () => {
              asked.result.close();
              resolve(count.result);
            };
          };
        }),
    );
  // It is the last that is taken along.
  await expect.poll(kept, { timeout: 60_000 }).toBe(1);
}

test('with the server away every page opens, a job is worked on over a closed tab with a photo, and it all arrives once', async ({
  page,
  context,
  workshop,
}) => {
  await workshop.open(page, '/bay');
  await takenAlong(page);
  await workshop.stop();

  const problems: string[] = [];
  for (const path of PAGES) {
    await page.goto(workshop.address + path);
    await expect(page.getByRole('heading').first(), path)
      .toBeVisible({ timeout: 8000 })
      .catch(() => problems.push(`${path}: nothing is shown`));
    for (const words of await page.getByText(/cannot be (shown|read)|out of reach|failed to fetch/i).allTextContents())
      problems.push(`${path}: ${words}`);
  }
  expect(problems).toEqual([]);

  // A job that was never opened on this tablet, from its own address.
  await page.goto(`${workshop.address}/jobs/job-233/complaint`);
  await page.getByRole('button', { name: 'Pick from the list instead' }).click();
  await page.getByRole('button', { name: 'Limp mode', exact: true }).click();
  await page.goto(`${workshop.address}/jobs/job-230/inspect`);
  const photo = page.locator('input[type="file"][accept*="image"]').first();
  await photo.setInputFiles({ name: 'plate.png', mimeType: 'image/png', buffer: PHOTO });
  await expect(page.getByTestId('waits')).toContainText('2 waiting');
  await page.close();

  const again = await context.newPage();
  await workshop.open(again, '/jobs/job-230/inspect');
  await expect(again.getByTestId('waits')).toContainText('2 waiting');
  await again.getByTestId('waits').click();
  const list = again.getByRole('dialog');
  await expect(list.getByRole('listitem')).toHaveCount(2);
  await expect(list).toContainText('Job 233');
  await again.keyboard.press('Escape');

  await workshop.start();
  await expect(again.getByTestId('waits')).toBeHidden({ timeout: 30_000 });
  const count = (sql: string) => workshop.rows<{ n: number }>(sql)[0]?.n;
  expect(
    count(
      "SELECT count(*) AS n FROM event WHERE job_id = 'job-233' AND type = 'answer-given' AND json_extract(data, '$.sign') = 'limp'",
    ),
  ).toBe(1);
  expect(
    count(
      "SELECT count(*) AS n FROM event JOIN picture ON picture.hash = json_extract(event.data, '$.hash') WHERE job_id = 'job-230' AND type = 'picture-attached' AND person = 'tomas' AND picture.added_at > event.at AND event.seq = (SELECT max(seq) FROM event WHERE job_id = 'job-230')",
    ),
  ).toBe(1);
});

/** A picture of one dot. */
const PHOTO = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
);

const PAGES: readonly string[] = [
  '/bay',
  '/vehicles',
  '/vehicles/bus',
  '/vehicles/new',
  '/procedures',
  '/procedures/cable-rotary',
  '/procedures/new',
  '/recipes',
  '/jobs',
  '/stock',
  '/units',
  '/families',
  '/returns',
  '/tools',
  '/tools/torque',
  '/tools/air',
  '/tools/coolant',
  '/tools/advice',
  '/knowledge',
  '/settings',
  ...STAGES.map((stage) => `/jobs/job-230/${stage}`),
  '/jobs/job-230/tags',
  '/jobs/job-230/hands/refit',
];
