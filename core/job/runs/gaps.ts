import { type Gap, gap } from '../gap.ts';
import type { Job } from '../job.ts';

/** Whether a relearn took. */
export const relearnGaps = (job: Job): Gap[] =>
  gap(
    !job.runs.some(
      ({ run: { recipe }, closed }) =>
        recipe.purpose === 'relearn' &&
        // What adapts by itself is an open point of its own until somebody has looked again.
        (closed === null ? recipe.way === 'itself' : closed.outcome === 'took' || closed.outcome === 'not needed'),
    ),
    'no relearn took',
    { stage: 'relearn' },
  );
