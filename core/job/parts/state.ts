import type { Recorded } from '../fact.ts';
import type { partLaidOutShape } from './layingOut.ts';
import type { partRenewedShape } from './renewing.ts';

/** A part on the bench that is no unit of the vehicle's file. */
export type LaidOut = Recorded<typeof partLaidOutShape>;
/** What goes on instead of a part. */
export type RenewedPart = Recorded<typeof partRenewedShape>;
/** Parts that were laid out, and those that gave way to another. */
export interface PartsState {
  readonly laidOut: readonly LaidOut[];
  readonly renewedParts: readonly RenewedPart[];
}
/** Before anything but units lay there. */
export const FRESH_PARTS: PartsState = { laidOut: [], renewedParts: [] };
