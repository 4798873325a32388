import type { Database } from 'better-sqlite3';
import type { Cell } from '../../store/projection.ts';

/** A row as one text: two rows are the same when their texts are. */
export const textOf = (cells: readonly Cell[]): string => JSON.stringify(cells);

const NONE: readonly string[] = [];

/** Reads a table of jobs once, in the order of their ids, a job at a time. */
export class KeptRows {
  /** In the order of the texts; the job's id is the first. */
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

  /** The rows of a job as texts. Jobs are asked for in the order of their ids; those passed over are strays. */
  of(jobId: string): readonly string[] {
    let texts: string[] | null = null;
    while (this.#next !== null) {
      const ownId = String(this.#next[0]);
      if (ownId > jobId) break;
      if (ownId === jobId) (texts ??= []).push(textOf(this.#next));
      else this.strays.add(ownId);
      this.#next = this.#rows.next().value ?? null;
    }
    return texts ?? NONE;
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
}

/** Whether two lists hold the same texts, in whatever order. */
export function sameTexts(a: readonly string[], b: readonly string[]): boolean {
  if (a.length !== b.length) return false;
  if (a.length < 2) return a[0] === b[0];
  // Mostly both come in the order of their key.
  if (a.every((text, index) => text === b[index])) return true;
  const [first, second] = [[...a].sort(), [...b].sort()];
  return first.every((text, index) => text === second[index]);
}
