import { daysBetween } from '../days/index.ts';
/** A batch on the shelf. */
export interface Batch {
  readonly batch: string;
  /** ISO day; null when it keeps. */
  readonly bestBefore: string | null;
  readonly quantity: number;
}

/** Days ahead at which a date begins to be said. */
export const SOON_DAYS = 60;

/** How a batch stands today. @param today ISO day */
export function shelfState({ bestBefore }: Pick<Batch, 'bestBefore'>, today: string): 'keeps' | 'soon' | 'past' {
  if (bestBefore === null) return 'keeps';
  if (bestBefore < today) return 'past';
  return daysBetween(today, bestBefore) <= SOON_DAYS ? 'soon' : 'keeps';
}

/** First expired, first out: what goes off first is taken first; what keeps comes last. */
export const pickOrder = <T extends Batch>(batches: readonly T[]): T[] =>
  [...batches].sort(
    (a, b) => (a.bestBefore ?? '9999').localeCompare(b.bestBefore ?? '9999') || a.batch.localeCompare(b.batch),
  );

/**
 * What is left of each batch after so many were taken, first expired first.
 * @returns batches with what is left, and how many could not be taken from any
 */
export function takeFrom<T extends Batch>(batches: readonly T[], taken: number): { left: T[]; short: number } {
  let want = Math.max(0, taken);
  const left = pickOrder(batches).map((batch) => {
    const take = Math.min(want, Math.max(0, batch.quantity));
    want -= take;
    return { ...batch, quantity: batch.quantity - take };
  });
  return { left, short: want };
}
