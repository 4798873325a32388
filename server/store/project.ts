import type { Database, Statement } from 'better-sqlite3';
import type { Job } from '../../core/job/index.ts';
import type { Cell, Projection, Row } from './projection.ts';
import { PROJECTIONS } from './projections/index.ts';

interface Writer {
  readonly projection: Projection;
  readonly columns: readonly string[];
  readonly put: Statement<Cell[]>;
  readonly drop: Statement<Cell[]>;
  readonly dropJob: Statement<[string]>;
  readonly dropStrays: Statement<[]>;
}

/** Writes projections: only the rows that differ between two states of a job. Call inside a transaction. */
export class Projector {
  readonly #writers: readonly Writer[];
  readonly #timeZone: () => string;

  /** @param timeZone of the shop, as it is now */
  constructor(db: Database, timeZone: () => string) {
    this.#timeZone = timeZone;
    this.#writers = PROJECTIONS.map((projection) => {
      const columns = db.pragma(`table_info(${projection.table})`) as { name: string }[];
      const names = columns.map(({ name }) => name);
      const where = ['job_id', ...projection.key].map((name) => `${name} = ?`).join(' AND ');
      return {
        projection,
        columns: names,
        put: db.prepare(
          `INSERT OR REPLACE INTO ${projection.table} (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`,
        ),
        drop: db.prepare(`DELETE FROM ${projection.table} WHERE ${where}`),
        dropJob: db.prepare(`DELETE FROM ${projection.table} WHERE job_id = ?`),
        dropStrays: db.prepare(
          `DELETE FROM ${projection.table} WHERE NOT EXISTS (SELECT 1 FROM event WHERE event.job_id = ${projection.table}.job_id)`,
        ),
      };
    });
  }

  /** Makes every projection of a job anew; nothing of before is left of it. */
  makeAnew(job: Job): void {
    for (const { dropJob } of this.#writers) dropJob.run(job.id);
    this.write(null, job);
  }

  /** Drops what there is of jobs that have no log. */
  dropStrays(): void {
    for (const { dropStrays } of this.#writers) dropStrays.run();
  }

  /** Brings every projection from `before` to `after`. */
  write(before: Job | null, after: Job): void {
    let timeZone: string | null = null;
    for (const { projection, columns, put, drop } of this.#writers) {
      if (before !== null && sameParts(projection.from(before), projection.from(after))) continue;
      const keyOf = (row: Row): string => projection.key.map((name) => String(row[name])).join('\u0000');
      const { gone, come } = changedRows(projection, before, after, (timeZone ??= this.#timeZone()));
      const old = new Map(gone.map((row) => [keyOf(row), row]));
      for (const row of come) {
        const known = old.get(keyOf(row));
        old.delete(keyOf(row));
        if (known === undefined || columns.some((name) => known[name] !== row[name]))
          put.run(...columns.map((name) => row[name] ?? null));
      }
      for (const row of old.values()) drop.run(after.id, ...projection.key.map((name) => row[name] ?? null));
    }
  }
}

/** Rows of before that may go, and rows of after that may be new: of one element each, those of elements that changed. */
function changedRows(
  projection: Projection,
  before: Job | null,
  after: Job,
  timeZone: string,
): { gone: Row[]; come: Row[] } {
  if (projection.each === undefined)
    return {
      gone: before === null ? [] : [...projection.rows(before, timeZone)],
      come: [...projection.rows(after, timeZone)],
    };
  const { of, rows } = projection.each;
  const { gone, come } = changedElements(before === null ? [] : of(before), of(after));
  return {
    gone: gone.flatMap((element) => rows(element as never, after, timeZone)),
    come: come.flatMap((element) => rows(element as never, after, timeZone)),
  };
}

/** Elements that only one of two lists has. What both begin and end with is passed over: a list grows, or one changes. */
function changedElements(then: readonly object[], now: readonly object[]): { gone: object[]; come: object[] } {
  const shorter = Math.min(then.length, now.length);
  let start = 0;
  while (start < shorter && then[start] === now[start]) start += 1;
  let end = 0;
  while (end < shorter - start && then[then.length - 1 - end] === now[now.length - 1 - end]) end += 1;
  const old = then.slice(start, then.length - end);
  const young = now.slice(start, now.length - end);
  const kept = new Set(old);
  const still = new Set(young);
  return { gone: old.filter((each) => !still.has(each)), come: young.filter((each) => !kept.has(each)) };
}

const sameParts = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.every((part, index) => part === b[index]);
