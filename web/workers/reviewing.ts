import { replay } from '../../core/job/index.ts';
import { reviewOf } from '../../core/practice/index.ts';
import type { ReviewAnswer, ReviewTask } from './reviewingProtocol.ts';

// Wiring only: both ways are worked out in core.
addEventListener('message', ({ data }: MessageEvent<ReviewTask>) => {
  const { jobId, events, scenario, done, knowledge, rates } = data;
  const job = replay(jobId, events);
  // A log without its first entry is none; then nothing comes back, and the page goes on saying so.
  if (job === null) return;
  postMessage({ review: reviewOf({ scenario, job, done, knowledge, rates }) } satisfies ReviewAnswer);
});
