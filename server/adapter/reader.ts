import type { AdapterReading } from '../../contract/index.ts';
import {
  bytesOfLine,
  CONTINUE,
  dataOf,
  decodeCodes,
  decodeMaker,
  decodePid,
  decodeVin,
  encodeRequest,
  type Frame,
  framesToFollow,
  hex,
  isFirst,
  messageLength,
  MODES,
  NEGATIVE,
  ObdError,
  PIDS,
  readable,
  reassemble,
  type Request,
  supportedPids,
  type ValueMode,
} from '../../core/obd/index.ts';
import type { LiveValue } from '../../core/job/index.ts';
import { AdapterError, type Link } from './links.ts';

/** Patience with a vehicle. */
export interface Patience {
  readonly timeoutMs: number;
  /** Further tries after the first. */
  readonly retries: number;
}

const USUAL: Patience = { timeoutMs: 300, retries: 2 };
/** “I need more time” is believed this often. */
const MORE_TIME = 5;
const ASKS_FOR_TIME = 0x78;

/** Asks a vehicle and says in words what came back. */
export class Reader {
  readonly #link: Link;
  readonly #patience: Patience;

  constructor(link: Link, patience: Patience = USUAL) {
    this.#link = link;
    this.#patience = patience;
  }

  /** The data of the answer to one request. @throws AdapterError when it does not come, or makes no sense, after all tries */
  async ask(request: Request): Promise<number[]> {
    const line = encodeRequest(request);
    let problem: AdapterError | null = null;
    for (let attempt = 0; attempt <= this.#patience.retries; attempt += 1) {
      try {
        this.#link.drain();
        this.#link.send(line);
        return dataOf(await this.#message(), request);
      } catch (error) {
        if (error instanceof ObdError) problem = asGarbled(error, request);
        else if (error instanceof AdapterError) problem = error;
        else throw error;
        if (problem.code === 'adapter-gone' || problem.code === 'adapter-refuses') throw problem;
      }
    }
    const tries = this.#patience.retries + 1;
    throw problem?.code === 'adapter-silent'
      ? new AdapterError(
          'adapter-silent',
          `No answer to ${line} after ${tries} tries of ${this.#patience.timeoutMs} ms. Is the key on?`,
        )
      : new AdapterError('adapter-garbled', `${problem?.message ?? ''} (${line}, ${tries} tries)`);
  }

  async #message(): Promise<number[]> {
    for (let left = MORE_TIME; ; left -= 1) {
      const first = await this.#frame();
      const frames: Frame[] = [first];
      if (isFirst(first)) {
        this.#link.send(CONTINUE.map(hex).join(' '));
        for (let more = framesToFollow(messageLength(first)); more > 0; more -= 1) frames.push(await this.#frame());
      }
      const message = reassemble(frames);
      if (message[0] !== NEGATIVE || message[2] !== ASKS_FOR_TIME || left === 0) return message;
    }
  }

  async #frame(): Promise<Frame> {
    const line = await this.#link.next(this.#patience.timeoutMs);
    if (line.trim() === '') throw new ObdError('The answer is empty.');
    return bytesOfLine(line);
  }

  async vin(): Promise<string> {
    const data = await this.ask({ mode: MODES.vehicle, pid: 0x02 });
    return decoded(() => decodeVin(data));
  }

  async codes(mode: typeof MODES.stored | typeof MODES.pending): Promise<string[]> {
    const data = await this.ask({ mode });
    return decoded(() => decodeCodes(data));
  }

  async clear(): Promise<void> {
    await this.ask({ mode: MODES.clear });
  }

  async value(mode: ValueMode, pid: number): Promise<LiveValue> {
    const data = await this.ask({ mode, pid });
    return decoded(() => {
      const { name, value, unit } = decodePid(mode, pid, data);
      return { pid, name, value: Math.round(value * 100) / 100, unit };
    });
  }

  /** A value that the maker numbers himself. */
  async maker(pid: number): Promise<LiveValue> {
    const data = await this.ask({ mode: MODES.maker, pid });
    return decoded(() => {
      const { name, value, unit } = decodeMaker(pid, data);
      return { pid, name, value: Math.round(value * 100) / 100, unit };
    });
  }

  /** PIDs that the vehicle has and this program reads. */
  async supported(): Promise<number[]> {
    const found: number[] = [];
    for (let base = 0; base <= 0x60; base += 0x20) {
      const data = await this.ask({ mode: MODES.values, pid: base });
      const pids = decoded(() => supportedPids(data.slice(0, 4), base));
      found.push(...pids);
      if (!pids.includes(base + 0x20)) break;
    }
    return readable(found);
  }
}

const decoded = <T>(decode: () => T): T => {
  try {
    return decode();
  } catch (error) {
    if (error instanceof ObdError) throw new AdapterError('adapter-garbled', error.message);
    throw error;
  }
};

/** A negative answer will not become a positive one by asking again. */
const asGarbled = (error: ObdError, request: Request): AdapterError =>
  error.message.startsWith(`Mode ${hex(request.mode)}:`)
    ? new AdapterError('adapter-refuses', error.message)
    : new AdapterError('adapter-garbled', error.message);

/** Values of a freeze frame worth asking for. */
const FRAME_PIDS = [0x04, 0x05, 0x0c, 0x0d, 0x11] as const;

/**
 * Reads what there is. What cannot be read is said in words and the rest is still read; when the adapter goes, what
 * was read until then is kept.
 */
export async function readVehicle(
  reader: Reader,
  what: { readonly codes: boolean; readonly values: boolean },
): Promise<AdapterReading> {
  const problems: string[] = [];
  const reading = {
    vin: '',
    stored: [] as string[],
    pending: [] as string[],
    frame: null as AdapterReading['frame'],
    values: [] as LiveValue[],
    codesRead: false,
  };
  let gone = false;
  const attempt = async (step: () => Promise<void>): Promise<boolean> => {
    if (gone) return false;
    try {
      await step();
      return true;
    } catch (error) {
      if (!(error instanceof AdapterError)) throw error;
      gone = error.code === 'adapter-gone';
      problems.push(error.message);
      return false;
    }
  };
  await attempt(async () => void (reading.vin = await reader.vin()));
  if (what.codes) {
    const stored = await attempt(async () => void (reading.stored = await reader.codes(MODES.stored)));
    const pending = await attempt(async () => void (reading.pending = await reader.codes(MODES.pending)));
    reading.codesRead = stored && pending;
    const [code] = reading.stored;
    if (code !== undefined) {
      const values: LiveValue[] = [];
      for (const pid of FRAME_PIDS) await attempt(async () => void values.push(await reader.value(MODES.frame, pid)));
      if (values.length > 0) reading.frame = { code, values };
    }
  }
  if (what.values) {
    let pids: number[] = [];
    await attempt(async () => void (pids = await reader.supported()));
    for (const pid of pids) {
      const read = await attempt(async () => void reading.values.push(await reader.value(MODES.values, pid)));
      if (!read && !gone) problems[problems.length - 1] = `${PIDS.get(pid)?.name ?? hex(pid)}: ${problems.at(-1)}`;
    }
  }
  return { ...reading, problems, gone };
}
