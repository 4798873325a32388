import type { Database, Statement } from 'better-sqlite3';

/** Minutes by stage and person of jobs that are over, as the view `stage_took_meant` says: for reports, which sum up a year of them. */
export class StageTook {
  readonly #drop: Statement<[string]>;
  readonly #put: Statement<[string]>;

  constructor(db: Database) {
    this.#drop = db.prepare('DELETE FROM stage_took WHERE job_id = ?');
    this.#put = db.prepare('INSERT INTO stage_took SELECT * FROM stage_took_meant WHERE job_id = ?');
  }

  /** Sums a job up anew. Call inside the transaction, once its stretches and what was expected are written. */
  makeAnew(jobId: string): void {
    this.#drop.run(jobId);
    this.#put.run(jobId);
  }
}
