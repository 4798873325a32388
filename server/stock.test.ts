import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { AirReply, StockFile, StockItem } from '../contract/index.ts';
import type { CommandBody, CommandType } from '../core/job/index.ts';
import { SAMPLES } from '../core/job/testing/samples.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';

let server: Harness;
beforeEach(async () => {
  server = await harness();
});
afterEach(() => server.close());

const sample = <K extends CommandType>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
const job = async (...bodies: readonly CommandBody[]): Promise<void> => {
  await openJob(server, 'j').expect(201);
  for (const body of bodies) await server.send('j', body.type, body.data).expect(201);
};
const rows = (sql: string): unknown[] => server.db.prepare(sql).all();
const stock = async (id: string): Promise<StockFile> =>
  (await server.http.get(`/api/stock/${id}`).expect(200)).body as StockFile;

describe('the tables of stock and air', () => {
  it.each([
    [
      'point_judged',
      sample('judge-point'),
      { point: 'body-flat', verdict: 'bad', value: 0.3, high: 0.08, phase: 'before' },
    ],
    ['seized_screw', sample('note-seized'), { place: 'Valve screw, lower', host: 'aluminium', outcome: null }],
    ['clean_pass', sample('do-pass', { substance: 'isopropyl', how: 'wipe' }), { substance: 'isopropyl', way: 'wipe' }],
    [
      'can_use',
      sample('weigh-can', { minutes: 4, stockId: 's-clean' }),
      { minutes: 4, stock_id: 's-clean', emptied: 0 },
    ],
    [
      'part_use',
      sample('use-part', { partNumber: 'NP-25-1107', quantity: 2 }),
      { part_number: 'NP-25-1107', quantity: 2 },
    ],
    [
      'coolant_entry',
      sample('record-coolant', { kind: 'added', amountText: '1 L', concentration: 0.5, stockId: 'b', emptied: true }),
      { litres: 1, stock_id: 'b', emptied: 1 },
    ],
    ['waste', sample('take-waste'), { kind: 'rags', place: 'metal bin' }],
    ['piece_apart', sample('set-apart'), { what: 'Injector', place: 'cylinder 2', returned_at: null }],
    ['sensor_sweep', sample('sweep-sensor'), { good: 1, phase: 'after' }],
    ['screw_turn', sample('turn-screw'), { screw: 'idle', turns: 1.5 }],
    ['leak_check', sample('check-leaks'), { phase: 'hot', result: 'leaks', place: 'lower hose' }],
  ] as const)('%s holds what the job says', async (table, body, row) => {
    await job(body);
    expect(rows(`SELECT * FROM ${table}`)).toMatchObject([{ job_id: 'j', ...row }]);
  });
  it('picture_marking and coolant_test too', async () => {
    const bytes = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#333' } })
      .png()
      .toBuffer();
    const { body } = await server.http.post('/api/pictures').set('content-type', 'image/png').send(bytes).expect(201);
    await job(
      sample('attach-picture', { id: 'pic', hash: (body as { hash: string }).hash }),
      sample('mark-picture'),
      { type: 'pin-procedure', data: { procedureId: 'cable-rotary' } },
      sample('test-coolant'),
    );
    expect(rows('SELECT * FROM picture_marking')).toMatchObject([{ id: 'pic', rotation: 90 }]);
    expect(rows('SELECT * FROM coolant_test')).toMatchObject([{ phase: 'before', celsius: -37 }]);
  });
});

describe('stock', () => {
  it('is counted by movements, less what jobs use, and says when that falls below zero', async () => {
    let sent = 0;
    const move = (kind: string, figure: number, more: object = {}) =>
      server.http.post('/api/stock/s-1107/movements').send({
        by: 'wen',
        movement: { id: `m${(sent += 1)}`, kind, figure, batch: '', bestBefore: null, note: '', ...more },
      });
    expect((await stock('s-1107')).item).toMatchObject({ left: 3, free: 3 });
    await move('received', 5, { batch: 'B7', bestBefore: '2027-01-01' }).expect(201);
    await move('spoilt', 1).expect(201);
    await move('spoilt', 1, { id: 'm2' }).expect(201);
    await job(sample('use-part', { partNumber: 'NP-25-1107', quantity: 9 }));
    expect((await stock('s-1107')).item.left).toBe(-2);
    const counted = (await move('counted', 4).expect(201)).body as StockFile;
    expect(counted.item.left).toBe(4);
    expect(counted.movements.rows.map(({ kind, change }) => [kind, change])).toEqual([
      ['counted', 6],
      ['spoilt', -1],
      ['received', 5],
      ['counted', 3],
    ]);
    expect(counted.item.batches).toEqual([{ batch: 'B7', bestBefore: '2027-01-01', quantity: 4 }]);
    expect(counted.uses.rows).toMatchObject([{ jobId: 'j', quantity: 9 }]);
    // An undone use lies there again.
    const last = server.services.jobs.job('j')?.undo?.commandId;
    await server.send('j', 'undo', { expected: last }).expect(201);
    expect((await stock('s-1107')).item.left).toBe(13);
  });
  it('loses a can or a bottle when a job emptied it', async () => {
    const before = (await stock('s-clean')).item.left;
    await job(sample('weigh-can', { stockId: 's-clean' }));
    expect((await stock('s-clean')).item.left).toBe(before);
    await server
      .send('j', 'weigh-can', { ...SAMPLES['weigh-can'].data, id: 'w2', stockId: 's-clean', emptied: true })
      .expect(201);
    await server
      .send('j', 'record-coolant', {
        ...{ id: 'k', kind: 'added', amountText: '1 L', concentration: 0.5 },
        ...{ stockId: 's-clean', emptied: true },
      })
      .expect(201);
    const after = await stock('s-clean');
    expect(after.item.left).toBe(before - 2);
    expect(after.uses.rows).toMatchObject([{ quantity: 1, jobId: 'j' }, { quantity: 1 }]);
  });
  it('never loses a movement', () => {
    expect(() => server.db.exec('DELETE FROM stock_movement')).toThrow('never deleted');
    expect(() => server.db.exec('UPDATE stock_movement SET change = 9')).toThrow('never changed');
  });
  it('reserves what open jobs want until they have used it', async () => {
    await job({ type: 'pin-procedure', data: { procedureId: 'cable-rotary' } });
    const need = server.services.jobs.job('j')!.procedure!.needs.find(({ partNumber }) => partNumber === 'NP-25-1107')!;
    await server.send('j', 'tick-need', { needId: need.id, state: 'ready', expected: null }).expect(201);
    expect((await stock('s-1107')).item).toMatchObject({ left: 3, free: 2, reserved: [{ jobId: 'j', quantity: 1 }] });
    await server.send('j', 'use-part', SAMPLES['use-part'].data).expect(201);
    expect((await stock('s-1107')).item.reserved).toHaveLength(1);
    await server
      .send('j', 'use-part', { ...SAMPLES['use-part'].data, id: 'p2', partNumber: 'NP-25-1107', quantity: 1 })
      .expect(201);
    expect((await stock('s-1107')).item).toMatchObject({ left: 2, free: 2, reserved: [] });
  });
  it('counts what a job ordered for itself as on its way, and as there once it is ticked on the job', async () => {
    await job({ type: 'pin-procedure', data: { procedureId: 'cable-rotary' } });
    const need = server.services.jobs.job('j')!.procedure!.needs.find(({ partNumber }) => partNumber === 'NP-25-1107')!;
    const tick = (state: string, expected: string | null) =>
      server.send('j', 'tick-need', { needId: need.id, state, expected }).expect(201);
    await tick('ordered', '2026-05-15');
    expect((await stock('s-1107')).item).toMatchObject({
      left: 3,
      onOrder: [{ jobId: 'j', quantity: 1, received: 0, expected: '2026-05-15' }],
    });
    // It claims nothing of what lies on the shelf meanwhile.
    const wanted = async () =>
      ((await server.http.get('/api/wanted').expect(200)).body as { rows: { partNumber: string }[] }).rows.filter(
        ({ partNumber }) => partNumber === 'NP-25-1107',
      ).length;
    expect(await wanted()).toBe(0);
    await tick('ready', null);
    expect(await wanted()).toBe(1);
    const here = await stock('s-1107');
    expect(here.item).toMatchObject({ left: 4, free: 3, onOrder: [] });
    expect(here.arrivals.rows).toMatchObject([{ jobId: 'j', quantity: 1 }]);
    // Taken back on the job it is on its way again; from the shelf nothing comes in.
    const last = server.services.jobs.job('j')?.undo?.commandId;
    await server.send('j', 'undo', { expected: last }).expect(201);
    expect((await stock('s-1107')).item).toMatchObject({ left: 3, onOrder: [{ jobId: 'j' }] });
    await tick('missing', null);
    await tick('ready', null);
    expect((await stock('s-1107')).item).toMatchObject({ left: 3, onOrder: [] });
  });
  it('orders, receives in parts and closes', async () => {
    const order = { id: 'o1', quantity: 5, expected: '2026-05-20', supplier: 'mainland', note: '' };
    const send = () => server.http.post('/api/stock/s-1107/orders').send({ by: 'wen', order });
    await send().expect(201);
    const twice = (await send().expect(201)).body as StockFile;
    expect(twice.item.onOrder).toMatchObject([
      { id: 'o1', quantity: 5, received: 0, expected: '2026-05-20', by: 'wen' },
    ]);
    const receive = (quantity: number, sentAs = `r${quantity}`) =>
      server.http
        .post('/api/orders/o1/received')
        .send({ by: 'wen', received: { id: sentAs, quantity, batch: 'C1', bestBefore: null } });
    expect(((await receive(3).expect(201)).body as StockFile).item).toMatchObject({
      left: 6,
      onOrder: [{ received: 3 }],
    });
    // Sent twice it came once.
    expect(((await receive(3).expect(201)).body as StockFile).item).toMatchObject({ left: 6 });
    expect((await receive(3, 'again').expect(400)).body.error.fields).toEqual({
      quantity: 'Only 2 of it are still to come; got 3.',
    });
    expect(((await receive(2).expect(201)).body as StockFile).item).toMatchObject({ left: 8, onOrder: [] });
    await receive(1).expect(404);
  });
  it('keeps what a thing is, and refuses a number twice', async () => {
    const item = {
      name: 'Paper gasket',
      partNumber: 'X-1',
      kind: 'gasket',
      place: 'G9',
      priceMinor: 100,
      detail: { leadDays: 2 },
    };
    await server.http.put('/api/stock/new').send({ by: 'wen', item }).expect(201);
    const again = await server.http
      .put('/api/stock/new')
      .send({ by: 'wen', basedOn: 1, item: { ...item, place: 'G1' } })
      .expect(200);
    expect(again.body).toMatchObject({ place: 'G1', left: 0, detail: { leadDays: 2 } });
    const twin = await server.http
      .put('/api/stock/other')
      .send({ by: 'wen', item: { ...item, partNumber: 'x 1' } })
      .expect(400);
    expect(twin.body.error.fields).toEqual({ 'item.partNumber': 'Paper gasket has that number already.' });
    await server.http.put('/api/stock/new').send({ by: 'ghost', item }).expect(400);
    await server.http.get('/api/stock/nothing').expect(404);
    await server.http
      .post('/api/stock/nothing/movements')
      .send({ by: 'wen', movement: { id: 'x', kind: 'counted', figure: 1, batch: '', bestBefore: null, note: '' } })
      .expect(404);
  });
  it('is found by what a scanner types', async () => {
    const find = (code: string) => server.http.get('/api/stock/find').query({ code });
    expect((await find('4006381333931').expect(200)).body).toMatchObject({ itemId: 's-1107', code: { kind: 'gtin' } });
    expect((await find('(01)04006381333931(17)270630(10)L7')).body).toMatchObject({
      itemId: 's-1107',
      code: { batch: 'L7', bestBefore: '2027-06-30' },
    });
    expect((await find('np25 1131')).body.itemId).toBe('s-1131');
    expect((await find('unknown')).body.itemId).toBeNull();
    expect((await find('4006381333930').expect(400)).body.error.fields.code).toContain('check digit');
  });
  it('says what may stand in for what', async () => {
    expect((await stock('s-1107')).standIns.map(({ number, fit }) => [number, fit])).toEqual([
      ['TQ-1107', 'fits'],
      ['OT-20-0417', 'fits-but'],
    ]);
    const refer = (reference: object) => server.http.put('/api/references').send({ by: 'wen', reference });
    await refer({ a: 'TQ 1107', b: 'np-25-1107', fit: 'no', note: 'tried, leaks', source: null }).expect(200);
    expect((await stock('s-1107')).standIns).toMatchObject([{ fit: 'no', notes: ['tried, leaks'] }]);
    expect((await server.http.get('/api/references')).body.rows).toHaveLength(5);
    await refer({ a: 'A-1', b: 'a1', fit: 'fits', note: '', source: null }).expect(400);
  });
  it('goes out as a table and comes in again the same', async () => {
    const out = await server.http.get('/api/stock/table.csv').expect(200);
    expect(out.headers['content-type']).toContain('text/csv');
    const before = (await server.http.get('/api/stock')).body.rows as StockItem[];
    const put = (text: string, query: object = {}) =>
      server.http
        .post('/api/stock/table')
        .query({ by: 'wen', ...query })
        .set('content-type', 'text/csv')
        .send(text);
    expect((await put(out.text).expect(200)).body).toEqual({ taken: before.length, problems: [] });
    const after = (await server.http.get('/api/stock')).body.rows as StockItem[];
    expect(after.map(({ id, left, name, priceMinor, detail }) => [id, left, name, priceMinor, detail])).toEqual(
      before.map(({ id, left, name, priceMinor, detail }) => [id, left, name, priceMinor, detail]),
    );
    const table =
      'name,part number,left,price\r\nBody gasket,NP-25-1107,7,6.90\r\nClamp 40,C-40,many,1\r\n"Ring, green",R-1,2,0.45\r\n';
    const refused = await put(table).expect(400);
    expect(refused.body.error.message).toContain('1 of 3 lines');
    expect(refused.body.error.fields).toEqual({ 'line 3': '“many” is no count: expected a whole number, 0 or more.' });
    expect((await stock('s-1107')).item.left).toBe(3);
    expect((await put(table, { good: '1' }).expect(200)).body).toMatchObject({ taken: 2, problems: [{ line: 3 }] });
    expect((await stock('s-1107')).item).toMatchObject({ left: 7, priceMinor: 690, name: 'Body gasket' });
    expect((await put('colour\r\nred').expect(400)).body.error.message).toContain('head row');
    expect((await put('name,colour\r\na,b').expect(400)).body.error.message).toContain('“colour” is not known');
    expect((await put(table, { by: 'ghost' })).status).toBe(400);
  });
});

describe('the air of the bay', () => {
  it('gathers what was sprayed over all jobs, with the product’s own safety sheet, and how it was aired', async () => {
    await job(sample('weigh-can', { id: 'c1', minutes: 3, stockId: 's-clean' }), sample('weigh-can', { id: 'c2' }));
    const air = (await server.http.get('/api/air').expect(200)).body as AirReply;
    expect(air).toMatchObject({ roomM3: 240, state: 'shut', rates: { shut: 0.5 } });
    expect(air.releases.map(({ grams, minutes, safety }) => [grams, minutes, safety?.limitPpm ?? null])).toEqual([
      [expect.any(Number), 3, 400],
      [expect.any(Number), 0, null],
    ]);
    const aired = (await server.http.post('/api/air').send({ by: 'wen', state: 'door' }).expect(201)).body as AirReply;
    expect(aired).toMatchObject({ state: 'door', airings: [{ at: NOW, by: 'wen', state: 'door' }] });
    await server.http.post('/api/air').send({ by: 'wen', state: 'window' }).expect(400);
  });
  it('lets a lead say how large the bay is', async () => {
    const room = { roomM3: 300, rates: { shut: 1, door: 8, fan: 10, both: 18 } };
    await server.http
      .put('/api/air')
      .send({ by: 'wen', ...room })
      .expect(403);
    expect(
      (
        await server.http
          .put('/api/air')
          .send({ by: 'isla', ...room })
          .expect(200)
      ).body,
    ).toMatchObject(room);
    const wrong = await server.http
      .put('/api/air')
      .send({ by: 'isla', ...room, roomM3: 3 })
      .expect(400);
    expect(wrong.body.error.fields.roomM3).toContain('10 to 100,000');
  });
});

describe('replacing a unit', () => {
  const fitted = {
    unitId: 'bus-tb-2',
    partNumber: 'NP-25-1100',
    features: { portMm: 52, gasket: 'square, four holes', pins: 3, drive: 'cable', mark: 'C' },
    origin: 'used',
    priceMinor: 12_000,
    supplier: 'breaker',
    warrantyMonths: 6,
  };
  const replace = sample('replace-unit', {
    oldUnitId: 'bus-tb',
    oldPartNumber: 'NP-25-1100',
    fitted,
    failCode: 'F-20',
  });
  const handOver = sample('hand-over');
  it('moves both units in the vehicle’s file when the job is handed over, and not before', async () => {
    const { unitId, partNumber, features } = fitted;
    server.services.units.put(unitId, { kind: 'throttle-body', partNumber, features, built: '2019-06' } as never, 0, {
      by: 'isla',
      at: NOW,
    });
    await job(sample('decide'), replace);
    const units = async () =>
      ((await server.http.get('/api/vehicles/bus')).body.vehicle.units as { id: string }[]).map(({ id }) => id).sort();
    expect(await units()).toEqual(['bus-iv', 'bus-tb']);
    await server.send('j', 'hand-over', handOver.data).expect(201);
    expect(await units()).toEqual(['bus-iv', 'bus-tb-2']);
    expect(server.services.units.get('bus-tb-2')?.built).toBe('2019-06');
    const old = (await server.http.get('/api/units/bus-tb')).body;
    expect(old).toMatchObject({ unit: { state: 'on the shelf', place: 'returns box' } });
    expect(old.life.at(-1)).toMatchObject({ kind: 'taken-off', note: 'Job 228: F-20, 0.3 mm' });
    await server.send('j', 'reopen-job', { reason: 'again' }).expect(201);
    await server.send('j', 'hand-over', handOver.data).expect(201);
    expect((await server.http.get('/api/units/bus-tb-2')).body.life).toHaveLength(1);
  });
  it('leaves in the life of each unit what was done to it and how far it had come, once', async () => {
    await job(sample('decide'), sample('do-pass', { unit: 'throttle-body', kind: 'wipe' }), replace);
    await server.send('j', 'hand-over', handOver.data).expect(201);
    await server.send('j', 'reopen-job', { reason: 'again' }).expect(201);
    await server.send('j', 'hand-over', handOver.data).expect(201);
    const { life } = (await server.http.get('/api/units/bus-tb')).body as { life: { kind: string; note: string }[] };
    expect(life.map(({ kind }) => kind).slice(-3)).toEqual(['cleaned', 'failed', 'taken-off']);
    expect(life.at(-3)?.note).toMatch(/^Job 228, at 148.220 km, on the vehicle$/u);
    expect(life.at(-2)?.note).toMatch(/ km: F-20, 0\.3 mm$/);
  });
  it('is not done with a unit that sits on another vehicle, and says so before it is bolted on', async () => {
    await openJob(server, 'j').expect(201);
    const taken = { ...fitted, unitId: 'van1-tb' };
    const refused = await server.send('j', 'replace-unit', { ...replace.data, fitted: taken }).expect(409);
    expect(refused.body.error).toMatchObject({
      code: 'unit-elsewhere',
      message: 'It sits on another vehicle. Take it off there first.',
    });
    expect(rows('SELECT * FROM unit_replaced')).toEqual([]);
  });
  it('takes off what was fitted before the job was opened again', async () => {
    await job(sample('decide'), replace);
    await server.send('j', 'hand-over', handOver.data).expect(201);
    await server.send('j', 'reopen-job', { reason: 'came back' }).expect(201);
    const third = { ...fitted, unitId: 'bus-tb-3', origin: 'new', warrantyMonths: 24, priceMinor: 0 };
    await server.send('j', 'replace-unit', { ...replace.data, id: 'r3', fitted: third }).expect(201);
    await server.send('j', 'hand-over', handOver.data).expect(201);
    expect(rows("SELECT id FROM unit WHERE vehicle_id = 'bus' ORDER BY id")).toEqual([
      { id: 'bus-iv' },
      { id: 'bus-tb-3' },
    ]);
    expect((await server.http.get('/api/units/bus-tb-3')).body.life[0].note).toBe(
      'Job 228, new, warranty until 13 May 2028',
    );
  });
  it('tells what parts of a number lasted here before they failed', async () => {
    const lives = async (query: string) =>
      (await server.http.get(`/api/part-lives?${query}`).expect(200)).body.rows as unknown[];
    await openJob(server, 'first', { reading: { value: 100_000, unit: 'km' }, readingReason: 'on paper' }).expect(201);
    await server.send('first', 'replace-unit', { ...replace.data, id: 'r1' }).expect(201);
    await openJob(server, 'second', { reading: { value: 141_000, unit: 'km' }, readingReason: 'on paper' }).expect(201);
    const again = { ...replace.data, id: 'r2', oldUnitId: 'bus-tb-2', fitted: { ...fitted, unitId: 'bus-tb-3' } };
    await server.send('second', 'replace-unit', again).expect(201);
    expect(await lives('number=np-25%201100&number=other')).toEqual([
      { partNumber: 'NP-25-1100', distance: 41_000, unit: 'km' },
    ]);
    expect(await lives('number=other')).toEqual([]);
    await server.http.get('/api/part-lives').expect(400);
    // One of the wrong variant did not fail.
    await server.send('second', 'replace-unit', { ...again, id: 'r3', failCode: 'F-70' }).expect(201);
    expect(await lives('number=NP-25-1100')).toEqual([]);
  });
  it('puts the old one into the returns box until it is sent', async () => {
    await job(replace);
    const box = async () => (await server.http.get('/api/returns').expect(200)).body.rows as unknown[];
    expect(await box()).toMatchObject([
      { oldUnit: 'bus-tb', failCode: 'F-20', warrantyUntil: '2026-11-13', sentAt: null },
    ]);
    await server.http.post('/api/returns/j/r/sent').send({ by: 'wen', note: 'ferry' }).expect(200);
    expect(await box()).toMatchObject([{ sentAt: NOW }]);
    await server.http.post('/api/returns/j/none/sent').send({ by: 'wen', note: '' }).expect(404);
    expect(rows('SELECT fail_code, warranty_until FROM unit_replaced')).toEqual([
      { fail_code: 'F-20', warranty_until: '2026-11-13' },
    ]);
  });
});

describe('reminders', () => {
  it('fall due after the hand-over, on the vehicle, until somebody has looked', async () => {
    await job(sample('decide'), sample('set-recheck'));
    const due = async () => (await server.http.get('/api/reminders').query({ vehicleId: 'bus' }).expect(200)).body.rows;
    expect(await due()).toEqual([]);
    await server.send('j', 'hand-over', SAMPLES['hand-over'].data).expect(201);
    expect(await due()).toMatchObject([
      { what: 'Coolant level', dueOn: '2026-05-27', dueReading: 148_720, readingUnit: 'km', plate: 'TQ 417' },
    ]);
    expect((await server.http.get('/api/reminders').query({ vehicleId: 'van1' })).body.rows).toEqual([]);
    expect(rows('SELECT due_on FROM reminder')).toEqual([{ due_on: '2026-05-27' }]);
    await server.http.post('/api/reminders/j/k/done').send({ by: 'wen', note: 'right' }).expect(200);
    expect(await due()).toEqual([]);
    await server.http.post('/api/reminders/j/none/done').send({ by: 'wen', note: '' }).expect(404);
  });
});

describe('copies of a picture', () => {
  it('come in two sizes beside the original, which stays as it was', async () => {
    const bytes = await sharp({ create: { width: 2400, height: 1200, channels: 3, background: '#765' } })
      .jpeg()
      .toBuffer();
    const { body } = await server.http.post('/api/pictures').set('content-type', 'image/jpeg').send(bytes).expect(201);
    const get = async (query: object) =>
      (
        await server.http
          .get(`/api/pictures/${(body as { hash: string }).hash}`)
          .query(query)
          .expect(200)
      ).body as Buffer;
    const width = async (query: object) => (await sharp(await get(query)).metadata()).width;
    expect(await width({})).toBe(1600);
    expect(await width({ size: 'small' })).toBe(360);
    expect(Buffer.compare(await get({ original: '1' }), bytes)).toBe(0);
    await server.http
      .get(`/api/pictures/${(body as { hash: string }).hash}`)
      .query({ size: 'huge' })
      .expect(400);
  });
});
