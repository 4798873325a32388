import type { TypeOf } from '../../shape/index.ts';
import type { Recorded } from '../fact.ts';
import type { Stamp } from '../stamp.ts';
import type { rungTriedShape, screwSeizedShape } from './screws.ts';

/** One try at a seized screw; its timer is the one that a wait runs by, empty for a try without a wait. */
export type RungTried = Stamp & Omit<TypeOf<typeof rungTriedShape>, 'screwId'>;

/** How a try ended; *waiting* while oil or heat does its work. */
export type RungOutcome = RungTried['outcome'];

/** A small screw that does not come. */
export type SeizedRecord = Recorded<typeof screwSeizedShape> & {
  readonly tried: readonly RungTried[];
  readonly ended: (Stamp & { readonly outcome: 'out' | 'part spoilt' | 'given up'; readonly why: string }) | null;
};

/** The screws that do not come. */
export interface SeizedState {
  readonly seized: readonly SeizedRecord[];
}

/** Before any was met. */
export const FRESH_SEIZED: SeizedState = { seized: [] };
