import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { LessonsReply } from '../contract/index.ts';
import { vehicles } from '../demo/vehicles.ts';
import { type Harness, harness } from './testing/harness.ts';

let server: Harness;
beforeEach(async () => {
  server = await harness({ now: '2026-05-20T13:00:00.000Z' });
});
afterEach(() => server.close());

/** A vehicle of its own, whose valve’s ring was judged as it came. */
async function ring(nth: number, familyId: string, outcome: 'soft' | 'hard', meter: number): Promise<void> {
  const vehicleId = `v${nth}`;
  await server.http
    .put(`/api/vehicles/${vehicleId}`)
    .send({
      by: 'isla',
      vehicle: { ...vehicles.bus, plate: `RG ${nth}`, vin: '', familyId, units: [], knownSince: '2020-01-01' },
    })
    .expect(201);
  const send = (type: string, data: object) =>
    server.send(`r${nth}`, type, data, { at: '2026-05-13T08:00:00.000Z', by: 'tomas' }).expect(201);
  await send('open-job', {
    vehicleId,
    reading: { value: meter, unit: 'km' },
    readingReason: '',
    complaint: 'hunts',
  });
  await send('judge-point', {
    id: 'p',
    unit: 'idle-valve',
    kind: 'idle-valve',
    form: 'rotary-valve',
    point: 'ring',
    when: 'before',
    which: 'valve ring',
    marks: [],
    outcome,
    typed: [],
    note: '',
  });
  if (outcome === 'hard')
    await send('decide-seal', {
      id: 's',
      name: 'O-ring, valve',
      decision: 'renewed',
      partNumber: 'NP-25-1120',
      why: '',
    });
}
async function shop(): Promise<void> {
  for (let nth = 0; nth < 6; nth += 1) await ring(nth, 'vantaro-46', nth < 5 ? 'hard' : 'soft', 90_000 + nth);
  for (let nth = 6; nth < 20; nth += 1) await ring(nth, 'calder-14', 'soft', 60_000 + nth);
}
const lessons = async (): Promise<LessonsReply> => (await server.http.get('/api/lessons').expect(200)).body as LessonsReply; // prettier-ignore
const answer = (id: string, body: object, by = 'isla') =>
  server.http.post(`/api/lessons/${encodeURIComponent(id)}/answers`).send({ by, ...body });

describe('lessons', () => {
  it('are none in an empty shop', async () => {
    expect(await lessons()).toMatchObject({ found: [], causes: [] });
  });

  it('come of what was judged, by the family a vehicle has now, with the jobs and the part behind them', async () => {
    await shop();
    const { found, looks, vehicles } = await lessons();
    expect([looks, vehicles]).toEqual([20, 20]);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({
      id: 'vantaro-46:rotary-valve:ring',
      here: { k: 5, n: 6 },
      elsewhere: { k: 0, n: 14 },
      oftener: true,
      part: { name: 'O-ring, valve', partNumber: 'NP-25-1120' },
      answers: [],
    });
    expect(found[0]!.looks.map(({ plate, bad }) => [plate, bad])[0]).toEqual(['RG 0', true]);
  });

  it('are taken into the procedure of the family, once, with why; and by a lead', async () => {
    await shop();
    const [lesson] = (await lessons()).found;
    const procedure = lesson!.procedures[0]!;
    expect(procedure.says).toBe(false);
    const before = server.services.procedures.get(procedure.id)!;
    await answer(lesson!.id, { what: 'procedure', procedureId: procedure.id }, 'wen').expect(403);
    await answer(lesson!.id, { what: 'procedure', procedureId: 'nothing' }).expect(400);
    const reply = await answer(lesson!.id, { what: 'procedure', procedureId: procedure.id }).expect(201);
    const after = server.services.procedures.get(procedure.id)!;
    expect(after.version).toBe(before.version + 1);
    expect(after.needs.at(-1)).toMatchObject({
      kind: 'part',
      name: 'O-ring, valve',
      partNumber: 'NP-25-1120',
      note: 'Bad on 5 of 6 of these, on 0 of 14 of all others.',
    });
    const [line] = (reply.body as LessonsReply).found;
    expect(line!.procedures[0]!.says).toBe(true);
    expect(line!.answers).toMatchObject([{ what: 'procedure', subject: procedure.id, by: 'isla' }]);
    await answer(lesson!.id, { what: 'procedure', procedureId: procedure.id }).expect(400);
    expect(server.services.procedures.get(procedure.id)!.version).toBe(after.version);
  });

  it('are taken into the stock: what is there keeps one free, what is not is described', async () => {
    await shop();
    const [lesson] = (await lessons()).found;
    const known = lesson!.stock;
    await answer(lesson!.id, { what: 'stock' }).expect(201);
    const [line] = (await lessons()).found;
    expect(line!.stock).toEqual({ id: known?.id ?? line!.stock!.id, orderAt: 0 });
    expect(server.services.stock.file(line!.stock!.id, '2026-05-20T13:00:00.000Z')?.item).toMatchObject({
      partNumber: 'NP-25-1120',
    });
    // It is ordered again by itself now: a second time it is refused.
    await answer(lesson!.id, { what: 'stock' }).expect(400);
    await answer(lesson!.id, { what: 'knowledge' }).expect(400);
    await answer('no-such', { what: 'stock' }).expect(404);
    await answer(lesson!.id, { what: 'stock', by: 'nobody' }).expect(400);
  });

  it('are set aside with why, and taken up again', async () => {
    await shop();
    const [{ id }] = (await lessons()).found as [LessonsReply['found'][number]];
    const refused = await answer(id, { what: 'set-aside', note: ' ' }).expect(400);
    expect(refused.body).toMatchObject({ error: { fields: { note: 'Say why: it is not shown again.' } } });
    await answer(id, { what: 'set-aside', note: 'one batch of rings' }).expect(201);
    expect((await lessons()).found[0]!.answers).toMatchObject([{ what: 'set-aside', note: 'one batch of rings' }]);
    await answer(id, { what: 'take-up-again' }).expect(200);
    expect((await lessons()).found[0]!.answers).toEqual([]);
  });

  it('of causes go into the knowledge as a version of their own', async () => {
    // Decided by what no vehicle of the knowledge’s group often has: written as jobs would leave it.
    const newest = server.services.knowledge.newest();
    const rare = newest.causes.find(({ common }) => common.cable === 'rare')!;
    for (let nth = 0; nth < 8; nth += 1) {
      const send = (type: string, data: object) =>
        server.send(`c${nth}`, type, data, { at: '2026-05-13T08:00:00.000Z', by: 'tomas' }).expect(201);
      await send('open-job', { vehicleId: 'bus', reading: { value: 148_220 + nth, unit: 'km' }, readingReason: '', complaint: 'hunts' }); // prettier-ignore
      await send('decide', { choice: 'clean-bench', reason: 'x', departure: '', options: [] });
      await send('hand-over', { watch: '', nextDue: null, labourMinutes: 90, ratePerHourMinor: 5800, currency: 'cr' });
      server.db.prepare('DELETE FROM belief_share WHERE job_id = ?').run(`c${nth}`);
      server.db.prepare('INSERT INTO belief_share (job_id, cause, share) VALUES (?, ?, 0.93)').run(`c${nth}`, rare.id);
    }
    const [cause] = (await lessons()).causes;
    expect(cause).toMatchObject({ cause: rare.id, name: rare.name, here: { k: 8, n: 8 }, is: 'rare' });
    expect(cause!.numbers).toHaveLength(8);
    await answer(cause!.id, { what: 'knowledge' }).expect(201);
    const after = server.services.knowledge.newest();
    expect(after.version).toBe(newest.version + 1);
    expect(after.causes.find(({ id }) => id === rare.id)?.common.cable).toBe(cause!.fits);
  });
});
