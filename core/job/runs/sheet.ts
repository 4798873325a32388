import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import { stepsLeftOut } from '../../relearn/index.ts';
import type { Job } from '../job.ts';

/** Relearn and bleeding: which, how each attempt ended and why, what was read out at the end, and what was left out. */
export const runRows = (job: Job, say: Speaker): SheetRow[] =>
  job.runs.map(({ run, closed, at }) =>
    row(
      run.recipe.name,
      closed === null ? 'open' : closed.outcome,
      [
        say.time(at),
        closed?.why ?? '',
        ...run.texts.map(({ text }) => `it said “${text}”`),
        ...(closed === null
          ? []
          : stepsLeftOut(run).map(({ step, why }) => `left out: ${step.title}${why === '' ? '' : `, ${why}`}`)),
        `source: ${sourceWords(run.recipe)}`,
      ]
        .filter(Boolean)
        .join(' · '),
    ),
  );
