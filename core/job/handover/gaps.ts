import { WASTE_KINDS } from '../../clean/index.ts';
import { wasteDue } from '../cleaning/due.ts';
import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { endSteps } from '../needs/needs.ts';

/** What is still to be done before the vehicle goes. */
export const handoverGaps = (job: Job): Gap[] => [
  ...gap(job.handOver === null, 'not handed over', { stage: 'hand-over' }),
  ...wasteDue(job).map(({ kind }) => ({
    words: `${WASTE_KINDS[kind].name.toLowerCase()} not taken away`,
    at: { stage: 'clean', spot: 'waste' } as const,
  })),
  ...endSteps(job).flatMap(({ words, done }) =>
    gap(!done, `not yet: ${words.toLowerCase()}`, { stage: 'refit', spot: 'last' }),
  ),
];
