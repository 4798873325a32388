import { spawnSync } from 'node:child_process';
import { readdirSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import { expect, test } from './fixtures.ts';

/** A command of the program, as a person types it. */
const command = (...args: readonly string[]): { code: number | null; said: string } => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['dist/server/maintain.js', ...args], {
    encoding: 'utf8',
  });
  return { code: status, said: `${stdout}${stderr}` };
};

test('the shop is backed up from Settings, its disk dies, and all of it comes back', async ({ page, workshop }) => {
  const folder = dirname(workshop.file);
  await test.step('a backup is made, read back, and hangs on its string', async () => {
    await workshop.open(page, '/settings#backups', 'isla');
    await expect(page.getByRole('heading', { name: 'Backups' })).toBeFocused();
    await page.getByRole('button', { name: 'Back up now' }).click();
    await expect(page.getByText(/^Backed up: .* read back and whole/)).toBeVisible({ timeout: 30_000 });
    expect(readdirSync(join(folder, 'backups'))).toHaveLength(1);
  });
  const before = workshop.rows('SELECT job_id, COUNT(*) AS n FROM event GROUP BY job_id');
  await test.step('work goes on that the backup will not have', async () => {
    await page.goto(`${workshop.address}/jobs/job-231/complaint`);
    await page.getByRole('button', { name: /^Add a note/ }).click();
    await page.getByRole('textbox', { name: 'Note' }).fill('The drain plug is new.');
    await page.getByRole('button', { name: 'Keep the note' }).click();
    await expect
      .poll(() => workshop.rows("SELECT 1 FROM event WHERE type = 'note-made' AND data LIKE '%drain plug is new%'"))
      .toHaveLength(1);
  });
  await workshop.stop();
  await test.step('the backup is put back by command, and what only the old store has is said', async () => {
    const [name = ''] = readdirSync(join(folder, 'backups'));
    const { code, said } = command('restore', join(folder, 'backups', name), workshop.file);
    expect([code, said]).toEqual([0, expect.stringMatching(/What was there is kept in .*Job 231: 1 entries after/s)]);
    expect(command('verify', workshop.file).said).toMatch(/^Whole: /);
  });
  await workshop.start();
  await page.goto(`${workshop.address}/bay`);
  await expect(page.getByRole('link', { name: /TQ 417/ }).first()).toBeVisible();
  expect(workshop.rows('SELECT job_id, COUNT(*) AS n FROM event GROUP BY job_id')).toEqual(before);
});

test('a photo whose file is lost is a named gap, and whole again once it is taken in again', async ({
  page,
  workshop,
}) => {
  const bytes = await sharp({ create: { width: 64, height: 48, channels: 3, background: '#265' } })
    .png()
    .toBuffer();
  // Elsewhere: a page that shows the photo would keep its copy.
  await workshop.open(page, '/bay');
  const [{ jobId } = { jobId: '' }] = workshop.rows<{ jobId: string }>(
    'SELECT job_id AS jobId FROM job_summary WHERE number = 230',
  );
  const { hash } = (await (
    await page.request.post(`${workshop.address}/api/pictures`, {
      data: bytes,
      headers: { 'content-type': 'image/png' },
    })
  ).json()) as { hash: string };
  const attached = await page.request.post(`${workshop.address}/api/jobs/${jobId}/commands`, {
    data: {
      id: 'lost-1',
      at: new Date().toISOString(),
      by: 'tomas',
      seen: 0,
      type: 'attach-picture',
      data: { id: 'lost', hash, subject: 'throttle-body', when: 'before', caption: 'the rim' },
    },
  });
  expect(attached.ok()).toBe(true);
  const pictures = join(dirname(workshop.file), 'pictures');
  for (const name of readdirSync(pictures)) if (name.startsWith(hash)) rmSync(join(pictures, name));
  await workshop.open(page, '/jobs/job-230/inspect');
  const gap = page.getByRole('img', { name: /the rim: the photo is not to be had/ });
  await expect(gap).toBeVisible();
  const sheet = await page.request.get(`${workshop.address}/api/jobs/${jobId}/sheet.pdf`);
  expect(sheet.ok()).toBe(true);
  const again = await page.request.post(`${workshop.address}/api/pictures`, {
    data: bytes,
    headers: { 'content-type': 'image/png' },
  });
  expect(again.status()).toBe(201);
  await page.reload();
  await expect(page.getByRole('img', { name: /before: the rim$/ })).toBeVisible();
  await expect(gap).toHaveCount(0);
});
