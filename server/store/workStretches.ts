import type { Database, Statement } from 'better-sqlite3';
import { HANDS_ON_GAP_S, type Stage, stageOfEntry } from '../../core/job/index.ts';

/** A stretch in which one person worked on one stage of a job, as kept. */
export interface WorkStretch {
  readonly person: string;
  readonly stage: Stage;
  readonly started_at: string;
  readonly ended_at: string;
}

/** An entry, as far as its time goes. */
export interface TimedEntry {
  readonly at: string;
  readonly by: string;
  readonly type: string;
  readonly data: unknown;
}

/** Where work belongs that was entered before anything said which stage it is. */
const FIRST: Stage = 'complaint';

/** What an entry makes of somebody's last stretch: it grows, or another begins. */
function next(last: WorkStretch | undefined, { at, by, type, data }: TimedEntry): WorkStretch {
  const stage = stageOfEntry({ type, data }) ?? last?.stage ?? FIRST;
  const gap = last === undefined ? Infinity : (Date.parse(at) - Date.parse(last.ended_at)) / 1000;
  if (last === undefined || gap > HANDS_ON_GAP_S) return { person: by, stage, started_at: at, ended_at: at };
  // People work between taps: the time before an entry belongs to what was entered.
  if (stage === last.stage) return { ...last, ended_at: at };
  if (last.started_at === last.ended_at) return { ...last, stage, ended_at: at };
  return { person: by, stage, started_at: last.ended_at, ended_at: at };
}

/** The stretches that entries form. @param entries in the order of their times */
export function workOf(entries: readonly TimedEntry[]): WorkStretch[] {
  const done: WorkStretch[] = [];
  const lastOf = new Map<string, number>();
  for (const entry of entries) {
    const at = lastOf.get(entry.by);
    const last = at === undefined ? undefined : done[at];
    const made = next(last, entry);
    if (at !== undefined && last?.started_at === made.started_at) done[at] = made;
    else lastOf.set(entry.by, done.push(made) - 1);
  }
  return done;
}

/** Who worked on a job at which stage, and when: from the times of entries. */
export class WorkStretches {
  readonly #last: Statement<[string, string], WorkStretch>;
  readonly #put: Statement<[string, string, string, string, string]>;
  readonly #drop: Statement<[string]>;
  readonly #entries: Statement<[string], Omit<TimedEntry, 'data'> & { readonly data: string }>;
  readonly #dropStrays: Statement<[]>;

  constructor(db: Database) {
    this.#last = db.prepare(
      'SELECT person, stage, started_at, ended_at FROM work_stretch WHERE job_id = ? AND person = ? ORDER BY started_at DESC LIMIT 1',
    );
    this.#put = db.prepare(
      'INSERT OR REPLACE INTO work_stretch (job_id, person, stage, started_at, ended_at) VALUES (?, ?, ?, ?, ?)',
    );
    this.#drop = db.prepare('DELETE FROM work_stretch WHERE job_id = ?');
    this.#entries = db.prepare('SELECT at, person AS by, type, data FROM event WHERE job_id = ? ORDER BY at, seq');
    this.#dropStrays = db.prepare(
      'DELETE FROM work_stretch WHERE NOT EXISTS (SELECT 1 FROM event WHERE event.job_id = work_stretch.job_id)',
    );
  }

  /** An entry was made. Call inside the transaction that appends it. */
  entered(jobId: string, entry: TimedEntry): void {
    const last = this.#last.get(jobId, entry.by);
    // Written up for another time: what lies between is told anew.
    if (last !== undefined && entry.at < last.ended_at) this.makeAnew(jobId);
    else this.#keep(jobId, next(last, entry));
  }

  /** Works out all stretches of a job from its log. */
  makeAnew(jobId: string): void {
    this.#drop.run(jobId);
    const entries = this.#entries.all(jobId).map((row) => ({ ...row, data: JSON.parse(row.data) as unknown }));
    for (const made of workOf(entries)) this.#keep(jobId, made);
  }

  /** Drops what there is of jobs that have no log. */
  dropStrays(): void {
    this.#dropStrays.run();
  }

  #keep(jobId: string, { person, stage, started_at, ended_at }: WorkStretch): void {
    this.#put.run(jobId, person, stage, started_at, ended_at);
  }
}
