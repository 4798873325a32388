import { gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { jobTally } from '../start/tallies.ts';

/** What strip still wants. */
export const stripGaps = (job: Job): string[] => [
  ...gap(!job.items.some(({ state }) => state !== 'on'), 'nothing is off yet'),
  ...jobTally(job).openingsOpen.map(({ name }) => `${name} is open`),
];
