import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type CommandBody, itemOf } from '../../../core/job/index.ts';
import { off, open, pin, pinRich, plug } from '../../../core/job/testing/samples.ts';
import { stationId } from '../../instruments/station.ts';
import { useInstruments } from '../../instruments/useInstruments.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { listenForKeys } from '../../shell/keys.ts';
import { freshShop, press, read, showJob, stubs } from '../../testing.ts';
import HandsBusyView from './HandsBusyView.vue';

const { route, push } = vi.hoisted(() => ({ route: { params: { id: 'j', way: 'strip' }, query: {} }, push: vi.fn() }));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push }),
  useRoute: () => route,
}));
vi.mock('../../stores/liveJob.ts', () => ({ useLiveJob: () => undefined }));

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  push.mockReset();
  // Out of reach: what is done stays in the queue and is shown.
  vi.stubGlobal('fetch', () => new Promise<never>(() => undefined));
  useShop().wrenches = [
    {
      id: 'w',
      name: 'Click',
      scale: { unit: 'N·m', low: 2, high: 20, step: 0.5 },
      deviationPercent: null,
      calibratedOn: null,
    },
  ];
});
beforeEach(() => window.addEventListener('keydown', listenForKeys));
afterEach(() => window.removeEventListener('keydown', listenForKeys));
function hands(way: 'strip' | 'refit', ...bodies: CommandBody[]) {
  route.params.way = way;
  const shown = showJob([open, ...bodies]);
  const load = vi.spyOn(useJob(), 'load').mockResolvedValue();
  const wrapper = mount(HandsBusyView, { global: { stubs }, attachTo: document.body });
  const big = () => wrapper.find('section p.font-bold + p').text();
  const key = (name: string) => document.body.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }));
  return { ...shown, load, wrapper, big, key };
}

describe('hands busy, taking off', () => {
  it('shows one item at a time and goes on with Done, the space bar or a pedal', async () => {
    const { wrapper, big, key, job, load } = hands('strip', pin);
    expect(load).toHaveBeenCalledWith('j');
    expect(big()).toBe('Sample plug');
    expect(read(wrapper)).toContain('Then sample cover, then sample bolts');
    await press(wrapper, 'Done');
    expect(big()).toBe('Sample cover');
    key(' ');
    await flushPromises();
    expect(big()).toBe('Sample bolts');
    key('PageDown');
    await flushPromises();
    expect(
      job()
        .items.filter(({ state }) => state === 'off')
        .map(({ id }) => id),
    ).toEqual(['plug', 'cover', 'bolts']);
    wrapper.unmount();
  });
  it('plugs the opening it made before anything else', async () => {
    const { wrapper, big, job } = hands('strip', pin, off('plug'), off('bolts'), off('body'));
    expect(big()).toBe('Plug inlet');
    expect(read(wrapper)).toContain('With: cap.');
    expect(read(wrapper)).toContain('Then sample cover');
    await press(wrapper, 'Plugged');
    expect(big()).toBe('Sample cover');
    expect(job().openings.map(({ state }) => state)).toEqual(['plugged']);
    wrapper.unmount();
  });
  it('does not say that all is off while the last one left a hole', async () => {
    const { wrapper, big, job } = hands('strip', pin, off('plug'), off('cover'), off('bolts'));
    await press(wrapper, 'Done');
    expect(big()).toBe('Plug inlet');
    await press(wrapper, 'Plugged');
    expect(job().openings.map(({ state }) => state)).toEqual(['plugged']);
    expect(read(wrapper)).toContain('Everything listed is off');
    expect(read(wrapper)).toContain('To inspect');
    wrapper.unmount();
  });
  it('puts an item off to the end, and takes the last one back', async () => {
    const { wrapper, big, key, sent } = hands('strip', pin);
    await press(wrapper, 'Not yet');
    expect(big()).toBe('Sample cover');
    await press(wrapper, 'Done');
    key('u');
    await flushPromises();
    expect(sent.at(-1)?.type).toBe('undo');
    expect(big()).toBe('Sample cover');
    wrapper.unmount();
  });
  it('asks for what is to be measured first, and says what the item is refused for', async () => {
    const { wrapper, sent } = hands('strip', pinRich);
    await press(wrapper, 'Done');
    expect(sent).toEqual([]);
    expect(wrapper.find('[role="alert"]').text()).toContain('Tag it');
    await press(wrapper, 'Not yet');
    await press(wrapper, 'Not yet');
    expect(read(wrapper)).toContain('First, on the sheet: lock-nut position');
    wrapper.unmount();
  });
  it('goes back to the sheet by key', () => {
    const { wrapper, key } = hands('strip', pin);
    key('h');
    expect(push).toHaveBeenCalledWith('/jobs/j/strip');
    wrapper.unmount();
  });
});

describe('hands busy, putting back', () => {
  const allOff = [off('plug'), off('cover'), off('bolts'), off('body'), plug];
  it('takes the plug out, then shows the setting on the wrench that suits', async () => {
    const { wrapper, big, job } = hands('refit', pin, ...allOff);
    expect(read(wrapper)).toContain('comes out');
    await press(wrapper, 'Done');
    await press(wrapper, 'Done');
    expect(itemOf(job(), 'body')?.state).toBe('refitted');
    expect(big()).toContain('Sample bolt 1');
    expect(read(wrapper)).toContain('9 N·m on this wrench');
    expect(read(wrapper)).toContain('suits');
    await press(wrapper, 'Done');
    expect(itemOf(job(), 'bolts')?.bolts[0]?.final).toBe(true);
    wrapper.unmount();
  });
  it('says what locks a step when nothing else is free, and does not do it', async () => {
    const { wrapper, sent } = hands('refit', pinRich, off('unit'));
    expect(read(wrapper)).toContain('Bench work on sample unit is not finished: clean and dry first.');
    await press(wrapper, 'Done');
    expect(sent).toEqual([]);
    expect(wrapper.find('[role="alert"]').text()).not.toBe('');
    wrapper.unmount();
  });
});

describe('a torque is taken without a touch', () => {
  class FakeSource {
    static last: FakeSource | null = null;
    static readonly CLOSED = 2;
    #hear: (event: { data: string }) => void = () => undefined;
    constructor() {
      FakeSource.last = this;
    }
    addEventListener(kind: string, hear: (event: { data: string }) => void): void {
      if (kind === 'message') this.#hear = hear;
    }
    pull(value: number, peak: boolean): void {
      this.#hear({
        data: JSON.stringify({
          reading: { values: [value], unit: 'N·m', peak, angleDeg: null },
          words: '',
          gone: false,
        }),
      });
    }
    close(): void {}
  }
  it('from the wrench of this station, once it is let go, bolt after bolt', async () => {
    vi.stubGlobal('EventSource', FakeSource);
    useInstruments().all = [
      { id: 'wrench-1', kind: 'torque-wrench', name: 'Electronic wrench', low: 2, high: 20, unit: 'N·m', calibratedOn: null, simulated: true, station: stationId() },
    ]; // prettier-ignore
    const taken: CommandBody[] = ['plug', 'cover', 'bolts', 'body'].map(off);
    const { wrapper, job } = hands('refit', pin, ...taken, plug);
    await flushPromises();
    // The unit goes back by hands; then its bolts are pulled.
    for (let step = 0; step < 10 && !read(wrapper).includes('Pull, and it is taken'); step += 1) {
      await wrapper.findAll('footer button').at(-1)!.trigger('click');
      await flushPromises();
    }
    expect(read(wrapper)).toContain('Pull, and it is taken from the electronic wrench');
    FakeSource.last!.pull(6, false);
    expect(itemOf(job(), 'bolts')!.bolts).toEqual([]);
    FakeSource.last!.pull(9.1, true);
    await flushPromises();
    expect(itemOf(job(), 'bolts')!.bolts).toMatchObject([
      { method: 'wrench', torque: { value: 9.1, unit: 'N·m' }, wrench: '' },
    ]);
    expect(job().figuresTaken).toMatchObject([{ shown: '9.1 N·m', name: 'Electronic wrench' }]);
    wrapper.unmount();
    vi.unstubAllGlobals();
  });
});
