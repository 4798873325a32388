import { evenly, type Even, withoutTrend } from './even.ts';
import { mean } from './statistics.ts';
import type { Channel } from './trace.ts';

/** Whether an idle swings, and how. */
export interface Hunting {
  /** Seconds a swing; null where no swing was found. */
  readonly periodS: number | null;
  /** Half the height of the swing, in the channel’s unit. */
  readonly amplitude: number;
  /** Share of everything that moves that is this swing, 0 to 1. */
  readonly share: number;
  readonly mean: number;
  /** Whether it hunts: a swing that stands out, by more than an idle moves by itself. */
  readonly hunts: boolean;
  /** Why nothing can be said; empty where something can. */
  readonly why: string;
}

/** Shortest and longest swing that is looked for, s. */
const SHORTEST_S = 0.6;
const LONGEST_S = 12;
/** Seconds that a swing must be seen over. */
const LEAST_S = 8;
/** A swing explains at least this much of what moves, and is at least this high, rpm and share of the speed. */
const SHARE = 0.35;
/** What repeats a swing later is at least this share of what moves: less wanders. */
const REPEATS = 0.4;
const LEAST_RPM = 20;
const LEAST_SHARE = 0.025;
/** Fewer swings than this may be a wandering. */
const SWINGS = 4;
/** Readings that are looked at at most; of more, the first. */
const MOST = 4096;

/**
 * Looks for hunting in a steady stretch of idle. The period is that of the first peak of the normalised autocorrelation
 * beyond its first zero, with parabolic interpolation, refined on the swings that follow; the height is √2 × RMS of what
 * repeats, which leaves noise out; the share is of the power around that frequency by Welch (1967).
 */
export function hunting(rpm: Channel): Hunting {
  const even = evenly(rpm);
  const nothing = (why: string): Hunting => ({
    periodS: null,
    amplitude: 0,
    share: 0,
    mean: rpm.values.length === 0 ? Number.NaN : mean(rpm.values),
    hunts: false,
    why,
  });
  if (even === null) return nothing('too few readings');
  const seconds = (even.values.length - 1) * even.step;
  if (seconds < LEAST_S) return nothing(`only ${seconds.toFixed(1)} s in one piece; ${LEAST_S} s are needed`);
  if (even.step > SHORTEST_S / 2) return nothing('read too seldom to see a swing');
  const { values } = withoutTrend({ ...even, values: even.values.subarray(0, MOST) });
  const level = mean(even.values);
  const lags = autocovariance(values, Math.min(values.length - 2, Math.floor(LONGEST_S / even.step)));
  const period = periodIn(lags, even.step, values.length);
  if (period === null || period > (values.length * even.step) / SWINGS) return { ...nothing(''), mean: level };
  const lag = period / even.step;
  const repeats = Math.max(0, interpolate(lags, lag));
  const amplitude = Math.sqrt(2 * repeats);
  const share = powerShare({ ...even, values }, 1 / period);
  return {
    periodS: period,
    amplitude,
    share,
    mean: level,
    hunts: share >= SHARE && repeats >= REPEATS * lags[0]! && amplitude >= Math.max(LEAST_RPM, LEAST_SHARE * level),
    why: '',
  };
}

/** Autocovariance by lag, each by the pairs that it has. */
function autocovariance(values: Float64Array, most: number): Float64Array {
  const n = values.length;
  const lags = new Float64Array(most + 1);
  for (let lag = 0; lag <= most; lag += 1) {
    let sum = 0;
    for (let at = 0; at + lag < n; at += 1) sum += values[at]! * values[at + lag]!;
    lags[lag] = sum / (n - lag);
  }
  return lags;
}

const interpolate = (values: Float64Array, at: number): number => {
  const low = Math.floor(at);
  const share = at - low;
  return (values[low] ?? 0) * (1 - share) + (values[low + 1] ?? values[low] ?? 0) * share;
};

/** Where a parabola through a peak and its neighbours is highest. */
function top(values: Float64Array, at: number): number {
  const [a, b, c] = [values[at - 1] ?? 0, values[at] ?? 0, values[at + 1] ?? 0];
  const bend = a - 2 * b + c;
  return bend < 0 ? at + Math.max(-0.5, Math.min(0.5, (a - c) / (2 * bend))) : at;
}

/** The highest place of the autocovariance within a window of lags. */
function peakWithin(lags: Float64Array, from: number, to: number): number {
  let best = Math.max(1, Math.round(from));
  for (let at = best; at <= Math.min(to, lags.length - 2); at += 1) if (lags[at]! > lags[best]!) best = at;
  return best;
}

function periodIn(lags: Float64Array, step: number, n: number): number | null {
  let zero = 1;
  while (zero < lags.length && lags[zero]! > 0) zero += 1;
  if (zero >= lags.length - 1) return null;
  // The first peak beyond the first zero: up to the next zero, so that noise on its slope is no peak.
  let rise = zero;
  while (rise < lags.length && lags[rise]! <= 0) rise += 1;
  let fall = rise;
  while (fall < lags.length && lags[fall]! > 0) fall += 1;
  if (rise >= lags.length - 1) return null;
  const first = peakWithin(lags, rise, fall);
  let period = top(lags, first);
  if (lags[first]! < 0.15 * lags[0]! || period * step < SHORTEST_S) return null;
  // Later swings say it finer: the third is three periods off, with the same error.
  for (let times = 2; times <= 4; times += 1) {
    const near = period * times;
    if (near + 2 >= lags.length || near > n / 2) break;
    const peak = peakWithin(lags, near - period / 4, near + period / 4);
    if (lags[peak]! < 0.6 * lags[first]!) break;
    period = top(lags, peak) / times;
  }
  return period * step;
}

const SEGMENT_S = 25.6;

/** Share of the power within a fifth of a frequency, by Welch: Hann windows that overlap by half. */
function powerShare({ values, step }: Even, frequency: number): number {
  const size = Math.min(values.length, Math.round(SEGMENT_S / step));
  const bins = size >> 1;
  const power = new Float64Array(bins + 1);
  for (let start = 0; start + size <= values.length; start += Math.max(1, size >> 1)) {
    for (let bin = 1; bin <= bins; bin += 1) {
      // Goertzel: one frequency of the discrete transform.
      const turn = 2 * Math.cos((2 * Math.PI * bin) / size);
      let [one, two] = [0, 0];
      for (let at = 0; at < size; at += 1) {
        const hann = 0.5 - 0.5 * Math.cos((2 * Math.PI * at) / (size - 1));
        const next = values[start + at]! * hann + turn * one - two;
        two = one;
        one = next;
      }
      power[bin] = power[bin]! + one * one + two * two - turn * one * two;
    }
  }
  const width = Math.max(0.2 * frequency, 2 / (size * step));
  let [inside, all] = [0, 0];
  for (let bin = 1; bin <= bins; bin += 1) {
    all += power[bin]!;
    if (Math.abs(bin / (size * step) - frequency) <= width) inside += power[bin]!;
  }
  return all > 0 ? inside / all : 0;
}
