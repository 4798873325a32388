import { bestFor, everyPlan, type Found, problemOf, type ReadyWay } from './search.ts';
import type { ChooseInput, Way } from './types.ts';
import { notWorthOf, waysOf } from './ways.ts';

/** Where the first step changes as one figure moves. */
export interface Flip {
  /** The figure there: minor units for a price, 0 to 1 for a chance. */
  readonly at: number;
  /** What comes first below it and above it, by way. */
  readonly below: Way;
  readonly above: Way;
}

/** Prices are looked for up to this, minor units: a hundred thousand crowns. */
const HIGHEST_PRICE = 10_000_000;

function worthy(input: ChooseInput): Way[] {
  const ways = waysOf(input);
  const not = notWorthOf(ways, input);
  return ways.filter((way) => !not.some((other) => other.way === way && other.why !== 'no chance'));
}

/**
 * The part price of a way at which another step comes first, by the criterion that plans are ranked by; null when no
 * price between nothing and a hundred thousand crowns changes anything. A plan's cost is a straight line over that
 * price, rising with how many come as far as the way, so that the first step changes where two lines cross.
 * @param way a way by its id
 */
export function flipPrice(input: ChooseInput, way: string): Flip | null {
  const own = input.terms.findIndex((terms) => waysOf({ ...input, terms: [terms] })[0]?.id === way);
  if (own < 0) return null;
  const free = {
    ...input,
    terms: input.terms.map((terms, index) => (index === own ? { ...terms, partsMinor: 0 } : terms)),
  };
  const ways = worthy(free);
  const problem = problemOf(free, ways);
  const at = ways.findIndex(({ id }) => id === way);
  if (at < 0) return null;
  const lines: Line[] = [];
  everyPlan(problem, (found) => lines.push(lineOf(found, at)));
  const [price] = [input.terms[own]?.partsMinor ?? 0];
  const leads = (x: number): Line | undefined => lowest(lines, x);
  const now = leads(price);
  if (now === undefined) return null;
  const change = walk(lines, now, price, HIGHEST_PRICE) ?? walk(lines, now, price, 0);
  if (change === null) return null;
  const [below, above] = change.at >= price ? [now, change.to] : [change.to, now];
  const named = (line: Line): Way | undefined => ways[line.first];
  const [b, a] = [named(below), named(above)];
  return b === undefined || a === undefined ? null : { at: Math.round(change.at), below: b, above: a };
}

/** Cost per distance over the price: height + slope · price. */
interface Line {
  readonly first: number;
  readonly height: number;
  readonly slope: number;
}

const lineOf = ({ ways, reach, cost, life }: Found, at: number): Line => {
  const step = ways.indexOf(at);
  return { first: ways[0] ?? -1, height: cost / life, slope: step < 0 ? 0 : (reach[step] ?? 0) / life };
};

const valueAt = ({ height, slope }: Line, x: number): number => height + slope * x;
const lowest = (lines: readonly Line[], x: number): Line | undefined =>
  lines.reduce<Line | undefined>(
    (best, line) => (best === undefined || valueAt(line, x) < valueAt(best, x) ? line : best),
    undefined,
  );

/** Walks along the lower hull from one price towards another, until another first step leads. */
function walk(
  lines: readonly Line[],
  from: Line,
  start: number,
  end: number,
): { readonly at: number; readonly to: Line } | null {
  const up = end > start;
  let [line, x] = [from, start];
  for (let turns = 0; turns < lines.length; turns += 1) {
    let next: { readonly at: number; readonly to: Line } | null = null;
    for (const other of lines) {
      if (other.slope === line.slope) continue;
      const at = (other.height - line.height) / (line.slope - other.slope);
      const ahead = up ? at > x + 1e-9 && at <= end : at < x - 1e-9 && at >= end;
      const takesOver = up ? other.slope < line.slope : other.slope > line.slope;
      if (!ahead || !takesOver) continue;
      if (next === null || (up ? at < next.at : at > next.at)) next = { at, to: other };
    }
    if (next === null) return null;
    if (next.to.first !== from.first) return next;
    [line, x] = [next.to, next.at];
  }
  return null;
}

/** A chance is looked for in steps of so much, and then to so much. */
const COARSELY = 0.1;
const FINELY = 0.005;
const [LOWEST_CHANCE, HIGHEST_CHANCE] = [0.01, 0.99] as const;

/**
 * The chance of the first step at which another comes first, all of its cures moved alike; null when none does. By
 * looking in tenths away from where it is now, nearest first, and then by halves to the hundredth.
 */
export function flipChance(input: ChooseInput, way: string): Flip | null {
  const ways = worthy(input);
  const problem = problemOf(input, ways);
  const at = ways.findIndex(({ id }) => id === way);
  const ready = problem.ways[at];
  if (ready === undefined) return null;
  const { mean } = ready.way.chance;
  const firstAt = (chance: number): number => {
    const factor = mean > 0 ? chance / mean : 1;
    const scaled = (values: Float64Array): Float64Array => values.map((value) => Math.min(0.98, value * factor));
    const cures = scaled(ready.cures);
    const lives = ready.lives.map((life, slot) => (life * (cures[slot] ?? 0)) / (ready.cures[slot] || 1));
    const changed: ReadyWay = { ...ready, cures, lives, helps: scaled(ready.helps) };
    const ways = problem.ways.map((each, index) => (index === at ? changed : each));
    return bestFor({ ...problem, ways })?.ways[0] ?? -1;
  };
  const now = firstAt(mean);
  const step = (from: number, to: number): { readonly chance: number; readonly then: number } | null => {
    const then = firstAt(to);
    if (then === now) return null;
    // Between where it holds and where it does not: to the hundredth.
    let [holds, fails, other] = [from, to, then];
    while (Math.abs(fails - holds) > FINELY) {
      const middle = (holds + fails) / 2;
      const there = firstAt(middle);
      if (there === now) holds = middle;
      else [fails, other] = [middle, there];
    }
    return { chance: Math.round(fails * 100) / 100, then: other };
  };
  for (let distance = 0; distance < 1; distance += COARSELY)
    for (const side of [-1, 1]) {
      const [from, to] = [mean + side * distance, mean + side * (distance + COARSELY)].map((chance) =>
        Math.min(HIGHEST_CHANCE, Math.max(LOWEST_CHANCE, chance)),
      ) as [number, number];
      if (from === to) continue;
      const found = step(from, to);
      const [here, there] = [ways[now], ways[found?.then ?? -1]];
      if (found === null || here === undefined || there === undefined) continue;
      return side < 0
        ? { at: found.chance, below: there, above: here }
        : { at: found.chance, below: here, above: there };
    }
  return null;
}
