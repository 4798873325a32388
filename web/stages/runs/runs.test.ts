import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { open } from '../../../core/job/testing/samples.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { recipeOf, step } from '../../../core/relearn/index.ts';
import { useKnowledge } from '../../stores/knowledge.ts';
import { useShop } from '../../stores/shop.ts';
import { field, freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import RelearnStage from './RelearnStage.vue';
import RunHands from './RunHands.vue';
import RunPanel from './RunPanel.vue';

const push = vi.fn();
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push }),
  useRoute: () => ({ params: { id: 'j', purpose: 'relearn' }, query: {} }),
}));
vi.mock('../../stores/liveJob.ts', () => ({ useLiveJob: () => undefined }));

const StageFrame = { template: '<div><slot /><aside><slot name="why" /></aside></div>' };
const global = { stubs: { ...stubs, StageFrame } };
const tool = recipeOf({
  id: 'tool',
  name: 'Ours by tool',
  steps: [
    step({
      id: 'tool',
      kind: 'tool',
      title: 'Start the routine',
      how: '',
      asks: 'what it said',
      answers: [
        { words: 'It took', goTo: 'drive' },
        { words: 'It broke off', goTo: 'failed' },
      ],
      instead: [{ words: 'No tool here', goTo: 'drive' }],
    }),
    step({
      id: 'drive',
      kind: 'drive',
      title: 'Drive steadily',
      how: 'Gently.',
      seconds: 60,
      conditions: [{ kind: 'reading', name: 'speed', low: 25, high: 40, unit: 'mph', words: '' }],
      pausedBy: ['fan-running'],
    }),
  ],
});
const LINK = { id: 'sim', name: 'post van', vehicleId: 'v', vin: '' };
const values = (kmh: number) => ({
  vin: '',
  values: [{ pid: 0x0d, name: 'Vehicle speed', value: kmh, unit: 'km/h' }],
  problems: [],
  gone: false,
});

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  push.mockReset();
  useShop().recipes = [tool];
  serve({
    'GET /api/adapter': { rows: [LINK] },
    'POST /api/adapter/read': values(50),
    // Out of reach: what is entered waits in the outbox and shows.
    'POST /api/jobs/j/commands': () => {
      throw new TypeError('out of reach');
    },
  });
  useKnowledge().versions = new Map([[1, SHIPPED_KNOWLEDGE]]);
});
function show(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const wrapper = mount(RunPanel, { props: { job: shown.job(), purpose: 'relearn' }, global });
  const again = async () => {
    await wrapper.setProps({ job: shown.job() });
    await flushPromises();
  };
  return { ...shown, wrapper, again, run: () => shown.job().runs[0]! };
}
const start = async (shown: ReturnType<typeof show>) => {
  const row = shown.wrapper.findAll('li').find((each) => each.text().includes('Ours by tool'))!;
  await row.find('button').trigger('click');
  await shown.again();
};

describe('the coach of a run', () => {
  it('asks for the text and which it was, beside the field, and keeps what was typed', async () => {
    const shown = show();
    await start(shown);
    expect(read(shown.wrapper)).toContain('step 1 of 2');
    await press(shown.wrapper, 'It took');
    expect(read(shown.wrapper)).toContain('Type what it said.');
    await shown.wrapper.find(field(shown.wrapper, 'Type what it said')).setValue('done 0x12');
    await press(shown.wrapper, 'It took');
    await shown.again();
    expect(shown.run().run).toMatchObject({ at: 1, texts: [{ step: 'tool', text: 'done 0x12' }] });
    expect(read(shown.wrapper)).toContain('Needs: road speed 25 to 40 mph.');
  });
  it('takes a reading in the unit of the recipe, and says what stands still', async () => {
    const shown = show();
    await start(shown);
    await press(shown.wrapper, 'No tool here');
    await shown.again();
    await shown.wrapper.find(field(shown.wrapper, 'Road speed, mph')).setValue('30');
    await shown.wrapper.find('form').trigger('submit');
    await shown.again();
    expect(shown.run().run.readings.speed).toBeCloseTo(48.28, 2);
    expect(read(shown.wrapper)).toContain('counting');
    await press(shown.wrapper, 'Radiator fan runs');
    await shown.again();
    expect(read(shown.wrapper)).toContain('stands still: radiator fan runs');
  });
  it('enters what the adapter reads, and not again while it says the same', async () => {
    vi.useFakeTimers();
    const shown = show();
    await start(shown);
    await press(shown.wrapper, 'No tool here');
    await shown.again();
    await press(shown.wrapper, 'Read from the adapter');
    await vi.advanceTimersByTimeAsync(100);
    await shown.again();
    expect(shown.run().run.readings.speed).toBe(50);
    await vi.advanceTimersByTimeAsync(9_500);
    const readings = shown.sent.filter(({ data }) => (data as { input?: { kind: string } }).input?.kind === 'reading');
    expect(readings).toHaveLength(1);
    await press(shown.wrapper, 'Stop reading');
    vi.useRealTimers();
  });
  it('leaves a step out with why, and asks why it is closed before its end', async () => {
    const shown = show();
    await start(shown);
    await press(shown.wrapper, 'Leave this step out');
    await press(shown.wrapper, 'Leave it out: It took');
    expect(read(shown.wrapper)).toContain('Say why this step is left out.');
    await shown.wrapper.find(field(shown.wrapper, 'Why it is left out')).setValue('done yesterday');
    await press(shown.wrapper, 'Leave it out: It took');
    await shown.again();
    expect(shown.run().run.leftOut).toEqual([{ step: 'tool', why: 'done yesterday' }]);
    const close = shown.wrapper.findAll('button').filter((each) => each.text() === 'It took');
    await close.at(-1)!.trigger('click');
    expect(read(shown.wrapper)).toContain('It took with a step still ahead. Say how you know.');
    await shown.wrapper.find(field(shown.wrapper, 'Why it is closed here')).setValue('lamp is off');
    await shown.wrapper
      .findAll('button')
      .filter((each) => each.text() === 'It took')
      .at(-1)!
      .trigger('click');
    await shown.again();
    expect(read(shown.wrapper)).toContain('left out: Start the routine, done yesterday');
    expect(read(shown.wrapper)).toContain('not come to: Drive steadily');
    expect(read(shown.wrapper)).toContain('Try again');
  });
  it('records that none is needed with its reason, in one entry', async () => {
    const shown = show();
    const row = () => shown.wrapper.findAll('li').find((each) => each.text().startsWith('None needed'))!;
    await row().find('button').trigger('click');
    await row().find('form').trigger('submit');
    expect(read(shown.wrapper)).toContain('Say why none is needed.');
    await shown.wrapper.find(field(shown.wrapper, 'Why none is needed')).setValue('nothing was unplugged');
    await row().find('form').trigger('submit');
    await shown.again();
    expect(shown.run().closed).toMatchObject({ outcome: 'not needed', why: 'nothing was unplugged' });
    expect(shown.sent.map(({ type }) => type)).toEqual(['start-run']);
  });
});

describe('relearn in gloves', () => {
  it('shows the step large, goes on by Done and back by Undo', async () => {
    const shown = showJob([open, { type: 'start-run', data: { id: 'r', recipeId: 'timed-idle' } } as CommandBody]);
    const wrapper = mount(RunHands, { global });
    await flushPromises();
    expect(read(wrapper)).toContain('Key on, engine off');
    await press(wrapper, 'Done');
    expect(shown.job().runs[0]!.run.at).toBe(1);
    expect(read(wrapper)).toContain('Wait until the main relay drops.');
    await press(wrapper, 'Undo');
    expect(shown.job().runs[0]!.run.at).toBe(0);
    await press(wrapper, 'Back to the sheet');
    expect(push).toHaveBeenCalledWith('/jobs/j/relearn');
  });
});

describe('a relearn that did not take', () => {
  it('leads to the likeliest reasons, none of which a relearn cures', async () => {
    showJob([
      open,
      { type: 'start-run', data: { id: 'r', recipeId: 'drive' } } as CommandBody,
      { type: 'close-run', data: { runId: 'r', outcome: 'did not take', why: 'idle stayed high' } } as CommandBody,
    ]);
    const wrapper = mount(RelearnStage, { global });
    const words = read(wrapper);
    expect(words).toContain('It did not take: likeliest why');
    expect(wrapper.findAll('aside ol li').length).toBe(4);
    expect(words).not.toContain('Not learned');
  });
});
