import { onScopeDispose } from 'vue';
import type { Review } from '../../core/practice/index.ts';
import type { ReviewAnswer, ReviewTask } from './reviewingProtocol.ts';

/** The worker that works out both ways of a practice job; where there are no workers nothing comes back. */
export function useReviewing(hear: (review: Review) => void) {
  let worker: Worker | null = null;
  function ask(task: ReviewTask): void {
    if (typeof Worker === 'undefined') return;
    worker ??= new Worker(new URL('./reviewing.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<ReviewAnswer>) => hear(data.review);
    // What the screen holds may be watched, and what is watched cannot be sent.
    worker.postMessage(JSON.parse(JSON.stringify(task)));
  }
  onScopeDispose(() => worker?.terminate());
  return { ask };
}
