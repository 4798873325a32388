import type { Database } from 'better-sqlite3';
import type { EarlierJob } from '../../core/job/index.ts';
import type { OptionId } from '../../core/diagnose/index.ts';
import type { MeterUnit } from '../../core/vehicle/index.ts';

/** Jobs that are looked at, newest first. */
const LOOKED_AT = 12;

/** What this shop decided and handed over on a vehicle before, newest first. */
export function earlierJobs(db: Database, vehicleId: string, complaintOf: (jobId: string) => string): EarlierJob[] {
  return db
    .prepare<
      [string, number],
      { id: string; number: number; choice: OptionId; closed_at: string; value: number; unit: MeterUnit }
    >(
      `SELECT d.job_id AS id, j.number, d.choice, d.closed_at, j.reading AS value, j.reading_unit AS unit
       FROM job_decision d JOIN job_summary j ON j.job_id = d.job_id
       WHERE d.vehicle_id = ? AND d.closed_at IS NOT NULL ORDER BY d.opened_at DESC LIMIT ?`,
    )
    .all(vehicleId, LOOKED_AT)
    .map(({ id, number, choice, closed_at, value, unit }) => ({
      jobId: id,
      number,
      option: choice,
      closedAt: closed_at,
      reading: { value, unit },
      complaint: complaintOf(id),
    }));
}
