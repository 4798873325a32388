import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import type { RecordingNews } from '../../../contract/index.ts';
import type { Condition, When } from '../../../core/job/index.ts';
import { Lanes, type PhaseKind, type Role, type Trace } from '../../../core/trace/index.ts';
import { beginRecording, endRecording, hearRecording, stepRecording } from '../../data/recordings.ts';
import { useJob } from '../../stores/job.ts';

/** How often what came is drawn, ms: a chart that is drawn at every word leaves no time for a tap. */
const DRAWN_MS = 250;

/** A recording as it comes: what was read until now, its phase, and how it is doing. */
export function useLiveRecording() {
  const store = useJob();
  const id = ref<string | null>(null);
  const news = shallowRef<RecordingNews | null>(null);
  const wrong = ref('');
  const busy = ref('');
  let lanes = new Lanes();
  /** When each value came last: what was heard before a gap in the line is told again. */
  const lastOf = new Map<Role, number>();
  const trace = shallowRef<Trace>({ channels: [], phases: [] });
  const marked = ref<{ kind: PhaseKind; from: number }[]>([]);
  let stop: (() => void) | null = null;
  let drawnAt = 0;

  const running = computed(() => id.value !== null);

  function hear(heard: RecordingNews): void {
    news.value = heard;
    for (const [role, values] of Object.entries(heard.values) as [Role, readonly (readonly [number, number])[]][]) {
      for (const [time, value] of values) {
        if (time <= (lastOf.get(role) ?? -1)) continue;
        lastOf.set(role, time);
        lanes.add(time, [[role, value]]);
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
    trace.value = { phases: [], channels: lanes.channels() };
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
    lanes = new Lanes();
    lastOf.clear();
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
    const ended = await attempt(keep ? 'Keeping it' : '', () => endRecording(current, keep));
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
