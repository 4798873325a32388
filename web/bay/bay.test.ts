import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { BayLine } from '../../contract/index.ts';
import type { CommandBody } from '../../core/job/index.ts';
import { off, pin } from '../../core/job/testing/samples.ts';
import { bayLine, dayReply, FakeStream, freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import BayView from './BayView.vue';

const timer = (label: string, minutes: number): CommandBody => ({
  type: 'start-timer',
  data: { id: label, label, minutes, kind: 'soak' },
});
/** The Bay as the server answers. */
const bay = (jobs: Readonly<Record<string, { bodies: CommandBody[]; line?: Partial<BayLine> }>>) =>
  serve({
    'GET /api/reminders?dueBy=2026-05-13&limit=6': { rows: [], next: null },
    'GET /api/day': () => dayReply({}),
    'GET /api/bay': {
      now: '2026-05-13T09:00:00.000Z',
      lines: Object.entries(jobs).map(([id, { bodies, line }]) => ({ ...bayLine(id, ...bodies), ...line })),
    },
  });
async function show() {
  const wrapper = mount(BayView, { global: { stubs } });
  await flushPromises();
  return wrapper;
}

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  vi.useFakeTimers({ now: new Date('2026-05-13T08:12:00.000Z'), toFake: ['Date'] });
});
afterEach(() => void vi.useRealTimers());

describe('the Bay', () => {
  it('says what fits into the wait that ends first, and shows every wait at its foot', async () => {
    bay({
      a: { bodies: [timer('Throttle body soaks', 30)] },
      b: { bodies: [timer('Screws oiled', 600)] },
      c: { bodies: [] },
    });
    const wrapper = await show();
    // Both were begun at 8:02.
    expect(read(wrapper)).toContain('In the next 20 min');
    expect(read(wrapper)).toContain('until on AB a: throttle body soaks');
    const foot = read(wrapper.find('[aria-label="Tally of the Bay"]'));
    expect(foot).toMatch(/20:00 ?throttle body soaks, AB a/);
    expect(foot).toMatch(/9:50:00 ?screws oiled|9:50 h ?screws oiled/);
    // A vehicle that waits has no task; the third has.
    expect(wrapper.findAll('aside ul li')).toHaveLength(1);
    expect(read(wrapper.find('aside ul li'))).toContain('Read the codes and note the complaint');
  });
  it('draws each stretch where it lies on the day, by kind', async () => {
    const at = (time: string) => `2026-05-13T${time}:00.000Z`;
    bay({
      a: {
        bodies: [],
        line: {
          stretches: [
            { kind: 'hands-on', from: at('08:00'), to: at('12:30'), words: '' },
            { kind: 'wait', from: at('12:30'), to: at('17:00'), words: '' },
          ],
        },
      },
    });
    vi.setSystemTime(new Date('2026-05-13T12:00:00Z'));
    const wrapper = await show();
    const [hands, wait] = wrapper.findAll('li span.absolute[style*="width"]');
    expect(hands!.attributes('style')).toMatch(/left: 0%; width: 50%/);
    expect(hands!.classes()).toContain('bg-bottle');
    expect(wait!.attributes('style')).toMatch(/left: 50%; width: 50%/);
    expect(wait!.classes()).toContain('hatched');
  });
  it('sets apart what rests, until its day has come', async () => {
    const aside = (until: string | null): CommandBody => ({ type: 'put-aside', data: { until, why: 'seal on order' } });
    bay({
      a: { bodies: [aside('2026-05-20')] },
      b: { bodies: [aside('2026-05-13')] },
      c: { bodies: [] },
    });
    const wrapper = await show();
    expect(read(wrapper.find('[aria-label="Put aside"]'))).toMatch(/AB a.*until .*20 May.*: ?seal on order/);
    expect(wrapper.findAll('[aria-label="Put aside"] li')).toHaveLength(1);
    expect(read(wrapper)).toContain('two vehicles in');
    bay({ a: { bodies: [aside(null)] } });
    freshShop();
    expect(read(await show())).not.toContain('No vehicle is in');
  });
  it('counts what is off and held over all vehicles', async () => {
    bay({
      a: {
        bodies: [pin, off('plug'), off('cover'), off('bolts'), off('body')],
      },
      b: { bodies: [pin, off('plug')] },
    });
    const foot = read((await show()).find('[aria-label="Tally of the Bay"]'));
    expect(foot).toMatch(/5 ?items off, two vehicles/);
    expect(foot).toMatch(/[12] ?engines? held/);
  });
  it('warns of stripping what waits for a part', async () => {
    bay({
      a: { bodies: [pin, { type: 'tick-need', data: { needId: 'need', state: 'ordered', expected: '2026-05-15' } }] },
    });
    expect(read(await show())).toMatch(
      /Do not strip AB a today: its gasket is expected .*, and until then it can drive\./,
    );
  });
  it('teaches what to do while it is empty, and tries again when it failed', async () => {
    const asked = bay({});
    const wrapper = await show();
    expect(read(wrapper)).toContain('No vehicle is in.');
    serve({ 'GET /api/bay': refusal(503, 'Another program holds the store.') });
    const failed = await show();
    expect(failed.find('[role="alert"]').text()).toContain('Another program holds the store.');
    bay({ a: { bodies: [] } });
    await press(failed, 'Try again');
    await flushPromises();
    expect(failed.find('[role="alert"]').exists()).toBe(false);
    expect(failed.findAll('[aria-label="Vehicles"] li')).toHaveLength(1);
    expect(asked.some(({ path }) => path === '/api/bay')).toBe(true);
  });
  it('follows a job that changes, comes or goes, and asks for that one alone', async () => {
    FakeStream.all.length = 0;
    vi.stubGlobal('EventSource', FakeStream);
    bay({ a: { bodies: [] }, b: { bodies: [] } });
    const wrapper = await show();
    const asked = serve({
      'GET /api/bay?job=a': { now: '', lines: [bayLine('a', pin, off('cover'))] },
      'GET /api/bay?job=b': { now: '', lines: [] },
    });
    FakeStream.say({ kind: 'job', id: 'a', version: 3 });
    FakeStream.say({ kind: 'job', id: 'b', version: 9 });
    FakeStream.say({ kind: 'rows', list: 'stock' });
    const ofBay = () => asked.map(({ path }) => path).filter((path) => path.startsWith('/api/bay'));
    await vi.waitFor(() => expect(ofBay()).toHaveLength(2));
    await flushPromises();
    expect(ofBay()).toEqual(['/api/bay?job=a', '/api/bay?job=b']);
    expect(wrapper.findAll('[aria-label="Vehicles"] li')).toHaveLength(1);
    expect(read(wrapper.find('[aria-label="Tally of the Bay"]'))).toMatch(/1 ?items off, one vehicle/);
    wrapper.unmount();
    vi.unstubAllGlobals();
  });
});
