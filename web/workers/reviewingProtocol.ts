import type { Knowledge } from '../../core/diagnose/index.ts';
import type { Job } from '../../core/job/index.ts';
import type { Done, Rates, Review, Scenario } from '../../core/practice/index.ts';

/** What both ways are worked out from. */
export interface ReviewTask {
  readonly job: Job;
  readonly scenario: Scenario;
  readonly done: readonly Done[];
  readonly knowledge: Knowledge;
  readonly rates: Rates;
}
/** Both ways. */
export interface ReviewAnswer {
  readonly review: Review;
}
