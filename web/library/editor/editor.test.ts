import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { RICH_PROCEDURE } from '../../../core/job/testing/world.ts';
import { procedureProblems, type Procedure } from '../../../core/procedure/index.ts';
import { useShop } from '../../stores/shop.ts';
import {
  addConstraint,
  addItem,
  addReason,
  blankProcedure,
  changeItem,
  idFor,
  moveItem,
  removeItem,
  settleIds,
} from './draft.ts';
import FastenerFields from './FastenerFields.vue';
import FlangePlacer from './FlangePlacer.vue';
import OutlineRows from './OutlineRows.vue';
import ReasonsPanel from './ReasonsPanel.vue';
import { useDraft } from './useDraft.ts';

beforeEach(() => {
  setActivePinia(createPinia());
  localStorage.clear();
  useShop().personId = 'isla';
});
afterEach(() => vi.unstubAllGlobals());

/** What the dragging package was given. */
interface Dragging {
  readonly dragHandle: string;
  readonly values: { value: string[] };
  readonly onDragend: (data: { draggedNode: { data: { value: string } } }) => void;
}
const dragged = vi.hoisted(() => ({ config: null as Dragging | null }));
vi.mock('@formkit/drag-and-drop/vue', () => ({ dragAndDrop: (config: Dragging) => (dragged.config = config) }));

const ids = (draft: Procedure): string[] => draft.items.map(({ id }) => id);

describe('a draft', () => {
  it('makes ids of names, told apart where they are taken', () => {
    expect(idFor('Kühler hose, left', [])).toBe('ku-hler-hose-left'.replace('ku-hler', idFor('Kühler', [])));
    expect(idFor('Clamp', ['clamp', 'clamp-2'])).toBe('clamp-3');
    expect(idFor('§§', [])).toBe('item');
    expect(idFor('x'.repeat(200), []).length).toBeLessThanOrEqual(60);
  });
  it('adds below, under the heading of the one above', () => {
    const start = changeItem(RICH_PROCEDURE, 'dashpot', { section: 'Bench' });
    const { draft, id } = addItem(start, 2);
    expect(ids(draft)[3]).toBe(id);
    expect(draft.items[3]).toMatchObject({ name: '', section: 'Bench' });
    expect(addItem(start, -1).draft.items[0]?.section).toBeUndefined();
  });
  it('moves within its bounds and takes the heading of where it lies', () => {
    const start = changeItem(RICH_PROCEDURE, 'dashpot', { section: 'Bench' });
    const moved = moveItem(start, 'right-plug', 1);
    expect(ids(moved).slice(0, 3)).toEqual(['left-plug', 'dashpot', 'right-plug']);
    expect(moved.items[2]?.section).toBe('Bench');
    expect(moveItem(start, 'left-plug', -1)).toBe(start);
    expect(ids(moveItem(moved, 'right-plug', -1))).toEqual(ids(start));
  });
  it('takes an item out with every reason that names it', () => {
    const draft = removeItem(RICH_PROCEDURE, 'unit');
    expect(ids(draft)).not.toContain('unit');
    expect(draft.constraints.map(({ id }) => id)).toEqual(['new-seal']);
  });
  it('keeps one reason a pair, and ids apart', () => {
    const once = addReason(RICH_PROCEDURE, 'arm', 'unit', 'first');
    const twice = addReason(once, 'arm', 'unit', 'second');
    expect(twice.constraints.filter((each) => each.kind === 'before' && each.a === 'arm')).toEqual([
      { kind: 'before', id: 'arm-before-unit', a: 'arm', b: 'unit', reason: 'second' },
    ]);
    const bench = addConstraint(RICH_PROCEDURE, {
      kind: 'after-bench',
      id: 'bench',
      item: 'seal',
      unit: 'unit',
      reason: 'x',
    });
    expect(new Set(bench.constraints.map(({ id }) => id)).size).toBe(5);
  });
  it('gives what was only just named an id that says what it is, in reasons too', () => {
    let draft = blankProcedure('new');
    for (const name of ['Duct', 'Duct', 'Body']) {
      const added = addItem(draft, draft.items.length - 1);
      draft = changeItem(added.draft, added.id, { name: ` ${name} ` });
    }
    const [first, second, third] = ids(draft);
    draft = addReason(draft, first!, third!, 'why');
    draft = changeItem(draft, second!, { swapFrom: third! });
    const settled = settleIds(draft);
    expect(ids(settled)).toEqual(['duct', 'duct-2', 'body']);
    expect(settled.constraints[0]).toMatchObject({ a: 'duct', b: 'body' });
    expect(settled.items[1]).toMatchObject({ name: 'Duct', swapFrom: 'body' });
    expect(settleIds(RICH_PROCEDURE).items.map(({ id }) => id)).toEqual(ids(RICH_PROCEDURE));
  });
});

describe('useDraft', () => {
  const answer = (status: number, body: unknown): Response =>
    new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  const sent: { method: string; path: string; body: unknown }[] = [];
  function serve(replies: Readonly<Record<string, () => Response>>): void {
    sent.length = 0;
    vi.stubGlobal('fetch', async (path: string, init: { method: string; body?: string }) => {
      sent.push({ method: init.method, path, body: init.body === undefined ? null : JSON.parse(init.body) });
      return (
        replies[`${init.method} ${path}`] ??
        (() => answer(404, { error: { code: 'x', message: 'none', fields: {}, wouldHelp: '' } }))
      )();
    });
  }
  const source = { id: 'rich', job: null };

  it('keeps what was changed on this device, goes on with it, and can begin again', async () => {
    serve({ 'GET /api/procedures/rich': () => answer(200, { ...RICH_PROCEDURE, version: 2 }) });
    const first = useDraft(source);
    await first.load();
    expect(first.changed.value).toBe(false);
    first.draft.value = changeItem(first.draft.value!, 'arm', { name: 'Arm, long' });
    await flushPromises();
    const again = useDraft(source);
    await again.load();
    expect(again.resumed.value).toBe(true);
    expect(again.draft.value?.items.find(({ id }) => id === 'arm')?.name).toBe('Arm, long');
    again.startOver();
    expect(again.draft.value?.items.find(({ id }) => id === 'arm')?.name).toBe('Sample arm');
  });
  it('saves on top of the version it was made from, and forgets the draft only then', async () => {
    let saved = false;
    serve({
      'GET /api/procedures/rich': () => answer(200, { ...RICH_PROCEDURE, version: 2 }),
      'PUT /api/procedures/rich': () =>
        saved
          ? answer(200, { ...RICH_PROCEDURE, version: 3 })
          : answer(409, {
              error: {
                code: 'procedure-moved-on',
                message: 'Version 3 was saved meanwhile',
                fields: {},
                wouldHelp: '',
              },
            }),
    });
    const editor = useDraft(source);
    await editor.load();
    editor.draft.value = changeItem(editor.draft.value!, 'arm', { name: 'Arm, long' });
    await flushPromises();
    expect(await editor.save('longer')).toBeNull();
    expect(editor.wrong.value).toContain('saved meanwhile');
    expect(localStorage.getItem('unhurried-wrench.draft.rich')).toContain('Arm, long');
    saved = true;
    expect((await editor.save('longer'))?.version).toBe(3);
    expect(sent.at(-1)).toMatchObject({ method: 'PUT', body: { by: 'isla', basedOn: 2, note: 'longer' } });
    expect(localStorage.getItem('unhurried-wrench.draft.rich')).toBe('null');
  });
  it('begins with nothing for a new one, and says when one is not there', async () => {
    serve({});
    const fresh = useDraft({ id: null, job: null });
    await fresh.load();
    expect(fresh.draft.value?.items).toEqual([]);
    const missing = useDraft({ id: 'ghost', job: null });
    await missing.load();
    expect(missing.failed.value).toBe('none');
  });
});

describe('the outline by keyboard', () => {
  const open = (picking = '') =>
    mount(OutlineRows, {
      props: { draft: RICH_PROCEDURE, selected: 'arm', picking, problems: procedureProblems(RICH_PROCEDURE) },
      attachTo: document.body,
    });
  const last = (wrapper: ReturnType<typeof open>): Procedure => wrapper.emitted<[Procedure]>('change')!.at(-1)![0];
  it('adds with Enter, moves with Alt and an arrow, takes out with Backspace in an empty name', async () => {
    const wrapper = open();
    const [first, second] = wrapper.findAll('input');
    await first!.trigger('keydown', { key: 'Enter' });
    expect(last(wrapper).items).toHaveLength(8);
    await first!.trigger('keydown', { key: 'ArrowDown', altKey: true });
    expect(ids(last(wrapper)).slice(0, 2)).toEqual(['right-plug', 'left-plug']);
    await second!.trigger('keydown', { key: 'Backspace' });
    expect(wrapper.emitted('change')).toHaveLength(2);
    await wrapper.setProps({ draft: changeItem(RICH_PROCEDURE, 'right-plug', { name: '' }) });
    await wrapper.findAll('input')[1]!.trigger('keydown', { key: 'Backspace' });
    expect(ids(last(wrapper))).not.toContain('right-plug');
    wrapper.unmount();
  });
  it('is moved by dragging a row by its handle, and by the buttons of the chosen one', async () => {
    const wrapper = open();
    expect(dragged.config?.dragHandle).toBe('.drag-handle');
    expect(wrapper.findAll('.drag-handle')).toHaveLength(RICH_PROCEDURE.items.length);
    const before = ids(RICH_PROCEDURE);
    // As the package leaves it: the order that is shown has the row at its new place.
    dragged.config!.values.value = [...before.slice(1, 4), before[0]!, ...before.slice(4)];
    await nextTick();
    expect(wrapper.findAll('input')[3]!.attributes('data-item')).toBe(before[0]);
    dragged.config!.onDragend({ draggedNode: { data: { value: before[0]! } } });
    expect(ids(last(wrapper)).slice(0, 4)).toEqual([...before.slice(1, 4), before[0]]);
    // Let go where it was, nothing is changed.
    dragged.config!.values.value = before;
    dragged.config!.onDragend({ draggedNode: { data: { value: before[0]! } } });
    expect(wrapper.emitted('change')).toHaveLength(1);
    const at = before.indexOf('arm');
    await wrapper.get(`[aria-label="Move ${RICH_PROCEDURE.items[at]!.name} up"]`).trigger('click');
    expect(ids(last(wrapper)).indexOf('arm')).toBe(at - 1);
    await wrapper.get(`[aria-label="Move ${RICH_PROCEDURE.items[at]!.name} down"]`).trigger('click');
    expect(ids(last(wrapper)).indexOf('arm')).toBe(at + 1);
    wrapper.unmount();
  });
  it('picks two: Alt B on the first, Enter on the second', async () => {
    const wrapper = open('arm');
    await wrapper.findAll('input')[0]!.trigger('keydown', { key: 'Enter' });
    expect(wrapper.emitted('pick')).toEqual([['left-plug']]);
    expect(wrapper.emitted('change')).toBeUndefined();
    await wrapper.findAll('input')[3]!.trigger('keydown', { key: 'b', code: 'KeyB', altKey: true });
    expect(wrapper.emitted('pick')?.at(-1)).toEqual(['screws']);
    wrapper.unmount();
  });
  it('says how many reasons an item has', () => {
    const wrapper = open();
    expect(wrapper.findAll('.before').map((each) => each.text())).toEqual([
      '1 reason',
      'before …',
      'before …',
      '1 reason',
      '2 reasons',
      'before …',
      'before …',
    ]);
    wrapper.unmount();
  });
});

describe('fasteners', () => {
  const screws = RICH_PROCEDURE.items.find(({ id }) => id === 'screws')!;
  it('says beside the field what is wrong with a torque or its passes, and changes nothing then', async () => {
    const wrapper = mount(FastenerFields, { props: { item: screws } });
    const field = (label: string) => wrapper.findAll('label').find((each) => each.text() === label)!.element.htmlFor;
    const torque = wrapper.find(`#${field('Torque')}`);
    await torque.setValue('9 lb');
    await torque.trigger('change');
    expect(wrapper.text()).toContain('Pounds of what');
    const passes = wrapper.find(`#${field('Passes, %')}`);
    await passes.setValue('100, 50');
    await passes.trigger('change');
    expect(wrapper.text()).toContain('shares that rise to 100');
    expect(wrapper.emitted('put')).toBeUndefined();
    await torque.setValue('8–10 Nm');
    await torque.trigger('change');
    expect(wrapper.emitted<[{ fasteners: { spec: { lowNm: number } } }]>('put')![0]![0].fasteners.spec.lowNm).toBe(8);
  });
  it('are placed in a table that says the tightening order', async () => {
    const wrapper = mount(FlangePlacer, { props: { bolts: screws.fasteners!.bolts } });
    expect(wrapper.findAll('tbody tr').map((row) => row.find('td').text())).toEqual(['1', '3', '2', '4']);
    const [x] = wrapper.findAll('tbody input');
    await x!.setValue('4,5');
    await x!.trigger('change');
    expect(wrapper.emitted<[{ x: number }[]]>('put')![0]![0][0]!.x).toBe(4.5);
    await wrapper.find('tbody button').trigger('click');
    expect(wrapper.emitted<[unknown[]]>('put')!.at(-1)![0]).toHaveLength(3);
  });
});

describe('the reasons', () => {
  it('are shown in plain sentences, reworded, and taken out', async () => {
    const wrapper = mount(ReasonsPanel, {
      props: { draft: RICH_PROCEDURE },
      global: { stubs: { RouterLink: RouterLinkStub } },
    });
    expect(wrapper.text()).toContain('Sample left-plug before sample unit');
    expect(wrapper.text()).toContain('Sample unit after the bench');
    const field = wrapper.find('li input');
    await field.setValue('reworded');
    await field.trigger('change');
    const last = (): Procedure => wrapper.emitted<[Procedure]>('change')!.at(-1)![0];
    expect(last().constraints[0]?.reason).toBe('reworded');
    await wrapper.find('li button').trigger('click');
    expect(last().constraints).toHaveLength(3);
  });
});
