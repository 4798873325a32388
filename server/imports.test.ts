import { createHash } from 'node:crypto';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { LoggedFact } from '../core/job/index.ts';
import { shop } from '../demo/shop.ts';
import { CHAIN_START, chainHash } from './store/chain.ts';
import { type Harness, harness, openJob } from './testing/harness.ts';

interface JobFile {
  jobId: string;
  vehicle: { id: string; plate: string };
  events: LoggedFact[];
  hashes: string[];
}
let from: Harness;
let file: JobFile;
beforeAll(async () => {
  from = await harness();
  await openJob(from, 'j').expect(201);
  await from
    .send('j', 'record-coolant', { id: 'k', kind: 'caught', amountText: '0.7 L', concentration: null })
    .expect(201);
  await from.send('j', 'take-measurement', { id: 'm', kind: 'idle-rpm', when: 'before', value: 610 }).expect(201);
  file = (await from.http.get('/api/jobs/j/file').expect(200)).body as JobFile;
});
afterAll(() => from.close());

let to: Harness;
beforeEach(async () => {
  to = await harness();
});
afterEach(() => to.close());
const send = (body: object, by = 'isla') => to.http.post('/api/job-files').query({ by }).send(body);
const counts = (): unknown =>
  ['event', 'job_summary', 'vehicle', 'audit', 'picture'].map((table) =>
    to.db.prepare(`SELECT COUNT(*) AS n FROM ${table}`).get(),
  );

/** The file with its events changed, and a chain made to fit by whoever changed them. */
function forged(change: (event: LoggedFact) => LoggedFact): JobFile {
  const events = structuredClone(file.events).map(change);
  let previous = CHAIN_START;
  const hashes = events.map((event) => (previous = chainHash(previous, file.jobId, event)));
  return { ...file, events, hashes };
}
const dataOf = (type: string, change: object): JobFile =>
  forged((event) => (event.type === type ? { ...event, data: { ...(event.data as object), ...change } } : event));

describe('a job file', () => {
  it('is taken in by a lead; who worked on it and is not of this shop is marked', async () => {
    await send(file, 'tomas').expect(403);
    const strange = forged((event) => ({ ...event, by: event.seq > 1 ? 'olaf' : event.by }));
    const { body } = await send(strange).expect(201);
    expect(body.strangers).toEqual(['olaf']);
    const line = to.db.prepare("SELECT body FROM audit WHERE kind = 'job-file-read'").get() as { body: string };
    expect(JSON.parse(line.body)).toEqual({ number: body.number, strangers: ['olaf'] });
  });
  it.each<[string, () => object, RegExp]>([
    [
      'a number of no job',
      () => dataOf('job-opened', { number: 40_000_000 }),
      /“number” is 40000000; expected 1 to 9999999/,
    ],
    [
      'a lake of coolant',
      () => dataOf('coolant-recorded', { litres: 90_000 }),
      /“litres” is 90000; expected 0 to 1000/,
    ],
    ['a figure of no instrument', () => dataOf('measurement-taken', { value: 1e15 }), /“value” is 1000000000000000/],
    [
      'a time that has not come',
      () => forged((event) => ({ ...event, at: '2026-07-01T08:00:00.000Z' })),
      /lies ahead: here it is Wednesday 13 May 2026/,
    ],
    [
      'a time before cars',
      () => forged((event) => ({ ...event, at: '1870-07-01T08:00:00.000Z' })),
      /expected a day since 1980/,
    ],
    ['a time that is none', () => forged((event) => ({ ...event, at: 'yesterday' })), /Expected a time/],
    [
      'an entry that was altered',
      () => ({ ...file, events: file.events.map((event) => ({ ...event, by: 'wen' })) }),
      /chain breaks at entry 1/,
    ],
    ['a hash too few', () => ({ ...file, hashes: file.hashes.slice(1) }), /chain breaks/],
    ['no hash', () => ({ ...file, hashes: file.hashes.map(() => 'x') }), /hashes/],
    [
      'a fact that nobody knows',
      () => forged((event) => ({ ...event, type: 'plate-polished' })),
      /does not know “plate-polished”/,
    ],
    ['a field that is not known', () => dataOf('note-made', {}) && { ...file, more: 1 }, /more/],
    ['a vehicle without a plate', () => ({ ...file, vehicle: { ...file.vehicle, plate: ' ' } }), /plate/],
    [
      'another vehicle with a plate of ours',
      () => ({ ...file, vehicle: { ...file.vehicle, id: 'other-bus' } }),
      /Another vehicle here has the plate/,
    ],
    [
      'a photo that is another',
      () => ({
        ...file,
        pictures: [
          {
            hash: createHash('sha256').update('x').digest('hex'),
            mime: 'image/png',
            base64: Buffer.from('y').toString('base64'),
          },
        ],
      }),
      /photo|picture/i,
    ],
  ])('with %s is refused in words, and nothing is changed', async (_, make, words) => {
    const before = counts();
    const reply = await send(make());
    expect([reply.status >= 400 && reply.status < 500, reply.body.error?.message]).toEqual([
      true,
      expect.stringMatching(words),
    ]);
    expect(counts()).toEqual(before);
  });
});

describe('a shop file', () => {
  const put = (change: object, by = '') =>
    to.http.put(`/api/shop${by === '' ? '' : `?by=${by}`}`).send({ ...shop, ...change });
  it('is for a lead once the shop has people', async () => {
    await put({}).expect(400);
    await put({}, 'tomas').expect(403);
    await put({}, 'isla').expect(200);
  });
  it.each<[string, object, RegExp]>([
    ['a setting that there is not', { settings: { 'projected-by': 'me' } }, /no such setting/],
    ['a price of an hour in words', { settings: { 'rate-per-hour-minor': 'much' } }, /whole number from 0/],
    ['a price of an hour below nought', { settings: { 'rate-per-hour-minor': '-5' } }, /whole number from 0/],
    ['a zone that there is not', { settings: { 'time-zone': 'Atlantis/Quay' } }, /time zone/],
    ['a job number of nine digits', { settings: { 'first-job-number': '123456789' } }, /at most 9999999/],
    ['a person without a name', { people: [{ id: 'x', name: ' ', role: 'lead', bay: '' }] }, /called/],
    ['a person of no role', { people: [{ id: 'x', name: 'X', role: 'wizard', bay: '' }] }, /role/],
    ['more gaskets than there are', { stock: [{ ...shop.stock[0], counted: 5_000_000 }] }, /at most 1,000,000/],
    ['a price that nobody pays', { stock: [{ ...shop.stock[0], priceMinor: 2_000_000_000 }] }, /thousand million/],
    ['a name of a thousand letters', { stock: [{ ...shop.stock[0], name: 'x'.repeat(1000) }] }, /at most 300/],
  ])('with %s is refused in words, and nothing is changed', async (_, change, words) => {
    const before = counts();
    const { body } = await put(change, 'isla').expect(400);
    expect(body.error.message).toMatch(words);
    expect(counts()).toEqual(before);
  });
});

describe('a table of stock', () => {
  it.each([
    ['name,left\r\nNew gasket,5000000\r\n', /no count/],
    ['name,price\r\nNew gasket,99999999999\r\n', /no price|thousand million/],
    ['name,lead days\r\nNew gasket,4000\r\n', /0 to 365/],
    [`name\r\n${'x'.repeat(400)}\r\n`, /300/],
  ])('%j is refused in words, and nothing is changed', async (table, words) => {
    const before = counts();
    const { body } = await to.http
      .post('/api/stock/table?by=isla')
      .set('content-type', 'text/csv')
      .send(table)
      .expect(400);
    expect(body.error.message).toMatch(words);
    expect(counts()).toEqual(before);
  });
});
