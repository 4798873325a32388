/**
 * The chance that at least `k` of `n` come out, when the share by which they come out was learnt from others: of `others.n`
 * others `others.k` did. Beta-binomial with Jeffreys' prior, summed from its own recurrence (Johnson, Kemp and Kotz,
 * Univariate Discrete Distributions, 6.2.2).
 * @param k 0 to n @param n one or more
 * @throws RangeError for counts that cannot be
 * @example 3 of 3, when 0 of 10 others did: 0.0009
 */
export function chanceOfAtLeast(k: number, n: number, others: Count): number {
  if (!(k >= 0 && n >= k && others.k >= 0 && others.n >= others.k))
    throw new RangeError(`Expected counts of some out of all, got ${k} of ${n} and ${others.k} of ${others.n}.`);
  const [a, b] = [others.k + PRIOR, others.n - others.k + PRIOR];
  let mass = 1;
  for (let i = 0; i < n; i += 1) mass *= (b + i) / (a + b + i);
  let below = 0;
  for (let x = 0; x < k; x += 1) {
    below += mass;
    mass *= ((n - x) * (a + x)) / ((x + 1) * (b + n - x - 1));
  }
  return Math.min(1, Math.max(0, 1 - below));
}

/** Of `n` that were looked at, `k` came out so. */
export interface Count {
  readonly k: number;
  readonly n: number;
}

/** Jeffreys' prior of a share. */
const PRIOR = 0.5;

/** The share that others lead one to expect, 0 to 1. */
export const expectedShare = ({ k, n }: Count): number => (k + PRIOR) / (n + 2 * PRIOR);

/**
 * The chance that at least `k` of `n` come out when each does with a known share: the upper tail of the binomial.
 * @param k 0 to n @param share 0 to 1, both left out
 */
export function binomialTail(k: number, n: number, share: number): number {
  let mass = (1 - share) ** n;
  let below = 0;
  for (let x = 0; x < k; x += 1) {
    below += mass;
    mass *= ((n - x) / (x + 1)) * (share / (1 - share));
  }
  return Math.min(1, Math.max(0, 1 - below));
}
