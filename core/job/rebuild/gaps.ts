import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';

/** What rebuilding still wants. */
export const rebuildGaps = (job: Job): Gap[] => [
  ...gap(job.seals.length === 0, 'gaskets and seals not decided', { stage: 'rebuild', spot: 'seals' }),
  ...job.pieces.flatMap(({ what, place, returned }) =>
    gap(returned === null, `${what} of ${place} still lies apart`, { stage: 'rebuild', spot: 'pieces' }),
  ),
];
