import { sayTime } from '../days/index.ts';
import type { LoggedFact } from './recorded.ts';

/** What a figure of a fact may be, both ends inclusive. */
interface Bound {
  readonly low: number;
  readonly high: number;
}
const within = (low: number, high: number): Bound => ({ low, high });

const MONEY = within(0, 1_000_000_000);
const COUNT = within(0, 10_000);
const SHARE = within(0, 1);
/** Anything that an instrument shows, in any unit. */
const SHOWN = within(-10_000_000, 10_000_000);

/**
 * Figures of facts by the name of their field. What is typed is judged by its own subject, which knows more; these hold
 * for what comes in a file, whose writer may be anybody: outside them it is no workshop's work.
 */
export const BOUNDS: Readonly<Record<string, Bound>> = {
  number: within(1, 9_999_999),
  // Recipes that came with the program are of version 0.
  version: within(0, 1_000_000),
  knowledge: within(1, 1_000_000),
  seqs: within(1, 100_000),
  pid: within(0, 255),
  value: SHOWN,
  low: SHOWN,
  high: SHOWN,
  share: SHARE,
  chance: SHARE,
  concentration: SHARE,
  // Places on a photo are bounded by their shape; those of bolts on a flange are drawn in any unit.
  x: SHOWN,
  y: SHOWN,
  toX: SHARE,
  toY: SHARE,
  radius: SHARE,
  minor: within(-1_000_000_000, 1_000_000_000),
  nowMinor: MONEY,
  perUseMinor: MONEY,
  partsMinor: MONEY,
  lowMinor: MONEY,
  highMinor: MONEY,
  limitMinor: MONEY,
  priceMinor: MONEY,
  ratePerHourMinor: MONEY,
  minutes: within(0, 1_000_000),
  kPa: within(0, 110),
  evenKPa: within(0, 110),
  rpm: within(0, 100_000),
  duty: within(0, 100),
  seconds: within(0, 172_800),
  times: within(0, 100),
  answer: within(0, 20),
  below: SHOWN,
  above: SHOWN,
  labourMinutes: within(0, 1_000_000),
  days: within(0, 40_000),
  km: within(0, 5_000_000),
  h: within(0, 200_000),
  daysOff: within(0, 36_500),
  life: within(0, 10_000_000),
  use: within(0, 10_000_000),
  warrantyMonths: within(0, 1200),
  quantity: COUNT,
  count: COUNT,
  countedOut: COUNT,
  countedBack: COUNT,
  stayIn: COUNT,
  marks: COUNT,
  rows: within(1, 100),
  columns: within(1, 100),
  pass: within(1, 20),
  grade: within(0, 10),
  capacityL: within(0, 1000),
  nm: within(0, 5000),
  angleDeg: within(-3600, 3600),
  lowNm: within(0, 5000),
  highNm: within(0, 5000),
  targetNm: within(0, 5000),
  lengthMm: within(0, 10_000),
  leverMm: within(0, 10_000),
  beforeG: within(0, 100_000),
  afterG: within(0, 100_000),
  grams: within(0, 100_000),
  litres: within(0, 1000),
  celsius: within(-100, 300),
  percent: within(-1000, 1000),
  deviationPercent: within(-10_000, 10_000),
  volts: within(-1000, 1000),
  turns: within(-1000, 1000),
  readings: within(0, 100_000_000),
  from: within(-1_000_000, 10_000_000),
  to: within(-1_000_000, 10_000_000),
  sd: within(0, 100_000),
  at: within(0, 10_000_000),
  counted: within(0, 10_000_000),
};

/** The first day that a record can be of: nothing on it was written down by a program of this kind before. */
const EARLIEST = '1980-01-01T00:00:00.000Z';
/** Clocks of two shops agree no better than this, ms. */
const SLACK_MS = 120_000;

/**
 * Why a fact that comes in a file cannot be work that was done: a figure out of all bounds, or a time that has not come.
 * @param now ISO time @param timeZone of the shop that takes it in
 * @returns a sentence; null when it may stand
 */
export function factProblem({ seq, type, at, data }: LoggedFact, now: string, timeZone: string): string | null {
  const entry = `Entry ${seq} (${type})`;
  if (Date.parse(at) > Date.parse(now) + SLACK_MS)
    return `${entry} is of ${sayTime(at, timeZone)}, which lies ahead: here it is ${sayTime(now, timeZone)}.`;
  if (at < EARLIEST) return `${entry} is of ${sayTime(at, timeZone)}: expected a day since 1980.`;
  const out = outOfBounds(data, '');
  if (out === null) return null;
  return `${entry}: “${out.field}” is ${out.value}; expected ${out.bound.low} to ${out.bound.high}.`;
}

/** The first figure that lies outside its bounds, wherever it is. Figures of no known name are as an instrument shows. */
function outOfBounds(value: unknown, field: string): { field: string; value: number; bound: Bound } | null {
  if (typeof value === 'number') {
    const bound = Object.hasOwn(BOUNDS, field) ? (BOUNDS[field] ?? SHOWN) : SHOWN;
    return value < bound.low || value > bound.high ? { field, value, bound } : null;
  }
  if (value === null || typeof value !== 'object') return null;
  const inner = Array.isArray(value)
    ? value.map((each) => [field, each] as const)
    : Object.entries(value as Record<string, unknown>);
  for (const [name, each] of inner) {
    const found = outOfBounds(each, name);
    if (found !== null) return found;
  }
  return null;
}
