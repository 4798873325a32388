import type { Recorded } from '../fact.ts';
import type { jobAssignedShape, jobCancelledShape, jobPutAsideShape } from './custody.ts';

/** Who has the job, whether it rests, and whether it was called off. */
export interface CustodyState {
  /** Null while it is nobody's in particular. */
  readonly assigned: Recorded<typeof jobAssignedShape> | null;
  readonly aside: Recorded<typeof jobPutAsideShape> | null;
  readonly cancelled: Recorded<typeof jobCancelledShape> | null;
}

/** A job that was just opened. */
export const FRESH_CUSTODY: CustodyState = { assigned: null, aside: null, cancelled: null };
