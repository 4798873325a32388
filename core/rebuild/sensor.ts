/** One reading of a position sensor: plate opening in percent of its travel, and volts. */
export interface SweepPoint {
  readonly percent: number;
  readonly volts: number;
}

/** Openings at which a sweep is read. */
export const SWEEP_PERCENT = [0, 25, 50, 75, 100] as const;
/** A good sensor stays within so many percent of its span from the straight line between its ends. Shop convention. */
export const LINEARITY_LIMIT = 2;

/** What a sweep says. */
export interface Linearity {
  /** Largest distance from the line through both ends, percent of the span. */
  readonly deviationPercent: number;
  /** Opening at which it is largest. */
  readonly worstAt: number;
  readonly monotonic: boolean;
  /** Volts from closed to open; negative where the track falls. */
  readonly span: number;
  readonly good: boolean;
  readonly words: string;
}

/**
 * Terminal-based linearity (IEC 60393-1, 4.25, as for any potentiometer): how far the readings stray from the straight
 * line between the first and the last.
 * @param points at least three, in any order, openings 0 to 100 all different
 * @throws RangeError in words otherwise, or when both ends read the same
 */
export function linearity(points: readonly SweepPoint[]): Linearity {
  if (points.length < 3) throw new RangeError(`Expected at least three points, got ${points.length}.`);
  const sorted = [...points].sort((a, b) => a.percent - b.percent);
  if (new Set(sorted.map(({ percent }) => percent)).size !== sorted.length)
    throw new RangeError('Expected each opening once.');
  const first = sorted[0] ?? { percent: 0, volts: 0 };
  const last = sorted.at(-1) ?? first;
  const span = last.volts - first.volts;
  if (span === 0) throw new RangeError('Both ends read the same: is the plate moving, is the sensor plugged in?');
  const worst = sorted
    .map(({ percent, volts }) => {
      const straight = first.volts + (span * (percent - first.percent)) / (last.percent - first.percent);
      return { percent, off: Math.abs((volts - straight) / span) * 100 };
    })
    .reduce((far, each) => (each.off > far.off ? each : far));
  const monotonic = sorted.every(({ volts }, index) => {
    const before = sorted[index - 1];
    return before === undefined || (volts - before.volts) * Math.sign(span) > 0;
  });
  const good = monotonic && worst.off <= LINEARITY_LIMIT + 1e-9;
  const words = !monotonic
    ? 'It turns back on its way: a worn track. Renew it.'
    : good
      ? `Straight within ${worst.off.toFixed(1)} %.`
      : `${worst.off.toFixed(1)} % off the straight line at ${worst.percent} %: worn there. At most ${LINEARITY_LIMIT} %.`;
  return { deviationPercent: worst.off, worstAt: worst.percent, monotonic, span, good, words };
}

/** What to do with the sensor's screws still loose. */
export interface Setting {
  readonly verdict: 'right' | 'too low' | 'too high' | 'no band';
  /** Volts to the nearer end of the band; 0 inside. */
  readonly off: number;
  readonly words: string;
}

/** Judges the volts with the plate closed while the sensor is being turned. @param band the family's, or null */
export function judgeClosed(volts: number, band: { readonly low: number; readonly high: number } | null): Setting {
  if (band === null) return { verdict: 'no band', off: 0, words: 'No band is known: set it to its witness mark.' };
  const target = (band.low + band.high) / 2;
  if (volts < band.low - 1e-9)
    return {
      verdict: 'too low',
      off: band.low - volts,
      words: `${(target - volts).toFixed(2)} V too low: turn it on, towards ${target.toFixed(2)} V.`,
    };
  if (volts > band.high + 1e-9)
    return {
      verdict: 'too high',
      off: volts - band.high,
      words: `${(volts - target).toFixed(2)} V too high: turn it back, towards ${target.toFixed(2)} V.`,
    };
  return { verdict: 'right', off: 0, words: 'In the band: tighten, and look again.' };
}
