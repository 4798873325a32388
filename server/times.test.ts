import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Settings } from '../contract/index.ts';
import { type Harness, harness, NOW, openJob, PROCEDURE } from './testing/harness.ts';

const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;
const shifted = (by: number, from = NOW): string => new Date(Date.parse(from) + by).toISOString();
let server: Harness;
beforeEach(async () => {
  server = await harness();
  await openJob(server, 'j').expect(201);
});
afterEach(() => server.close());

const note = (id: string, more: object) =>
  server.send('j', 'make-note', { id, stage: 'strip', text: id }, { late: undefined, ...more });
const kept = (commandId: string): unknown =>
  server.db.prepare('SELECT device_at, offset_ms, received_at, late FROM command WHERE id = ?').get(commandId);
const eventAt = (commandId: string): unknown =>
  (server.db.prepare('SELECT at FROM event WHERE command_id = ?').get(commandId) as { at: string }).at;

describe('a tablet whose clock is wrong', () => {
  it('hears what time it is here at each contact', async () => {
    const reply = await server.http.get('/api/health').expect(200);
    expect(reply.headers['x-shop-time']).toBe(NOW);
    expect((await server.http.get('/api/nowhere').expect(404)).headers['x-shop-time']).toBe(NOW);
  });
  it('a day ahead has its entries counted by its own time plus the offset, and both are kept with the arrival', async () => {
    const own = shifted(DAY_MS - HOUR_MS);
    await note('n', { id: 'ahead', at: own, sentAt: shifted(DAY_MS) }).expect(201);
    expect(eventAt('ahead')).toBe(shifted(-HOUR_MS));
    expect(kept('ahead')).toEqual({ device_at: own, offset_ms: -DAY_MS, received_at: NOW, late: null });
  });
  it('that is right but for the network is taken as it is, to the millisecond', async () => {
    await note('n', { id: 'right', at: '2026-05-13T13:08:59Z', sentAt: shifted(-900) }).expect(201);
    expect(eventAt('right')).toBe('2026-05-13T13:08:59.000Z');
    expect(kept('right')).toMatchObject({ offset_ms: 0, device_at: '2026-05-13T13:08:59.000Z' });
  });
  it('is the same command when it is sent again later, by a clock that was set meanwhile', async () => {
    const sent = { id: 'twice', at: shifted(DAY_MS), sentAt: shifted(DAY_MS) };
    await note('n', sent).expect(201);
    await note('n', { ...sent, sentAt: shifted(5000) }).expect(200);
    expect(eventAt('twice')).toBe(NOW);
  });
});

describe('work that is written up', () => {
  it('for yesterday is asked about, and kept once somebody says so', async () => {
    const asked = await note('n', { id: 'late', at: shifted(-DAY_MS) }).expect(409);
    expect(asked.body.error).toMatchObject({
      code: 'asked-late',
      message: 'This says Tuesday 12 May 2026, 14:09, yesterday. Was it done then?',
    });
    await note('n', { id: 'late', at: shifted(-DAY_MS), late: 'written-up' }).expect(201);
    expect(eventAt('late')).toBe(shifted(-DAY_MS));
    expect(kept('late')).toEqual({ device_at: null, offset_ms: 0, received_at: NOW, late: 'written-up' });
  });
  it('by a tablet that is out keeps the time that was named, not the tablet’s', async () => {
    const sent = { id: 'named', at: shifted(-DAY_MS), sentAt: shifted(3 * DAY_MS), late: 'written-up' };
    await note('n', sent).expect(201);
    expect(eventAt('named')).toBe(shifted(-DAY_MS));
  });
  it('was kept out of reach overnight, and is not asked about', async () => {
    await note('n', { id: 'kept', at: shifted(-DAY_MS), sentAt: NOW, late: 'kept' }).expect(201);
    expect(kept('kept')).toMatchObject({ device_at: shifted(-DAY_MS), late: 'kept' });
  });
  it('does not take the clock of the job back', async () => {
    await note('a', { at: NOW }).expect(201);
    await note('b', { at: shifted(-DAY_MS), late: 'written-up' }).expect(201);
    expect(server.services.jobs.job('j')?.lastAt).toBe(NOW);
  });
  it('before the vehicle was known is refused in words, and taken once the day is put right', async () => {
    const { vehicle, version } = (await server.http.get('/api/vehicles/bus')).body;
    const { id: _, lastReading: __, ...input } = vehicle;
    const since = (basedOn: number, knownSince: string) =>
      server.http.put('/api/vehicles/bus').send({ by: 'isla', basedOn, vehicle: { ...input, knownSince } });
    await since(version, '2026-05-10').expect(200);
    const open = (id: string) =>
      openJob(server, id).then(() =>
        server.send(id, 'make-note', { id: 'n', stage: 'strip', text: 'x' }, { at: '2026-05-08T09:00:00.000Z' }),
      );
    const refused = await open('j2');
    expect([refused.status, refused.body.error.message]).toEqual([
      400,
      'Friday 8 May 2026, 10:00 is before this vehicle was known here, on 10 May 2026.',
    ]);
    await since(version + 1, '2026-05-01').expect(200);
    expect((await open('j3')).status).toBe(201);
  });
  it('a vehicle is known from the shop’s day on which it is entered', async () => {
    const late = await harness({ now: '2026-05-13T23:30:00.000Z' });
    const { vehicle } = (await late.http.get('/api/vehicles/bus')).body;
    const { id: _, lastReading: __, knownSince: ___, units: ____, ...input } = vehicle;
    const made = await late.http
      .put('/api/vehicles/fresh')
      .send({ by: 'isla', vehicle: { ...input, units: [], plate: 'TQ 900' } })
      .expect(201);
    expect(made.body.knownSince).toBe('2026-05-14');
    late.close();
  });
});

describe('what the shop says of itself', () => {
  const put = (change: Partial<Settings>, by = 'isla') =>
    server.http.put('/api/settings').send({ by, settings: { ...server.services.settings.shop(), ...change } });

  it('is where it is: a change of zone moves what falls on another day', async () => {
    const handOver = { watch: '', nextDue: null, labourMinutes: 60, ratePerHourMinor: 5800, currency: 'cr' };
    await server.send('j', 'set-recheck', { id: 'r', what: 'Level', days: 1, use: null }).expect(201);
    await server.send('j', 'decide', { choice: 'clean-bench', reason: 'ring', departure: '', options: [] }).expect(201);
    await server.send('j', 'hand-over', handOver, { at: '2026-05-12T23:30:00.000Z' }).expect(201);
    const due = () => server.db.prepare('SELECT due_on FROM reminder').pluck().get();
    expect(due()).toBe('2026-05-14');
    await put({ timeZone: 'UTC' }).expect(200);
    expect(due()).toBe('2026-05-13');
    expect((await server.http.get('/api/shop')).body.settings.timeZone).toBe('UTC');
    const wrong = await put({ timeZone: 'Tern Quay' }).expect(400);
    expect(wrong.body.error.fields['settings.timeZone']).toContain('Europe/London');
  });
  it('opens by its own clock: a part is expected when it does', async () => {
    await server.send('j', 'pin-procedure', { procedureId: PROCEDURE }).expect(201);
    const { needs } = server.services.jobs.job('j')!.procedure!;
    const part = needs.find(({ kind }) => kind === 'part')!;
    await server.send('j', 'tick-need', { needId: part.id, state: 'ordered', expected: '2026-05-18' }).expect(201);
    const stretch = async () =>
      (await server.http.get('/api/bay')).body.lines[0].stretches.find(
        (each: { kind: string }) => each.kind === 'part',
      );
    expect(await stretch()).toMatchObject({ to: '2026-05-18T07:00:00.000Z', words: 'part expected 18 May 2026' });
    await put({ timeZone: 'UTC' }).expect(200);
    expect((await stretch()).to).toBe('2026-05-18T08:00:00.000Z');
  });
  it('is that of the machine where nobody has said, or where its zone is not known any more', () => {
    const { settings } = server.services;
    settings.adopt({ 'time-zone': 'Atlantis/Quay' });
    expect(settings.timeZone()).toBe('Europe/London');
  });
  it('counts in a currency whose decimals are those of the amounts it keeps', async () => {
    const refused = await put({ currency: 'JPY' }).expect(400);
    expect(refused.body.error.fields['settings.currency']).toMatch(/2 decimals of cr; JPY has 0/);
    // As many decimals, but other money: what is recorded is asked about first.
    expect((await put({ currency: 'NOK' }).expect(409)).body.error.code).toBe('money-recorded');
    const told = { ...server.services.settings.shop(), currency: 'NOK' };
    const stands = { by: 'isla', settings: told, sameFigures: true };
    expect((await server.http.put('/api/settings').send(stands).expect(200)).body.currency).toBe('NOK');
    const fresh = await harness({ empty: true });
    await fresh.http
      .put('/api/shop')
      .send({
        people: [{ id: 'isla', name: 'Isla Renn', role: 'lead', bay: '' }],
        settings: {},
        wrenches: [],
        stock: [],
        procedures: [],
      })
      .expect(200);
    const settings = { ...fresh.services.settings.shop(), currency: 'JPY' };
    expect((await fresh.http.put('/api/settings').send({ by: 'isla', settings }).expect(200)).body.currency).toBe(
      'JPY',
    );
    const csv = 'name,price\nGasket,"1,250"\nRing,12.5\n';
    const table = await fresh.http.post('/api/stock/table?by=isla').type('text/csv').send(csv).expect(400);
    expect(table.body.error.fields['line 3']).toContain('at most whole JPY');
    await fresh.http.post('/api/stock/table?by=isla&good=1').type('text/csv').send(csv).expect(200);
    expect((await fresh.http.get('/api/stock/table.csv')).text).toContain('Gasket,,part,,0,1250,');
    fresh.close();
  });
  it('says which gallon it means once, whoever is asked; to think again is for a lead', async () => {
    const say = (by: string, measures: string) => server.http.put('/api/settings/measures').send({ by, measures });
    const caught = (id: string) =>
      server.send('j', 'record-coolant', { id, kind: 'caught', amountText: '1 qt', concentration: null });
    const asked = await caught('a').expect(400);
    expect(asked.body.error.fields['data.amountText']).toBe('Which quart: 1 US qt or 1 imp qt?');
    expect((await say('wen', 'imperial').expect(200)).body.measures).toBe('imperial');
    await caught('b').expect(201);
    expect(server.db.prepare("SELECT litres FROM coolant_entry WHERE id = 'b'").pluck().get()).toBeCloseTo(
      1.1365225,
      9,
    );
    await say('wen', 'US').expect(403);
    await say('isla', 'US').expect(200);
    await say('isla', 'Roman').expect(400);
  });
});

describe('part numbers', () => {
  it('are compared without spaces, dashes and case: what a job used comes off the shelf', async () => {
    const { body } = await server.http.put('/api/stock/ring').send({
      by: 'isla',
      item: { name: 'Ring', partNumber: 'AB 12-345', kind: 'seal', place: '', priceMinor: 100, detail: {} },
    });
    expect(body.item?.partNumber ?? body.partNumber).toBe('AB 12-345');
    const movement = { id: 'm', kind: 'counted', figure: 5, batch: '', bestBefore: null, note: '' };
    await server.http.post('/api/stock/ring/movements').send({ by: 'isla', movement }).expect(201);
    await server
      .send('j', 'use-part', { id: 'p', name: 'Ring', partNumber: 'ab12345', quantity: 2, priceMinor: 100 })
      .expect(201);
    const file = (await server.http.get('/api/stock/ring').expect(200)).body;
    expect([file.item.left, file.uses.rows]).toMatchObject([3, [{ quantity: 2, jobId: 'j' }]]);
    const found = await server.http.get('/api/stock/find').query({ code: 'Ab-12 345' }).expect(200);
    expect(found.body.itemId).toBe('ring');
    const twice = await server.http.put('/api/stock/other').send({
      by: 'isla',
      item: { name: 'Same', partNumber: 'AB12345', kind: 'seal', place: '', priceMinor: 0, detail: {} },
    });
    expect(twice.status).toBe(400);
  });
});
