import { normalShare } from '../interval/index.ts';

/** One look at a reading of the meter: it was bad by then, or still good. */
export interface Aged {
  readonly meter: number;
  readonly bad: boolean;
}

/** From which reading on something is found bad. */
export interface Onset {
  /** Share that is bad by a reading, rising: steps at which it rises. */
  readonly steps: readonly { readonly meter: number; readonly share: number }[];
  /** The first reading by which half are bad; null where it stays below half. */
  readonly half: number | null;
  /** Chance that good and bad would differ so much in their readings if age had nothing to do with it, one-sided. */
  readonly p: number;
}

/**
 * The share that is bad by each reading, when each was looked at once: the maximum-likelihood estimate from current status
 * data, by pooling adjacent violators (Ayer, Brunk, Ewing, Reid and Silverman 1955). Whether age has to do with it is told
 * by the rank-sum test of Wilcoxon and of Mann and Whitney (1947), normal approximation with ties.
 * @returns null without a good and a bad one
 */
export function onset(looks: readonly Aged[]): Onset | null {
  const bad = looks.filter((look) => look.bad).length;
  if (bad === 0 || bad === looks.length) return null;
  const steps = pooled(looks.toSorted((a, b) => a.meter - b.meter));
  return { steps, half: steps.find(({ share }) => share >= 0.5)?.meter ?? null, p: olderByChance(looks) };
}

interface Pool {
  meter: number;
  bad: number;
  n: number;
}

function pooled(ordered: readonly Aged[]): { meter: number; share: number }[] {
  const pools: Pool[] = [];
  for (const { meter, bad } of ordered) {
    const last = pools.at(-1);
    if (last?.meter === meter) {
      last.bad += bad ? 1 : 0;
      last.n += 1;
    } else pools.push({ meter, bad: bad ? 1 : 0, n: 1 });
    // A later pool with a smaller share goes into the one before, as often as it takes.
    for (let [a, b] = pools.slice(-2); a && b && b.bad / b.n < a.bad / a.n; [a, b] = pools.slice(-2)) {
      a.bad += b.bad;
      a.n += b.n;
      pools.pop();
    }
  }
  return pools.map(({ meter, bad, n }) => ({ meter, share: bad / n }));
}

function olderByChance(looks: readonly Aged[]): number {
  const at = new Map<number, { bad: number; good: number }>();
  for (const { meter, bad } of looks) {
    const known = at.get(meter) ?? { bad: 0, good: 0 };
    known[bad ? 'bad' : 'good'] += 1;
    at.set(meter, known);
  }
  // How often a bad one is older than a good one, those of one reading by half: one pass over the readings.
  let [bad, good, wins, ties] = [0, 0, 0, 0];
  for (const [, here] of [...at].toSorted(([a], [b]) => a - b)) {
    wins += here.bad * (good + here.good / 2);
    ties += (here.bad + here.good) ** 3 - (here.bad + here.good);
    bad += here.bad;
    good += here.good;
  }
  const n = looks.length;
  const variance = ((bad * good) / 12) * (n + 1 - ties / (n * (n - 1)));
  if (variance <= 0) return 1;
  // Half a step towards the middle, as counts are discrete.
  return 1 - normalShare((wins - (bad * good) / 2 - 0.5) / Math.sqrt(variance));
}
