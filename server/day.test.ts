import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { DayReply } from '../contract/index.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';

let server: Harness;
beforeEach(async () => {
  server = await harness();
  await openJob(server, 'j').expect(201);
});
afterEach(() => server.close());

const shifted = (minutes: number): string => new Date(Date.parse(NOW) + minutes * 60_000).toISOString();
const day = async (): Promise<DayReply> => (await server.http.get('/api/day').expect(200)).body as DayReply;
const put = (path: string, body: object, by = 'isla') => server.http.put(`/api${path}`).send({ by, ...body });
const block = (from: number, to: number) => ({
  jobId: 'j',
  stretch: 'strip',
  kind: 'hands',
  from: shifted(from),
  to: shifted(to),
  personId: 'tomas',
});

describe('the day', () => {
  it('is woven from what is left of every open job, and from who is here', async () => {
    const { jobs, people, bays, pause, plan } = await day();
    expect(jobs).toMatchObject([
      { jobId: 'j', needsBay: true, inside: false, promised: null, assigned: null, lastBy: 'tomas' },
    ]);
    expect(jobs[0]?.left.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['complaint', 'strip', 'refit', 'hand-over']),
    );
    expect(Object.fromEntries(people.map(({ id, does }) => [id, does.length]))).toEqual({
      isla: 5,
      tomas: 5,
      wen: 2,
      marit: 0,
    });
    expect({ bays, pause, plan }).toEqual({ bays: 3, pause: { from: 720, to: 760 }, plan: null });
  });

  it('knows the promise, who has it, and that it rests', async () => {
    await server.send('j', 'promise-ready', { ready: shifted(180), told: 'Wednesday 17:09', why: '' }).expect(201);
    await server.send('j', 'assign-job', { to: 'wen', name: 'Wen Okafor', note: '' }).expect(201);
    await server.send('j', 'put-aside', { until: '2026-05-20', why: 'seal' }).expect(201);
    expect((await day()).jobs).toMatchObject([
      { promised: shifted(180), promisedTold: 'Wednesday 17:09', assigned: 'wen', aside: { until: '2026-05-20' } },
    ]);
    await server.send('j', 'cancel-job', { why: 'sold' }).expect(201);
    expect((await day()).jobs).toEqual([]);
  });

  it('keeps one plan: of two that were woven at once the first', async () => {
    await put('/day/plan', { seen: 0, blocks: [block(0, 40)] }).expect(200);
    const late = await put('/day/plan', { seen: 0, blocks: [block(10, 50)] }, 'tomas').expect(409);
    expect(late.body.error).toMatchObject({ code: 'row-moved-on', newer: { version: 1, row: { by: 'isla' } } });
    const kept = await put('/day/plan', { seen: 1, blocks: [block(10, 50)] }, 'tomas').expect(200);
    expect(kept.body).toMatchObject({ version: 2, by: 'tomas', madeAt: NOW, blocks: [block(10, 50)] });
    expect((await day()).plan).toEqual(kept.body);
  });

  it('keeps what was said of a stretch until it is taken back, and nothing for a time that is gone', async () => {
    const wish = { jobId: 'j', stretch: 'strip', at: shifted(60), personId: 'wen' };
    const said = await put('/day/wishes', wish).expect(200);
    expect((said.body as DayReply).wishes).toEqual([wish]);
    const gone = await put('/day/wishes', { ...wish, at: shifted(-1) }).expect(400);
    expect(gone.body.error.fields.at).toContain('gone');
    const nobody = await put('/day/wishes', { ...wish, personId: 'nobody' }).expect(400);
    expect(nobody.body.error.fields.personId).toContain('works here');
    await put('/day/wishes', { ...wish, jobId: 'none' }).expect(404);
    const back = await put('/day/wishes', { ...wish, at: null, personId: null }).expect(200);
    expect((back.body as DayReply).wishes).toEqual([]);
    expect(server.db.prepare("SELECT person, subject FROM audit WHERE kind = 'day-wished'").all()).toEqual([
      { person: 'isla', subject: 'j' },
      { person: 'isla', subject: 'j' },
    ]);
  });

  it('has its bays and its pause said by those who answer for the shop', async () => {
    await put('/day/figures', { figures: { bays: 5, pause: { from: 720, to: 760 } } }, 'tomas').expect(403);
    const wrong = await put('/day/figures', { figures: { bays: 0, pause: { from: 760, to: 720 } } }).expect(400);
    expect(Object.keys(wrong.body.error.fields as object)).toEqual(['figures.bays', 'figures.pause.to']);
    await put('/day/figures', { figures: { bays: 5, pause: { from: 720, to: 760 } } }).expect(200);
    expect(await day()).toMatchObject({ bays: 5, pause: { from: 720, to: 760 } });
  });

  it('knows who is away: oneself says so, of others and of all a lead', async () => {
    const away = { personId: 'wen', from: '2026-05-14', to: '2026-05-14', part: 'morning', why: 'school' };
    await put('/absences/a', { absence: away }, 'wen').expect(200);
    await put('/absences/b', { absence: { ...away, personId: null } }, 'wen').expect(403);
    await put('/absences/b', { absence: { ...away, personId: null, why: 'ferry day' } }).expect(200);
    await put('/absences/c', { absence: { ...away, from: '2026-05-15' } }).expect(400);
    await put('/absences/c', { absence: { ...away, personId: 'nobody' } }).expect(400);
    expect((await day()).absences.map(({ id, personId }) => [id, personId])).toEqual([
      ['a', 'wen'],
      ['b', null],
    ]);
    await server.http.delete('/api/absences/b').send({ by: 'wen' }).expect(403);
    await server.http.delete('/api/absences/a').send({ by: 'wen' }).expect(200);
    await server.http.delete('/api/absences/a').send({ by: 'wen' }).expect(404);
    // One that is over is not in the way any more.
    await put('/absences/old', { absence: { ...away, from: '2026-05-01', to: '2026-05-12' } }).expect(200);
    expect((await day()).absences.map(({ id }) => id)).toEqual(['b']);
  });

  it('knows who stays longer, until they do not', async () => {
    const longer = { personId: 'tomas', day: '2026-05-13', until: 1080 };
    await put('/day/longer', longer, 'wen').expect(200);
    expect((await day()).longer).toEqual([longer]);
    await put('/day/longer', { ...longer, personId: 'nobody' }).expect(400);
    await put('/day/longer', { ...longer, until: 2000 }).expect(400);
    await put('/day/longer', { ...longer, until: null }).expect(200);
    expect((await day()).longer).toEqual([]);
  });

  it('leaves the bays to what needs one: a launch and a motorcycle stand beside them', async () => {
    const reading = (unit: string) => ({ readingReason: '', complaint: 'stalls', reading: { value: 90_000, unit } });
    await server
      .send('l', 'open-job', { vehicleId: 'launch', ...reading('h'), reading: { value: 900, unit: 'h' } })
      .expect(201);
    await server.send('m', 'open-job', { vehicleId: 'four', ...reading('km') }).expect(201);
    expect(Object.fromEntries((await day()).jobs.map(({ jobId, needsBay }) => [jobId, needsBay]))).toEqual({
      j: true,
      l: false,
      m: false,
    });
  });

  it('gives people the work and the hours that they have', async () => {
    const hours = [null, { from: 480, to: 720 }, null, null, null, null, null];
    const person = { name: 'Wen Okafor', role: 'apprentice', bay: 'bay 3', does: ['bench', 'prove'], hours };
    await put('/people/wen', { person }).expect(200);
    expect((await day()).people.find(({ id }) => id === 'wen')).toEqual({ id: 'wen', does: ['bench', 'prove'], hours });
    await put('/people/wen', { person: { ...person, hours: [null] } }).expect(400);
    await put('/people/wen', { person: { ...person, does: ['welds'] } }).expect(400);
  });
});

describe('who worked at which stage', () => {
  const at = (minutes: number, more: object = {}) => ({ at: shifted(minutes - 300), ...more });
  const rows = () =>
    server.db
      .prepare("SELECT person, stage, started_at, ended_at FROM work_stretch WHERE job_id = 'w' ORDER BY started_at")
      .all();
  const work = async (): Promise<void> => {
    await server
      .send(
        'w',
        'open-job',
        { vehicleId: 'bus', reading: { value: 148_220, unit: 'km' }, readingReason: '', complaint: 'hunts' },
        at(0),
      )
      .expect(201);
    await server.send('w', 'make-note', { id: 'n', stage: 'complaint', text: 'x' }, at(6)).expect(201);
    await server.send('w', 'put-aside', { until: null, why: 'lunch' }, at(8)).expect(201);
    await server.send('w', 'tell-history', { since: 'a month', doneBefore: '' }, at(60)).expect(201);
    await server.send('w', 'pass-stage', { stage: 'complaint' }, at(62)).expect(201);
    await server.send('w', 'pass-stage', { stage: 'diagnose' }, at(70)).expect(201);
  };

  it('is told by the times of entries: a gap ends a stretch, another stage begins one where the last ended', async () => {
    await work();
    expect(rows()).toEqual([
      { person: 'tomas', stage: 'complaint', started_at: shifted(-300), ended_at: shifted(-292) },
      { person: 'tomas', stage: 'complaint', started_at: shifted(-240), ended_at: shifted(-238) },
      { person: 'tomas', stage: 'diagnose', started_at: shifted(-238), ended_at: shifted(-230) },
    ]);
  });

  it('is the same when it is made anew from the log, and when an entry is written up between', async () => {
    await work();
    await server.send('w', 'make-note', { id: 'late', stage: 'complaint', text: 'y' }, at(20)).expect(201);
    const grown = rows();
    expect(grown).toHaveLength(3);
    expect(grown[0]).toMatchObject({ ended_at: shifted(-280) });
    server.services.jobs.rebuild();
    expect(rows()).toEqual(grown);
  });
});
