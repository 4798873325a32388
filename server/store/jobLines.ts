import type { Database } from 'better-sqlite3';
import type { JobSummary } from '../../contract/index.ts';
import { prepared } from './prepared.ts';

interface SummaryRow {
  readonly job_id: string;
  readonly number: number;
  readonly vehicle_id: string;
  readonly plate: string;
  readonly name: string;
  readonly status: JobSummary['status'];
  readonly stage: JobSummary['stage'];
  readonly opened_at: string;
  readonly last_at: string;
  readonly last_words: string;
  readonly last_by: string;
  readonly reading: number;
  readonly reading_unit: JobSummary['readingUnit'];
  readonly decision: string;
  readonly items_off: number;
  readonly held: number;
}

/** Jobs as lines, read from the projections. */
export class JobLines {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** Open jobs by part number that they still want of what lies here: not used up, and not on order for themselves. */
  wanted(): { partNumber: string; jobId: string; number: number }[] {
    return this.#sql<[], { partNumber: string; jobId: string; number: number }>(
      `SELECT n.part_number AS partNumber, n.job_id AS jobId, j.number FROM need_state n
         JOIN job_summary j ON j.job_id = n.job_id AND j.status = 'open'
         WHERE n.part_key <> '' AND n.kind IN ('part', 'consumable') AND n.state <> 'ordered'
           AND NOT EXISTS (SELECT 1 FROM consumption c WHERE c.job_id = n.job_id AND c.part_key = n.part_key)
         ORDER BY n.part_number, j.number`,
    ).all();
  }

  list(filter: {
    status: 'open' | 'closed' | 'all';
    vehicleId?: string | undefined;
    before?: number | undefined;
    limit: number;
  }): JobSummary[] {
    return this.#sql<unknown[], SummaryRow>(
      `SELECT * FROM job_summary WHERE (? = 'all' OR status = ?) AND (? IS NULL OR vehicle_id = ?) AND (? IS NULL OR number < ?) ORDER BY number DESC LIMIT ?`,
    )
      .all(
        filter.status,
        filter.status,
        filter.vehicleId ?? null,
        filter.vehicleId ?? null,
        filter.before ?? null,
        filter.before ?? null,
        filter.limit,
      )
      .map(toSummary);
  }
}

const toSummary = (row: SummaryRow): JobSummary => ({
  id: row.job_id,
  number: row.number,
  vehicleId: row.vehicle_id,
  plate: row.plate,
  name: row.name,
  status: row.status,
  stage: row.stage,
  openedAt: row.opened_at,
  lastAt: row.last_at,
  lastWords: row.last_words,
  lastBy: row.last_by,
  reading: row.reading,
  readingUnit: row.reading_unit,
  decision: row.decision,
  itemsOff: row.items_off,
  held: row.held === 1,
});
