import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { jobUnits, unitMethod } from '../../../core/job/index.ts';
import { play } from '../../../core/job/testing/play.ts';
import { open, SAMPLE_FAMILY, SAMPLES } from '../../../core/job/testing/samples.ts';
import { listenForKeys } from '../../shell/keys.ts';
import { useJob } from '../../stores/job.ts';
import { useKnowledge } from '../../stores/knowledge.ts';
import { field, freshShop, read, serve, showJob, stubs } from '../../testing.ts';
import CleanStage from './CleanStage.vue';
import { lookAt, passOver } from './passes.ts';

const { push } = vi.hoisted(() => ({ push: vi.fn() }));
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRouter: () => ({ push }) }));
const StageFrame = { template: '<div><slot /><aside><slot name="why" /></aside></div>' };
const global = { stubs: { ...stubs, StageFrame } };
const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
const air = {
  now: '2026-05-13T08:30:00.000Z',
  roomM3: 120,
  rates: { shut: 0.5, door: 4, fan: 8 },
  airings: [],
  releases: [],
};

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  push.mockReset();
});
async function stage(...bodies: CommandBody[]) {
  const asked = serve({ 'GET /api/stock': { rows: [] }, 'GET /api/air': air });
  useKnowledge().families = new Map([['twin', SAMPLE_FAMILY]]);
  const shown = showJob([open, ...bodies]);
  const store = useJob();
  store.confirmed = { ...shown.job(), vehicle: { ...shown.job().vehicle, familyId: 'twin' } };
  const wrapper = mount(CleanStage, { global });
  await flushPromises();
  return { ...shown, asked, wrapper, store };
}

describe('the clean stage', () => {
  it('has a lane for every unit, what to cover on each, and the way to the gloved screen', async () => {
    const { wrapper } = await stage();
    expect(wrapper.findAll('section[aria-label]').map((each) => each.attributes('aria-label'))).toEqual(
      expect.arrayContaining(['Throttle body', 'Idle air valve']),
    );
    expect(read(wrapper)).toContain('Cover first');
    listenForKeys(new KeyboardEvent('keydown', { key: 'h' }));
    expect(push).toHaveBeenCalledWith('/jobs/j/hands/clean');
    wrapper.unmount();
  });
  it('lists what waits besides, counts seized screws, and starts a timer', async () => {
    const { wrapper, sent } = await stage(of('note-seized'), of('try-rung'));
    expect(read(wrapper)).toContain('Seized screws: 1');
    expect(read(wrapper)).toMatch(/Waiting besides .*oil/i);
    await wrapper.find(field(wrapper, 'Minutes')).setValue('a while');
    await wrapper.find(field(wrapper, 'Timer for')).setValue('gasket in oil');
    const form = wrapper.findAll('form').find((each) => each.text().includes('Timer for'))!;
    await form.trigger('submit');
    expect(sent).toEqual([]);
    expect(form.find('[aria-invalid="true"]').exists()).toBe(true);
    await wrapper.find(field(wrapper, 'Minutes')).setValue('12,5');
    await form.trigger('submit');
    expect(sent[0]).toMatchObject({ type: 'start-timer', data: { label: 'gasket in oil', minutes: 12.5 } });
    wrapper.unmount();
  });
  it('asks for the air anew once a can is on disk, and not before', async () => {
    const { asked, store, wrapper } = await stage();
    const airs = () => asked.filter(({ path }) => path === '/api/air').length;
    const before = airs();
    store.confirmed = { ...store.confirmed!, version: store.confirmed!.version + 1 };
    await flushPromises();
    expect(airs()).toBe(before);
    store.confirmed = { ...store.confirmed!, cleaners: play([open, of('weigh-can')]).job!.cleaners };
    await flushPromises();
    expect(airs()).toBe(before + 1);
    wrapper.unmount();
  });
});

describe('a pass and a look', () => {
  const unit = () => {
    const { job } = showJob([open]);
    const [body, valve] = jobUnits(job(), SAMPLE_FAMILY);
    return { job: job(), body: body!, valve: valve!, method: unitMethod(job(), body!, {}) };
  };
  it('go by the method: what with, how, and the timer of a soak', () => {
    const { body, method } = unit();
    const plan = method.passes.find(({ kind }) => kind === 'soak')!;
    expect(passOver(body, method, 'soak')).toMatchObject({
      unit: 'throttle-body',
      kind: 'soak',
      soak: { label: 'Throttle body soaks', minutes: plan.minutes },
    });
    const wet = method.passes.find(({ kind }) => kind === 'wet')!;
    expect(passOver(body, method, 'wet')).toMatchObject({ substance: wet.substance, how: wet.how });
    expect(passOver(body, method, 'wet', { substance: 'isopropyl' })).toMatchObject({
      substance: 'isopropyl',
      how: wet.how,
    });
    // Covering needs nothing, whatever was picked.
    expect(passOver(body, method, 'protect', { substance: 'isopropyl', how: 'spray' })).not.toHaveProperty('substance');
    expect(passOver(body, method, 'wet')).not.toHaveProperty('soak');
  });
  it('are judged where the unit is dirty: at the edge of a plate, in the port of a valve', () => {
    const { job, body, valve } = unit();
    expect(lookAt(job, body, 2)).toMatchObject({ point: 'deposit-edge', when: 'after', marks: [2] });
    expect(lookAt(job, valve, 0)).toMatchObject({ point: 'valve-deposit', marks: [0] });
  });
});
