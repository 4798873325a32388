import type { Recorded } from '../fact.ts';
import type { mishapNotedShape } from './noting.ts';

/** A mishap, with who noted it and when. */
export type Mishap = Recorded<typeof mishapNotedShape>;
/** What went wrong on a job. */
export interface MishapsState {
  readonly mishaps: readonly Mishap[];
}
/** Before anything went wrong. */
export const FRESH_MISHAPS: MishapsState = { mishaps: [] };
