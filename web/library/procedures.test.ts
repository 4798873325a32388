import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter, type Router } from 'vue-router';
import { open, pinRich, RICH_PROCEDURE } from '../../core/job/testing/world.ts';
import type { Procedure } from '../../core/procedure/index.ts';
import { useShop } from '../stores/shop.ts';
import { freshShop, press, read, refusal, serve, showJob, stubs } from '../testing.ts';
import DifferenceView from './DifferenceView.vue';
import ProceduresView from './ProceduresView.vue';
import ProcedureView from './ProcedureView.vue';

const Blank = { template: '<p />' };
async function at(path: string): Promise<Router> {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/procedures/:id/difference', component: Blank },
      { path: '/procedures/:id', component: Blank },
      { path: '/procedures', component: Blank },
      { path: '/jobs/:id/prepare', component: Blank },
    ],
  });
  await router.push(path);
  return router;
}
const { RouterLink: _, ...others } = stubs;
const global = (router: Router) => ({ plugins: [router], stubs: others });
const line = { familyId: null, work: 'clean', items: 7, constraints: 4 } as const;

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
});

describe('the library', () => {
  const rows = [
    { id: 'a', version: 2, name: 'Off and clean', family: 'Sule 650', ...line },
    { id: 'b', version: 1, name: 'Rebuild', family: 'Norrland 2.5', ...line },
    { id: 'c', version: 1, name: 'Replace', family: 'Norrland 2.5', ...line },
  ];
  it('groups procedures by engine and says how large they are', async () => {
    serve({ 'GET /api/procedures': { rows } });
    const wrapper = mount(ProceduresView, { global: global(await at('/procedures')) });
    await flushPromises();
    expect(wrapper.findAll('h2').map((each) => each.text())).toEqual(['Norrland 2.5', 'Sule 650']);
    expect(read(wrapper)).toContain('7 items, 4 reasons');
  });
  it('reads a file, goes to what it became, and says which place of a bad one is wrong', async () => {
    const router = await at('/procedures');
    let reply: unknown = refusal(400, 'Not a procedure file', { 'file.procedure.items.0.tool': 'Expected text.' });
    const asked = serve({ 'GET /api/procedures': { rows }, 'POST /api/procedures/files': () => reply });
    const wrapper = mount(ProceduresView, { global: global(router) });
    await flushPromises();
    const input = wrapper.find('input[type=file]');
    const choose = async (text: string): Promise<void> => {
      Object.defineProperty(input.element, 'files', {
        value: [new File([text], 'x.json', { type: 'application/json' })],
        configurable: true,
      });
      await input.trigger('change');
      await flushPromises();
    };
    await choose('{"format":"x"}');
    expect(read(wrapper)).toContain('file.procedure.items.0.tool: Expected text.');
    await choose('{ not json');
    expect(read(wrapper)).toContain('x.json is not JSON');
    reply = { ...RICH_PROCEDURE, id: 'a', version: 3 };
    await choose('{"format":"y"}');
    expect(asked.at(-1)).toMatchObject({ body: { by: 'tomas', file: { format: 'y' } } });
    expect(router.currentRoute.value.path).toBe('/procedures/a');
  });
  it('says when it is empty and when it cannot be had', async () => {
    serve({ 'GET /api/procedures': { rows: [] } });
    const empty = mount(ProceduresView, { global: global(await at('/procedures')) });
    await flushPromises();
    expect(read(empty)).toContain('let a finished job write it');
    serve({});
    const failing = mount(ProceduresView, { global: global(await at('/procedures')) });
    await flushPromises();
    expect(failing.find('[role=alert]').text()).toContain('nothing at');
  });
});

describe('a procedure', () => {
  const served = (version: number) => ({
    'GET /api/procedures/rich': { ...RICH_PROCEDURE, version },
    'GET /api/procedures/rich?version=1': { ...RICH_PROCEDURE, version: 1 },
    'GET /api/procedures/rich/versions': {
      rows: [
        { version: 2, at: '2026-05-13T08:00:00.000Z', by: 'isla', note: 'measures asked for' },
        { version: 1, at: '', by: 'shop', note: '' },
      ],
    },
    'GET /api/procedures/rich/times': { dashpot: { off: [3, 5], back: [4] } },
  });
  it('shows what it takes, by what was timed, its versions and what to look at', async () => {
    serve(served(2));
    const wrapper = mount(ProcedureView, { global: global(await at('/procedures/rich')) });
    await flushPromises();
    const text = read(wrapper);
    expect(text).toContain('2 of 14 steps timed here');
    expect(text).toContain('Version 2, Wednesday 13 May 2026, Isla');
    expect(text).toContain('measures asked for');
    expect(text).toContain('Tied to nothing');
    expect(text).toContain('Change it');
  });
  it('of an earlier version is shown, but not changed', async () => {
    serve(served(2));
    const wrapper = mount(ProcedureView, { global: global(await at('/procedures/rich?version=1')) });
    await flushPromises();
    expect(read(wrapper)).toContain('An earlier version. To version 2');
    expect(read(wrapper)).not.toContain('Change it');
  });
});

describe('the difference', () => {
  const later: Procedure = {
    ...RICH_PROCEDURE,
    version: 2,
    items: RICH_PROCEDURE.items
      .filter(({ id }) => id !== 'dashpot')
      .map((item) => (item.id === 'arm' ? { ...item, tool: '10 mm' } : item)),
  };
  const replies = {
    'GET /api/procedures/rich?version=1': RICH_PROCEDURE,
    'GET /api/procedures/rich?version=2': later,
    'GET /api/procedures/rich': later,
  };
  it('names what was added, removed and changed, with both sides', async () => {
    serve(replies);
    const wrapper = mount(DifferenceView, { global: global(await at('/procedures/rich/difference?from=1&to=2')) });
    await flushPromises();
    const text = read(wrapper);
    expect(text).toContain('Version 1 against version 2: 1 removed, 1 changed.');
    expect(text).toContain('tool before: nothing now: 10 mm');
    expect(text).not.toContain('Work on by version');
  });
  it('moves a job, says what stays in it, and goes back to Prepare', async () => {
    const { sent } = showJob([
      open,
      pinRich,
      { type: 'remove-item', data: { itemId: 'dashpot', pocket: '', label: '', countedOut: null } },
    ]);
    serve({ ...replies, 'GET /api/jobs/j?since=4': { jobId: 'j', version: 4, events: [] } });
    const router = await at('/procedures/rich/difference?from=1&to=2&job=j');
    const wrapper = mount(DifferenceView, { global: global(router) });
    await flushPromises();
    expect(read(wrapper)).toContain('No longer listed, but off on this job, so kept: sample dashpot.');
    await press(wrapper, 'Work on by version 2');
    await flushPromises();
    expect(sent).toEqual([{ type: 'move-to-version', data: { procedureId: 'rich', version: 2 } }]);
    expect(router.currentRoute.value.path).toBe('/jobs/j/prepare');
    expect(useShop().personId).toBe('tomas');
  });
});
