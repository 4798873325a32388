import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';

/** Relearn and bleeding: which, how each attempt ended, and why. */
export const runRows = (job: Job, say: Speaker): SheetRow[] =>
  job.runs.map(({ run, closed, at }) =>
    row(
      run.recipe.name,
      closed === null ? 'open' : closed.outcome,
      [say.time(at), closed?.why ?? '', `source: ${sourceWords(run.recipe)}`].filter(Boolean).join(' · '),
    ),
  );
