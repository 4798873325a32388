import { perElement, type Projection } from '../projection.ts';

/** Tables of relearn and bleeding. */
export const RUNS_TABLES: readonly Projection[] = [
  perElement(
    'run',
    ['id'],
    (job) => job.runs,
    ({ id, run, closed, at }, job) => [
      {
        job_id: job.id,
        id,
        recipe: run.recipe.name,
        purpose: run.recipe.purpose,
        status: run.status,
        outcome: closed?.outcome ?? null,
        started_at: at,
      },
    ],
  ),
];
