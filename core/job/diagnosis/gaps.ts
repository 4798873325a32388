import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';

/** What a careful person would still check. */
export const diagnosisGaps = (job: Job): Gap[] =>
  gap(job.planned === null && job.checks.length === 0, 'nothing checked yet', { stage: 'diagnose', spot: 'checks' });
