import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BayLine, JobSummary, Page, StockItem, UnitSort } from '../contract/index.ts';
import { bayState } from '../core/bay/index.ts';
import { HANDS_ON_GAP_S, runningTimers, timerEnd } from '../core/job/index.ts';
import { SAMPLES } from '../core/job/testing/samples.ts';
import type { UnitObject, Vehicle } from '../core/vehicle/index.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
});
afterAll(() => server.close());

const get = async <T>(path: string, query: object = {}): Promise<T> =>
  (await server.http.get(path).query(query).expect(200)).body as T;

/** All rows of a list, a page at a time. */
async function walk<T>(path: string, query: object, limit = 3): Promise<T[]> {
  const rows: T[] = [];
  let after: string | null = null;
  do {
    const page: Page<T> = await get(path, { ...query, limit, ...(after === null ? {} : { after }) });
    expect(page.rows.length).toBeLessThanOrEqual(limit);
    rows.push(...page.rows);
    after = page.next;
  } while (after !== null);
  return rows;
}

describe('a list', () => {
  it.each([
    ['plate', 'asc', ({ plate }: Vehicle) => plate],
    ['plate', 'desc', ({ plate }: Vehicle) => plate],
    ['make', 'asc', ({ make, model }: Vehicle) => `${make}\u0000${model}`],
    ['owner', 'desc', ({ owner }: Vehicle) => owner],
  ] as const)('of vehicles by %s %s is whole and in order, page by page', async (sort, direction, key) => {
    const rows = await walk<Vehicle>('/api/vehicles', { sort, direction });
    const ids = server.db.prepare<[], { id: string }>('SELECT id FROM vehicle').all();
    expect(new Set(rows.map(({ id }) => id))).toEqual(new Set(ids.map(({ id }) => id)));
    expect(rows).toHaveLength(ids.length);
    const keys = rows.map(key);
    expect(keys).toEqual([...keys].sort((a, b) => (a < b ? -1 : 1) * (direction === 'asc' ? 1 : -1)));
  });
  it('of vehicles holds what was typed, in words begun and numbers however they are spelt', async () => {
    const { plate, vin, owner } = server.services.vehicles.get('bus')!;
    const [surname] = owner.split(' ').slice(-1);
    for (const q of [plate.toLowerCase(), plate.replaceAll(' ', '-'), vin.slice(-6), surname!.slice(0, 3)])
      expect((await get<Page<Vehicle>>('/api/vehicles', { q })).rows.map(({ id }) => id)).toContain('bus');
    expect((await get<Page<Vehicle>>('/api/vehicles', { q: `${plate} zzyzx` })).rows).toEqual([]);
    expect((await get<Page<Vehicle>>('/api/vehicles', { q: '"*' })).rows.length).toBeGreaterThan(1);
  });
  it('finds the same whether few fit or many', async () => {
    const few = server.services.search.few.bind(server.services.search);
    const asked = async (q: string): Promise<string[]> =>
      (await walk<Vehicle>('/api/vehicles', { q }, 50)).map(({ id }) => id);
    for (const q of ['diesel', 't', 'tq', '4', 'van', 'e']) {
      const looked = await asked(q);
      server.services.search.few = () => null;
      expect(await asked(q), q).toEqual(looked);
      server.services.search.few = few;
    }
  });
  it('of jobs goes by number, last entry or plate, and by what their line says', async () => {
    for (const [index, vehicleId] of ['bus', 'van1', 'bus', 'van1', 'bus'].entries())
      await openJob(server, `j${index}`, { vehicleId, reading: { value: 150_000 + index, unit: 'km' } }).expect(201);
    const by = async (query: object) => (await walk<JobSummary>('/api/jobs', query, 2)).map(({ id }) => id);
    expect(await by({})).toEqual(['j4', 'j3', 'j2', 'j1', 'j0']);
    expect(await by({ sort: 'number', direction: 'asc' })).toEqual(['j0', 'j1', 'j2', 'j3', 'j4']);
    expect(await by({ sort: 'last', direction: 'asc' })).toEqual(['j0', 'j1', 'j2', 'j3', 'j4']);
    server.db.exec("UPDATE job_summary SET last_at = '2026-05-12T08:00:00.000Z' WHERE job_id = 'j3'");
    expect(await by({ sort: 'last' })).toEqual(['j4', 'j2', 'j1', 'j0', 'j3']);
    expect(await by({ vehicleId: 'bus' })).toEqual(['j4', 'j2', 'j0']);
    expect(await by({ q: server.services.vehicles.get('bus')!.plate.replaceAll(' ', '') })).toEqual(['j4', 'j2', 'j0']);
    expect(await by({ status: 'closed' })).toEqual([]);
    expect((await by({ sort: 'plate', direction: 'asc' })).length).toBe(5);
  });
  it('of the stock goes by kind, by words and by numbers', async () => {
    const all = await walk<StockItem>('/api/stock', { sort: 'name' }, 4);
    expect(all.map(({ id }) => id).sort()).toEqual(
      server.services.stock
        .all(NOW)
        .map(({ id }) => id)
        .sort(),
    );
    const one = all.find(({ partNumber }) => partNumber !== '')!;
    const ids = async (query: object) => (await walk<StockItem>('/api/stock', query)).map(({ id }) => id);
    expect(await ids({ number: one.partNumber.toLowerCase().replaceAll('-', ' ') })).toEqual([one.id]);
    expect(await ids({ number: ['none', one.partNumber], kind: one.kind })).toEqual([one.id]);
    expect(await ids({ q: one.name })).toContain(one.id);
    const kinds = (await walk<StockItem>('/api/stock', { kind: ['cleaner', 'coolant'] })).map(({ kind }) => kind);
    expect(new Set(kinds)).toEqual(new Set(['cleaner', 'coolant']));
    await server.http.get('/api/stock').query({ kind: 'wheel' }).expect(400);
  });
  it('of loose units goes by state, number and place', async () => {
    for (const [index, place] of ['U2', 'U1', 'U3', 'U1'].entries()) {
      const unit = { kind: 'throttle-body', partNumber: `CW-${9 - index}`, features: SAMPLE_FEATURES };
      await server.http.put(`/api/units/u${index}`).send({ by: 'wen', unit }).expect(201);
      const entry = { kind: 'bought', vehicleId: null, place, priceMinor: null, note: '' };
      await server.http.post(`/api/units/u${index}/life`).send({ by: 'wen', entry }).expect(201);
    }
    const by = async (sort: UnitSort) => (await walk<UnitObject>('/api/units', { sort, q: 'cw' })).map(({ id }) => id);
    expect(await by('number')).toEqual(['u3', 'u2', 'u1', 'u0']);
    expect(await by('place')).toEqual(['u1', 'u3', 'u0', 'u2']);
    expect((await by('state')).sort()).toEqual(['u0', 'u1', 'u2', 'u3']);
    expect((await walk<UnitObject>('/api/units', { q: 'cw 9' })).map(({ id }) => id)).toEqual(['u0']);
    expect((await walk<UnitObject>('/api/units', { q: 'u1' })).map(({ id }) => id).sort()).toEqual(['u1', 'u3']);
  });
  it.each([
    ['of another list', '/api/vehicles', {}, '/api/jobs'],
    ['of another order', '/api/vehicles', { sort: 'owner' }, '/api/vehicles'],
    ['of the other direction', '/api/jobs', { direction: 'asc' }, '/api/jobs'],
  ])('refuses a page key %s, in words', async (_, from, query, to) => {
    const { next } = await get<Page<unknown>>(from, { ...query, limit: 1 });
    const { body } = await server.http.get(to).query({ after: next }).expect(400);
    expect(body.error.fields.after).toContain('of another list, or of another order');
  });
  it.each([['nonsense'], ['%00'], ['W10'], ['x'.repeat(900)]])('refuses %s as a page key', async (after) => {
    await server.http.get('/api/stock').query({ after }).expect(400);
    await server.http.get('/api/returns').query({ after }).expect(400);
    await server.http.get('/api/reminders').query({ after }).expect(400);
  });
  it('goes on where it was though a row of the page before is gone', async () => {
    const page = await get<Page<Vehicle>>('/api/vehicles', { limit: 2 });
    const [, last] = page.rows;
    const rest = await get<Page<Vehicle>>('/api/vehicles', { limit: 200, after: page.next });
    server.db.prepare('UPDATE vehicle SET plate = ? WHERE id = ?').run('ZZ 999', last!.id);
    const again = await get<Page<Vehicle>>('/api/vehicles', { limit: 200, after: page.next });
    expect(again.rows.slice(0, -1).map(({ id }) => id)).toEqual(rest.rows.map(({ id }) => id));
    server.db.prepare('UPDATE vehicle SET plate = ? WHERE id = ?').run(last!.plate, last!.id);
  });
});

const SAMPLE_FEATURES = { portMm: null, gasket: '', pins: null, drive: '', mark: '' };

describe('what is kept for lists', () => {
  /** Balances as they would be summed from all that happened. */
  const summed = () =>
    server.db
      .prepare<[], { id: string; left: number }>(
        `SELECT s.id, COALESCE((SELECT SUM(change) FROM stock_movement m WHERE m.item_id = s.id), 0)
           + COALESCE((SELECT SUM(quantity) FROM need_state n WHERE n.part_key = s.part_key AND n.part_key <> '' AND n.arrived_at IS NOT NULL), 0)
           - COALESCE((SELECT SUM(quantity) FROM part_use u WHERE u.part_key = s.part_key AND u.part_key <> ''), 0)
           - (SELECT COUNT(*) FROM container_emptied c WHERE c.stock_id = s.id) AS left FROM stock s ORDER BY s.id`,
      )
      .all();
  const kept = () =>
    server.services.stock
      .all(NOW)
      .map(({ id, left }) => ({ id, left }))
      .sort((a, b) => (a.id < b.id ? -1 : 1));
  it('is what it would be summed to, after all that moves stock, taken back, and made anew', async () => {
    const send = (type: string, data: object) => server.send('j0', type, data).expect(201);
    await send('pin-procedure', { procedureId: 'cable-rotary' });
    const need = server.services.jobs.job('j0')!.procedure!.needs.find(({ partNumber }) => partNumber !== '')!;
    await send('tick-need', { needId: need.id, state: 'ordered', expected: '2026-05-20' });
    await send('tick-need', { needId: need.id, state: 'ready', expected: null });
    await send('use-part', { ...SAMPLES['use-part'].data, partNumber: need.partNumber, quantity: 2 });
    await send('weigh-can', { ...SAMPLES['weigh-can'].data, stockId: 's-clean', emptied: true });
    const movement = { id: 'kept', kind: 'received', figure: 7, batch: 'B1', bestBefore: '2026-06-01', note: '' };
    await server.http.post('/api/stock/s-1107/movements').send({ by: 'wen', movement }).expect(201);
    expect(kept()).toEqual(summed());
    const before = kept();
    await send('undo', { expected: server.services.jobs.job('j0')!.undo!.commandId });
    expect(kept()).toEqual(summed());
    expect(kept()).not.toEqual(before);
    server.services.jobs.rebuild();
    expect(kept()).toEqual(summed());
  });
  it('says what should be ordered and what goes off', async () => {
    const { toOrder, going } = await get<{ toOrder: StockItem[]; going: { item: StockItem; past: boolean }[] }>(
      '/api/stock/outlook',
    );
    expect(going).toContainEqual(
      expect.objectContaining({ past: false, item: expect.objectContaining({ id: 's-1107' }) }),
    );
    const low = server.services.stock.all(NOW).filter(({ free }) => free < 0);
    for (const { id } of low) expect(toOrder.map((each) => each.id)).toContain(id);
  });
  it('is the Bay as the job itself would tell it', async () => {
    await server
      .send('j1', 'start-timer', { id: 't', label: 'Screws oiled', minutes: 30, kind: 'other' }, { at: NOW })
      .expect(201);
    const { lines } = await get<{ lines: BayLine[] }>('/api/bay');
    expect(lines.map(({ job: { id } }) => id)).toEqual(['j0', 'j1', 'j2', 'j3', 'j4']);
    for (const { jobId, plug, beside, part, step, waits } of lines) {
      const job = server.services.jobs.job(jobId)!;
      expect({ plug, beside, part, step }).toEqual(bayState(job));
      expect(waits.map(({ label, endsAt }) => [label, endsAt])).toEqual(
        runningTimers(job).map((timer) => [timer.label, timerEnd(timer)]),
      );
    }
    const [only] = (await get<{ lines: BayLine[] }>('/api/bay', { job: 'j1' })).lines;
    expect(only).toEqual(lines[1]);
    expect((await get<{ lines: BayLine[] }>('/api/bay', { job: 'gone' })).lines).toEqual([]);
    expect(only?.stretches).toContainEqual(expect.objectContaining({ kind: 'wait', words: 'Screws oiled' }));
  });
  it('joins entries to stretches of work, one written up for earlier among them', async () => {
    const at = (time: string) => `2026-05-13T${time}:00.000Z`;
    const worked = () =>
      server.db.prepare("SELECT started_at, ended_at FROM hands_on WHERE job_id = 'j2' ORDER BY started_at").all();
    const note = (id: string, time: string) =>
      server.send('j2', 'make-note', { id, stage: 'strip', text: id }, { at: at(time) }).expect(201);
    expect(HANDS_ON_GAP_S).toBe(15 * 60);
    expect(worked()).toEqual([{ started_at: NOW, ended_at: NOW }]);
    await note('before', '13:00');
    expect(worked()).toEqual([{ started_at: at('13:00'), ended_at: NOW }]);
    await note('early', '08:00');
    await note('between', '08:10');
    expect(worked()).toEqual([
      { started_at: at('08:00'), ended_at: at('08:10') },
      { started_at: at('13:00'), ended_at: NOW },
    ]);
    const before = worked();
    server.services.jobs.rebuild();
    expect(worked()).toEqual(before);
  });
  it('forgets a reminder that was dealt with, also when it is made anew', async () => {
    const add = (id: string) =>
      server.db
        .prepare(
          "INSERT INTO reminder (job_id, id, vehicle_id, what, due_on, due_reading, reading_unit) VALUES ('j0', ?, 'bus', 'look', ?, NULL, 'km')",
        )
        .run(id, `2026-05-0${id}`);
    for (const id of ['3', '1', '2']) add(id);
    const days = async (query: object) =>
      (await walk<{ dueOn: string }>('/api/reminders', query, 1)).map(({ dueOn }) => dueOn);
    expect(await days({})).toEqual(['2026-05-01', '2026-05-02', '2026-05-03']);
    expect(await days({ dueBy: '2026-05-02', vehicleId: 'bus' })).toEqual(['2026-05-01', '2026-05-02']);
    await server.http.post('/api/reminders/j0/1/done').send({ by: 'wen', note: '' }).expect(200);
    server.db.exec("DELETE FROM reminder WHERE id = '1'");
    add('1');
    expect(await days({})).toEqual(['2026-05-02', '2026-05-03']);
    server.db.exec('DELETE FROM reminder');
    expect(await days({})).toEqual([]);
  });
});
