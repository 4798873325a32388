import type { Recorded } from '../fact.ts';
import type { Stage } from '../stages.ts';
import type { LeftOpen } from './openPoints.ts';
import type { handedOverShape, jobReopenedShape, recheckSetShape } from './closing.ts';

/** The hand-over: minutes, rate and what to watch. */
export type HandOver = Recorded<typeof handedOverShape>;
/** To be looked at again: days count from the hand-over, use from the reading of the job. */
export type Recheck = Recorded<typeof recheckSetShape>;

/** How far the job is, and how it ended. */
export interface HandoverState {
  readonly status: 'open' | 'closed';
  readonly passed: readonly Stage[];
  readonly handOver: HandOver | null;
  readonly reopened: readonly Recorded<typeof jobReopenedShape>[];
  readonly rechecks: readonly Recheck[];
  /** What was left open on purpose, with why. */
  readonly leftOpen: readonly LeftOpen[];
}

/** A job that was just opened. */
export const FRESH_HANDOVER: HandoverState = {
  status: 'open',
  passed: [],
  handOver: null,
  reopened: [],
  rechecks: [],
  leftOpen: [],
};
