import type { Channel } from './trace.ts';
import { median } from './statistics.ts';

/** Values at even steps. */
export interface Even {
  readonly values: Float64Array;
  /** Seconds between two. */
  readonly step: number;
  /** Time of the first, s. */
  readonly start: number;
}

/** Gaps longer than this are not bridged: what came before and after are two recordings, s. */
export const LONGEST_GAP_S = 2;

/** The usual time between two readings, s; 0 where there are fewer than two. */
export function usualStep({ times }: Pick<Channel, 'times'>): number {
  if (times.length < 2) return 0;
  const count = Math.min(times.length - 1, 5000);
  const every = (times.length - 1) / count;
  return median(
    Float64Array.from({ length: count }, (_, at) => {
      const from = Math.floor(at * every);
      return times[from + 1]! - times[from]!;
    }),
  );
}

/**
 * A channel at even steps, by straight lines between its readings. What cannot be bridged cuts it: the longest stretch
 * without such a gap is taken.
 * @param step seconds; its own usual step where left out, but no finer than 20 a second
 * @returns null where it has fewer than three readings in one stretch
 */
export function evenly(channel: Channel, step = Math.max(usualStep(channel), 0.05)): Even | null {
  const { times, values } = channel;
  let [from, to] = [0, 0];
  for (let start = 0, at = 1; at <= times.length; at += 1) {
    if (at < times.length && times[at]! - times[at - 1]! <= LONGEST_GAP_S) continue;
    if (at - start > to - from) [from, to] = [start, at];
    start = at;
  }
  if (to - from < 3 || step <= 0) return null;
  const start = times[from]!;
  const count = Math.floor((times[to - 1]! - start) / step + 1e-9) + 1;
  const even = new Float64Array(count);
  for (let at = 0, next = from; at < count; at += 1) {
    const time = start + at * step;
    while (next < to - 2 && times[next + 1]! <= time) next += 1;
    const run = times[next + 1]! - times[next]!;
    const share = run <= 0 ? 1 : Math.min(1, (time - times[next]!) / run);
    even[at] = values[next]! + (values[next + 1]! - values[next]!) * share;
  }
  return { values: even, step, start };
}

/** The same with its straight trend by least squares taken out, and that trend a second. */
export function withoutTrend({ values, step }: Even): { readonly values: Float64Array; readonly perSecond: number } {
  const n = values.length;
  const middle = (n - 1) / 2;
  let [sum, cross, square] = [0, 0, 0];
  for (let at = 0; at < n; at += 1) {
    sum += values[at]!;
    cross += (at - middle) * values[at]!;
    square += (at - middle) ** 2;
  }
  const slope = square === 0 ? 0 : cross / square;
  const level = sum / n;
  return {
    values: values.map((value, at) => value - level - slope * (at - middle)),
    perSecond: slope / step,
  };
}
