import { sameUnit } from './subject.ts';
import type { CauseModel, Finding } from './types.ts';

/** How well a cause explains what was seen. */
export interface Fit {
  /**
   * How many cases of this very cause would look at least as odd, 0 to 1 (one-sided normal tail).
   */
  readonly tail: number;
  readonly poor: boolean;
}

/** Below this tail it is said aloud that the cause does not explain what was seen. */
export const POOR_TAIL = 0.025;

/**
 * Judges a cause by the surprise of the findings against what it would expect: the surprise −log2 P(f | cause) has,
 * under the cause, the entropy of the sign as its mean; the excess over all findings, divided by its standard
 * deviation, is read as a normal deviate. Only too much surprise counts: findings more typical than expected fit well.
 */
export function judgeFit(cause: CauseModel, findings: readonly Finding[]): Fit {
  let excess = 0;
  let variance = 0;
  for (const { sign, outcome, unit, weight = 1 } of findings) {
    const here = !unit || !cause.unit || sameUnit(unit, cause.unit);
    const chances = (here ? cause.chances : cause.elsewhere)?.get(sign);
    const chance = chances?.[outcome];
    if (chances === undefined || chance === undefined) continue;
    const { mean, variance: spread } = surpriseOf(chances);
    excess += weight * (-Math.log2(chance) - mean);
    variance += weight * weight * spread;
  }
  const tail = variance <= 0 ? 1 : upperTail(excess / Math.sqrt(variance));
  return { tail, poor: tail < POOR_TAIL };
}

/** Mean and variance of the surprise of a sign under a cause, bits. */
function surpriseOf(chances: Readonly<Record<string, number>>): { readonly mean: number; readonly variance: number } {
  const known = kept.get(chances);
  if (known !== undefined) return known;
  let mean = 0;
  let square = 0;
  for (const p of Object.values(chances)) {
    if (p <= 0) continue;
    const surprise = -Math.log2(p);
    mean += p * surprise;
    square += p * surprise * surprise;
  }
  const made = { mean, variance: square - mean * mean };
  kept.set(chances, made);
  return made;
}
const kept = new WeakMap<Readonly<Record<string, number>>, { readonly mean: number; readonly variance: number }>();

/** P(Z ≥ z) for a standard normal. Abramowitz and Stegun 26.2.17; error below 7.5e-8. */
export function upperTail(z: number): number {
  if (z < 0) return 1 - upperTail(-z);
  const t = 1 / (1 + 0.2316419 * z);
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly;
}
