import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';

/** What cleaning still wants. */
export const cleaningGaps = (job: Job): Gap[] => [
  ...gap(job.passes.length === 0, 'no pass done', { stage: 'clean', spot: 'passes' }),
  ...gap(job.passes.length > 0 && job.cleaners.length === 0, 'can not weighed', { stage: 'clean', spot: 'can' }),
  ...job.seized.flatMap(({ where, ended }) => gap(ended === null, `${where} is still seized`, { stage: 'clean' })),
];
