import { type Refusal, refuse } from '../decision.ts';
import type { Job } from '../job.ts';
import type { HoldCode } from '../../refit/index.ts';
import { whereCleared } from '../start/whereCleared.ts';
import { jobMayStart } from '../start/tallies.ts';

/**
 * The engine is held: nothing that starts it may be recorded.
 * @param but what the work that is asked for would itself put right
 */
export function held(job: Job, but?: HoldCode): Refusal | null {
  const verdict = jobMayStart(job);
  const holds = verdict.may ? [] : verdict.holds.filter(({ code }) => code !== but);
  if (holds.length === 0) return null;
  const shown = holds.slice(0, 4).map(({ words }) => words);
  const more = holds.length - shown.length;
  return refuse(
    'engine-held',
    `The engine is held: ${shown.join('; ')}${more > 0 ? `; and ${more} more` : ''}.`,
    'Clear what holds it first.',
    holds[0] && whereCleared(job, holds[0]),
  );
}
