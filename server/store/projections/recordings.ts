import { perElement, type Projection } from '../projection.ts';

/** Tables of recorded live data. */
export const RECORDINGS_TABLES: readonly Projection[] = [
  perElement(
    'recording_kept',
    ['id'],
    (job) => job.recordings,
    ({ id, hash, when, startedAt, seconds, readings, from }, job) => [
      { job_id: job.id, id, hash, phase: when, started_at: startedAt, seconds, readings, source: from },
    ],
  ),
  perElement(
    'trace_figure',
    ['recording_id', 'kind'],
    (job) => job.recordings,
    ({ id, when, figures }, job) =>
      // What a figure came to at least is no point of a curve.
      figures.flatMap(({ kind, value, sd, atLeast }) =>
        atLeast === true ? [] : [{ job_id: job.id, recording_id: id, kind, phase: when, value, sd }],
      ),
  ),
];
