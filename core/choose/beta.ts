/** Log of the gamma function, Lanczos approximation (g = 7, n = 9); relative error below 1e-13 for x > 0. */
function logGamma(x: number): number {
  const [first = 0, ...rest] = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const shifted = x - 1;
  const series = rest.reduce((sum, factor, index) => sum + factor / (shifted + index + 1), first);
  const t = shifted + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(series);
}

/** How far the continued fraction is taken; it converges in about √max(a, b) terms. */
const TERMS = 300;

/**
 * Regularised incomplete beta function I_x(a, b) by Lentz's continued fraction (Numerical Recipes 6.4, DLMF 8.17.22).
 * @param x 0 to 1
 * @param a more than 0
 * @param b more than 0
 */
export function betaCdf(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2) ? (front * fraction(x, a, b)) / a : 1 - (front * fraction(1 - x, b, a)) / b;
}

function fraction(x: number, a: number, b: number): number {
  const tiny = 1e-300;
  const guard = (value: number): number => (Math.abs(value) < tiny ? tiny : value);
  let c = 1;
  let d = 1 / guard(1 - ((a + b) * x) / (a + 1));
  let result = d;
  for (let m = 1; m <= TERMS; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / guard(1 + even * d);
    c = guard(1 + even / c);
    result *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / guard(1 + odd * d);
    c = guard(1 + odd / c);
    result *= d * c;
    if (Math.abs(d * c - 1) < 1e-14) break;
  }
  return result;
}

/** The point below which a share `p` of a Beta(a, b) lies, by bisection to 1e-12. */
export function betaQuantile(p: number, a: number, b: number): number {
  let [low, high] = [0, 1];
  while (high - low > 1e-12) {
    const middle = (low + high) / 2;
    if (betaCdf(middle, a, b) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
