import type { Channel, Phase, Role, Trace } from './trace.ts';

/**
 * A recording as a file: four letters, the length of a heading, the heading as JSON, and the channels one after the other.
 * Times are steps of a tenth of a millisecond from one to the next; values are whole steps from one to the next where
 * they are whole in some decimal, else 64-bit floats. It packs well, and is the same bytes for the same recording.
 */
const MAGIC = 'UWT1';
const TICK_S = 0.0001;
const MOST_DECIMALS = 6;

interface Head {
  readonly channels: readonly {
    readonly id: string;
    readonly role: Role | null;
    readonly name: string;
    readonly unit: string;
    readonly count: number;
    /** Decimals of values that are kept as whole numbers; null where they are floats. */
    readonly decimals: number | null;
    readonly timeBytes: number;
    readonly valueBytes: number;
  }[];
  readonly phases: readonly Phase[];
}

/** Thrown for bytes that are no recording, or a cut one; its message is for the person. */
export class PackError extends Error {
  override readonly name = 'PackError';
}

/** Bytes that grow. */
class Growing {
  #bytes = new Uint8Array(1024);
  length = 0;

  push(byte: number): void {
    if (this.length === this.#bytes.length) {
      const more = new Uint8Array(this.#bytes.length * 2);
      more.set(this.#bytes);
      this.#bytes = more;
    }
    this.#bytes[this.length] = byte;
    this.length += 1;
  }

  /** A whole number from zero, seven bits a byte, lowest first. */
  whole(value: number): void {
    let left = value;
    while (left >= 128) {
      this.push((left % 128) | 128);
      left = Math.floor(left / 128);
    }
    this.push(left);
  }

  /** A whole number of either sign: 0, −1, 1, −2 … as 0, 1, 2, 3 … */
  signed(value: number): void {
    this.whole(value >= 0 ? value * 2 : -value * 2 - 1);
  }

  done(): Uint8Array {
    return this.#bytes.subarray(0, this.length);
  }
}

const LARGEST = 2 ** 50;

/** The fewest decimals in which all values are whole; null where none does. */
function decimalsOf(values: Float64Array): number | null {
  let decimals = 0;
  let scale = 1;
  for (const value of values) {
    while (Math.abs(value * scale - Math.round(value * scale)) > 1e-6) {
      decimals += 1;
      scale *= 10;
      if (decimals > MOST_DECIMALS) return null;
    }
    if (!(Math.abs(value * scale) < LARGEST)) return null;
  }
  return decimals;
}

function packTimes(times: Float64Array): Uint8Array {
  const out = new Growing();
  let last = 0;
  for (const time of times) {
    const tick = Math.round(time / TICK_S);
    out.signed(tick - last);
    last = tick;
  }
  return out.done();
}

function packValues(values: Float64Array, decimals: number | null): Uint8Array {
  if (decimals === null) {
    const bytes = new Uint8Array(values.length * 8);
    const view = new DataView(bytes.buffer);
    values.forEach((value, at) => view.setFloat64(at * 8, value, true));
    return bytes;
  }
  const scale = 10 ** decimals;
  const out = new Growing();
  let last = 0;
  for (const value of values) {
    const whole = Math.round(value * scale);
    out.signed(whole - last);
    last = whole;
  }
  return out.done();
}

/** JSON as plain bytes: what is not ASCII is escaped. */
const ascii = (text: string): Uint8Array =>
  Uint8Array.from(
    text.replace(/[^\x20-\x7e]/g, (sign) => `\\u${sign.charCodeAt(0).toString(16).padStart(4, '0')}`),
    (sign) => sign.charCodeAt(0),
  );
const textOf = (bytes: Uint8Array): string => Array.from(bytes, (byte) => String.fromCharCode(byte)).join('');

/** A recording as bytes. */
export function pack({ channels, phases }: Trace): Uint8Array {
  const parts = channels.map((channel) => {
    const decimals = decimalsOf(channel.values);
    return { channel, decimals, times: packTimes(channel.times), values: packValues(channel.values, decimals) };
  });
  const head: Head = {
    channels: parts.map(({ channel: { id, role, name, unit, values: all }, decimals, times, values }) => ({
      id,
      role,
      name,
      unit,
      count: all.length,
      decimals,
      timeBytes: times.length,
      valueBytes: values.length,
    })),
    phases,
  };
  const words = ascii(JSON.stringify(head));
  const size = parts.reduce((sum, { times, values }) => sum + times.length + values.length, 8 + words.length);
  const bytes = new Uint8Array(size);
  bytes.set(ascii(MAGIC));
  new DataView(bytes.buffer).setUint32(4, words.length, true);
  bytes.set(words, 8);
  let at = 8 + words.length;
  for (const { times, values } of parts)
    for (const part of [times, values]) {
      bytes.set(part, at);
      at += part.length;
    }
  return bytes;
}

function signedFrom(bytes: Uint8Array, count: number, each: (value: number, at: number) => void): void {
  let at = 0;
  for (let index = 0; index < count; index += 1) {
    let [value, scale, byte] = [0, 1, 128];
    while (byte >= 128) {
      if (at >= bytes.length) throw new PackError('The recording is cut short.');
      byte = bytes[at]!;
      value += (byte & 127) * scale;
      scale *= 128;
      at += 1;
    }
    each(value % 2 === 0 ? value / 2 : -(value + 1) / 2, index);
  }
}

/** A recording from its bytes. @throws PackError for anything else, or a cut one */
export function unpack(bytes: Uint8Array): Trace {
  if (bytes.length < 8 || textOf(bytes.subarray(0, 4)) !== MAGIC) throw new PackError('This is not a recording.');
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const headLength = view.getUint32(4, true);
  const head = headOf(bytes.subarray(8, 8 + headLength));
  let at = 8 + headLength;
  const take = (length: number): Uint8Array => {
    if (at + length > bytes.length) throw new PackError('The recording is cut short.');
    at += length;
    return bytes.subarray(at - length, at);
  };
  return {
    channels: head.channels.map(({ id, role, name, unit, count, decimals, timeBytes, valueBytes }): Channel => {
      const times = new Float64Array(count);
      let last = 0;
      signedFrom(take(timeBytes), count, (step, index) => {
        last += step;
        times[index] = last * TICK_S;
      });
      return { id, role, name, unit, times, values: valuesOf(take(valueBytes), count, decimals) };
    }),
    phases: head.phases,
  };
}

function valuesOf(bytes: Uint8Array, count: number, decimals: number | null): Float64Array {
  const values = new Float64Array(count);
  if (decimals === null) {
    if (bytes.length !== count * 8) throw new PackError('The recording is cut short.');
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    for (let at = 0; at < count; at += 1) values[at] = view.getFloat64(at * 8, true);
    return values;
  }
  const scale = 10 ** decimals;
  let last = 0;
  signedFrom(bytes, count, (step, at) => {
    last += step;
    values[at] = last / scale;
  });
  return values;
}

function headOf(bytes: Uint8Array): Head {
  try {
    const head = JSON.parse(textOf(bytes)) as Head;
    if (Array.isArray(head.channels) && Array.isArray(head.phases)) return head;
  } catch {
    // Said below.
  }
  throw new PackError('The heading of the recording cannot be read.');
}
