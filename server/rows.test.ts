import { atOnce } from './store/log.ts';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Harness, harness } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
});
afterAll(() => server.close());

/** Each kind of plain row: its address, what is sent, one change and another, and what its page answers with. */
const ROWS = [
  {
    what: 'vehicle',
    path: '/api/vehicles/launch',
    field: 'vehicle',
    read: (body: { vehicle: Record<string, unknown>; version: number }) => {
      const { id: _, lastReading: __, ...typed } = body.vehicle;
      return { typed, version: body.version };
    },
    mine: { owner: 'Harbour board' },
    theirs: { owner: 'Ferry company' },
  },
  {
    what: 'family',
    path: '/api/families/calder-14',
    field: 'family',
    read: (body: { family: Record<string, unknown>; version: number }) => {
      const { id: _, ...typed } = body.family;
      return { typed, version: body.version };
    },
    mine: { notes: 'quiet' },
    theirs: { notes: 'loud' },
  },
  {
    what: 'unit',
    path: '/api/units/bus-tb',
    field: 'unit',
    read: (body: { unit: Record<string, unknown>; version: number }) => {
      const { kind, partNumber, features } = body.unit;
      return { typed: { kind, partNumber, features } as Record<string, unknown>, version: body.version };
    },
    mine: { partNumber: 'NP-25-1101' },
    theirs: { partNumber: 'NP-25-1102' },
  },
  {
    what: 'stock',
    path: '/api/stock/s-1107',
    field: 'item',
    read: (body: { item: Record<string, unknown> }) => {
      const { name, partNumber, kind, place, priceMinor, detail, version } = body.item;
      return {
        typed: { name, partNumber, kind, place, priceMinor, detail } as Record<string, unknown>,
        version: version as number,
      };
    },
    mine: { place: 'G7' },
    theirs: { place: 'G8' },
  },
] as const;

describe.each(ROWS)('a $what', ({ path, field, read, mine, theirs }) => {
  const page = async () => read((await server.http.get(path).expect(200)).body);
  const save = (by: string, basedOn: number, row: object) => server.http.put(path).send({ by, basedOn, [field]: row });

  it('saved over a newer one is not taken, and both are shown', async () => {
    const { typed, version } = await page();
    await save('isla', version, { ...typed, ...theirs }).expect(200);
    const { body } = await save('tomas', version, { ...typed, ...mine }).expect(409);
    expect(body.error).toMatchObject({
      code: 'row-moved-on',
      newer: { version: version + 1, row: theirs, changed: { by: 'isla' } },
    });
    expect((await page()).typed).toMatchObject(theirs);
    // Having seen it, the person may save on top.
    await save('tomas', version + 1, { ...typed, ...mine }).expect(200);
    expect(await page()).toEqual({ typed: { ...typed, ...mine }, version: version + 2 });
  });
  it('sent twice is saved once', async () => {
    const { typed, version } = await page();
    await save('isla', version, { ...typed, ...theirs }).expect(200);
    await save('isla', version, { ...typed, ...theirs }).expect(200);
    expect((await page()).version).toBe(version + 1);
  });
  it('tells who changed it and to what, newest first, a page at a time', async () => {
    const { body } = await server.http.get(`${path}/audit?limit=2`).expect(200);
    expect(body.rows).toMatchObject([
      { by: 'isla', body: theirs },
      { by: 'tomas', body: mine },
    ]);
    const older = await server.http.get(`${path}/audit?limit=1&before=${body.rows[1].id}`).expect(200);
    expect(older.body.rows).toMatchObject([{ by: 'isla', body: theirs }]);
  });
});

describe('one request', () => {
  it('is all or nothing: a shop file that breaks in the middle changes nothing', async () => {
    const shopRow = () => server.db.prepare("SELECT count(*) AS n FROM person WHERE id = 'nora'").get();
    const file = {
      people: [{ id: 'nora', name: 'Nora Lund', role: 'technician', bay: '' }],
      settings: {},
      wrenches: [],
      stock: [],
      procedures: [],
      families: [],
    };
    const failing = server.db.prepare(
      "CREATE TRIGGER no_rule BEFORE INSERT ON house_rule BEGIN SELECT RAISE(ABORT, 'the disk broke'); END",
    );
    failing.run();
    const { body } = await server.http
      .put('/api/shop?by=isla')
      .send({ ...file, rules: { hoses: 'clamp' } })
      .expect(500);
    expect(body.error.message).toContain('Nothing was changed');
    expect(shopRow()).toEqual({ n: 0 });
    server.db.exec('DROP TRIGGER no_rule');
    await server.http
      .put('/api/shop?by=isla')
      .send({ ...file, rules: { hoses: 'clamp' } })
      .expect(200);
    expect(shopRow()).toEqual({ n: 1 });
    expect(server.services.people.names().get('nora')).toBe('Nora Lund');
  });
  it('that fails leaves nobody told and nothing kept in memory', async () => {
    const told: string[] = [];
    const stop = server.services.jobs.onChange((jobId) => told.push(jobId));
    const open = {
      id: 'rows-open',
      at: '2026-05-13T13:09:00.000Z',
      by: 'tomas',
      seen: 0,
      type: 'open-job',
      data: { vehicleId: 'bus', reading: { value: 150_000, unit: 'km' }, readingReason: '', complaint: 'x' },
    } as const;
    expect(() =>
      server.services.oneGo.run(() => {
        server.services.jobs.take('rows', open, atOnce(open.at));
        throw new Error('later in the same request');
      }),
    ).toThrow('later');
    expect(told).toEqual([]);
    expect(server.services.jobs.job('rows')).toBeNull();
    server.services.oneGo.run(() => server.services.jobs.take('rows', open, atOnce(open.at)));
    expect(told).toEqual(['rows']);
    stop();
  });
});
