import type { Recorded } from '../fact.ts';
import type { Stamp } from '../stamp.ts';
import type { pieceSetApartShape } from './pieces.ts';
import type { unitReplacedShape } from './replacing.ts';
import type { sealDecidedShape } from './seals.ts';
import type { screwTurnedShape, sensorSweptShape } from './setting.ts';

/** What was decided of a seal or gasket. */
export type SealDecision = Recorded<typeof sealDecidedShape> & {
  /** The decision that this one replaced; null for the first. */
  readonly instead: SealDecision | null;
};
/** One of several that look alike and must go back to its own place. */
export type PieceApart = Recorded<typeof pieceSetApartShape> & {
  readonly returned: (Stamp & { readonly renewed: boolean }) | null;
};
/** A position sensor read over its travel. */
export type SensorSweep = Recorded<typeof sensorSweptShape>;
/** A screw turned from where it was found; turns out are plus. */
export type ScrewTurn = Recorded<typeof screwTurnedShape>;
/** A unit replaced by another. */
export type UnitReplaced = Recorded<typeof unitReplacedShape>;
/** The unit that goes on. */
export type NewUnit = UnitReplaced['fitted'];

/** What was renewed, set, kept to its place and replaced. */
export interface RebuildState {
  readonly seals: readonly SealDecision[];
  readonly pieces: readonly PieceApart[];
  readonly sweeps: readonly SensorSweep[];
  readonly turned: readonly ScrewTurn[];
  readonly replaced: readonly UnitReplaced[];
}

/** Before anything was rebuilt. */
export const FRESH_REBUILD: RebuildState = { seals: [], pieces: [], sweeps: [], turned: [], replaced: [] };
