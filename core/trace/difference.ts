import { random } from '../chance/index.ts';
import { median, quantile } from './statistics.ts';
import type { Channel } from './trace.ts';
import { evenly } from './even.ts';

/** What changed from one recording to another, with its uncertainty. */
export interface Difference {
  /** After less before, in the channel’s unit (Hodges–Lehmann). */
  readonly shift: number;
  /** 95 % interval. */
  readonly low: number;
  readonly high: number;
  /** The interval leaves out zero. When false, this recording cannot show a difference. */
  readonly shown: boolean;
}

const RESAMPLES = 300;
/** Medians are taken of windows this long, s. */
const WINDOW_S = 1;
/** A block holds at least this much of a recording, s, and at least one swing. */
const LEAST_BLOCK_S = 3;
/** Fewer blocks than this say nothing of how much they differ. */
const LEAST_BLOCKS = 4;
/** Windows that are compared with each other at most. */
const MOST_WINDOWS = 60;

/**
 * The shift between two steady stretches: Hodges & Lehmann (1963) on the medians of windows, with a moving-block
 * bootstrap (Künsch 1989) from a fixed seed, so that readings that hang together do not look like many.
 * @param swingS the longest swing in either, s; 0 where none was found
 * @returns null where either is too short for its blocks
 */
export function difference(before: Channel, after: Channel, swingS = 0, seed = 1): Difference | null {
  const windows = [before, after].map(windowMedians);
  const [was, is] = windows;
  if (was === undefined || is === undefined || was === null || is === null) return null;
  const block = Math.ceil(Math.max(LEAST_BLOCK_S, swingS, 2 * Math.max(memory(was), memory(is))) / WINDOW_S);
  if (was.length < LEAST_BLOCKS * block || is.length < LEAST_BLOCKS * block) return null;
  const shift = hodgesLehmann(was, is);
  const { uniform } = random(seed);
  const shifts = new Float64Array(RESAMPLES);
  for (let each = 0; each < RESAMPLES; each += 1)
    shifts[each] = hodgesLehmann(resampled(was, block, uniform), resampled(is, block, uniform));
  // Blocks cut what hangs together at their ends, and few of them say little of how much they differ.
  const blocks = Math.min(was.length, is.length) / block;
  const widen = Math.sqrt(blocks / (blocks - 1)) * (studentT95(2 * Math.floor(blocks) - 2) / 1.96) * JOINS;
  const low = shift + (quantile(shifts, 0.025) - median(shifts)) * widen;
  const high = shift + (quantile(shifts, 0.975) - median(shifts)) * widen;
  return { shift, low, high, shown: low > 0 || high < 0 };
}

/** What is lost at the joins of blocks, found on noise of known memory; see the test. */
const JOINS = 1.15;

/** Two-sided 95 % of Student’s t, by a series in 1/ν (Abramowitz & Stegun 26.7.5). */
function studentT95(freedom: number): number {
  const [z, v] = [1.959964, Math.max(1, freedom)];
  return (
    z +
    (z ** 3 + z) / (4 * v) +
    (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * v ** 2) +
    (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / (384 * v ** 3)
  );
}

/** Medians of windows of a second, or longer where there would be too many. */
function windowMedians(channel: Channel): Float64Array | null {
  const even = evenly(channel);
  if (even === null) return null;
  const per = Math.max(1, Math.round(WINDOW_S / even.step));
  const count = Math.floor(even.values.length / per);
  const every = Math.max(1, Math.ceil(count / MOST_WINDOWS));
  const kept = Math.floor(count / every);
  return Float64Array.from({ length: kept }, (_, at) =>
    median(even.values.subarray(at * every * per, (at * every + every) * per)),
  );
}

/** How many windows hang together: the sum of autocorrelations until they vanish. */
function memory(values: Float64Array): number {
  const level = values.reduce((sum, value) => sum + value, 0) / values.length;
  const off = values.map((value) => value - level);
  const zero = off.reduce((sum, value) => sum + value * value, 0);
  if (zero === 0) return 0;
  let sum = 0;
  for (let lag = 1; lag < values.length / 3; lag += 1) {
    let cross = 0;
    for (let at = 0; at + lag < off.length; at += 1) cross += off[at]! * off[at + lag]!;
    const share = cross / zero;
    if (share < 0.1) break;
    sum += share;
  }
  return sum;
}

/** The median of all differences between one of the second and one of the first. */
function hodgesLehmann(first: Float64Array, second: Float64Array): number {
  const all = new Float64Array(first.length * second.length);
  for (let i = 0; i < first.length; i += 1)
    for (let j = 0; j < second.length; j += 1) all[i * second.length + j] = second[j]! - first[i]!;
  return median(all);
}

function resampled(values: Float64Array, block: number, uniform: () => number): Float64Array {
  const out = new Float64Array(values.length);
  for (let at = 0; at < out.length; at += block) {
    const from = Math.floor(uniform() * (values.length - block + 1));
    for (let each = 0; each < block && at + each < out.length; each += 1) out[at + each] = values[from + each]!;
  }
  return out;
}
