import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Report } from '../contract/index.ts';
import { type Harness, harness } from './testing/harness.ts';

let server: Harness;
beforeEach(async () => {
  server = await harness({ now: '2026-05-20T13:00:00.000Z' });
});
afterEach(() => server.close());

const at = (minute: number, day = '2026-05-13'): string =>
  new Date(Date.parse(`${day}T08:00:00.000Z`) + minute * 60_000).toISOString();
const send = (jobId: string, type: string, data: object, minute: number, day?: string) =>
  server.send(jobId, type, data, { at: at(minute, day), by: 'tomas' }).expect(201);
/** One job as a report sees it: sprayed, sealed, coolant out and in, handed over. */
async function done(jobId = 'j', day?: string): Promise<void> {
  await send(
    jobId,
    'open-job',
    { vehicleId: 'bus', reading: { value: 148_220, unit: 'km' }, readingReason: '', complaint: 'hunts' },
    0,
    day,
  );
  await send(jobId, 'promise-ready', { ready: at(120, day), told: 'Wednesday 11:00', why: '' }, 1, day);
  await send(jobId, 'tell-history', { since: 'a month', doneBefore: '' }, 9, day);
  await send(jobId, 'decide', { choice: 'clean-bench', reason: 'deposit', departure: '', options: [] }, 12, day);
  await send(
    jobId,
    'weigh-can',
    {
      id: 'c',
      substance: 'throttle-cleaner',
      surface: 'throttle body',
      beforeText: '320 g',
      afterText: '260 g',
      minutes: 5,
      surfaces: ['bare-aluminium'],
      priceMinor: 140,
    },
    24,
    day,
  );
  await send(
    jobId,
    'use-part',
    { id: 'p', name: 'Body gasket', partNumber: 'NP-25-1107', quantity: 1, priceMinor: 640 },
    30,
    day,
  );
  await send(jobId, 'record-coolant', { id: 'o', kind: 'caught', amountText: '0.7 L', concentration: null }, 36, day);
  await send(jobId, 'record-coolant', { id: 'i', kind: 'returned', amountText: '0.7 L', concentration: null }, 40, day);
  await send(
    jobId,
    'hand-over',
    { watch: '', nextDue: { value: 190_000, unit: 'km' }, labourMinutes: 90, ratePerHourMinor: 5800, currency: 'cr' },
    50,
    day,
  );
}
const report = async (period: string): Promise<Report> =>
  (await server.http.get(`/api/reports/${period}`).expect(200)).body as Report;
const rows = (of: Report, table: string) =>
  of.tables.find(({ id }) => id === table)?.rows.map(({ cells }) => cells) ?? [];
const figures = (of: Report) => Object.fromEntries(of.figures.map(({ id, value }) => [id, value]));

describe('a month of the shop', () => {
  it('sums up what was opened, done, charged and promised, by the days of the shop', async () => {
    await done();
    const may = await report('2026-05');
    // London is an hour ahead: its May begins at eleven in the evening.
    expect(may).toMatchObject({ from: '2026-04-30T23:00:00.000Z', to: '2026-05-31T23:00:00.000Z' });
    expect(figures(may)).toEqual({
      opened: 1,
      closed: 1,
      back: 0,
      hands: expect.closeTo(50, 3) as number,
      kept: 1,
      total: 640 + 140 + 8700,
    });
    expect(rows(may, 'work')).toEqual([
      { kind: 'Clean on the bench', jobs: 1, back: 0, labour: 90, parts: 640, total: 9480 },
    ]);
    expect(rows(may, 'promises')).toEqual([{ kind: 'Kept', jobs: 1 }]);
    expect(figures(await report('2026-06'))).toEqual({ opened: 0, closed: 0, back: 0, hands: 0, kept: null, total: 0 });
    expect(figures(await report('2026')).closed).toBe(1);
  });

  it('tells minutes by stage and by what people are, against what was expected', async () => {
    await done();
    const times = rows(await report('2026-05'), 'times');
    expect(times.map(({ stage, role, jobs, took }) => [stage, role, jobs, Math.round(Number(took))])).toEqual([
      ['Complaint', 'technician', 1, 9],
      ['Decide', 'technician', 1, 3],
      ['Clean', 'technician', 1, 18],
      ['Coolant', 'technician', 1, 10],
      ['Hand over', 'technician', 1, 10],
    ]);
    const [complaint] = times;
    expect(complaint).toMatchObject({ expected: 10, share: expect.closeTo(0.9, 5) as number });
  });

  it('tells what ran over with what the job recorded of why', async () => {
    await send(
      'j',
      'open-job',
      { vehicleId: 'bus', reading: { value: 148_220, unit: 'km' }, readingReason: '', complaint: 'hunts' },
      0,
    );
    for (let minute = 10; minute <= 60; minute += 10)
      await send('j', 'make-note', { id: `n${minute}`, stage: 'complaint', text: 'still listening' }, minute);
    await send('j', 'decide', { choice: 'clean-bench', reason: 'deposit', departure: '', options: [] }, 62);
    await send(
      'j',
      'hand-over',
      { watch: '', nextDue: { value: 190_000, unit: 'km' }, labourMinutes: 90, ratePerHourMinor: 5800, currency: 'cr' },
      64,
    );
    server.db
      .prepare(
        "INSERT INTO seized_screw (job_id, id, unit, place, thread, host, rungs, at) VALUES ('j', 's', 'u', 'p', 'M5', 'alloy', '[]', ?)",
      )
      .run(at(5));
    expect(rows(await report('2026-05'), 'over')).toEqual([
      {
        plate: 'TQ 417',
        stage: 'Complaint',
        took: expect.closeTo(60, 3) as number,
        expected: 10,
        why: 'a seized screw',
      },
    ]);
  });

  it('tells what was used and bought, what went into the air, and coolant out and in', async () => {
    await done();
    const may = await report('2026-05');
    expect(rows(may, 'cleaners')).toEqual([
      { substance: 'Intake and throttle cleaner, sensor-safe', jobs: 1, grams: 60 },
    ]);
    expect(rows(may, 'seals')).toEqual([{ name: 'Body gasket, cable body', number: 'NP-25-1107', used: 1, bought: 0 }]);
    expect(rows(may, 'coolant')).toEqual([
      { kind: 'Caught', jobs: 1, litres: 0.7 },
      { kind: 'Put back', jobs: 1, litres: 0.7 },
    ]);
    const [week] = rows(may, 'air');
    expect(week).toMatchObject({ week: '2026-05-11', jobs: 1, grams: 60 });
    expect(week?.peak).toBeGreaterThan(0.05);
    expect(week?.peak).toBeLessThan(2);
    // Of two sprays at once there is more in the air than of one; of two a day apart there is not.
    await done('k');
    await done('l', '2026-05-14');
    const later = rows(await report('2026-05'), 'air')[0];
    expect(later).toMatchObject({ jobs: 3, grams: 180 });
    expect(Number(later?.peak) / Number(week?.peak)).toBeCloseTo(2, 1);
    await server.http
      .post('/api/stock/s-1107/movements')
      .send({ by: 'isla', movement: { id: 'm', kind: 'received', figure: 4, batch: '', bestBefore: null, note: '' } })
      .expect(201);
    expect(rows(await report('2026-05'), 'seals')[0]).toMatchObject({ used: 3, bought: 4 });
  });

  it('leads from every row to the jobs behind it', async () => {
    await done();
    const may = await report('2026-05');
    const job = { jobId: 'j', number: 228, plate: 'TQ 417' };
    let looked = 0;
    for (const { id, rows: all } of may.tables)
      for (const { key } of all) {
        const reply = await server.http.get('/api/reports/2026-05/behind').query({ table: id, row: key }).expect(200);
        expect(reply.body, `${id} ${key}`).toEqual({ rows: [job] });
        looked += 1;
      }
    expect(looked).toBeGreaterThan(9);
    await server.http.get('/api/reports/2026-05/behind?table=nothing&row=x').expect(404);
    expect((await server.http.get('/api/reports/2026-05/behind?table=air&row=x').expect(200)).body).toEqual({
      rows: [],
    });
    await server.http.get('/api/reports/2026-05/behind?table=work').expect(400);
  });

  it('is a CSV of every table, with its units, and one page of A4', async () => {
    await done();
    const csv = await server.http
      .get('/api/reports/2026-05/tables/work.csv')
      .expect(200)
      .expect('content-type', /text\/csv/);
    expect(csv.text).toBe(
      'What was done,Handed over,Came back,"Labour, charged, min","Parts, cr","In all, cr"\r\nClean on the bench,1,0,90,6.4,94.8\r\n',
    );
    expect(csv.headers['content-disposition']).toContain('2026-05-work.csv');
    await server.http.get('/api/reports/2026-05/tables/nothing.csv').expect(404);
    const pdf = await server.http
      .get('/api/reports/2026-05/sheet.pdf')
      .expect(200)
      .expect('content-type', 'application/pdf');
    const text = (pdf.body as Buffer).toString('latin1');
    expect(text.startsWith('%PDF-')).toBe(true);
    expect(text.match(/\/Type \/Page\b/g)).toHaveLength(1);
  });

  it('is of a month or a year, and of nothing else', async () => {
    for (const wrong of ['2026-13', '26', 'may', '2026-5']) {
      const reply = await server.http.get(`/api/reports/${wrong}`).expect(400);
      expect(reply.body.error.message).toContain('Expected a month such as 2026-05');
    }
  });
});
