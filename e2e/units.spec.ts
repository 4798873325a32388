import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { expect, test, type Workshop } from './fixtures.ts';

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
const lane = (page: Page, unit: string) => page.getByRole('region', { name: unit, exact: true });
const pass = (page: Page, unit: string, name: string) =>
  lane(page, unit)
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .first()
    .click();
const look = (page: Page, unit: string, grade: number) =>
  lane(page, unit)
    .getByRole('group', { name: /grade$/ })
    .getByRole('button')
    .nth(grade)
    .click();

/** Opens a job over the API, works by a procedure and takes everything off, so that a story begins at the bench. */
async function onTheBench(
  page: Page,
  workshop: Workshop,
  jobId: string,
  vehicleId: string,
  choice: string,
  procedureId: string | null,
  /** What was done besides, and how many hours ago the job was begun. */
  { hoursAgo = 0, and = [] as readonly (readonly [string, object])[] } = {},
): Promise<void> {
  let seen = 0;
  const at = new Date(Date.now() - hoursAgo * 3_600_000).toISOString();
  // Between midnight and the evening that was another day, and whoever enters it now has to say so.
  const late = hoursAgo > 0 ? { late: 'written-up' } : {};
  const send = async (type: string, data: object): Promise<void> => {
    const reply = await page.request.post(`${workshop.address}/api/jobs/${jobId}/commands`, {
      data: { id: `${jobId}-${seen}-${type}`, at, by: 'tomas', seen, type, data, ...late },
    });
    const body = (await reply.json()) as { version: number };
    expect(reply.ok(), JSON.stringify(body)).toBe(true);
    seen = body.version;
  };
  const { vehicle } = (await (await page.request.get(`${workshop.address}/api/vehicles/${vehicleId}`)).json()) as {
    vehicle: { lastReading: { value: number; unit: string } | null; meterUnit: string };
  };
  const reading = { value: (vehicle.lastReading?.value ?? 10_000) + 10, unit: vehicle.meterUnit };
  await send('open-job', { vehicleId, reading, readingReason: '', complaint: 'Hunts.' });
  await send('decide', { choice, reason: 'on the bench we shall see', departure: '', options: [] });
  if (procedureId === null) return;
  await send('pin-procedure', { procedureId });
  const items = workshop
    .rows<{ items: string }>(
      "SELECT json_extract(data, '$.procedure.items') AS items FROM event WHERE job_id = ? AND type = 'procedure-pinned'",
      jobId,
    )
    .flatMap(
      ({ items: text }) => JSON.parse(text) as { id: string; alike?: string; fasteners: { count: number } | null }[],
    );
  for (const { id, alike, fasteners } of items)
    await send('remove-item', {
      itemId: id,
      pocket: 'A1',
      label: alike === undefined ? '' : id,
      countedOut: fasteners?.count ?? null,
    });
  for (const [type, data] of and) await send(type, data);
}

test('a cable body with a stuck valve, cleaned and rebuilt over two days', async ({ page, workshop }) => {
  // Yesterday it was stripped, and one valve screw was oiled and left.
  const screwId = 'upper';
  await onTheBench(page, workshop, 'two-days', 'farm', 'rebuild', 'cable-rotary', {
    hoursAgo: 17,
    and: [
      [
        'note-seized',
        {
          id: screwId,
          unit: 'idle-valve',
          where: 'Valve screw, upper',
          thread: 'M5×14',
          host: 'aluminium',
          headWhole: true,
          nearDelicate: true,
          partNumber: 'NP-05-0514',
        },
      ],
      ['try-rung', { screwId, rung: 'right-bit', outcome: 'not yet', note: '', timerId: '' }],
      ['try-rung', { screwId, rung: 'oil', outcome: 'waiting', note: '', timerId: 'oil-upper' }],
    ],
  });
  const rows = <T>(sql: string): T[] => workshop.rows<T>(sql, 'two-days');
  await workshop.open(page, '/jobs/two-days/inspect');

  await test.step('the valve is stuck; its coil is warm and right; a ring is hard', async () => {
    await page.getByRole('tab', { name: /^Idle air valve/ }).click();
    await page
      .getByRole('button', { name: /Valve turns freely/ })
      .last()
      .click();
    await button(page, 'Stuck').click();
    await page
      .getByRole('button', { name: /Coil resistance/ })
      .last()
      .click();
    await page.getByLabel('Which one').fill('open side');
    await page.getByLabel('Measured, Ω').fill('14');
    await page.getByLabel('Coil at, °C').fill('85');
    await expect(page.getByText('14 Ω at 85 °C is 11.1')).toBeVisible();
    await page.getByLabel('Coil at, °C').press('Enter');
    await page
      .getByRole('button', { name: /O-ring hardness/ })
      .last()
      .click();
    await page.getByLabel('Measured, Shore A').fill('90');
    await page.getByLabel('Measured, Shore A').press('Enter');
    await expect(page.getByText('Which one? Each has its own line.')).toBeVisible();
    await page.getByLabel('Which one').fill('valve');
    await page.getByLabel('Measured, Shore A').press('Enter');
    await expect
      .poll(() => rows('SELECT point, verdict FROM point_judged WHERE job_id = ? ORDER BY point'))
      .toEqual([
        { point: 'coil', verdict: 'good' },
        { point: 'ring', verdict: 'bad' },
        { point: 'valve-free', verdict: 'bad' },
      ]);
    // What was found is also a finding of the diagnosis.
    expect(
      rows<{ n: number }>(
        "SELECT count(*) AS n FROM check_result WHERE job_id = ? AND kind = 'coil-ohms' AND outcome = 'in-band'",
      ),
    ).toEqual([{ n: 1 }]);
  });

  await test.step('overnight the oil has worked', async () => {
    await page.goto(`${workshop.address}/jobs/two-days/seized`);
    await expect(page.getByRole('heading', { name: 'Penetrating oil, overnight' })).toBeVisible();
    await expect(page.getByText('time is up').first()).toBeVisible();
    await button(page, 'It came out').click();
    await expect(page.getByText('Out. A new one is on the list.')).toBeVisible();
    await expect
      .poll(() => rows('SELECT outcome, rungs FROM seized_screw WHERE job_id = ?'))
      .toEqual([{ outcome: 'out', rungs: 'right-bit: not yet, oil: out' }]);
    expect(
      rows(
        "SELECT json_extract(data, '$.need.partNumber') AS number FROM event WHERE job_id = ? AND type = 'need-added'",
      ),
    ).toEqual([{ number: 'NP-05-0514' }]);
    await expect
      .poll(() => rows("SELECT outcome FROM timer WHERE job_id = ? AND kind = 'oil'"))
      .toEqual([{ outcome: 'done' }]);
  });

  await test.step('another is oiled for tonight, and the body soaks meanwhile; the Bay shows both', async () => {
    await button(page, 'Another screw').click();
    await page.getByLabel('Which screw').fill('Valve screw, lower');
    await page.getByLabel('On', { exact: true }).selectOption({ label: 'Idle air valve' });
    await page.getByLabel('Thread').fill('M5×14');
    await button(page, 'Note the screw').click();
    await expect(page.getByRole('heading', { name: 'The right bit, pressed hard' })).toBeVisible();
    await button(page, 'Not yet').click();
    await expect(page.getByRole('heading', { name: 'Room for hand and tool' })).toBeVisible();
    await page.getByRole('list', { name: 'The ladder' }).getByRole('button', { name: 'Penetrating oil' }).click();
    await button(page, 'Oiled, let it work').click();
    await expect(page.getByText(/^1[56]:\d\d h$/).first()).toBeVisible();
    await expect
      .poll(() => rows<{ n: number }>("SELECT count(*) AS n FROM timer WHERE job_id = ? AND kind = 'oil'"))
      .toEqual([{ n: 2 }]);
    await page.goto(`${workshop.address}/jobs/two-days/clean`);
    for (const name of ['Protect', 'First wet', 'Soak']) await pass(page, 'Throttle body', name);
    await expect(lane(page, 'Throttle body').getByText(/^\d+:\d\d$/)).toBeVisible();
    await expect
      .poll(() => rows<{ n: number }>('SELECT count(*) AS n FROM timer WHERE job_id = ? AND ended_at IS NULL'))
      .toEqual([{ n: 2 }]);
    await page.goto(`${workshop.address}/bay`);
    await expect(page.getByRole('listitem').filter({ hasText: 'oil works: valve screw, lower' }).first()).toBeVisible();
    await expect(page.getByRole('listitem').filter({ hasText: 'throttle body soaks' }).first()).toBeVisible();
  });

  await test.step('a second round until the card says so; what would do harm is asked about, and left', async () => {
    await page.goto(`${workshop.address}/jobs/two-days/clean`);
    for (const name of ['Brush', 'Wipe']) await pass(page, 'Throttle body', name);
    await look(page, 'Throttle body', 2);
    await expect(lane(page, 'Throttle body').getByText('now lacquer: another round')).toBeVisible();
    await lane(page, 'Throttle body').getByRole('button', { name: 'Otherwise' }).click();
    await lane(page, 'Throttle body').getByLabel('With', { exact: true }).selectOption('oxalic-acid-bath');
    await lane(page, 'Throttle body').getByRole('button', { name: 'First wet' }).last().click();
    await expect(page.getByText(/Never oxalic-acid bath on zinc-plated steel/)).toBeVisible();
    await button(page, 'Not like that').click();
    await button(page, 'As proposed').click();
    for (const name of ['First wet', 'Soak', 'Brush', 'Wipe']) await pass(page, 'Throttle body', name);
    await look(page, 'Throttle body', 0);
    await pass(page, 'Throttle body', 'Dry');
    await expect
      .poll(() => rows<{ n: number }>("SELECT count(*) AS n FROM clean_pass WHERE job_id = ? AND kind = 'wet'"))
      .toEqual([{ n: 2 }]);
    await expect(lane(page, 'Throttle body').getByText('clean and dry')).toBeVisible();
  });

  await test.step('rings in with the right grease, the sensor straight, the can and its rags on the list', async () => {
    await page.getByLabel('Can before').fill('300 g');
    await page.getByLabel('Can after').fill('250 g');
    await page.getByLabel('Sprayed over, min').fill('5');
    await button(page, 'Record the can').click();
    await expect(page.getByText('Solvent rags')).toBeVisible();
    await button(page, 'Taken away').first().click();
    await expect.poll(() => rows<{ kind: string }>('SELECT kind FROM waste WHERE job_id = ?').length).toBe(1);
    await page.goto(`${workshop.address}/jobs/two-days/rebuild`);
    await page.getByLabel('Closed, V').fill('0.62');
    await expect(page.getByText('too high: turn it back')).toBeVisible();
    for (const [label, volts] of [
      ['Closed, V', '0.5'],
      ['25 %, V', '1.5'],
      ['50 %, V', '2.5'],
      ['75 %, V', '3.5'],
      ['Open, V', '4.5'],
    ] as const)
      await page.getByLabel(label).fill(volts);
    await expect(page.getByText('Straight within 0.0 %.')).toBeVisible();
    await button(page, 'Record the sweep').click();
    await page.getByLabel('Turns, out +').fill('1.5');
    await button(page, 'Count').click();
    await expect(page.getByText('1½ turns out', { exact: true })).toBeVisible();
    await button(page, 'Tight').click();
    await expect.poll(() => rows('SELECT good FROM sensor_sweep WHERE job_id = ?')).toEqual([{ good: 1 }]);
    await expect
      .poll(() => rows("SELECT verdict FROM point_judged WHERE job_id = ? AND point = 'leak'"))
      .toEqual([{ verdict: 'good' }]);
  });
});

test('on a slow line the stop that was picked and what was typed stay when the answer comes', async ({
  page,
  workshop,
}) => {
  await onTheBench(page, workshop, 'slow', 'farm', 'rebuild', 'cable-rotary');
  await workshop.open(page, '/jobs/slow/inspect');
  await page.getByRole('tab', { name: /^Idle air valve/ }).click();
  const stop = (name: RegExp) => page.getByRole('button', { name }).last();
  await stop(/Valve turns freely/).click();
  // The answer is held back until the next stop is half filled in.
  let answer = (): void => undefined;
  const mayGo = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/commands', async (route) => {
    await mayGo;
    await route.continue();
  });
  await button(page, 'Stuck').click();
  await stop(/Coil resistance/).click();
  await page.getByLabel('Which one').fill('open side');
  const answered = page.waitForResponse('**/commands');
  answer();
  await answered;
  const judged = () =>
    workshop.rows<{ point: string; which: string }>(
      'SELECT point, which FROM point_judged WHERE job_id = ? ORDER BY at',
      'slow',
    );
  await expect.poll(judged).toEqual([{ point: 'valve-free', which: '' }]);
  await expect(page.getByRole('heading', { name: 'Coil resistance' })).toBeVisible();
  await expect(page.getByLabel('Which one')).toHaveValue('open side');
  await page.getByLabel('Measured, Ω').fill('11');
  await page.getByLabel('Coil at, °C').fill('20');
  await page.getByLabel('Coil at, °C').press('Enter');
  await expect.poll(judged).toEqual([
    { point: 'valve-free', which: '' },
    { point: 'coil', which: 'open side' },
  ]);
});

test('an electronic body wiped nearly dry: never sprayed, never soaked', async ({ page, workshop }) => {
  await onTheBench(page, workshop, 'dry', 'van2', 'clean-bench', 'electronic-small');
  await workshop.open(page, '/jobs/dry/inspect');
  await page
    .getByRole('button', { name: /Light round the closed plate/ })
    .last()
    .click();
  await button(page, 'None at all').click();
  await page.getByRole('button', { name: '3 o’clock: none' }).click();
  await expect(page.getByRole('button', { name: '3 o’clock: thin line' })).toBeVisible();
  await page.getByRole('button', { name: '3 o’clock: thin line' }).press('Enter');
  await expect(page.getByRole('button', { name: '3 o’clock: wide' })).toBeVisible();
  await button(page, 'None at all').click();
  await button(page, 'Record the light').click();
  await expect
    .poll(() => workshop.rows("SELECT words FROM point_judged WHERE job_id = 'dry'"))
    .toEqual([{ words: 'No light at all: deposit seals the gap, or the plate is not on its stop.' }]);
  await page.goto(`${workshop.address}/jobs/dry/clean`);
  const body = lane(page, 'Throttle body');
  await expect(body.getByText('Never sprayed, never soaked.')).toBeVisible();
  await pass(page, 'Throttle body', 'Protect');
  await button(page, 'Otherwise').click();
  await body.getByLabel('With').selectOption('carburettor-cleaner');
  await pass(page, 'Throttle body', 'Wipe');
  await expect(body.getByRole('alert')).toContainText('Never carburettor cleaner on coated bore');
  await body.getByLabel('With').selectOption('');
  for (const name of ['Wipe', 'Brush', 'Wipe']) await pass(page, 'Throttle body', name);
  await look(page, 'Throttle body', 1);
  await pass(page, 'Throttle body', 'Dry');
  await expect(body.getByText('clean and dry')).toBeVisible();
  await expect
    .poll(() =>
      workshop
        .rows<{ kind: string }>("SELECT kind FROM clean_pass WHERE job_id = 'dry'")
        .map(({ kind }) => kind)
        .sort(),
    )
    .toEqual(['brush', 'dry', 'protect', 'wipe', 'wipe']);

  await test.step('a picture before and after, marked and lined up by the keyboard', async () => {
    await page.goto(`${workshop.address}/jobs/dry/inspect`);
    const picture = await sharp({ create: { width: 400, height: 300, channels: 3, background: '#754' } })
      .jpeg()
      .toBuffer();
    await page.getByLabel('Picture before').setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: picture });
    await expect(page.getByRole('button', { name: /Mark the picture before/ })).toBeVisible();
    await page.getByRole('radio', { name: 'After cleaning' }).click();
    await page.getByLabel('Picture after').setInputFiles({
      name: 'b.jpg',
      mimeType: 'image/jpeg',
      buffer: await sharp(picture).negate().jpeg().toBuffer(),
    });
    for (const when of ['before', 'after']) {
      await page.getByRole('button', { name: new RegExp(`Mark the picture ${when}`) }).click();
      const canvas = page.getByRole('application');
      await canvas.focus();
      if (when === 'before') {
        await page.keyboard.press('Enter');
        for (let step = 0; step < 5; step += 1) await page.keyboard.press('ArrowRight');
        await page.keyboard.press('Enter');
        // And a circle by hand, drawn twice and taken back once.
        await button(page, 'Circle').click();
        const frame = (await page.locator('canvas').first().boundingBox())!;
        const at = (x: number, y: number) => [frame.x + x * frame.width, frame.y + y * frame.height] as const;
        for (const radius of [0.1, 0.2]) {
          await page.mouse.move(...at(0.5, 0.5));
          await page.mouse.down();
          await page.mouse.move(...at(0.5 + radius, 0.5), { steps: 4 });
          await page.mouse.up();
        }
        await button(page, 'Undo').click();
      }
      await button(page, 'Line up').click();
      await canvas.focus();
      await page.keyboard.press('Enter');
      for (let step = 0; step < 8; step += 1) await page.keyboard.press('ArrowDown');
      await page.keyboard.press('Enter');
      await button(page, 'Keep the marks').click();
      await expect(page.getByRole('dialog')).toHaveCount(0);
    }
    await expect(page.getByText('Lined up by two places.')).toBeVisible();
    await page.getByRole('slider').press('ArrowLeft');
    await expect
      .poll(() =>
        workshop.rows<{ n: number }>(
          "SELECT count(*) AS n FROM picture_marking WHERE job_id = 'dry' AND json_array_length(anchors) = 2",
        ),
      )
      .toEqual([{ n: 2 }]);
    const [marked] = workshop.rows<{ marks: string }>(
      "SELECT marks FROM picture_marking WHERE job_id = 'dry' AND json_array_length(marks) = 2",
    );
    const [arrow, circle] = JSON.parse(marked?.marks ?? '[]') as { kind: string; radius?: number }[];
    expect([arrow?.kind, circle?.kind]).toEqual(['arrow', 'circle']);
    expect(circle?.radius).toBeCloseTo(0.1, 1);
  });
});

test.describe('while the solvent works', () => {
  test.use({ seededNow: true });
  test('a bank of four: two soak while two are brushed, each injector back to its own cylinder', async ({
    page,
    workshop,
  }) => {
    await workshop.open(page, '/jobs/job-236/hands/clean', 'wen');
    const rows = <T>(sql: string): T[] => workshop.rows<T>(sql);
    await test.step('with wet gloves: what soaks is passed over', async () => {
      await expect(page.getByRole('heading', { name: 'Look' })).toBeVisible();
      await expect(page.getByText('Throttle body, cylinder 1', { exact: true })).toBeVisible();
      await page.getByRole('button', { name: '1 film' }).click();
      await expect(page.getByRole('heading', { name: 'Dry' })).toBeVisible();
      await page.keyboard.press('Space');
      await expect(page.getByText('Throttle body, cylinder 4', { exact: true })).toBeVisible();
      await expect
        .poll(() => rows("SELECT unit FROM clean_pass WHERE job_id = 'job-236' AND kind = 'dry'"))
        .toEqual([{ unit: 'four-tb-1' }]);
    });
    await test.step('an injector goes back to its own cylinder, and to no other', async () => {
      await page.goto(`${workshop.address}/jobs/job-236/rebuild`);
      const second = page
        .getByRole('listitem')
        .filter({ hasText: 'goes into' })
        .filter({ hasText: 'cylinder 2' })
        .nth(1);
      await second.getByRole('button', { name: 'cylinder 3' }).click();
      await expect(page.getByText('This injector came from cylinder 2: it goes back there.')).toBeVisible();
      await second.getByRole('button', { name: 'cylinder 2' }).click();
      await expect(page.getByText('back in its place')).toBeVisible();
      await expect
        .poll(() => rows("SELECT place FROM piece_apart WHERE job_id = 'job-236' AND returned_at IS NOT NULL"))
        .toEqual([{ place: 'cylinder 2' }]);
    });
    await test.step('petroleum jelly never goes onto its EPDM ring', async () => {
      const ring = page.getByRole('listitem').filter({ hasText: 'Injector O-ring, cylinder 1' });
      await ring.getByLabel('Grease for Injector O-ring, cylinder 1').selectOption('petroleum-jelly');
      await ring.getByRole('button', { name: 'Renew' }).click();
      await expect(ring.getByRole('alert')).toContainText('Never petroleum jelly on EPDM');
      await ring.getByLabel('Grease for Injector O-ring, cylinder 1').selectOption('silicone-grease');
      await ring.getByRole('button', { name: 'Renew' }).click();
      await expect(ring.getByText('renewed, with silicone grease')).toBeVisible();
      await expect
        .poll(() => rows("SELECT count(*) AS n FROM part_use WHERE job_id = 'job-236' AND part_number = 'SU-90-112'"))
        .toEqual([{ n: 1 }]);
    });
  });
});

test('a warped plastic body is replaced: the choice is made anew, the units move in the file', async ({
  page,
  workshop,
}) => {
  // Nothing is taken off in this story, so that nothing holds the hand-over.
  await onTheBench(page, workshop, 'warped', 'launch', 'clean-bench', null);
  const rows = <T>(sql: string): T[] => workshop.rows<T>(sql);
  await workshop.open(page, '/jobs/warped/inspect');
  await page
    .getByRole('button', { name: /Body flatness/ })
    .last()
    .click();
  await page.getByLabel('Measured, mm').fill('0.6');
  await expect(page.getByText('0.6 mm; at most 0.2 mm.')).toBeVisible();
  await page.getByLabel('Measured, mm').press('Enter');
  await expect(page.getByText('Cleaning will not cure that.')).toBeVisible();
  await expect
    .poll(() => rows("SELECT verdict FROM point_judged WHERE job_id = 'warped'"))
    .toEqual([{ verdict: 'bad' }]);

  await test.step('decided anew', async () => {
    await page.getByRole('link', { name: 'Decide anew' }).click();
    await button(page, 'All choices, one by one').click();
    await page
      .getByRole('dialog')
      .getByRole('radio', { name: /Fit a new throttle body/ })
      .check();
    await page.getByRole('dialog').getByRole('button', { name: /Close/ }).click();
    await page.getByLabel('Because').fill('0.6 mm out of true');
    await button(page, 'Decide anew').click();
    await expect
      .poll(() => rows("SELECT choice FROM job_decision WHERE job_id = 'warped'"))
      .toEqual([{ choice: 'replace' }]);
  });
  await test.step('old against new: the wrong variant is not fitted', async () => {
    await page.goto(`${workshop.address}/jobs/warped/replace`);
    await page.getByLabel('Gasket outline').fill('square, four holes');
    await page.getByLabel('Our tag for it').fill('launch-tb-2');
    await page.getByLabel('Why the old one goes').fill('f-10');
    await page.getByRole('option', { name: /^F-10/ }).click();
    await button(page, 'Replace it').click();
    await expect(page.getByRole('alert')).toContainText('Does not fit');
    await page.getByLabel('Gasket outline').fill('round, three holes');
    await page.getByLabel('Port diameter, mm').fill('40');
    await page.getByLabel('Variant mark').fill('P');
    await expect(page.getByText('As expected.').first()).toBeVisible();
    await button(page, 'Replace it').click();
    await expect(page.getByText('Replaced by TM-45-118, new, tag launch-tb-2.')).toBeVisible();
    await expect
      .poll(() => rows("SELECT fail_code, verdict FROM unit_replaced WHERE job_id = 'warped'"))
      .toEqual([{ fail_code: 'F-10', verdict: 'fits' }]);
    // Nothing speaks against the choice any more, and nothing has moved yet.
    await page.goto(`${workshop.address}/jobs/warped/inspect`);
    await expect(page.getByText('will not cure')).toHaveCount(0);
    expect(rows("SELECT id FROM unit WHERE vehicle_id = 'launch'")).toEqual([{ id: 'launch-tb' }]);
  });
  await test.step('handed over: the new one is on the launch, the old one in the returns box', async () => {
    await page.goto(`${workshop.address}/jobs/warped/hand-over`);
    await button(page, 'Hand over and close').click();
    await expect(page.getByRole('heading', { name: 'Handed over' })).toBeVisible();
    await expect.poll(() => rows("SELECT id FROM unit WHERE vehicle_id = 'launch'")).toEqual([{ id: 'launch-tb-2' }]);
    await page.goto(`${workshop.address}/returns`);
    await expect(page.getByText('Body warped or cracked').first()).toBeVisible();
    await button(page, 'Sent back').click();
    await expect(page.getByText(/^sent /)).toBeVisible();
  });
});

test('stock: scanned, counted, ordered, and told what may stand in; the air of the bay', async ({ page, workshop }) => {
  await workshop.open(page, '/stock', 'wen');
  await page.getByLabel('Search stock, or scan a number').fill('(01)04006381333931(17)270630(10)L7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Body gasket, cable body' })).toBeVisible();
  await expect(page.getByLabel('Batch')).toHaveValue('L7');
  await page.getByRole('radio', { name: 'Received' }).click();
  await page.getByLabel('How many').fill('0');
  await button(page, 'Book it').click();
  await expect(page.getByText('Expected 1 or more, got 0.')).toBeVisible();
  await page.getByLabel('How many').fill('5');
  await button(page, 'Book it').click();
  await expect(page.getByText('Batch L7: 5')).toBeVisible();
  await page.getByLabel('Order', { exact: true }).fill('4');
  await button(page, 'Ordered').click();
  await button(page, 'Book in').click();
  await expect(button(page, 'Book in')).toHaveCount(0);
  // The farm utility's own gasket is still on its way: that one is received on its job.
  await expect(page.getByRole('listitem').filter({ hasText: 'tick it there when it comes' })).toContainText('job 231');
  await page.getByLabel('Another number').fill('XX-9');
  await page.getByRole('radio', { name: 'does not fit' }).click();
  await page.getByLabel('What has to be known').fill('two holes');
  await button(page, 'Note it').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'XX-9' })).toContainText('does not fit two holes');
  expect(
    workshop.rows<{ left: number }>("SELECT SUM(change) AS left FROM stock_movement WHERE item_id = 's-1107'"),
  ).toEqual([{ left: 12 }]);
  await page.goto(`${workshop.address}/tools/air`);
  await button(page, /^Door open, fan on/).click();
  await expect.poll(() => workshop.rows('SELECT state FROM airing')).toEqual([{ state: 'both' }]);
  await page.goto(`${workshop.address}/tools/advice`);
  await page.getByRole('button', { name: 'petroleum jelly on EPDM rubber: never' }).click();
  await expect(page.getByText('Swells EPDM: the ring grows, folds and leaks.')).toBeVisible();
});
