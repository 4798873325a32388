import { existsSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { PracticeHome, PracticeReply, PracticeReview, ScenarioLine } from '../contract/index.ts';
import { FAST, markedAnew, practiceTime } from './practice/clock.ts';
import { dueAgain } from './practice/repetition.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';
import { signedIn, withAccounts } from './testing/signedIn.ts';

let server: Harness;
/** The world's clock, ms since 1970; it is moved on by hand. */
let world = Date.parse(NOW);
beforeEach(async () => {
  world = Date.parse(NOW);
  server = await harness({ now: () => new Date(world).toISOString() });
});
afterEach(() => server.close());

const at = (path: string) => `/api/practice${path}`;
const inWorld = (job: string, path: string) => `/api/practice/worlds/${job}${path}`;
const get = async <T>(path: string): Promise<T> => (await server.http.get(path).expect(200)).body as T;
const begin = async (more: object = {}, by = 'wen'): Promise<string> => {
  const { body } = await server.http
    .post(at('/jobs'))
    .send({ by, ...more })
    .expect(201);
  return (body as { id: string }).id;
};
/** A scenario of this shop with that fault, begun. */
const beginOn = async (faults: readonly string[], group = 'cable', seed: number | string = 1): Promise<string> => {
  const { body } = await server.http
    .post(at('/scenarios'))
    .send({ by: 'isla', ...file({ faults, group, seed }) })
    .expect(201);
  return begin({ scenario: (body as { key: string }).key, seed });
};
const file = (more: object = {}) => ({
  format: 'unhurried-wrench-scenario',
  version: 1,
  scenario: {
    group: 'cable',
    faults: ['valve-stuck'],
    seed: 1,
    difficulty: 1,
    teaches: 'A valve.',
    tried: [],
    ...more,
  },
});
const does = (job: string, deed: object, by = 'wen') =>
  server.http.post(at(`/jobs/${job}/deeds`)).send({ by, ...deed });
const command = (job: string, type: string, data: unknown) =>
  server.http.post(inWorld(job, `/jobs/${job}/commands`)).send({
    id: crypto.randomUUID(),
    at: new Date(world).toISOString(),
    by: 'wen',
    seen: 0,
    type,
    data,
    late: 'written-up',
  });
const end = (job: string, causes: readonly string[], by = 'wen') =>
  server.http.post(at(`/jobs/${job}/end`)).send({ by, causes });

describe('a practice job', () => {
  it('is begun in a world of its own, with a vehicle, a procedure and what the customer says', async () => {
    const job = await begin({ group: 'cable' });
    const { events } = await get<{
      events: { type: string; data: { complaint: string; vehicle: { plate: string } } }[];
    }>(inWorld(job, `/jobs/${job}?since=0`));
    expect(events[0]?.type).toBe('job-opened');
    expect(events[0]?.data.vehicle.plate).toBe('PRACTICE 1');
    expect(events[0]?.data.complaint.length).toBeGreaterThan(15);
    const { rows } = await get<{ rows: { id: string }[] }>(inWorld(job, '/procedures'));
    expect(rows.map(({ id }) => id)).toContain('practice');
  });

  it('tells nothing of what is hidden until somebody has said what it was', async () => {
    const job = await beginOn(['valve-stuck']);
    await server.http.get(at(`/jobs/${job}/review`)).expect(409);
    const told = JSON.stringify([
      await get(at(`/jobs/${job}`)),
      await get(inWorld(job, `/jobs/${job}?since=0`)),
      await get(inWorld(job, '/adapter')),
      await get(at('?person=wen')),
    ]);
    expect(told).not.toContain('valve-stuck');
    const review = (await end(job, ['valve-stuck']).expect(200)).body as PracticeReview;
    expect(review.scenario.faults).toEqual(['valve-stuck']);
    expect(review).toMatchObject({ found: true, cured: false, left: ['valve-stuck'] });
  });

  it('is in no list, search, stock, report or backup of the shop', async () => {
    const before = await Promise.all(
      [
        '/api/jobs',
        '/api/vehicles',
        '/api/procedures',
        '/api/bay',
        '/api/stock',
        '/api/search?q=practice',
        '/api/units',
      ].map((path) => get(path)),
    );
    const rowsBefore = server.db.prepare('SELECT COUNT(*) AS n FROM event').get();
    const job = await beginOn(['valve-stuck']);
    await command(job, 'note-symptom', { id: 's1', code: 'hunting', note: '' }).then(() => undefined);
    await does(job, { kind: 'look', sign: 'duct-off-look' }).expect(201);
    const after = await Promise.all(
      [
        '/api/jobs',
        '/api/vehicles',
        '/api/procedures',
        '/api/bay',
        '/api/stock',
        '/api/search?q=practice',
        '/api/units',
      ].map((path) => get(path)),
    );
    expect(after).toEqual(before);
    expect(server.db.prepare('SELECT COUNT(*) AS n FROM event').get()).toEqual(rowsBefore);
    await server.http.get(`/api/jobs/${job}`).expect(404);
    const tables = server.db.prepare<[], { name: string }>("SELECT name FROM sqlite_schema WHERE type = 'table'").all();
    expect(tables.filter(({ name }) => name.includes('practice'))).toEqual([]);
  });

  it('changes nothing of the shop from inside', async () => {
    const job = await begin();
    const { body } = await server.http.put(inWorld(job, '/settings')).send({ by: 'isla', settings: {} }).expect(409);
    expect(body).toMatchObject({ error: { code: 'in-practice' } });
  });

  it('goes nowhere: no file of it, no link to it, nothing for another shop', async () => {
    const job = await begin();
    for (const path of [
      `/jobs/${job}/file`,
      `/jobs/${job}/links`,
      '/vehicles/practice/life',
      '/know-how',
      '/feeds',
      '/reports/2026-05',
    ])
      await server.http.get(`${inWorld(job, path)}?by=isla`).expect(409);
    await server.http
      .post(inWorld(job, `/jobs/${job}/links`))
      .send({ by: 'isla' })
      .expect(409);
    await server.http
      .post(inWorld(job, `/jobs/${job}/phones`))
      .send({ by: 'isla' })
      .expect(409);
    expect(server.db.prepare('SELECT COUNT(*) AS n FROM link').get()).toEqual({ n: 0 });
    const sheet = await server.http.get(inWorld(job, `/jobs/${job}/sheet.pdf`)).expect(200);
    expect(sheet.headers['content-type']).toContain('pdf');
  });

  it('is refused for what nobody could find, by words', async () => {
    const keep = (scenario: object) => server.http.post(at('/scenarios')).send({ by: 'isla', ...file(scenario) });
    const message = async (scenario: object): Promise<string> =>
      ((await keep(scenario).expect(400)).body as { error: { message: string } }).error.message;
    expect(await message({ faults: ['motor'], group: 'outboard' })).toContain('has no part for');
    expect(await message({ faults: ['nothing-such'] })).toContain('no cause');
    expect(await message({ faults: ['deposit', 'deposit'] })).toContain('two different');
    expect(await message({ faults: ['coolant-low'], group: 'outboard' })).toMatch(/nothing tells|cannot be seen/);
    expect(await message({ faults: ['a', 'b', 'c'] })).toContain('Two causes at most');
    expect((await get<PracticeHome>(at('?person=isla'))).scenarios.filter(({ own }) => own !== null)).toEqual([]);
  });

  it('takes a seed of text, and the same text makes the same vehicle', async () => {
    const looked = async (seed: string): Promise<unknown> => {
      const job = await beginOn(['deposit'], 'cable', seed);
      return ((await does(job, { kind: 'look', sign: 'duct-off-look' }).expect(201)).body as { answer: unknown })
        .answer;
    };
    expect(await looked('an old van')).toEqual(await looked('an old van'));
    expect(await looked('an old van')).not.toEqual(await looked('another one'));
  });

  it('is begun again with the same vehicle, or with another', async () => {
    const job = await beginOn(['deposit'], 'cable', 5);
    const again = async (more: object): Promise<string> => {
      const { body } = await server.http
        .post(at(`/jobs/${job}/again`))
        .send({ by: 'wen', ...more })
        .expect(201);
      return (body as { id: string }).id;
    };
    const met = async (id: string) =>
      ((await does(id, { kind: 'look', sign: 'back-of-plate' }).expect(201)).body as { answer: unknown }).answer;
    const first = await met(job);
    expect(await met(await again({}))).toEqual(first);
    expect(await met(await again({ seed: 'other' }))).not.toEqual(first);
    expect(await met(await again({ other: true }))).not.toEqual(first);
  });

  it('is put aside and taken up: its clock stands still meanwhile, and nothing is taken', async () => {
    const job = await begin();
    const time = async (): Promise<number> =>
      Date.parse((await server.http.get(inWorld(job, '/shop'))).headers['x-shop-time'] as string);
    const before = await time();
    world += 60_000;
    expect((await time()) - before).toBe(60_000);
    await server.http
      .post(at(`/jobs/${job}/stop`))
      .send({ by: 'wen' })
      .expect(200);
    world += 3_600_000;
    expect((await time()) - before).toBe(60_000);
    await does(job, { kind: 'look', sign: 'duct-off-look' }).expect(409);
    await server.http
      .post(at(`/jobs/${job}/take-up`))
      .send({ by: 'wen' })
      .expect(200);
    world += 1000;
    expect((await time()) - before).toBe(61_000);
    await does(job, { kind: 'look', sign: 'duct-off-look' }).expect(201);
  });

  it('goes fast while something soaks, also with nobody there, and at its own pace after', async () => {
    const job = await begin();
    const started = await command(job, 'start-timer', { id: 't1', kind: 'soak', label: 'Soak', minutes: 20 });
    expect(started.body).toMatchObject({ jobId: job });
    // A minute of the world is twenty of practice.
    world += 60_000;
    const reply = await server.http.get(inWorld(job, '/shop'));
    expect(Date.parse(reply.headers['x-shop-time'] as string) - Date.parse(NOW)).toBe(20 * 60_000);
    expect(reply.headers['x-practice-pace']).toMatch(/^20 /);
    world += 60_000;
    const later = await server.http.get(inWorld(job, '/shop'));
    expect(Date.parse(later.headers['x-shop-time'] as string) - Date.parse(NOW)).toBe(21 * 60_000);
  });

  it('is taken up where it was when the program starts anew', async () => {
    const job = await beginOn(['valve-stuck']);
    await does(job, { kind: 'tags', tags: { 'valve-stuck': 7, deposit: 3 } }).expect(201);
    await does(job, { kind: 'look', sign: 'valve-moves' }).expect(201);
    server.services.practice.close();
    const { entries } = await get<PracticeReply>(at(`/jobs/${job}`));
    expect(entries.map(({ kind }) => kind)).toEqual(['tags', 'look']);
    expect(entries[0]?.tags).toEqual({ 'valve-stuck': 7, deposit: 3 });
    await does(job, { kind: 'ranking' }).expect(201);
    await get(inWorld(job, `/jobs/${job}?since=0`));
  });

  it('is worked by two people at once: what each did is there, in one order', async () => {
    const job = await begin();
    await Promise.all([
      does(job, { kind: 'look', sign: 'duct-off-look' }, 'wen').expect(201),
      does(job, { kind: 'ask', sign: 'onset' }, 'tomas').expect(201),
      does(job, { kind: 'hand', deed: 'key-on' }, 'wen').expect(201),
    ]);
    const { entries } = await get<PracticeReply>(at(`/jobs/${job}`));
    expect(entries.map(({ seq }) => seq)).toEqual([1, 2, 3]);
    expect(new Set(entries.map(({ by }) => by))).toEqual(new Set(['wen', 'tomas']));
  });

  it('is let go when many others are open, and opened again as it was; not while somebody is at it', async () => {
    const [first, heard] = [await begin(), await begin()];
    await does(first, { kind: 'look', sign: 'duct-off-look' }).expect(201);
    const stop = server.services.practice.world(heard).services.changes.listen(() => undefined);
    const before = [first, heard].map((id) => server.services.practice.world(id));
    for (let more = 0; more < 14; more += 1) server.services.practice.world(await begin());
    expect(server.services.practice.world(heard)).toBe(before[1]);
    expect(server.services.practice.world(first)).not.toBe(before[0]);
    const { entries } = await get<PracticeReply>(at(`/jobs/${first}`));
    expect(entries).toHaveLength(1);
    await does(first, { kind: 'look', sign: 'light-gap' }).expect(201);
    stop();
  });

  it('is taken out with its world, by whose it is or a lead', async () => {
    const job = await begin();
    await get(inWorld(job, '/shop'));
    const folder = join(server.folder, 'practice', 'worlds', job);
    expect(existsSync(folder)).toBe(true);
    await server.http.delete(`${at(`/jobs/${job}`)}?by=tomas`).expect(403);
    await server.http.delete(`${at(`/jobs/${job}`)}?by=wen`).expect(200);
    expect(existsSync(folder)).toBe(false);
    await server.http.get(at(`/jobs/${job}`)).expect(404);
    await server.http.get(inWorld(job, '/shop')).expect(404);
  });
});

describe('what is done at a practice vehicle', () => {
  it('shows what is there, answers what is asked, and keeps both', async () => {
    const job = await beginOn(['deposit']);
    const { body } = await does(job, { kind: 'look', sign: 'duct-off-look' }).expect(201);
    expect(body).toMatchObject({ kind: 'look', what: 'duct-off-look', answer: { met: { kind: 'deposit' } } });
    const asked = await does(job, { kind: 'ask', sign: 'onset' }).expect(201);
    expect((asked.body as { answer: { said: string } }).answer.said).toBe('Slowly.');
    await does(job, { kind: 'look', sign: 'no-such-check' }).expect(404);
    await does(job, { kind: 'ask', sign: 'coil-ohms' }).expect(404);
  });

  it('reads the codes of the fault by the adapter', async () => {
    const job = await beginOn(['position']);
    const { body } = await server.http
      .post(inWorld(job, '/adapter/read'))
      .send({ link: 'sim.practice', jobId: job, codes: true, values: true })
      .expect(200);
    const { stored, values } = body as { stored: string[]; values: { name: string }[] };
    expect(stored.length).toBeGreaterThan(0);
    expect(values.length).toBeGreaterThan(3);
  });

  it('stops a key that is turned with a finger at the plate, and counts it', async () => {
    const job = await beginOn(['deposit'], 'electronic');
    await does(job, { kind: 'look', sign: 'duct-off-look' }).expect(201);
    const hand = async (deed: string) =>
      (
        (await does(job, { kind: 'hand', deed }).expect(201)).body as {
          answer: { hand: { stopped: boolean; risk: boolean; words: string } };
        }
      ).answer.hand;
    expect(await hand('hand-at-plate')).toMatchObject({ stopped: false });
    const stopped = await hand('key-on');
    expect(stopped).toMatchObject({ stopped: true, risk: true });
    expect(stopped.words).toContain('finger');
    await hand('hand-away');
    expect(await hand('key-on')).toMatchObject({ stopped: false });
    // And the other way round: the motor holds the plate.
    expect(await hand('hand-at-plate')).toMatchObject({ stopped: true });
  });

  it('has its key turned as a check needs it, unless a hand is in the way', async () => {
    const job = await beginOn(['valve-stuck']);
    const key = async (sign: string) =>
      (
        (await does(job, { kind: 'look', sign }).expect(201)).body as {
          answer: { key?: string; said?: string; met?: object };
        }
      ).answer;
    expect(await key('valve-moves')).toMatchObject({ key: 'on' });
    expect(await key('idle-speed')).toMatchObject({ key: 'run' });
    expect(await key('duct-off-look')).toMatchObject({ key: 'off' });
    await does(job, { kind: 'hand', deed: 'hand-at-plate' }).expect(201);
    const stopped = await key('idle-speed');
    expect(stopped.met).toBeUndefined();
    expect(stopped.said).toContain('finger');
  });

  it('cures by what is put right where it sits, and only by that', async () => {
    const job = await beginOn(['intake-leak']);
    await does(job, { kind: 'mend', cause: 'intake-leak' }).expect(201);
    // A sticking valve is not put right where it sits.
    await does(job, { kind: 'mend', cause: 'valve-stuck' }).expect(404);
    const review = (await end(job, ['intake-leak']).expect(200)).body as PracticeReview;
    expect(review).toMatchObject({ found: true, cured: true, left: [], harms: [] });
  });

  it('cures a crushed gasket by a new one under the body, and not by the old one again', async () => {
    const after = async (renewed: boolean): Promise<PracticeReview> => {
      const job = await beginOn(['flange-leak']);
      const items = [
        'duct',
        'plug-1',
        'plug-2',
        'hose-1',
        'hose-2',
        'coolant-1',
        'coolant-2',
        'cable',
        'flange',
        'unit',
        'seal',
      ];
      const done = async (type: string, data: object): Promise<void> => {
        const reply = await command(job, type, data);
        expect(reply.status, `${type} ${JSON.stringify(data)} ${reply.text}`).toBe(201);
      };
      for (const itemId of items)
        await done('remove-item', {
          itemId,
          pocket: '',
          label: /-\d$/.test(itemId) ? itemId : '',
          countedOut: itemId === 'flange' ? 4 : null,
        });
      await done('finish-bench', { itemId: 'unit', note: '' });
      // The face is cleaned before anything is laid on it.
      for (const itemId of ['face', ...items.toReversed()])
        await done('put-back-item', {
          itemId,
          renewed: itemId === 'seal' && renewed,
          fitted: itemId === 'seal' && renewed ? 'new gasket' : '',
          countedBack: itemId === 'flange' ? 4 : null,
          confirmed: itemId.startsWith('plug'),
        });
      return (await end(job, ['flange-leak']).expect(200)).body as PracticeReview;
    };
    const [renewed, reused] = [await after(true), await after(false)];
    expect(renewed).toMatchObject({ left: [], found: true });
    expect(reused.left).toEqual(['flange-leak']);
    // What was worked at is what its log says, and no more.
    expect(renewed.stages).toEqual(expect.arrayContaining(['strip', 'refit']));
    expect(renewed.stages).not.toContain('clean');
  });

  it('takes what mending takes, and nothing for what was stopped', async () => {
    const job = await beginOn(['intake-leak'], 'electronic');
    const clock = async (): Promise<number> =>
      Date.parse((await server.http.get(inWorld(job, '/shop'))).headers['x-shop-time'] as string) - Date.parse(NOW);
    await does(job, { kind: 'mend', cause: 'intake-leak' }).expect(201);
    expect(await clock()).toBe(90 * 60_000);
    await does(job, { kind: 'look', sign: 'duct-off-look' }).expect(201);
    await does(job, { kind: 'hand', deed: 'hand-at-plate' }).expect(201);
    const before = await clock();
    const stopped = await does(job, { kind: 'look', sign: 'idle-speed' }).expect(201);
    expect(stopped.body).toMatchObject({ answer: { hand: { stopped: true } } });
    expect(await clock()).toBe(before);
  });

  it('leaves a rag in where nobody takes it out, and says so after', async () => {
    const job = await beginOn(['intake-leak']);
    await does(job, { kind: 'look', sign: 'duct-off-look' }).expect(201);
    await does(job, { kind: 'hand', deed: 'rag-in' }).expect(201);
    await does(job, { kind: 'mend', cause: 'intake-leak' }).expect(201);
    const world_ = server.services.practice.world(job);
    // It starts, and runs badly.
    const { idle } = world_.vehicleNow();
    expect(idle.started).toBe(true);
    expect(idle.swing).toBeGreaterThan(world_.vehicle.sound.swing * 4);
    const review = (await end(job, ['intake-leak']).expect(200)).body as PracticeReview;
    expect(review).toMatchObject({ cured: false, harms: ['rag'] });
  });

  it('takes nothing more once it is ended', async () => {
    const job = await begin();
    await end(job, ['deposit']).expect(200);
    await does(job, { kind: 'ranking' }).expect(409);
    const refused = await command(job, 'make-note', { id: 'n', stage: 'diagnose', text: 'too late' });
    expect(refused.body).toMatchObject({ error: { code: 'practice-ended' } });
    await end(job, ['other']).expect(200);
    expect((await get<PracticeReview>(at(`/jobs/${job}/review`))).decided).toEqual(['deposit']);
  });

  it('is not found by naming one more than there is, nor one of two', async () => {
    const found = async (faults: readonly string[], causes: readonly string[]): Promise<boolean | null> =>
      ((await end(await beginOn(faults), causes).expect(200)).body as PracticeReview).found;
    expect(await found(['intake-leak'], ['intake-leak', 'deposit'])).toBe(false);
    expect(await found(['valve-stuck', 'dashpot'], ['valve-stuck'])).toBe(false);
    expect(await found(['valve-stuck', 'dashpot'], ['dashpot', 'valve-stuck'])).toBe(true);
  });
});

describe('scenarios', () => {
  it('are more than sixty, over all kinds, and their addresses tell nothing', async () => {
    const { scenarios } = await get<PracticeHome>(at('?person=wen'));
    expect(scenarios.length).toBeGreaterThanOrEqual(92);
    expect(new Set(scenarios.map(({ group }) => group)).size).toBe(6);
    expect(scenarios.every(({ key, teaches }) => /^[0-9a-f]{12}$/.test(key) && teaches === '')).toBe(true);
  });

  it('go out as a file and come in again', async () => {
    const kept = await server.http
      .post(at('/scenarios'))
      .send({ by: 'isla', ...file() })
      .expect(201);
    const { key } = kept.body as { key: string };
    const out = await get<object>(at(`/scenarios/${key}/file?by=isla`));
    expect(out).toEqual(file());
    await server.http
      .post(at('/scenarios'))
      .send({ by: 'isla', ...out })
      .expect(201);
    await server.http.delete(`${at(`/scenarios/${key}`)}?by=isla`).expect(200);
    await server.http.get(at(`/scenarios/${key}/file`)).expect(404);
  });

  it('are met first as they were written, and then as they fall', async () => {
    const kept = await server.http
      .post(at('/scenarios'))
      .send({ by: 'isla', ...file({ seed: 'as written' }) })
      .expect(201);
    const { key } = kept.body as { key: string };
    const rpm = async (): Promise<unknown> => {
      const job = await begin({ scenario: key });
      const { body } = await does(job, { kind: 'look', sign: 'idle-speed' }).expect(201);
      await end(job, ['valve-stuck']).expect(200);
      return [body.answer.met, (await get<PracticeReview>(at(`/jobs/${job}/review`))).scenario.seed];
    };
    const [, first] = (await rpm()) as [unknown, unknown];
    const [, second] = (await rpm()) as [unknown, unknown];
    expect(first).toBe('as written');
    expect(second).not.toBe('as written');
  });

  it('of a later version are said to be that', async () => {
    const { body } = await server.http
      .post(at('/scenarios'))
      .send({ by: 'isla', ...file(), version: 2, more: true })
      .expect(400);
    expect(body).toMatchObject({ error: { code: 'newer-file' } });
  });

  it('are kept by a lead', async () => {
    await server.http
      .post(at('/scenarios'))
      .send({ by: 'wen', ...file() })
      .expect(403);
  });

  it('are made of a past job of the shop by one tap, without anything of it', async () => {
    await openJob(server, 'past').expect(201);
    await server.http.post(at('/scenarios/from-job/past')).send({ by: 'isla' }).expect(400);
    await server
      .send('past', 'record-check', { id: 'c1', check: 'valve-turns', outcome: 'stuck', typed: [], when: 'before' })
      .expect(201);
    await server
      .send('past', 'decide', { choice: 'clean-bench', reason: 'it sticks', departure: '', options: [] })
      .expect(201);
    const { body } = await server.http.post(at('/scenarios/from-job/past')).send({ by: 'isla' }).expect(201);
    const { key } = body as { key: string };
    const out = JSON.stringify(await get(at(`/scenarios/${key}/file`)));
    for (const word of ['TQ 417', 'library', '148', 'past', 'isla', 'tomas', 'Hunts', NOW.slice(0, 10)])
      expect(out).not.toContain(word);
    expect(out).toContain('valve-stuck');
    const { scenarios } = await get<PracticeHome>(at('?person=isla'));
    expect(scenarios.find((each: ScenarioLine) => each.key === key)).toMatchObject({
      group: 'cable',
      own: { by: 'isla' },
    });
    await server.http.post(at('/scenarios/from-job/past')).send({ by: 'wen' }).expect(403);
    await server.http.post(at('/scenarios/from-job/nothing')).send({ by: 'isla' }).expect(404);
  });
});

describe('progress', () => {
  it('counts what was met and found, says what is due, and is countersigned by a lead', async () => {
    const job = await beginOn(['intake-leak']);
    await does(job, { kind: 'mend', cause: 'intake-leak' }).expect(201);
    await end(job, ['intake-leak']).expect(200);
    const drilled = await server.http
      .post(at('/drills'))
      .send({ by: 'wen', drill: 'way-back', seed: 4, right: 3, of: 6, seconds: 40 })
      .expect(201);
    expect(drilled.body).toMatchObject({
      person: 'wen',
      causes: [{ cause: 'intake-leak', met: 1, found: 1 }],
      drills: [{ drill: 'way-back', done: 1, lastRight: 3, lastOf: 6 }],
    });
    const { due } = drilled.body as { due: { subject: string; at: string }[] };
    // What went less well is due sooner.
    expect(due.map(({ subject }) => subject)).toEqual(['drill:way-back', 'cause:intake-leak']);
    await server.http
      .post(at(`/jobs/${job}/countersign`))
      .send({ by: 'tomas' })
      .expect(403);
    expect((await get<{ id: string }[]>(at('/to-countersign'))).map(({ id }) => id)).toEqual([job]);
    const signed = await server.http
      .post(at(`/jobs/${job}/countersign`))
      .send({ by: 'isla' })
      .expect(200);
    expect(signed.body).toMatchObject({ countersigned: { by: 'isla' } });
    expect(await get(at('/to-countersign'))).toEqual([]);
  });
  it('is between whoever practised and a lead once people sign in; whoever was at it too sees how it went', async () => {
    const job = await beginOn(['intake-leak']);
    await does(job, { kind: 'look', sign: 'duct-off-look' }, 'tomas').expect(201);
    const another = await begin({}, 'wen');
    await withAccounts(server);
    const [wen, tomas, isla] = [
      await signedIn(server, 'wen'),
      await signedIn(server, 'tomas'),
      await signedIn(server, 'isla'),
    ];
    await wen.send('post', `/practice/jobs/${job}/end`, { by: 'wen', causes: ['intake-leak'] }).expect(200);
    await wen.send('post', `/practice/jobs/${another}/end`, { by: 'wen', causes: ['deposit'] }).expect(200);
    await tomas.agent.get('/api/practice/progress?person=wen').expect(403);
    await tomas.agent.get('/api/practice?person=wen').expect(403);
    await isla.agent.get('/api/practice/progress?person=wen').expect(200);
    await wen.agent.get('/api/practice/progress?person=wen').expect(200);
    await tomas.agent.get(`/api/practice/jobs/${job}/review`).expect(200);
    await tomas.agent.get(`/api/practice/jobs/${another}/review`).expect(403);
    // The world of a practice job is behind the same door as the shop.
    await server.http.get(inWorld(job, '/shop')).expect(401);
    await tomas.agent.get(inWorld(job, '/shop')).expect(200);
  });
  it('refuses more right than asked', async () => {
    await server.http
      .post(at('/drills'))
      .send({ by: 'wen', drill: 'way-back', seed: 4, right: 7, of: 6, seconds: 40 })
      .expect(400);
  });
  it('is countersigned by nobody for themselves', async () => {
    const job = await begin({}, 'isla');
    await end(job, ['deposit'], 'isla').expect(200);
    await server.http
      .post(at(`/jobs/${job}/countersign`))
      .send({ by: 'isla' })
      .expect(403);
  });
});

describe('a shop on its first day', () => {
  it('practises with nothing of its own: every kind of vehicle, a procedure for each, and a stop at the end', async () => {
    const empty = await harness({ empty: true });
    try {
      await empty.http
        .put('/api/people/me')
        .send({ by: 'me', person: { name: 'Me', role: 'lead', bay: '' } })
        .expect((reply) => expect([200, 201], reply.text).toContain(reply.status));
      for (const group of ['cable', 'electronic', 'diesel-flap', 'multi-bank', 'motorcycle', 'outboard']) {
        const begun = await empty.http.post(at('/jobs')).send({ by: 'me', group }).expect(201);
        const { id } = begun.body as { id: string };
        const read = await empty.http.get(inWorld(id, `/jobs/${id}?since=0`)).expect(200);
        expect((read.body as { events: { type: string }[] }).events.map(({ type }) => type)).toContain(
          'procedure-pinned',
        );
        const looked = await empty.http
          .post(at(`/jobs/${id}/deeds`))
          .send({ by: 'me', kind: 'look', sign: 'plug-fit' });
        expect(looked.status, `${group} ${looked.text}`).toBe(201);
        await empty.http
          .post(at(`/jobs/${id}/end`))
          .send({ by: 'me', causes: ['other'] })
          .expect(200);
      }
    } finally {
      empty.services.practice.close();
      empty.close();
    }
  });
});

describe('the practice store', () => {
  it('of a later version is left alone, and the shop works on', async () => {
    mkdirSync(join(server.folder, 'practice'), { recursive: true });
    const later = new Sqlite(join(server.folder, 'practice', 'practice.sqlite'));
    later.pragma('user_version = 99');
    later.close();
    const { body } = await server.http.get(at('?person=wen'));
    expect(body).toMatchObject({ error: { code: 'newer-than-program' } });
    await server.http.get('/api/bay').expect(200);
  });
  it('is not made before anybody practises', () => {
    expect(readdirSync(server.folder)).not.toContain('practice');
  });
});

describe('the practice clock', () => {
  const mark = { at: 1000, world: 0, fastUntil: 0 };
  it('goes with the world, runs ahead in a wait to its very end, and stands when it is put aside', () => {
    expect(practiceTime(mark, 500)).toBe(1500);
    const soaking = markedAnew(mark, 500, { fastUntil: 1500 + 20_000 });
    expect(practiceTime(soaking, 500 + 500)).toBe(1500 + 500 * FAST);
    expect(practiceTime(soaking, 500 + 1000)).toBe(21_500);
    expect(practiceTime(soaking, 500 + 1250)).toBe(21_750);
    const still = markedAnew(soaking, 1000, { stopped: true });
    expect(practiceTime(still, 99_000)).toBe(practiceTime(soaking, 1000));
  });
  it('never goes back, whatever the world’s clock does', () => {
    expect(practiceTime(mark, -50_000)).toBe(1000);
  });
});

describe('what is due again', () => {
  it('comes later each time it goes well, and soon when it did not', () => {
    const first = dueAgain(null, 'well', NOW);
    const second = dueAgain(first.body, 'well', first.due);
    const days = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / 86_400_000;
    expect(days(first.due, second.due)).toBeGreaterThan(days(NOW, first.due));
    const failed = dueAgain(second.body, 'badly', second.due);
    expect(days(second.due, failed.due)).toBeLessThan(days(first.due, second.due));
    expect(dueAgain(null, 'well', NOW)).toEqual(first);
  });
});
