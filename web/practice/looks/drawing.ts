import { random } from '../../../core/chance/index.ts';

/** A point at an hour of the clock, `radius` from a middle of (0, 0). */
export function atHour(hour: number, radius: number): readonly [x: number, y: number] {
  const angle = ((hour - 3) / 12) * 2 * Math.PI;
  return [Math.cos(angle) * radius, Math.sin(angle) * radius];
}

const at = ([x, y]: readonly [number, number]): string => `${x.toFixed(1)} ${y.toFixed(1)}`;

/** Points round a closed line; a smooth line needs no more. */
const ROUND = 72;

/**
 * A closed line about a middle of (0, 0), rough as crust is.
 * @param radius at a share of the way round, 0 to 1 @param rough how far it strays, in the same measure
 */
export function roughRing(radius: (share: number) => number, rough: number, seed: number): string {
  const dice = random(seed);
  const strays = Array.from({ length: ROUND }, () => dice.normal() * rough);
  const points = strays.map((stray, index) => {
    const beside = strays[(index + 1) % ROUND] ?? 0;
    const share = index / ROUND;
    return at(atHour(share * 12, Math.max(1, radius(share) + (stray + beside) / 2)));
  });
  return `M${points.join('L')}Z`;
}

/** A band of a ring between two hours, as a path. */
export function band(from: number, to: number, inner: number, outer: number): string {
  const large = to - from > 6 ? 1 : 0;
  return `M${at(atHour(from, outer))}A${outer} ${outer} 0 ${large} 1 ${at(atHour(to, outer))}L${at(atHour(to, inner))}A${inner} ${inner} 0 ${large} 0 ${at(atHour(from, inner))}Z`;
}

/** Between two colours, 0 the first. */
export function blend(from: readonly number[], to: readonly number[], share: number): string {
  const part = Math.min(1, Math.max(0, share));
  return `rgb(${from.map((value, index) => Math.round(value + ((to[index] ?? value) - value) * part)).join(' ')})`;
}
