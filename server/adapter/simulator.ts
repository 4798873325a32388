import {
  advance,
  AT_REST,
  cleared,
  createEngine,
  type EngineInputs,
  type EngineState,
  makerReadings,
  mended,
  type Readings,
  readings,
  relearned,
} from '../../core/engine/index.ts';
import {
  ANSWER,
  bytesOfLine,
  encodeMaker,
  encodePid,
  type Frame,
  hex,
  MAKER_PIDS,
  MODES,
  NEGATIVE,
  pidLength,
  PIDS,
  splitMessage,
  supportMap,
} from '../../core/obd/index.ts';
import { dtcToBytes, vinCheckDigit } from '../../core/vehicle/index.ts';
import type { VehicleDone } from '../../core/job/index.ts';
import { type Deed, DEEDS } from '../../contract/index.ts';
import { HOW, type Stretch } from './foot.ts';
import type { VehicleScript } from './scripts.ts';

/** How long a vehicle that is asked for a moment waits, in the units of `wait`. */
type Wait = (ms: number, then: () => void) => void;

/** A number is made up in the scripts; its check digit is worked out here. */
export const vinOf = ({ vin }: VehicleScript): string => vin.replace('.', vinCheckDigit(vin.replace('.', '0')) ?? '0');

/** A vehicle that was left alone for longer than this has done nothing meanwhile, s. */
const LONGEST_S = 30;
/** Seconds that it has idled for when it is first plugged into. */
const IDLED_S = 40;
const WARM_C = 88;
const SLICE_S = 0.05;

/** A link, and how far its talk is. */
interface Plug {
  readonly emit: (line: string) => void;
  readonly drop: () => void;
  following: readonly Frame[];
  asked: number;
}

/**
 * A vehicle that is not there: an engine that behaves, with somebody at its key and foot. Lines of hex bytes come in,
 * lines of hex bytes go out: requests are bare bytes, answers are ISO 15765-2 frames, and after a first frame it waits for
 * flow control, as a real one does. A line that begins with an exclamation mark is for the person: `! blip`.
 */
export class SimulatedVehicle {
  readonly script: VehicleScript;
  readonly #wait: Wait;
  readonly #seconds: () => number;
  #made: EngineState | null = null;
  #last = 0;
  #plan: Stretch[] = [...HOW.idle];
  #inStretch = 0;
  #hadCodes: readonly string[];
  #hadPending: readonly string[];
  #done = '';
  readonly #garbledOnce = new Set<number>();

  /** @param seconds a running clock, by which the engine goes on */
  constructor(script: VehicleScript, wait: Wait, seconds: () => number) {
    this.script = script;
    this.#wait = wait;
    this.#seconds = seconds;
    this.#hadCodes = script.stored;
    this.#hadPending = script.pending;
  }

  /** The engine, made when somebody first asks: most vehicles of a shop are never plugged into. */
  get #engine(): EngineState {
    if (this.#made !== null) return this.#made;
    const { engine, wrong, id } = this.script;
    const stands = createEngine(engine, { faults: wrong, coolantC: WARM_C, seed: seedOf(id) });
    const starts = advance(stands, { ...AT_REST, key: 'start' }, 1.5);
    // What it set meanwhile is what it had stored before anybody came.
    const idled = advance(starts, { ...AT_REST, key: 'on' }, IDLED_S);
    this.#made = { ...idled, stored: [], pending: [], seen: {} };
    this.#last = this.#seconds();
    return this.#made;
  }
  set #engine(state: EngineState) {
    this.#made = state;
  }

  /**
   * Another link to the same vehicle.
   * @param emit takes each line that the vehicle sends over it @param drop is called when the connection goes
   * @returns takes the lines that come over it
   */
  plug(emit: (line: string) => void, drop: () => void): (line: string) => void {
    const plug: Plug = { emit, drop, following: [], asked: 0 };
    return (line) => this.#receive(line, plug);
  }

  /** What was done to it since; the same told again changes nothing. */
  meet(done: VehicleDone): void {
    const key = JSON.stringify(done);
    if (key === this.#done) return;
    this.#done = key;
    this.#goOn();
    this.#engine = mended(this.#engine, { ...this.script.wrong, ...done.faults });
    if (done.relearned) this.#engine = relearned(this.#engine);
  }

  /** How its engine is now. */
  engineNow(): EngineState {
    this.#goOn();
    return this.#engine;
  }

  /** Somebody does something at its key and foot. */
  act(deed: Deed): void {
    this.#goOn();
    if (deed === 'cool') this.#engine = { ...this.#engine, coolantC: this.#engine.ambientC };
    const starts = deed !== 'off' && deed !== 'key-on' && deed !== 'sweep' && deed !== 'cool' && !this.#engine.running;
    const stops = (deed === 'sweep' || deed === 'key-on') && this.#engine.omega > 0;
    this.#plan = [
      ...(starts ? HOW.start.slice(0, 1) : []),
      ...(stops ? [{ seconds: 2, inputs: AT_REST }] : []),
      ...HOW[deed],
    ];
    this.#inStretch = 0;
  }

  /** Brings the engine to now. */
  #goOn(): void {
    let engine = this.#engine;
    const now = this.#seconds();
    let left = Math.min(Math.max(0, now - this.#last), LONGEST_S);
    this.#last = now;
    while (left > 1e-9) {
      const stretch = this.#plan[0] ?? HOW.idle[0]!;
      const slice = Math.min(left, SLICE_S, stretch.seconds - this.#inStretch);
      if (slice > 0) engine = advance(engine, this.#inputs(stretch), slice);
      this.#inStretch += slice;
      left -= slice;
      if (this.#inStretch >= stretch.seconds - 1e-9) {
        this.#plan.shift();
        this.#inStretch = 0;
      }
    }
    this.#engine = engine;
  }

  #inputs({ seconds, inputs, pedalTo }: Stretch): EngineInputs {
    if (pedalTo === undefined) return inputs;
    return { ...inputs, pedal: inputs.pedal + ((pedalTo - inputs.pedal) * this.#inStretch) / seconds };
  }

  get #stored(): readonly string[] {
    return [...new Set([...this.#hadCodes, ...(this.script.blind ? [] : this.#engine.stored)])];
  }

  get #pending(): readonly string[] {
    const stored = this.#stored;
    const all = [...this.#hadPending, ...(this.script.blind ? [] : this.#engine.pending)];
    return [...new Set(all)].filter((code) => !stored.includes(code));
  }

  /** Takes a line. What is not a request is left unanswered, as on the wire. */
  #receive(line: string, plug: Plug): void {
    if (line.startsWith('!')) {
      const deed = line.slice(1).trim();
      const known = DEEDS.find((each) => each === deed);
      if (known !== undefined) this.act(known);
      return plug.emit(known === undefined ? '! ?' : `! ${known}`);
    }
    let bytes: number[];
    try {
      bytes = bytesOfLine(line);
    } catch {
      return;
    }
    if ((bytes[0] ?? 0) >> 4 === 3) {
      const frames = plug.following;
      plug.following = [];
      for (const frame of frames) send(plug, frame);
      return;
    }
    plug.asked += 1;
    const { goneAfter, slowMs = 0 } = this.script.faults;
    if (goneAfter !== undefined && plug.asked > goneAfter) return plug.drop();
    const reply = (): void => this.#answer(bytes, plug);
    if (slowMs > 0) this.#wait(slowMs, reply);
    else reply();
  }

  #answer(request: readonly number[], plug: Plug): void {
    const [mode = 0, pid = 0] = request;
    const { silent, empty, garbled } = this.script.faults;
    if (mode === MODES.values) {
      if (silent?.includes(pid)) return;
      if (empty?.includes(pid)) return plug.emit('');
      if (garbled?.includes(pid) && !this.#garbledOnce.has(pid)) {
        this.#garbledOnce.add(pid);
        return plug.emit('0Z 41 ??');
      }
    }
    if (mode === MODES.clear && this.script.faults.keepsCodes) return send(plug, [3, NEGATIVE, mode, 0x22]);
    const message = this.#message(request);
    if (message === null) return send(plug, [3, NEGATIVE, mode, 0x12]);
    const [first, ...rest] = splitMessage(message);
    plug.following = rest;
    if (first !== undefined) send(plug, first);
  }

  #message(request: readonly number[]): number[] | null {
    const [mode = 0, pid = 0] = request;
    this.#goOn();
    switch (mode) {
      case MODES.values: {
        const values = readings(this.#engine);
        if (pid % 0x20 === 0) return [mode + ANSWER, pid, ...supportMap(withLinks(known(values)), pid)];
        const value = values[pid];
        return value === undefined || !PIDS.has(pid) ? null : [mode + ANSWER, pid, ...encodePid(pid, value)];
      }
      case MODES.maker: {
        const id = (pid << 8) | (request[2] ?? 0);
        const value = makerReadings(this.#engine)[id];
        return value === undefined || !MAKER_PIDS.has(id)
          ? null
          : [mode + ANSWER, pid, request[2] ?? 0, ...encodeMaker(id, value)];
      }
      case MODES.frame: {
        if (pid === 0x02)
          return [mode + ANSWER, pid, 0, ...(this.#stored[0] === undefined ? [0, 0] : dtcToBytes(this.#stored[0]))];
        const value = this.script.frame[pid];
        return value === undefined || this.#stored.length === 0
          ? null
          : [mode + ANSWER, pid, 0, ...encodePid(pid, value).slice(0, pidLength(pid))];
      }
      case MODES.stored:
      case MODES.pending: {
        const codes = mode === MODES.stored ? this.#stored : this.#pending;
        return [mode + ANSWER, codes.length, ...codes.flatMap((code) => [...dtcToBytes(code)])];
      }
      case MODES.clear:
        this.#hadCodes = [];
        this.#hadPending = [];
        this.#engine = cleared(this.#engine);
        return [mode + ANSWER];
      case MODES.vehicle:
        return pid === 0x02
          ? [mode + ANSWER, pid, 1, ...Array.from(vinOf(this.script), (letter) => letter.charCodeAt(0))]
          : null;
      default:
        return null;
    }
  }
}

/** What it can be asked now, in bytes that this program knows. */
const known = (values: Readings): number[] =>
  Object.keys(values)
    .map(Number)
    .filter((pid) => PIDS.has(pid));

/** PIDs with the bits that say a further map follows. */
function withLinks(pids: readonly number[]): number[] {
  const highest = Math.max(0, ...pids);
  return [...pids, ...[0x20, 0x40, 0x60].filter((link) => highest > link)];
}

const send = ({ emit }: Plug, frame: Frame): void => emit(frame.map(hex).join(' '));

/** A number from a name, so that each vehicle is the same every time. */
const seedOf = (id: string): number =>
  Array.from(id).reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) | 0, 7);
