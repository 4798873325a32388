import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { open, pinRich } from '../../../core/job/testing/world.ts';
import { useShop } from '../../stores/shop.ts';
import { freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import PrepareStage from './PrepareStage.vue';

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
  it('offers the procedures of this engine first, and works by the one that is picked', async () => {
    const { sent } = showJob([open]);
    const own = { ...replies(1)['GET /api/procedures'].rows[0], id: 'sample', name: 'For this one', familyId: 'twin' };
    serve(replies(1, { 'GET /api/procedures': { rows: [replies(1)['GET /api/procedures'].rows[0], own] } }));
    useShop();
    const wrapper = mount(PrepareStage, { global });
    await flushPromises();
    expect(wrapper.findAll('li').length).toBe(2);
    expect(read(wrapper)).toContain('Without a procedure the order back is the mirror');
    expect(sent).toEqual([]);
  });
});
