import type { StockFile } from '../../../contract/index.ts';
import { MOVEMENTS } from '../../../core/stock/index.ts';

/** One line of what came and went, whoever wrote it down. */
export interface PastLine {
  readonly at: string;
  /** Signed pieces. */
  readonly change: number;
  readonly words: string;
  readonly batch: string;
  readonly note: string;
  /** Who booked it; empty when a job did. */
  readonly by: string;
  readonly job: { readonly id: string; readonly number: number } | null;
}

/** Movements booked by hand, what jobs had ordered and got, and what they used, the newest first. */
export function pastOf({ movements, arrivals, uses }: Pick<StockFile, 'movements' | 'arrivals' | 'uses'>): PastLine[] {
  const ofJob =
    (words: string, sign: 1 | -1) =>
    ({ at, quantity, jobId, number }: StockFile['uses'][number]): PastLine => ({
      at,
      change: sign * quantity,
      words,
      batch: '',
      note: '',
      by: '',
      job: { id: jobId, number },
    });
  return [
    ...movements.map(({ at, change, kind, batch, note, by }): PastLine => ({
      at,
      change,
      words: MOVEMENTS[kind],
      batch,
      note,
      by,
      job: null,
    })),
    ...arrivals.map(ofJob('Came for', 1)),
    ...uses.map(ofJob('Used on', -1)),
  ].sort((a, b) => b.at.localeCompare(a.at));
}
