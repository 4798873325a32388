import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../core/job/index.ts';
import { open, pin, SAMPLES } from '../../core/job/testing/samples.ts';
import JobSheet from '../stages/JobSheet.vue';
import JobStart from '../stages/JobStart.vue';
import RouteLine from '../stages/RouteLine.vue';
import { useJob } from '../stores/job.ts';
import { useOutbox } from '../stores/outbox.ts';
import { useShop } from '../stores/shop.ts';
import { freshShop, press, read, refusal, serve, showJob, stubs } from '../testing.ts';
import { listenForKeys } from './keys.ts';
import KeysSheet from './KeysSheet.vue';
import NotTaken from './NotTaken.vue';
import RailNav from './RailNav.vue';

const { route, push, replace } = vi.hoisted(() => ({
  route: { name: 'strip', path: '/bay', params: { id: 'j' }, query: {}, meta: { stage: 'strip' } },
  push: vi.fn(),
  replace: vi.fn(),
}));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push, replace }),
  useRoute: () => route,
}));
vi.mock('../stores/liveJob.ts', () => ({ useLiveJob: () => undefined }));
const global = { stubs: { ...stubs, RouterView: { template: '<p>the stage</p>' }, HoldsDialog: true } };
const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
const key = (name: string): void => listenForKeys(new KeyboardEvent('keydown', { key: name }));

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  push.mockReset();
  replace.mockReset();
  route.path = '/bay';
  serve({});
});

describe('the sheet of a job', () => {
  it('shows who it is, the route and the tally, and goes along the stages by keys', () => {
    showJob([open, pin]);
    vi.spyOn(useJob(), 'load').mockResolvedValue();
    const wrapper = mount(JobSheet, { global });
    expect(read(wrapper)).toContain('AB 1');
    expect(read(wrapper)).toContain('the stage');
    expect(wrapper.find('[aria-label="Tally of this vehicle"]').exists()).toBe(true);
    key(']');
    // A second press may come before the first stage is on the screen.
    key(']');
    key('[');
    expect(push.mock.calls.map(([to]) => to as string)).toEqual([
      '/jobs/j/inspect',
      '/jobs/j/clean',
      '/jobs/j/inspect',
    ]);
    key('h');
    expect(push).toHaveBeenLastCalledWith('/jobs/j/hands/strip');
    wrapper.unmount();
  });
  it('says why a job cannot be shown, and tries again', async () => {
    let gone = true;
    serve({
      'GET /api/jobs/j?since=0': () =>
        gone ? refusal(404, 'There is no such job.') : { jobId: 'j', version: 0, events: [] },
    });
    const wrapper = mount(JobSheet, { global });
    await flushPromises();
    expect(wrapper.find('[role="alert"]').text()).toContain('There is no such job.');
    gone = false;
    await press(wrapper, 'Try again');
    await flushPromises();
    expect(wrapper.find('[role="alert"]').exists()).toBe(false);
    wrapper.unmount();
  });
  it('opens where the job stands', () => {
    showJob([open, of('pass-stage', { stage: 'complaint' })]);
    mount(JobStart);
    expect(replace).toHaveBeenCalledWith('/jobs/j/diagnose');
  });
});

describe('the route', () => {
  it('colours the line as far as every stage before is done, and marks the open one', () => {
    const { job } = showJob([open, of('pass-stage', { stage: 'complaint' }), of('pass-stage', { stage: 'decide' })]);
    const wrapper = mount(RouteLine, { props: { job: job(), open: 'strip' }, global });
    const stops = wrapper.findAll('li');
    const travelled = stops.map((stop) => stop.find('.bg-moss.h-0\\.5').exists());
    // Diagnose was passed over: the line goes as far as diagnose, though decide is done.
    expect(travelled.slice(0, 5)).toEqual([false, true, false, false, false]);
    // Complaint was left with codes unread, decide with nothing decided: hollow until it is made good.
    expect(read(stops[0]!)).toMatch(/Complaint, left with \d open/);
    expect(read(stops[2]!)).toContain('Decide, left with 1 open');
    const made = showJob([open, of('decide'), of('pass-stage', { stage: 'decide' })]).job();
    const after = mount(RouteLine, { props: { job: made, open: 'strip' }, global }).findAll('li');
    expect(read(after[2]!)).toContain('Decide, done');
    expect(read(stops[1]!)).not.toContain('done');
    expect(wrapper.find('[aria-current="step"]').text()).toBe('Strip');
  });
});

describe('the rail', () => {
  it.each([
    ['/jobs/j/strip', 'Bay'],
    ['/units/u', 'Vehicles'],
    ['/families/f', 'Vehicles'],
    ['/stock/s', 'Stock'],
    ['/tools/air', 'Tools'],
  ])('on %s stands at %s', (path, place) => {
    route.path = path;
    const wrapper = mount(RailNav, { global });
    expect(wrapper.findAll('[aria-current="page"]').map((each) => each.text())).toEqual([place]);
  });
  it('stands nowhere in the settings, and says who is at the bench', async () => {
    route.path = '/settings';
    const wrapper = mount(RailNav, { global });
    expect(wrapper.find('[aria-current="page"]').exists()).toBe(false);
    expect(read(wrapper)).toContain('Tomas Virk');
    await press(wrapper, 'Tomas Virk');
    await press(wrapper, 'Search');
    await press(wrapper, 'Keys');
    expect(wrapper.emitted()).toMatchObject({ person: [[]], search: [[]], keys: [[]] });
    useShop().personId = '';
    await wrapper.vm.$nextTick();
    expect(read(wrapper)).toContain('Who?');
  });
});

describe('what the person is told', () => {
  it('keys that work here, each once, as they are printed on a keyboard', () => {
    showJob([open, pin]);
    vi.spyOn(useJob(), 'load').mockResolvedValue();
    const sheet = mount(JobSheet, { global });
    const wrapper = mount(KeysSheet, { global });
    const shown = wrapper.findAll('dt').map((each) => each.text());
    expect(shown).toEqual(expect.arrayContaining(['[', ']', 'H', 'U', 'T']));
    expect(new Set(shown).size).toBe(shown.length);
    sheet.unmount();
  });
  it('what the server would not take, with what was typed, until it is read', async () => {
    const outbox = useOutbox();
    const note = {
      id: 'c',
      at: '2026-05-13T08:00:00.000Z',
      by: 'tomas',
      seen: 1,
      type: 'make-note',
      data: { id: '7c3a1c1e-0a4b-4c55-9e5e-1b1a2f3d4e5f', stage: 'strip', text: 'bracket bent' },
    };
    outbox.notTaken = [
      {
        order: 1,
        jobId: 'j',
        command: note as never,
        meant: 'Note: bracket bent',
        message: 'The job is handed over.',
        wouldHelp: 'Open it again.',
      },
    ];
    const wrapper = mount(NotTaken, { global });
    expect(read(wrapper)).toContain('Not taken: The job is handed over. Open it again.');
    expect(read(wrapper)).toMatch(/You had, \d\d:\d\d Note: bracket bent/);
    await press(wrapper, 'I have read it');
    expect(outbox.notTaken).toEqual([]);
  });

  it('what was not taken is changed where it stands and sent as it is then, as another command of the same time', async () => {
    const asked = serve({ 'POST /api/jobs/j/commands': { version: 2, events: [] } });
    const outbox = useOutbox();
    const command = {
      id: 'c',
      at: '2026-05-13T08:00:00.000Z',
      by: 'tomas',
      seen: 1,
      type: 'give-figure',
      data: { itemId: 'throttle-body', text: '90 Nm', source: null },
    } as never;
    const entry = { order: 1, jobId: 'j', command, meant: 'Figure given: 90 Nm', message: 'Out of band.' };
    outbox.notTaken = [{ ...entry, wouldHelp: '' }];
    const wrapper = mount(NotTaken, { global });
    await vi.waitFor(() => press(wrapper, 'Change it'));
    await flushPromises();
    const field = wrapper.get('input');
    expect([wrapper.get('label').text(), field.element.value]).toEqual(['Text', '90 Nm']);
    await field.setValue('9 Nm');
    await wrapper.get('form').trigger('submit');
    await vi.waitFor(() => expect([outbox.notTaken, outbox.count]).toEqual([[], 0]));
    const [sent] = asked.filter(({ method }) => method === 'POST');
    expect(sent?.body).toMatchObject({
      id: expect.not.stringMatching(/^c$/),
      at: '2026-05-13T08:00:00.000Z',
      data: { itemId: 'throttle-body', text: '9 Nm', source: null },
    });
  });
});
