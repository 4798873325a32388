import { computed, onScopeDispose, ref, shallowRef, triggerRef } from 'vue';
import type { RecordingNews } from '../../../contract/index.ts';
import type { Condition, When } from '../../../core/job/index.ts';
import { type PhaseKind, type Role, ROLES, type Trace } from '../../../core/trace/index.ts';
import { beginRecording, endRecording, hearRecording, stepRecording } from '../../data/recordings.ts';
import { useJob } from '../../stores/job.ts';

interface Lane {
  readonly times: number[];
  readonly values: number[];
}

/** How often what came is drawn, ms: a chart that is drawn at every word leaves no time for a tap. */
const DRAWN_MS = 250;

/** A recording as it comes: what was read until now, its phase, and how it is doing. */
export function useLiveRecording() {
  const store = useJob();
  const id = ref<string | null>(null);
  const news = shallowRef<RecordingNews | null>(null);
  const wrong = ref('');
  const busy = ref('');
  const lanes = new Map<Role, Lane>();
  const trace = shallowRef<Trace>({ channels: [], phases: [] });
  const marked = ref<{ kind: PhaseKind; from: number }[]>([]);
  let stop: (() => void) | null = null;
  let drawnAt = 0;

  const running = computed(() => id.value !== null);

  function hear(heard: RecordingNews): void {
    news.value = heard;
    for (const [role, values] of Object.entries(heard.values) as [Role, readonly (readonly [number, number])[]][]) {
      const lane = lanes.get(role) ?? { times: [], values: [] };
      lanes.set(role, lane);
      for (const [time, value] of values) {
        lane.times.push(time);
        lane.values.push(value);
      }
    }
    const now = performance.now();
    if (now - drawnAt >= DRAWN_MS || heard.state !== 'recording') {
      drawnAt = now;
      draw();
    }
    if (heard.state === 'lost') wrong.value = heard.problems.at(-1) ?? 'The connection is gone.';
  }
  function draw(): void {
    trace.value = {
      phases: [],
      channels: [...lanes].map(([role, { times, values }]) => ({
        id: role,
        role,
        name: ROLES[role].name,
        unit: ROLES[role].unit,
        times: Float64Array.from(times),
        values: Float64Array.from(values),
      })),
    };
    triggerRef(trace);
  }

  async function attempt<T>(words: string, work: () => Promise<T>): Promise<T | null> {
    busy.value = words;
    wrong.value = '';
    try {
      return await work();
    } catch (error) {
      wrong.value = error instanceof Error ? error.message : String(error);
      return null;
    } finally {
      busy.value = '';
    }
  }

  async function begin(link: string, jobId: string, when: When, under: Condition): Promise<void> {
    const begun = await attempt('Asking the vehicle what it has', () => beginRecording(link, jobId, when, under));
    if (begun === null) return;
    lanes.clear();
    marked.value = [];
    id.value = begun.id;
    stop = hearRecording(begun.id, hear, () => (wrong.value = 'The program is out of reach; what came is kept there.'));
  }
  const step = (what: Parameters<typeof stepRecording>[1]): Promise<unknown> =>
    id.value === null ? Promise.resolve() : attempt('', () => stepRecording(id.value ?? '', what));
  async function mark(kind: PhaseKind): Promise<void> {
    const next = news.value?.phase === kind ? null : kind;
    await step({ do: 'mark', phase: next });
    if (next !== null) marked.value = [...marked.value, { kind: next, from: news.value?.seconds ?? 0 }];
  }
  /** Ends it. @returns whether it was kept */
  async function end(keep: boolean): Promise<boolean> {
    const current = id.value;
    if (current === null) return false;
    const ended = await attempt(keep ? 'Keeping it' : '', () => endRecording(current, keep, store.job?.version ?? 0));
    if (ended === null) return false;
    if ('events' in ended) store.take(ended);
    stop?.();
    id.value = null;
    news.value = null;
    return keep;
  }
  onScopeDispose(() => stop?.());
  return { id, running, news, trace, marked, wrong, busy, begin, mark, end, step };
}
