import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { ChapterElsewhere, KnowHowFile, LifeFile, ShopsReply, SignedLook } from '../contract/index.ts';
import { vehicles } from '../demo/vehicles.ts';
import { type Harness, harness } from './testing/harness.ts';

let ours: Harness;
let theirs: Harness;
beforeEach(async () => {
  [ours, theirs] = [await harness(), await harness()];
  await theirs.http.put('/api/settings').send({ by: 'isla', settings: { shopName: 'North Pier Motors' } });
  theirs.db.prepare("INSERT OR REPLACE INTO setting (key, value) VALUES ('shop-name', 'North Pier Motors')").run();
});
afterEach(() => {
  ours.close();
  theirs.close();
});

/** A job of a shop on the bus, handed over. */
async function done(shop: Harness, jobId: string, meter: number): Promise<void> {
  const send = (type: string, data: object) =>
    shop.send(jobId, type, data, { at: '2026-05-12T08:00:00.000Z' }).expect(201);
  await send('open-job', {
    vehicleId: 'bus',
    reading: { value: meter, unit: 'km' },
    readingReason: '',
    complaint: `Hunts at ${meter}.`,
  });
  await send('decide', { choice: 'clean-bench', reason: 'deposit', departure: '', options: [] });
  await send('hand-over', { watch: '', nextDue: null, labourMinutes: 90, ratePerHourMinor: 5800, currency: 'cr' });
}
const life = async (shop: Harness, path = '/vehicles/bus/life'): Promise<LifeFile> =>
  (await shop.http.get(`/api${path}?by=isla`).expect(200)).body as LifeFile;
const take = (shop: Harness, body: object, by = 'isla') => shop.http.post('/api/signed-files').send({ by, ...body });
const look = async (shop: Harness, file: object): Promise<SignedLook> =>
  (await shop.http.post('/api/signed-files/looks').send({ by: 'tomas', file }).expect(200)).body as SignedLook;
const elsewhere = async (shop: Harness, path = '/vehicles/bus/elsewhere') =>
  ((await shop.http.get(`/api${path}`).expect(200)).body as { rows: ChapterElsewhere[] }).rows;

describe('the life of a vehicle', () => {
  it('is signed, and read at the next shop as history that is theirs, beside numbers that stay ours', async () => {
    await done(theirs, 't1', 140_000);
    await done(ours, 'o1', 148_000);
    const file = await life(theirs);
    expect(JSON.stringify(file)).not.toContain(vehicles.bus!.owner);
    const seen = await look(ours, file);
    expect(seen).toMatchObject({
      kind: 'life',
      shop: { name: 'North Pier Motors', known: null },
      life: { chapters: 1, shops: ['North Pier Motors'], ours: [{ id: 'bus', by: 'vin' }] },
    });
    expect(await elsewhere(ours)).toEqual([]);
    const before = (await ours.http.get('/api/due?weeks=520').expect(200)).body as unknown;
    const jobs = ours.db.prepare('SELECT COUNT(*) AS n FROM job_summary').get();
    expect((await take(ours, { file, onto: 'bus' }).expect(201)).body).toEqual({ taken: 1 });
    const rows = await elsewhere(ours);
    expect(rows).toMatchObject([
      {
        id: 't1',
        title: 'Clean on the bench',
        meter: 140_000,
        tellings: 1,
        shop: { name: 'North Pier Motors', confirmedAt: null },
      },
    ]);
    expect(JSON.stringify(rows[0]!.sections)).toContain('Hunts at 140000.');
    expect((await ours.http.get('/api/due?weeks=520').expect(200)).body).toEqual(before);
    expect(ours.db.prepare('SELECT COUNT(*) AS n FROM job_summary').get()).toEqual(jobs);
    // Twice is once.
    expect((await take(ours, { file, onto: 'bus' }).expect(201)).body).toEqual({ taken: 0 });
    expect(await elsewhere(ours)).toHaveLength(1);
  });

  it('is handed on whole: each chapter by whoever signed it, our own never as somebody else’s', async () => {
    await done(theirs, 't1', 140_000);
    await take(ours, { file: await life(theirs), onto: 'bus' }).expect(201);
    await done(ours, 'o1', 148_000);
    const third = await harness();
    const file = await life(ours);
    expect(file.body.earlier).toHaveLength(1);
    expect((await look(third, file)).life?.shops).toEqual([file.shop.name, 'North Pier Motors']);
    expect((await take(third, { file, onto: 'bus' }).expect(201)).body).toEqual({ taken: 2 });
    expect((await elsewhere(third)).map(({ id, shop }) => [id, shop.name])).toEqual(
      expect.arrayContaining([
        ['t1', 'North Pier Motors'],
        ['o1', file.shop.name],
      ]),
    );
    // It comes back: what they told themselves is not taken as of another.
    const back = await life(third);
    expect((await take(theirs, { file: back, onto: 'bus' }).expect(201)).body).toEqual({ taken: 1 });
    expect((await elsewhere(theirs)).map(({ id }) => id)).toEqual(['o1']);
    third.close();
  });

  it('keeps an earlier telling when that shop tells it otherwise later', async () => {
    await done(theirs, 't1', 140_000);
    await take(ours, { file: await life(theirs), onto: 'bus' }).expect(201);
    await theirs.send('t1', 'reopen-job', { reason: 'came back' }, { at: '2026-05-12T09:00:00.000Z' });
    await theirs.send('t1', 'make-note', { id: 'n', stage: 'prove', text: 'whistled after a week' }, { at: '2026-05-12T10:00:00.000Z' }); // prettier-ignore
    await theirs.send('t1', 'hand-over', { watch: 'the whistle', nextDue: null, labourMinutes: 95, ratePerHourMinor: 5800, currency: 'cr' }, { at: '2026-05-12T11:00:00.000Z' }); // prettier-ignore
    const again = await life(theirs);
    await take(ours, { file: again, onto: 'bus' }).expect(201);
    const rows = await elsewhere(ours);
    expect(rows).toHaveLength(1);
    expect(rows[0]!.tellings).toBe(2);
    expect(ours.db.prepare('SELECT COUNT(*) AS n FROM chapter_elsewhere').get()).toEqual({ n: 2 });
  });

  it('is refused when a letter of it was changed, when it is our own, and when nobody says whose it is', async () => {
    await done(theirs, 't1', 140_000);
    const file = await life(theirs);
    const altered = structuredClone(file) as unknown as { body: { chapters: { title: string }[] } };
    altered.body.chapters[0]!.title = 'Replaced';
    const refused = await take(ours, { file: altered, onto: 'bus' }).expect(400);
    expect(refused.body).toMatchObject({ error: { message: 'The file was altered after North Pier Motors signed it. Nothing was read.' } }); // prettier-ignore
    const nested = { ...(await life(ours)), body: { ...(await life(ours)).body, earlier: [altered] } };
    expect((await take(theirs, { file: nested, onto: 'bus' })).status).toBeGreaterThanOrEqual(400);
    expect((await take(theirs, { file, onto: 'bus' }).expect(400)).body).toMatchObject({
      error: { message: 'This shop signed that file itself: it is here already.' },
    });
    await theirs.http.post('/api/signed-files/looks').send({ by: 'isla', file }).expect(400);
    expect((await take(ours, { file }).expect(400)).body).toMatchObject({ error: { fields: { onto: expect.any(String) as string } } }); // prettier-ignore
    await take(ours, { file, onto: 'no-such' }).expect(404);
    await take(ours, { file, onto: 'bus' }, 'wen').expect(403);
    await take(ours, { file: { ...file, version: 2 }, onto: 'bus' }).expect(400);
    await ours.http.get('/api/vehicles/bus/life?by=wen').expect(403);
    await ours.http.get('/api/vehicles/no-such/life?by=isla').expect(404);
    expect(await elsewhere(ours)).toEqual([]);
  });

  it('goes along when two vehicles turn out to be one', async () => {
    await done(theirs, 't1', 140_000);
    await ours.http.put('/api/vehicles/twin').send({ by: 'isla', vehicle: { ...vehicles.bus, plate: 'TW 1', vin: '', units: [] } }).expect(201); // prettier-ignore
    await take(ours, { file: await life(theirs), onto: 'twin' }).expect(201);
    await ours.http.delete('/api/vehicles/twin?by=isla').expect(409);
    await ours.http.post('/api/vehicles/twin/merge').send({ by: 'isla', into: 'bus', why: 'the same' }).expect(200);
    expect((await elsewhere(ours)).map(({ id }) => id)).toEqual(['t1']);
  });
});

describe('the life of a unit', () => {
  it('is what was noted of it and the jobs that moved it', async () => {
    const [unit] = vehicles.bus!.units as { id: string }[];
    const file = await life(theirs, `/units/${unit!.id}/life`);
    expect(file.body.of).toMatchObject({ kind: 'unit', unitId: unit!.id });
    expect(file.body.chapters.map(({ title }) => title)).toEqual(['What was noted of it']);
    expect((await look(ours, file)).life?.ours).toMatchObject([{ id: unit!.id, by: 'id' }]);
    await take(ours, { file, onto: unit!.id }).expect(201);
    expect(await elsewhere(ours, `/units/${unit!.id}/elsewhere`)).toMatchObject([{ title: 'What was noted of it' }]);
    await theirs.http.get('/api/units/no-such/life?by=isla').expect(404);
  });
});

describe('shops', () => {
  it('are known by their key, and believed once it was compared with them', async () => {
    await done(theirs, 't1', 140_000);
    await take(ours, { file: await life(theirs), onto: 'bus' }).expect(201);
    const own = ((await theirs.http.get('/api/shops').expect(200)).body as ShopsReply).own;
    const known = ((await ours.http.get('/api/shops').expect(200)).body as ShopsReply).rows;
    expect(known).toMatchObject([{ name: 'North Pier Motors', fingerprint: own.fingerprint, confirmedAt: null }]);
    const path = `/api/shops/${encodeURIComponent(own.fingerprint)}`;
    await ours.http.put(path).send({ by: 'tomas', confirmed: true }).expect(403);
    await ours.http.put(path).send({ by: 'isla', confirmed: true }).expect(200);
    expect((await elsewhere(ours))[0]!.shop.confirmedBy).toBe('isla');
    await ours.http.put(path).send({ by: 'isla', confirmed: false }).expect(200);
    expect((await elsewhere(ours))[0]!.shop.confirmedBy).toBeNull();
    await ours.http.put('/api/shops/0000').send({ by: 'isla', confirmed: true }).expect(404);
  });
});

describe('know-how', () => {
  const knowHow = async (query: string): Promise<KnowHowFile> =>
    (await theirs.http.get(`/api/know-how?by=isla&${query}`).expect(200)).body as KnowHowFile;

  it('comes with what differs, and of it is taken what is named', async () => {
    const [first, second] = theirs.services.procedures.lines();
    const body = theirs.services.procedures.get(first!.id)!;
    await theirs.http
      .put(`/api/procedures/${first!.id}`)
      .send({ by: 'isla', basedOn: body.version, note: 'other name', procedure: { ...body, name: 'Their way' } })
      .expect(200);
    const newest = theirs.services.knowledge.newest();
    const cause = newest.causes.find(({ common }) => common.cable !== undefined)!;
    await theirs.http
      .post('/api/knowledge')
      .send({
        by: 'isla',
        base: newest.version,
        note: 'seen less',
        edits: [{ kind: 'common', cause: cause.id, group: 'cable', to: 'rare' }],
      }) // prettier-ignore
      .expect(201);
    const file = await knowHow(`procedures=${first!.id},${second!.id}&knowledge=yes`);
    const beside = (await look(ours, file)).knowHow!;
    expect(beside.map(({ key, state }) => [key, state])).toEqual([
      [`procedure:${first!.id}`, 'differs'],
      [`procedure:${second!.id}`, 'same'],
      ['edit:0', 'differs'],
    ]);
    expect(beside[0]!.lines.join()).toContain('Their way');
    await take(ours, { file, keys: [`procedure:${first!.id}`] }).expect(201);
    expect(ours.services.procedures.get(first!.id)).toMatchObject({
      name: 'Their way',
      changes: 'from North Pier Motors',
    });
    expect(ours.services.knowledge.newest().causes.find(({ id }) => id === cause.id)?.common.cable).toBe(
      cause.common.cable,
    );
    await take(ours, { file, keys: ['edit:0'] }).expect(201);
    expect(ours.services.knowledge.newest().causes.find(({ id }) => id === cause.id)?.common.cable).toBe('rare');
    expect((await look(ours, file)).knowHow!.every(({ state }) => state === 'same')).toBe(true);
  });

  it('refuses a recipe that nobody could work by, and takes nothing beside it', async () => {
    const [recipe] = theirs.services.recipes.all();
    const [line] = theirs.services.procedures.lines();
    // A shop may hold what this program would not let it save: it is judged where it arrives.
    const broken = { ...recipe!, id: 'broken', steps: [] };
    theirs.services.oneGo.run(() => theirs.services.recipes.save(broken, 0, 'x', { by: 'isla', at: '2026-05-13T13:00:00.000Z' })); // prettier-ignore
    const file = await knowHow(`recipes=broken&procedures=${line!.id}`);
    const before = ours.services.procedures.get(line!.id)!.version;
    const reply = await take(ours, { file, keys: ['recipe:broken', `procedure:${line!.id}`] }).expect(400);
    expect(reply.body).toMatchObject({ error: { message: expect.stringContaining('Nothing was taken.') as string } });
    expect(ours.services.recipes.get('broken')).toBeNull();
    expect(ours.services.procedures.get(line!.id)!.version).toBe(before);
  });

  it('takes all or nothing: one change that does not fit leaves everything as it was', async () => {
    const [recipe] = theirs.services.recipes.all();
    const file = await knowHow(`recipes=${recipe!.id}`);
    expect((await look(ours, file)).knowHow).toMatchObject([{ key: `recipe:${recipe!.id}`, state: 'same' }]);
    const altered = { ...file, body: { ...file.body, edits: [{ kind: 'minutes', sign: 'no-such', minutes: 5 }] } };
    expect((await take(ours, { file: altered, keys: ['edit:0'] })).body).toMatchObject({
      error: { message: 'The file was altered after North Pier Motors signed it. Nothing was read.' },
    });
    await theirs.http.get('/api/know-how?by=wen').expect(403);
    expect((await knowHow('')).body).toEqual({ procedures: [], recipes: [], edits: [] });
  });
});
