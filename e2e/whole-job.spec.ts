import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { expect, heldForCoolantAlone, test } from './fixtures.ts';

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
const primary = (page: Page) => page.getByTestId('act');
const readAll = async (page: Page): Promise<void> => {
  for (const read = button(page, 'I have read it').first(); await read.isVisible();) await read.click();
};

test('a whole job by pointer, from complaint to handed-over sheet', async ({ page, workshop }) => {
  test.setTimeout(240_000);
  await workshop.open(page, '/vehicles');

  await test.step('find the vehicle and open a job', async () => {
    await page.getByRole('link', { name: 'New vehicle' }).click();
    for (const [label, value] of [
      ['Plate', 'TQ 902'],
      ['Make', 'Norrland'],
      ['Model', 'Parcel'],
      ['What people call it', 'mobile clinic'],
      ['Engine', '2.5 L four'],
      ['Warm idle, rpm', '780 to 880'],
      ['Valve duty, %', '28 to 40'],
      ['Sensor, plate closed, V', '0.45 to 0.55'],
    ] as const) {
      await page.getByLabel(label, { exact: true }).fill(value);
    }
    for (const choice of ['Cable', 'Rotary']) await page.getByRole('radio', { name: choice, exact: true }).click();
    await page.getByLabel('VIN', { exact: true }).fill('1M8GDM9AXKP04278B');
    await expect(page.getByText('The ninth character should be')).toBeVisible();
    await button(page, '1M8GDM9AXKP042788').click();
    await expect(page.getByText('The check digit agrees.')).toBeVisible();
    await button(page, 'Keep the vehicle').click();
    await page.getByRole('link', { name: 'Open a job' }).click();
    await button(page, 'Open the job').click();
    await expect(page.getByText('Nothing typed yet.')).toBeVisible();
    await page.getByLabel('What does the owner say?').fill('Hunts at the quay, stalls when it comes to rest.');
    await page.getByLabel('Odometer, km').fill('61 204');
    await button(page, 'Open the job').click();
    await expect(page.getByRole('heading', { name: 'Complaint' })).toBeVisible();
  });
  const jobId = /jobs\/([^/]+)/.exec(page.url())![1]!;
  const rows = <T>(sql: string): T[] => workshop.rows<T>(sql, jobId);

  await test.step('complaint', async () => {
    await page.getByLabel('And what else?').fill('Hunts at the quay, and whistles on the hill.');
    await button(page, 'Tell').click();
    await expect(page.getByText('idle hunts').first()).toBeVisible();
    await button(page, 'strike out whistle or hiss').click();
    await button(page, 'Type a code').click();
    await page.getByLabel('Code', { exact: true }).fill('P05');
    await button(page, 'Add the code').click();
    await expect(page.getByText('Expected a code such as P0505')).toBeVisible();
    await expect(page.getByLabel('Code', { exact: true })).toHaveValue('P05');
    await page.getByLabel('Code', { exact: true }).fill('P0505');
    await button(page, 'Add the code').click();
    await button(page, 'That is all of them').click();
    await button(page, /^Done, on to diagnose/).click();
  });
  await test.step('diagnose and decide', async () => {
    await button(page, 'All checks').click();
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /Duct off, look at the plate/ })
      .click();
    await readAll(page);
    await button(page, /^Dark ring or crust at the edge/).click();
    await expect(page.getByText('ring of deposit at the plate edge').first()).toBeVisible();
    await page.getByLabel('Idle speed, warm, rpm').fill('610');
    await page.getByLabel('Idle speed, warm, rpm').blur();
    await expect(page.getByText('below the band')).toBeVisible();
    await button(page, /^Done, on to decide/).click();
    // This shop’s own past says how long a clean holds here; it may begin no plan, and is chosen beside them.
    await button(page, 'All choices, one by one').click();
    await page
      .getByRole('dialog')
      .getByRole('radio', { name: /^Clean on the bench/ })
      .check();
    await page.keyboard.press('Escape');
    await button(page, 'Decide: clean on the bench').click();
    await expect(page.getByText('Say why, in a few words')).toBeVisible();
    await page.getByLabel('Because').fill('deposit at the edge, valve stiff');
    await button(page, 'Decide: clean on the bench').click();
    await button(page, /^Done, on to prepare/).click();
  });
  await test.step('prepare', async () => {
    await page
      .getByRole('listitem')
      .filter({ hasText: 'Cable body and rotary valve' })
      .getByRole('button', { name: 'Work by this' })
      .click();
    const open = page.getByRole('button', { name: /^(Here|Done)$/, pressed: false });
    await expect(open.first()).toBeVisible();
    for (let left = await open.count(); left > 0; left = await open.count()) await open.first().click();
    await readAll(page);
    await button(page, /^Done, on to strip/).click();
  });
  await test.step('strip: every item off, every opening plugged', async () => {
    for (;;) {
      const label = (await primary(page).textContent()) ?? '';
      await primary(page).click();
      if (label.startsWith('Plug manifold inlet'))
        await expect(page.getByText('Manifold inlet plugged').first()).toBeVisible();
      if (
        !(await page.getByText(/still on\. Tap a tag/).isVisible()) &&
        !(await page.getByText('An opening gapes').isVisible())
      )
        break;
    }
    await expect(page.getByText('Everything listed is off.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Engine held' })).toBeVisible();
    await expect
      .poll(
        () =>
          rows<{ n: number }>(
            "SELECT count(*) AS n FROM strip_item WHERE job_id = ? AND state = 'off' AND origin = 'procedure'",
          )[0]?.n,
      )
      .toBe(25);
    await expect
      .poll(() => rows<{ n: number }>("SELECT count(*) AS n FROM opening WHERE job_id = ? AND state = 'plugged'")[0]?.n)
      .toBe(4);
    await button(page, 'Count one in').click();
    await page.getByLabel('Where', { exact: true }).fill('in the duct');
    await button(page, 'Count it in').click();
    await button(page, /^(Done, on|On) to inspect/).click();
  });
  await test.step('inspect with pictures before and after', async () => {
    const picture = await sharp({ create: { width: 400, height: 300, channels: 3, background: '#543' } })
      .jpeg()
      .toBuffer();
    // A tag at Strip takes pictures too: the walk must be there first.
    await expect(page.getByRole('heading', { name: 'On the bench: inspect' })).toBeVisible();
    await page
      .getByLabel('Picture before')
      .first()
      .setInputFiles({ name: 'b.txt', mimeType: 'image/png', buffer: Buffer.from('no picture') });
    await expect(page.getByText('That is not a picture that can be read')).toBeVisible();
    await page
      .getByLabel('Picture before')
      .first()
      .setInputFiles({ name: 'before.jpg', mimeType: 'image/jpeg', buffer: picture });
    await expect(page.getByRole('img', { name: /Throttle body, before/ })).toBeVisible();
    await page.getByRole('button', { name: /^3 Deposit at the plate’s edge/ }).click();
    await page.getByRole('group', { name: 'Deposit at the plate’s edge, grade' }).getByRole('button').nth(3).click();
    await page
      .getByRole('button', { name: /Shaft play/ })
      .last()
      .click();
    await page.getByLabel('Measured, mm').fill('wide');
    await page.getByLabel('Measured, mm').press('Enter');
    await expect(page.getByText('Expected a number, such as 10 mm; got “wide”.')).toBeVisible();
    await expect(page.getByLabel('Measured, mm')).toHaveValue('wide');
    await page.getByLabel('Measured, mm').fill('0.05');
    await page.getByLabel('Measured, mm').press('Enter');
    await expect
      .poll(() =>
        rows<{ point: string }>('SELECT point FROM point_judged WHERE job_id = ? ORDER BY point').map(
          ({ point }) => point,
        ),
      )
      .toEqual(['deposit-edge', 'play']);
    await page.getByRole('radio', { name: 'After cleaning' }).click();
    await page
      .getByLabel('Picture after')
      .first()
      .setInputFiles({
        name: 'after.jpg',
        mimeType: 'image/jpeg',
        buffer: await sharp(picture).negate().jpeg().toBuffer(),
      });
    await expect(page.getByRole('img', { name: /Throttle body, after/ })).toBeVisible();
    await button(page, /^Done, on to clean/).click();
  });
  await test.step('clean in passes with a soak timer, cleaner by weight', async () => {
    for (const unit of ['Throttle body', 'Idle air valve']) {
      const lane = page.getByRole('region', { name: unit });
      for (const name of ['Protect', 'First wet', 'Soak', 'Brush', 'Wipe'])
        await lane
          .getByRole('button', { name: new RegExp(`^${name}`) })
          .first()
          .click();
      await lane
        .getByRole('group', { name: /grade$/ })
        .getByRole('button')
        .nth(1)
        .click();
      await lane.getByRole('button', { name: /^Dry/ }).click();
    }
    await expect(page.getByText('Everything is clean and dry.')).toBeVisible();
    // Whoever brushes has taken it out of its soak.
    await expect
      .poll(() => rows<{ outcome: string }>('SELECT outcome FROM timer WHERE job_id = ?'))
      .toEqual([{ outcome: 'stopped' }, { outcome: 'stopped' }]);
    await page.getByLabel('Can before').fill('400 g');
    await page.getByLabel('Can after').fill('410 g');
    await button(page, 'Record the can').click();
    await expect(page.getByText('the can cannot gain weight')).toBeVisible();
    await page.getByLabel('Can after').fill('342 g');
    await button(page, 'Record the can').click();
    await expect(page.getByText('58 g', { exact: true })).toBeVisible();
    await readAll(page);
    await button(page, /^Done, on to rebuild/).click();
  });
  await test.step('rebuild', async () => {
    await button(page, 'Renew').nth(0).click();
    await button(page, 'Renew').nth(1).click();
    await button(page, 'Use again').nth(2).click();
    await page.getByLabel('Why can it serve again?').fill('soft, round, unmarked');
    await button(page, 'Use it again').click();
    await expect
      .poll(() =>
        rows<{ decision: string }>('SELECT decision FROM seal WHERE job_id = ? ORDER BY name').map(
          ({ decision }) => decision,
        ),
      )
      .toEqual(['renewed', 'reused', 'renewed']);
    await button(page, /^Done, on to refit/).click();
  });
  await test.step('refit in the order the program worked out, every bolt at torque', async () => {
    await page.getByRole('button', { name: 'It is out' }).click();
    let typed = false;
    for (let taps = 0; taps < 120 && !(await page.getByText('Everything is back.').isVisible()); taps += 1) {
      const label = (await primary(page).textContent()) ?? '';
      if (!typed && label.startsWith('Record bolt')) {
        typed = true;
        await page.getByLabel('Reached').fill('9 lb');
        await primary(page).click();
        await expect(
          page.getByLabel('Why').getByText('Pounds of what: inch-pounds (in·lb) or foot-pounds (ft·lb)?'),
        ).toBeVisible();
        await expect(page.getByLabel('Reached')).toHaveValue('9 lb');
        await page.getByLabel('Reached').fill('');
      }
      await primary(page).click();
    }
    // Brackets go back first and are tightened after; what is left over is reached from the tally.
    for (
      let taps = 0;
      taps < 20 && (await primary(page).count()) > 0 && (await primary(page).textContent())?.startsWith('Record');
      taps += 1
    )
      await primary(page).click();
    // The battery was taken off first: it is the last thing that holds the engine.
    await page
      .getByRole('listitem')
      .filter({ hasText: 'Battery negative on' })
      .getByRole('button', { name: 'Done' })
      .click();
    await heldForCoolantAlone(page);
    await expect
      .poll(() =>
        rows<{ verdict: string; n: number }>(
          'SELECT verdict, count(*) AS n FROM torque_result WHERE job_id = ? GROUP BY verdict',
        ),
      )
      .toEqual([{ verdict: 'in band', n: 13 }]);
    const order = rows<{ type: string; item: string }>(
      "SELECT type, json_extract(data, '$.itemId') AS item FROM event WHERE job_id = ? AND type = 'item-put-back' ORDER BY seq",
    ).map(({ item }) => item);
    expect(order.indexOf('valve-plug')).toBeLessThan(order.indexOf('body'));
    expect(order.indexOf('body')).toBeLessThan(order.indexOf('flange'));
    await button(page, /^Done, on to coolant/).click();
  });
  await test.step('coolant', async () => {
    for (const [kind, amount] of [
      ['Caught', '0.8 L'],
      ['Returned', '0.7 L'],
      ['Discarded', '0.1 L'],
      ['Added', '0.1 L'],
    ] as const) {
      await page.getByRole('radio', { name: kind }).click();
      await page.getByLabel('How much').fill(amount);
      await button(page, 'Record').last().click();
    }
    await expect(page.getByText('°C freezes')).toBeVisible();
    await button(page, 'Start').click();
    for (let step = 0; step < 2; step += 1) await button(page, /^Step done/).click();
    await page.getByLabel('Coolant, °C').fill('88');
    await page.getByLabel('Coolant, °C').press('Enter');
    await button(page, 'Heater blows hot').click();
    await button(page, /^Step done/).click();
    await expect(page.getByTestId('run-clock')).toBeVisible();
    await button(page, /^Step done/).click();
    await expect(page.getByText(/Hold for \d+ seconds more\./)).toBeVisible();
    await page.getByLabel('Why it is closed here').fill('bled by hand instead');
    await button(page, 'Abandon').click();
    await page.getByRole('group', { name: 'Level cold' }).getByRole('button', { name: 'Right' }).click();
    await page.getByRole('group', { name: 'Leaks cold' }).getByRole('button', { name: 'Dry' }).click();
    await readAll(page);
    await button(page, /^Done, on to relearn/).click();
  });
  await test.step('relearn survives a reload and a restart of the server', async () => {
    await page.getByRole('listitem').filter({ hasText: 'Drive cycle' }).getByRole('button', { name: 'Start' }).click();
    await page.getByLabel('Coolant, °C').fill('84');
    await page.getByLabel('Coolant, °C').press('Enter');
    await button(page, /^Step done/).click();
    await page.getByLabel('Road speed, km/h').fill('50');
    await page.getByLabel('Road speed, km/h').press('Enter');
    await expect(page.getByText('counting', { exact: true })).toBeVisible();
    await expect
      .poll(
        () =>
          rows<{ n: number }>(
            "SELECT count(*) AS n FROM event WHERE job_id = ? AND type = 'run-advanced' AND json_extract(data, '$.input.value') = 50",
          )[0]?.n,
      )
      .toBe(1);
    await workshop.stop();
    await workshop.start();
    await page.reload();
    await expect(page.getByText('counting', { exact: true })).toBeVisible();
    await expect
      .poll(async () => {
        const [minutes = 9, seconds = 0] = ((await page.getByTestId('run-clock').textContent()) ?? '')
          .split(':')
          .map(Number);
        return minutes * 60 + seconds;
      })
      .toBeLessThan(300);
    await page.getByLabel('Why it is closed here').fill('rain; by scan tool instead');
    await button(page, 'Did not take').click();
    await readAll(page);
    await button(page, /^On to prove all the same/).click();
  });
  await test.step('prove', async () => {
    for (const [label, value] of [
      ['Idle speed, warm, rpm', '830'],
      ['Idle valve duty, %', '33'],
      ['Position sensor, plate closed, V', '0,50'],
    ] as const) {
      await page.getByLabel(label).fill(value);
      await page.getByLabel(label).press('Enter');
    }
    await expect(
      page.getByRole('img', { name: /Idle speed, warm: band 780 to 880 rpm, before 610, after 830/ }),
    ).toBeVisible();
    await button(page, 'Read: none stored').click();
    for (const name of await button(page, 'Good').all()) await name.click();
    await page.getByRole('radio', { name: 'on the road', exact: true }).click();
    // Line by line: each symptom and each check that found something.
    for (const name of await button(page, 'Gone').all()) await name.click();
    await readAll(page);
    await button(page, /^Done, on to hand over/).click();
  });
  await test.step('hand over, and open again only with a reason', async () => {
    await page.getByLabel('Next due').fill('61000 km');
    await button(page, 'Hand over and close').click();
    await expect(page.getByText('Expected more than today’s 61204 km')).toBeVisible();
    await page.getByLabel('Next due').fill('91000 km');
    // The relearn did not take: it goes like this only with a reason.
    const still = page.getByRole('region', { name: 'Still open' });
    await still.getByRole('button', { name: 'It goes like this, because …' }).click();
    await still.getByLabel('Because').fill('rain; the scan tool comes tomorrow');
    await still.getByLabel('What to watch').fill('a high idle');
    await still.getByLabel('Look again in, days').fill('1');
    await still.getByRole('button', { name: 'Leave it open' }).click();
    await expect(still.getByText('rain; the scan tool comes tomorrow')).toBeVisible();
    await page.getByLabel('What to watch').fill('oil mist in the duct');
    await button(page, 'Hand over and close').click();
    await expect(page.getByRole('heading', { name: 'Handed over' })).toBeVisible();
    await expect
      .poll(() => rows<{ status: string }>('SELECT status FROM job_summary WHERE job_id = ?'))
      .toEqual([{ status: 'closed' }]);
    const pdf = await page.request.get(`${workshop.address}/api/jobs/${jobId}/sheet.pdf`);
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Job file, JSON' }).click(),
    ]);
    expect((JSON.parse(readFileSync(await download.path(), 'utf8')) as { format: string }).format).toBe(
      'unhurried-wrench-job',
    );
    await button(page, 'Open it again').click();
    await expect(page.getByText('Say why it is opened again.')).toBeVisible();
    await page.getByLabel('Open it again because').fill('came back hunting');
    await button(page, 'Open it again').click();
    await expect(page.getByText('Hand over and close')).toBeVisible();
    expect(await (await page.request.get(`${workshop.address}/api/jobs/${jobId}/verify`)).json()).toEqual({
      whole: true,
      brokenAt: null,
    });
  });
});
