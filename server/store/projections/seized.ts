import { perElement, type Projection } from '../projection.ts';

/** Tables of seized screws. */
export const SEIZED_TABLES: readonly Projection[] = [
  perElement(
    'seized_screw',
    ['id'],
    (job) => job.seized,
    ({ id, unit, where, thread, host, tried, ended, at }, job) => [
      {
        job_id: job.id,
        id,
        unit,
        place: where,
        thread,
        host,
        rungs: tried.map(({ rung, outcome }) => `${rung}: ${outcome}`).join(', '),
        outcome: ended?.outcome ?? null,
        at,
      },
    ],
  ),
  // The turns of a screw are counted within it: what was tried first is 1.
  perElement(
    'rung_try',
    ['screw_id', 'turn'],
    (job) => job.seized,
    ({ id, tried }, job) =>
      tried.map(({ rung, outcome }, index) => ({ job_id: job.id, screw_id: id, turn: index + 1, rung, outcome })),
  ),
];
