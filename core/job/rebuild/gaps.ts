import { gap } from '../gap.ts';
import type { Job } from '../job.ts';

/** What rebuilding still wants. */
export const rebuildGaps = (job: Job): string[] => [
  ...gap(job.seals.length === 0, 'gaskets and seals not decided'),
  ...job.pieces.flatMap(({ what, place, returned }) => gap(returned === null, `${what} of ${place} still lies apart`)),
];
