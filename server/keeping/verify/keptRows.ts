import type { Database } from 'better-sqlite3';
import type { Cell, Row } from '../../store/projection.ts';

const NONE: readonly (readonly Cell[])[] = [];

/** Reads a table of jobs once, in the order of their ids, a job at a time. */
export class KeptRows {
  /** In the order of the cells; the job's id is the first. */
  readonly columns: readonly string[];
  readonly #rows: IterableIterator<readonly Cell[]>;
  #next: readonly Cell[] | null;
  /** Jobs of which there are rows though nobody asked for them. */
  readonly strays = new Set<string>();

  /** @param leftOut columns that say nothing of the job, such as a number given by SQLite */
  constructor(db: Database, table: string, leftOut: readonly string[] = []) {
    // Others are being read meanwhile, which the pragma itself would not have.
    const others = db
      .prepare<[string], { name: string }>('SELECT name FROM pragma_table_info(?)')
      .all(table)
      .map(({ name }) => name)
      .filter((name) => name !== 'job_id' && !leftOut.includes(name));
    this.columns = ['job_id', ...others];
    this.#rows = db
      .prepare(`SELECT ${this.columns.join(', ')} FROM ${table} ORDER BY job_id`)
      .raw()
      .iterate() as IterableIterator<readonly Cell[]>;
    this.#next = this.#rows.next().value ?? null;
  }

  /** The rows of a job. Jobs are asked for in the order of their ids; those passed over are strays. */
  of(jobId: string): readonly (readonly Cell[])[] {
    let rows: (readonly Cell[])[] | null = null;
    while (this.#next !== null) {
      const ownId = String(this.#next[0]);
      if (ownId > jobId) break;
      if (ownId === jobId) (rows ??= []).push(this.#next);
      else this.strays.add(ownId);
      this.#next = this.#rows.next().value ?? null;
    }
    return rows ?? NONE;
  }

  /** What is left once every job was asked for, and no more reading. */
  end(): void {
    while (this.#next !== null) {
      this.strays.add(String(this.#next[0]));
      this.#next = this.#rows.next().value ?? null;
    }
  }

  close(): void {
    this.#rows.return?.();
  }

  /**
   * Whether rows of a job are just these, in whatever order.
   * @param key columns that tell one row of the job from another
   */
  same(kept: readonly (readonly Cell[])[], meant: readonly Row[], key: readonly string[]): boolean {
    if (kept.length !== meant.length) return false;
    if (kept.length < 2) return kept.every((cells) => this.#isRow(cells, meant[0]));
    const places = key.map((column) => this.columns.indexOf(column));
    const byKey = new Map(meant.map((row) => [key.map((column) => row[column]).join('\u0000'), row]));
    return kept.every((cells) => this.#isRow(cells, byKey.get(places.map((place) => cells[place]).join('\u0000'))));
  }

  #isRow(cells: readonly Cell[], row: Row | undefined): boolean {
    return row !== undefined && this.columns.every((column, place) => cells[place] === (row[column] ?? null));
  }
}
