import { gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { allNeeds, needState } from './needs.ts';

/** What is not ready yet. */
export const needsGaps = (job: Job): string[] => [
  ...gap(job.procedure === null, 'no procedure chosen'),
  ...allNeeds(job)
    .filter(({ id }) => needState(job, id)?.state !== 'ready')
    .map(({ name }) => `${name} not ready`),
];
