import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, sent, test, type Workshop } from './fixtures.ts';

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });

const opened = (page: Page, workshop: Workshop, jobId: string, complaint = 'It hunts at idle.'): Promise<void> =>
  sent(page, workshop, jobId, 'open-job', {
    vehicleId: 'bus',
    reading: { value: 190_000, unit: 'km' },
    readingReason: '',
    complaint,
  });

/** Records a stretch of idle and a blip on the screen. */
async function record(page: Page, workshop: Workshop, jobId: string, when: 'before' | 'after'): Promise<void> {
  await button(page, `Live data ${when} the work …`).click();
  const panel = page.getByRole('region', { name: 'Record live data' });
  await button(page, `Record live data ${when} the work`).click();
  await panel.getByRole('button', { name: 'warm idle', exact: true }).click();
  const seconds = async (): Promise<number> => Number(await panel.getByTestId('recorded').textContent());
  await expect.poll(seconds, { timeout: 30_000 }).toBeGreaterThan(45);
  await panel.getByRole('button', { name: 'blip', exact: true }).click();
  const from = await seconds();
  await expect.poll(seconds, { timeout: 30_000 }).toBeGreaterThan(from + 18);
  await button(page, 'Stop and keep').click();
  await expect
    .poll(() => workshop.rows('SELECT phase FROM recording_kept WHERE job_id = ? AND phase = ?', jobId, when))
    .toHaveLength(1);
}

test('recorded before, cleaned, relearned, recorded after: it is proved, and the vehicle remembers', async ({
  page,
  workshop,
}) => {
  await opened(page, workshop, 'cure');
  const figures = (when: string) =>
    Object.fromEntries(
      workshop
        .rows<{ kind: string; value: number }>(
          'SELECT kind, value FROM trace_figure WHERE job_id = ? AND phase = ?',
          'cure',
          when,
        )
        .map(({ kind, value }) => [kind, value]),
    );
  await test.step('before: the valve sticks in its dirt, and the program says that it hunts', async () => {
    await workshop.open(page, '/jobs/cure/diagnose');
    await record(page, workshop, 'cure', 'before');
    expect(figures('before').swing).toBeGreaterThan(40);
    await expect(page.getByText(/^The idle hunts/)).toBeVisible();
    await page
      .getByRole('listitem')
      .filter({ hasText: 'Idle valve duty' })
      .getByRole('button', { name: 'Add to the evidence' })
      .click();
    await expect
      .poll(() => workshop.rows(`SELECT kind FROM check_result WHERE job_id = 'cure'`).length)
      .toBeGreaterThan(0);
  });
  await test.step('cleaned and learned anew', async () => {
    for (const unit of ['throttle-body', 'idle-valve'])
      await sent(page, workshop, 'cure', 'do-pass', { id: `p-${unit}`, unit, kind: 'wet' });
    await sent(page, workshop, 'cure', 'decide', { choice: 'clean-bench', reason: 'ring', departure: '', options: [] });
  });
  await test.step('after: it no longer hunts, both on one chart', async () => {
    await workshop.open(page, '/jobs/cure/prove');
    await record(page, workshop, 'cure', 'after');
    expect(figures('after').swing).toBe(0);
    const live = page.getByRole('region', { name: 'Live data before and after' });
    await live.getByRole('tab', { name: /warm idle/ }).click();
    await expect(live.getByRole('heading', { name: /It no longer hunts/ })).toBeVisible();
    await expect(live.getByRole('application')).toBeVisible();
    const line = page.getByRole('row').filter({ hasText: /hunts/i }).first();
    await expect(line).toContainText('gone');
    await expect(line).toContainText('no swing');
    // By keyboard alone, and as a table.
    await live.getByRole('application').focus();
    await page.keyboard.press('+');
    await page.keyboard.press('.');
    await expect(live.getByText(/engine speed/).first()).toBeVisible();
    await live.getByText('As a table').click();
    await expect(live.getByRole('columnheader', { name: /Engine speed, rpm, before/ })).toBeVisible();
  });
  await test.step('the vehicle shows it over its visits', async () => {
    await page.goto(`${workshop.address}/vehicles/bus`);
    const years = page.getByRole('region', { name: 'Figures over its visits', exact: true });
    await years
      .getByRole('radio', { name: 'Idle swings by' })
      .or(years.getByRole('button', { name: 'Idle swings by' }))
      .first()
      .click();
    await expect(years.getByRole('row').filter({ hasText: 'no swing' })).toContainText('Clean on the bench');
  });
});

test('a proof that fails is handed over only with a reason, which the sheet says', async ({ page, workshop }) => {
  await opened(page, workshop, 'fails', 'It whistles.');
  await sent(page, workshop, 'fails', 'read-code', {
    id: 'c',
    code: 'P0505',
    status: 'stored',
    when: 'before',
    note: '',
  });
  await sent(page, workshop, 'fails', 'decide', { choice: 'relearn', reason: 'asked for', departure: '', options: [] });
  await workshop.open(page, '/jobs/fails/prove');
  await page.getByRole('radio', { name: 'warm', exact: true }).or(button(page, 'warm')).first().click();
  await page.getByLabel('Idle speed, warm, rpm').fill('1400');
  await page.getByLabel('Idle speed, warm, rpm').press('Enter');
  const line = page.getByRole('row').filter({ hasText: 'Idle speed, warm' });
  await expect(line).toContainText('not right');
  await page.getByLabel('A code that came back').fill('P0505');
  await button(page, 'Add').click();
  await expect(page.getByRole('row').filter({ hasText: 'P0505' })).toContainText('still there');
  await expect(page.getByText(/Not proved: 2 came out wrong/)).toBeVisible();
  await expect
    .poll(() => workshop.rows(`SELECT count(*) AS n FROM code WHERE job_id = 'fails' AND phase = 'after'`))
    .toEqual([{ n: 1 }]);
  await page.goto(`${workshop.address}/jobs/fails/hand-over`);
  const open = page.getByRole('region', { name: 'Still open' });
  await expect(open.getByText('Idle speed, warm: 1400 rpm, above the band')).toBeVisible();
  await button(page, /^Hand over/)
    .last()
    .click();
  await expect(page.getByText(/Still open: P0505/).first()).toBeVisible();
  for (let left = 2; left > 0; left -= 1) {
    await open.getByRole('button', { name: 'It goes like this, because …' }).first().click();
    await open.getByLabel('Because').fill('the customer needs it tonight');
    await open.getByLabel('What to watch').fill('a high idle');
    await open.getByLabel('Look again in, days').fill('3');
    await open.getByRole('button', { name: 'Leave it open' }).click();
    await expect(open.getByRole('button', { name: 'It goes like this, because …' })).toHaveCount(left - 1);
  }
  await button(page, /^Hand over/)
    .last()
    .click();
  await expect
    .poll(() => workshop.rows(`SELECT status FROM job_summary WHERE job_id = 'fails'`))
    .toEqual([{ status: 'closed' }]);
  await expect(page.getByText('the customer needs it tonight', { exact: false }).first()).toBeVisible();
});

test('somebody’s recording comes in as CSV: understood first, then read, with what was left out', async ({
  page,
  workshop,
}) => {
  const rows = ['Zeit [s];Drehzahl [1/min];Saugrohrdruck [mbar];Drosselklappe [%]'];
  for (let at = 0; at < 600; at += 1) {
    const swing = 830 + 120 * Math.sin((2 * Math.PI * at) / 26);
    rows.push(
      `${(at / 10).toFixed(1).replace('.', ',')};${at === 300 ? 'n/a' : swing.toFixed(1).replace('.', ',')};${340};12,4`,
    );
  }
  const file = join(mkdtempSync(join(tmpdir(), 'uw-csv-')), 'workshop next door.csv');
  writeFileSync(file, `${rows.join('\n')}\n`);
  await opened(page, workshop, 'csv');
  await workshop.open(page, '/jobs/csv/diagnose');
  await button(page, 'Live data before the work …').click();
  const section = page.getByRole('region', { name: 'Live data from a file' });
  await section.locator('input[type="file"]').setInputFiles(file);
  await expect(section.getByText('parted by semicolon, decimals with comma')).toBeVisible();
  await expect(section.getByRole('row').filter({ hasText: 'Drehzahl' })).toContainText('Engine speed');
  await button(page, 'Take it, before the work').click();
  await expect(section.getByText('1799 readings of 3 values were read.')).toBeVisible();
  await expect(section.getByText('line 302: Drehzahl: “n/a” is no number')).toBeVisible();
  await expect
    .poll(() =>
      workshop.rows<{ value: number }>(
        `SELECT value FROM trace_figure WHERE job_id = 'csv' AND kind IN ('swing', 'swing-period') ORDER BY kind`,
      ),
    )
    .toEqual([{ value: expect.closeTo(120, -1) }, { value: expect.closeTo(2.6, 1) }]);
  const [kept] = workshop.rows<{ hash: string; source: string }>(
    `SELECT hash, source FROM recording_kept WHERE job_id = 'csv'`,
  );
  expect(kept!.source).toBe('workshop next door.csv');
  const wide = await page.request.get(`${workshop.address}/api/recordings/${kept!.hash}/csv`);
  expect(await wide.text()).toContain('Saugrohrdruck [kPa]');
});
