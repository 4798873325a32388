import type { Job } from '../job.ts';
import { jobMayStart } from './tallies.ts';

/** What holds the engine. */
export function startGaps(job: Job): string[] {
  const start = jobMayStart(job);
  return start.may ? [] : start.holds.map(({ words }) => words);
}
