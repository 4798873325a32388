import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { off, open, pin, plug } from '../../../core/job/testing/samples.ts';
import { listenForKeys } from '../../shell/keys.ts';
import { freshShop, press, read, showJob, stubs } from '../../testing.ts';
import ItemDetail from './ItemDetail.vue';
import SheetStage from './SheetStage.vue';
import ThereAndBack from './ThereAndBack.vue';

const { route, push } = vi.hoisted(() => ({
  route: { params: { id: 'j' }, query: {} as Record<string, string> },
  push: vi.fn(),
}));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push }),
  useRoute: () => route,
}));
const StageFrame = { template: '<div><slot name="head" /><slot /><aside><slot name="why" /></aside></div>' };
const global = { stubs: { ...stubs, StageFrame, StandingLine: { template: '<p>what came off?</p>' } } };
const press_ = (key: string) => listenForKeys(new KeyboardEvent('keydown', { key, cancelable: true }));

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  push.mockReset();
  route.query = {};
  vi.stubGlobal('fetch', () => new Promise<never>(() => undefined));
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe(): void {}
      disconnect(): void {}
    },
  );
});
let unmount = (): void => undefined;
afterEach(() => unmount());
function sheet(way: 'strip' | 'refit', ...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const wrapper = mount(SheetStage, { props: { way }, global, attachTo: document.body });
  unmount = () => wrapper.unmount();
  const at = (): string => wrapper.findComponent(ItemDetail).props('item').id;
  return { ...shown, wrapper, at };
}

describe('the sheet of strip and refit', () => {
  it('stands at the next item, and moves on as it is tapped off', async () => {
    const { wrapper, at, job } = sheet('strip', pin);
    expect(read(wrapper)).toContain('4 still on. Tap a tag as it comes off.');
    expect(at()).toBe('plug');
    press_(' ');
    await flushPromises();
    expect(at()).toBe('cover');
    expect(job().items[0]?.state).toBe('off');
    expect(read(wrapper)).toContain('3 still on.');
  });
  it('opens another by a tap, and does what its button says by a second tap', async () => {
    const { wrapper, at, job } = sheet('strip', pin);
    const tree = wrapper.findComponent(ThereAndBack);
    tree.vm.$emit('choose', 'bolts');
    await flushPromises();
    expect(at()).toBe('bolts');
    expect(job().items.every(({ state }) => state === 'on')).toBe(true);
    tree.vm.$emit('choose', 'bolts');
    await flushPromises();
    expect(job().items.find(({ id }) => id === 'bolts')?.state).toBe('off');
  });
  it('goes along the tags by the arrows, and can be linked to', async () => {
    route.query = { item: 'cover' };
    const { at } = sheet('strip', pin);
    expect(at()).toBe('cover');
    press_('ArrowDown');
    await flushPromises();
    expect(at()).toBe('bolts');
    press_('ArrowUp');
    press_('ArrowUp');
    await flushPromises();
    expect(at()).toBe('plug');
    press_('ArrowUp');
    await flushPromises();
    expect(at()).toBe('plug');
  });
  it('reads the way back from its foot', async () => {
    const { wrapper, at, job } = sheet('refit', pin, off('plug'), off('cover'), off('bolts'), off('body'), plug);
    expect(read(wrapper)).toContain('to go back. Start at the foot and work upward.');
    expect(job().items.find(({ id }) => id === at())?.origin).toBe('plug');
    const back = wrapper.findAll('ol').at(-1)!;
    expect(back.attributes('aria-label')).toContain('oes back');
    press_(' ');
    await flushPromises();
    expect(at()).toBe('body');
  });
  it('joins each that came off to its way back by a string', () => {
    const { wrapper } = sheet('strip', pin, off('plug'), off('cover'));
    const [left, right] = wrapper.findAll('ol').map((each) => each.findAll('li').length);
    expect(left).toBeGreaterThanOrEqual(2);
    expect(right).toBeGreaterThanOrEqual(2);
    expect(wrapper.findAll('svg path').length).toBeGreaterThanOrEqual(2);
  });
  it('teaches the first step while nothing is listed, with the line always ready', async () => {
    const { wrapper } = sheet('strip');
    expect(read(wrapper)).toContain('Say what comes off.');
    expect(read(wrapper)).toContain('what came off?');
    unmount();
    const { wrapper: back } = sheet('refit', pin, off('plug'));
    expect(read(back)).not.toContain('what came off?');
    await press(back, 'Something else came off');
    expect(read(back)).toContain('what came off?');
  });
  it('says so when a part is on order', () => {
    const { wrapper } = sheet('strip', pin, {
      type: 'tick-need',
      data: { needId: 'need', state: 'ordered', expected: '2026-05-15' },
    });
    expect(read(wrapper)).toContain('Gasket is on order.');
  });
});
