import type { Recorded } from '../fact.ts';
import type { partLaidOutShape } from './layingOut.ts';

/** A part on the bench that is no unit of the vehicle's file. */
export type LaidOut = Recorded<typeof partLaidOutShape>;
/** Parts that were laid out. */
export interface PartsState {
  readonly laidOut: readonly LaidOut[];
}
/** Before anything but units lay there. */
export const FRESH_PARTS: PartsState = { laidOut: [] };
