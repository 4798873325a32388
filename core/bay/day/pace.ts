import type { Stage } from '../../job/index.ts';
import { UNTIMED_SPREAD } from '../left/left.ts';
import type { StagePace } from './types.ts';

/** What one finished job took at a stage, and what was expected of it, minutes. */
export interface StageTook {
  readonly stage: Stage;
  readonly took: number;
  readonly expected: number;
}

/** What was expected weighs as much as so many jobs: the same as of a single step. */
const PRIOR_JOBS = 2;
/** From so many finished jobs on the minutes count as the shop's own. */
export const OWN_FROM = 3;

/**
 * How fast a shop is at each stage: the mean of the logarithms of what was taken over what was expected, pulled towards
 * nothing by a prior worth two jobs, and their spread with the same prior. Logarithms, so that twice as long and half as
 * long weigh the same.
 */
export function paceOf(took: readonly StageTook[]): StagePace[] {
  const stages = new Map<Stage, number[]>();
  for (const { stage, took: minutes, expected } of took)
    if (minutes > 0 && expected > 0) stages.set(stage, [...(stages.get(stage) ?? []), Math.log(minutes / expected)]);
  return [...stages].map(([stage, logs]) => {
    const weight = PRIOR_JOBS + logs.length;
    const mean = logs.reduce((sum, each) => sum + each, 0) / weight;
    const square = logs.reduce((sum, each) => sum + (each - mean) ** 2, PRIOR_JOBS * UNTIMED_SPREAD ** 2);
    const spread = Math.sqrt(square / weight);
    return { stage, jobs: logs.length, factor: Math.exp(mean), spread };
  });
}
