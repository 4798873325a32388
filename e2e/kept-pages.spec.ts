import { appendFileSync, copyFileSync, cpSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { STAGES } from '../core/job/index.ts';
import { expect, test } from './fixtures.ts';
import { launch } from './served.ts';

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
  await expect.poll(kept, { timeout: 150_000 }).toBe(1);
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
      .toBeVisible({ timeout: 40_000 })
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
  await expect(again.getByTestId('waits')).toBeHidden({ timeout: 90_000 });
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

test('a newer program is offered, waits while somebody works, and is taken when they say so', async ({
  page,
  workshop,
}) => {
  await workshop.stop();
  // Beside the packages that it needs.
  mkdirSync(join('node_modules', '.cache'), { recursive: true });
  const program = mkdtempSync(join('node_modules', '.cache', 'uw-program-'));
  cpSync('dist', program, { recursive: true });
  const server = await launch(workshop.file, 0, program);
  try {
    await page.addInitScript(() => {
      localStorage.setItem('unhurried-wrench.person', 'tomas');
      localStorage.setItem('unhurried-wrench.hints', 'all');
    });
    await page.goto(`${server.address}/jobs/job-233/complaint`);
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    appendFileSync(join(program, 'web', 'sw.js'), '\n// newer\n');
    await page.reload();
    const note = page.getByRole('status').filter({ hasText: 'A new version is here.' });
    await expect(note).toBeVisible();
    // Nobody is torn from the page: what is open stays as it is.
    await page.getByRole('button', { name: 'Pick from the list instead' }).click();
    await page.getByRole('button', { name: 'Limp mode', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Limp mode', exact: true })).toHaveAttribute('aria-pressed', 'true');
    await note.getByRole('button', { name: 'Later' }).click();
    await expect(note).toBeHidden();
    await page.reload();
    await Promise.all([page.waitForEvent('load'), note.getByRole('button', { name: 'Take it now' }).click()]);
    await expect(page.getByRole('heading', { name: 'Complaint' })).toBeVisible();
    await expect(note).toBeHidden();
    expect(await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.waiting ?? null)).toBe(
      null,
    );
    await expect(page.getByRole('button', { name: 'strike out Limp mode' })).toBeVisible();
  } finally {
    await server.stop();
    rmSync(program, { recursive: true, force: true });
  }
});

test('a server that is back with an older store: what it lost is told in words, once, and the job is as it is there', async ({
  page,
  workshop,
}) => {
  await workshop.stop();
  const old = `${workshop.file}.old`;
  copyFileSync(workshop.file, old);
  await workshop.start();
  await workshop.open(page, '/jobs/job-233/complaint');
  await page.getByRole('button', { name: 'Pick from the list instead' }).click();
  await page.getByRole('button', { name: 'Limp mode', exact: true }).click();
  const limp = () =>
    workshop.rows(
      "SELECT 1 FROM event WHERE job_id = 'job-233' AND type = 'answer-given' AND json_extract(data, '$.sign') = 'limp'",
    ).length;
  await expect.poll(limp).toBe(1);
  await workshop.stop();
  for (const left of ['-wal', '-shm']) rmSync(`${workshop.file}${left}`, { force: true });
  copyFileSync(old, workshop.file);
  await workshop.start();

  await page.reload();
  const told = page.getByRole('alert');
  await expect(told).toContainText('the server has an older store now');
  await expect(told).toContainText('limp mode');
  await expect(page.getByRole('button', { name: 'strike out Limp mode' })).toHaveCount(0);
  await page.reload();
  await expect(told.getByText('older store')).toHaveCount(1);
  await told.getByRole('button', { name: 'I have read it' }).click();
  await expect(told).toBeHidden();
  expect(limp()).toBe(0);
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
