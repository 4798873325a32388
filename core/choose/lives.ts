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

/** How long one kind of repair held in this shop: half of them longer than `median`. */
export interface RepairsHeld {
  readonly option: OptionId;
  /** The kind of unit that it was done to. */
  readonly unitKind: string;
  readonly unit: 'km' | 'h';
  readonly repairs: number;
  readonly failures: number;
  /** By Kaplan and Meier; null while more than half hold longer than was seen. */
  readonly median: number | null;
}

/** From so many failures on, how long repairs of a kind held here counts. */
export const HELD_COUNTS = 5;
/** What is usual weighs as much as so many failures. */
const USUAL_WEIGHS = 5;

/**
 * Terms with the lives that repairs of their kind had here: the usual life and the median of the shop, as logarithms
 * weighed by the failures behind each. Where too few failed, or half still hold, the usual life stands.
 */
export function withHeld(terms: readonly OptionTerms[], held: readonly RepairsHeld[], per: 'km' | 'h'): OptionTerms[] {
  return terms.map((one) => {
    const kind = one.kind ?? one.unit?.kind ?? 'throttle-body';
    const own = held.find(({ option, unitKind, unit }) => option === one.id && unitKind === kind && unit === per);
    if (own?.median == null || own.median <= 0 || own.failures < HELD_COUNTS || one.life <= 0) return one;
    const { repairs, failures, median } = own;
    const life = Math.exp(
      (USUAL_WEIGHS * Math.log(one.life) + failures * Math.log(median)) / (USUAL_WEIGHS + failures),
    );
    return { ...one, life, held: { repairs, failures, median, usual: one.life } };
  });
}
