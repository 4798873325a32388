import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RecipeFile } from '../contract/index.ts';
import { type Recipe, recipeOf, step } from '../core/relearn/index.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
});
afterAll(() => server.close());

const save = (recipe: Recipe, basedOn: number, more: object = {}) =>
  server.http.put(`/api/recipes/${recipe.id}`).send({ by: 'tomas', basedOn, note: 'tried it', recipe, ...more });
const get = async (path: string): Promise<never> =>
  (await server.http.get(`/api/recipes${path}`).expect(200)).body as never;
const own = (more: Partial<Recipe> = {}): Recipe =>
  recipeOf({
    id: 'own',
    name: 'Our own',
    steps: [
      step({ id: 'hold', kind: 'wait', title: 'Hold', how: '', seconds: 30 }),
      step({ id: 'off', kind: 'key', title: 'Off', how: '' }),
    ],
    ...more,
  });

describe('recipes', () => {
  it('are the demo shop’s own, in what the shop says of itself too; those of the program can be read', async () => {
    const { rows } = (await get('')) as { rows: Recipe[] };
    expect(rows.map(({ id }) => id)).toEqual(expect.arrayContaining(['wick-tool', 'fan-hold', 'sule-none']));
    expect((await server.http.get('/api/shop').expect(200)).body.recipes).toEqual(rows);
    expect(await get('/timed-idle')).toMatchObject({ version: 0, name: 'Timed key and idle' });
    await server.http.get('/api/recipes/nobody').expect(404);
    await server.http.get('/api/recipes/timed-idle?version=2').expect(404);
  });
  it('keep every version, and never change one', async () => {
    expect((await save(own(), 0).expect(201)).body).toMatchObject({ version: 1 });
    expect((await save(own({ name: 'Ours' }), 1).expect(200)).body).toMatchObject({ version: 2, name: 'Ours' });
    expect(await get('/own?version=1')).toMatchObject({ name: 'Our own' });
    expect(await get('/own')).toMatchObject({ name: 'Ours' });
    expect(await get('/own/versions')).toEqual({
      rows: [
        { version: 2, by: 'tomas', at: NOW, note: 'tried it' },
        { version: 1, by: 'tomas', at: NOW, note: 'tried it' },
      ],
      next: null,
    });
    expect(() => server.db.prepare("UPDATE recipe_version SET note = 'x'").run()).toThrow('never changed');
    expect(() => server.db.prepare('DELETE FROM recipe_version').run()).toThrow('never deleted');
    expect(
      server.db.prepare("SELECT person, subject, body FROM audit WHERE kind = 'recipe-saved' ORDER BY id DESC").get(),
    ).toEqual({ person: 'tomas', subject: 'own', body: '{"version":2,"note":"tried it"}' });
  });
  it('are not saved over what somebody else saved meanwhile, nor when they cannot be worked by', async () => {
    const reply = await save(own(), 1).expect(409);
    expect(reply.body.error).toMatchObject({ code: 'recipe-moved-on', message: /Version 2 was saved meanwhile/ });
    const loop = own({
      steps: [
        step({ id: 'a', kind: 'check', title: 'A', how: '', answers: [{ words: 'on', goTo: 'b' }] }),
        step({ id: 'b', kind: 'check', title: 'B', how: '', answers: [{ words: 'back', goTo: 'a' }] }),
      ],
    });
    const wrong = await save(loop, 2).expect(400);
    expect(wrong.body.error.fields['recipe.steps.a.answers']).toContain('never comes to an end');
    const minus = own({ steps: [step({ id: 'a', kind: 'wait', title: 'A', how: '', seconds: -1 })] });
    expect(Object.keys((await save(minus, 2).expect(400)).body.error.fields)).toEqual(['recipe.steps.0.seconds']);
    const nowhere = own({
      steps: [step({ id: 'a', kind: 'key', title: 'A', how: '', instead: [{ words: 'x', goTo: 'gone' }] })],
    });
    expect((await save(nowhere, 2).expect(400)).body.error.message).toContain('a step that is not there');
    await save(own(), 2, { note: ' ' }).expect(400);
    await save(own(), 2, { by: 'nobody' }).expect(400);
    await server.http.put('/api/recipes/other').send({ by: 'tomas', basedOn: 0, note: 'x', recipe: own() }).expect(400);
    expect(((await get('/own/versions')) as { rows: unknown[] }).rows).toHaveLength(2);
  });
  it('leave as a file and come back as the next version, or as a new one', async () => {
    const file = (await get('/own/file')) as RecipeFile;
    expect(file).toMatchObject({ format: 'unhurried-wrench-recipe', version: 1, recipe: { version: 2 } });
    const post = (body: unknown) => server.http.post('/api/recipes/files').send({ by: 'isla', file: body });
    expect((await post(file).expect(201)).body).toMatchObject({ id: 'own', version: 3 });
    const fresh = { ...file, recipe: { ...file.recipe, id: 'from-elsewhere' } };
    expect((await post(fresh).expect(201)).body).toMatchObject({ id: 'from-elsewhere', version: 1 });
    const wrong = await post({ ...file, format: 'x' }).expect(400);
    expect(wrong.body.error.fields['file.format']).toBe('This is not a recipe file of this program.');
    const steps = [{ ...file.recipe.steps[0], seconds: 'long' }];
    const bad = await post({ ...file, recipe: { ...file.recipe, steps } }).expect(400);
    expect(Object.keys(bad.body.error.fields)).toContain('file.recipe.steps.0.seconds');
  });
  it('are what a run goes by from its start to its end, whatever the library says later', async () => {
    await openJob(server, 'j').expect(201);
    await server.send('j', 'start-run', { id: 'r', recipeId: 'own' }).expect(201);
    await save(own({ steps: [step({ id: 'off', kind: 'key', title: 'Something else', how: '' })] }), 3).expect(200);
    await server.send('j', 'advance-run', { runId: 'r', input: { kind: 'leave-out', why: 'no time' } }).expect(201);
    const run = server.services.jobs.job('j')?.runs[0]?.run;
    expect(run).toMatchObject({ at: 1, leftOut: [{ step: 'hold', why: 'no time' }], recipe: { version: 3 } });
    expect(run?.recipe.steps.map(({ title }) => title)).toEqual(['Hold', 'Off']);
    await server.send('j', 'start-run', { id: 'r2', recipeId: 'gone' }).expect(409);
    const why = await server.send('j', 'close-run', { runId: 'r', outcome: 'took', why: '' }).expect(400);
    expect(why.body.error.fields['data.why']).toContain('still ahead');
    await server.send('j', 'close-run', { runId: 'r', outcome: 'took', why: 'seen on the tool' }).expect(201);
    expect(server.db.prepare("SELECT recipe, outcome FROM run WHERE job_id = 'j'").get()).toEqual({
      recipe: 'Ours',
      outcome: 'took',
    });
    // None needed is one entry with its reason; what adapts by itself stays open, and bleeding may run beside it.
    await server.send('j', 'start-run', { id: 'n', recipeId: 'none-needed' }).expect(400);
    await server.send('j', 'start-run', { id: 'n', recipeId: 'none-needed', why: 'never unplugged' }).expect(201);
    await server.send('j', 'start-run', { id: 'a', recipeId: 'adapts' }).expect(201);
    await server.send('j', 'start-run', { id: 'b', recipeId: 'bleed' }).expect(201);
    await server.send('j', 'start-run', { id: 'c', recipeId: 'own' }).expect(409);
    await server.send('j', 'close-run', { runId: 'a', outcome: 'took', why: '' }).expect(400);
    const runs = server.services.jobs.job('j')?.runs.map(({ id, closed }) => [id, closed?.outcome ?? null]);
    expect(runs).toEqual([
      ['r', 'took'],
      ['n', 'not needed'],
      ['a', null],
      ['b', null],
    ]);
  });
  it('come in a shop file, and refuse the whole of it when one cannot be worked by', async () => {
    const empty = await harness({ empty: true });
    const people = [{ id: 'isla', name: 'Isla Renn', role: 'lead', bay: 'bay 1' }];
    const file = (recipes: readonly Recipe[]) => ({
      people,
      settings: {},
      wrenches: [],
      stock: [],
      procedures: [],
      recipes,
    });
    const reply = await empty.http
      .put('/api/shop')
      .send(file([own(), own({ id: 'bad', name: '' })]))
      .expect(400);
    expect(reply.body.error.fields).toEqual({ 'recipes.bad': 'What is it called?' });
    expect((await empty.http.get('/api/shop')).body).toMatchObject({ people: [], recipes: [] });
    await empty.http
      .put('/api/shop')
      .send(file([own()]))
      .expect(200);
    expect((await empty.http.get('/api/recipes/own/versions').expect(200)).body.rows).toHaveLength(1);
    await empty.close();
  });
});
