import type { Recorded } from '../fact.ts';
import type { figureTakenShape } from './taking.ts';

/** A figure that an instrument gave. */
export type FigureTaken = Recorded<typeof figureTakenShape>;

/** What instruments gave. */
export interface InstrumentsState {
  readonly figuresTaken: readonly FigureTaken[];
}

/** Before any gave anything. */
export const FRESH_INSTRUMENTS: InstrumentsState = { figuresTaken: [] };
