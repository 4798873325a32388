import type { Recorded } from '../fact.ts';
import type { countersignAskedShape, countersignedShape } from './countersigning.ts';

/** What an apprentice did that a technician puts a name beside. */
export interface CountersignState {
  /** Each with whose it is, oldest first; what was taken back or struck since stays listed, and is passed over. */
  readonly countersignAsked: readonly Recorded<typeof countersignAskedShape>[];
  readonly countersigned: readonly Recorded<typeof countersignedShape>[];
}

/** A job that was just opened. */
export const FRESH_COUNTERSIGN: CountersignState = { countersignAsked: [], countersigned: [] };
