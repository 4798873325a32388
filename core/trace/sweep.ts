import { usualStep } from './even.ts';
import { median, resolutionOf, spreadByMedian } from './statistics.ts';
import { type Line, theilSen } from './straightLine.ts';
import { type Channel, valueAt } from './trace.ts';

/** A stretch in which a track left its line. */
export interface DropOut {
  readonly from: number;
  readonly to: number;
  /** Where the pedal or command stood, in its unit. */
  readonly at: number;
  /** How far off it was at the worst, in the track’s unit; negative below the line. */
  readonly by: number;
  /** Short up to 0.2 s; longer ones are a worn or dirty stretch. */
  readonly short: boolean;
}

/** A stretch in which a track stood still although it was moved. */
export interface FlatSpot {
  readonly from: number;
  readonly to: number;
  readonly lowAt: number;
  readonly highAt: number;
}

/** A sensor track over its travel. */
export interface TrackSweep {
  readonly line: Line;
  /** The largest distance from the line, in the track’s unit, and where the command stood. */
  readonly largest: number;
  readonly largestAt: number;
  readonly dropOuts: readonly DropOut[];
  readonly flatSpots: readonly FlatSpot[];
  /** How far it came back from where it started, in the track’s unit; null where the command did not come back. */
  readonly returnedBy: number | null;
  /** The finest step that the track was given in. */
  readonly resolution: number;
  readonly readingsPerSecond: number;
  /** What could not be seen; empty where nothing is. */
  readonly blind: string;
}

/** Least travel of the command that is a sweep, in per cent or whatever its unit is. */
const LEAST_TRAVEL = 5;
const SEEN_FROM_HZ = 8;
const SHORT_S = 0.2;
/** A residual beyond this many deviations, and this many steps of the reading itself, is off the line. */
const DEVIATIONS = 6;
const STEPS = 2;
/** A command that moved on by this share of its travel while the track stood is a flat spot. */
const FLAT_SHARE = 0.08;

/**
 * A sensor track against what moved it: its line, drop-outs, flat spots and return.
 * @param track volts or per cent of a sensor @param command pedal, command or the other track
 * @returns null with fewer than five readings, or where nothing was moved
 */
export function sweepTrack(track: Channel, command: Channel): TrackSweep | null {
  const n = track.times.length;
  if (n < 5 || command.times.length < 5) return null;
  const x = Float64Array.from(track.times, (time) => valueAt(command, time));
  const [low, high] = endsOf(x);
  if (high - low < LEAST_TRAVEL) return null;
  const line = theilSen(x, track.values);
  if (line === null) return null;
  const resolution = resolutionOf(track.values);
  const [least, most] = endsOf(track.values);
  const residual = Float64Array.from(track.values, (value, at) => {
    const off = value - line.intercept - line.slope * x[at]!;
    // At its own end a track stands against a stop: there it falls behind the line without losing contact.
    const stopped = (off < 0 && value >= most - 2 * resolution) || (off > 0 && value <= least + 2 * resolution);
    return stopped ? 0 : off;
  });
  const spread = spreadByMedian(residual);
  const limit = Math.max(DEVIATIONS * spread, STEPS * resolution, 1e-9);
  const worst = residual.reduce((best, value, at) => (Math.abs(value) > Math.abs(residual[best]!) ? at : best), 0);
  const step = usualStep(track);
  const rate = step > 0 ? 1 / step : 0;
  return {
    line,
    largest: residual[worst]!,
    largestAt: x[worst]!,
    dropOuts: dropOutsIn(track.times, x, residual, limit, step),
    flatSpots: flatSpotsIn(track, x, line, resolution, high - low),
    returnedBy: returnOf(track.values, x, low, high),
    resolution,
    readingsPerSecond: rate,
    blind: rate < SEEN_FROM_HZ ? 'a short drop-out cannot be seen at this rate' : '',
  };
}

function endsOf(values: Float64Array): [number, number] {
  let low = Number.POSITIVE_INFINITY;
  let high = Number.NEGATIVE_INFINITY;
  for (const value of values) {
    if (value < low) low = value;
    if (value > high) high = value;
  }
  return [low, high];
}

function dropOutsIn(
  times: Float64Array,
  x: Float64Array,
  residual: Float64Array,
  limit: number,
  step: number,
): DropOut[] {
  const found: DropOut[] = [];
  for (let at = 0; at < residual.length; at += 1) {
    if (Math.abs(residual[at]!) <= limit) continue;
    let end = at;
    while (
      end + 1 < residual.length &&
      Math.abs(residual[end + 1]!) > limit &&
      times[end + 1]! - times[end]! < 4 * step
    )
      end += 1;
    let deepest = at;
    for (let each = at; each <= end; each += 1)
      if (Math.abs(residual[each]!) > Math.abs(residual[deepest]!)) deepest = each;
    const lasted = times[end]! - times[at]! + step;
    found.push({
      from: times[at]!,
      to: times[end]!,
      at: x[deepest]!,
      by: residual[deepest]!,
      short: lasted <= SHORT_S + 1e-9,
    });
    at = end;
  }
  return found;
}

function flatSpotsIn(
  { times, values }: Channel,
  x: Float64Array,
  line: Line,
  resolution: number,
  travel: number,
): FlatSpot[] {
  const found: FlatSpot[] = [];
  const still = Math.max(resolution * 1.01, Math.abs(line.slope) * travel * 0.004);
  for (let at = 0; at + 1 < values.length;) {
    let end = at;
    while (end + 1 < values.length && Math.abs(values[end + 1]! - values[at]!) <= still) end += 1;
    const [lowAt, highAt] = endsOf(x.subarray(at, end + 1));
    // What the command moved by in that time should have moved the track by far more than it stood still within.
    if (highAt - lowAt >= FLAT_SHARE * travel && Math.abs(line.slope) * (highAt - lowAt) > 3 * still)
      found.push({ from: times[at]!, to: times[end]!, lowAt, highAt });
    at = Math.max(end, at + 1);
  }
  return found;
}

/** The track at the end against the start, where the command is back to within a fiftieth of its travel. */
function returnOf(values: Float64Array, x: Float64Array, low: number, high: number): number | null {
  const few = Math.max(1, Math.min(5, Math.floor(values.length / 10)));
  const of = (data: Float64Array, from: number): number => median(data.subarray(from, from + few));
  const end = values.length - few;
  const back = Math.abs(of(x, end) - of(x, 0)) <= (high - low) / 50;
  return back ? of(values, end) - of(values, 0) : null;
}

/** How two tracks of one sensor go together. */
export interface TrackAgreement {
  /** They add up to a constant, or keep a constant ratio. */
  readonly kind: 'sum' | 'ratio';
  readonly constant: number;
  /** The worst disagreement with that, in the unit of the tracks, and when. */
  readonly worst: number;
  readonly worstTime: number;
  readonly worstAt: number;
}

/**
 * Two tracks against each other: of a constant sum and a constant ratio the one that fits better.
 * @returns null where there are too few readings or they do not move
 */
export function agreement(first: Channel, second: Channel): TrackAgreement | null {
  const n = first.times.length;
  if (n < 5 || second.times.length < 5) return null;
  const other = Float64Array.from(first.times, (time) => valueAt(second, time));
  const [low, high] = endsOf(first.values);
  if (high - low <= 0) return null;
  const sum = median(Float64Array.from(first.values, (value, at) => value + other[at]!));
  const ratios = Float64Array.from(first.values, (value, at) => other[at]! / value).filter(Number.isFinite);
  const ratio = ratios.length === 0 ? Number.NaN : median(ratios);
  const off = (expected: (value: number) => number): Float64Array =>
    Float64Array.from(first.values, (value, at) => other[at]! - expected(value));
  const bySum = off((value) => sum - value);
  const byRatio = off((value) => value * ratio);
  const size = (values: Float64Array): number => median(values.map(Math.abs));
  const kind = Number.isFinite(ratio) && size(byRatio) < size(bySum) ? 'ratio' : 'sum';
  const apart = kind === 'ratio' ? byRatio : bySum;
  const worst = apart.reduce((best, value, at) => (Math.abs(value) > Math.abs(apart[best]!) ? at : best), 0);
  return {
    kind,
    constant: kind === 'ratio' ? ratio : sum,
    worst: apart[worst]!,
    worstTime: first.times[worst]!,
    worstAt: first.values[worst]!,
  };
}

/** A track’s own neighbours that say where it should be, on either side. */
const NEIGHBOURS = 4;

/**
 * Short drop-outs of a track that nothing else was read beside: readings that leave the middle of their neighbours.
 * @returns how many; null where it was not moved far enough
 */
export function loneDropOuts(track: Channel): number | null {
  const { values, times } = track;
  const [low, high] = endsOf(values);
  if (values.length < 4 * NEIGHBOURS || high - low < LEAST_TRAVEL) return null;
  const off = Float64Array.from(values, (value, at) => {
    const from = Math.max(0, at - NEIGHBOURS);
    return value - median(values.subarray(from, at + NEIGHBOURS + 1));
  });
  const limit = Math.max(DEVIATIONS * spreadByMedian(off), STEPS * resolutionOf(values), (high - low) * 0.06);
  return dropOutsIn(times, values, off, limit, usualStep(track)).length;
}
