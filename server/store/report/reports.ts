import type { Database } from 'better-sqlite3';
import type { BehindJob, Report, ReportRow, ReportTable } from '../../../contract/index.ts';
import { addDays, instantOf, isDay, lastOfMonth } from '../../../core/days/index.ts';
import { prepared } from '../prepared.ts';
import type { Settings } from '../settings.ts';
import { airTable, type SprayRow, weeksOf } from './airTable.ts';
import { type SqlRow, stageRank, TABLES, type TableSpec } from './tables.ts';

interface Between {
  readonly from: string;
  readonly to: string;
}
const later = (a: string, b: string): string => (a > b ? a : b);
const earlier = (a: string, b: string): string => (a < b ? a : b);
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
    const at = tables.findIndex(({ id }) => id === 'seals');
    return { period, ...between, figures: this.#figures(between), tables: tables.toSpliced(at, 0, this.#air(between)) };
  }

  /** One table of a period by itself; null for a table that there is not. */
  table(period: string, id: string): ReportTable | null {
    const between = this.#between(period);
    if (id === 'air') return this.#air(between);
    const spec = TABLES.find((each) => each.id === id);
    return spec === undefined ? null : this.#table(spec, between);
  }

  #air(between: Between): ReportTable {
    return airTable(this.#sprays(between), this.#room(), weeksOf(between, this.#settings.timeZone()));
  }

  /** The jobs behind a row; null for a table that there is not. */
  behind(period: string, table: string, key: string): BehindJob[] | null {
    const between = this.#between(period);
    if (table === 'air') {
      if (!isDay(key)) return [];
      const zone = this.#settings.timeZone();
      const week = { from: instantOf(key, 0, zone), to: instantOf(addDays(key, 7), 0, zone) };
      return this.#sql<[Between], BehindJob>(
        `SELECT DISTINCT c.job_id AS jobId, j.number, j.plate FROM can_use c JOIN job_summary j ON j.job_id = c.job_id
         WHERE c.at >= :from AND c.at < :to ORDER BY j.number`,
      ).all({ from: later(week.from, between.from), to: earlier(week.to, between.to) });
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
      `SELECT job_id AS jobId, substance, grams, minutes, at FROM can_use
       WHERE at >= :from AND at < :to ORDER BY at, id`,
    ).all(between);
  }

  #room(): { readonly m3: number; readonly changes: number } {
    return { m3: this.#settings.read('bay-volume-m3'), changes: this.#settings.read('air-rates').door };
  }
}
