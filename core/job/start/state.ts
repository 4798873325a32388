import type { Recorded } from '../fact.ts';
import type { holdOverriddenShape } from './overriding.ts';

/** Holds that a lead let pass, with the reason. */
export type Override = Recorded<typeof holdOverriddenShape>;

/** What was let pass so that the engine may start. */
export interface StartState {
  readonly overrides: readonly Override[];
}

/** Before anything was let pass. */
export const FRESH_START: StartState = { overrides: [] };
