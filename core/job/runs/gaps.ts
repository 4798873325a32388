import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';

/** Whether a relearn took. */
export const relearnGaps = (job: Job): Gap[] =>
  gap(
    !job.runs.some(({ run, closed }) => run.recipe.purpose === 'relearn' && closed?.outcome === 'took'),
    'no relearn took',
    { stage: 'relearn' },
  );
