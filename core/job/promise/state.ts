import type { Recorded } from '../fact.ts';
import type { readyPromisedShape } from './promising.ts';

/** What the customer was told of when it is ready. */
export interface PromiseState {
  /** Null while no time is promised. */
  readonly promise: Recorded<typeof readyPromisedShape> | null;
  /** How often a promise took the place of another. */
  readonly promisesMoved: number;
}

/** Before anything was promised. */
export const FRESH_PROMISE: PromiseState = { promise: null, promisesMoved: 0 };
