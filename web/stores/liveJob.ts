import { onScopeDispose } from 'vue';
import { useChanges } from '../data/changes.ts';
import { useJob } from './job.ts';

/** One's own command is answered in this time; only what others did needs asking for. */
const OWN_ANSWER_MS = 150;

/** Keeps the job on the screen as others change it. */
export function useLiveJob(jobId: () => string): void {
  const store = useJob();
  let timer: ReturnType<typeof setTimeout> | undefined;

  useChanges((change) => {
    const id = jobId();
    if (change !== null && (change.kind !== 'job' || change.id !== id)) return;
    clearTimeout(timer);
    timer = setTimeout(() => {
      if (store.id !== id || store.confirmed === null) return;
      if (change === null || change.version > store.told) void store.load(id);
    }, OWN_ANSWER_MS);
  });
  onScopeDispose(() => clearTimeout(timer));
}
