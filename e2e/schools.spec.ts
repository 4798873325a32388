import type { Page } from '@playwright/test';
import { expect, test, type Workshop } from './fixtures.ts';

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
const rowsOf = (workshop: Workshop, jobId: string) => (sql: string) => workshop.rows(sql, jobId);

/** Opens a job over the API and sends what was done on it so far. */
async function opened(
  page: Page,
  workshop: Workshop,
  jobId: string,
  vehicleId: string,
  and: readonly (readonly [string, object])[],
): Promise<void> {
  const km = await page.request.get(`${workshop.address}/api/vehicles/${vehicleId}`);
  const { vehicle } = (await km.json()) as { vehicle: { meterUnit: string } };
  const unit = vehicle.meterUnit;
  const all = [
    [
      'open-job',
      {
        vehicleId,
        reading: { value: 400_000, unit },
        readingReason: 'cluster replaced',
        complaint: 'It hunts at idle.',
      },
    ],
    ...and,
  ] as const;
  let seen = 0;
  for (const [type, data] of all) {
    const reply = await page.request.post(`${workshop.address}/api/jobs/${jobId}/commands`, {
      data: { id: `${jobId}-${seen}-${type}`, at: new Date().toISOString(), by: 'tomas', seen, type, data },
    });
    const body = (await reply.json()) as { version: number };
    expect(reply.ok(), JSON.stringify(body)).toBe(true);
    seen = body.version;
  }
}

test('a relearn by the tool breaks off and is gone on with timed, and the sheet says both', async ({
  page,
  workshop,
}) => {
  const rows = rowsOf(workshop, 'by-tool');
  await opened(page, workshop, 'by-tool', 'van3', [
    ['decide', { choice: 'relearn', reason: 'nothing is dirty', departure: '', options: [] }],
  ]);
  await workshop.open(page, '/jobs/by-tool/relearn');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'throttle stops by the tool, or timed' })
    .getByRole('button', { name: 'Start' })
    .click();
  await page.getByLabel('Battery, V').fill('12.5');
  await page.getByLabel('Battery, V').press('Enter');
  await button(page, 'Lights, fan and heater off').click();
  await button(page, /^Step done/).click();
  await button(page, 'It broke off').click();
  await expect(page.getByText('Type the text it ended on.')).toBeVisible();
  await page.getByLabel('Type the text it ended on').fill('E17 voltage');
  await button(page, 'It broke off').click();
  await expect(page.getByText('Key on, engine off', { exact: true })).toBeVisible();

  await page.getByRole('link', { name: 'Hands busy' }).click();
  await expect(page.getByText('Needs: foot off the pedal.')).toBeVisible();
  await button(page, 'Foot off the pedal').click();
  await expect(page.getByText('counting', { exact: true })).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByText(/Hold for \d+ seconds more/)).toBeVisible();
  await page.keyboard.press('h');

  // The recipe changes in the library: this run keeps the one it began with.
  const recipe = (await (await page.request.get(`${workshop.address}/api/recipes/wick-tool`)).json()) as {
    steps: { title: string }[];
  };
  const put = await page.request.put(`${workshop.address}/api/recipes/wick-tool`, {
    data: { by: 'isla', basedOn: 1, note: 'other words', recipe: { ...recipe, steps: recipe.steps.slice(0, 2) } },
  });
  expect(put.status(), 'a way to a step that is gone is refused').toBe(400);
  await page.reload();
  // What is timed may go on by itself meanwhile; what is left is left out.
  const now = page.getByText(/^step \d of 6$/);
  const over = page.getByText('All steps done.');
  for (let step = 0; step < 8; step += 1) {
    await expect(now.or(over).first()).toBeVisible();
    if (await over.isVisible()) break;
    await button(page, 'Leave this step out').click();
    await page.getByLabel('Why it is left out').fill('shown by the lamp');
    await button(page, 'Leave it out').click();
    await expect(page.getByLabel('Why it is left out')).toBeHidden();
  }
  await expect(page.getByText('All steps done.')).toBeVisible();
  await button(page, 'It took').click();
  await expect.poll(() => rows('SELECT outcome FROM run WHERE job_id = ?')).toEqual([{ outcome: 'took' }]);
  await expect(page.getByText('it said “E17 voltage”')).toBeVisible();
  await expect(page.getByText(/left out: Key on, pedal slowly down and up, shown by the lamp/).first()).toBeVisible();
});

test('cleaned on the vehicle first, then off and in full: what was before is before that', async ({
  page,
  workshop,
}) => {
  const rows = rowsOf(workshop, 'twice');
  await opened(page, workshop, 'twice', 'farm', [
    ['decide', { choice: 'clean-in-place', reason: 'a ring at the front', departure: 'he waits', options: [] }],
  ]);
  await workshop.open(page, '/jobs/twice/clean');
  const body = page.getByRole('region', { name: 'Throttle body', exact: true });
  await expect(page.getByRole('heading', { name: 'Clean on the vehicle' })).toBeVisible();
  await expect(body.getByText('The back, the shaft and the idle passages: not seen, not clean.')).toBeVisible();
  await body.getByRole('button', { name: 'Protect' }).click();
  await body.getByRole('button', { name: 'A rag goes in' }).click();
  await expect(body.getByText('The engine is held while a rag is in.')).toBeVisible();
  for (const name of [/^Wipe/, /^Brush/, /^Wipe/]) await body.getByRole('button', { name }).first().click();
  await body.getByRole('button', { name: /Rag 1 is in/ }).click();
  await body
    .getByRole('group', { name: /grade$/ })
    .getByRole('button')
    .nth(2)
    .click();
  await expect
    .poll(() =>
      rows(
        `SELECT count(*) AS n FROM event WHERE job_id = ? AND type = 'pass-done' AND json_extract(data, '$.onVehicle') = 1`,
      ),
    )
    .toEqual([{ n: 4 }]);
  // It is not enough: off it comes, by a line typed at Strip.
  await page.goto(`${workshop.address}/jobs/twice/strip`);
  const line = page.getByRole('textbox', { name: 'What came off?' });
  await line.fill('throttle body');
  await line.press('Enter');
  await expect
    .poll(() => rows(`SELECT count(*) AS n FROM event WHERE job_id = ? AND type = 'item-removed'`))
    .toEqual([{ n: 1 }]);
  await page.goto(`${workshop.address}/jobs/twice/clean`);
  await expect(page.getByRole('heading', { name: 'On the bench: clean' })).toBeVisible();
  await expect(body.getByText('Before it came off last: protect, wipe, brush, wipe.')).toBeVisible();
  await body.getByRole('button', { name: 'Otherwise' }).click();
  await body.getByLabel('With', { exact: true }).selectOption('brake-cleaner-chlorinated');
  await body.getByRole('button', { name: 'First wet', exact: true }).click();
  await expect(body.getByText(/Never brake cleaner, chlorinated on/)).toBeVisible();
  await body.getByLabel('Done all the same, because').fill('the can was at hand and the rings were out');
  await body.getByRole('button', { name: 'Record it so' }).click();
  await expect(body.getByText('First wet, against advice')).toBeVisible();
  await page.goto(`${workshop.address}/jobs/twice/hand-over`);
  await expect(page.getByText(/Because: the can was at hand and the rings were out/).first()).toBeVisible();
});
