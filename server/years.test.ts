import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { DueReply, LastingReply } from '../contract/index.ts';
import { type Harness, harness } from './testing/harness.ts';

let server: Harness;
let now = '2026-05-13T13:09:00.000Z';
beforeEach(async () => {
  now = '2026-05-13T13:09:00.000Z';
  server = await harness({ now: () => now });
});
afterEach(() => server.close());

/** A clean on the bench as it is recorded in a hurry: graded, decided, handed over. */
async function cleaned(
  jobId: string,
  at: string,
  meter: number,
  { grade = 3, vehicleId = 'farm', handOver = true }: { grade?: number; vehicleId?: string; handOver?: boolean } = {},
): Promise<void> {
  const send = (type: string, data: object) =>
    server.send(jobId, type, data, { at: `${at}T09:00:00.000Z`, by: 'isla' }).expect(201);
  await send('open-job', { vehicleId, reading: { value: meter, unit: 'km' }, readingReason: '', complaint: 'hunts' });
  await send('record-finding', {
    id: 'g',
    unit: 'throttle-body',
    point: 'deposit-front',
    when: 'before',
    grade,
    text: '',
  });
  await send('decide', { choice: 'clean-bench', reason: 'deposit', departure: '', options: [] });
  if (handOver)
    await send('hand-over', {
      watch: '',
      nextDue: { value: meter + 50_000, unit: 'km' },
      labourMinutes: 90,
      ratePerHourMinor: 5800,
      currency: 'cr',
    });
}
const due = async (weeks = 520): Promise<DueReply> =>
  (await server.http.get(`/api/due?weeks=${weeks}`).expect(200)).body as DueReply;
const lasting = async (): Promise<LastingReply> =>
  (await server.http.get('/api/lasting').expect(200)).body as LastingReply;
const put = (path: string, body: object, by = 'isla') => server.http.put(`/api${path}`).send({ by, ...body });

describe('what is due', () => {
  it('lists vehicles by their own fouling and use, within the weeks that are asked for', async () => {
    await cleaned('a', '2024-05-01', 200_000);
    await cleaned('b', '2025-05-01', 220_000, { grade: 3 });
    const { rows, later, today } = await due();
    expect({ today, later }).toEqual({ today: '2026-05-13', later: 0 });
    expect(rows).toMatchObject([
      {
        vehicleId: 'farm',
        plate: 'OT 551',
        from: 'own',
        stretches: 1,
        lastJobId: 'b',
        lastOn: '2025-05-01',
        lastMeter: 220_000,
        openJob: null,
        answer: null,
      },
    ]);
    expect(rows[0]!.perDay).toBeCloseTo(20_000 / 365, 1);
    expect((await due(0)).rows.length + (await due(0)).later).toBe(1);
    await server.http.get('/api/due?weeks=many').expect(400);
  });

  it('says that a job is open on one, and keeps what the customer said until the next visit', async () => {
    await cleaned('a', '2024-05-01', 200_000);
    await put('/due/farm', { answer: 'put-off', until: '2026-08-01', note: 'after the harvest' }, 'tomas').expect(200);
    expect((await due()).rows[0]?.answer).toMatchObject({
      answer: 'put-off',
      until: '2026-08-01',
      by: 'tomas',
      note: 'after the harvest',
    });
    const wrong = await put('/due/farm', { answer: 'put-off', until: null, note: '' }).expect(400);
    expect(wrong.body.error.fields.until).toContain('Until which day');
    await put('/due/nobody', { answer: 'told', until: null, note: '' }).expect(404);
    await put('/due/farm', { answer: null, until: null, note: '' }).expect(200);
    expect((await due()).rows[0]?.answer).toBeNull();
    await put('/due/farm', { answer: 'not-wanted', until: null, note: '' }).expect(200);
    await cleaned('c', '2026-05-12', 230_000, { handOver: false });
    expect((await due()).rows[0]).toMatchObject({ openJob: { jobId: 'c' }, answer: { answer: 'not-wanted' } });
    now = '2026-06-20T10:00:00.000Z';
    await server
      .send(
        'c',
        'hand-over',
        {
          watch: '',
          nextDue: { value: 280_000, unit: 'km' },
          labourMinutes: 90,
          ratePerHourMinor: 5800,
          currency: 'cr',
        },
        { at: '2026-06-20T09:00:00.000Z', by: 'isla' },
      )
      .expect(201);
    expect((await due()).rows[0]).toMatchObject({ openJob: null, answer: null, lastJobId: 'c' });
  });

  it('says what to have on the shelf: what was renewed last time, and how much of it there is', async () => {
    await cleaned('a', '2024-05-01', 200_000);
    const part = server.db.prepare(
      "INSERT INTO consumption (job_id, id, kind, name, part_number, part_key, quantity, unit, price_minor) VALUES ('a', ?, 'part', ?, ?, ?, ?, '', 0)",
    );
    const [thing] = server.db
      .prepare<[], { part_number: string; part_key: string }>(
        "SELECT part_number, part_key FROM stock WHERE part_key <> '' LIMIT 1",
      )
      .all();
    part.run('x', 'Valve gasket', 'OT-1', 'ot1', 2);
    part.run('y', 'Body gasket', thing!.part_number, thing!.part_key, 1);
    const { rows, shelf } = await due();
    const own = { name: 'Body gasket', partNumber: thing!.part_number, quantity: 1 };
    expect(rows[0]?.parts).toEqual([own, { name: 'Valve gasket', partNumber: 'OT-1', quantity: 2 }]);
    expect(shelf).toEqual([
      { ...own, inStock: expect.any(Number) as number },
      { name: 'Valve gasket', partNumber: 'OT-1', quantity: 2, inStock: null },
    ]);
    await put('/due/farm', { answer: 'not-wanted', until: null, note: '' }).expect(200);
    expect((await due()).shelf).toEqual([]);
  });
});

describe('what lasts', () => {
  it('is known by the next fault, by what was seen later, and by what the customer says', async () => {
    await cleaned('a', '2024-05-01', 200_000);
    await cleaned('b', '2025-05-01', 218_000);
    const { lives } = await lasting();
    expect(
      lives.map(({ jobId, use, failed, knownBy, ask, number }) => ({ jobId, use, failed, knownBy, ask, number })),
    ).toEqual([
      { jobId: 'a', use: 18_000, failed: true, knownBy: 'failed', ask: false, number: lives[0]!.number },
      { jobId: 'b', use: 1, failed: false, knownBy: 'hand-over', ask: true, number: lives[1]!.number },
    ]);
    const said = await server.http
      .post('/api/follow-ups/b')
      .send({ by: 'tomas', answer: 'good', meter: 229_500, note: 'by telephone' })
      .expect(201);
    expect((said.body as LastingReply).lives[1]).toMatchObject({ use: 11_500, knownBy: 'told', ask: false });
    expect(server.db.prepare('SELECT by, note FROM follow_up').all()).toEqual([{ by: 'tomas', note: 'by telephone' }]);
  });
  it('asks about no job that there is not, and takes no answer that is none', async () => {
    await cleaned('a', '2024-05-01', 200_000, { handOver: false });
    const ask = (jobId: string, body: object) =>
      server.http.post(`/api/follow-ups/${jobId}`).send({ by: 'isla', note: '', meter: null, ...body });
    await ask('a', { answer: 'good' }).expect(404);
    await ask('none', { answer: 'good' }).expect(404);
    await ask('a', { answer: 'fine' }).expect(400);
    await ask('a', { answer: 'good', meter: -1 }).expect(400);
  });
  it('is the same once all columns are made anew', async () => {
    await cleaned('a', '2024-05-01', 200_000);
    await cleaned('b', '2025-05-01', 218_000);
    const before = server.db.prepare('SELECT * FROM visit ORDER BY job_id').all();
    expect(before).toHaveLength(2);
    server.services.jobs.rebuild();
    expect(server.db.prepare('SELECT * FROM visit ORDER BY job_id').all()).toEqual(before);
  });
});

describe('how long repairs held', () => {
  it('is told to those who decide, once enough of a kind have failed', async () => {
    const held = async () => (await server.http.get('/api/held').expect(200)).body as { rows: object[] };
    for (let nth = 0; nth < 5; nth += 1)
      await cleaned(`h${nth}`, `202${nth}-05-01`, 100_000 + 20_000 * nth, { grade: 3 });
    expect((await held()).rows).toEqual([]);
    // A sixth visit for a fault: the fifth repair has failed too.
    await cleaned('h5', '2025-05-01', 200_000);
    expect((await held()).rows).toEqual([
      { option: 'clean-bench', unitKind: 'throttle-body', unit: 'km', repairs: 5, failures: 5, median: 20_000 },
    ]);
  });
});
