import { CHOICES, currentStage, type Job, jobMayStart, jobTally } from '../../../core/job/index.ts';
import { vehicleName } from '../../../core/vehicle/index.ts';
import type { Projection, Row } from '../projection.ts';

const DAY_MS = 86_400_000;

/** When a recheck falls due; only a job that was handed over reminds of anything. */
const reminders = (job: Job): readonly Row[] =>
  job.handOver === null
    ? []
    : job.rechecks.map(({ id, what, days, use }) => ({
        job_id: job.id,
        id,
        vehicle_id: job.vehicle.id,
        what,
        due_on:
          days === null
            ? null
            : new Date(Date.parse(job.handOver?.at ?? '') + days * DAY_MS).toISOString().slice(0, 10),
        due_reading: use === null ? null : job.reading.value + use,
        reading_unit: job.reading.unit,
      }));

/** Tables of how far a job is. */
export const HANDOVER_TABLES: readonly Projection[] = [
  {
    table: 'job_summary',
    key: [],
    from: (job) => [job],
    rows: (job) => [
      {
        job_id: job.id,
        number: job.number,
        vehicle_id: job.vehicle.id,
        plate: job.vehicle.plate,
        name: vehicleName(job.vehicle),
        status: job.status,
        stage: currentStage(job),
        opened_at: job.opened.at,
        last_at: job.lastAt,
        last_words: job.last?.words ?? '',
        last_by: job.last?.by ?? '',
        reading: job.reading.value,
        reading_unit: job.reading.unit,
        decision: job.decision === null ? '' : CHOICES[job.decision.choice],
        items_off: jobTally(job).itemsOff.length,
        held: jobMayStart(job).may ? 0 : 1,
        version: job.version,
      },
    ],
  },
  {
    table: 'reminder',
    key: ['id'],
    from: (job) => [job.rechecks, job.handOver, job.reading],
    rows: reminders,
  },
];
