import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { off, open, pin, plug, SAMPLES } from '../../../core/job/testing/samples.ts';
import { listenForKeys } from '../../shell/keys.ts';
import { freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import TallyStrip from './TallyStrip.vue';

const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
function strip(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const wrapper = mount(TallyStrip, {
    props: { job: shown.job() },
    global: { stubs: { ...stubs, HoldsDialog: true } },
  });
  return { ...shown, wrapper };
}
const dialog = (wrapper: { findAll: (selector: string) => { text: () => string }[] }): string[] =>
  wrapper.findAll('ul.rows li').map((each) => each.text().replace(/\s+/g, ' '));

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
});

describe('the tally', () => {
  it('counts findings and codes as long as nothing is off, and opens their lists', async () => {
    const { wrapper } = strip(of('tell-complaint'), of('read-code'), of('record-check'));
    expect(read(wrapper)).toMatch(/0 ?items off/);
    await press(wrapper, 'codes');
    expect(dialog(wrapper)).toEqual(['P0505, stored']);
    await press(wrapper, 'findings');
    expect(dialog(wrapper).join()).toContain('Hunts when cold.');
    expect(read(wrapper)).not.toContain('Engine held');
  });
  it('holds the engine while an inlet is open, and lets it go when all is back', () => {
    const work = [off('plug'), off('cover'), off('bolts'), off('body')];
    const { wrapper } = strip(pin, ...work);
    expect(read(wrapper)).toMatch(/4 ?items off/);
    expect(read(wrapper)).toMatch(/1 \/ 0 ?openings open \/ plugged/);
    expect(read(wrapper)).toContain('Engine held');
    const { wrapper: later } = strip(pin, ...work, plug);
    expect(read(later)).toMatch(/0 \/ 1 ?openings open \/ plugged/);
    expect(read(later)).toContain('Engine held');
  });
  it('lists each figure: items, openings, torque, parts on order', async () => {
    const { wrapper } = strip(pin, off('bolts'), off('body'), {
      type: 'tick-need',
      data: { needId: 'need', state: 'ordered', expected: '2026-05-15' },
    });
    await press(wrapper, 'items off');
    expect(dialog(wrapper)).toEqual(['Sample bolts', 'Sample body']);
    await press(wrapper, 'openings');
    expect(dialog(wrapper)).toEqual(['Inlet: open']);
    await press(wrapper, 'at torque');
    expect(dialog(wrapper)).toEqual(['Sample bolts: 0 of 1 recorded']);
    await press(wrapper, 'waiting for parts');
    expect(dialog(wrapper)[0]).toMatch(/^Gasket, expected /);
  });
  it('shows the wait that ends first, and all of them by key', async () => {
    const timer = (id: string, label: string, minutes: number): CommandBody => ({
      type: 'start-timer',
      data: { id, label, minutes, kind: 'other' },
    });
    vi.useFakeTimers({ now: new Date('2026-05-13T08:10:00.000Z'), toFake: ['Date'] });
    const { wrapper } = strip(timer('a', 'Screws oiled', 600), timer('b', 'Throttle body soaks', 20));
    expect(read(wrapper)).toMatch(/14:00 ?throttle body soaks/);
    listenForKeys(new KeyboardEvent('keydown', { key: 't' }));
    await wrapper.vm.$nextTick();
    expect(dialog(wrapper)).toEqual(['Throttle body soaks: 14:00', expect.stringContaining('Screws oiled: 9:5')]);
    vi.useRealTimers();
    wrapper.unmount();
  });
  it('says what was done last, and takes it back', async () => {
    const { wrapper, sent } = strip(pin, off('plug'));
    expect(read(wrapper)).toContain('Sample plug off');
    await press(wrapper, 'Undo');
    expect(sent).toMatchObject([{ type: 'undo', data: { expected: 'c2' } }]);
  });
});
