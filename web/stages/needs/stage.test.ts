import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type CommandBody, stageGaps } from '../../../core/job/index.ts';
import type { Procedure } from '../../../core/procedure/index.ts';
import { open, pinRich } from '../../../core/job/testing/world.ts';
import { useJob } from '../../stores/job.ts';
import { field, freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import PrepareStage from './PrepareStage.vue';
import StarterSheet from './StarterSheet.vue';

const frame = { template: '<div><slot /><slot name="why" /></div>' };
const global = { stubs: { ...stubs, StageFrame: frame } };
const stock = (left: number) => [
  { id: 's', name: 'Seal', partNumber: 'S-7', kind: 'seal', place: 'drawer 3', counted: left, priceMinor: 1, left },
];
const replies = (left: number, more: object = {}) => ({
  'GET /api/procedures': {
    rows: [
      {
        id: 'rich',
        version: 1,
        name: 'Rich sample',
        family: 'samples',
        familyId: null,
        work: null,
        items: 7,
        constraints: 4,
      },
    ],
  },
  'GET /api/stock': { rows: stock(left) },
  'GET /api/wanted': { rows: [], opened: 1 },
  'GET /api/procedures/rich/times': { dashpot: { off: [4], back: [] } },
  ...more,
});
async function show(left: number, ...bodies: CommandBody[]) {
  const shown = showJob([open, pinRich, ...bodies]);
  serve(replies(left));
  const wrapper = mount(PrepareStage, { global });
  await flushPromises();
  return { wrapper, ...shown };
}

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  vi.useFakeTimers({ toFake: ['Date'], now: new Date(2026, 4, 13, 9, 0) });
});

describe('prepare', () => {
  it('lists what to order today with the day it would come, and takes that day for the order', async () => {
    const { wrapper, sent } = await show(0);
    expect(read(wrapper)).toContain('Order now');
    expect(read(wrapper)).toContain('none left in drawer 3; ordered today it is here about Saturday 16 May');
    expect(read(wrapper)).toContain('Order first');
    await press(wrapper, 'It is ordered');
    expect((wrapper.find('input[type=date]').element as HTMLInputElement).value).toBe('2026-05-16');
    await wrapper
      .findAll('form')
      .find((form) => form.find('input[type=date]').exists())!
      .trigger('submit');
    expect(sent).toEqual([{ type: 'tick-need', data: { needId: 'seal-7', state: 'ordered', expected: '2026-05-16' } }]);
    expect(read(wrapper)).toContain('on order, expected Saturday 16 May');
  });
  it('starts when the drawer has it, and counts what stands in pieces', async () => {
    const { wrapper } = await show(4);
    expect(read(wrapper)).toContain('4 in drawer 3');
    expect(read(wrapper)).toContain('Start now');
    expect(read(wrapper)).toContain('1 in 2 bays');
    expect(read(wrapper)).toContain('1 of 14 steps were timed here before');
    expect(read(wrapper)).not.toContain('Order now');
  });
  it('says that another job wants the last one', async () => {
    showJob([open, pinRich]);
    serve(replies(1, { 'GET /api/wanted': { rows: [{ partNumber: 'S-7', jobId: 'other', number: 9 }], opened: 0 } }));
    const wrapper = mount(PrepareStage, { global });
    await flushPromises();
    expect(read(wrapper)).toContain('1 in drawer 3, wanted by 1 other job');
  });
  it('says what waits once it is in pieces', async () => {
    const { wrapper } = await show(
      0,
      { type: 'tick-need', data: { needId: 'seal-7', state: 'ordered', expected: '2026-05-18' } },
      { type: 'remove-item', data: { itemId: 'seal', pocket: '', label: '', countedOut: null } },
    );
    expect(read(wrapper)).toContain('It is in pieces. 1 item waits for seal; all else can go back.');
  });
  it('asks for the day when none is said, and keeps what is open', async () => {
    const { wrapper, sent } = await show(4);
    const row = wrapper.findAll('li').find((each) => each.text().includes('Seal'))!;
    await press(row, 'On order');
    await row.find('form').trigger('submit');
    expect(row.find('[role=alert]').text()).toBe('On which day is it expected?');
    expect(sent).toEqual([]);
  });
  it('takes what was done first, says what undoes it, and puts more on the list', async () => {
    const { wrapper, sent, job } = await show(4);
    const row = wrapper.findAll('li').find((each) => each.text().includes('Battery negative off'))!;
    expect(read(row)).toContain('undone at the end: battery negative on');
    await press(row, 'Done');
    await press(wrapper, 'Something else is needed');
    const form = wrapper.findAll('form').at(-1)!;
    await form.trigger('submit');
    expect(read(form)).toContain('What is needed?');
    await form.find('input').setValue('Clamp 40 mm');
    await form.trigger('submit');
    expect(sent.map(({ type }) => type)).toEqual(['tick-need', 'add-need']);
    expect(job().ownNeeds[0]?.name).toBe('Clamp 40 mm');
  });
  it('offers the procedures of this engine and those that name none; others are a tap away', async () => {
    const { job } = showJob([open]);
    useJob().confirmed = { ...job(), vehicle: { ...job().vehicle, familyId: 'twin' } };
    const one = replies(1)['GET /api/procedures'].rows[0];
    const own = { ...one, id: 'sample', name: 'For this one', familyId: 'twin' };
    const other = { ...one, id: 'boat', name: 'For a boat', familyId: 'terrow' };
    serve(replies(1, { 'GET /api/procedures': { rows: [other, one, own] } }));
    const wrapper = mount(PrepareStage, { global });
    await flushPromises();
    const names = () => wrapper.findAll('li p.font-semibold').map((each) => each.text());
    expect(names()).toEqual(['For this one', 'Rich sample']);
    expect(read(wrapper)).toContain('Without a procedure the order back is the mirror');
    await press(wrapper, 'Procedures for other engines: 1');
    expect(names()).toEqual(['For this one', 'Rich sample', 'For a boat']);
  });
  it('goes without one when that is said, and lists what was typed all the same', async () => {
    const { job } = showJob([open]);
    serve(replies(1));
    const wrapper = mount(PrepareStage, { global });
    await flushPromises();
    await press(wrapper, 'Work without one');
    expect(job().withoutProcedure).not.toBeNull();
    expect(stageGaps(job(), 'prepare')).toEqual([]);
    await press(wrapper, 'Something else is needed');
    await wrapper
      .findAll('[role=radio]')
      .find((each) => each.text() === 'Tool')!
      .trigger('click');
    await wrapper.find(field(wrapper, 'What else is needed?')).setValue('Long extension');
    await wrapper.findAll('form').at(-1)!.trigger('submit');
    expect(job().ownNeeds).toMatchObject([{ kind: 'tool', name: 'Long extension' }]);
    expect(wrapper.findAll('section h3').map((each) => each.text())).toContain('Tools');
    await press(wrapper, 'Here');
    expect(job().needs).toMatchObject([{ state: 'ready' }]);
  });
  it('writes a first procedure from eight answers, without what this one does not have, and works by it', async () => {
    const { job } = showJob([open]);
    const asked = serve(replies(1, { 'PUT /api/procedures': {} }));
    const wrapper = mount(StarterSheet, {
      props: { job: job() },
      global: { stubs: { ...stubs, SheetDialog: { template: '<div><slot /></div>' } } },
    });
    expect(read(wrapper)).toContain('answers are still open');
    const choose = async (group: number, name: string): Promise<void> =>
      void (await wrapper
        .findAll('[role=radiogroup]')
        [group]!.findAll('[role=radio]')
        .find((each) => each.text() === name)!
        .trigger('click'));
    const picks = [
      [0, 'Cable body'],
      [1, 'Under a cover'],
      [2, '4'],
      [3, 'Alloy'],
      [4, 'A gasket'],
    ] as const;
    for (const [group, name] of picks) await choose(group, name);
    for (const [group, name] of [
      [5, '1'],
      [6, '2'],
      [7, 'On the body'],
      [8, '2'],
    ] as const)
      await choose(group, name);
    expect(read(wrapper)).toContain('They hold the unit: a figure is wanted before the engine starts.');
    await press(wrapper, 'Not on this one: Cover');
    await press(wrapper, 'Keep it and work by it');
    await flushPromises();
    const { body } = asked.find(({ method }) => method === 'PUT')!;
    const { procedure, basedOn } = body as { procedure: Procedure; basedOn: number };
    expect(basedOn).toBe(0);
    expect(procedure.items.map(({ name }) => name)).not.toContain('Cover');
    expect(procedure.items.map(({ name }) => name)).toContain('Flange bolts');
    // Where it is not kept it says so, and nothing that was answered is lost.
    expect(read(wrapper)).toContain('nothing at');
  });
});
