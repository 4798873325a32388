import type { Database } from 'better-sqlite3';

/**
 * One request, one transaction. Routes open it; what the store does inside is all kept or none of it, and what must
 * follow (what is kept in memory, who is told) happens once it is on disk.
 */
export class OneGo {
  readonly #db: Database;
  #after: (() => void)[] | null = null;
  #written: () => void = () => undefined;

  constructor(db: Database) {
    this.#db = db;
  }

  /** Runs the work as one immediate transaction. Inside another one it is part of that. @throws what the work throws, with nothing kept */
  run<T>(work: () => T): T {
    if (this.#after !== null) return work();
    const after: (() => void)[] = [];
    this.#after = after;
    let result: T;
    try {
      result = this.#db.transaction(work).immediate();
    } finally {
      this.#after = null;
    }
    for (const each of after) each();
    this.#written();
    return result;
  }

  /** Calls back whenever a transaction is on disk. */
  onWritten(listener: () => void): void {
    this.#written = listener;
  }

  /** Does something once what is written now is on disk: at once when no transaction is open. */
  afterwards(work: () => void): void {
    if (this.#after === null) work();
    else this.#after.push(work);
  }
}
