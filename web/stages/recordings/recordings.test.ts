import { flushPromises, mount } from '@vue/test-utils';
import { nextTick } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RecordingNews } from '../../../contract/index.ts';
import type { CommandBody } from '../../../core/job/index.ts';
import { open } from '../../../core/job/testing/samples.ts';
import { swinging } from '../../../core/job/recordings/samples.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { pack, type Trace } from '../../../core/trace/index.ts';
import type { TracingAnswer, TracingTask } from '../../workers/tracingProtocol.ts';
import { freshShop, press, read, showJob, stubs } from '../../testing.ts';
import CsvImport from './CsvImport.vue';
import { bracketsOf, differenceWords, phaseSentence, phaseWord, unlikeWords } from './liveWords.ts';
import LiveCompare from './LiveCompare.vue';
import { offerOf } from './offers.ts';
import RecordingFindings from './RecordingFindings.vue';
import RecordingPanel from './RecordingPanel.vue';

const global = {
  stubs: {
    ...stubs,
    TraceChart: {
      props: ['laid'],
      template: '<div class="chart">{{ laid[0]?.trace.channels[0]?.times.length }}</div>',
    },
    PutRight: true,
    StruckLines: true,
  },
};
const recording = (when: 'before' | 'after', figures: typeof swinging.figures, more: object = {}): CommandBody => ({
  type: 'keep-recording',
  data: { ...swinging, id: `rec-${when}`, hash: (when === 'before' ? 'b' : 'a').repeat(64), when, figures, ...more },
});
const figure = (kind: (typeof swinging.figures)[number]['kind'], value: number) => ({
  kind,
  value,
  sd: null,
  from: 0,
  to: 60,
});

/** A worker that runs in this thread. */
class FakeWorker {
  static last: FakeWorker | null = null;
  readonly tasks: TracingTask[] = [];
  #hear: (event: { data: TracingAnswer }) => void = () => undefined;
  constructor() {
    FakeWorker.last = this;
  }
  addEventListener(_: string, hear: (event: { data: TracingAnswer }) => void): void {
    this.#hear = hear;
  }
  postMessage(task: TracingTask): void {
    this.tasks.push(task);
  }
  answer(data: TracingAnswer): void {
    this.#hear({ data });
  }
  terminate(): void {}
}
class FakeSource {
  static last: FakeSource | null = null;
  static readonly CLOSED = 2;
  readyState = 0;
  #hear: (event: { data: string }) => void = () => undefined;
  constructor() {
    FakeSource.last = this;
  }
  addEventListener(kind: string, hear: (event: { data: string }) => void): void {
    if (kind === 'message') this.#hear = hear;
  }
  tell(news: RecordingNews): void {
    this.#hear({ data: JSON.stringify(news) });
  }
  close(): void {}
}
const sentTo: { path: string; body: unknown }[] = [];
let replies: Record<string, unknown> = {};
beforeEach(() => {
  freshShop();
  sentTo.length = 0;
  replies = {
    'GET /api/adapter': { rows: [{ id: 'sim.bus', name: 'Simulated: bus', vehicleId: 'v', vin: '' }], next: null },
  };
  vi.stubGlobal('Worker', FakeWorker);
  vi.stubGlobal('EventSource', FakeSource);
  vi.stubGlobal('fetch', (path: string, init: { method?: string; body?: string } = {}) => {
    const key = `${init.method ?? 'GET'} ${path}`;
    sentTo.push({ path: key, body: typeof init.body === 'string' ? JSON.parse(init.body) : null });
    if (path.startsWith('/api/recordings/'))
      return Promise.resolve(new Response(pack(TRACE) as Uint8Array<ArrayBuffer>));
    return Promise.resolve(
      new Response(JSON.stringify(replies[key] ?? {}), { headers: { 'content-type': 'application/json' } }),
    );
  });
});
afterEach(() => vi.unstubAllGlobals());

const TRACE: Trace = {
  phases: [],
  channels: [
    {
      id: 'rpm',
      role: 'rpm',
      name: 'Engine speed',
      unit: 'rpm',
      times: Float64Array.from({ length: 600 }, (_, at) => at / 10),
      values: Float64Array.from({ length: 600 }, () => 830),
    },
  ],
};

describe('recording on the screen', () => {
  const news = (more: Partial<RecordingNews> = {}): RecordingNews => ({
    state: 'recording',
    seconds: 12,
    readings: 40,
    values: { rpm: [[0, 800], [1, 810]] },
    phase: null,
    problems: [],
    ...more,
  }); // prettier-ignore
  async function begun() {
    replies['POST /api/adapter/recordings'] = { id: 'r1' };
    const shown = showJob([open]);
    const wrapper = mount(RecordingPanel, {
      props: { job: shown.job(), when: 'before', under: { state: 'warm' } },
      global,
    });
    await flushPromises();
    await press(wrapper, 'Record live data before the work');
    await flushPromises();
    return { ...shown, wrapper };
  }
  it('asks the vehicle, draws what comes, marks a phase and has a simulated vehicle do it', async () => {
    const { wrapper } = await begun();
    expect(sentTo.find(({ path }) => path === 'POST /api/adapter/recordings')?.body).toMatchObject({
      link: 'sim.bus',
      when: 'before',
      state: 'warm',
    });
    FakeSource.last!.tell(news());
    await nextTick();
    expect(read(wrapper)).toContain('40 readings');
    expect(wrapper.find('.chart').exists()).toBe(true);
    // After a gap in the line all of it is told again, and drawn once.
    FakeSource.last!.tell(news({ state: 'paused' }));
    await nextTick();
    expect(wrapper.get('.chart').text()).toBe('2');
    FakeSource.last!.tell(news());
    await nextTick();
    await press(wrapper, 'blip');
    await flushPromises();
    expect(sentTo.map(({ path, body }) => [path, body]).slice(-2)).toEqual([
      ['POST /api/adapter/recordings/act', { link: 'sim.bus', deed: 'blip' }],
      ['POST /api/adapter/recordings/r1/steps', { do: 'mark', phase: 'blip' }],
    ]);
    FakeSource.last!.tell(news({ phase: 'blip' }));
    await nextTick();
    expect(read(wrapper)).toContain('One short blip');
    await press(wrapper, 'Pause');
    FakeSource.last!.tell(news({ state: 'paused' }));
    await nextTick();
    expect(read(wrapper)).toContain('Paused');
  });
  it('keeps what came when the connection goes, or throws it away', async () => {
    const { wrapper } = await begun();
    FakeSource.last!.tell(news({ state: 'lost', problems: ['The adapter is gone.'] }));
    await nextTick();
    expect(read(wrapper)).toContain('Connection lost');
    expect(read(wrapper)).toContain('The adapter is gone.');
    replies['POST /api/adapter/recordings/r1/end'] = { kept: false };
    await press(wrapper, 'Keep what came');
    await flushPromises();
    expect(sentTo.at(-1)).toMatchObject({ path: 'POST /api/adapter/recordings/r1/end', body: { keep: true } });
    expect(read(wrapper)).toContain('Record live data before the work');
  });
});

describe('what recordings show', () => {
  it('is said figure by figure with its meaning, and offered to the diagnosis', async () => {
    const shown = showJob([
      open,
      recording(
        'before',
        [figure('swing', 140), figure('idle', 900), figure('trim-idle', 18), figure('trim-held', 3)],
        { odd: ['Supply 12.4 V with the engine running'] },
      ),
    ]);
    const wrapper = mount(RecordingFindings, { props: { job: shown.job(), when: 'before' }, global });
    expect(read(wrapper)).toContain('±140 rpm');
    expect(read(wrapper)).toContain('The idle hunts');
    expect(read(wrapper)).toContain('Supply 12.4 V with the engine running.');
    expect(wrapper.get('a[download]').attributes('href')).toBe(`/api/recordings/${'b'.repeat(64)}/csv`);
    const offer = (kind: Parameters<typeof offerOf>[2]) =>
      offerOf(shown.job(), SHIPPED_KNOWLEDGE, kind, shown.job().recordings[0]!.figures);
    expect(offer('idle')).toEqual({ how: 'check', sign: 'idle-speed', typed: ['900'] });
    expect(offer('trim-idle')).toEqual({ how: 'check', sign: 'trims', typed: ['18.0', '3.0'] });
    // Slow to settle is not said of an idle that hunts, nor of one that never came back.
    const settles = (value: number, more: object, swing: number) =>
      offerOf(shown.job(), SHIPPED_KNOWLEDGE, 'settle', [
        { ...figure('settle', value), ...more },
        figure('swing', swing),
      ]);
    expect(settles(6, {}, 0)).toEqual({ how: 'answer', sign: 'hangs', outcome: 'yes' });
    expect(settles(6, {}, 90)).toBeNull();
    expect(settles(12, { atLeast: true }, 0)).toBeNull();
    // Hunting was told already: nothing new to say.
    expect(offer('swing')).toBeNull();
    expect(offerOf(shown.job(), null, 'idle', shown.job().recordings[0]!.figures)).toBeNull();
  });
  it('is laid before under after, phase by phase, with what changed', async () => {
    const phases = [{ kind: 'warm-idle', from: 0, to: 59 }];
    const shown = showJob([
      open,
      recording('before', [figure('swing', 140), figure('swing-period', 2.6)], { phases }),
      recording('after', [figure('swing', 0)], { phases }),
    ]);
    const wrapper = mount(LiveCompare, { props: { job: shown.job() }, global });
    await flushPromises();
    const worker = FakeWorker.last!;
    for (const task of worker.tasks)
      if (task.kind === 'open') worker.answer({ kind: 'opened', id: task.id, trace: TRACE });
    await flushPromises();
    expect(read(wrapper)).toContain('It no longer hunts');
    expect(wrapper.findAll('[role="tab"]').map((tab) => tab.text().replace(/\s+/g, ' '))).toEqual(['warm idle better']);
    const asked = worker.tasks.find(({ kind }) => kind === 'compare') as Extract<TracingTask, { kind: 'compare' }>;
    expect(asked).toMatchObject({ beforeSpan: { from: 0, to: 59 }, swingS: 2.6 });
    worker.answer({
      kind: 'compared',
      id: asked.id,
      unlike: [],
      differences: [{ role: 'rpm', difference: { shift: -30, low: -41, high: -19, shown: true } }],
    });
    await flushPromises();
    expect(read(wrapper)).toContain('Engine speed: −30 rpm (−41 to −19)');
    expect(phaseWord(shown.job(), 'warm-idle')).toBe('better');
    expect(phaseSentence(shown.job(), 'blip')).toBe('');
  });
  it('points at drop-outs of a sweep', () => {
    const times = Float64Array.from({ length: 120 }, (_, at) => at / 10);
    const pedal = times.map((time) => 15 + 70 * (time < 6 ? time / 6 : (12 - time) / 6));
    const plate = pedal.map(
      (value, at) => Math.round((12 + 0.9 * (value - 15) - (at === 40 || at === 41 ? 8 : 0)) * 2.55) / 2.55,
    );
    const channel = (id: 'plate' | 'pedal', values: Float64Array) => ({
      id,
      role: id,
      name: id,
      unit: '%',
      times,
      values,
    });
    const kept = { ...swinging, at: '', by: '' };
    const trace: Trace = {
      channels: [channel('plate', plate), channel('pedal', pedal)],
      phases: [{ kind: 'sweep', from: 0, to: 12 }],
    };
    const [found, ...others] = bracketsOf({ kept, trace }, 'sweep', 0);
    expect(others).toEqual([]);
    expect(found!.from).toBeCloseTo(3.85, 2);
    expect(found!.words).toMatch(/^drop-out −[78](\.\d)? %, before$/);
  });
  it('says when no difference can be shown, and when conditions were not alike', () => {
    expect(differenceWords('Engine speed', 'rpm', { shift: 2, low: -6, high: 9, shown: false })).toBe(
      'Engine speed: no difference that this recording can show (within ±9 rpm)',
    );
    expect(differenceWords('Duty', '%', null)).toBe('Duty: too short to say');
    expect(unlikeWords({ what: 'coolant', before: 40, after: 88, unit: '°C' })).toBe(
      'coolant 40 °C before, 88 °C after',
    );
  });
});

describe('live data from a file', () => {
  const layout = {
    separator: ';', decimal: ',', skip: 1, shape: 'wide', time: { column: 0, form: 'seconds' }, long: null, vin: 'XCW14EB28LT001180',
    columns: [{ column: 1, name: 'Drehzahl', unit: 'rpm', role: 'rpm', scale: 1, offset: 0 }], first: [['0', '800'], ['1', '810']],
  } as const; // prettier-ignore
  async function picked() {
    const shown = showJob([open]);
    const wrapper = mount(CsvImport, { props: { job: shown.job(), when: 'before', under: {} }, global });
    const input = wrapper.get('input[type="file"]');
    const file = new File(['t;n\n0;800\n'], 'idle.csv');
    Object.defineProperty(input.element, 'files', { value: [file], configurable: true });
    await input.trigger('change');
    await flushPromises();
    return { ...shown, wrapper, worker: FakeWorker.last! };
  }
  it('shows what was understood before it is taken, with how far it is, and keeps it', async () => {
    const { wrapper, worker, sent } = await picked();
    worker.answer({ kind: 'looked', id: worker.tasks[0]!.id, layout, lines: 2 });
    await flushPromises();
    expect(read(wrapper)).toContain('parted by semicolon, decimals with comma, one row a moment, time in seconds');
    expect(read(wrapper)).toContain('Drehzahl Engine speed rpm 800 · 810');
    replies['POST /api/recordings'] = { hash: 'c'.repeat(64), bytes: 10 };
    await press(wrapper, 'Take it, before the work');
    await flushPromises();
    const { id } = worker.tasks.at(-1)!;
    worker.answer({ kind: 'progress', id, share: 0.4 });
    await nextTick();
    expect(read(wrapper)).toContain('40 %');
    worker.answer({
      kind: 'read',
      id,
      trace: TRACE,
      packed: pack(TRACE),
      readings: 600,
      problems: [{ line: 3, words: 'no time' }],
      problemCount: 1,
    });
    await flushPromises();
    expect(sent.at(-1)).toMatchObject({
      type: 'keep-recording',
      data: { when: 'before', from: 'idle.csv', ended: 'file', hash: 'c'.repeat(64) },
    });
    expect(read(wrapper)).toContain('600 readings of 1 values were read.');
    expect(read(wrapper)).toContain('line 3: no time');
  });
  it('says why a file cannot be read, and can be stopped', async () => {
    const { wrapper, worker } = await picked();
    worker.answer({ kind: 'refused', id: worker.tasks[0]!.id, message: 'No column of times.' });
    await flushPromises();
    expect(read(wrapper)).toContain('idle.csv: No column of times.');
    const again = await picked();
    again.worker.answer({ kind: 'looked', id: again.worker.tasks[0]!.id, layout, lines: 2 });
    await flushPromises();
    await press(again.wrapper, 'Take it, before the work');
    await flushPromises();
    await press(again.wrapper, 'Stop');
    expect(again.worker.tasks.at(-1)).toMatchObject({ kind: 'cancel' });
  });
});
