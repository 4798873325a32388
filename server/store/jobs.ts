import type { Database } from 'better-sqlite3';
import type { CommandReply, JobReply } from '../../contract/index.ts';
import { type Command, type Context, decide, evolve, type Job, type Refusal, replay } from '../../core/job/index.ts';
import { lifeProblem, warrantyUntil } from '../../core/vehicle/index.ts';
import { prepared } from './prepared.ts';
import { firstBreak } from './chain.ts';
import type { Lists } from './lists.ts';
import { EventLog } from './log.ts';
import { Projector } from './project.ts';
import type { Families } from './families.ts';
import type { House } from './house.ts';
import type { KnowledgeStore } from './knowledge.ts';
import type { Procedures } from './procedures.ts';
import type { Units } from './units.ts';
import type { Vehicles } from './vehicles.ts';

/** What decisions look up. */
export interface Sources {
  readonly vehicles: Vehicles;
  readonly lists: Lists;
  readonly procedures: Procedures;
  readonly knowledge: KnowledgeStore;
  readonly families: Families;
  readonly house: House;
  readonly units: Units;
}

/** Commands that are judged by what is known of causes and checks. */
const JUDGED: ReadonlySet<string> = new Set([
  'tell-complaint',
  'answer-question',
  'record-check',
  'pass-over-check',
  'compare-variant',
  'decide',
  'judge-point',
  'replace-unit',
  'turn-screw',
]);

/** Commands that name a wrench. */
const TIGHTENING: ReadonlySet<string> = new Set(['tighten-bolt', 'tighten-pass']);
/** Commands that only some may give. */
const BY_ROLE: ReadonlySet<string> = new Set(['end-search', 'override-hold']);

/** How a command ended. */
export type Outcome =
  { readonly kind: 'done'; readonly reply: CommandReply } | { readonly kind: 'refused'; readonly refusal: Refusal };

const refused = (code: string, message: string, wouldHelp = ''): Outcome => ({
  kind: 'refused',
  refusal: { ok: false, code, message, wouldHelp, field: null },
});

const warrantyOf = (months: number, from: string): string =>
  months === 0 ? '' : `, warranty until ${warrantyUntil(from, months)}`;

/** How many folded jobs are kept in memory. A workshop has a handful open at a time. */
const KEPT = 64;

/** Takes commands and answers with logs. One command is one transaction. */
export class Jobs {
  readonly log: EventLog;
  readonly #db: Database;
  readonly #sql: Database['prepare'];
  readonly #projector: Projector;
  readonly #sources: Sources;
  readonly #folded = new Map<string, Job>();
  readonly #listeners = new Set<(jobId: string, version: number) => void>();

  constructor(db: Database, sources: Sources) {
    this.#db = db;
    this.#sql = prepared(db);
    this.log = new EventLog(db);
    this.#projector = new Projector(db);
    this.#sources = sources;
  }

  /** The job as its log tells, or null. Kept in memory; a command replaces what is kept only once it is on disk. */
  job(jobId: string): Job | null {
    return this.#folded.get(jobId) ?? this.#fold(jobId, this.log.since(jobId, 0));
  }

  #fold(jobId: string, events: Parameters<typeof replay>[1]): Job | null {
    const job = replay(jobId, events);
    if (job !== null) this.#keep(job);
    return job;
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

  /** A job's log from a version on, or null when there is no such job. */
  read(jobId: string, since: number): JobReply | null {
    const kept = this.#folded.get(jobId);
    if (kept !== undefined) return { jobId, version: kept.version, events: this.log.since(jobId, since) };
    // Not folded yet: the log is read once, for the fold and for the answer.
    const events = this.log.since(jobId, 0);
    const job = this.#fold(jobId, events);
    return job === null ? null : { jobId, version: job.version, events: events.filter(({ seq }) => seq > since) };
  }

  /**
   * Takes one command: decides, appends, projects, all in one transaction. The same id again changes nothing and
   * answers with what the sender has not seen. A stale command is decided against the job as it is now.
   */
  take(jobId: string, command: Command, receivedAt: string): Outcome {
    const before = this.log.command(command.id);
    if (before !== undefined) return this.#repeat(jobId, command, before.job_id);
    const current = this.job(jobId);
    if (command.seen > (current?.version ?? 0)) {
      return refused(
        'seen-the-future',
        `You have seen version ${command.seen} of this job, but the store holds ${current?.version ?? 0}.`,
        'Load the job again; the store may have been restored from a backup.',
      );
    }
    const decision = decide(current, command, this.#context(current, command));
    if (!decision.ok) return { kind: 'refused', refusal: decision };
    const elsewhere = this.#unitElsewhere(current, command);
    if (elsewhere !== null) return elsewhere;
    let after = current;
    this.#db
      .transaction(() => {
        const events = this.log.append(
          jobId,
          decision.events,
          { commandId: command.id, at: command.at, by: command.by },
          receivedAt,
        );
        for (const recorded of events) after = evolve(after, recorded, jobId);
        if (after !== null) this.#projector.write(current, after);
        // Only what was handed over counts: until then everything can be taken back.
        if (after !== null && command.type === 'hand-over') this.#moveUnits(after, command.by, command.at);
      })
      .immediate();
    if (after !== null) {
      this.#keep(after);
      for (const listener of this.#listeners) listener(jobId, after.version);
    }
    return this.#done(jobId, command, false);
  }

  /** A unit that sits on another vehicle, was scrapped or sold cannot be fitted here: said before it is bolted on. */
  #unitElsewhere(job: Job | null, command: Command): Outcome | null {
    if (job === null || command.type !== 'replace-unit') return null;
    const unit = this.#sources.units.get(command.data.fitted.unitId);
    const problem = unit === null ? null : lifeProblem(unit, { kind: 'fitted', vehicleId: job.vehicle.id });
    return problem === null
      ? null
      : {
          kind: 'refused',
          refusal: {
            ok: false,
            code: 'unit-elsewhere',
            message: problem,
            wouldHelp: 'Pick another tag, or correct the unit’s page.',
            field: null,
          },
        };
  }

  /** Units that were replaced leave the vehicle, those that were fitted come onto it. A second hand-over changes nothing. */
  #moveUnits({ vehicle, replaced, number }: Job, by: string, at: string): void {
    const { units } = this.#sources;
    for (const { kind, place, fitted, failCode, failNote, at: fittedAt } of replaced) {
      const note = `Job ${number}: ${failCode}${failNote === '' ? '' : `, ${failNote}`}`;
      // Whatever sits in that place now comes off: the old one, or one that was fitted before the job was opened again.
      const there = units.on([vehicle.id]).get(vehicle.id) ?? [];
      for (const each of there.filter(
        (unit) => unit.kind === kind && unit.place === place && unit.id !== fitted.unitId,
      ))
        units.live(
          each.id,
          { kind: 'taken-off', vehicleId: null, place: 'returns box', priceMinor: null, note },
          by,
          at,
        );
      if (units.get(fitted.unitId)?.vehicleId === vehicle.id) continue;
      units.describe(fitted.unitId, { kind, partNumber: fitted.partNumber, features: fitted.features });
      units.live(
        fitted.unitId,
        {
          kind: 'fitted',
          vehicleId: vehicle.id,
          place,
          priceMinor: fitted.priceMinor,
          note: `Job ${number}, ${fitted.origin}${warrantyOf(fitted.warrantyMonths, fittedAt)}`,
        },
        by,
        at,
      );
    }
  }

  #repeat(jobId: string, command: Command, takenBy: string): Outcome {
    if (takenBy !== jobId) return refused('command-id-used', 'That command id belongs to another job.');
    return this.#done(jobId, command, true);
  }

  #done(jobId: string, command: Command, repeated: boolean): Outcome {
    const events = this.log.since(jobId, command.seen);
    return { kind: 'done', reply: { jobId, version: events.at(-1)?.seq ?? command.seen, events, repeated } };
  }

  #context(job: Job | null, command: Command): Context {
    const { vehicles, lists, procedures, knowledge, families, house } = this.#sources;
    const judged = job !== null && JUDGED.has(command.type);
    const vehicle = command.type === 'open-job' ? vehicles.get(command.data.vehicleId) : null;
    return {
      nextNumber: command.type === 'open-job' ? this.#nextNumber() : null,
      vehicle,
      procedure:
        command.type === 'pin-procedure'
          ? procedures.get(command.data.procedureId)
          : command.type === 'move-to-version'
            ? procedures.get(command.data.procedureId, command.data.version)
            : null,
      wrenches: TIGHTENING.has(command.type) ? lists.wrenches() : [],
      role: BY_ROLE.has(command.type) ? lists.roleOf(command.by) : null,
      knowledge:
        command.type === 'open-job'
          ? knowledge.newest()
          : command.type === 'choose-knowledge'
            ? knowledge.get(command.data.version)
            : judged
              ? knowledge.get(job.knowledge)
              : null,
      family: families.get((vehicle ?? (judged ? job.vehicle : null))?.familyId ?? null),
      rules: judged || command.type === 'depart-from-rule' ? house.rules() : {},
    };
  }

  /** Makes every projection anew from the logs, when a migration has asked for it. @returns how many jobs were read */
  remakeProjections(): number {
    if (this.#sources.lists.setting('projections') === undefined) return 0;
    const ids = this.log.jobIds();
    this.#db
      .transaction(() => {
        for (const jobId of ids) {
          const job = replay(jobId, this.log.since(jobId, 0));
          if (job !== null) this.#projector.write(null, job);
        }
        this.#sql("DELETE FROM setting WHERE key = 'projections'").run();
      })
      .immediate();
    return ids.length;
  }

  #nextNumber(): number {
    const row = this.#sql<[], { highest: number | null }>('SELECT MAX(number) AS highest FROM job_summary').get();
    return (row?.highest ?? Number(this.#sources.lists.setting('first-job-number') ?? '1') - 1) + 1;
  }

  /** Adopts an imported log, whose chain was verified. @returns false when there is such a job already */
  adopt(
    job: Job,
    events: Parameters<EventLog['adoptEvent']>[1][],
    hashes: readonly string[],
    receivedAt: string,
  ): boolean {
    if (this.job(job.id) !== null) return false;
    this.#db
      .transaction(() => {
        let from = 0;
        for (const [index, { commandId }] of events.entries()) {
          if (events[index + 1]?.commandId === commandId) continue;
          this.log.adoptCommand(commandId, job.id, from + 1, index + 1, receivedAt);
          from = index + 1;
        }
        for (const [index, recorded] of events.entries()) this.log.adoptEvent(job.id, recorded, hashes[index] ?? '');
        this.#projector.write(null, job);
      })
      .immediate();
    this.#keep(job);
    return true;
  }

  /** Whether the number is taken by another job. */
  numberTaken(number: number): boolean {
    return this.#sql('SELECT 1 FROM job_summary WHERE number = ?').get(number) !== undefined;
  }

  /** The first event at which the chain of a job breaks, or null when it is whole. */
  verify(jobId: string): number | null {
    return firstBreak(jobId, this.log.since(jobId, 0), this.log.hashes(jobId));
  }
}
