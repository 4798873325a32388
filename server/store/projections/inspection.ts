import { perElement, type Projection } from '../projection.ts';

/** Tables of what was seen. */
export const INSPECTION_TABLES: readonly Projection[] = [
  perElement(
    'finding',
    ['id'],
    (job) => job.findings,
    ({ id, unit, point, when, grade, text }, job) => [
      {
        job_id: job.id,
        id,
        unit,
        point,
        phase: when,
        grade,
        body: text,
      },
    ],
  ),
  perElement(
    'point_judged',
    ['id'],
    (job) => job.findings,
    ({ id, unit, point, when, at, judged }, job) =>
      judged === undefined
        ? []
        : [
            {
              job_id: job.id,
              id,
              unit,
              kind: judged.kind,
              form: judged.form,
              point,
              which: judged.which,
              phase: when,
              verdict: judged.verdict,
              value: judged.value,
              low: judged.limit?.low ?? null,
              high: judged.limit?.high ?? null,
              source: judged.limit?.source ?? null,
              words: judged.words,
              at,
            },
          ],
  ),
];
