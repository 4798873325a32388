import type { CommandReply, VehicleInput } from '../contract/index.ts';
import { type CommandData, type CommandType, type Job, keepingOf, replay, reportBy } from '../core/job/index.ts';
import type { Procedure } from '../core/procedure/index.ts';
import { pack, type Trace } from '../core/trace/index.ts';
import type { shop } from './shop.ts';

/** How seeding reaches a server: over HTTP, as a browser would. */
export interface DemoClient {
  readonly putShop: (lists: typeof shop) => Promise<void>;
  readonly putVehicle: (id: string, vehicle: VehicleInput) => Promise<void>;
  /** Takes what another shop told of a vehicle. */
  readonly takeLife: (file: object, vehicleId: string) => Promise<void>;
  readonly putProcedure: (procedure: Procedure, basedOn: number, note: string) => Promise<void>;
  readonly send: (jobId: string, command: unknown) => Promise<CommandReply>;
  /** Stores a packed recording and answers with its hash. */
  readonly putRecording: (packed: Uint8Array) => Promise<string>;
  /** Renders a drawing to a picture, stores it and answers with its hash. */
  readonly putPicture: (svg: string) => Promise<string>;
}

/** A person at work on one job: a clock that moves, and commands as taps would send them. */
export class Player {
  readonly #client: DemoClient;
  readonly #jobId: string;
  #clock: number;
  #by: string;
  #count = 0;
  #job: Job | null = null;

  constructor(client: DemoClient, jobId: string, by: string, startsAt: number) {
    this.#client = client;
    this.#jobId = jobId;
    this.#by = by;
    this.#clock = startsAt;
  }

  /** The job as it stands. */
  get job(): Job {
    if (this.#job === null) throw new Error('The job is not open yet.');
    return this.#job;
  }

  /** An id that is the same at every seeding. */
  id(): string {
    this.#count += 1;
    return `${this.#jobId}-${this.#count}`;
  }

  /** Lets time pass. */
  wait(minutes: number): this {
    this.#clock += minutes * 60_000;
    return this;
  }

  /** Continues at a given time, ms since 1970. */
  at(time: number): this {
    this.#clock = Math.max(this.#clock, time);
    return this;
  }

  as(person: string): this {
    this.#by = person;
    return this;
  }

  /** Sends one command, two minutes after the last unless said otherwise. */
  async do<K extends CommandType>(type: K, data: CommandData[K], minutes = 2): Promise<void> {
    this.wait(minutes);
    const reply = await this.#client.send(this.#jobId, {
      id: `c-${this.id()}`,
      at: new Date(this.#clock).toISOString(),
      by: this.#by,
      seen: this.#job?.version ?? 0,
      late: 'written-up',
      type,
      data,
    });
    this.#job = replay(this.#jobId, reply.events, this.#job);
  }

  /** Adds a drawn picture. */
  async picture(svg: string, subject: string, when: 'before' | 'after', caption: string): Promise<void> {
    const hash = await this.#client.putPicture(svg);
    await this.do('attach-picture', { id: this.id(), hash, subject, when, caption });
  }

  /** Records live data of an engine, as an adapter would have read them. */
  async record(trace: Trace, when: 'before' | 'after'): Promise<void> {
    const hash = await this.#client.putRecording(pack(trace));
    this.wait(4);
    const source = {
      id: this.id(),
      hash,
      when,
      startedAt: new Date(this.#clock - 110_000).toISOString(),
      from: 'adapter',
      ended: 'stopped',
      under: { place: 'bay', state: 'warm' },
    } as const;
    await this.do('keep-recording', keepingOf(trace, source, reportBy(this.job.vehicle)), 0);
  }
}
