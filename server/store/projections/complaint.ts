import { perElement, type Projection } from '../projection.ts';
import { isLooseUnit } from '../../../core/vehicle/index.ts';

/** Tables of what was told and read. */
export const COMPLAINT_TABLES: readonly Projection[] = [
  perElement(
    'told',
    ['id'],
    (job) => job.told,
    ({ id, text, at }, job) => [{ job_id: job.id, id, body: text, at }],
  ),
  perElement(
    'sign_noted',
    ['id'],
    (job) => job.signs,
    ({ id, sign, outcome, source, words }, job) => [{ job_id: job.id, id, sign, outcome, source, words }],
  ),
  perElement(
    'code',
    ['id'],
    (job) => job.codes,
    ({ id, code, when, status }, job) => [{ job_id: job.id, id, code, phase: when, status }],
  ),
  {
    table: 'live_value',
    key: ['id', 'pid'],
    from: (job) => [job.values, job.frames],
    rows: (job) => [
      ...job.values.flatMap(({ id, when, values, at }) =>
        values.map(({ pid, name, value, unit }) => ({
          job_id: job.id,
          id,
          pid,
          code: null,
          phase: when,
          name,
          value,
          unit,
          at,
        })),
      ),
      ...job.frames.flatMap(({ id, code, values, at }) =>
        values.map(({ pid, name, value, unit }) => ({
          job_id: job.id,
          id,
          pid,
          code,
          phase: 'frame',
          name,
          value,
          unit,
          at,
        })),
      ),
    ],
  },
  perElement(
    'clearing',
    ['id'],
    (job) => job.clearings,
    ({ id, codes, from, ended, at }, job) => [
      {
        job_id: job.id,
        id,
        codes: codes.join(' '),
        origin: from,
        outcome: ended?.outcome ?? null,
        at,
      },
    ],
  ),
  {
    table: 'vehicle_reading',
    key: [],
    from: (job) => [job.reading, job.vehicle],
    // A loose unit has no meter.
    rows: (job) =>
      isLooseUnit(job.vehicle)
        ? []
        : [
            {
              job_id: job.id,
              vehicle_id: job.vehicle.id,
              value: job.reading.value,
              unit: job.reading.unit,
              at: job.opened.at,
            },
          ],
  },
];
