import type { HoldCode } from '../../refit/index.ts';
import type { Job } from '../job.ts';
import { jobMayStart } from './tallies.ts';

/** What holds the engine and is cleared at a later stage than refit. */
const LATER: ReadonlySet<HoldCode> = new Set<HoldCode>(['coolant', 'bleed', 'cooling-water']);

/** What holds the engine. */
export function startGaps(job: Job): string[] {
  const start = jobMayStart(job);
  return start.may ? [] : start.holds.flatMap(({ code, words }) => (LATER.has(code) ? [] : [words]));
}
