import { markRaw, onScopeDispose, ref, shallowRef, watch } from 'vue';
import type { Job, RecordingKept } from '../../../core/job/index.ts';
import type { Trace } from '../../../core/trace/index.ts';
import { recordingBytes } from '../../data/recordings.ts';
import type { Span, TracingAnswer } from '../../workers/tracingProtocol.ts';
import { useTracing } from '../../workers/useTracing.ts';

/** A recording of the job with its readings. */
export interface OpenedRecording {
  readonly kept: RecordingKept;
  readonly trace: Trace;
}

/** What changed between two recordings. */
export type Compared = Extract<TracingAnswer, { kind: 'compared' }>;

/** The recordings that a job is proved by, opened in a worker: the last before the work and the last after it. */
export function useRecordings(job: () => Job | null) {
  const tracing = useTracing();
  const opened = shallowRef<ReadonlyMap<string, OpenedRecording>>(new Map());
  const wrong = ref('');
  let over = false;
  onScopeDispose(() => (over = true));

  async function open(kept: RecordingKept): Promise<void> {
    if (opened.value.has(kept.id)) return;
    try {
      const bytes = await recordingBytes(kept.hash);
      const answer = await tracing.ask('opened', { kind: 'open', hash: kept.hash, bytes }).answer;
      if (answer === null || over) return;
      // Phases that were found are kept with the fact, not in the file.
      const trace = markRaw({ ...answer.trace, phases: kept.phases });
      opened.value = new Map([...opened.value, [kept.id, { kept, trace }]]);
    } catch (error) {
      wrong.value = error instanceof Error ? error.message : String(error);
    }
  }
  /** The last recording before or after, opened; null until it is, or where there is none. */
  const lastOf = (when: 'before' | 'after'): OpenedRecording | null => {
    const kept = job()
      ?.recordings.filter((each) => each.when === when)
      .at(-1);
    return kept === undefined ? null : (opened.value.get(kept.id) ?? null);
  };
  watch(
    () =>
      job()
        ?.recordings.map(({ id }) => id)
        .join(' ') ?? '',
    () => {
      for (const when of ['before', 'after'] as const) {
        const last = job()
          ?.recordings.filter((each) => each.when === when)
          .at(-1);
        if (last !== undefined) void open(last);
      }
    },
    { immediate: true },
  );

  /** What changed over stretches of both. */
  const compare = (
    before: OpenedRecording,
    after: OpenedRecording,
    beforeSpan: Span,
    afterSpan: Span,
    swingS: number,
  ): Promise<Compared | null> =>
    tracing.ask('compared', {
      kind: 'compare',
      before: before.kept.hash,
      after: after.kept.hash,
      beforeSpan: { from: beforeSpan.from, to: beforeSpan.to },
      afterSpan: { from: afterSpan.from, to: afterSpan.to },
      swingS,
    }).answer;
  return { lastOf, wrong, compare };
}
