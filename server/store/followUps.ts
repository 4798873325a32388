import type { Database } from 'better-sqlite3';
import type { Reminder, ReturnLine } from '../../contract/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { prepared } from './prepared.ts';

/** What is to be looked at again, and what lies in the returns box. */
export class FollowUps {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** Open reminders, soonest first; of one vehicle when it is named. */
  reminders(vehicleId: string | null): Reminder[] {
    return this.#sql<[string | null, string | null], Reminder>(
      `SELECT r.job_id AS jobId, r.id, j.number, r.vehicle_id AS vehicleId, j.plate, r.what, r.due_on AS dueOn,
           r.due_reading AS dueReading, r.reading_unit AS readingUnit
         FROM reminder r JOIN job_summary j ON j.job_id = r.job_id
         WHERE (? IS NULL OR r.vehicle_id = ?) AND NOT EXISTS (SELECT 1 FROM reminder_done d WHERE d.job_id = r.job_id AND d.id = r.id)
         ORDER BY r.due_on IS NULL, r.due_on, j.number LIMIT 500`,
    ).all(vehicleId, vehicleId);
  }

  /** @returns false when there is no such reminder */
  endReminder(jobId: string, id: string, note: string, who: Stamp): boolean {
    if (this.#sql('SELECT 1 FROM reminder WHERE job_id = ? AND id = ?').get(jobId, id) === undefined) return false;
    this.#sql('INSERT OR IGNORE INTO reminder_done (job_id, id, at, person, note) VALUES (?, ?, ?, ?, ?)').run(
      jobId,
      id,
      who.at,
      who.by,
      note,
    );
    return true;
  }

  /** Units that came off for good, with why; newest first. */
  returns(): ReturnLine[] {
    return this.#sql<[], ReturnLine>(
      `SELECT u.job_id AS jobId, u.id, j.number, j.plate, u.old_unit AS oldUnit, u.old_number AS oldNumber, u.fail_code AS failCode,
           u.fail_note AS failNote, u.part_number AS newNumber, u.supplier, u.warranty_until AS warrantyUntil, u.at, s.at AS sentAt
         FROM unit_replaced u JOIN job_summary j ON j.job_id = u.job_id LEFT JOIN return_sent s ON s.job_id = u.job_id AND s.id = u.id
         ORDER BY u.at DESC LIMIT 200`,
    ).all();
  }

  /** @returns false when there is no such unit in the box */
  sendReturn(jobId: string, id: string, note: string, who: Stamp): boolean {
    if (this.#sql('SELECT 1 FROM unit_replaced WHERE job_id = ? AND id = ?').get(jobId, id) === undefined) return false;
    this.#sql('INSERT OR IGNORE INTO return_sent (job_id, id, at, person, note) VALUES (?, ?, ?, ?, ?)').run(
      jobId,
      id,
      who.at,
      who.by,
      note,
    );
    return true;
  }
}
