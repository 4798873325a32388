import { holdKey } from '../../../core/refit/index.ts';
import { perElement, type Projection } from '../projection.ts';

/** Tables of what was let pass. */
export const START_TABLES: readonly Projection[] = [
  perElement(
    'hold_override',
    ['hold', 'at'],
    (job) => job.overrides,
    ({ holds, reason, by, at }, job) =>
      holds.map((hold) => ({ job_id: job.id, hold: holdKey(hold), words: hold.words, person: by, reason, at })),
  ),
];
