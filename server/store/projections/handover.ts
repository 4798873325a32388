import { addDays, dayOf } from '../../../core/days/index.ts';
import { CHOICES, currentStage, type Job, jobMayStart, jobTally } from '../../../core/job/index.ts';
import { vehicleName } from '../../../core/vehicle/index.ts';
import { searchText } from '../../../core/words/index.ts';
import type { Projection, Row } from '../projection.ts';

/** When a recheck falls due; only a job that was handed over reminds of anything. */
const reminders = ({ id: jobId, handOver, rechecks, vehicle, reading }: Job, timeZone: string): readonly Row[] =>
  handOver === null
    ? []
    : rechecks.map(({ id, what, days, use }) => ({
        job_id: jobId,
        id,
        vehicle_id: vehicle.id,
        what,
        due_on: days === null ? null : addDays(dayOf(handOver.at, timeZone), days),
        due_reading: use === null ? null : reading.value + use,
        reading_unit: reading.unit,
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
        assigned: job.assigned?.to ?? null,
        aside_until: job.aside?.until ?? null,
        aside_why: job.aside?.why ?? null,
        cancelled: job.cancelled?.why ?? null,
        promised: job.promise?.ready ?? null,
        promised_told: job.promise?.told ?? null,
        search: searchText(
          [String(job.number), vehicleName(job.vehicle), job.vehicle.engine, job.vehicle.owner],
          [job.vehicle.plate, job.vehicle.vin],
        ),
      },
    ],
  },
  {
    table: 'reminder',
    key: ['id'],
    from: (job) => [job.rechecks, job.handOver, job.reading, job.vehicle],
    rows: reminders,
  },
];
