import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type AdapterOn, type CommandBody, itemOf, torqueStep } from '../../../core/job/index.ts';
import { off, open, pin, pinRich } from '../../../core/job/testing/samples.ts';
import type { Wrench } from '../../../core/torque/index.ts';
import { useShop } from '../../stores/shop.ts';
import { freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import TorquePanel from './TorquePanel.vue';

const wrench = (id: string, low: number, high: number, unit: 'N·m' | 'in·lb' = 'N·m'): Wrench => ({
  id,
  name: id,
  scale: { unit, low, high, step: unit === 'N·m' ? 0.5 : 1 },
  deviationPercent: null,
  calibratedOn: null,
});
const WRENCHES = [wrench('small', 2, 20), wrench('large', 40, 200), wrench('inch', 20, 200, 'in·lb')];
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
  useShop().rules = { tightening: 'figure' };
});
function panel(itemId: string, bodies: CommandBody[], adapter: AdapterOn | null = null, preferred = '') {
  const { job } = showJob([open, ...bodies]);
  const item = itemOf(job(), itemId)!;
  const step = torqueStep(item, WRENCHES, preferred, adapter);
  const wrapper = mount(TorquePanel, {
    props: { item, step, error: null, closed: false, text: '', byFeel: false, wrench: preferred, adapter },
    global: { stubs },
  });
  return { wrapper, step };
}

describe('the torque panel', () => {
  it('shows the figure, offers what suits first, and says what that wrench delivers', async () => {
    const { wrapper } = panel('bolts', [pin, off('bolts')]);
    expect(wrapper.find('.figure').text()).toBe('9');
    const names = wrapper.findAll('option').map((each) => each.text());
    expect(names).toHaveLength(3);
    expect(names.at(-1)).toBe('large');
    expect(read(wrapper)).toContain('suits');
    expect(read(wrapper)).toMatch(/8\.\d–9\.\d/);
    await wrapper.find('select').setValue('large');
    expect(wrapper.emitted('update:wrench')).toEqual([['large']]);
  });
  it('says on the wrench’s own scale where it is another one', () => {
    const { wrapper } = panel('bolts', [pin, off('bolts')], null, 'inch');
    expect(read(wrapper)).toContain('wrench');
    // 9 N·m are 79.66 inch-pounds.
    expect(wrapper.findAll('.figure').map((each) => each.text())).toEqual(['9', '80']);
  });
  it('sets the wrench lower with an adapter in line', () => {
    const { wrapper } = panel('bolts', [pin, off('bolts')], { lengthMm: 40, leverMm: 250, angleDeg: 0 }, 'small');
    expect(read(wrapper)).toContain('set with the adapter');
    // 9 · 250 / 290 = 7.76, on a scale of halves.
    expect(wrapper.findAll('.figure').map((each) => each.text())).toEqual(['9', '8']);
  });
  it('turns further by the angle once all are at the figure, and says by feel when that is chosen', async () => {
    const toFigure: CommandBody = {
      type: 'tighten-pass',
      data: { itemId: 'screws', pass: 1, torqueText: '5 Nm', method: 'wrench', wrenchId: 'w' },
    };
    const { wrapper, step } = panel('screws', [pinRich, off('screws'), toFigure]);
    expect(step?.angleDeg).toBe(45);
    expect(wrapper.find('.figure').text()).toBe('45°');
    expect(wrapper.find('select').exists()).toBe(false);
    await wrapper.setProps({ byFeel: true });
    expect(read(wrapper)).toContain('The house rule is a figure, in stages.');
  });
  it('takes a whole pass at once while more than one bolt is left of it', async () => {
    const { wrapper } = panel('screws', [pinRich, off('screws')]);
    await press(wrapper, 'All 4 of this pass reached it');
    expect(wrapper.emitted('pass')).toHaveLength(1);
    expect(read(panel('bolts', [pin, off('bolts')]).wrapper)).not.toContain('of this pass reached it');
  });
});
