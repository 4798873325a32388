import type { Hold, HoldCode } from '../../refit/index.ts';
import type { Gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { whereCleared } from './whereCleared.ts';
import { jobMayStart } from './tallies.ts';

/** What holds the engine and is cleared at a later stage than refit. */
const LATER: ReadonlySet<HoldCode> = new Set<HoldCode>(['coolant', 'bleed', 'cooling-water']);

const holdsOf = (job: Job): readonly Hold[] => {
  const start = jobMayStart(job);
  return start.may ? [] : start.holds;
};
const asGap = (job: Job, hold: Hold): Gap => ({ words: hold.words, at: whereCleared(job, hold) });

/** All that holds the engine, each with where it is cleared. */
export const engineHolds = (job: Job): Gap[] => holdsOf(job).map((hold) => asGap(job, hold));

/** What holds the engine and is missing by the end of refit. */
export const startGaps = (job: Job): Gap[] =>
  holdsOf(job).flatMap((hold) => (LATER.has(hold.code) ? [] : [asGap(job, hold)]));
