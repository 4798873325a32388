import type { Database } from 'better-sqlite3';
import type { BehindJob, Report, ReportRow, ReportTable } from '../../../contract/index.ts';
import { addDays, instantOf, lastOfMonth } from '../../../core/days/index.ts';
import { prepared } from '../prepared.ts';
import type { Settings } from '../settings.ts';
import { airTable, type SprayRow, weekOf, weeksOf } from './airTable.ts';
import { type SqlRow, stageRank, TABLES, type TableSpec } from './tables.ts';

interface Between {
  readonly from: string;
  readonly to: string;
}
/** So many jobs are shown behind a figure. */
const MOST_BEHIND = 500;

/** A month or a year of the shop, summed up from the columns that are kept with each entry. */
export class Reports {
  readonly #sql: Database['prepare'];
  readonly #settings: Settings;

  constructor(db: Database, settings: Settings) {
    this.#sql = prepared(db);
    this.#settings = settings;
  }

  /** @param period `2026-05` or `2026` */
  of(period: string): Report {
    const between = this.#between(period);
    const tables = TABLES.map((spec) => this.#table(spec, between));
    const air = airTable(this.#sprays(between), this.#room(), weeksOf(between, this.#settings.timeZone()));
    const at = tables.findIndex(({ id }) => id === 'seals');
    return { period, ...between, figures: this.#figures(between), tables: tables.toSpliced(at, 0, air) };
  }

  /** The jobs behind a row; null for a table that there is not. */
  behind(period: string, table: string, key: string): BehindJob[] | null {
    const between = this.#between(period);
    if (table === 'air') {
      const weeks = weeksOf(between, this.#settings.timeZone());
      const week = this.#sprays(between).filter(({ at }) => weekOf(at, weeks) === key);
      return [...new Map(week.map(({ jobId, number, plate }) => [jobId, { jobId, number, plate }])).values()];
    }
    const spec = TABLES.find(({ id }) => id === table);
    if (spec === undefined) return null;
    return this.#sql<[Between & { key: string }], BehindJob>(spec.behind)
      .all({ ...between, key })
      .slice(0, MOST_BEHIND);
  }

  /** The time of a period: by the days of the shop. */
  #between(period: string): Between {
    const zone = this.#settings.timeZone();
    const [year = '', month] = period.split('-');
    const first = month === undefined ? `${year}-01-01` : `${year}-${month}-01`;
    const last = month === undefined ? `${year}-12-31` : lastOfMonth(Number(year), Number(month));
    const start = (day: string): string => instantOf(day, 0, zone);
    return { from: start(first), to: start(addDays(last, 1)) };
  }

  #table({ id, title, note, columns, sql, words = (row) => row }: TableSpec, between: Between): ReportTable {
    const rows = this.#sql<[Between], SqlRow>(sql).all(between);
    const ordered =
      id === 'times' ? rows.toSorted((a, b) => stageRank(String(a.key)) - stageRank(String(b.key))) : rows;
    return {
      id,
      title,
      note,
      columns,
      rows: ordered.map((row): ReportRow => {
        const said = words(row);
        return {
          key: String(row.key),
          cells: Object.fromEntries(columns.map(({ id: column }) => [column, said[column] ?? null])),
        };
      }),
    };
  }

  #figures(between: Between): Report['figures'] {
    const one = <T>(sql: string): T => this.#sql<[Between], T>(sql).get(between) as T;
    const opened = one<{ n: number }>(
      'SELECT COUNT(*) AS n FROM job_summary WHERE opened_at >= :from AND opened_at < :to',
    ).n;
    const closed = one<{ n: number; back: number | null; total: number | null }>(
      'SELECT COUNT(*) AS n, SUM(reopened > 0) AS back, SUM(total_minor) AS total FROM visit WHERE closed_at >= :from AND closed_at < :to',
    );
    const hours = one<{ minutes: number | null }>(
      `SELECT SUM(minutes) AS minutes FROM work_stretch
       WHERE ended_at >= :from AND ended_at < :to`,
    );
    const kept = one<{ kept: number | null; n: number }>(
      `SELECT COUNT(*) AS n, SUM(v.closed_at <= j.promised) AS kept FROM visit v JOIN job_summary j ON j.job_id = v.job_id
       WHERE v.closed_at >= :from AND v.closed_at < :to AND j.promised IS NOT NULL`,
    );
    return [
      { id: 'opened', name: 'Jobs opened', value: opened, kind: 'count' },
      { id: 'closed', name: 'Handed over', value: closed.n, kind: 'count' },
      { id: 'back', name: 'Came back', value: closed.back ?? 0, kind: 'count' },
      { id: 'hands', name: 'By hand', value: hours.minutes ?? 0, kind: 'minutes' },
      { id: 'kept', name: 'Promises kept', value: kept.n === 0 ? null : (kept.kept ?? 0) / kept.n, kind: 'percent' },
      { id: 'total', name: 'Charged', value: closed.total ?? 0, kind: 'money' },
    ];
  }

  #sprays(between: Between): SprayRow[] {
    return this.#sql<[Between], SprayRow>(
      `SELECT c.job_id AS jobId, j.number, j.plate, c.substance, c.grams, c.minutes, c.at FROM can_use c
       JOIN job_summary j ON j.job_id = c.job_id WHERE c.at >= :from AND c.at < :to ORDER BY c.at, c.id`,
    ).all(between);
  }

  #room(): { readonly m3: number; readonly changes: number } {
    return { m3: this.#settings.read('bay-volume-m3'), changes: this.#settings.read('air-rates').door };
  }
}
