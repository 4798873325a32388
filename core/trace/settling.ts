import { median, quantile } from './statistics.ts';
import { between, type Channel } from './trace.ts';

/** A blip: the foot went down and came off. */
export interface Blip {
  /** When the foot or plate started to open, and when it was closed again, s. */
  readonly opened: number;
  readonly closed: number;
  /** The highest speed after it. */
  readonly peak: number;
}

const LONGEST_BLIP_S = 4;
/** Speed that a blip lifts an engine by at least, as a share of its idle. */
const RISES_BY = 0.3;

/**
 * Blips in a stretch without driving, by the plate or pedal where there is one, else by the speed alone.
 * @param foot pedal or throttle, in per cent; null where none was read
 */
export function blips(rpm: Channel, foot: Channel | null): Blip[] {
  if (rpm.times.length < 5) return [];
  const idle = quantile(rpm.values, 0.3);
  const found: Blip[] = [];
  if (foot !== null && foot.times.length >= 5) {
    const rest = quantile(foot.values, 0.2);
    const open = Math.max(rest + 2.5, rest * 1.15);
    for (let at = 1; at < foot.times.length; at += 1) {
      if (foot.values[at]! < open || foot.values[at - 1]! >= open) continue;
      let end = at;
      while (end < foot.times.length && foot.values[end]! >= open) end += 1;
      if (end >= foot.times.length) break;
      const [opened, closed] = [foot.times[at]!, foot.times[end]!];
      const peak = highest(between(rpm, opened, closed + 1.5));
      if (closed - opened <= LONGEST_BLIP_S && peak >= idle * (1 + RISES_BY)) found.push({ opened, closed, peak });
      at = end;
    }
    return found;
  }
  for (let at = 1; at < rpm.times.length; at += 1) {
    if (rpm.values[at]! < idle * (1 + RISES_BY) || rpm.values[at - 1]! >= idle * (1 + RISES_BY)) continue;
    let [end, top] = [at, at];
    while (end < rpm.times.length && rpm.values[end]! >= idle * (1 + RISES_BY)) {
      if (rpm.values[end]! > rpm.values[top]!) top = end;
      end += 1;
    }
    // Without the foot its closing is taken to be the top: that is where it stopped giving.
    if (end < rpm.times.length) found.push({ opened: rpm.times[at]!, closed: rpm.times[top]!, peak: rpm.values[top]! });
    at = end;
  }
  return found;
}

const highest = ({ values }: Channel): number => values.reduce((most, value) => (value > most ? value : most), 0);

/** How an engine comes back to idle. */
export interface Settling {
  /** Seconds from the closing of the blip until it is in the band and stays; null where it did not in this recording. */
  readonly seconds: number | null;
  /** When that was, s. */
  readonly at: number | null;
  /** What it took at least, s: to the end, where it was not in the band by then. */
  readonly atLeast: number;
  /** The lowest speed after the blip. */
  readonly lowest: number;
  /** Whether it died. */
  readonly stalled: boolean;
}

/** Settled within this long after a blip is quick, s. */
export const SETTLES_S = 4;
/** It has settled once it stays in the band for this long, s. */
const STAYS_S = 3;
/** A single reading out of the band, of so many a second and more, is noise. */
const SMOOTHED_FROM_HZ = 4;
/** An engine that turns slower than this has died, rpm. */
const DEAD_RPM = 200;

/**
 * From the closing of a blip until the speed is in the band and stays there for three seconds.
 * @param closed when the blip closed, s @param band lowest and highest idle, rpm
 * @param until the end of the stretch, s: the next blip, or of the recording
 */
export function settling(
  rpm: Channel,
  closed: number,
  band: { readonly low: number; readonly high: number },
  until = rpm.times[rpm.times.length - 1] ?? closed,
): Settling {
  const part = between(rpm, closed, until);
  const { times } = part;
  const values = smoothed(part);
  const inBand = (value: number): boolean => value >= band.low && value <= band.high;
  let since: number | null = null;
  let at: number | null = null;
  for (let each = 0; each < times.length; each += 1) {
    if (!inBand(values[each]!)) since = null;
    else since ??= times[each]!;
    if (since !== null && times[each]! - since >= STAYS_S - 1e-9) {
      at = since;
      break;
    }
  }
  const lowest = part.values.reduce((least, value) => Math.min(least, value), Number.POSITIVE_INFINITY);
  return {
    seconds: at === null ? null : at - closed,
    at,
    atLeast: (at ?? since ?? times[times.length - 1] ?? closed) - closed,
    lowest,
    stalled: lowest < DEAD_RPM,
  };
}

/** Medians of three readings, where they come fast enough that it shifts nothing. */
function smoothed({ times, values }: Channel): Float64Array {
  const n = values.length;
  if (n < 5 || (n - 1) / Math.max(times[n - 1]! - times[0]!, 1e-9) < SMOOTHED_FROM_HZ) return values;
  return values.map((value, at) => (at === 0 || at === n - 1 ? value : median(values.subarray(at - 1, at + 2))));
}

/** How fast something follows what was asked of it. */
export interface Response {
  /** Seconds until it first moved, and until it had gone 63 % of the way. */
  readonly deadS: number;
  readonly riseS: number;
}

/**
 * The response of a channel to a step of another: how long nothing happened, and how long to 63 % of the way.
 * @param from when the step began, s @param to until when to look, s
 * @returns null where it did not move by more than its noise
 */
export function response(channel: Channel, from: number, to: number): Response | null {
  const before = between(channel, from - 1, from);
  const part = between(channel, from, to);
  if (part.times.length < 4 || before.times.length < 2) return null;
  const rest = median(before.values);
  const noise = before.values.reduce((most, value) => Math.max(most, Math.abs(value - rest)), 0);
  const top = part.values.reduce(
    (best, value) => (Math.abs(value - rest) > Math.abs(best - rest) ? value : best),
    rest,
  );
  const way = Math.abs(top - rest);
  if (way <= 3 * noise || way === 0) return null;
  const first = (share: number): number => {
    const at = part.values.findIndex((value) => Math.abs(value - rest) >= Math.max(noise * 1.5, share * way));
    return part.times[Math.max(0, at)]! - from;
  };
  return { deadS: first(0.1), riseS: first(0.63) };
}

/** Speed at idle against its band. */
export interface IdleInBand {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  /** Share of the time that it was in the band; null without one. */
  readonly share: number | null;
}

/** How an idle lies in its band: its middle, the range of nine tenths of it, and the share of time that it was inside. */
export function idleBand(
  rpm: Channel,
  band: { readonly low: number; readonly high: number } | null,
): IdleInBand | null {
  const { times, values } = rpm;
  if (values.length < 5) return null;
  let [inside, all] = [0, 0];
  for (let at = 1; at < times.length; at += 1) {
    const lasted = Math.min(times[at]! - times[at - 1]!, 2);
    all += lasted;
    if (band !== null && values[at]! >= band.low && values[at]! <= band.high) inside += lasted;
  }
  return {
    mean: median(values),
    low: quantile(values, 0.05),
    high: quantile(values, 0.95),
    share: band === null || all === 0 ? null : inside / all,
  };
}
