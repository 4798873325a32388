import type { Database, Statement } from 'better-sqlite3';
import { HANDS_ON_GAP_S } from '../../core/job/index.ts';

/** A stretch in which somebody worked on a job, as kept. */
export interface Stretch {
  readonly started_at: string;
  readonly ended_at: string;
}

/** The stretches that entries at these times form. @param times ISO times, in order */
export function stretchesOf(times: readonly string[]): Stretch[] {
  const stretches: { started_at: string; ended_at: string }[] = [];
  for (const at of times) {
    const last = stretches.at(-1);
    if (last !== undefined && joins(last, at)) last.ended_at = at;
    else stretches.push({ started_at: at, ended_at: at });
  }
  return stretches;
}

/** Whether an entry comes soon enough after a stretch to belong to it. */
const joins = ({ ended_at }: Stretch, at: string): boolean =>
  Date.parse(at) - Date.parse(ended_at) <= HANDS_ON_GAP_S * 1000;

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
  readonly #dropStrays: Statement<[]>;

  constructor(db: Database) {
    this.#last = db.prepare(
      'SELECT started_at, ended_at FROM hands_on WHERE job_id = ? ORDER BY started_at DESC LIMIT 1',
    );
    this.#begin = db.prepare('INSERT INTO hands_on (job_id, started_at, ended_at) VALUES (?, ?, ?)');
    this.#extend = db.prepare('UPDATE hands_on SET ended_at = ? WHERE job_id = ? AND started_at = ?');
    this.#drop = db.prepare('DELETE FROM hands_on WHERE job_id = ?');
    this.#times = db.prepare('SELECT DISTINCT at FROM event WHERE job_id = ? ORDER BY at');
    this.#dropStrays = db.prepare(
      'DELETE FROM hands_on WHERE NOT EXISTS (SELECT 1 FROM event WHERE event.job_id = hands_on.job_id)',
    );
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
    for (const { started_at, ended_at } of stretchesOf(this.#times.all(jobId).map(({ at }) => at)))
      this.#begin.run(jobId, started_at, ended_at);
  }

  /** Drops what there is of jobs that have no log. */
  dropStrays(): void {
    this.#dropStrays.run();
  }

  #grow(jobId: string, last: Stretch | undefined, at: string): void {
    if (last !== undefined && joins(last, at)) this.#extend.run(at, jobId, last.started_at);
    else this.#begin.run(jobId, at, at);
  }
}
