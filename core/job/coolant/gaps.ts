import { gap } from '../gap.ts';
import type { Job } from '../job.ts';
import { jobCoolantQuestions } from '../start/tallies.ts';

/** What the coolant still wants. */
export function coolantGaps(job: Job): string[] {
  const wet = job.coolant.length > 0 || job.items.some(({ kind, state }) => kind === 'coolant-hose' && state !== 'on');
  return [
    ...gap(wet && job.coolant.length === 0, 'coolant came out but no amount is noted'),
    ...jobCoolantQuestions(job),
    ...gap(job.coolant.length > 0 && !job.levels.some(({ when }) => when === 'cold'), 'level not checked cold'),
  ];
}
