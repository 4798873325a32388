import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { play } from '../../core/job/testing/play.ts';
import { SAMPLES } from '../../core/job/testing/samples.ts';
import type { CommandBody } from '../../core/job/index.ts';
import FlangeDrawing from '../stages/torque/FlangeDrawing.vue';
import TagItem from '../stages/items/TagItem.vue';
import { useJob } from '../stores/job.ts';
import { useShop } from '../stores/shop.ts';
import CautionStack from './CautionStack.vue';
import ChoiceRow from './ChoiceRow.vue';
import SourceNote from './SourceNote.vue';
import TextField from './TextField.vue';

describe('a field', () => {
  it('reads what is wrong together with it, and keeps what was typed', async () => {
    const field = mount(TextField, { props: { label: 'Reached', modelValue: '9 lb', hint: 'as on the wrench' } });
    const input = field.find('input');
    expect(field.find('label').attributes('for')).toBe(input.attributes('id'));
    expect(document.getElementById('nothing')).toBeNull();
    expect(field.text()).toContain('as on the wrench');
    await field.setProps({ error: 'Pounds of what?' });
    expect(input.attributes('aria-invalid')).toBe('true');
    expect(field.find(`#${input.attributes('aria-describedby')}`).text()).toBe('Pounds of what?');
    expect(field.find('[role="alert"]').exists()).toBe(true);
    expect(input.element.value).toBe('9 lb');
  });
  it('offers choices as a group with one taken', async () => {
    const row = mount(ChoiceRow, {
      props: {
        label: 'Status',
        modelValue: 'stored',
        options: [
          { id: 'stored', name: 'stored' },
          { id: 'pending', name: 'pending' },
        ],
      },
    });
    expect(row.findAll('[role="radio"]').map((each) => each.attributes('aria-checked'))).toEqual(['true', 'false']);
    await row.findAll('[role="radio"]')[1]?.trigger('click');
    expect(row.emitted('update:modelValue')).toEqual([['pending']]);
  });
});

describe('a source', () => {
  it('that is missing is said to be a shop figure', () => {
    expect(mount(SourceNote, { props: { source: null } }).text()).toBe('shop figure, verify');
    expect(mount(SourceNote, { props: { source: 'demo data' } }).text()).toBe('demo data');
  });
});

describe('a tag', () => {
  const props = { number: 7, name: 'Valve plug', note: 'C1', side: 'left', selected: false, wet: false } as const;
  it.each([
    ['on', 'still on'],
    ['off', 'off'],
    ['refitted', 'back'],
    ['renewed', 'back, new'],
    ['left-off', 'left off'],
  ] as const)('says in words that it is %s', (state, words) => {
    const tag = mount(TagItem, { props: { ...props, state } });
    expect(tag.text()).toContain(`, ${words}`);
    expect(tag.classes()).toContain(state);
  });
  it('says that it is chosen and tells when it is tapped', async () => {
    const tag = mount(TagItem, { props: { ...props, state: 'off', selected: true } });
    expect(tag.attributes('aria-pressed')).toBe('true');
    await tag.trigger('click');
    expect(tag.emitted('choose')).toHaveLength(1);
  });
});

describe('with a job', () => {
  beforeEach(async () => {
    setActivePinia(createPinia());
    const { log } = play([{ type: 'open-job', data: SAMPLES['open-job'].data } as CommandBody]);
    vi.stubGlobal('fetch', async (_: string, { method }: { method: string }) => {
      if (method === 'GET') return new Response(JSON.stringify({ jobId: 'j', version: 1, events: log }));
      throw new Error('away');
    });
    useShop().pick('tomas');
    await useJob().load('j');
  });
  it('cautions speak one at a time and stay quiet once read', async () => {
    const stack = mount(CautionStack, { props: { ids: ['battery', 'fuel'] } });
    expect(stack.findAll('[role="note"]')).toHaveLength(1);
    expect(stack.text()).toContain('1 more after this one');
    await stack.find('button').trigger('click');
    await nextTick();
    expect(stack.find('[role="note"]').text()).toContain('Fuel under pressure');
    await stack.find('button').trigger('click');
    await nextTick();
    expect(stack.findAll('[role="note"]')).toHaveLength(0);
    expect(useJob().job?.cautions).toEqual(['battery', 'fuel']);
  });
});

describe('the flange', () => {
  it('numbers bolts in tightening order, and says which are at torque', () => {
    const bolt = (id: string, x: number, y: number) => ({ id, x, y, label: id });
    const item = {
      ...play([
        { type: 'open-job', data: SAMPLES['open-job'].data } as CommandBody,
        { type: 'pin-procedure', data: { procedureId: 'sample' } },
      ]).job!.items[2]!,
    };
    const fasteners = {
      ...item.fasteners!,
      count: 4,
      bolts: [bolt('a', 0, 0), bolt('b', 60, 0), bolt('c', 60, 60), bolt('d', 0, 60)],
    };
    const done = {
      boltId: 'a',
      pass: 1,
      final: true,
      torque: { value: 9, unit: 'N·m' },
      nm: 9,
      method: 'wrench',
      angleDeg: null,
      adapter: null,
      reading: null,
      wrench: 'Click',
      at: '',
      by: '',
    } as const;
    const drawing = mount(FlangeDrawing, { props: { item: { ...item, fasteners, bolts: [done] }, next: 'c' } });
    expect(drawing.findAll('text').map((text) => text.text())).toEqual(['1', '3', '2', '4']);
    expect(drawing.findAll('g').map((each) => each.classes())).toEqual([['done'], [], ['next'], []]);
    expect(drawing.attributes('aria-label')).toContain('bolt 1 a at torque');
  });
});
