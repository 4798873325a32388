import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FoundKind, SearchReply } from '../contract/index.ts';
import { type Harness, harness, openJob } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
  await openJob(server, 'j').expect(201);
  await openJob(server, 'other', { vehicleId: 'van1', reading: { value: 90_000, unit: 'km' } }).expect(201);
  const send = (type: string, data: object, by = 'tomas') => server.send('j', type, data, { by }).expect(201);
  await send('read-code', { id: 'c', code: 'P0505', status: 'stored', when: 'before', note: 'again' });
  await send('record-finding', {
    id: 'f',
    unit: 'throttle-body',
    point: 'deposit-edge',
    when: 'before',
    grade: 3,
    text: 'crust like toffee',
  });
  await send('make-note', { id: 'n', stage: 'strip', text: 'the rear clamp is à l’envers' }, 'wen');
  await send('use-part', { id: 'p', name: 'Body gasket', partNumber: 'QX 77-41b', quantity: 1, priceMinor: 0 });
});
afterAll(() => server.close());

const search = async (q: string, more: object = {}): Promise<SearchReply> =>
  (
    await server.http
      .get('/api/search')
      .query({ q, ...more })
      .expect(200)
  ).body as SearchReply;
const refs = async (q: string, kind: FoundKind): Promise<string[]> =>
  (await search(q)).groups.find((group) => group.kind === kind)?.rows.map(({ ref }) => ref) ?? [];

describe('search', () => {
  it.each([
    ['its number', '228'],
    ['the plate', 'TQ 417'],
    ['the plate without spaces', 'tq417'],
    ['the beginning of the plate', 'tq 4'],
    ['a code', 'p0505'],
    ['what was found', 'toffee'],
    ['words of what was found, begun, in any order', 'toff crus'],
    ['a note, whatever its accents', 'a l’envers'],
    ['a part number, however it is spelt', 'qx7741B'],
    ['a part number with other dashes', 'QX-77 41 b'],
    ['who worked on it', 'wen okafor'],
    ['what the customer said', 'hunts'],
  ])('finds a job by %s', async (_, q) => {
    expect(await refs(q, 'job')).toContain('j');
  });
  it('finds vehicles, units, stock and procedures by what people know of them', async () => {
    const { vin, owner } = server.services.vehicles.get('bus')!;
    expect(await refs(vin.toLowerCase(), 'vehicle')).toEqual(['bus']);
    expect(await refs(owner, 'vehicle')).toContain('bus');
    expect(await refs('bus-tb', 'unit')).toContain('bus-tb');
    const gasket = server.services.stock.all('2026-05-13T00:00:00.000Z').find(({ partNumber }) => partNumber !== '')!;
    expect(await refs(gasket.partNumber.replaceAll('-', ' ').toLowerCase(), 'stock')).toContain(gasket.id);
    expect((await refs('rotary', 'procedure')).length).toBeGreaterThan(0);
  });
  it('says which part of a job it was found in, with what was searched for marked', async () => {
    const [group] = (await search('toffee')).groups;
    expect(group).toMatchObject({ kind: 'job', more: false, rows: [{ ref: 'j', about: 'finding', status: 'open' }] });
    expect(group?.rows[0]?.title).toMatch(/^228 · TQ 417 · /);
    expect(group?.rows[0]?.parts.filter(({ hit }) => hit)).toEqual([{ text: 'toffee', hit: true }]);
  });
  it('tells long words apart that begin alike, though hundreds of the others were written later', async () => {
    const who = { by: 'isla', at: '2026-05-13T12:00:00.000Z' };
    const { vehicles, oneGo } = server.services;
    const { lastReading: _, id: __, ...bus } = vehicles.get('bus')!;
    const put = (id: string, owner: string): void =>
      void vehicles.put(id, { ...bus, units: [], plate: id, vin: '', owner }, 0, who, '2026-05-13');
    oneGo.run(() => {
      put('right', 'Marlinspike works');
      for (let index = 0; index < 410; index += 1) put(`wrong-${index}`, 'Marlinspoon works');
    });
    expect(await refs('marlinspike', 'vehicle')).toEqual(['right']);
    expect(await refs('marlinspi works', 'vehicle')).toEqual(['right']);
    expect((await refs('marlinsp', 'vehicle')).length).toBeGreaterThan(1);
    expect(await refs('marlinspikes', 'vehicle')).toEqual([]);
    const { body } = await server.http.get('/api/vehicles').query({ q: 'marlinspike' }).expect(200);
    expect(body.rows.map(({ id }: { id: string }) => id)).toEqual(['right']);
  });
  it('wants every word, and finds nothing where one of them is nowhere', async () => {
    expect(await refs('toffee P0505', 'job')).toEqual([]);
    expect((await search('zzyzx')).groups).toEqual([]);
  });
  it.each([
    ['“'],
    ['"'],
    ["'; DROP TABLE job_summary; --"],
    ['*'],
    ['- . /'],
    [''],
    ['NEAR(a b)'],
    ['plain:'],
    ['x'.repeat(500)],
    ['a'],
    ['😀'],
  ])('takes %j for words and nothing else', async (q) => {
    expect((await search(q)).groups.every(({ rows }) => rows.length > 0)).toBe(true);
    expect(server.services.jobs.log.jobIds()).toContain('j');
  });
  it('says that there are more, and gives them when asked', async () => {
    const group = async (limit: number) => (await search('t', { limit })).groups.find(({ rows }) => rows.length > 0)!;
    const one = await group(1);
    expect([one.rows.length, one.more]).toEqual([1, true]);
    expect((await group(200)).more).toBe(false);
    await server.http.get('/api/search').query({ q: 'a', limit: 'many' }).expect(400);
  });
  it('follows what is changed, taken back and made anew', async () => {
    await server.send('other', 'make-note', { id: 'n', stage: 'strip', text: 'quince jelly' }).expect(201);
    expect(await refs('quince', 'job')).toEqual(['other']);
    const last = server.services.jobs.job('other')!.undo!.commandId;
    await server.send('other', 'undo', { expected: last }).expect(201);
    expect(await refs('quince', 'job')).toEqual([]);
    const { vehicle, version } = (await server.http.get('/api/vehicles/van1')).body;
    const { id: _, lastReading: __, ...input } = vehicle;
    await server.http
      .put('/api/vehicles/van1')
      .send({ by: 'isla', basedOn: version, vehicle: { ...input, nickname: 'marzipan van' } })
      .expect(200);
    expect(await refs('marzipan', 'vehicle')).toEqual(['van1']);
    server.services.jobs.rebuild();
    expect(await refs('toffee', 'job')).toEqual(['j']);
    for (const table of ['job_found', 'row_found'])
      server.db.prepare(`INSERT INTO ${table} (${table}, rank) VALUES ('integrity-check', 1)`).run();
  });
});
