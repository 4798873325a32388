import type { Database } from 'better-sqlite3';
import type { JobSort, JobSummary, OnOrderLine } from '../../contract/index.ts';
import { holding, soughtIn } from './matching.ts';
import { type PageAsk, readPage, type ReadPage } from './pages.ts';
import { prepared } from './prepared.ts';
import type { Search } from './search.ts';

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
  readonly assigned: string | null;
  readonly aside_until: string | null;
  readonly aside_why: string | null;
  readonly cancelled: string | null;
}

/** By what jobs can be put in order, and the columns of each order. */
const ORDERS: Readonly<Record<JobSort, readonly string[]>> = {
  number: ['number'],
  last: ['last_at', 'number'],
  plate: ['plate', 'number'],
};

/** Which jobs are asked for. */
export interface JobFilter {
  readonly text: string;
  readonly status: 'open' | 'closed' | 'all';
  readonly vehicleId: string | undefined;
}

/** Jobs as lines, read from the projections. */
export class JobLines {
  readonly #sql: Database['prepare'];

  readonly #search: Search;

  constructor(db: Database, search: Search) {
    this.#sql = prepared(db);
    this.#search = search;
  }

  /** Open jobs by part number that they still want of what lies here: not used up, and not on order for themselves. */
  wanted(): { partNumber: string; jobId: string; number: number }[] {
    return this.#sql<[], { partNumber: string; jobId: string; number: number }>(
      `SELECT w.part_number AS partNumber, w.job_id AS jobId, w.number FROM job_want w
         WHERE w.part_key <> '' AND w.kind IN ('part', 'consumable') AND w.state <> 'ordered'
           AND NOT EXISTS (SELECT 1 FROM consumption c WHERE c.job_id = w.job_id AND c.part_key = w.part_key)
         ORDER BY w.part_number, w.number`,
    ).all();
  }

  /** Needs of open jobs that are on their way, the longest awaited first. @param partKeys of these numbers only; null for all */
  onOrder(partKeys: readonly string[] | null): OnOrderLine[] {
    return this.#sql<[{ keys: string | null }], OnOrderLine>(
      `SELECT n.job_id AS jobId, j.number, j.plate, n.need_id AS needId, n.name, n.part_number AS partNumber, n.quantity, n.expected
       FROM need_state n JOIN job_summary j ON j.job_id = n.job_id
       WHERE n.state = 'ordered' AND j.status = 'open' AND (:keys IS NULL OR n.part_key IN (SELECT value FROM json_each(:keys)))
       ORDER BY n.expected IS NULL, n.expected, j.number, n.need_id`,
    ).all({ keys: partKeys === null ? null : JSON.stringify(partKeys) });
  }

  /** The jobs on a vehicle, oldest first. */
  on(vehicleId: string): string[] {
    return this.#sql<[string], { job_id: string }>(
      'SELECT job_id FROM job_summary WHERE vehicle_id = ? ORDER BY number',
    )
      .all(vehicleId)
      .map(({ job_id }) => job_id);
  }

  /** The open jobs that somebody has, oldest first. */
  assignedTo(person: string): { jobId: string; number: number }[] {
    return this.#sql<[string], { jobId: string; number: number }>(
      "SELECT job_id AS jobId, number FROM job_summary WHERE assigned = ? AND status = 'open' ORDER BY number",
    ).all(person);
  }

  /** How many open jobs have something off. */
  opened(): number {
    return this.#sql<[], { opened: number }>(
      "SELECT COUNT(*) AS opened FROM job_summary WHERE status = 'open' AND items_off > 0",
    ).get()!.opened;
  }

  /** A page of jobs. */
  page(filter: JobFilter, sort: JobSort, ask: PageAsk): ReadPage<JobSummary> {
    const sought = filter.text === '' ? null : soughtIn(filter.text);
    const few = sought === null ? null : this.#search.few('job', sought);
    const { rows, next } = readPage<SummaryRow>(
      this.#sql,
      {
        select: 'SELECT * FROM job_summary',
        where: [
          ...(filter.status === 'all' ? [] : [{ sql: 'status = ?', values: [filter.status] }]),
          ...(filter.vehicleId === undefined ? [] : [{ sql: 'vehicle_id = ?', values: [filter.vehicleId] }]),
          ...(few === null
            ? []
            : [{ sql: 'job_id IN (SELECT value FROM json_each(?))', values: [JSON.stringify(few)] }]),
          ...(sought === null ? [] : [holding(sought, 'search')]),
        ],
        order: ORDERS[sort],
      },
      ask,
    );
    return { rows: rows.map(toSummary), next };
  }

  /** How many values a key of that order has. */
  keyLength(sort: JobSort): number {
    return ORDERS[sort].length;
  }

  /** Every open job, by number: as many as a shop has room for. */
  open(only?: string): JobSummary[] {
    return this.#sql<[string | null, string | null], SummaryRow>(
      "SELECT * FROM job_summary WHERE status = 'open' AND (? IS NULL OR job_id = ?) ORDER BY number",
    )
      .all(only ?? null, only ?? null)
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
  assigned: row.assigned,
  aside: row.aside_why === null ? null : { until: row.aside_until, why: row.aside_why },
  cancelled: row.cancelled,
});
