import Sqlite from 'better-sqlite3';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { ERROR_STATUS, statusOf } from './http/catalogue.ts';
import { type Harness, harness, NOW, openJob, PROCEDURE } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
  await openJob(server, 'j').expect(201);
  await server.send('j', 'pin-procedure', { procedureId: PROCEDURE }).expect(201);
  for (const itemId of ['cool-up', 'flange', 'body'])
    await server.send('j', 'remove-item', { itemId, pocket: '', label: '', countedOut: null }).expect(201);
  await openJob(server, 'free', { vehicleId: 'van3', reading: { value: 91_640, unit: 'km' } }).expect(201);
});
afterAll(() => server.close());

/** Everything that a request could have changed. */
const fingerprint = (): string =>
  JSON.stringify(
    [
      'event',
      'command',
      'job_summary',
      'strip_item',
      'vehicle',
      'picture',
      'audit',
      'coolant_entry',
      'torque_result',
    ].map((table) => [table, server.db.prepare(`SELECT * FROM ${table}`).all()]),
  );

const bolt = (torqueText: string) => ({
  itemId: 'flange',
  boltId: '1',
  pass: 2,
  method: 'wrench',
  torqueText,
  wrenchId: 'small-click',
});
const vehicle = {
  plate: 'ZZ 1',
  vin: '',
  make: 'Sule',
  model: '650',
  nickname: '',
  year: 2004,
  engine: 'twin',
  throttle: 'cable',
  idleValve: 'none',
  owner: '',
  meterUnit: 'km',
  figures: { idleRpm: null, valveDuty: null, closedVolts: null },
  units: [],
  notes: '',
};
const command =
  (type: string, data: unknown, more: object = {}, jobId = 'j') =>
  () =>
    server.send(jobId, type, data, more);
const put = (change: object) => () =>
  server.http.put('/api/vehicles/new').send({ by: 'isla', vehicle: { ...vehicle, ...change } });

/** What is wrong → the request, the status, and words that its message must hold. */
const BAD: [string, () => ReturnType<Harness['send']>, number, string | RegExp][] = [
  ['torque in bare pounds', command('tighten-bolt', bolt('9 lb')), 400, 'Pounds of what'],
  ['torque without a unit', command('tighten-bolt', bolt('9')), 400, 'Which unit'],
  ['torque in litres', command('tighten-bolt', bolt('9 L')), 400, 'which is a volume'],
  ['negative torque', command('tighten-bolt', bolt('-9 Nm')), 400, 'cannot be negative'],
  ['zero torque', command('tighten-bolt', bolt('0 Nm')), 400, 'more than zero'],
  ['a range as the torque reached', command('tighten-bolt', bolt('8–9 Nm')), 400, 'got a range'],
  ['words as torque', command('tighten-bolt', bolt('tight')), 400, 'Expected a number'],
  ['a bolt that is not there', command('tighten-bolt', { ...bolt('9 Nm'), boltId: '7' }), 409, 'no bolt'],
  ['a pass that is not there', command('tighten-bolt', { ...bolt('9 Nm'), pass: 3 }), 400, 'pass 1 to 2'],
  [
    'a negative volume',
    command('record-coolant', { id: 'k', kind: 'caught', amountText: '-0.4 L', concentration: null }),
    400,
    'cannot be negative',
  ],
  [
    'more coolant than the system holds',
    command('record-coolant', { id: 'k', kind: 'caught', amountText: '40 L', concentration: null }),
    400,
    'holds 7.4 L',
  ],
  [
    'gallons of no country',
    command('record-coolant', { id: 'k', kind: 'caught', amountText: '1 gal', concentration: null }),
    400,
    'Which gallon',
  ],
  [
    'returning what was never caught',
    command('record-coolant', { id: 'k', kind: 'returned', amountText: '1 L', concentration: null }),
    400,
    'Only 0.00 L',
  ],
  [
    'antifreeze of 150 %',
    command('record-coolant', { id: 'k', kind: 'added', amountText: '1 L', concentration: 1.5 }),
    400,
    '0 to 100 %',
  ],
  [
    'a can that gains weight',
    command('weigh-can', { id: 'w', substance: 'isopropyl', surface: '', beforeText: '300 g', afterText: '310 g' }),
    400,
    'cannot gain weight',
  ],
  [
    'a can in litres',
    command('weigh-can', { id: 'w', substance: 'isopropyl', surface: '', beforeText: '1 L', afterText: '1 L' }),
    400,
    'Expected a mass',
  ],
  [
    'a substance that is not known',
    command('weigh-can', { id: 'w', substance: 'holy-water', surface: '', beforeText: '3 g', afterText: '1 g' }),
    400,
    'substance',
  ],
  [
    'an odometer that runs backwards',
    () => openJob(server, 'x1', { reading: { value: 5, unit: 'km' } }),
    400,
    'last reading',
  ],
  ['hours on a car', () => openJob(server, 'x2', { reading: { value: 5, unit: 'h' } }), 400, 'counts distance'],
  [
    'an odometer of four million',
    () => openJob(server, 'x3', { reading: { value: 4_000_000, unit: 'km' } }),
    400,
    'Expected 0 to',
  ],
  ['a negative odometer', () => openJob(server, 'x4', { reading: { value: -4, unit: 'km' } }), 400, 'Expected 0 to'],
  [
    'no complaint',
    () => openJob(server, 'x5', { reading: { value: 150_000, unit: 'km' }, complaint: ' ' }),
    400,
    'owner say',
  ],
  ['a vehicle that is not there', () => openJob(server, 'x6', { vehicleId: 'ghost' }), 404, 'not in the list'],
  [
    'a job that is not there',
    command('make-note', { id: 'n', stage: 'strip', text: 'x' }, {}, 'ghost'),
    404,
    'no such job',
  ],
  [
    'an item that is not there',
    command('remove-item', { itemId: 'ghost', pocket: '', label: '', countedOut: null }),
    409,
    'no item',
  ],
  [
    'an item that is off already',
    command('remove-item', { itemId: 'body', pocket: '', label: '', countedOut: null }),
    409,
    'off already',
  ],
  [
    'putting back what is on',
    command('put-back-item', { itemId: 'duct', renewed: false, fitted: '', countedBack: null, confirmed: false }),
    409,
    'has not come off',
  ],
  [
    'putting back before its turn',
    command('put-back-item', { itemId: 'flange', renewed: false, fitted: '', countedBack: null, confirmed: false }),
    409,
    'cannot go back yet',
  ],
  [
    'plugging what is whole',
    command('plug-opening', { openingId: 'pipe-low', plugId: 'p', what: 'cap' }),
    409,
    'is whole',
  ],
  [
    'an opening that is not there',
    command('plug-opening', { openingId: 'ghost', plugId: 'p', what: 'cap' }),
    409,
    'not part of this job',
  ],
  [
    'an order that circles',
    command('add-constraint', { constraint: { kind: 'before', id: 'x', a: 'flange', b: 'body', reason: 'no' } }),
    409,
    'in a circle',
  ],
  [
    'starting the engine while it is held',
    command('start-run', { id: 'r', recipeId: 'timed-idle' }),
    409,
    'engine is held',
  ],
  [
    'a measurement after while it is held',
    command('take-measurement', { id: 'm', kind: 'idle-rpm', when: 'after', value: 800 }),
    409,
    'engine is held',
  ],
  [
    'a duty of 140 %',
    command('take-measurement', { id: 'm', kind: 'valve-duty', when: 'before', value: 140 }),
    400,
    '0 to 100 %',
  ],
  [
    'negative volts',
    command('take-measurement', { id: 'm', kind: 'closed-volts', when: 'before', value: -1 }),
    400,
    '0 to 5.5 V',
  ],
  [
    'a grade of 9',
    command('record-finding', { id: 'f', unit: 'throttle-body', point: 'x', when: 'before', grade: 9, text: '' }),
    400,
    '0 to 4',
  ],
  [
    'a code that is none',
    command('read-code', { id: 'c', code: 'Q0505', status: 'stored', when: 'before', note: '' }),
    400,
    'Expected a code such as',
  ],
  ['a timer of no length', command('start-timer', { id: 't', label: 'x', minutes: 0, kind: 'soak' }), 400, '0.1 to'],
  [
    'reusing a seal without a reason',
    command('decide-seal', { id: 's', name: 'Gasket', decision: 'reused', partNumber: '', why: '' }),
    400,
    'serve again',
  ],
  [
    'a part ordered for no day',
    command('tick-need', { needId: 'n-gasket', state: 'ordered', expected: null }),
    400,
    'which day',
  ],
  [
    'a day that is none',
    command('tick-need', { needId: 'n-gasket', state: 'ordered', expected: '2026-02-30' }),
    400,
    'Expected a day',
  ],
  ['undoing what is not the last', command('undo', { expected: 'ghost' }), 409, 'Something came after'],
  [
    'handing over what is in pieces',
    command('hand-over', { watch: '', nextDue: null, labourMinutes: 1, ratePerHourMinor: 1, currency: 'cr' }),
    409,
    'engine is held',
  ],
  ['a command that is not known', command('explode', {}), 400, 'type'],
  ['a field that is not known', command('make-note', { id: 'n', stage: 'strip', text: 'x', extra: 1 }), 400, 'extra'],
  ['a field that is missing', command('make-note', { id: 'n', stage: 'strip' }), 400, 'text'],
  [
    'text where a number belongs',
    command('take-measurement', { id: 'm', kind: 'idle-rpm', when: 'before', value: 'fast' }),
    400,
    'Expected a number',
  ],
  [
    'a person who is not there',
    command('make-note', { id: 'n', stage: 'strip', text: 'x' }, { by: 'ghost' }),
    400,
    'not in the list',
  ],
  [
    'a time that lies ahead',
    command('make-note', { id: 'n', stage: 'strip', text: 'x' }, { at: '2030-01-01T00:00:00.000Z' }),
    400,
    'lies ahead: here it is',
  ],
  [
    'a time that is none',
    command('make-note', { id: 'n', stage: 'strip', text: 'x' }, { at: 'yesterday' }),
    400,
    'Expected a time',
  ],
  [
    'a version from the future',
    command('make-note', { id: 'n', stage: 'strip', text: 'x' }, { seen: 999 }),
    409,
    'You have seen version 999',
  ],
  [
    'JSON that is none',
    () => server.http.post('/api/jobs/j/commands').set('content-type', 'application/json').send('{"id": '),
    400,
    'not valid JSON',
  ],
  [
    'a body of three megabytes',
    () => server.http.post('/api/jobs/j/commands').send({ id: 'x', data: 'y'.repeat(3_000_000) }),
    413,
    'too large',
  ],
  [
    'a picture that is text',
    () => server.http.post('/api/pictures').set('content-type', 'image/png').send(Buffer.from('not a picture at all')),
    400,
    'not a picture',
  ],
  [
    'a picture of another kind',
    () =>
      server.http
        .post('/api/pictures')
        .set('content-type', 'image/svg+xml')
        .send(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')),
    400,
    'not a picture',
  ],
  [
    'a picture cut off',
    () => server.http.post('/api/pictures').set('content-type', 'image/png').send(truncated),
    400,
    'not a picture',
  ],
  [
    'a picture of sixteen megabytes',
    () => server.http.post('/api/pictures').set('content-type', 'image/png').send(Buffer.alloc(16_000_000)),
    413,
    'too large',
  ],
  [
    'something that is no picture',
    () => server.http.post('/api/pictures').set('content-type', 'text/plain').send('hello'),
    415,
    'Expected a picture',
  ],
  ['a picture that is not there', () => server.http.get(`/api/pictures/${'a'.repeat(64)}`), 404, 'no such picture'],
  ['a hash that is none', () => server.http.get('/api/pictures/nonsense'), 400, 'hash'],
  ['a vehicle without a plate', put({ plate: '  ' }), 400, 'plate'],
  ['a plate that is taken', put({ plate: 'tq417' }), 400, 'on the list already'],
  [
    'a band upside down',
    put({ figures: { ...vehicle.figures, idleRpm: { low: 900, high: 800, source: null } } }),
    400,
    'smaller figure first',
  ],
  ['a year of 12', put({ year: 12 }), 400, '1900 or later'],
  ['a page of a thousand', () => server.http.get('/api/vehicles').query({ limit: 1000 }), 400, 'limit'],
  ['a query that is not known', () => server.http.get('/api/jobs').query({ colour: 'red' }), 400, 'colour'],
  ['an address that is not there', () => server.http.get('/api/nothing'), 404, 'nothing at that address'],
  [
    'a job file that is none',
    () => server.http.post('/api/job-files').query({ by: 'isla' }).send({ format: 'other' }),
    400,
    'not a job file',
  ],
  ['another host name', () => server.http.get('/api/bay').set('host', 'evil.example'), 403, 'does not go by that name'],
  [
    'another page',
    () => server.http.post('/api/jobs/j/commands').set('origin', 'http://evil.example').send({}),
    403,
    'Another page',
  ],
  [
    'another page, said by the browser',
    () => server.http.get('/api/bay').set('sec-fetch-site', 'cross-site'),
    403,
    'Another page',
  ],
];
let truncated: Buffer;

describe('bad input gets its message and changes nothing', () => {
  beforeAll(async () => {
    const whole = await sharp({
      create: {
        width: 300,
        height: 300,
        channels: 3,
        background: '#456',
        noise: { type: 'gaussian', mean: 90, sigma: 30 },
      },
    })
      .png()
      .toBuffer();
    truncated = whole.subarray(0, Math.floor(whole.length / 2));
  });
  it('is tried in at least forty ways', () => {
    expect(BAD.length).toBeGreaterThanOrEqual(40);
  });
  it.each(BAD)('%s', async (_, request, status, words) => {
    const before = fingerprint();
    const reply = await request();
    expect([reply.status, reply.body.error?.message]).toEqual([status, expect.stringMatching(words)]);
    expect(reply.body.error).toMatchObject({
      code: expect.any(String),
      fields: expect.any(Object),
      wouldHelp: expect.any(String),
    });
    if (status === 400 && reply.body.error.code === 'bad-value')
      expect(Object.keys(reply.body.error.fields)).not.toEqual([]);
    expect(fingerprint()).toBe(before);
  });
});

describe('the store itself fails', () => {
  it.each([
    ['SQLITE_FULL', 'disk is full'],
    ['SQLITE_READONLY', 'only be read'],
    ['SQLITE_IOERR_WRITE', 'did not take it'],
  ])('%s', async (code, words) => {
    const before = fingerprint();
    const broken = vi.spyOn(server.services.jobs.log, 'append').mockImplementation(() => {
      throw new Sqlite.SqliteError('no', code);
    });
    const reply = await server.send('j', 'make-note', { id: 'n', stage: 'strip', text: 'x' });
    broken.mockRestore();
    expect([reply.status, reply.body.error.code]).toEqual([507, 'cannot-write']);
    expect(reply.body.error.message).toContain(words);
    expect(fingerprint()).toBe(before);
  });
  it('a full disk for true: the page limit is reached, nothing is half-written, and work goes on once there is room', async () => {
    const pages = Number(server.db.pragma('page_count', { simple: true }));
    server.db.pragma(`max_page_count = ${pages}`);
    const replies = [];
    for (let index = 0; index < 12; index += 1)
      replies.push(
        await server.send('free', 'make-note', { id: `big${index}`, stage: 'strip', text: 'x'.repeat(3900) }),
      );
    const taken = replies.filter(({ status }) => status === 201).length;
    expect(replies.at(-1)?.body.error).toMatchObject({ code: 'cannot-write' });
    expect(server.services.jobs.job('free')?.notes).toHaveLength(taken);
    expect(server.services.jobs.verify('free')).toBeNull();
    server.db.pragma('max_page_count = 1073741823');
    await server.send('free', 'make-note', { id: 'after', stage: 'strip', text: 'room again' }).expect(201);
  });
  it('a store that can only be read', async () => {
    server.db.pragma('query_only = ON');
    const reply = await server.send('free', 'make-note', { id: 'ro', stage: 'strip', text: 'x' });
    server.db.pragma('query_only = OFF');
    expect([reply.status, reply.body.error.code]).toEqual([507, 'cannot-write']);
  });
  it('something nobody foresaw tells nothing of itself', async () => {
    const broken = vi.spyOn(server.services.stock, 'page').mockImplementation(() => {
      throw new Error('secret path /somewhere');
    });
    const reply = await server.http.get('/api/stock');
    broken.mockRestore();
    expect(reply.status).toBe(500);
    expect(JSON.stringify(reply.body)).not.toContain('secret');
  });
});

describe('the error catalogue', () => {
  it('gives every code of its own a failing status, and any refusal of core a conflict', () => {
    for (const status of Object.values(ERROR_STATUS)) expect(status).toBeGreaterThanOrEqual(400);
    expect(statusOf('already-off')).toBe(409);
    expect(statusOf('bad-value')).toBe(400);
  });
  it('sends strict headers', async () => {
    const { headers } = await server.http.get('/api/health');
    expect(headers['content-security-policy']).toContain("script-src 'self'");
    expect(headers['content-security-policy']).toContain("style-src-attr 'none'");
    expect(headers['x-powered-by']).toBeUndefined();
    expect(NOW).toBe((await server.http.get('/api/bay')).body.now);
  });
});
