import { perElement, type Projection } from '../projection.ts';

/** Tables of what was checked. */
export const DIAGNOSIS_TABLES: readonly Projection[] = [
  perElement(
    'check_result',
    ['id'],
    (job) => job.checks,
    ({ id, check, name, outcome, verdict, when, result, typed, at }, job) => [
      {
        job_id: job.id,
        id,
        kind: check,
        name,
        outcome,
        verdict,
        phase: when,
        result,
        typed: typed.join(' ; '),
        at,
      },
    ],
  ),
  perElement(
    'check_passed_over',
    ['id'],
    (job) => job.passedOver,
    ({ id, check, why }, job) => [{ job_id: job.id, id, kind: check, why }],
  ),
  perElement(
    'variant_compared',
    ['id'],
    (job) => job.variants,
    ({ id, kind, place, verdict, words }, job) => [{ job_id: job.id, id, kind, place, verdict, words }],
  ),
];
