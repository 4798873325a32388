import type { InstrumentReading } from './instruments.ts';

/** A reading with when it came, s. */
export interface TimedReading {
  readonly at: number;
  readonly reading: InstrumentReading;
}

/** It has come to rest once it has stood still for so long, s. */
const STANDS_S = 0.8;
const LEAST_READINGS = 4;
/** Standing still: within this share of what it shows, or of the instrument’s range where that is more. */
const SHARE = 0.01;
const RANGE_SHARE = 0.001;

/** Where an instrument stands: still moving, at rest at a value, over its range, or silent. */
export type Standing =
  | { readonly state: 'waiting' | 'moving' | 'overload' }
  | {
      readonly state: 'steady';
      readonly values: readonly number[];
      readonly unit: string;
      readonly angleDeg: number | null;
    };

/**
 * Whether readings have come to rest. A peak stands as it is; a live reading must stand still for 0.8 s.
 * @param readings oldest first @param range of the instrument, in its unit
 */
export function standingOf(readings: readonly TimedReading[], range: number): Standing {
  const last = readings.at(-1);
  if (last === undefined) return { state: 'waiting' };
  const { values, unit, peak, angleDeg } = last.reading;
  if (values === null) return { state: 'overload' };
  if (peak) return { state: 'steady', values, unit, angleDeg };
  const recent = readings.filter(({ at }) => last.at - at <= STANDS_S + 0.3);
  const long = last.at - (recent[0]?.at ?? last.at) >= STANDS_S;
  if (!long || recent.length < LEAST_READINGS) return { state: 'moving' };
  const still = values.every((value, column) => {
    const all = recent.map(({ reading }) => reading.values?.[column] ?? Number.NaN);
    return Math.max(...all) - Math.min(...all) <= Math.max(SHARE * Math.abs(value), RANGE_SHARE * range);
  });
  if (!still || recent.some(({ reading }) => reading.unit !== unit)) return { state: 'moving' };
  // The middle of what it showed: noise of one reading is not kept.
  const middle = values.map((_, column) => {
    const all = recent.map(({ reading }) => reading.values?.[column] ?? 0).sort((a, b) => a - b);
    return all[all.length >> 1] ?? 0;
  });
  return { state: 'steady', values: middle, unit, angleDeg };
}
