import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { item, RICH_PROCEDURE, SAMPLE_PROCEDURE } from '../../../core/job/testing/samples.ts';
import type { Procedure } from '../../../core/procedure/index.ts';
import { field, freshShop, press, read, stubs } from '../../testing.ts';
import { removeItem } from './draft.ts';
import ItemFields from './ItemFields.vue';
import OrderFields from './OrderFields.vue';
import SystemFields from './SystemFields.vue';

beforeEach(freshShop);

describe('everything that can be said of one item', () => {
  const fields = (id: string, draft: Procedure = RICH_PROCEDURE) => {
    const wrapper = mount(ItemFields, {
      props: { draft, item: draft.items.find((each) => each.id === id)! },
      global: { stubs: { ...stubs, FastenerFields: true } },
    });
    const last = (): Procedure => wrapper.emitted<[Procedure]>('change')!.at(-1)![0];
    return { wrapper, last, changed: () => wrapper.emitted('change')?.length ?? 0 };
  };
  it('changes that item and no other', async () => {
    const { wrapper, last } = fields('dashpot');
    await wrapper.find(field(wrapper, 'Tool')).setValue('8 mm spanner');
    const draft = last();
    expect(draft.items.find(({ id }) => id === 'dashpot')?.tool).toBe('8 mm spanner');
    expect(draft.items.filter(({ id }) => id !== 'dashpot')).toEqual(
      RICH_PROCEDURE.items.filter(({ id }) => id !== 'dashpot'),
    );
  });
  it('takes minutes that can be read, and keeps the others typed', async () => {
    const { wrapper, last, changed } = fields('dashpot');
    await wrapper.find(field(wrapper, 'Minutes off')).setValue('soon');
    expect(read(wrapper)).toContain('Expected a number, such as 20 min; got “soon”.');
    expect(changed()).toBe(0);
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Minutes off')).element.value).toBe('soon');
    await wrapper.find(field(wrapper, 'Minutes off')).setValue('2,5');
    expect(last().items.find(({ id }) => id === 'dashpot')?.minutes).toEqual({ off: 2.5, back: 0 });
  });
  it('says what it leaves open, what must be measured, and what moves over from a unit', async () => {
    const { wrapper, last } = fields('dashpot');
    const box = (label: string) =>
      wrapper
        .findAll('label')
        .find((each) => read(each).includes(label))!
        .find('input[type="checkbox"]');
    await box('Inlet').trigger('change');
    expect(last().items.find(({ id }) => id === 'dashpot')?.opens).toEqual(['inlet']);
    await box('Lock-nut position').trigger('change');
    expect(last().items.find(({ id }) => id === 'dashpot')?.restore).toEqual([]);
    await wrapper.find(field(wrapper, 'Moves over when a new unit is fitted')).setValue('unit');
    expect(last().items.find(({ id }) => id === 'dashpot')?.swapFrom).toBe('unit');
    // A unit does not move over from itself.
    const unit = fields('unit').wrapper;
    expect(read(unit)).not.toContain('Moves over');
    expect(read(unit)).toContain('Which kind of unit');
  });
  it('goes out with every reason that names it', async () => {
    const { wrapper, last } = fields('screws');
    await press(wrapper, 'Take this item out');
    expect(last().items.some(({ id }) => id === 'screws')).toBe(false);
    expect(last().constraints.some((tie) => tie.kind === 'before' && (tie.a === 'screws' || tie.b === 'screws'))).toBe(
      false,
    );
  });
});

describe('coolant and relearn of a procedure', () => {
  const withHose: Procedure = {
    ...SAMPLE_PROCEDURE,
    items: [...SAMPLE_PROCEDURE.items, item('hose', { kind: 'coolant-hose', name: 'Upper hose' })],
  };
  const system = (draft: Procedure) => {
    const wrapper = mount(SystemFields, { props: { draft }, global: { stubs } });
    const puts = () => (wrapper.emitted<[Partial<Procedure>]>('put') ?? []).map(([more]) => more);
    return { wrapper, puts };
  };
  it('begins with what is usual when coolant is opened, and can stay closed', async () => {
    const { wrapper, puts } = system({ ...SAMPLE_PROCEDURE, coolant: null });
    await press(wrapper, 'Coolant is opened');
    expect(puts().at(-1)?.coolant).toMatchObject({ capacityL: 6, concentration: 0.5 });
    const open = system(SAMPLE_PROCEDURE);
    await press(open.wrapper, 'It stays closed');
    expect(open.puts()).toEqual([{ coolant: null }]);
  });
  it('changes nothing by what cannot be read', async () => {
    const { wrapper, puts } = system(SAMPLE_PROCEDURE);
    const capacity = wrapper.find(field(wrapper, 'System holds'));
    await capacity.setValue('-2');
    await capacity.trigger('change');
    expect(read(wrapper)).toContain('a volume cannot be negative');
    expect(puts()).toEqual([]);
    await capacity.setValue('7,4');
    await capacity.trigger('change');
    expect(puts().at(-1)?.coolant).toMatchObject({ capacityL: 7.4, bleedPoint: 'top' });
    const percent = wrapper.find(field(wrapper, 'Antifreeze'));
    await percent.setValue('45');
    await percent.trigger('change');
    expect(puts().at(-1)?.coolant?.concentration).toBe(0.45);
  });
  it('says how much each hose lets go', async () => {
    const { wrapper, puts } = system(withHose);
    const loss = wrapper.find(field(wrapper, 'Upper hose lets go'));
    await loss.setValue('60');
    await loss.trigger('change');
    expect(read(wrapper)).toContain('Expected 0 to 40 L.');
    expect(puts()).toEqual([]);
    await loss.setValue('0.4');
    await loss.trigger('change');
    expect(puts().at(-1)?.coolant?.losses).toEqual([{ itemId: 'hose', litres: 0.4 }]);
  });
  it('names the runs that suit', async () => {
    const { wrapper, puts } = system(SAMPLE_PROCEDURE);
    const checked = wrapper.findAll<HTMLInputElement>('fieldset input[type="checkbox"]');
    const on = checked.findIndex((each) => each.element.checked);
    await checked[on]!.trigger('change');
    expect(puts().at(-1)).toEqual({ relearn: [] });
    await checked[on === 0 ? 1 : 0]!.trigger('change');
    expect(puts().at(-1)?.relearn).toHaveLength(2);
  });
});

describe('the order of an item', () => {
  const order = (id: string, more: object = {}) => {
    const draft = {
      ...RICH_PROCEDURE,
      items: RICH_PROCEDURE.items.map((each) => (each.id === id ? { ...each, ...more } : each)),
    };
    const wrapper = mount(OrderFields, {
      props: { draft, item: draft.items.find((each) => each.id === id)! },
      global: { stubs },
    });
    return { wrapper, put: () => wrapper.emitted<[object]>('put')!.at(-1)![0] };
  };
  it('says what comes off before it and why, and takes that out again', async () => {
    const { wrapper, put } = order('dashpot');
    await wrapper.find(field(wrapper, 'Comes off after')).setValue('screws');
    expect(put()).toEqual({ offAfter: [{ item: 'screws', kind: 'reach', reason: '' }] });
    const said = order('dashpot', { offAfter: [{ item: 'screws', kind: 'reach', reason: '' }] });
    await said.wrapper.find(field(said.wrapper, 'because that')).setValue('weight');
    expect(said.put()).toEqual({ offAfter: [{ item: 'screws', kind: 'weight', reason: '' }] });
    await said.wrapper.find(field(said.wrapper, 'In a few words')).setValue('it hangs there');
    expect(said.put()).toEqual({ offAfter: [{ item: 'screws', kind: 'reach', reason: 'it hangs there' }] });
    await said.wrapper.find(field(said.wrapper, 'Comes off after')).setValue('');
    expect(said.put()).toEqual({ offAfter: undefined });
  });
  it('can be a step of the way back, or lie on the bench as a part', async () => {
    const { wrapper, put } = order('dashpot');
    await wrapper.find(field(wrapper, 'Only on the way back')).setValue('unit');
    expect(put()).toEqual({ backBefore: 'unit' });
    await wrapper.find(field(wrapper, 'Looked at and cleaned on the bench as')).setValue('fast-idle');
    expect(put()).toEqual({ part: 'fast-idle' });
    await wrapper.find(field(wrapper, 'May stay connected')).setValue('to the strut');
    expect(put()).toEqual({ mayStay: 'to the strut' });
    const step = order('dashpot', { backBefore: 'unit' });
    expect(read(step.wrapper)).not.toContain('Comes off after');
  });
  it('goes with what it hangs on: its steps fall with an item, and reasons that name it', () => {
    const items = RICH_PROCEDURE.items.map((each) =>
      each.id === 'dashpot'
        ? { ...each, backBefore: 'unit' }
        : each.id === 'left-plug'
          ? { ...each, offAfter: [{ item: 'unit', kind: 'reach' as const, reason: '' }] }
          : each,
    );
    const left = removeItem({ ...RICH_PROCEDURE, items }, 'unit').items;
    expect(left.map(({ id }) => id)).not.toEqual(expect.arrayContaining(['dashpot', 'unit']));
    expect(left.some(({ id }) => id === 'dashpot')).toBe(false);
    expect(left.find(({ id }) => id === 'left-plug')?.offAfter).toBeUndefined();
  });
});
