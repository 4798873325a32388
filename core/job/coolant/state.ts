import type { Recorded } from '../fact.ts';
import type { coolantRecordedShape, levelCheckedShape } from './bookkeeping.ts';
import type { coolantSystemGivenShape } from './system.ts';
import type { coolantTestedShape, leakCheckedShape } from './testing.ts';

/** An entry of the coolant's book. */
export type CoolantRecord = Recorded<typeof coolantRecordedShape>;
/** The level as it was seen. */
export type LevelCheck = Recorded<typeof levelCheckedShape>;
/** The coolant's strength as it was read. */
export type CoolantTest = Recorded<typeof coolantTestedShape>;
/** A look for leaks. */
export type LeakCheck = Recorded<typeof leakCheckedShape>;

/** The coolant: what came out and went in, how strong it is, whether it stays in. */
export interface CoolantJobState {
  readonly coolant: readonly CoolantRecord[];
  readonly levels: readonly LevelCheck[];
  readonly coolantTests: readonly CoolantTest[];
  readonly leakChecks: readonly LeakCheck[];
  /** What the cooling system holds, as said on this job; null where nobody said it here. */
  readonly coolantGiven: Recorded<typeof coolantSystemGivenShape> | null;
}

/** Before any ran out. */
export const FRESH_COOLANT: CoolantJobState = {
  coolant: [],
  levels: [],
  coolantTests: [],
  leakChecks: [],
  coolantGiven: null,
};
