import type { Database } from 'better-sqlite3';
import type { Reminder, ReturnLine } from '../../contract/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { type PageAsk, readPage, type ReadPage } from './pages.ts';
import { prepared } from './prepared.ts';

/** Those without a day come last. */
export const REMINDER_ORDER = ['o.due', 'o.job_id', 'o.id'] as const;
/** The columns that the returns box is in order by. */
export const RETURN_ORDER = ['u.at', 'u.job_id', 'u.id'] as const;

/** What is to be looked at again, and what lies in the returns box. */
export class FollowUps {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** Open reminders; of one vehicle when it is named. @param dueBy ISO day; null for those of any day and of none */
  reminders(vehicleId: string | null, dueBy: string | null, ask: PageAsk): ReadPage<Reminder> {
    return readPage<Reminder>(
      this.#sql,
      {
        select: `SELECT r.job_id AS jobId, r.id, j.number, r.vehicle_id AS vehicleId, j.plate, r.what, r.due_on AS dueOn,
            r.due_reading AS dueReading, r.reading_unit AS readingUnit
          FROM reminder_open o JOIN reminder r ON r.job_id = o.job_id AND r.id = o.id JOIN job_summary j ON j.job_id = o.job_id`,
        where: [
          ...(vehicleId === null ? [] : [{ sql: 'o.vehicle_id = ?', values: [vehicleId] }]),
          ...(dueBy === null ? [] : [{ sql: 'o.due <= ?', values: [dueBy] }]),
        ],
        order: REMINDER_ORDER,
      },
      ask,
    );
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

  /** Units that came off for good, with why. */
  returns(ask: PageAsk): ReadPage<ReturnLine> {
    return readPage<ReturnLine>(
      this.#sql,
      {
        select: `SELECT u.job_id AS jobId, u.id, j.number, j.plate, u.old_unit AS oldUnit, u.old_number AS oldNumber, u.fail_code AS failCode,
            u.fail_note AS failNote, u.part_number AS newNumber, u.supplier, u.warranty_until AS warrantyUntil, u.at, s.at AS sentAt
          FROM unit_replaced u JOIN job_summary j ON j.job_id = u.job_id LEFT JOIN return_sent s ON s.job_id = u.job_id AND s.id = u.id`,
        where: [],
        order: RETURN_ORDER,
      },
      ask,
    );
  }

  /** How often each fail code came. */
  failCodes(): { code: string; count: number }[] {
    return this.#sql<[], { code: string; count: number }>(
      'SELECT fail_code AS code, COUNT(*) AS count FROM unit_replaced GROUP BY fail_code ORDER BY count DESC, code',
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
