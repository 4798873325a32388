import { chiSquareTail } from './normal.ts';
import type { Life } from './survival.ts';

/** Two kinds of repair against each other. */
export interface Comparison {
  /** Which lasts longer by what was seen; `alike` where the data cannot tell them apart, `too-few` where there are not enough to ask. */
  readonly verdict: 'first' | 'second' | 'alike' | 'too-few';
  readonly chiSquare: number;
  /** The chance of a difference as large when there is none. */
  readonly p: number;
  /** Failures seen and expected were there no difference, of the first kind and of the second. */
  readonly observed: readonly [number, number];
  readonly expected: readonly [number, number];
}

/** Fewer failures than so many, of both kinds together, say nothing. */
export const LEAST_FAILURES = 8;
/** A difference is told where chance alone would make one as large less often than this. */
export const TELLING = 0.05;

/**
 * The log-rank test (Mantel 1966; Peto and Peto 1972), unweighted, with the hypergeometric variance, one degree of freedom.
 * @throws Error when a life is not positive and finite
 */
export function logRank(first: readonly Life[], second: readonly Life[]): Comparison {
  for (const { use } of [...first, ...second])
    if (!(Number.isFinite(use) && use > 0)) throw new Error(`Expected a use greater than zero, got ${use}.`);
  const times = [...new Set([...first, ...second].flatMap(({ use, failed }) => (failed ? [use] : [])))];
  let expectedFirst = 0;
  let variance = 0;
  for (const use of times) {
    const [atRisk, ofFirst] = [riskAt(first, use) + riskAt(second, use), riskAt(first, use)];
    const failed = failedAt(first, use) + failedAt(second, use);
    expectedFirst += (failed * ofFirst) / atRisk;
    if (atRisk > 1)
      variance += (failed * ofFirst * (atRisk - ofFirst) * (atRisk - failed)) / (atRisk * atRisk * (atRisk - 1));
  }
  const observed = [failures(first), failures(second)] as const;
  const all = observed[0] + observed[1];
  const chiSquare = variance > 0 ? (observed[0] - expectedFirst) ** 2 / variance : 0;
  const p = chiSquareTail(chiSquare);
  return {
    verdict: verdictOf(all, p, observed[0] < expectedFirst, Math.min(first.length, second.length)),
    chiSquare,
    p,
    observed,
    expected: [expectedFirst, all - expectedFirst],
  };
}

function verdictOf(failed: number, p: number, firstHolds: boolean, fewest: number): Comparison['verdict'] {
  if (failed < LEAST_FAILURES || fewest < 2) return 'too-few';
  if (p >= TELLING) return 'alike';
  return firstHolds ? 'first' : 'second';
}

const riskAt = (lives: readonly Life[], use: number): number => lives.filter((life) => life.use >= use).length;
const failedAt = (lives: readonly Life[], use: number): number =>
  lives.filter((life) => life.failed && life.use === use).length;
const failures = (lives: readonly Life[]): number => lives.filter(({ failed }) => failed).length;
