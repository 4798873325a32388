import type { Recorded } from '../fact.ts';
import type { canWeighedShape } from './cans.ts';
import type { passDoneShape } from './passes.ts';
import type { wasteTakenShape } from './waste.ts';

/** Cleaner that was used; minutes are those it was sprayed over. */
export type CleanerUse = Recorded<typeof canWeighedShape>;
/** A pass of cleaning on a unit. */
export type CleanPass = Recorded<typeof passDoneShape>;
/** Waste that was taken where it belongs. */
export type WasteTaken = Recorded<typeof wasteTakenShape>;

/** What was cleaned with what, and what became of the waste. */
export interface CleaningState {
  readonly cleaners: readonly CleanerUse[];
  readonly passes: readonly CleanPass[];
  readonly waste: readonly WasteTaken[];
}

/** Before anything was cleaned. */
export const FRESH_CLEANING: CleaningState = { cleaners: [], passes: [], waste: [] };
