import {
  ANSWER,
  bytesOfLine,
  encodePid,
  type Frame,
  hex,
  MODES,
  NEGATIVE,
  pidLength,
  splitMessage,
  supportMap,
} from '../../core/obd/index.ts';
import { dtcToBytes, vinCheckDigit } from '../../core/vehicle/index.ts';
import type { VehicleScript } from './scripts.ts';

/** How long a vehicle that is asked for a moment waits, in the units of `wait`. */
type Wait = (ms: number, then: () => void) => void;

/** A number is made up in the scripts; its check digit is worked out here. */
export const vinOf = ({ vin }: VehicleScript): string => vin.replace('.', vinCheckDigit(vin.replace('.', '0')) ?? '0');

/**
 * A vehicle that is not there. Lines of hex bytes come in, lines of hex bytes go out: requests are bare bytes, answers
 * are ISO 15765-2 frames, and after a first frame it waits for flow control, as a real one does.
 */
export class SimulatedVehicle {
  readonly script: VehicleScript;
  readonly #emit: (line: string) => void;
  readonly #drop: () => void;
  readonly #wait: Wait;
  readonly #seconds: () => number;
  #stored: readonly string[];
  #pending: readonly string[];
  #following: readonly Frame[] = [];
  #asked = 0;
  readonly #garbledOnce = new Set<number>();

  /**
   * @param emit takes each line that the vehicle sends
   * @param drop is called when the connection goes
   * @param seconds a running clock, so that values can swing
   */
  constructor(
    script: VehicleScript,
    emit: (line: string) => void,
    drop: () => void,
    wait: Wait,
    seconds: () => number,
  ) {
    this.script = script;
    this.#emit = emit;
    this.#drop = drop;
    this.#wait = wait;
    this.#seconds = seconds;
    this.#stored = script.stored;
    this.#pending = script.pending;
  }

  /** Takes a line. What is not a request is left unanswered, as on the wire. */
  receive(line: string): void {
    let bytes: number[];
    try {
      bytes = bytesOfLine(line);
    } catch {
      return;
    }
    if ((bytes[0] ?? 0) >> 4 === 3) {
      const frames = this.#following;
      this.#following = [];
      for (const frame of frames) this.#send(frame);
      return;
    }
    this.#asked += 1;
    const { goneAfter, slowMs = 0 } = this.script.faults;
    if (goneAfter !== undefined && this.#asked > goneAfter) return this.#drop();
    const reply = (): void => this.#answer(bytes);
    if (slowMs > 0) this.#wait(slowMs, reply);
    else reply();
  }

  #answer(request: readonly number[]): void {
    const [mode = 0, pid = 0] = request;
    const { silent, empty, garbled } = this.script.faults;
    if (mode === MODES.values) {
      if (silent?.includes(pid)) return;
      if (empty?.includes(pid)) return this.#emit('');
      if (garbled?.includes(pid) && !this.#garbledOnce.has(pid)) {
        this.#garbledOnce.add(pid);
        return this.#emit('0Z 41 ??');
      }
    }
    if (mode === MODES.clear && this.script.faults.keepsCodes) return this.#send([3, NEGATIVE, mode, 0x22]);
    const message = this.#message(request);
    if (message === null) return this.#send([3, NEGATIVE, mode, 0x12]);
    const [first, ...rest] = splitMessage(message);
    this.#following = rest;
    if (first !== undefined) this.#send(first);
  }

  #message(request: readonly number[]): number[] | null {
    const [mode = 0, pid = 0] = request;
    const has = Object.keys(this.script.values).map(Number);
    switch (mode) {
      case MODES.values: {
        if (pid % 0x20 === 0) return [mode + ANSWER, pid, ...supportMap(withLinks(has), pid)];
        const value = this.#now(pid);
        return value === null ? null : [mode + ANSWER, pid, ...encodePid(pid, value)];
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
        this.#stored = [];
        this.#pending = [];
        return [mode + ANSWER];
      case MODES.vehicle:
        return pid === 0x02
          ? [mode + ANSWER, pid, 1, ...Array.from(vinOf(this.script), (letter) => letter.charCodeAt(0))]
          : null;
      default:
        return null;
    }
  }

  #now(pid: number): number | null {
    const value = this.script.values[pid];
    if (value === undefined) return null;
    return typeof value === 'number'
      ? value
      : value.mean + value.swing * Math.sin((2 * Math.PI * this.#seconds()) / value.seconds);
  }

  #send(frame: Frame): void {
    this.#emit(frame.map(hex).join(' '));
  }
}

/** PIDs with the bits that say a further map follows. */
function withLinks(pids: readonly number[]): number[] {
  const highest = Math.max(0, ...pids);
  return [...pids, ...[0x20, 0x40, 0x60].filter((link) => highest > link)];
}
