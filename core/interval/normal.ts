/**
 * The complementary error function by the continued fraction and the series of Abramowitz and Stegun (1964), 7.1.5 and
 * 7.1.14; relative error below 1e-10 for arguments up to 6.
 */
export function erfc(x: number): number {
  if (x < 0) return 2 - erfc(-x);
  return x < 2 ? 1 - series(x) : fraction(x);
}

function series(x: number): number {
  let term = x;
  let sum = x;
  for (let n = 1; Math.abs(term) > 1e-17 * Math.abs(sum); n += 1) {
    term *= (-x * x) / n;
    sum += term / (2 * n + 1);
    if (n > 200) break;
  }
  return (2 / Math.sqrt(Math.PI)) * sum;
}

function fraction(x: number): number {
  let tail = 0;
  for (let k = 120; k >= 1; k -= 1) tail = k / 2 / (x + tail);
  return Math.exp(-x * x) / Math.sqrt(Math.PI) / (x + tail);
}

/** The share of a standard normal below a value. */
export const normalShare = (z: number): number => erfc(-z / Math.SQRT2) / 2;

/**
 * The value below which a share of a standard normal lies, by halving the interval: exact to 1e-12.
 * @throws Error when the share is not between 0 and 1
 */
export function normalQuantile(share: number): number {
  if (!(share > 0 && share < 1)) throw new Error(`Expected a share between 0 and 1, got ${share}.`);
  let [low, high] = [-9, 9];
  while (high - low > 1e-12) {
    const middle = (low + high) / 2;
    if (normalShare(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The chance that a chi-square of one degree of freedom is at least so large. @param x zero or more */
export const chiSquareTail = (x: number): number => erfc(Math.sqrt(x / 2));
