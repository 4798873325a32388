import type { Recorded } from '../fact.ts';
import type { trimTriedShape } from './trying.ts';

/** One step of a trim trial. */
export type TrimTried = Recorded<typeof trimTriedShape>;
/** The trim trials of a job. */
export interface TrimState {
  readonly trims: readonly TrimTried[];
}
/** Before any was made. */
export const FRESH_TRIM: TrimState = { trims: [] };
