import { COSTS } from './cost.ts';
import { lay } from './lay.ts';
import type { WeaveProblem } from './problem.ts';

/**
 * What no plan falls below: each vehicle alone in the workshop, with everybody and every tool for itself. Nobody stands idle
 * and nobody hops in it.
 */
export function boundOf(problem: WeaveProblem): number {
  return problem.jobs.reduce((sum, job) => {
    const { blocks } = lay({ ...problem, jobs: [job] }, []);
    const end = blocks.reduce((last, block) => Math.max(last, block.end), problem.now);
    const late = job.promised === null ? 0 : job.weight * Math.max(0, end - job.promised);
    return sum + late + COSTS.stay * (end - problem.now);
  }, 0);
}
