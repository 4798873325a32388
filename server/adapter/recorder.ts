import type { RecordingNews } from '../../contract/index.ts';
import { MAKER_PIDS, MODES } from '../../core/obd/index.ts';
import { type Phase, type PhaseKind, type Role, roleChannel, ROLES, type Trace } from '../../core/trace/index.ts';
import { AdapterError, type Link } from './links.ts';
import { Reader } from './reader.ts';

/** Rounds a second that are tried for. */
const ROUNDS_HZ = 10;
/** A value that does not come so often in a row is not asked for any more. */
const GIVEN_UP_AFTER = 3;
/** Nobody records longer than this by mistake, s. */
const LONGEST_S = 3600;
const WANTED = Object.entries(ROLES) as [Role, { name: string; unit: string; pid: number }][];

/** Time as vehicles and recorders have it, and how they wait. */
export interface RecorderClock {
  readonly seconds: () => number;
  readonly rest: (seconds: number) => Promise<void>;
}

/** The world’s time. @param pace lets vehicle and recorder run so much faster than the world, for trials */
export function worldClock(pace = 1): RecorderClock {
  const began = performance.now();
  return {
    seconds: () => ((performance.now() - began) / 1000) * pace,
    rest: (seconds) => new Promise((resolve) => setTimeout(resolve, (Math.max(0, seconds) * 1000) / pace)),
  };
}

interface Lane {
  readonly role: Role;
  readonly pid: number;
  readonly times: number[];
  readonly values: number[];
  failed: number;
}

/** Reads a vehicle over and over until it is stopped, or the adapter goes; what came until then stays. */
export class Recorder {
  readonly #reader: Reader;
  readonly #link: Link;
  readonly #clock: RecorderClock;
  #lanes: Lane[] = [];
  #state: RecordingNews['state'] = 'recording';
  #start = 0;
  /** Seconds that it was paused, which no time counts. */
  #pausedS = 0;
  #pausedAt = 0;
  #phase: { readonly kind: PhaseKind; readonly from: number } | null = null;
  readonly #phases: Phase[] = [];
  readonly #problems: string[] = [];
  #listeners: ((news: RecordingNews) => void)[] = [];
  #fresh: Record<string, [number, number][]> = {};
  #vin = '';
  readonly #done: Promise<void>;

  constructor(link: Link, clock: RecorderClock) {
    this.#link = link;
    this.#clock = clock;
    this.#reader = new Reader(link, { timeoutMs: 300, retries: 0 });
    this.#start = clock.seconds();
    this.#done = this.#run();
  }

  get state(): RecordingNews['state'] {
    return this.#state;
  }
  /** The vehicle’s own number; empty where it does not say. */
  get vin(): string {
    return this.#vin;
  }
  get problems(): readonly string[] {
    return this.#problems;
  }
  /** Seconds recorded. */
  get seconds(): number {
    const now = this.#state === 'paused' ? this.#pausedAt : this.#clock.seconds();
    return now - this.#start - this.#pausedS;
  }

  /** Whether it is over, by itself or because somebody said so. */
  get ended(): boolean {
    return this.#state === 'stopped' || this.#state === 'lost';
  }
  /** Whether anybody is told. */
  get heard(): boolean {
    return this.#listeners.length > 0;
  }

  /** Tells of what comes. @returns stops telling */
  listen(listener: (news: RecordingNews) => void): () => void {
    this.#listeners.push(listener);
    // Whoever comes later is told what came before.
    listener(this.#news(this.#all()));
    return () => {
      this.#listeners = this.#listeners.filter((each) => each !== listener);
    };
  }

  /** Begins a phase, which ends the one before; null ends it. */
  mark(kind: PhaseKind | null): void {
    this.#endPhase();
    if (kind !== null) this.#phase = { kind, from: this.seconds };
    this.#tell();
  }

  pause(): void {
    if (this.#state !== 'recording') return;
    this.#pausedAt = this.#clock.seconds();
    this.#state = 'paused';
    this.#tell();
  }

  resume(): void {
    if (this.#state !== 'paused') return;
    this.#pausedS += this.#clock.seconds() - this.#pausedAt;
    this.#state = 'recording';
    this.#tell();
  }

  /** Ends it, and waits until the last value is in. */
  async stop(): Promise<void> {
    if (this.#state === 'paused') this.resume();
    if (this.#state === 'recording') this.#end('stopped');
    await this.#done;
  }

  /** What came until now. */
  trace(): Trace {
    const now = this.seconds;
    const open = this.#phase === null ? [] : [{ ...this.#phase, to: now }];
    return {
      channels: this.#lanes
        .filter(({ times }) => times.length > 0)
        .map(({ role, times, values }) => roleChannel(role, times, values)),
      phases: [...this.#phases, ...open],
    };
  }

  #endPhase(): void {
    if (this.#phase !== null) this.#phases.push({ ...this.#phase, to: this.seconds });
    this.#phase = null;
  }

  #end(state: 'stopped' | 'lost'): void {
    this.#endPhase();
    this.#state = state;
  }

  #news(values: RecordingNews['values']): RecordingNews {
    return {
      state: this.#state,
      seconds: this.seconds,
      readings: this.#lanes.reduce((sum, { times }) => sum + times.length, 0),
      values,
      phase: this.#phase?.kind ?? null,
      problems: this.#problems,
    };
  }

  #all(): RecordingNews['values'] {
    return Object.fromEntries(
      this.#lanes.map(({ role, times, values }) => [role, times.map((time, at) => [time, values[at]!] as const)]),
    );
  }

  #tell(): void {
    const news = this.#news(this.#fresh);
    this.#fresh = {};
    for (const listener of this.#listeners) listener(news);
  }

  async #run(): Promise<void> {
    try {
      await this.#begin();
      while (this.#state === 'recording' || this.#state === 'paused') {
        const began = this.#clock.seconds();
        if (this.#state === 'recording') await this.#round();
        if (this.seconds > LONGEST_S) this.#end('stopped');
        this.#tell();
        await this.#clock.rest(1 / ROUNDS_HZ - (this.#clock.seconds() - began));
      }
    } catch (error) {
      if (!(error instanceof AdapterError)) throw error;
      this.#problems.push(error.message);
      this.#end('lost');
    } finally {
      this.#link.close();
      this.#tell();
    }
  }

  /** What the vehicle has of what is wanted. */
  async #begin(): Promise<void> {
    this.#vin = await this.#reader.vin().catch(goneOnly(''));
    const has = new Set(await this.#reader.supported());
    const lane = (role: Role, pid: number): Lane => ({ role, pid, times: [], values: [], failed: 0 });
    this.#lanes = WANTED.filter(([, { pid }]) => has.has(pid)).map(([role, { pid }]) => lane(role, pid));
    for (const [role, { pid }] of WANTED.filter(([, each]) => MAKER_PIDS.has(each.pid)))
      if ((await this.#reader.maker(pid).catch(goneOnly(null))) !== null) this.#lanes.push(lane(role, pid));
    this.#start = this.#clock.seconds();
  }

  async #round(): Promise<void> {
    for (const lane of this.#lanes) {
      if (this.#state !== 'recording' || lane.failed >= GIVEN_UP_AFTER) continue;
      try {
        const { value } = MAKER_PIDS.has(lane.pid)
          ? await this.#reader.maker(lane.pid)
          : await this.#reader.value(MODES.values, lane.pid);
        const time = Math.round(this.seconds * 10_000) / 10_000;
        lane.times.push(time);
        lane.values.push(value);
        lane.failed = 0;
        (this.#fresh[lane.role] ??= []).push([time, value]);
      } catch (error) {
        if (!(error instanceof AdapterError) || error.code === 'adapter-gone') throw error;
        lane.failed += 1;
        if (lane.failed === GIVEN_UP_AFTER) this.#problems.push(`${ROLES[lane.role].name}: ${error.message}`);
      }
    }
  }
}

/** Anything but a connection that is gone is answered by what there is instead. */
const goneOnly =
  <T>(instead: T) =>
  (error: unknown): T => {
    if (error instanceof AdapterError && error.code !== 'adapter-gone') return instead;
    throw error;
  };
