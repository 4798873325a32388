import type { Database, Statement } from 'better-sqlite3';
import { HANDS_ON_GAP_S } from '../../core/job/index.ts';

interface Stretch {
  readonly started_at: string;
  readonly ended_at: string;
}

/**
 * Stretches in which somebody worked on a job: entries less than the hands-on gap apart form one. They grow with each
 * entry; one written up for another time has them made anew.
 */
export class HandsOn {
  readonly #last: Statement<[string], Stretch>;
  readonly #begin: Statement<[string, string, string]>;
  readonly #extend: Statement<[string, string, string]>;
  readonly #drop: Statement<[string]>;
  readonly #times: Statement<[string], { at: string }>;
  readonly #clear: Statement<[]>;

  constructor(db: Database) {
    this.#last = db.prepare(
      'SELECT started_at, ended_at FROM hands_on WHERE job_id = ? ORDER BY started_at DESC LIMIT 1',
    );
    this.#begin = db.prepare('INSERT INTO hands_on (job_id, started_at, ended_at) VALUES (?, ?, ?)');
    this.#extend = db.prepare('UPDATE hands_on SET ended_at = ? WHERE job_id = ? AND started_at = ?');
    this.#drop = db.prepare('DELETE FROM hands_on WHERE job_id = ?');
    this.#times = db.prepare('SELECT DISTINCT at FROM event WHERE job_id = ? ORDER BY at');
    this.#clear = db.prepare('DELETE FROM hands_on');
  }

  /** An entry was made on a job. Call inside the transaction that appends it. @param at ISO time */
  entered(jobId: string, at: string): void {
    const last = this.#last.get(jobId);
    if (last !== undefined && at < last.ended_at) this.makeAnew(jobId);
    else this.#grow(jobId, last, at);
  }

  /** Works out all stretches of a job from its log. */
  makeAnew(jobId: string): void {
    this.#drop.run(jobId);
    for (const { at } of this.#times.all(jobId)) this.#grow(jobId, this.#last.get(jobId), at);
  }

  clear(): void {
    this.#clear.run();
  }

  #grow(jobId: string, last: Stretch | undefined, at: string): void {
    if (last !== undefined && Date.parse(at) - Date.parse(last.ended_at) <= HANDS_ON_GAP_S * 1000)
      this.#extend.run(at, jobId, last.started_at);
    else this.#begin.run(jobId, at, at);
  }
}
