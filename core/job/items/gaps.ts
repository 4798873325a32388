import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { closerOf } from './query.ts';
import type { JobItem } from './state.ts';
import { jobTally } from '../start/tallies.ts';

/** What strip still wants. */
export const stripGaps = (job: Job): Gap[] => [
  ...gap(!job.items.some(({ state }) => state !== 'on'), 'nothing is off yet', { stage: 'strip' }),
  ...jobTally(job).openingsOpen.map(({ id, name }) => ({
    words: `${name} is open`,
    at: { stage: 'strip' as const, ...itemOn(closerOf(job, id)) },
  })),
];

const itemOn = (item: JobItem | undefined): { readonly item?: string } => (item === undefined ? {} : { item: item.id });
