import type { Page } from '@playwright/test';
import { expect, test, type Workshop } from './fixtures.ts';

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
const readAll = async (page: Page): Promise<void> => {
  for (const read = button(page, 'I have read it').first(); await read.isVisible();) await read.click();
};
const next = (page: Page) => page.getByRole('region', { name: 'Do this next' });

/** Opens a job on a vehicle of the demo and tells what it does. */
async function begin(
  page: Page,
  workshop: Workshop,
  vehicle: string,
  meter: string,
  reading: string,
  says: string,
): Promise<string> {
  await workshop.open(page, `/vehicles/${vehicle}/new-job`);
  await page.getByLabel('What does the owner say?').fill(says);
  await page.getByLabel(meter).fill(reading);
  await button(page, 'Open the job').click();
  await page.getByLabel('What does it do?').fill(says);
  await button(page, 'Tell').click();
  await expect(page.getByText('Understood:')).toBeVisible();
  return /jobs\/([^/]+)/.exec(page.url())![1]!;
}
async function check(page: Page, name: string, answer: string | RegExp): Promise<void> {
  await button(page, 'All checks').click();
  await page.getByRole('dialog').getByRole('button', { name }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await readAll(page);
  await next(page).getByRole('button', { name: answer }).click();
}
/** The name of the cause that leads on the screen. */
const leader = (page: Page) => page.locator('button[aria-expanded]').filter({ hasText: '%' }).first();

test('a foreign object: read the vehicle, look, clean in place against the house rule', async ({ page, workshop }) => {
  const jobId = await begin(
    page,
    workshop,
    'van2',
    'Odometer, km',
    '88 410',
    'Went into limp mode this morning, and the revs hang.',
  );
  const rows = <T>(sql: string): T[] => workshop.rows<T>(sql, jobId);

  await test.step('the question that tells most is asked, and answered', async () => {
    const asked = page.locator('[data-question]');
    const before = await asked.getByRole('heading').textContent();
    await asked.getByRole('button').first().click();
    await expect(asked.getByRole('heading')).not.toHaveText(before!);
    await expect
      .poll(
        () => rows<{ n: number }>("SELECT count(*) AS n FROM sign_noted WHERE job_id = ? AND source = 'asked'")[0]?.n,
      )
      .toBe(1);
  });
  await test.step('the codes come from the vehicle, and a wrong adapter is noticed', async () => {
    await button(page, 'Read the vehicle').click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel('Adapter').selectOption({ label: 'Simulated: post van 3, CW 118' });
    await sheet.getByRole('button', { name: 'Read codes and values' }).click();
    await expect(sheet.getByText('plugged into another vehicle')).toBeVisible();
    await sheet.getByLabel('Adapter').selectOption({ label: 'Simulated: post van 2, CW 112' });
    await sheet.getByRole('button', { name: 'Read codes and values' }).click();
    await expect(sheet.getByText('Throttle plate: stuck open')).toBeVisible();
    await expect(sheet.getByText('another vehicle')).toHaveCount(0);
    await sheet.getByRole('button', { name: 'Keep it on the job' }).click();
    await sheet.getByRole('button', { name: /Close/ }).click();
    await expect
      .poll(() => rows('SELECT code FROM code WHERE job_id = ? ORDER BY code'))
      .toEqual(['P0121', 'P0507', 'P2101', 'P2111'].map((code) => ({ code })));
    await expect(page.locator('p').filter({ hasText: 'P2111 was set' })).toContainText('engine speed 1910 rpm');
  });
  await test.step('a look with the duct off finds it', async () => {
    await page.getByRole('link', { name: /^Diagnose/ }).click();
    await check(page, 'Duct off, look at the plate', /^Something lies there/);
    await check(page, 'Light round the closed plate', /^Wide on one side/);
    await expect(leader(page)).toContainText('Foreign object on the plate');
    await leader(page).click();
    await expect(page.getByText('Speaks for it')).toBeVisible();
    await expect(page.getByText('it can be seen')).toBeVisible();
  });
  await test.step('bad values are refused beside the field and stay', async () => {
    await button(page, 'All checks').click();
    await page.getByRole('dialog').getByRole('button', { name: 'Position sensor, plate closed' }).click();
    await page.getByLabel('Reading, V').fill('-1');
    await expect(page.getByText(/Expected 0 to 5.5 V, got −1/)).toBeVisible();
    await expect(page.getByLabel('Reading, V')).toHaveValue('-1');
    await page.getByLabel('Reading, V').fill('1,42');
    await expect(next(page).getByText('Above the band')).toBeVisible();
    await button(page, 'Record the reading').click();
    await expect
      .poll(() => rows("SELECT outcome, typed FROM check_result WHERE job_id = ? AND kind = 'closed-volts'"))
      .toEqual([{ outcome: 'high', typed: '1,42' }]);
  });
  await test.step('cleaning in place departs from the house rule, with a reason', async () => {
    await page.getByRole('link', { name: /^Decide/ }).click();
    await page.getByRole('radio', { name: /Clean on the vehicle/ }).check();
    await page.getByLabel('Because').fill('a seed held the plate; bore clean');
    await button(page, 'Decide: clean on the vehicle').click();
    await expect(page.getByText('Say why this job departs from it')).toBeVisible();
    await page.getByLabel(/House rule/).fill('nothing to clean but the seed');
    await button(page, 'Decide: clean on the vehicle').click();
    await expect(page.getByText('Departs from the house rule: nothing to clean')).toBeVisible();
    await expect
      .poll(() => rows('SELECT question, taken FROM rule_departure WHERE job_id = ?'))
      .toEqual([{ question: 'where', taken: 'in-place' }]);
    expect(
      rows<{ cause: string }>('SELECT cause FROM belief_share WHERE job_id = ? ORDER BY share DESC LIMIT 1'),
    ).toEqual([{ cause: 'foreign' }]);
  });
  await test.step('the owner gets an estimate and says yes', async () => {
    await button(page, 'Make the estimate').click();
    const pdf = await page.request.get(
      await page
        .getByRole('link', { name: 'A4 page' })
        .getAttribute('href')
        .then((href) => workshop.address + href!),
    );
    expect(pdf.headers()['content-type']).toContain('application/pdf');
    await page.getByText('The message', { exact: true }).click();
    await expect(page.getByText('May we go ahead?')).toBeVisible();
    await page.getByLabel('How', { exact: true }).fill('telephone');
    await button(page, 'Keep the answer').click();
    await expect(page.getByRole('region', { name: 'Estimate for the owner' })).toContainText(
      'by Island post, telephone',
    );
    await expect
      .poll(() => rows('SELECT answer, who FROM estimate WHERE job_id = ?'))
      .toEqual([{ answer: 'approved', who: 'Island post' }]);
  });
  await test.step('clearing the codes asks first and keeps them', async () => {
    await page.getByRole('link', { name: /^Complaint/ }).click();
    await button(page, 'Read the vehicle').click();
    await button(page, 'Clear the codes in the vehicle').click();
    await expect(page.getByText('What is stored is kept on this job first')).toBeVisible();
    await button(page, 'Clear them').click();
    await expect(page.getByText(/P2111, P0507, P2101, P0121 cleared/)).toBeVisible();
    expect(rows('SELECT codes, outcome FROM clearing WHERE job_id = ?')).toEqual([
      { codes: 'P2111 P0507 P2101 P0121', outcome: 'cleared' },
    ]);
  });
});

test('the wrong variant: compare, and replace', async ({ page, workshop }) => {
  const jobId = await begin(
    page,
    workshop,
    'van1',
    'Odometer, km',
    '121 000',
    'Hunts and idles too high, never right since another throttle from the breaker was fitted.',
  );
  const rows = <T>(sql: string): T[] => workshop.rows<T>(sql, jobId);
  await button(page, 'Paste a printout').click();
  await page.getByLabel('The printout').fill('nothing here');
  await expect(page.getByText('No code found in this text')).toBeVisible();
  await page.getByLabel('The printout').fill('Scan report\nP0505 idle control system\nP1999 (maker)');
  await button(page, 'Take all 2').click();
  await button(page, 'That is all of them').click();
  await page.getByRole('link', { name: /^Diagnose/ }).click();
  await expect(page.getByText('Kept, but not weighed')).toContainText('P1999');
  await button(page, 'Compare the variant').click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Port diameter, mm').fill('wide');
  await expect(sheet.getByText('Expected a number, such as 10 mm; got “wide”.')).toBeVisible();
  for (const [label, value] of [
    ['Port diameter, mm', '49'],
    ['Gasket outline', 'round, three holes'],
    ['Connector pins', '6'],
    ['Drive', 'motor'],
    ['Variant mark', 'E2'],
  ] as const)
    await sheet.getByLabel(label, { exact: true }).fill(value);
  await expect(sheet.getByText(/Fits, but sets idle codes: port diameter 49 mm, expected 46 mm/)).toBeVisible();
  await sheet.getByRole('button', { name: 'Keep the comparison' }).click();
  await expect(leader(page)).toContainText('Unit of the wrong variant');
  await expect
    .poll(() => rows('SELECT verdict FROM variant_compared WHERE job_id = ?'))
    .toEqual([{ verdict: 'fits, but sets idle codes' }]);

  await page.getByRole('link', { name: /^Decide/ }).click();
  await expect(page.getByRole('heading', { level: 2 })).toContainText(/^Replace, (rebuilt|new|used) unit comes first/);
  await page.getByRole('radio', { name: /Replace, new unit/ }).check();
  // The price is a line that can be moved by keyboard too; where the choice flips is said.
  const line = page.getByRole('slider', { name: /Parts for “replace, new unit”/ });
  await expect(page.getByText(/^Below \d+ cr: replace, new unit. Above: replace, rebuilt unit./)).toBeVisible();
  await line.fill('5000');
  await expect(page.getByRole('heading', { level: 2 })).toContainText('Replace, new unit comes first');
  await expect
    .poll(() => rows('SELECT parts_minor FROM option_terms WHERE job_id = ?'))
    .toEqual([{ parts_minor: 5000 }]);
  await page.getByLabel('Because').fill('wrong variant: port 3 mm too wide');
  await button(page, 'Decide: replace, new unit').click();
  await expect.poll(() => rows('SELECT choice FROM job_decision WHERE job_id = ?')).toEqual([{ choice: 'replace' }]);
});

test('not the throttle: the leak is heard, and the program says leave it alone', async ({ page, workshop }) => {
  const jobId = await begin(
    page,
    workshop,
    'van2',
    'Odometer, km',
    '88 500',
    'Rough at idle and hunting, worse when cold.',
  );
  await page.getByRole('link', { name: /^Diagnose/ }).click();
  // By keyboard alone: the check is reached, answered and undone without the pointer.
  await check(page, 'Listen for leaks, hose by hose', /^No change anywhere/);
  await check(page, 'Listen for leaks, hose by hose', /^Speed changed at a joint/);
  await expect(leader(page)).toContainText('Intake leak after the meter');
  await leader(page).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('No work on the throttle will cure it.')).toBeVisible();
  await expect(page.getByText('What would change this')).toBeVisible();
  await button(page, 'All checks').click();
  await page.getByRole('dialog').getByRole('button', { name: 'Smoke into the intake' }).click();
  await button(page, 'Could not do it').click();
  await page.getByLabel('Why not').fill('no machine today');
  await button(page, 'Leave it out').click();
  await expect(page.getByText('Left out: Smoke into the intake (no machine today)')).toBeVisible();
  await page.getByRole('link', { name: /^Decide/ }).click();
  await expect(page.getByRole('heading', { level: 2 })).toContainText('Not the throttle comes first');
  await page.getByLabel('Because').fill('split hose behind the duct');
  await button(page, 'Decide: not the throttle').click();
  const rows = <T>(sql: string): T[] => workshop.rows<T>(sql, jobId);
  await expect.poll(() => rows('SELECT choice FROM job_decision WHERE job_id = ?')).toEqual([{ choice: 'elsewhere' }]);
  expect(rows("SELECT outcome FROM check_result WHERE job_id = ? AND kind = 'leak-by-ear' ORDER BY at")).toEqual([
    { outcome: 'none' },
    { outcome: 'changed' },
  ]);
});

test('the outboard: heat has warped it, counted in hours', async ({ page, workshop }) => {
  const { vehicle } = (await (await fetch(`${workshop.address}/api/vehicles/launch`)).json()) as {
    vehicle: Record<string, unknown>;
  };
  const { id: _, lastReading: __, ...input } = vehicle;
  await fetch(`${workshop.address}/api/vehicles/pilot`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ by: 'isla', vehicle: { ...input, plate: 'LN 012', nickname: 'pilot boat', units: [] } }),
  });
  const jobId = await begin(
    page,
    workshop,
    'pilot',
    'Running hours',
    '418',
    'Trolling speed up since it overheated, idle is too low at times.',
  );
  await expect(page.getByText('These do not go together')).toBeVisible();
  await button(page, 'strike out idle too low').click();
  await expect(page.getByText('These do not go together')).toHaveCount(0);
  await page.getByRole('link', { name: /^Diagnose/ }).click();
  await button(page, 'All checks').click();
  await page.getByRole('dialog').getByRole('button', { name: 'Straight edge across the body' }).click();
  await next(page)
    .getByRole('button', { name: /^Light under the edge/ })
    .click();
  await expect(page.getByText(/comes after “Duct off, look at the plate”/)).toBeVisible();
  await check(page, 'Duct off, look at the plate', /^Thin even film/);
  await check(page, 'Straight edge across the body', /^Light under the edge/);
  await expect(leader(page)).toContainText('Body warped or plate bent');
  await page.getByRole('link', { name: /^Decide/ }).click();
  await expect(page.getByText('per 100 h').first()).toBeAttached();
  await expect(page.getByRole('heading', { level: 2 })).toContainText(/^Replace, (new|used) unit comes first/);
  await page.getByRole('radio', { name: /Replace, new unit/ }).check();
  await page.getByLabel('Because').fill('0.4 mm under the straight edge: cleaning never cures that');
  await button(page, 'Decide: replace, new unit').click();
  const rows = <T>(sql: string): T[] => workshop.rows<T>(sql, jobId);
  await expect.poll(() => rows('SELECT choice FROM job_decision WHERE job_id = ?')).toEqual([{ choice: 'replace' }]);
  expect(rows('SELECT cause FROM belief_share WHERE job_id = ? ORDER BY share DESC LIMIT 1')).toEqual([
    { cause: 'warped' },
  ]);
});

test('a lead changes what is known; a bad change is refused and stays on the page', async ({ page, workshop }) => {
  await workshop.open(page, '/knowledge', 'isla');
  await expect(page.getByText('written cases')).toBeVisible();
  await page
    .getByLabel('How often: wet with oil')
    .or(page.getByLabel('How often: duct wet with oil'))
    .selectOption('nearly always');
  await page.getByLabel('What was changed, and why').fill('seen often');
  await button(page, /Keep as version 2/).click();
  await expect(page.getByText(/at most 98 %/).first()).toBeVisible();
  await expect(page.getByLabel('What was changed, and why')).toHaveValue('seen often');
  await page.getByLabel('How often: duct wet with oil').selectOption('never');
  await page.getByLabel('How often: stalls coming to rest').selectOption('nearly always');
  await button(page, /Keep as version 2/).click();
  await expect(page.getByRole('heading', { name: 'Knowledge 2' })).toBeVisible();
  expect(workshop.rows('SELECT version, person FROM knowledge ORDER BY version')).toEqual([
    { version: 1, person: '' },
    { version: 2, person: 'isla' },
  ]);
  await page.goto(`${workshop.address}/settings`);
  await page.getByRole('radio', { name: /Clamp them/ }).check();
  await expect
    .poll(() => workshop.rows("SELECT answer FROM house_rule WHERE question = 'hoses'"))
    .toEqual([{ answer: 'clamp' }]);
});
