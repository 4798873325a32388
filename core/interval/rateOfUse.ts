import { median } from '../trace/index.ts';
import { normalQuantile } from './normal.ts';

/** What an odometer or hour-meter showed on a day. */
export interface MeterOn {
  /** Days since any fixed day. */
  readonly day: number;
  readonly value: number;
  /** The cluster was replaced since the reading before: it counts from here anew. */
  readonly anew?: boolean;
}

/** How much a vehicle is used. */
export interface RateOfUse {
  /** Distance or hours a day, zero or more. */
  readonly perDay: number;
  /** Band of it; both ends the rate itself where there are only two readings to go by. */
  readonly low: number;
  readonly high: number;
  /** Readings that it is worked out from. */
  readonly readings: number;
}

/** Two readings of one day or the next say how a test drive was, not how a vehicle is used; days. */
const LEAST_DAYS = 7;

/**
 * The slope of Theil (1950) and Sen (1968): the median of the slopes of all pairs, which a single odd reading does not move.
 * Readings before and after a replaced cluster make no pairs with each other. The band is Sen's, from the variance of
 * Kendall's statistic added up over the stretches between clusters (Hirsch and others 1982).
 * @param level of the band, 0 to 1
 * @returns null where no two readings lie at least a week apart
 * @throws Error when a reading is no finite number
 */
export function rateOfUse(readings: readonly MeterOn[], level = 0.8): RateOfUse | null {
  for (const { day, value } of readings)
    if (!Number.isFinite(day) || !Number.isFinite(value))
      throw new Error(`Expected a day and a reading, got ${day}, ${value}.`);
  const stretches = stretchesOf(readings);
  const slopes = stretches.flatMap(slopesOf).sort((a, b) => a - b);
  if (slopes.length === 0) return null;
  const variance = stretches.reduce((sum, { length: n }) => sum + (n * (n - 1) * (2 * n + 5)) / 18, 0);
  const reach = normalQuantile((1 + level) / 2) * Math.sqrt(variance);
  const at = (place: number): number => slopes[Math.min(slopes.length - 1, Math.max(0, place))] ?? 0;
  return {
    perDay: Math.max(0, median(slopes)),
    low: Math.max(0, at(Math.floor((slopes.length - reach) / 2))),
    high: Math.max(0, at(Math.ceil((slopes.length + reach) / 2) - 1)),
    readings: readings.length,
  };
}

/** Readings in the order of their days, cut where a cluster was replaced. */
function stretchesOf(readings: readonly MeterOn[]): MeterOn[][] {
  const stretches: MeterOn[][] = [];
  for (const reading of readings.toSorted((a, b) => a.day - b.day)) {
    const last = stretches.at(-1);
    if (last === undefined || reading.anew === true) stretches.push([reading]);
    else last.push(reading);
  }
  return stretches;
}

const slopesOf = (stretch: readonly MeterOn[]): number[] =>
  stretch.flatMap((later, at) =>
    stretch
      .slice(0, at)
      .flatMap((earlier) =>
        later.day - earlier.day < LEAST_DAYS ? [] : [(later.value - earlier.value) / (later.day - earlier.day)],
      ),
  );
