import type { Database } from 'better-sqlite3';
import type { CommandReply, JobReply } from '../../contract/index.ts';
import {
  asksOf,
  type Command,
  decide,
  evolve,
  type Job,
  judgeTime,
  type LoggedFact,
  type RecordedEvent,
  type Refusal,
} from '../../core/job/index.ts';
import type { Vehicle } from '../../core/vehicle/index.ts';
import { answer, type Sources } from './answering.ts';
import { remakeBalances, remakeIndexes } from './balances.ts';
import { firstBreak } from './chain.ts';
import { StoreError } from './errors.ts';
import { HandsOn } from './handsOn.ts';
import { StageTook } from './stageTook.ts';
import { WorkStretches } from './workStretches.ts';
import { type Arrival, EventLog } from './log.ts';
import type { OneGo } from './oneGo.ts';
import { prepared } from './prepared.ts';
import { Projector } from './project.ts';
import { readLog, readTail } from './reader.ts';
import { moveUnits } from './unitMoves.ts';
import { VERSION } from '../version.ts';

/** How a command ended. */
export type Outcome =
  { readonly kind: 'done'; readonly reply: CommandReply } | { readonly kind: 'refused'; readonly refusal: Refusal };

const refused = (code: string, message: string, wouldHelp = ''): Outcome => ({
  kind: 'refused',
  refusal: { ok: false, code, message, wouldHelp, field: null },
});

/** How many folded jobs are kept in memory. A workshop has a handful open at a time. */
const KEPT = 64;

/** Takes commands and answers with logs. */
export class Jobs {
  readonly log: EventLog;
  readonly #db: Database;
  readonly #oneGo: OneGo;
  readonly #sql: Database['prepare'];
  readonly #projector: Projector;
  readonly #handsOn: HandsOn;
  readonly #work: WorkStretches;
  readonly #took: StageTook;
  readonly #sources: Sources;
  readonly #folded = new Map<string, Job>();
  readonly #listeners = new Set<(jobId: string, version: number) => void>();

  constructor(db: Database, oneGo: OneGo, sources: Sources) {
    this.#db = db;
    this.#oneGo = oneGo;
    this.#sql = prepared(db);
    this.log = new EventLog(db);
    this.#projector = new Projector(db, () => sources.settings.timeZone());
    this.#handsOn = new HandsOn(db);
    this.#work = new WorkStretches(db);
    this.#took = new StageTook(db);
    this.#sources = sources;
  }

  /**
   * The job as its log tells, or null. What is kept in memory counts only while it is as long as the log.
   * @throws StoreError when its log cannot be read
   */
  job(jobId: string): Job | null {
    const kept = this.#folded.get(jobId);
    const length = this.log.length(jobId);
    if (kept !== undefined && kept.version === length) return kept;
    return length === 0 ? null : this.#fold(jobId).job;
  }

  #fold(jobId: string): ReturnType<typeof readLog> {
    const read = readLog(jobId, this.log.since(jobId, 0));
    if (read.job !== null) this.#keep(read.job);
    return read;
  }

  #keep(job: Job): void {
    this.#folded.delete(job.id);
    this.#folded.set(job.id, job);
    const oldest = this.#folded.keys().next().value;
    if (this.#folded.size > KEPT && oldest !== undefined) this.#folded.delete(oldest);
  }

  /** Calls back after each change that is on disk. @returns how to stop */
  onChange(listener: (jobId: string, version: number) => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  /** A job's log from a version on, in current versions; null when there is no such job. */
  read(jobId: string, since: number): JobReply | null {
    const kept = this.#folded.get(jobId);
    const length = this.log.length(jobId);
    if (length === 0) return null;
    if (kept?.version === length) return { jobId, version: length, events: this.#since(jobId, since) };
    // Not folded yet: the log is read once, for the fold and for the answer.
    const { events } = this.#fold(jobId);
    return { jobId, version: length, events: events.filter(({ seq }) => seq > since) };
  }

  /** Facts after a version. One of an earlier version is brought up by what came before it, so all are read then. */
  #since(jobId: string, version: number): readonly RecordedEvent[] {
    return (
      readTail(jobId, this.log.since(jobId, version)) ??
      readLog(jobId, this.log.since(jobId, 0)).events.filter(({ seq }) => seq > version)
    );
  }

  /**
   * Takes one command: decides, appends, projects. Call inside a transaction: all that is decided by is read in it. The
   * same id again changes nothing and answers with what the sender has not seen. A stale command is decided against the
   * job as it is now.
   */
  take(jobId: string, command: Command, arrival: Arrival): Outcome {
    const before = this.log.command(command.id);
    if (before !== undefined)
      return before.job_id === jobId
        ? this.#done(jobId, command, true)
        : refused('command-id-used', 'That command id belongs to another job.');
    const current = this.job(jobId);
    if (command.seen > (current?.version ?? 0)) {
      return refused(
        'seen-the-future',
        `You have seen version ${command.seen} of this job, but the store holds ${current?.version ?? 0}.`,
        'Load the job again; the store may have been restored from a backup.',
      );
    }
    const knownSince = (current?.vehicle ?? this.#vehicleOf(command))?.knownSince ?? null;
    const timely = judgeTime({
      at: command.at,
      arrivedAt: arrival.receivedAt,
      knownSince,
      late: arrival.late,
      timeZone: this.#sources.settings.timeZone(),
    });
    if (timely !== null) return { kind: 'refused', refusal: timely };
    const context = answer(asksOf(command), current, command.by, this.#sources, () => this.#nextNumber());
    const decision = decide(current, command, context);
    if (!decision.ok) return { kind: 'refused', refusal: decision };
    const events = this.log.append(
      jobId,
      decision.events,
      { commandId: command.id, at: command.at, by: command.by },
      arrival,
    );
    const after = events.reduce<Job | null>((job, recorded) => evolve(job, recorded, jobId), current);
    if (after !== null) {
      this.#projector.write(current, after);
      this.#handsOn.entered(jobId, command.at);
      for (const entry of events) this.#work.entered(jobId, entry);
      if (current?.status === 'closed' || after.status === 'closed') this.#took.makeAnew(jobId);
      if (command.type === 'hand-over')
        moveUnits(after, this.#sources.units, { by: command.by, at: command.at }, this.#sources.settings.timeZone());
      this.#oneGo.afterwards(() => this.#changed(after));
    }
    return this.#done(jobId, command, false);
  }

  /** The vehicle that a job is opened on, as it stands now; a job holds its own afterwards. */
  #vehicleOf(command: Command): Vehicle | null {
    return command.type === 'open-job' ? this.#sources.vehicles.get(command.data.vehicleId) : null;
  }

  #changed(job: Job): void {
    this.#keep(job);
    for (const listener of this.#listeners) listener(job.id, job.version);
  }

  #done(jobId: string, command: Command, repeated: boolean): Outcome {
    const events = this.#since(jobId, command.seen);
    return { kind: 'done', reply: { jobId, version: events.at(-1)?.seq ?? command.seen, events, repeated } };
  }

  #nextNumber(): number {
    const row = this.#sql<[], { highest: number | null }>('SELECT MAX(number) AS highest FROM job_summary').get();
    return (row?.highest ?? this.#sources.settings.read('first-job-number') - 1) + 1;
  }

  /**
   * Makes every projection anew from the logs, and every balance and index: all of it or nothing.
   * @param progress told after each job: how many of how many
   * @param unreadable told of a job whose log cannot be read, which then keeps what it had; without it that ends the rebuild
   * @throws StoreError when a log cannot be read
   */
  rebuild(
    progress: (done: number, of: number) => void = () => undefined,
    unreadable: ((error: StoreError) => void) | null = null,
  ): number {
    const ids = this.log.jobIds();
    this.#oneGo.run(() => {
      remakeIndexes(this.#db);
      for (const [index, jobId] of ids.entries()) {
        try {
          const { job } = readLog(jobId, this.log.since(jobId, 0));
          if (job !== null) this.#projector.makeAnew(job);
        } catch (error) {
          if (unreadable === null || !(error instanceof StoreError)) throw error;
          unreadable(error);
        }
        this.#handsOn.makeAnew(jobId);
        this.#work.makeAnew(jobId);
        progress(index + 1, ids.length);
      }
      this.#projector.dropStrays();
      this.#handsOn.dropStrays();
      this.#work.dropStrays();
      remakeBalances(this.#db);
      this.#sql("DELETE FROM setting WHERE key = 'projections'").run();
      this.#sources.settings.setMark('projected-by', this.#projectedBy());
    });
    return ids.length;
  }

  /**
   * Rebuilds when a migration has asked for it, and when the columns were made by another version of the program or for
   * another place: words and days in them may read otherwise now.
   * A job that cannot be read keeps what it had, and keeps nobody from working on the others.
   * @param progress told after each job: how many of how many
   * @returns how many jobs were read
   */
  remakeProjections(progress?: (done: number, of: number) => void): number {
    const { settings } = this.#sources;
    const asked = settings.mark('projections') !== undefined;
    return asked || settings.mark('projected-by') !== this.#projectedBy() ? this.rebuild(progress, () => undefined) : 0;
  }

  #projectedBy(): string {
    return `${VERSION} ${this.#sources.settings.timeZone()}`;
  }

  /** Adopts an imported log, whose chain was verified. Call inside a transaction. @returns false when there is such a job already */
  adopt(job: Job, facts: readonly LoggedFact[], hashes: readonly string[], receivedAt: string): boolean {
    if (this.log.length(job.id) > 0) return false;
    let from = 0;
    for (const [index, { commandId }] of facts.entries()) {
      if (facts[index + 1]?.commandId === commandId) continue;
      this.log.adoptCommand(commandId, job.id, from + 1, index + 1, receivedAt);
      from = index + 1;
    }
    for (const [index, recorded] of facts.entries()) this.log.adoptEvent(job.id, recorded, hashes[index] ?? '');
    this.#projector.write(null, job);
    this.#handsOn.makeAnew(job.id);
    this.#work.makeAnew(job.id);
    this.#took.makeAnew(job.id);
    this.#oneGo.afterwards(() => this.#changed(job));
    return true;
  }

  /** Whether the number is taken by another job. */
  numberTaken(number: number): boolean {
    return this.#sql('SELECT 1 FROM job_summary WHERE number = ?').get(number) !== undefined;
  }

  /** The first fact at which the chain of a job breaks, or null when it is whole. */
  verify(jobId: string): number | null {
    return firstBreak(jobId, this.log.since(jobId, 0), this.log.hashes(jobId));
  }
}
