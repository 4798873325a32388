import { commandOf, type Job, type Refusal, type Tap, type Typed } from '../../../core/job/index.ts';
import { freshId, useJob } from '../../stores/job.ts';

/** Does what a tap would do. @returns why it cannot be done, or null */
export function sendTap(tap: Tap, job: Job, typed: Typed): Refusal | null {
  const { type, data } = commandOf(tap, job, typed, freshId());
  // The pair comes from one place; only the compiler cannot follow it through the union.
  return useJob().send(type, data as never);
}
