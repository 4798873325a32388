import type { Recorded } from '../fact.ts';
import type { recordingKeptShape } from './keeping.ts';

/** A recording of live data, before or after the work. */
export type RecordingKept = Recorded<typeof recordingKeptShape>;

/** The recordings of a job. */
export interface RecordingsState {
  readonly recordings: readonly RecordingKept[];
}

/** Before any was made. */
export const FRESH_RECORDINGS: RecordingsState = { recordings: [] };
