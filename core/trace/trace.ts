/** What a channel shows; the roles that the analysis knows, with the value of live data that each is. */
export const ROLES = {
  rpm: { name: 'Engine speed', unit: 'rpm', pid: 0x0c },
  plate: { name: 'Throttle', unit: '%', pid: 0x11 },
  'plate-second': { name: 'Throttle, second track', unit: '%', pid: 0x47 },
  'plate-command': { name: 'Throttle asked for', unit: '%', pid: 0x4c },
  pedal: { name: 'Pedal', unit: '%', pid: 0x49 },
  'pedal-second': { name: 'Pedal, second track', unit: '%', pid: 0x4a },
  manifold: { name: 'Manifold pressure', unit: 'kPa', pid: 0x0b },
  'air-mass': { name: 'Air mass', unit: 'g/s', pid: 0x10 },
  coolant: { name: 'Coolant', unit: '°C', pid: 0x05 },
  intake: { name: 'Intake air', unit: '°C', pid: 0x0f },
  baro: { name: 'Air pressure outside', unit: 'kPa', pid: 0x33 },
  'short-trim': { name: 'Short trim, bank 1', unit: '%', pid: 0x06 },
  'long-trim': { name: 'Long trim, bank 1', unit: '%', pid: 0x07 },
  'short-trim-second': { name: 'Short trim, bank 2', unit: '%', pid: 0x08 },
  'long-trim-second': { name: 'Long trim, bank 2', unit: '%', pid: 0x09 },
  volts: { name: 'Supply', unit: 'V', pid: 0x42 },
  'road-speed': { name: 'Road speed', unit: 'km/h', pid: 0x0d },
  load: { name: 'Load', unit: '%', pid: 0x04 },
  advance: { name: 'Ignition', unit: '°', pid: 0x0e },
  duty: { name: 'Idle valve duty', unit: '%', pid: 0x1101 },
  steps: { name: 'Idle valve steps', unit: 'steps', pid: 0x1102 },
  'plate-degrees': { name: 'Plate above its stop', unit: '°', pid: 0x1104 },
} as const satisfies Record<string, { name: string; unit: string; pid: number }>;
/** The id of one of {@link ROLES}. */
export type Role = keyof typeof ROLES;

/** A channel: values over time, unevenly spaced if they came so. */
export interface Channel {
  readonly id: string;
  /** What it shows, where that is known. */
  readonly role: Role | null;
  readonly name: string;
  readonly unit: string;
  /** Seconds from the start of the recording, not falling. */
  readonly times: Float64Array;
  readonly values: Float64Array;
}

/** The channel of a role from its times and values. */
export const roleChannel = (role: Role, times: ArrayLike<number>, values: ArrayLike<number>): Channel => ({
  id: role,
  role,
  name: ROLES[role].name,
  unit: ROLES[role].unit,
  times: Float64Array.from(times),
  values: Float64Array.from(values),
});

/** Steps of an idle valve from shut to wide open, as the simulated engines have them and where nobody says otherwise. */
export const FULL_STEPS = 120;

/** What was done during a stretch of a recording. */
export const PHASES = {
  'key-on': 'key on',
  sweep: 'key on sweep',
  'cold-idle': 'cold idle',
  'warm-idle': 'warm idle',
  blip: 'blip',
  loads: 'loads on',
  road: 'road',
} as const;
/** The id of one of {@link PHASES}. */
export type PhaseKind = keyof typeof PHASES;

/** A stretch of a recording, s. */
export interface Phase {
  readonly kind: PhaseKind;
  readonly from: number;
  readonly to: number;
}

/** A recording: channels, and what was done when. */
export interface Trace {
  readonly channels: readonly Channel[];
  readonly phases: readonly Phase[];
}

/** The channel of a role, or null. */
export const channelOf = (trace: Trace, role: Role): Channel | null =>
  trace.channels.find((each) => each.role === role) ?? null;

/** First index whose time is not before `at`. */
export function indexAt(times: Float64Array, at: number): number {
  let low = 0;
  let high = times.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((times[middle] ?? 0) < at) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The part of a channel from one time up to another, both included. Shares its memory. */
export function between(channel: Channel, from: number, to: number): Channel {
  const start = indexAt(channel.times, from);
  let end = indexAt(channel.times, to);
  while (end < channel.times.length && channel.times[end] === to) end += 1;
  return { ...channel, times: channel.times.subarray(start, end), values: channel.values.subarray(start, end) };
}

/** The value at a time, by a straight line between its neighbours; the nearest end outside. NaN where there is none. */
export function valueAt({ times, values }: Channel, at: number): number {
  const n = times.length;
  if (n === 0) return Number.NaN;
  const after = indexAt(times, at);
  if (after === 0) return values[0]!;
  if (after >= n) return values[n - 1]!;
  const [t0, t1] = [times[after - 1]!, times[after]!];
  const [v0, v1] = [values[after - 1]!, values[after]!];
  return t1 === t0 ? v1 : v0 + ((v1 - v0) * (at - t0)) / (t1 - t0);
}

/** Seconds that a channel spans. */
export const spanOf = ({ times }: Channel): number => (times.length < 2 ? 0 : times[times.length - 1]! - times[0]!);
