import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';

/** What is still to be decided. */
export const choiceGaps = (job: Job): Gap[] => gap(job.decision === null, 'nothing decided', { stage: 'decide' });
