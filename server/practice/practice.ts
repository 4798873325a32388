import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import type {
  PracticeDeed,
  PracticeEntry,
  PracticeHome,
  PracticeLine,
  PracticeReply,
  PracticeReview,
} from '../../contract/index.ts';
import { type Access, type Group, type Knowledge, signsFor } from '../../core/diagnose/index.ts';
import { type Stage, stageOfEntry, STAGES, type Stamp } from '../../core/job/index.ts';
import {
  ASK_MINUTES,
  complaintOf,
  harmsOf,
  mendMinutes,
  minutesOf,
  type Scenario,
  stillWrong,
  storedCodes,
  triedWords,
  vehicleOf,
} from '../../core/practice/index.ts';
import type { createServices, Services } from '../services.ts';
import { answerDeed, handledBy, standing, whatOf } from './deeds.ts';
import { PracticeError } from './errors.ts';
import { PracticeRecords, type PracticeRow } from './records.ts';
import { lineOf, Progress } from './progress.ts';
import type { Went } from './repetition.ts';
import { ScenarioList } from './scenarios.ts';
import { World } from './world.ts';

/** What practice is made with. */
export interface PracticeMaking {
  readonly shop: Database;
  /** Of the shop's store. */
  readonly folder: string;
  /** Who is let in is the shop's. */
  readonly access: Services['access'];
  readonly knowledge: Services['knowledge'];
  readonly now: () => string;
  readonly machineZone: string;
  readonly readOnly: boolean;
  readonly make: typeof createServices;
}

/** So many worlds are kept open; of those at which nobody is, the one that was left alone longest is let go. */
const OPEN_WORLDS = 12;

/** Practice jobs, scenarios and drills: a room beside the shop's store. */
export class Practice {
  readonly #making: PracticeMaking;
  readonly #folder: string;
  readonly scenarios: ScenarioList;
  readonly progress: Progress;
  #records: PracticeRecords | null = null;
  readonly #worlds = new Map<string, World>();

  constructor(making: PracticeMaking) {
    this.#making = making;
    this.#folder = join(making.folder, 'practice');
    this.progress = new Progress(() => this.records);
    this.scenarios = new ScenarioList(
      () => this.records,
      () => this.#knowledge(),
    );
  }

  get records(): PracticeRecords {
    if (this.#making.readOnly)
      throw new PracticeError('practice-closed', 'The store is open for reading only: nothing can be practised.');
    this.#records ??= new PracticeRecords(this.#folder);
    return this.#records;
  }

  /** Lets go of all that is open. */
  close(): void {
    for (const world of this.#worlds.values()) world.close();
    this.#worlds.clear();
    this.#records?.db.close();
    this.#records = null;
  }

  home(person: string, isLead: boolean): PracticeHome {
    const jobs = this.records.jobs(person);
    return {
      scenarios: this.scenarios.lines(jobs, isLead),
      open: jobs.filter(({ state }) => state !== 'ended').map(lineOf),
      ended: jobs.filter(({ state }) => state === 'ended').map(lineOf),
      due: this.progress.due(person),
    };
  }

  /** Jobs that were ended and that nobody has countersigned. */
  toCountersign(): PracticeLine[] {
    return this.records
      .jobs(null)
      .filter(({ state, countersigned }) => state === 'ended' && countersigned === null)
      .map(lineOf);
  }

  /** @throws PracticeError where nothing of what is asked for can be practised */
  begin(
    asked: {
      scenario?: string | undefined;
      group?: Group | undefined;
      difficulty?: 1 | 2 | 3 | undefined;
      seed?: number | string | undefined;
    },
    by: string,
  ): string {
    if (asked.scenario === undefined)
      return this.#beginOn(this.scenarios.seeded(this.scenarios.pick(asked, by), asked.seed), by);
    // One that somebody wrote is met first as it was written.
    const written = this.scenarios.of(asked.scenario);
    const isNew = this.records.jobs(by).every(({ scenario }) => scenario.id !== written.id);
    return this.#beginOn(isNew && asked.seed === undefined ? written : this.scenarios.seeded(written, asked.seed), by);
  }

  /** The same vehicle once more, or another with the same fault. */
  again(id: string, { seed, other }: { seed?: number | string | undefined; other: boolean }, by: string): string {
    const { scenario } = this.row(id);
    const isSame = seed === undefined && !other;
    return this.#beginOn(isSame ? scenario : this.scenarios.seeded(scenario, seed), by);
  }

  #beginOn(scenario: Scenario, by: string): string {
    const vehicle = vehicleOf(scenario);
    const id = randomUUID();
    const at = Date.parse(this.#making.now());
    const complaint = [complaintOf(vehicle, this.#knowledge()), triedWords(scenario)].filter(Boolean).join(' ');
    this.records.oneGo(() =>
      this.records.begin({
        id,
        scenario,
        by,
        complaint,
        begunAt: this.#making.now(),
        clock: { at, world: at, fastUntil: 0 },
      }),
    );
    return id;
  }

  /** @throws PracticeError for one that is not there */
  row(id: string): PracticeRow {
    const row = this.records.job(id);
    if (row === null) throw new PracticeError('no-such-practice', 'There is no such practice job.');
    return row;
  }

  /** The world of a job, opened where it is not. @throws PracticeError for one that is not there */
  world(id: string): World {
    const open = this.#worlds.get(id);
    if (open !== undefined) {
      // The one that was used last is let go last.
      this.#worlds.delete(id);
      this.#worlds.set(id, open);
      return open;
    }
    const row = this.row(id);
    const vehicle = vehicleOf(row.scenario);
    const world = new World({
      id,
      folder: join(this.#folder, 'worlds', id),
      shop: this.#making.shop,
      vehicle,
      complaint: row.complaint,
      codes: storedCodes(vehicle, this.#knowledge()),
      plate: plateOf(row),
      by: row.by,
      clock: row.clock,
      machineZone: this.#making.machineZone,
      make: this.#making.make,
      access: this.#making.access,
      handled: () => handledBy(this.records.entries(id)),
      now: () => Date.parse(this.#making.now()),
      marked: (clock) => this.records.setClock(id, clock, this.row(id).state),
    });
    this.#worlds.set(id, world);
    this.#letGoOfTheRest(id);
    return world;
  }

  #letGoOfTheRest(but: string): void {
    if (this.#worlds.size <= OPEN_WORLDS) return;
    const [oldest] = [...this.#worlds].filter(([id, { services }]) => id !== but && !services.changes.isHeard);
    if (oldest !== undefined) this.#letGo(oldest[0]);
  }

  reply(id: string): PracticeReply {
    const row = this.row(id);
    const entries = this.records.entries(id);
    return {
      ...lineOf(row),
      tried: triedWords(row.scenario),
      entries,
      ...standing(entries, this.world(id).job),
    };
  }

  /** @throws PracticeError for one that is ended or put aside: nothing of it changes any more */
  mustBeOpen(id: string): void {
    const { state } = this.row(id);
    if (state === 'ended')
      throw new PracticeError(
        'practice-ended',
        'This practice job is ended; look at it again in its review.',
        'Begin it again.',
      );
    if (state === 'stopped')
      throw new PracticeError('practice-ended', 'This practice job is put aside.', 'Take it up again.');
  }

  /** What a person does beside the log, and what comes of it. @throws PracticeError */
  does(id: string, deed: PracticeDeed, by: string): PracticeEntry {
    this.mustBeOpen(id);
    const world = this.world(id);
    const answer = answerDeed(world, deed, this.records.entries(id), this.#judgedBy(world));
    // What was stopped took no time.
    if (answer?.hand?.stopped !== true) world.pass(this.#minutes(world, deed));
    const entry = this.records.oneGo(() =>
      this.records.add(id, {
        at: world.nowIso(),
        by,
        kind: deed.kind,
        what: whatOf(deed),
        tags: deed.kind === 'tags' ? deed.tags : null,
        answer,
      }),
    );
    world.noticeWork();
    world.services.changes.tell({ kind: 'rows', list: 'practice' });
    return entry;
  }

  /** The knowledge that a practice job was opened with. */
  #judgedBy({ services, job }: World): Knowledge {
    return services.knowledge.get(job.knowledge) ?? this.#knowledge();
  }

  /** What a deed takes of practice time, min; a door that is open already takes none. */
  #minutes(world: World, deed: PracticeDeed): number {
    if (deed.kind === 'ask') return ASK_MINUTES;
    if (deed.kind === 'mend') return mendMinutes(deed.cause, this.#judgedBy(world));
    if (deed.kind !== 'look') return 0;
    const { vehicle, job } = world;
    const signs = signsFor(this.#judgedBy(world), vehicle);
    const reached = new Set<Access>();
    for (const { kind, what, answer } of this.records.entries(job.id)) {
      const before = kind === 'look' && answer?.met !== undefined ? signs.find(({ id }) => id === what) : undefined;
      if (before !== undefined) minutesOf(before, reached);
    }
    const sign = signs.find(({ id }) => id === deed.sign);
    return sign === undefined ? 0 : minutesOf(sign, reached);
  }

  /** Put aside: its clock stands still. */
  stop(id: string): void {
    const row = this.row(id);
    if (row.state !== 'open') return;
    this.world(id).stopClock();
    this.records.setClock(id, this.row(id).clock, 'stopped');
  }
  takeUp(id: string): void {
    const row = this.row(id);
    if (row.state !== 'stopped') return;
    this.records.setClock(id, row.clock, 'open');
    this.world(id).startClock();
  }

  /** Says what it was, and is shown what it was. */
  end(id: string, causes: readonly string[], at: string): PracticeReview {
    const row = this.row(id);
    if (row.state === 'ended') return this.review(id);
    const world = this.world(id);
    const now = world.vehicleNow();
    // One too many is a part too many: what is named is what there is, and nothing beside.
    const { faults } = row.scenario;
    const found = faults.length === causes.length && faults.every((fault) => causes.includes(fault));
    const harms = harmsOf(world.vehicle, now);
    const cured = stillWrong(world.vehicle, now).length === 0 && harms.length === 0;
    const helped = this.records.entries(id).some(({ kind }) => kind === 'ranking');
    const went: Went = !found ? 'badly' : helped || harms.length > 0 ? 'with help' : cured ? 'easily' : 'well';
    world.stopClock();
    this.records.oneGo(() => {
      this.records.end(id, { endedAt: at, decided: causes, found, cured, stages: this.#stages(world) });
      for (const fault of faults) this.progress.practised(row.by, `cause:${fault}`, went, at);
    });
    return this.review(id);
  }

  /** Stages at which something was done; that it was opened with a complaint and a procedure is not the person's doing. */
  #stages({ services, job }: World): readonly Stage[] {
    const done = new Set(
      (services.jobs.read(job.id, 0)?.events ?? []).flatMap((event) =>
        event.commandId.startsWith(`${job.id}.`) ? [] : (stageOfEntry(event) ?? []),
      ),
    );
    for (const { kind } of this.records.entries(job.id)) done.add(kind === 'ask' ? 'complaint' : 'diagnose');
    return STAGES.filter((stage) => done.has(stage));
  }

  /** What is shown afterwards. @throws PracticeError while it is open: then it would tell what is hidden */
  review(id: string): PracticeReview {
    const row = this.row(id);
    if (row.state !== 'ended')
      throw new PracticeError('practice-open', 'What was wrong is shown once you have said what it was.');
    const world = this.world(id);
    const now = world.vehicleNow();
    return {
      ...this.reply(id),
      scenario: row.scenario,
      decided: row.decided,
      left: stillWrong(world.vehicle, now),
      harms: harmsOf(world.vehicle, now),
      knowledge: world.job.knowledge,
    };
  }

  countersign(id: string, who: Stamp): void {
    const row = this.row(id);
    if (row.state !== 'ended') throw new PracticeError('practice-open', 'It is not ended yet.');
    if (row.by === who.by) throw new PracticeError('not-yours', 'Nobody countersigns what they practised themselves.');
    this.records.countersign(id, who.by, who.at);
  }

  /** Takes a job out with its world. */
  drop(id: string): void {
    this.row(id);
    this.#letGo(id);
    this.records.drop(id);
    rmSync(join(this.#folder, 'worlds', id), { recursive: true, force: true });
  }

  #knowledge(): Knowledge {
    return this.#making.knowledge.newest();
  }

  #letGo(id: string): void {
    this.#worlds.get(id)?.close();
    this.#worlds.delete(id);
  }
}

const plateOf = ({ number }: Pick<PracticeRow, 'number'>): string => `PRACTICE ${number}`;
