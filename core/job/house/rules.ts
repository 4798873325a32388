import type { HouseRules } from '../../house/index.ts';
import type { Job } from '../job.ts';

/** The rules that a job goes by: the house's, but for what it departs from. */
export const rulesOf = (job: Pick<Job, 'departures'>, rules: HouseRules): HouseRules =>
  job.departures.length === 0
    ? rules
    : { ...rules, ...Object.fromEntries(job.departures.map(({ question, taken }) => [question, taken])) };
