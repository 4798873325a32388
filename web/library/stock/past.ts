import type { JobQuantity, StockFile } from '../../../contract/index.ts';
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

/** The kinds of a thing's past, each a list of its own. */
export type PastKind = 'movements' | 'arrivals' | 'uses';
/** Each as far as it was read. */
export type Past = Pick<StockFile, PastKind>;
const KINDS: readonly PastKind[] = ['movements', 'arrivals', 'uses'];

const oldestOf = ({ rows }: Past[PastKind]): string => rows.at(-1)?.at ?? '';

/**
 * The list that must be read on before anything earlier can be told: of those with more to come the one that was read
 * the least far back. Null when all is read.
 */
export const readOn = (past: Past): PastKind | null =>
  KINDS.filter((kind) => past[kind].next !== null).sort((a, b) =>
    oldestOf(past[a]) < oldestOf(past[b]) ? 1 : -1,
  )[0] ?? null;

/**
 * Movements booked by hand, what jobs had ordered and got, and what they used, the newest first: as far back as all
 * three were read, so that nothing is missing in between.
 */
export function pastOf(past: Past): PastLine[] {
  const ofJob =
    (words: string, sign: 1 | -1) =>
    ({ at, quantity, jobId, number }: JobQuantity): PastLine => ({
      at,
      change: sign * quantity,
      words,
      batch: '',
      note: '',
      by: '',
      job: { id: jobId, number },
    });
  const behind = readOn(past);
  const since = behind === null ? '' : oldestOf(past[behind]);
  return [
    ...past.movements.rows.map(({ at, change, kind, batch, note, by }): PastLine => ({
      at,
      change,
      words: MOVEMENTS[kind],
      batch,
      note,
      by,
      job: null,
    })),
    ...past.arrivals.rows.map(ofJob('Came for', 1)),
    ...past.uses.rows.map(ofJob('Used on', -1)),
  ]
    .filter(({ at }) => at >= since)
    .sort((a, b) => b.at.localeCompare(a.at));
}
