import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { allNeeds, needState } from './needs.ts';

/** What is not ready yet. */
export const needsGaps = (job: Job): Gap[] => [
  ...gap(job.procedure === null && job.withoutProcedure === null, 'no procedure chosen', { stage: 'prepare' }),
  ...allNeeds(job)
    .filter(({ id }) => needState(job, id)?.state !== 'ready')
    .map(({ name }) => ({ words: `${name} not ready`, at: { stage: 'prepare', spot: 'needs' } as const })),
];
