import { type Refusal, refuse } from '../decision.ts';
import type { Job } from '../job.ts';
import { jobMayStart } from '../start/tallies.ts';

/** The engine is held: nothing that starts it may be recorded. */
export function held(job: Job): Refusal | null {
  const verdict = jobMayStart(job);
  if (verdict.may) return null;
  const shown = verdict.holds.slice(0, 4).map(({ words }) => words);
  const more = verdict.holds.length - shown.length;
  return refuse(
    'engine-held',
    `The engine is held: ${shown.join('; ')}${more > 0 ? `; and ${more} more` : ''}.`,
    'Clear what holds it first.',
  );
}
