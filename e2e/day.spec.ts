import type { Page } from '@playwright/test';
import { expect, test, type Workshop } from './fixtures.ts';

test.use({ empty: true });

const ALWAYS = { hours: Array.from({ length: 7 }, () => ({ from: 0, to: 1440 })), closed: [] };
const DAY_MS = 86_400_000;
const isoDay = (days: number): string => new Date(Date.now() + days * DAY_MS).toISOString().slice(0, 10);

/** A shop of one lead that is always open, in universal time: what day it is must not matter to a story. */
async function openShop(page: Page, { address }: Workshop): Promise<void> {
  const put = async (path: string, data: object): Promise<void> => {
    const reply = await page.request.put(`${address}/api${path}`, { data: { by: 'isla', ...data } });
    expect(reply.ok(), await reply.text()).toBe(true);
  };
  await put('/people/isla', { person: { name: 'Isla Renn', role: 'lead', bay: 'bay 1' } });
  await put('/calendar', { calendar: ALWAYS });
  await put('/settings', {
    settings: {
      shopName: 'Tern Quay Garage',
      currency: 'cr',
      timeZone: 'UTC',
      measures: null,
      ratePerHourMinor: 5800,
      dayPriceMinor: 4500,
      comebackMinor: 9000,
      comebackWithin: { days: 90, km: 5000, h: 50 },
    },
  });
  await put('/vehicles/till', {
    vehicle: {
      plate: 'OT 902',
      vin: '',
      make: 'Ostrea',
      model: 'Till',
      nickname: 'ferry crew',
      year: null,
      engine: '2.0 L four',
      throttle: 'cable',
      idleValve: 'rotary',
      owner: 'Ferry',
      meterUnit: 'km',
      figures: { idleRpm: null, valveDuty: null, closedVolts: null },
      units: [],
      notes: '',
      knownSince: '2020-01-01',
    },
  });
}
const by = (page: Page, workshop: Workshop, jobId: string, type: string, data: object, at = new Date().toISOString()) =>
  page.request.post(`${workshop.address}/api/jobs/${jobId}/commands`, {
    data: { id: crypto.randomUUID(), at, by: 'isla', seen: 0, late: 'written-up', type, data },
  });
const opened = (reading: number) => ({
  vehicleId: 'till',
  reading: { value: reading, unit: 'km' },
  readingReason: '',
  complaint: 'hunts at idle',
});
const sentence = (page: Page) => page.getByTestId('day-sentence');

test('a day that slips: a promise is made, somebody falls ill, the clash is settled and the customer told', async ({
  page,
  workshop,
}) => {
  await openShop(page, workshop);
  expect((await by(page, workshop, 'j', 'open-job', opened(61_200))).ok()).toBe(true);
  await workshop.open(page, '/jobs/j/complaint', 'isla');
  await page.getByRole('button', { name: 'promise a time' }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByText('The earliest honest promise')).toBeVisible();
  await sheet.getByRole('button', { name: /^Promise (?!that)/ }).click();
  await expect(sheet.getByText('the promise holds')).toBeVisible();
  await sheet.getByRole('button', { name: 'Close' }).click();

  await page.goto(`${workshop.address}/bay`);
  await expect(sentence(page)).toHaveText(/^OT 902 as promised/);
  await expect(page.getByLabel('Who does what').getByRole('button').first()).toBeVisible();
  await expect.poll(() => workshop.rows<{ n: number }>('SELECT COUNT(*) AS n FROM day_plan')[0]?.n).toBe(1);

  // She falls ill: the day is woven anew on every screen that shows it.
  const away = { personId: 'isla', from: isoDay(0), to: isoDay(2), part: 'day', why: 'ill' };
  await page.request.put(`${workshop.address}/api/absences/ill`, { data: { by: 'isla', absence: away } });
  await expect(sentence(page)).toHaveText(/^OT 902 will be not done before .*\.$/);
  const clash = page.getByLabel('A clash to settle');
  await expect(clash).toContainText('OT 902 is not done in time');
  await expect(page.getByLabel('What moved')).toContainText('OT 902');
  await clash.getByRole('button', { name: 'Weave it the first way' }).click();
  await expect(sentence(page)).toHaveText(/^OT 902 as promised/);
  const promises = workshop.rows<{ data: string }>(
    "SELECT data FROM event WHERE job_id = 'j' AND type = 'ready-promised' ORDER BY seq",
  );
  expect(promises).toHaveLength(2);

  await page.goto(`${workshop.address}/jobs/j/complaint`);
  await page.getByRole('button', { name: /^ready / }).click();
  await expect(page.getByRole('dialog')).toContainText('not when we told you before');
});

test('a part that comes early: what waited for it is begun today', async ({ page, workshop }) => {
  await openShop(page, workshop);
  expect((await by(page, workshop, 'j', 'open-job', opened(61_200))).ok()).toBe(true);
  for (const stage of ['complaint', 'diagnose', 'decide', 'prepare'])
    await by(page, workshop, 'j', 'pass-stage', { stage });
  await by(page, workshop, 'j', 'add-need', {
    need: { id: 'seal', kind: 'part', name: 'Valve seal', partNumber: 'OT-7', note: '', caution: null },
  });
  await by(page, workshop, 'j', 'tick-need', { needId: 'seal', state: 'ordered', expected: isoDay(5) });
  await workshop.open(page, '/bay', 'isla');
  await expect(page.getByText('Waits: Valve seal')).toBeVisible();
  await expect(page.getByText(/^goes on /)).toBeVisible();
  await expect(page.getByLabel('Who does what').getByRole('button')).toHaveCount(0);

  await by(page, workshop, 'j', 'tick-need', { needId: 'seal', state: 'ready', expected: null });
  const first = page.getByLabel('Who does what').getByRole('button', { name: /OT 902: strip, Isla/ });
  await expect(first).toBeVisible();

  // The same by key: it is put off a quarter of an hour, and the plan keeps it so.
  await first.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Later, 15 min' }).press('Enter');
  await expect(page.getByText('Pinned for')).toBeVisible();
  expect(workshop.rows('SELECT stretch, person_id FROM day_wish')).toEqual([{ stretch: 'strip', person_id: 'isla' }]);
  await page.keyboard.press('Escape');
  await page.goto(`${workshop.address}/bench/isla`);
  await expect(page.getByRole('heading', { name: 'Isla’s bench' })).toBeVisible();
  await expect(page.getByLabel('Now')).toContainText('OT 902');
});

test('due, planned, done: a vehicle is called in by what was seen of it, and leaves the list', async ({
  page,
  workshop,
}) => {
  await openShop(page, workshop);
  const past = async (jobId: string, days: number, reading: number): Promise<void> => {
    const at = new Date(Date.now() - days * DAY_MS).toISOString();
    const done = async (type: string, data: object): Promise<void> => {
      const reply = await by(page, workshop, jobId, type, data, at);
      expect(reply.ok(), await reply.text()).toBe(true);
    };
    await done('open-job', opened(reading));
    await done('record-finding', {
      id: 'g',
      unit: 'throttle-body',
      point: 'deposit-front',
      when: 'before',
      grade: 3,
      text: '',
    });
    await done('decide', { choice: 'clean-bench', reason: 'deposit', departure: '', options: [] });
    await done('hand-over', {
      watch: '',
      nextDue: { value: reading + 40_000, unit: 'km' },
      labourMinutes: 90,
      ratePerHourMinor: 5800,
      currency: 'cr',
    });
  };
  await past('old', 800, 50_000);
  await past('last', 420, 66_000);
  await workshop.open(page, '/records/due', 'isla');
  const line = page.getByRole('button', { name: /OT 902/ });
  await expect(line).toContainText(/due (around|since)/);
  await line.click();
  await expect(page.getByText('by one stretch of its own')).toBeVisible();
  await page.getByRole('button', { name: 'The customer was told' }).click();
  await expect(line).toContainText('customer told (Isla');
  await page.getByRole('link', { name: 'Open a planned job' }).click();

  await expect(page.getByRole('radio', { name: 'Planned: clean or check' })).toBeChecked();
  await page.getByLabel(/What is planned|What does the owner say/).fill('Clean it again.');
  await page.getByLabel('Odometer, km').fill('83 400');
  await page.getByRole('button', { name: 'Open the job' }).click();
  await expect(page).toHaveURL(/\/jobs\/[^/]+/);
  const jobId = /jobs\/([^/]+)/.exec(page.url())![1]!;
  await page.goto(`${workshop.address}/records/due`);
  await expect(page.getByRole('button', { name: /OT 902/ })).toContainText(/job \d+ is open/);

  for (const [type, data] of [
    ['record-finding', { id: 'g', unit: 'throttle-body', point: 'deposit-front', when: 'before', grade: 3, text: '' }],
    ['decide', { choice: 'clean-bench', reason: 'deposit', departure: '', options: [] }],
    [
      'hand-over',
      { watch: '', nextDue: { value: 120_000, unit: 'km' }, labourMinutes: 90, ratePerHourMinor: 5800, currency: 'cr' },
    ],
  ] as const)
    expect((await by(page, workshop, jobId, type, data)).ok()).toBe(true);
  await page.reload();
  await expect(page.getByText('1 more is due later.')).toBeVisible();
  // It was serviced, and had not failed: it held from one visit to the next.
  await page.getByRole('link', { name: 'What lasts' }).click();
  await expect(page.getByText('good when it was here again')).toBeVisible();
});
