import type { Database } from 'better-sqlite3';
import type { AirReply, Reminder, ReturnLine, StockDetail } from '../../contract/index.ts';
import { type AiringState, USUAL_AIRING } from '../../core/clean/index.ts';
import { prepared } from './prepared.ts';

/** Air is followed for so long after the last spray. */
const AIR_HOURS = 24;
const ROOM_M3 = 180;

type ReleaseRow = Omit<AirReply['releases'][number], 'safety'> & { readonly detail: string | null };

/** The air of the bay, what is to be looked at again, and what lies in the returns box. */
export class BenchStore {
  readonly #db: Database;
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#db = db;
    this.#sql = prepared(db);
  }

  /** What was sprayed in the last day over all jobs, and how the bay was aired. @param now ISO time */
  air(now: string): AirReply {
    const from = new Date(Date.parse(now) - AIR_HOURS * 3_600_000).toISOString();
    const releases = this.#sql<[string], ReleaseRow>(
      `SELECT c.job_id AS jobId, j.number, j.plate, c.substance, c.grams, c.minutes, c.at, s.detail FROM can_use c
         JOIN job_summary j ON j.job_id = c.job_id LEFT JOIN stock s ON s.id = c.stock_id WHERE c.at >= ? ORDER BY c.at, c.id`,
    )
      .all(from)
      .map(({ detail, ...release }) => ({
        ...release,
        safety: detail === null ? null : ((JSON.parse(detail) as StockDetail).safety ?? null),
      }));
    // The state that held when the day began counts from there.
    const before = this.#sql<[string], AirReply['airings'][number]>(
      'SELECT at, person AS "by", state FROM airing WHERE at < ? ORDER BY id DESC LIMIT 1',
    ).all(from);
    const since = this.#sql<[string], AirReply['airings'][number]>(
      'SELECT at, person AS "by", state FROM airing WHERE at >= ? ORDER BY id',
    ).all(from);
    const airings = [...before, ...since];
    return {
      now,
      roomM3: Number(this.#setting('bay-volume-m3') ?? ROOM_M3),
      rates: this.#rates(),
      state: airings.at(-1)?.state ?? 'shut',
      releases,
      airings,
    };
  }

  setAiring(state: AiringState, by: string, at: string): void {
    this.#sql('INSERT INTO airing (at, person, state) VALUES (?, ?, ?)').run(at, by, state);
  }

  /** Sets the volume of the bay and what doors and fan change of its air. Writes an audit row. */
  setRoom(roomM3: number, rates: Readonly<Record<AiringState, number>>, by: string, at: string): void {
    this.#db
      .transaction(() => {
        const put = this.#sql('INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)');
        put.run('bay-volume-m3', String(roomM3));
        put.run('air-rates', JSON.stringify(rates));
        this.#sql('INSERT INTO audit (at, person, kind, subject, body) VALUES (?, ?, ?, ?, ?)').run(
          at,
          by,
          'bay-air',
          'shop',
          JSON.stringify({ roomM3, rates }),
        );
      })
      .immediate();
  }

  #rates(): Readonly<Record<AiringState, number>> {
    const told = this.#setting('air-rates');
    return told === undefined ? USUAL_AIRING : (JSON.parse(told) as Record<AiringState, number>);
  }

  #setting(key: string): string | undefined {
    return this.#sql<[string], { value: string }>('SELECT value FROM setting WHERE key = ?').get(key)?.value;
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
  endReminder(jobId: string, id: string, by: string, at: string, note: string): boolean {
    if (this.#sql('SELECT 1 FROM reminder WHERE job_id = ? AND id = ?').get(jobId, id) === undefined) return false;
    this.#sql('INSERT OR IGNORE INTO reminder_done (job_id, id, at, person, note) VALUES (?, ?, ?, ?, ?)').run(
      jobId,
      id,
      at,
      by,
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
  sendReturn(jobId: string, id: string, by: string, at: string, note: string): boolean {
    if (this.#sql('SELECT 1 FROM unit_replaced WHERE job_id = ? AND id = ?').get(jobId, id) === undefined) return false;
    this.#sql('INSERT OR IGNORE INTO return_sent (job_id, id, at, person, note) VALUES (?, ?, ?, ?, ?)').run(
      jobId,
      id,
      at,
      by,
      note,
    );
    return true;
  }
}
