import type { Database, Statement } from 'better-sqlite3';
import type { Late, LoggedFact, MadeFact, RecordedEvent } from '../../core/job/index.ts';
import { CHAIN_START, chainHash } from './chain.ts';

interface EventRow {
  readonly seq: number;
  readonly command_id: string;
  readonly at: string;
  readonly person: string;
  readonly type: string;
  readonly v: number;
  readonly data: string;
  readonly hash: string;
}

/** The range of the log that a command wrote. */
export interface CommandRow {
  readonly id: string;
  readonly job_id: string;
  readonly first_seq: number;
  readonly last_seq: number;
}

/** How a command came: when it was received, what the device's clock said, how far that was out, and why it came late. */
export interface Arrival {
  readonly receivedAt: string;
  /** ISO time by the device's own clock; null where it did not say. */
  readonly deviceAt: string | null;
  /** Added to the device's time to get the time that counts, ms. */
  readonly offsetMs: number;
  readonly late: Late | null;
}

/** What the server itself enters arrives as it is made. */
export const atOnce = (receivedAt: string): Arrival => ({ receivedAt, deviceAt: null, offsetMs: 0, late: null });

/** Who caused events, when, and by which command. */
export interface Cause {
  readonly commandId: string;
  readonly at: string;
  readonly by: string;
}

/** The append-only log of all jobs. */
export class EventLog {
  readonly #insert: Statement<[string, number, string, string, string, string, number, string, string]>;
  readonly #insertCommand: Statement<[string, string, number, number, string, string | null, number, string | null]>;
  readonly #last: Statement<[string], { seq: number; hash: string }>;
  readonly #since: Statement<[string, number], EventRow>;
  readonly #command: Statement<[string], CommandRow>;
  readonly #jobs: Statement<[], { job_id: string }>;

  constructor(db: Database) {
    this.#insert = db.prepare(
      'INSERT INTO event (job_id, seq, command_id, at, person, type, v, data, hash) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
    );
    this.#insertCommand = db.prepare(
      `INSERT INTO command (id, job_id, first_seq, last_seq, received_at, device_at, offset_ms, late)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    );
    this.#last = db.prepare('SELECT seq, hash FROM event WHERE job_id = ? ORDER BY seq DESC LIMIT 1');
    this.#since = db.prepare(
      'SELECT seq, command_id, at, person, type, v, data, hash FROM event WHERE job_id = ? AND seq > ? ORDER BY seq',
    );
    this.#command = db.prepare('SELECT id, job_id, first_seq, last_seq FROM command WHERE id = ?');
    this.#jobs = db.prepare('SELECT DISTINCT job_id FROM event ORDER BY job_id');
  }

  /** Appends what one command led to. Call inside a transaction. */
  append(jobId: string, events: readonly MadeFact[], cause: Cause, arrival: Arrival): RecordedEvent[] {
    const last = this.#last.get(jobId);
    let seq = last?.seq ?? 0;
    let hash = last?.hash ?? CHAIN_START;
    const { receivedAt, deviceAt, offsetMs, late } = arrival;
    this.#insertCommand.run(cause.commandId, jobId, seq + 1, seq + events.length, receivedAt, deviceAt, offsetMs, late);
    return events.map((fact) => {
      seq += 1;
      const recorded: LoggedFact = { ...fact, seq, ...cause };
      hash = chainHash(hash, jobId, recorded);
      this.#insert.run(
        jobId,
        seq,
        cause.commandId,
        cause.at,
        cause.by,
        fact.type,
        fact.v,
        JSON.stringify(fact.data),
        hash,
      );
      // What decide made just now is of the current version.
      return recorded as RecordedEvent;
    });
  }

  /** Registers a command of an imported log. */
  adoptCommand(id: string, jobId: string, firstSeq: number, lastSeq: number, receivedAt: string): void {
    this.#insertCommand.run(id, jobId, firstSeq, lastSeq, receivedAt, null, 0, null);
  }

  /** Adds one event of an imported log with the hash it came with, already verified. */
  adoptEvent(jobId: string, recorded: LoggedFact, hash: string): void {
    const { seq, commandId, at, by, type, v, data } = recorded;
    this.#insert.run(jobId, seq, commandId, at, by, type, v, JSON.stringify(data), hash);
  }

  /** How many facts a job has; 0 when there is no such job. */
  length(jobId: string): number {
    return this.#last.get(jobId)?.seq ?? 0;
  }

  /** Facts after a version as they were written, oldest first. */
  since(jobId: string, version: number): LoggedFact[] {
    return this.#since.all(jobId, version).map(toEvent);
  }

  /** The hashes of a job's events, oldest first. */
  hashes(jobId: string): string[] {
    return this.#since.all(jobId, 0).map(({ hash }) => hash);
  }

  /** What a command id led to before, if it was taken before. */
  command(id: string): CommandRow | undefined {
    return this.#command.get(id);
  }

  /** Ids of all jobs in the log. */
  jobIds(): string[] {
    return this.#jobs.all().map(({ job_id }) => job_id);
  }
}

const toEvent = ({ seq, command_id, at, person, type, v, data }: EventRow): LoggedFact => ({
  seq,
  commandId: command_id,
  at,
  by: person,
  type,
  v,
  data: JSON.parse(data) as unknown,
});
