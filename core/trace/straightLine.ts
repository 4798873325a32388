import { median } from './statistics.ts';

/** A line through points. */
export interface Line {
  readonly slope: number;
  readonly intercept: number;
}

/** Points that a line is found through at most: all their pairs are looked at. */
const MOST_POINTS = 2000;

/**
 * The straight line of Theil (1950) and Sen (1968): the median of the slopes between all pairs of points, so that up to
 * a quarter of the points may be anything. Thinned evenly to {@link MOST_POINTS}.
 * @returns null where the points do not differ in x
 */
export function theilSen(x: ArrayLike<number>, y: ArrayLike<number>, most = MOST_POINTS): Line | null {
  const n = x.length;
  const every = Math.max(1, n / most);
  const count = Math.min(n, Math.floor(n / every));
  const xs = new Float64Array(count);
  const ys = new Float64Array(count);
  for (let at = 0; at < count; at += 1) {
    const from = Math.min(n - 1, Math.floor(at * every));
    xs[at] = x[from]!;
    ys[at] = y[from]!;
  }
  const slopes = new Float64Array((count * (count - 1)) / 2);
  let found = 0;
  for (let i = 0; i < count; i += 1)
    for (let j = i + 1; j < count; j += 1) {
      const run = xs[j]! - xs[i]!;
      if (run === 0) continue;
      slopes[found] = (ys[j]! - ys[i]!) / run;
      found += 1;
    }
  if (found === 0) return null;
  const slope = median(slopes.subarray(0, found));
  return { slope, intercept: median(Float64Array.from(ys, (value, at) => value - slope * xs[at]!)) };
}
