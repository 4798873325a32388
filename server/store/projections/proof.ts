import { perElement, type Projection } from '../projection.ts';

/** Tables of what was measured. */
export const PROOF_TABLES: readonly Projection[] = [
  perElement(
    'measurement',
    ['id'],
    (job) => job.measurements,
    ({ id, kind, when, value, at }, job) => [{ job_id: job.id, id, kind, phase: when, value, at }],
  ),
];
