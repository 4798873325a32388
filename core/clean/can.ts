/** What one weighing before and after says. */
export interface CanUse {
  readonly grams: number;
  /** Share of a full can, 0 to 1, or null when the full weight is not known. */
  readonly shareOfCan: number | null;
}

/**
 * Cleaner used, by weighing the can.
 * @param beforeG weight before, grams, more than zero
 * @param afterG weight after, grams, not more than before
 * @param contentsG what a full can holds, grams, or null
 * @throws RangeError in words for anything else
 */
export function canUse(beforeG: number, afterG: number, contentsG: number | null = null): CanUse {
  if (!(beforeG > 0)) throw new RangeError(`Expected the can to weigh more than 0 g before, got ${beforeG}.`);
  if (!(afterG >= 0)) throw new RangeError(`Expected 0 g or more after, got ${afterG}.`);
  if (afterG > beforeG)
    throw new RangeError(`Expected at most ${beforeG} g after use, got ${afterG}: the can cannot gain weight.`);
  const grams = beforeG - afterG;
  return { grams, shareOfCan: contentsG === null ? null : grams / contentsG };
}
