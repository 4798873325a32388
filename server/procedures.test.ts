import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ItemTimes, ProcedureFile } from '../contract/index.ts';
import type { Procedure } from '../core/procedure/index.ts';
import { cableNext } from '../demo/procedures/cableNext.ts';
import { type Harness, harness, NOW, openJob, PROCEDURE } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
});
afterAll(() => server.close());

const save = (procedure: Procedure, basedOn: number, more: object = {}) =>
  server.http
    .put(`/api/procedures/${procedure.id}`)
    .send({ by: 'tomas', basedOn, note: 'tried it', procedure, ...more });
const get = async (path: string): Promise<never> =>
  (await server.http.get(`/api/procedures${path}`).expect(200)).body as never;

describe('the procedures library', () => {
  it('lists the newest of each with what it is for', async () => {
    const { rows } = (await get('')) as { rows: Record<string, unknown>[] };
    expect(rows.find(({ id }) => id === 'multi-bank-v8')).toMatchObject({
      version: 1,
      work: 'rebuild',
      familyId: 'vantaro-46',
      items: 113,
    });
    expect((rows.find(({ id }) => id === 'multi-bank-v8')?.constraints as number) >= 40).toBe(true);
  });
  it('keeps every version, and never changes one', async () => {
    await save(cableNext, 3).expect(200);
    expect(await get(`/${PROCEDURE}`)).toMatchObject({ version: 4, changes: 'tried it' });
    expect(((await get(`/${PROCEDURE}?version=3`)) as Procedure).items.find(({ id }) => id === 'purge')).toBeDefined();
    expect(((await get(`/${PROCEDURE}`)) as Procedure).items.find(({ id }) => id === 'purge')).toBeUndefined();
    expect(await get(`/${PROCEDURE}/versions`)).toMatchObject({
      rows: [
        { version: 4, by: 'tomas', at: NOW, note: 'tried it' },
        { version: 3, by: 'shop' },
      ],
    });
    expect(() => server.db.prepare("UPDATE procedure_version SET note = 'x'").run()).toThrow('never changed');
    expect(() => server.db.prepare('DELETE FROM procedure_version').run()).toThrow('never deleted');
    expect(
      server.db.prepare("SELECT person, body FROM audit WHERE kind = 'procedure-saved' ORDER BY id DESC LIMIT 1").get(),
    ).toEqual({ person: 'tomas', body: '{"version":4,"note":"tried it"}' });
    await server.http.get(`/api/procedures/${PROCEDURE}?version=9`).expect(404);
  });
  it('does not save on top of what somebody else saved meanwhile', async () => {
    const reply = await save(cableNext, 3).expect(409);
    expect(reply.body.error).toMatchObject({ code: 'procedure-moved-on' });
    expect(reply.body.error.message).toContain('Version 4 was saved meanwhile');
    expect(await get(`/${PROCEDURE}/versions`)).toMatchObject({ rows: { length: 2 } });
  });
  it('does not save what cannot be worked from, and says where', async () => {
    const circle: Procedure = {
      ...cableNext,
      constraints: [...cableNext.constraints, { kind: 'before', id: 'back', a: 'flange', b: 'gasket', reason: 'no' }],
    };
    const reply = await save(circle, 4).expect(400);
    expect(reply.body.error.message).toContain('round in a circle');
    expect(Object.keys(reply.body.error.fields)[0]).toMatch(/^procedure\./);
    await save(cableNext, 4, { note: ' ' }).expect(400);
    await save(cableNext, 4, { by: 'nobody' }).expect(400);
    await server.http
      .put('/api/procedures/other')
      .send({ by: 'tomas', basedOn: 0, note: 'x', procedure: cableNext })
      .expect(400);
  });
  it('leaves as a file and comes back as the next version, or as a new one', async () => {
    const file = (await get(`/${PROCEDURE}/file`)) as ProcedureFile;
    expect(file).toMatchObject({ format: 'unhurried-wrench-procedure', version: 1, procedure: { version: 4 } });
    const back = await server.http.post('/api/procedures/files').send({ by: 'isla', file }).expect(201);
    expect(back.body).toMatchObject({ id: PROCEDURE, version: 5 });
    const fresh = { ...file, procedure: { ...file.procedure, id: 'from-elsewhere' } };
    expect(
      (await server.http.post('/api/procedures/files').send({ by: 'isla', file: fresh }).expect(201)).body,
    ).toMatchObject({
      id: 'from-elsewhere',
      version: 1,
    });
    const wrong = await server.http
      .post('/api/procedures/files')
      .send({ by: 'isla', file: { ...file, format: 'something' } })
      .expect(400);
    expect(wrong.body.error.fields['file.format']).toBe('This is not a procedure file of this program.');
    const item = { ...file.procedure.items[0], tool: 7 };
    const bad = await server.http
      .post('/api/procedures/files')
      .send({ by: 'isla', file: { ...file, procedure: { ...file.procedure, items: [item] } } })
      .expect(400);
    expect(Object.keys(bad.body.error.fields)).toContain('file.procedure.items.0.tool');
  });
});

describe('a job and its procedure', () => {
  it('works by the version it began with, and moves to a newer one when told', async () => {
    await openJob(server, 'j').expect(201);
    await server.send('j', 'pin-procedure', { procedureId: 'diesel-flap' }).expect(201);
    await server.send('j', 'remove-item', { itemId: 'cover', pocket: 'A1', label: '', countedOut: 4 }).expect(201);
    const flap = (await get('/diesel-flap')) as Procedure;
    const next: Procedure = {
      ...flap,
      items: [...flap.items, { ...flap.items[0]!, id: 'shield', name: 'Heat shield', fasteners: null }],
    };
    await save(next, 1).expect(200);
    expect(server.services.jobs.job('j')?.procedure?.version).toBe(1);
    await server.send('j', 'move-to-version', { procedureId: 'diesel-flap', version: 7 }).expect(404);
    await server.send('j', 'move-to-version', { procedureId: 'motorcycle-four', version: 1 }).expect(409);
    await server.send('j', 'move-to-version', { procedureId: 'diesel-flap', version: 2 }).expect(201);
    const job = server.services.jobs.job('j')!;
    expect(job.procedure?.version).toBe(2);
    expect(job.items.map(({ id, state }) => `${id} ${state}`)).toEqual([
      'cover off',
      ...next.items.slice(1).map(({ id }) => `${id} on`),
    ]);
  });
  it('tells what items took in finished jobs, and nothing of open ones', async () => {
    expect(Object.keys((await get('/diesel-flap/times')) as ItemTimes)).toEqual([]);
    server.db.prepare("UPDATE item_time SET closed = 1 WHERE job_id = 'j'").run();
    server.db.prepare("INSERT INTO item_time VALUES ('k', 'cover', 'diesel-flap', 'Engine cover', 120, 90, 1)").run();
    expect(((await get('/diesel-flap/times')) as ItemTimes).cover).toEqual({ off: [2], back: [1.5] });
    await server.http.get('/api/procedures/none/times').expect(404);
  });
});

describe('who may', () => {
  const drop = () => server.send('j', 'drop-object', { id: 'nut', what: 'M6 nut', where: 'valley' });
  it('accept a loss: a lead, and nobody else', async () => {
    await drop().expect(201);
    const lost = { id: 'nut', outcome: 'accepted', where: 'below the subframe' };
    expect((await server.send('j', 'end-search', lost).expect(403)).body.error.code).toBe('lead-only');
    await server.send('j', 'end-search', lost, { by: 'isla' }).expect(201);
    expect(server.db.prepare("SELECT outcome, ended_by FROM dropped WHERE job_id = 'j'").get()).toEqual({
      outcome: 'accepted',
      ended_by: 'isla',
    });
  });
  it('let the engine start while something holds it: a lead, with a reason', async () => {
    const word = { keys: ['item-off cover'], reason: 'a test run without the cover' };
    await server.send('j', 'override-hold', word).expect(403);
    await server.send('j', 'override-hold', word, { by: 'marit' }).expect(403);
    expect(
      (await server.send('j', 'override-hold', { ...word, reason: '' }, { by: 'isla' }).expect(400)).body.error.fields,
    ).toHaveProperty(['data.reason']);
    await server.send('j', 'override-hold', word, { by: 'isla' }).expect(201);
    expect(server.db.prepare('SELECT hold, person, reason FROM hold_override').all()).toEqual([
      { hold: 'item-off cover', person: 'isla', reason: 'a test run without the cover' },
    ]);
    expect(server.db.prepare("SELECT held FROM job_summary WHERE job_id = 'j'").get()).toEqual({ held: 0 });
  });
});

describe('opening hours and tools', () => {
  it('are part of the shop, and a lead changes the hours', async () => {
    const shop = (await server.http.get('/api/shop').expect(200)).body;
    expect(shop.tools.length).toBeGreaterThanOrEqual(8);
    expect(shop.calendar.hours[6]).toBeNull();
    const calendar = { ...shop.calendar, closed: ['2026-05-25'] };
    await server.http.put('/api/calendar').send({ by: 'tomas', calendar }).expect(403);
    expect((await server.http.put('/api/calendar').send({ by: 'isla', calendar }).expect(200)).body.closed).toEqual([
      '2026-05-25',
    ]);
    const early = { ...calendar, hours: [{ from: 600, to: 480 }, ...calendar.hours.slice(1)] };
    const wrong = await server.http.put('/api/calendar').send({ by: 'isla', calendar: early }).expect(400);
    expect(wrong.body.error.fields['calendar.hours.0']).toBe('Expected to close after opening.');
    expect(
      server.db.prepare("SELECT count(*) AS n FROM audit WHERE kind = 'calendar-changed' AND person = 'isla'").get(),
    ).toEqual({ n: 1 });
  });
  it('say which parts open jobs still want', async () => {
    await server.send('j', 'tick-need', { needId: 'n-flap-gasket', state: 'ready', expected: null }).expect(201);
    const wanted = async () =>
      (await server.http.get('/api/wanted').expect(200)).body.rows as { partNumber: string; jobId: string }[];
    expect((await wanted()).find(({ partNumber }) => partNumber === 'VF-30-0714')).toMatchObject({ jobId: 'j' });
    await server
      .send('j', 'use-part', { id: 'p', name: 'Flap gasket', partNumber: 'VF-30-0714', quantity: 1, priceMinor: 720 })
      .expect(201);
    expect((await wanted()).find(({ partNumber }) => partNumber === 'VF-30-0714')).toBeUndefined();
  });
});
