/**
 * Diagnostic values by SAE J1979 / ISO 15031-5. Only numbers and formulas come from the standard; names are ours.
 * A and B are the first and second data byte.
 */

/** A value as decoded, with its unit and the range that its formula can give. */
export interface PidValue {
  readonly pid: number;
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly low: number;
  readonly high: number;
}

interface Definition {
  readonly name: string;
  readonly unit: string;
  readonly bytes: 1 | 2;
  readonly low: number;
  readonly high: number;
  readonly decode: (a: number, b: number) => number;
  /** The inverse, rounded to whole bytes; used by the simulated vehicle. */
  readonly encode: (value: number) => readonly number[];
}

const byte = (value: number): number => Math.min(255, Math.max(0, Math.round(value)));
const word = (value: number): readonly number[] => {
  const whole = Math.min(65_535, Math.max(0, Math.round(value)));
  return [whole >> 8, whole & 255];
};

const percent = (name: string): Definition => ({
  name,
  unit: '%',
  bytes: 1,
  low: 0,
  high: 100,
  decode: (a) => (a * 100) / 255,
  encode: (value) => [byte((value * 255) / 100)],
});
const celsius = (name: string): Definition => ({
  name,
  unit: '°C',
  bytes: 1,
  low: -40,
  high: 215,
  decode: (a) => a - 40,
  encode: (value) => [byte(value + 40)],
});
const trim = (name: string): Definition => ({
  name,
  unit: '%',
  bytes: 1,
  low: -100,
  high: 99.21875,
  decode: (a) => ((a - 128) * 100) / 128,
  encode: (value) => [byte((value * 128) / 100 + 128)],
});

const kiloPascal = (name: string): Definition => ({
  name,
  unit: 'kPa',
  bytes: 1,
  low: 0,
  high: 255,
  decode: (a) => a,
  encode: (value) => [byte(value)],
});
const counted = (name: string, unit: string, bytes: 1 | 2): Definition => ({
  name,
  unit,
  bytes,
  low: 0,
  high: bytes === 1 ? 255 : 65_535,
  decode: (a, b) => (bytes === 1 ? a : 256 * a + b),
  encode: (value) => (bytes === 1 ? [byte(value)] : word(value)),
});

/** The PID that counts how far a vehicle was driven since its codes were cleared, km. */
export const DRIVEN_SINCE_CLEARED = 0x31;

/** Every value that this program reads, by its PID in mode 01. */
export const PIDS: ReadonlyMap<number, Definition> = new Map<number, Definition>([
  [0x04, percent('Calculated load')],
  [0x05, celsius('Coolant temperature')],
  [0x06, trim('Short trim, bank 1')],
  [0x07, trim('Long trim, bank 1')],
  [0x08, trim('Short trim, bank 2')],
  [0x09, trim('Long trim, bank 2')],
  [0x0b, kiloPascal('Manifold pressure')],
  [
    0x0c,
    {
      name: 'Engine speed',
      unit: 'rpm',
      bytes: 2,
      low: 0,
      high: 16_383.75,
      decode: (a, b) => (256 * a + b) / 4,
      encode: (value) => word(value * 4),
    },
  ],
  [
    0x0d,
    {
      name: 'Road speed',
      unit: 'km/h',
      bytes: 1,
      low: 0,
      high: 255,
      decode: (a) => a,
      encode: (value) => [byte(value)],
    },
  ],
  [
    0x0e,
    {
      name: 'Ignition before top, cylinder 1',
      unit: '°',
      bytes: 1,
      low: -64,
      high: 63.5,
      decode: (a) => a / 2 - 64,
      encode: (value) => [byte((value + 64) * 2)],
    },
  ],
  [0x0f, celsius('Intake air temperature')],
  [
    0x10,
    {
      name: 'Air mass',
      unit: 'g/s',
      bytes: 2,
      low: 0,
      high: 655.35,
      decode: (a, b) => (256 * a + b) / 100,
      encode: (value) => word(value * 100),
    },
  ],
  [0x11, percent('Throttle')],
  [0x1f, counted('Run time since start', 's', 2)],
  [0x21, counted('Driven with the lamp on', 'km', 2)],
  [0x30, counted('Warm-ups since codes were cleared', '', 1)],
  [DRIVEN_SINCE_CLEARED, counted('Driven since codes were cleared', 'km', 2)],
  [0x33, kiloPascal('Air pressure outside')],
  [
    0x42,
    {
      name: 'Module voltage',
      unit: 'V',
      bytes: 2,
      low: 0,
      high: 65.535,
      decode: (a, b) => (256 * a + b) / 1000,
      encode: (value) => word(value * 1000),
    },
  ],
  [
    0x43,
    {
      name: 'Absolute load',
      unit: '%',
      bytes: 2,
      low: 0,
      high: 25_700,
      decode: (a, b) => ((256 * a + b) * 100) / 255,
      encode: (value) => word((value * 255) / 100),
    },
  ],
  [
    0x44,
    {
      name: 'Mixture asked for, lambda',
      unit: '',
      bytes: 2,
      low: 0,
      high: 2,
      decode: (a, b) => ((256 * a + b) * 2) / 65_536,
      encode: (value) => word((value * 65_536) / 2),
    },
  ],
  [0x45, percent('Relative throttle')],
  [0x46, celsius('Air temperature outside')],
  [0x47, percent('Throttle B')],
  [0x48, percent('Throttle C')],
  [0x49, percent('Pedal D')],
  [0x4a, percent('Pedal E')],
  [0x4b, percent('Pedal F')],
  [0x4c, percent('Commanded throttle')],
  [0x4e, counted('Time since codes were cleared', 'min', 2)],
  [0x55, trim('Short trim of the second sensor, bank 1')],
  [0x56, trim('Long trim of the second sensor, bank 1')],
  [0x57, trim('Short trim of the second sensor, bank 2')],
  [0x58, trim('Long trim of the second sensor, bank 2')],
  [0x5a, percent('Relative pedal')],
]);

/** Modes of which this program reads values. */
export type ValueMode = 0x01 | 0x02;

/** Thrown for bytes that cannot be what they are said to be; its message is for the person. */
export class ObdError extends Error {
  override readonly name = 'ObdError';
}

/**
 * Decodes one value.
 * @param mode 01 for now, 02 for a freeze frame; the formulas are the same
 * @param bytes data bytes only, 0 to 255
 * @throws ObdError for an unknown PID, too few bytes, or something that is not a byte
 * @example decodePid(0x01, 0x0c, [0x1a, 0xf8]).value // 1726
 */
export function decodePid(mode: ValueMode, pid: number, bytes: readonly number[]): PidValue {
  const definition = PIDS.get(pid);
  const label = `${hex(mode)} ${hex(pid)}`;
  if (definition === undefined) throw new ObdError(`Value ${label} is not one that this program reads.`);
  if (bytes.length < definition.bytes)
    throw new ObdError(`${definition.name} (${label}) needs ${definition.bytes} bytes, got ${bytes.length}.`);
  for (const each of bytes)
    if (!Number.isInteger(each) || each < 0 || each > 255)
      throw new ObdError(`Expected a byte from 0 to 255, got ${each}.`);
  const { name, unit, low, high, decode } = definition;
  return { pid, name, value: decode(bytes[0] ?? 0, bytes[1] ?? 0), unit, low, high };
}

/** The bytes that stand for a value, rounded to what the bytes can hold. @throws ObdError for an unknown PID */
export function encodePid(pid: number, value: number): readonly number[] {
  const definition = PIDS.get(pid);
  if (definition === undefined) throw new ObdError(`Value ${hex(pid)} is not one that this program reads.`);
  return definition.encode(value);
}

/** How many data bytes a PID has. @throws ObdError for an unknown PID */
export function pidLength(pid: number): number {
  const definition = PIDS.get(pid);
  if (definition === undefined) throw new ObdError(`Value ${hex(pid)} is not one that this program reads.`);
  return definition.bytes;
}

/**
 * PIDs that a vehicle says it has. The first bit of the first byte stands for `base + 1`, the last of the fourth for
 * `base + 32`, which says whether there is a further map.
 * @param bytes four bytes
 * @param base the PID that was asked: 0x00, 0x20, 0x40 …
 * @throws ObdError for anything but four bytes
 */
export function supportedPids(bytes: readonly number[], base = 0): number[] {
  if (bytes.length !== 4) throw new ObdError(`A map of supported values has 4 bytes, got ${bytes.length}.`);
  return bytes.flatMap((each, index) =>
    Array.from({ length: 8 }, (_, bit) => bit)
      .filter((bit) => ((each >> (7 - bit)) & 1) === 1)
      .map((bit) => base + index * 8 + bit + 1),
  );
}

/** The inverse of {@link supportedPids}. */
export function supportMap(pids: readonly number[], base = 0): number[] {
  const bytes = [0, 0, 0, 0];
  for (const pid of pids) {
    const bit = pid - base - 1;
    if (bit >= 0 && bit < 32) bytes[bit >> 3] = (bytes[bit >> 3] ?? 0) | (0x80 >> (bit & 7));
  }
  return bytes;
}

/** Two hexadecimal digits, upper case. */
export const hex = (value: number): string => value.toString(16).toUpperCase().padStart(2, '0');
