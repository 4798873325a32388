import { normalQuantile } from './normal.ts';

/** How long one repair held, in distance or running hours. */
export interface Life {
  /** Since the repair, greater than zero. */
  readonly use: number;
  /** Whether it failed then; false where it was still good when something was last known of it. */
  readonly failed: boolean;
}

/** A step of the curve: what holds from this use on. */
export interface SurvivalStep {
  readonly use: number;
  /** Repairs that had come so far, those that fail here among them. */
  readonly atRisk: number;
  readonly failed: number;
  /** Share that holds longer than this. */
  readonly share: number;
  /** Pointwise band of that share; both 0 once nothing holds. */
  readonly low: number;
  readonly high: number;
}

/** What is known of how long a kind of repair lasts. */
export interface Survival {
  readonly repairs: number;
  readonly failures: number;
  readonly steps: readonly SurvivalStep[];
  /** Use by which half have failed; null while more than half are still good. */
  readonly median: number | null;
  /** Band of the median; an end that the data do not reach is null. */
  readonly medianBand: { readonly low: number | null; readonly high: number | null };
}

/**
 * The product-limit estimate of Kaplan and Meier (1958), with Greenwood's variance and the band on the log-log scale
 * (Kalbfleisch and Prentice), which stays between nought and one. A repair that was last seen good at the very use at which
 * another failed counts as at risk there.
 * @param level of the band, 0 to 1, such as 0.95
 * @returns no steps where nothing failed
 * @throws Error when a life is not positive and finite, or the level not between 0 and 1
 */
export function kaplanMeier(lives: readonly Life[], level = 0.95): Survival {
  check(lives, level);
  const z = normalQuantile((1 + level) / 2);
  const steps: SurvivalStep[] = [];
  let share = 1;
  let greenwood = 0;
  for (const use of failureTimes(lives)) {
    const atRisk = lives.filter((life) => life.use >= use).length;
    const failed = lives.filter((life) => life.failed && life.use === use).length;
    share *= 1 - failed / atRisk;
    greenwood += failed / (atRisk * (atRisk - failed));
    steps.push({ use, atRisk, failed, share, ...bandOf(share, greenwood, z) });
  }
  return {
    repairs: lives.length,
    failures: lives.filter(({ failed }) => failed).length,
    steps,
    median: firstAtOrBelow(steps, ({ share: is }) => is),
    medianBand: {
      low: firstAtOrBelow(steps, ({ low }) => low),
      high: firstAtOrBelow(steps, ({ high }) => high),
    },
  };
}

const failureTimes = (lives: readonly Life[]): number[] =>
  [...new Set(lives.flatMap(({ use, failed }) => (failed ? [use] : [])))].sort((a, b) => a - b);

/** The band of a share on the scale of log(−log S): S to the power exp(±z·σ), σ² = greenwood ÷ (log S)². */
function bandOf(share: number, greenwood: number, z: number): { readonly low: number; readonly high: number } {
  if (share <= 0) return { low: 0, high: 0 };
  const spread = (z * Math.sqrt(greenwood)) / Math.abs(Math.log(share));
  return { low: share ** Math.exp(spread), high: share ** Math.exp(-spread) };
}

function firstAtOrBelow(steps: readonly SurvivalStep[], of: (step: SurvivalStep) => number): number | null {
  // A half that is reached exactly must not be missed by the last bit of a product.
  return steps.find((step) => of(step) <= 0.5 + 1e-12)?.use ?? null;
}

function check(lives: readonly Life[], level: number): void {
  const wrong = lives.find(({ use }) => !(Number.isFinite(use) && use > 0));
  if (wrong !== undefined) throw new Error(`Expected a use greater than zero, got ${wrong.use}.`);
  if (!(level > 0 && level < 1)) throw new Error(`Expected a level between 0 and 1, got ${level}.`);
}

/** The share of repairs that hold longer than a use; 1 before the first failure. */
export const shareAt = ({ steps }: Pick<Survival, 'steps'>, use: number): number =>
  steps.findLast((step) => step.use <= use)?.share ?? 1;
