import { convert, FIELDS, readField } from '../quantity/index.ts';
import type { Wrench } from './types.ts';
import { USABLE_FROM } from './wrench.ts';

/** Kinds of torque tool that hang on a wall, with how each is judged where its certificate is silent. */
export const WRENCH_KINDS = {
  driver: { name: 'Preset driver', kind: 'screwdriver' },
  'small-click': { name: 'Small click', kind: undefined },
  'middle-click': { name: 'Middle click', kind: undefined },
  wheel: { name: 'Wheel wrench', kind: undefined },
  beam: { name: 'Beam, pointer', kind: 'beam' },
  electronic: { name: 'Electronic', kind: undefined },
} as const satisfies Readonly<Record<string, { readonly name: string; readonly kind: Wrench['kind'] }>>;
/** The id of a {@link WRENCH_KINDS}. */
export type WrenchKind = keyof typeof WRENCH_KINDS;

/** The graduation that a scale of that height usually has, in its own unit; a wrench in the hand says the true one. */
function usualStep(high: number): number {
  if (high <= 10) return 0.1;
  if (high <= 30) return 0.5;
  return high <= 120 ? 1 : 5;
}

/** A scale as it was read, or why it cannot be one. */
export type ReadScale =
  { readonly ok: true; readonly scale: Wrench['scale'] } | { readonly ok: false; readonly message: string };

/**
 * Reads the range of a wrench as it is stamped: `1 to 6 N·m`, `10-50 Nm`, `18 to 177 in-lb`.
 * @returns a refusal in words for one figure alone, an empty range, or a unit that no wrench has
 */
export function scaleFromText(text: string): ReadScale {
  const read = readField(text, FIELDS.torqueSpec);
  if (!read.ok) return read;
  const { value: low, unit } = read.quantity;
  const high = read.upTo;
  if (high === undefined)
    return { ok: false, message: 'From what to what? A wrench has a range, such as 4 to 20 N·m.' };
  if (!(low >= 0 && high > low)) return { ok: false, message: 'Expected the smaller figure first.' };
  if (!UNITS.has(unit))
    return { ok: false, message: 'Expected N·m, in·lb, ft·lb, kgf·cm or kgf·m, as wrenches are stamped.' };
  return { ok: true, scale: { unit: unit as Wrench['scale']['unit'], low, high, step: usualStep(high) } };
}
const UNITS: ReadonlySet<string> = new Set<Wrench['scale']['unit']>(['N·m', 'in·lb', 'ft·lb', 'kgf·cm', 'kgf·m']);

/** Where a wrench may be believed, N·m. */
export interface TrueRange {
  readonly wrench: Wrench;
  readonly low: number;
  readonly high: number;
}

/** Where a wrench may be believed: its scale, but nothing under a fifth of its end. */
export function trueRange(wrench: Wrench): TrueRange {
  const { unit, low, high } = wrench.scale;
  const nm = (figure: number): number => convert(figure, unit, 'N·m');
  return { wrench, low: nm(Math.max(low, USABLE_FROM * high)), high: nm(high) };
}

/** What the fasteners of throttles and valves call for, N·m: small screws to flange bolts. */
export const WALL_WANTED = { low: 2, high: 25 } as const;

/** What the wall can do between {@link WALL_WANTED}, and where nothing on it may be believed. */
export function wallCoverage(wrenches: readonly Wrench[]): {
  readonly ranges: readonly TrueRange[];
  readonly gaps: readonly { readonly low: number; readonly high: number }[];
} {
  const ranges = wrenches.map(trueRange).sort((a, b) => a.low - b.low);
  const gaps: { low: number; high: number }[] = [];
  let reached: number = WALL_WANTED.low;
  for (const { low, high } of ranges) {
    if (low > reached && reached < WALL_WANTED.high) gaps.push({ low: reached, high: Math.min(low, WALL_WANTED.high) });
    reached = Math.max(reached, high);
  }
  if (reached < WALL_WANTED.high) gaps.push({ low: reached, high: WALL_WANTED.high });
  return { ranges, gaps };
}
