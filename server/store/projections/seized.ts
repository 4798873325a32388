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
];
