import type { Recorded } from '../fact.ts';
import type { holdOverriddenShape } from './overriding.ts';
import type { waterGivenShape } from './water.ts';

/** Holds that a lead let pass, with the reason. */
export type Override = Recorded<typeof holdOverriddenShape>;

/** What was let pass so that the engine may start. */
export interface StartState {
  readonly overrides: readonly Override[];
  /** How an outboard gets its cooling water; null while nobody has said. */
  readonly water: Recorded<typeof waterGivenShape> | null;
}

/** Before anything was let pass. */
export const FRESH_START: StartState = { overrides: [], water: null };
