import type { Recorded } from '../fact.ts';
import type { noteMadeShape } from './noting.ts';

/** A note. */
export type Note = Recorded<typeof noteMadeShape>;

/** What was noted and what was read. */
export interface NotesState {
  readonly notes: readonly Note[];
  /** Cautions that were acknowledged, by id. */
  readonly cautions: readonly string[];
}

/** Before the first note. */
export const FRESH_NOTES: NotesState = { notes: [], cautions: [] };
