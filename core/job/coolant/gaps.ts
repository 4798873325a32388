import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';
import type { WhereTo } from '../whereTo.ts';
import { openedHoses } from './account.ts';
import { jobCoolantQuestions } from '../start/tallies.ts';

const BOOK: WhereTo = { stage: 'coolant', spot: 'book' };

/** What the coolant still wants. */
export function coolantGaps(job: Job): Gap[] {
  const wet = job.coolant.length > 0 || openedHoses(job).length > 0;
  return [
    ...gap(wet && job.coolant.length === 0, 'coolant came out but no amount is noted', BOOK),
    ...jobCoolantQuestions(job).map((words) => ({ words, at: BOOK })),
    ...gap(job.coolant.length > 0 && !job.levels.some(({ when }) => when === 'cold'), 'level not checked cold', {
      stage: 'coolant',
      spot: 'level',
    }),
  ];
}
