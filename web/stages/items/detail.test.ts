import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type CommandBody, itemOf } from '../../../core/job/index.ts';
import { open, pinRich } from '../../../core/job/testing/world.ts';
import { useShop } from '../../stores/shop.ts';
import { freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import CureForm from './CureForm.vue';
import ItemDetail from './ItemDetail.vue';
import OpeningForm from './OpeningForm.vue';
import UnitRows from './UnitRows.vue';

const global = { stubs };
const off = (itemId: string, more: object = {}): CommandBody => ({
  type: 'remove-item',
  data: { itemId, pocket: '', label: itemId, countedOut: null, ...more },
});
function detail(itemId: string, way: 'strip' | 'refit', ...bodies: CommandBody[]) {
  const shown = showJob([open, pinRich, ...bodies]);
  const wrapper = mount(ItemDetail, { props: { job: shown.job(), item: itemOf(shown.job(), itemId)!, way }, global });
  const renew = async (): Promise<void> => {
    await wrapper.setProps({ job: shown.job(), item: itemOf(shown.job(), itemId)!, way });
  };
  return { wrapper, renew, ...shown };
}

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
  const shop = useShop();
  shop.wrenches = [
    {
      id: 'w',
      name: 'Click',
      scale: { unit: 'N·m', low: 2, high: 20, step: 0.5 },
      deviationPercent: null,
      calibratedOn: null,
    },
  ];
  shop.rules = { tightening: 'figure' };
});

describe('an item coming off', () => {
  it('is tagged where others look like it, and put into the next free pocket', async () => {
    const { wrapper, sent, renew } = detail('left-plug', 'strip');
    await press(wrapper, 'Take off');
    expect(wrapper.text()).toContain('It looks like sample right-plug. Tag it');
    expect(sent).toEqual([]);
    await wrapper.findAll('input')[1]!.setValue('left');
    await press(wrapper, 'Take off');
    expect(sent[0]).toMatchObject({ type: 'remove-item', data: { label: 'left' } });
    await renew();
    expect(read(wrapper)).toContain('And another like it');
  });
  it('keeps what is half typed when the server answers meanwhile', async () => {
    const { wrapper, job } = detail('left-plug', 'strip');
    const tag = () => wrapper.findAll<HTMLInputElement>('input')[1]!;
    await tag().setValue('lef');
    await wrapper.setProps({ job: { ...job() }, item: { ...itemOf(job(), 'left-plug')! } });
    expect(tag().element.value).toBe('lef');
  });
  it('leaves two in to hold the weight, counted by length', async () => {
    const { wrapper, sent } = detail('screws', 'strip');
    expect(read(wrapper)).toContain('3 × 25 mm');
    expect(read(wrapper)).toContain('1 × 20 mm lower left');
    await press(wrapper, 'Take off');
    expect(sent[0]).toMatchObject({
      data: {
        stayIn: 2,
        countedOut: 4,
        pocket: 'A1',
        lengthsOut: [
          { lengthMm: 25, count: 3 },
          { lengthMm: 20, count: 1 },
        ],
      },
    });
  });
  it('comes off again as another like it', async () => {
    const { wrapper, sent, job } = detail('arm', 'strip', off('arm'));
    await press(wrapper, 'And another like it');
    expect(sent.map(({ type }) => type)).toEqual(['add-item', 'remove-item']);
    expect(job().items.at(-1)).toMatchObject({ name: 'Sample arm 2', state: 'off', pocket: 'A1' });
  });
  it('may leave something open that no procedure knows of', async () => {
    const { job } = showJob([open, pinRich, off('arm')]);
    const wrapper = mount(OpeningForm, { props: { item: itemOf(job(), 'arm')! }, global });
    await press(wrapper, 'It leaves something open');
    await wrapper.find('form').trigger('submit');
    expect(wrapper.text()).toContain('What does it leave open?');
    await wrapper.find('input').setValue('Arm bore');
    await wrapper.find('form').trigger('submit');
    expect(job().openings.at(-1)).toMatchObject({ name: 'Arm bore', state: 'open', plugWith: 'Clean cloth' });
  });
});

describe('an item going back', () => {
  it('is tightened bolt by bolt or the whole pass at once, and by feel says what the house rule is', async () => {
    const { wrapper, sent, renew } = detail('screws', 'refit', off('screws'));
    expect(read(wrapper)).toContain('All 4 of this pass reached it');
    await press(wrapper, 'Record bolt 1, pass 1');
    expect(sent[0]).toMatchObject({
      type: 'tighten-bolt',
      data: { boltId: '1', pass: 1, torqueText: '5 N·m', wrenchId: 'w' },
    });
    await renew();
    await press(wrapper, 'All 3 of this pass');
    await renew();
    expect(read(wrapper)).toContain('45° further');
    await wrapper.find('input[type=checkbox]').setValue(true);
    expect(read(wrapper)).toContain('The house rule is a figure, in stages.');
    await press(wrapper, 'All 4 of this pass');
    expect(sent.at(-1)).toMatchObject({ type: 'tighten-pass', data: { pass: 2, method: 'by-feel', torqueText: '' } });
  });
  it('is a new unit only once what sat on the old one has moved over', async () => {
    const { wrapper, sent, job } = detail('unit', 'refit', off('unit'), {
      type: 'finish-bench',
      data: { itemId: 'unit', note: '' },
    });
    await wrapper.findComponent(UnitRows).find('input').setValue(true);
    expect(read(wrapper)).toContain('Sample arm');
    await press(wrapper, 'Fit the new one');
    expect(wrapper.text()).toContain('Still on the old one: sample arm.');
    await press(wrapper, 'Moved over');
    await press(wrapper, 'Fit the new one');
    expect(sent.map(({ type }) => type)).toEqual(['swap-over', 'put-back-item']);
    expect(itemOf(job(), 'unit')?.state).toBe('renewed');
  });
  it('has no button while it waits, only why and what would let it', async () => {
    const { wrapper, renew } = detail('unit', 'refit', off('unit'));
    expect(wrapper.find('[data-testid=act]').exists()).toBe(false);
    expect(read(wrapper)).toContain('Bench work on sample unit is not finished');
    await press(wrapper, 'Bench work is finished');
    await renew();
    expect(wrapper.find('[data-testid=act]').text()).toContain('Put back');
  });
  it('with a stripped thread says so instead of being at torque', async () => {
    const tight = (pass: number, torqueText: string): CommandBody => ({
      type: 'tighten-pass',
      data: { itemId: 'screws', pass, method: pass === 2 ? 'angle' : 'wrench', torqueText, wrenchId: 'w' },
    });
    const { wrapper } = detail(
      'screws',
      'refit',
      off('screws'),
      { type: 'strip-thread', data: { itemId: 'screws', boltId: '3', note: '' } },
      tight(1, '5 Nm'),
      tight(2, '45'),
    );
    expect(read(wrapper)).toContain('3 at torque, 1 waiting for a thread.');
    expect(wrapper.find('[data-testid=act]').exists()).toBe(false);
  });
  it('waits for a cure that is started beside it', async () => {
    const { job, sent } = showJob([open, pinRich, off('arm')]);
    const wrapper = mount(CureForm, { props: { item: itemOf(job(), 'arm')! }, global });
    await press(wrapper, 'It must cure first');
    await wrapper.findAll('input')[1]!.setValue('many');
    await wrapper.find('form').trigger('submit');
    expect(sent).toEqual([]);
    await wrapper.findAll('input')[1]!.setValue('20');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({ type: 'start-timer', data: { kind: 'cure', minutes: 20, itemId: 'arm' } });
    expect(read(wrapper)).toContain('Sealant cures until');
    await press(wrapper, 'It has cured');
    expect(job().timers[0]?.ended?.outcome).toBe('done');
  });
});
