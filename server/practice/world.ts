import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { dayOf } from '../../core/days/index.ts';
import { familyInput, vehicleInput } from '../../contract/index.ts';
import { type Job, runningTimers, timerEnd, type VehicleDone, vehicleDone } from '../../core/job/index.ts';
import { ENGINE_KINDS } from '../../core/engine/index.ts';
import {
  ENGINE_OF,
  engineFaults,
  type Handled,
  PRACTICE_ID,
  practiceFile,
  type PracticeVehicle,
  readingOf,
  worked,
} from '../../core/practice/index.ts';
import { AdapterHub } from '../adapter/hub.ts';
import { worldClock } from '../adapter/recorder.ts';
import type { createServices, Services } from '../services.ts';
import { OneGo } from '../store/oneGo.ts';
import { atOnce } from '../store/log.ts';
import { openStore } from '../store/open.ts';
import { type ClockMark, FAST, markedAnew, movedOn, practiceTime } from './clock.ts';
import { takeShopRows } from './shopRows.ts';

/** What stands where the shop’s name would. */
const PRINTED_HEAD = 'Practice: nothing of this was done';

/** The adapter that is plugged into a practice vehicle. */
export const PRACTICE_LINK = `sim.${PRACTICE_ID}`;

/** What a world is made with. */
export interface WorldMaking {
  readonly id: string;
  readonly folder: string;
  readonly shop: Database;
  readonly vehicle: PracticeVehicle;
  readonly complaint: string;
  /** Stored by its computer before anybody came. */
  readonly codes: readonly string[];
  readonly plate: string;
  readonly by: string;
  readonly clock: ClockMark;
  readonly machineZone: string;
  readonly make: typeof createServices;
  readonly access: Services['access'];
  /** What was done by hand so far. */
  readonly handled: () => Handled;
  /** ms since 1970, by the world's clock. */
  readonly now: () => number;
  /** Told when the clock was marked anew. */
  readonly marked: (clock: ClockMark) => void;
}

/** A practice job as a world of its own: a store, a clock, and a vehicle behind a simulated adapter. */
export class World {
  readonly services: Services;
  readonly vehicle: PracticeVehicle;
  readonly #db: Database;
  readonly #making: WorldMaking;
  #clock: ClockMark;

  constructor(making: WorldMaking) {
    this.#making = making;
    this.#clock = making.clock;
    this.vehicle = making.vehicle;
    const { folder, shop, machineZone, make } = making;
    mkdirSync(folder, { recursive: true });
    this.#db = openStore(join(folder, 'shop.sqlite'));
    new OneGo(this.#db).run(() => {
      takeShopRows(shop, this.#db);
      // What is printed of it says so at its head.
      this.#db
        .prepare(
          "INSERT INTO setting (key, value) VALUES ('shop-name', ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value",
        )
        .run(PRINTED_HEAD);
    });
    const made = make(this.#db, join(folder, 'pictures'), this.nowIso, machineZone, this.#hub(), {
      doneTo: (job) => this.#done(job),
    });
    this.services = { ...made, access: making.access };
    if (made.jobs.job(making.id) === null) this.#open(made);
    made.jobs.onChange(() => this.#pace());
    this.#meet();
    // It was driven in and stands with its key off.
    made.hub.act(PRACTICE_LINK, 'off');
  }

  /** The practice time, ISO. */
  readonly nowIso = (): string => new Date(practiceTime(this.#clock, this.#making.now())).toISOString();

  /** As a header says it: how fast the practice clock runs now, and until which of its times. */
  get pace(): string {
    return this.#clock.world === null ? '0' : `${FAST} ${new Date(this.#clock.fastUntil).toISOString()}`;
  }

  get job(): Job {
    const job = this.services.jobs.job(this.#making.id);
    if (job === null) throw new Error(`The practice job ${this.#making.id} has no log.`);
    return job;
  }

  /** The vehicle as the work so far has left it. */
  vehicleNow(): PracticeVehicle {
    return worked(this.vehicle, this.job, this.#making.handled());
  }

  /** Has the engine behind the adapter notice what was done. */
  noticeWork(): void {
    this.#meet();
  }

  /** Moves the practice clock on by what a look takes. */
  pass(minutes: number): void {
    this.#clock = movedOn(this.#clock, this.#making.now(), minutes);
    this.#making.marked(this.#clock);
  }

  stopClock(): void {
    this.#mark({ stopped: true });
  }
  startClock(): void {
    this.#mark({});
  }

  close(): void {
    this.#db.close();
  }

  #hub(): AdapterHub {
    const { vehicle, plate, codes } = this.#making;
    const script = {
      id: PRACTICE_ID,
      name: `practice vehicle, ${plate}`,
      vehicleId: PRACTICE_ID,
      vin: '',
      engine: ENGINE_KINDS[ENGINE_OF[vehicle.group]],
      wrong: engineFaults(vehicle.world, vehicle.group),
      stored: codes,
      pending: [],
      frame: {},
      faults: {},
    };
    return new AdapterHub([], worldClock(), [script]);
  }

  #done(job: Job): VehicleDone {
    const { world } = worked(this.vehicle, job, this.#making.handled());
    return { faults: engineFaults(world, this.vehicle.group), relearned: vehicleDone(job).relearned };
  }

  #meet(): void {
    this.services.hub.meet(PRACTICE_ID, this.#done(this.job));
  }

  /** Soaks and cures go fast. */
  #pace(): void {
    const ends = runningTimers(this.job).map((timer) => Date.parse(timerEnd(timer)));
    this.#mark({ fastUntil: Math.max(0, ...ends) });
  }

  #mark(how: { fastUntil?: number; stopped?: boolean }): void {
    this.#clock = markedAnew(this.#clock, this.#making.now(), how);
    this.#making.marked(this.#clock);
  }

  /** The vehicle drives in, with what its customer says. */
  #open(services: Services): void {
    const { id, by, complaint, plate, vehicle } = this.#making;
    const { vehicle: filed, family, procedure } = practiceFile(vehicle.group, plate);
    const at = this.nowIso();
    const who = { by, at };
    services.oneGo.run(() => {
      const { id: _family, ...ofFamily } = family;
      services.families.put(PRACTICE_ID, familyInput.parse(ofFamily), 0, who);
      services.procedures.adopt(procedure, who);
      const { id: _vehicle, lastReading: _reading, knownSince: _since, ...ofVehicle } = filed;
      services.vehicles.put(
        PRACTICE_ID,
        vehicleInput.parse(ofVehicle),
        0,
        who,
        dayOf(at, services.settings.timeZone()),
      );
      const arrival = atOnce(at);
      const head = { at, by, seen: 0 };
      const data = { vehicleId: PRACTICE_ID, reading: readingOf(vehicle.group), readingReason: '', complaint };
      for (const command of [
        { ...head, id: `${id}.open`, type: 'open-job', data },
        { ...head, id: `${id}.procedure`, type: 'pin-procedure', data: { procedureId: PRACTICE_ID } },
      ] as const) {
        const outcome = services.jobs.take(id, command, arrival);
        if (outcome.kind === 'refused') throw new Error(outcome.refusal.message);
      }
    });
  }
}
