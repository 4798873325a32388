/** A step as far as its time goes. */
export interface TimedStep {
  readonly id: string;
  /** Hands-on minutes that the procedure or the kind of item leads one to expect. */
  readonly expected: number;
}

/** Hands-on and waiting minutes with a range. */
export interface TimeEstimate {
  /** Nine jobs in ten take longer than `low`, one in ten longer than `high`. */
  readonly low: number;
  readonly likely: number;
  readonly high: number;
  readonly waiting: number;
  /** Steps that this shop has timed before. */
  readonly timed: number;
  readonly steps: number;
}

/** The expectation weighs as much as this many timings. */
const PRIOR_WEIGHT = 2;
/** Spread of one step when it was never timed, as a share of its minutes: a seized clamp is common. */
const SPREAD = 0.6;
/** A person who is slow today is slow at every step: this share of the spread is common to all. */
const COMMON = 0.1;
/** Tenth percentile of the normal distribution. */
const Z10 = 1.2816;

/**
 * Hands-on minutes of some steps. Each step's mean is pulled from what is expected towards what was timed (a
 * normal prior worth two timings); spreads add up in squares, but for a part that all steps share.
 * @param steps those still to be done
 * @param history timings by step id, minutes, from finished jobs
 * @param waits minutes that nobody needs to stand by: soaks, cures, cooling
 */
export function estimate(
  steps: readonly TimedStep[],
  history: ReadonlyMap<string, readonly number[]>,
  waits: readonly number[] = [],
): TimeEstimate {
  let likely = 0;
  let variance = 0;
  let timed = 0;
  for (const { id, expected } of steps) {
    const seen = history.get(id) ?? [];
    if (seen.length > 0) timed += 1;
    const mean = (PRIOR_WEIGHT * expected + sum(seen)) / (PRIOR_WEIGHT + seen.length);
    const prior = (SPREAD * expected) ** 2;
    const spread = sum(seen.map((minutes) => (minutes - mean) ** 2));
    likely += mean;
    variance += (PRIOR_WEIGHT * prior + spread) / (PRIOR_WEIGHT + seen.length);
  }
  const deviation = Math.sqrt(variance + (COMMON * likely) ** 2);
  return {
    low: Math.max(0, likely - Z10 * deviation),
    likely,
    high: likely + Z10 * deviation,
    waiting: sum(waits),
    timed,
    steps: steps.length,
  };
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** A step that took clearly longer than it should. */
export interface LostTime {
  readonly id: string;
  readonly took: number;
  readonly usual: number;
}

/**
 * Where time was lost: steps that took more than twice the usual and at least three minutes more, worst first.
 * @param taken minutes by step
 * @param usual minutes by step: median of history, or what is expected
 */
export function lostTime(
  taken: readonly { readonly id: string; readonly minutes: number }[],
  usual: (id: string) => number,
): LostTime[] {
  return taken
    .map(({ id, minutes }) => ({ id, took: minutes, usual: usual(id) }))
    .filter(({ took, usual: normal }) => took > 2 * normal && took - normal >= 3)
    .sort((a, b) => b.took - b.usual - (a.took - a.usual) || a.id.localeCompare(b.id));
}
