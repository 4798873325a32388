import type { UnitObjectKind } from '../vehicle/index.ts';
import { samePart } from '../stock/index.ts';
import type { OptionId, OptionTerms } from './types.ts';

/** A part that failed in this shop after a known way on one vehicle. */
export interface PartLived {
  readonly partNumber: string;
  /** From the job that fitted it to the job that replaced it, in `unit`. */
  readonly distance: number;
  readonly unit: 'km' | 'h';
}

/** From so many failures of one part on, what it lasted here counts. */
export const FAILURES_THAT_COUNT = 2;

/**
 * What life to expect of a part that failed at known distances: the geometric mean of those and of one usual life, so
 * that two early ones pull it down far and a single odd one is not all there is. Those still on are not in it: it is a
 * cautious figure.
 * @param usual km or hours, above zero @param lived what it lasted each time, in the same unit
 * @returns null where it failed less than {@link FAILURES_THAT_COUNT} times, or never lasted longer than nothing
 */
export function lifeAfter(usual: number, lived: readonly number[]): number | null {
  const known = lived.filter((distance) => distance > 0);
  if (known.length < FAILURES_THAT_COUNT || !(usual > 0)) return null;
  const logs = known.reduce((sum, distance) => sum + Math.log(distance), Math.log(usual));
  return Math.exp(logs / (known.length + 1));
}

/** Ways that put a part of the same number on. */
const SAME_PART: ReadonlySet<OptionId> = new Set(['replace', 'replace-rebuilt', 'replace-used']);

/**
 * Terms with the lives that parts of this number had here. A used or rebuilt one fares worse by the same share as is
 * usual.
 * @param numberOf the number of the part that a way fits, or null where it is not known
 */
export function withLives(
  terms: readonly OptionTerms[],
  lived: readonly PartLived[],
  per: 'km' | 'h',
  numberOf: (kind: UnitObjectKind) => string | null,
): OptionTerms[] {
  const newest = terms.find(({ id }) => id === 'replace');
  return terms.map((one) => {
    const number = SAME_PART.has(one.id) ? numberOf(one.kind ?? one.unit?.kind ?? 'throttle-body') : null;
    if (number === null || newest === undefined) return one;
    const here = lived.flatMap(({ partNumber, unit, distance }) =>
      samePart(partNumber, number) && unit === per ? [distance] : [],
    );
    const life = lifeAfter(newest.life, here);
    return life === null
      ? one
      : {
          ...one,
          life: one.life * (life / newest.life),
          lived: { partNumber: number, distances: here, usual: one.life },
        };
  });
}
