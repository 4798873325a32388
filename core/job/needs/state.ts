import type { Need } from '../../procedure/index.ts';
import type { TypeOf } from '../../shape/index.ts';
import type { Recorded } from '../fact.ts';
import type { partUsedShape } from './parts.ts';
import type { endStepDoneShape, needTickedShape } from './ticking.ts';

/** What is known of a need. `expected` is the day on which it is expected, when ordered. */
export type NeedState = TypeOf<typeof needTickedShape> & {
  /** When this job ordered it, ISO; absent when it did not. */
  readonly orderedAt?: string;
  /** When what this job had ordered came, ISO; absent when it lay there anyway, or is still to come. */
  readonly arrivedAt?: string;
};
/** Something like the battery, undone again. */
export type EndStepDone = Recorded<typeof endStepDoneShape>;
/** A part that was fitted; its price is for one, minor units. */
export type PartUsed = Recorded<typeof partUsedShape>;

/** What the job needs, and what of it was used. */
export interface NeedsState {
  readonly needs: readonly NeedState[];
  /** Needs found on the way, beside the procedure's. */
  readonly ownNeeds: readonly Need[];
  readonly endSteps: readonly EndStepDone[];
  readonly parts: readonly PartUsed[];
}

/** Before anything was ticked. */
export const FRESH_NEEDS: NeedsState = { needs: [], ownNeeds: [], endSteps: [], parts: [] };
