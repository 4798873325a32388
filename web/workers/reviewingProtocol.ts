import type { Knowledge } from '../../core/diagnose/index.ts';
import type { RecordedEvent } from '../../core/job/index.ts';
import type { Done, Rates, Review, Scenario } from '../../core/practice/index.ts';

/** What both ways are worked out from. */
export interface ReviewTask {
  readonly jobId: string;
  readonly events: readonly RecordedEvent[];
  readonly scenario: Scenario;
  readonly done: readonly Done[];
  readonly knowledge: Knowledge;
  readonly rates: Rates;
}
/** Both ways. */
export interface ReviewAnswer {
  readonly review: Review;
}
