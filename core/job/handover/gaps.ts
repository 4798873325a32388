import { WASTE_KINDS } from '../../clean/index.ts';
import { wasteDue } from '../cleaning/due.ts';
import { gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { endSteps } from '../needs/needs.ts';

/** What is still to be done before the vehicle goes. */
export const handoverGaps = (job: Job): string[] => [
  ...gap(job.handOver === null, 'not handed over'),
  ...wasteDue(job).map(({ kind }) => `${WASTE_KINDS[kind].name.toLowerCase()} not taken away`),
  ...endSteps(job).flatMap(({ words, done }) => (done ? [] : [`not yet: ${words.toLowerCase()}`])),
];
