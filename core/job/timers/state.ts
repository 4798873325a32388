import type { Recorded } from '../fact.ts';
import type { Stamp } from '../stamp.ts';
import type { timerStartedShape } from './timing.ts';

/** A wait: for an item that cures, a unit that soaks, or anything else. */
export type Timer = Recorded<typeof timerStartedShape> & {
  readonly ended: (Stamp & { readonly outcome: 'done' | 'stopped' }) | null;
};
/** What a timer is for. */
export type TimerKind = Timer['kind'];

/** The waits of a job. */
export interface TimersState {
  readonly timers: readonly Timer[];
}

/** Before any wait. */
export const FRESH_TIMERS: TimersState = { timers: [] };
