/** Order statistics without sorting: Hoare’s selection, in place on a copy. */

/** Mean; NaN of none. */
export function mean(values: ArrayLike<number>): number {
  let sum = 0;
  for (let at = 0; at < values.length; at += 1) sum += values[at]!;
  return sum / values.length;
}

/** Standard deviation about the mean, by n. */
export function deviation(values: ArrayLike<number>, middle = mean(values)): number {
  let sum = 0;
  for (let at = 0; at < values.length; at += 1) sum += (values[at]! - middle) ** 2;
  return Math.sqrt(sum / values.length);
}

/** Puts the k-th smallest at its place. Changes `data`. */
function select(data: Float64Array, k: number): number {
  let low = 0;
  let high = data.length - 1;
  while (low < high) {
    const pivot = data[(low + high) >> 1]!;
    let i = low;
    let j = high;
    while (i <= j) {
      while (data[i]! < pivot) i += 1;
      while (data[j]! > pivot) j -= 1;
      if (i > j) break;
      const swap = data[i]!;
      data[i] = data[j]!;
      data[j] = swap;
      i += 1;
      j -= 1;
    }
    if (k <= j) high = j;
    else if (k >= i) low = i;
    else break;
  }
  return data[k]!;
}

/** The quantile at a share from 0 to 1, by a straight line between neighbours; NaN of none. */
export function quantile(values: ArrayLike<number>, share: number): number {
  const n = values.length;
  if (n === 0) return Number.NaN;
  const data = Float64Array.from(values);
  const at = share * (n - 1);
  const low = Math.floor(at);
  const first = select(data, low);
  if (at === low) return first;
  let second = Number.POSITIVE_INFINITY;
  for (let index = low + 1; index < n; index += 1) if (data[index]! < second) second = data[index]!;
  return first + (second - first) * (at - low);
}

/** The median; NaN of none. */
export const median = (values: ArrayLike<number>): number => quantile(values, 0.5);

/** Median distance from the median, scaled to a standard deviation where errors are normal. */
export function spreadByMedian(values: ArrayLike<number>, middle = median(values)): number {
  return 1.4826 * median(Float64Array.from(values, (each) => Math.abs(each - middle)));
}

/**
 * The finest step that values are given in: the smallest difference between two that differ. What is carried in bytes
 * has one; 0 where all are alike.
 */
export function resolutionOf(values: ArrayLike<number>): number {
  const seen = new Set<number>();
  for (let at = 0; at < values.length && seen.size < 400; at += 1) seen.add(values[at]!);
  const sorted = Float64Array.from(seen).sort();
  let least = Number.POSITIVE_INFINITY;
  for (let at = 1; at < sorted.length; at += 1) {
    const step = sorted[at]! - sorted[at - 1]!;
    if (step > 1e-9 && step < least) least = step;
  }
  return Number.isFinite(least) ? least : 0;
}
