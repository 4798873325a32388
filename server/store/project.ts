import type { Database, Statement } from 'better-sqlite3';
import type { Job } from '../../core/job/index.ts';
import { type Cell, type Projection, PROJECTIONS, type Row } from './projections.ts';

interface Writer {
  readonly projection: Projection;
  readonly columns: readonly string[];
  readonly put: Statement<Cell[]>;
  readonly drop: Statement<Cell[]>;
}

/** Writes projections: only the rows that differ between two states of a job. */
export class Projector {
  readonly #writers: readonly Writer[];

  constructor(db: Database) {
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
      };
    });
  }

  /** Brings every projection from `before` to `after`. Call inside the transaction that appends the events. */
  write(before: Job | null, after: Job): void {
    for (const { projection, columns, put, drop } of this.#writers) {
      if (before !== null && sameParts(projection.from(before), projection.from(after))) continue;
      const keyOf = (row: Row): string => projection.key.map((name) => String(row[name])).join('\u0000');
      const old = new Map((before === null ? [] : projection.rows(before)).map((row) => [keyOf(row), row]));
      for (const row of projection.rows(after)) {
        const known = old.get(keyOf(row));
        old.delete(keyOf(row));
        if (known === undefined || columns.some((name) => known[name] !== row[name]))
          put.run(...columns.map((name) => row[name] ?? null));
      }
      for (const row of old.values()) drop.run(after.id, ...projection.key.map((name) => row[name] ?? null));
    }
  }
}

const sameParts = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.every((part, index) => part === b[index]);
