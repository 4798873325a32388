import { gap } from '../gap.ts';
import type { Job } from '../job.ts';

/** What cleaning still wants. */
export const cleaningGaps = (job: Job): string[] => [
  ...gap(job.passes.length === 0, 'no pass done'),
  ...gap(job.passes.length > 0 && job.cleaners.length === 0, 'can not weighed'),
  ...job.seized.flatMap(({ where, ended }) => gap(ended === null, `${where} is still seized`)),
];
