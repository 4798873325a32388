import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { reactive } from 'vue';
import type { WovenDay } from '../../core/bay/index.ts';
import type { CommandBody } from '../../core/job/index.ts';
import { bayLine, dayReply, freshShop, press, read, serve, stubs } from '../testing.ts';
import { benchSteps } from './bench.ts';

const NOW = '2026-05-13T08:12:00.000Z';
const route = reactive({ params: { person: 'tomas' } });
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRoute: () => route }));
const { default: BenchView } = await import('./BenchView.vue');

const timer = (label: string, minutes: number): CommandBody => ({
  type: 'start-timer',
  data: { id: label, label, minutes, kind: 'soak' },
});
const show = async (jobs: Readonly<Record<string, CommandBody[]>>) => {
  serve({
    'GET /api/bay': { now: NOW, lines: Object.entries(jobs).map(([id, bodies]) => bayLine(id, ...bodies)) },
    'GET /api/day': () => dayReply(jobs),
    'PUT /api/day/plan': (body: { seen: number; blocks: unknown[] }) => ({
      ...body,
      version: body.seen + 1,
      madeAt: NOW,
      by: 'tomas',
    }),
  });
  const wrapper = mount(BenchView, { global: { stubs } });
  await vi.waitFor(() => expect(read(wrapper)).toMatch(/Go to it|Nothing/), 4000);
  await flushPromises();
  return wrapper;
};

beforeEach(() => {
  freshShop();
  route.params.person = 'tomas';
  vi.useFakeTimers({ now: new Date(NOW), toFake: ['Date'] });
});
afterEach(() => void vi.useRealTimers());

describe('a person’s bench', () => {
  it('says what to do now, exactly, and what then', async () => {
    const wrapper = await show({ a: [] });
    const both = `${read(wrapper)}`;
    expect(both).toMatch(/Tomas’s bench/);
    const mine = wrapper.find('[aria-label="Now"]').exists();
    if (!mine) route.params.person = 'isla';
    await flushPromises();
    expect(read(wrapper.find('[aria-label="Now"]'))).toMatch(
      /^Now ?Read the codes and note the complaint AB a Sule, 5 min/,
    );
    expect(wrapper.findAll('[aria-label="Then"] li').length).toBeGreaterThan(3);
    expect(read(wrapper.find('[aria-label="Then"] li'))).toMatch(/^\d\d:\d\d ?AB a ?find the fault/);
  });

  it('calls when a wait is over, aloud only where somebody asked for it', async () => {
    const knocks: string[] = [];
    class Knock {
      currentTime = 0;
      destination = {};
      createOscillator = () => ({
        frequency: {},
        connect: (to: object) => to,
        start: () => knocks.push('knock'),
        stop: () => 0,
        onended: null,
      });
      createGain = () => ({
        gain: { setValueAtTime: () => 0, exponentialRampToValueAtTime: () => 0 },
        connect: (to: object) => to,
      });
      close = () => Promise.resolve();
    }
    vi.stubGlobal('AudioContext', Knock);
    const wrapper = await show({ a: [timer('Body soaks', 5)] });
    // Begun at 8:02: it was over at 8:07.
    expect(read(wrapper.find('[aria-live]'))).toContain('AB a: Body soaks, time is up');
    expect(knocks).toEqual([]);
    await press(wrapper, 'No sound when a wait is over');
    expect(knocks).toEqual(['knock']);
    expect(read(wrapper)).toContain('A knock when a wait is over');
    vi.unstubAllGlobals();
  });

  it('says that hands are free', async () => {
    expect(read(await show({}))).toContain('Nothing is planned here. Hands are free.');
  });
});

describe('the steps of a bench', () => {
  const block = (jobId: string, stretch: string, from: string, personId = 'tomas') => ({
    jobId,
    stretch,
    kind: 'hands' as const,
    from,
    to: new Date(Date.parse(from) + 20 * 60_000).toISOString(),
    personId,
  });
  const lines = new Map([['a', bayLineOf('a')]]);
  function bayLineOf(id: string) {
    freshShop();
    return bayLine(id);
  }
  const steps = (blocks: object[], now = NOW) =>
    benchSteps('tomas', { blocks } as unknown as WovenDay, lines, () => ({ words: 'strip' }) as never, now);
  it('are exact only for what has begun and comes first on its vehicle', () => {
    const later = steps([block('a', 'strip', '2026-05-13T09:00:00.000Z')]);
    expect(later).toMatchObject([{ what: 'strip', minutes: 20 }]);
    const second = steps([block('a', 'x', NOW, 'isla'), block('a', 'strip', NOW)]);
    expect(second).toMatchObject([{ what: 'strip' }]);
    expect(steps([block('a', 'x', NOW)])).toMatchObject([
      { what: 'Read the codes and note the complaint', minutes: 5 },
    ]);
  });
  it('leave out what is of others, and vehicles that are gone', () => {
    expect(steps([block('a', 'x', NOW, 'isla'), block('gone', 'x', NOW)])).toEqual([]);
  });
});
