import { curesAt, lifeAt, moved, ownFactor } from './chance.ts';
import { type ChooseInput, LEAST_CHANCE, type OptionId, type Way } from './types.ts';

/** Steps of a plan, at most. */
export const MOST_STEPS = 3;

/**
 * What is believed, as slots: every cause at its place once, and every pair of faults. A pair of which one is cured
 * leaves the other, and moves into its slot.
 */
export interface Slots {
  readonly shares: Float64Array;
  /** For a pair, the slots of its two faults; −1 for a single. */
  readonly first: Int32Array;
  readonly second: Int32Array;
  /** Index into the input's belief, or −1 for a slot that only a pair leads to. */
  readonly of: readonly number[];
}

/** A way made ready: what it does to every slot. */
export interface ReadyWay {
  readonly way: Way;
  /** Steps' own cost with its days, minor units. */
  readonly cost: number;
  readonly days: number;
  /** Of failures, the share that comes back after hand-over. */
  readonly late: number;
  /** P(cured | slot), for a pair P(both). */
  readonly cures: Float64Array;
  /** P(cured, or of a pair one gone | slot). */
  readonly helps: Float64Array;
  /** P(cured | slot) times how long it then holds. */
  readonly lives: Float64Array;
}

/** A plan as the search finds it. */
export interface Found {
  readonly ways: readonly number[];
  readonly cost: number;
  readonly life: number;
  readonly perUse: number;
  /** For each way, how many come as far as it. */
  readonly reach: readonly number[];
}

/** Everything a search needs; made once, searched with many beliefs. */
export interface Problem {
  readonly ways: readonly ReadyWay[];
  /** For each way, the ways after which it would be a step back. */
  readonly back: readonly (readonly boolean[])[];
  readonly slots: Slots;
  /** The longest that anything holds, by slot. */
  readonly longest: Float64Array;
  readonly comeback: number;
  readonly unsolved: number;
  readonly least: number;
  readonly per: number;
}

/** Makes the slots of a belief. Shares that do not add up to 1 are brought to it. */
export function slotsOf({ belief }: Pick<ChooseInput, 'belief'>): Slots {
  const keys: string[] = [];
  const of: number[] = [];
  const keyOf = (one: { readonly cause: string; readonly unit?: unknown }): string =>
    `${one.cause}@${JSON.stringify(one.unit ?? null)}`;
  for (const [index, one] of belief.entries())
    if (one.with === undefined) {
      keys.push(keyOf(one));
      of.push(index);
    }
  const slotOf = (one: { readonly cause: string; readonly unit?: unknown }): number => {
    const at = keys.indexOf(keyOf(one));
    if (at >= 0) return at;
    keys.push(keyOf(one));
    of.push(-1);
    return keys.length - 1;
  };
  const pairs = belief.flatMap((one, index) =>
    one.with === undefined ? [] : [{ index, a: slotOf(one), b: slotOf(one.with) }],
  );
  const size = keys.length + pairs.length;
  const shares = new Float64Array(size);
  const first = new Int32Array(size).fill(-1);
  const second = new Int32Array(size).fill(-1);
  const total = belief.reduce((sum, { share }) => sum + share, 0) || 1;
  for (const [slot, index] of of.entries()) if (index >= 0) shares[slot] = (belief[index]?.share ?? 0) / total;
  for (const [at, { index, a, b }] of pairs.entries()) {
    const slot = keys.length + at;
    of.push(index);
    shares[slot] = (belief[index]?.share ?? 0) / total;
    first[slot] = a;
    second[slot] = b;
  }
  return { shares, first, second, of };
}

/** What a slot of a single fault stands for. */
function placesOf(
  { belief }: ChooseInput,
  slots: Slots,
): { readonly cause: string; readonly unit?: ChooseInput['belief'][number]['unit'] }[] {
  const places = slots.of.map((index) => (index >= 0 ? belief[index] : undefined));
  return slots.of.map((_, slot) => {
    const own = places[slot];
    if (own !== undefined) return own;
    const pair = slots.of.findIndex((__, at) => slots.first[at] === slot || slots.second[at] === slot);
    const from = belief[slots.of[pair] ?? -1];
    return slots.first[pair] === slot ? (from ?? { cause: '' }) : (from?.with ?? { cause: '' });
  });
}

/** How far an option goes; what is done beside the unit goes nowhere. */
const REACHES: Readonly<Partial<Record<OptionId, number>>> = {
  'clean-in-place': 1,
  'clean-bench': 2,
  rebuild: 3,
  replace: 4,
  'replace-rebuilt': 4,
  'replace-used': 4,
};

/**
 * Whether a way does less than, or the same as, another that was tried before it on the same unit: what the more of it
 * did not cure, the less will not, whatever a product of chances says.
 */
export function goesBack({ option, terms }: Way, before: Way): boolean {
  const [now, then] = [REACHES[option] ?? null, REACHES[before.option] ?? null];
  if (now === null || then === null || now > then) return false;
  if (now === then && option !== before.option) return false;
  const { kind, unit = null } = before.terms;
  // What was done to all of it covers each part; what was done to a part leaves the rest.
  if (kind === undefined) return true;
  if (terms.kind !== kind) return false;
  return unit === null || terms.unit?.place === unit.place;
}

/** Makes a search ready. Ways without a price or a life are left out by the caller. */
export function problemOf(input: ChooseInput, ways: readonly Way[]): Problem {
  const slots = slotsOf(input);
  const places = placesOf(input, slots);
  const ready = ways.map((way): { readonly way: ReadyWay; readonly life: Float64Array } => {
    const factor = ownFactor(way.chance);
    const cures = new Float64Array(places.length);
    const helps = new Float64Array(places.length);
    const life = new Float64Array(places.length);
    for (const [slot, place] of places.entries()) {
      if ((slots.first[slot] ?? -1) >= 0) continue;
      const cured = moved(curesAt(way.terms, place, input.causes), factor);
      cures[slot] = cured;
      helps[slot] = cured;
      life[slot] = lifeAt(way.terms, place, input.causes, input.per);
    }
    for (const slot of places.keys()) {
      const [a, b] = [slots.first[slot] ?? -1, slots.second[slot] ?? -1];
      if (a < 0) continue;
      const [ofA, ofB] = [cures[a] ?? 0, cures[b] ?? 0];
      cures[slot] = ofA * ofB;
      helps[slot] = 1 - (1 - ofA) * (1 - ofB);
      life[slot] = Math.min(life[a] ?? 0, life[b] ?? 0);
    }
    const made: ReadyWay = {
      way,
      cost: (way.costMinor ?? 0) + way.terms.daysOff * input.dayPriceMinor,
      days: way.terms.daysOff,
      late: 1 - (way.terms.showsAtOnce ?? 0),
      cures,
      helps,
      lives: life.map((long, slot) => long * (cures[slot] ?? 0)),
    };
    return { way: made, life };
  });
  return {
    ways: ready.map(({ way }) => way),
    back: ways.map((way) => ways.map((before) => goesBack(way, before))),
    slots,
    longest: slots.of.reduce((longest, _, slot) => {
      const of = (at: number): number => Math.max(0, ...ready.map(({ life }) => life[at] ?? 0));
      const [a, b] = [slots.first[slot] ?? -1, slots.second[slot] ?? -1];
      longest[slot] = a < 0 ? of(slot) : Math.max(of(a), of(b));
      return longest;
    }, new Float64Array(slots.of.length)),
    comeback: input.comebackMinor,
    unsolved: input.unsolvedMinor ?? input.comebackMinor,
    least: input.leastChance ?? LEAST_CHANCE,
    per: input.per === 'h' ? 100 : 10_000,
  };
}

/** What a way does to a belief whose shares need not add up to 1. */
export interface After {
  /** What is left: cured mass leaves, pairs of which one is cured move on to the other. */
  readonly left: Float64Array;
  readonly cured: number;
  /** Cured, or of two faults one gone. */
  readonly helped: number;
  /** Distance or hours, by the mass that is cured. */
  readonly life: number;
}

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let index = 0; index < a.length; index += 1) sum += (a[index] ?? 0) * (b[index] ?? 0);
  return sum;
};

/** Tries a way on a belief. */
export function tryWay(problem: Problem, way: ReadyWay, shares: Float64Array): After {
  const left = new Float64Array(shares.length);
  leftAfter(problem, way, shares, left);
  return { left, ...sums(way, shares) };
}

/** Of a belief, what is cured, what is helped, and how long it lasts. */
function sums({ cures, helps, lives }: ReadyWay, shares: Float64Array): Omit<After, 'left'> {
  let [cured, helped, life] = [0, 0, 0];
  for (let slot = 0; slot < shares.length; slot += 1) {
    const share = shares[slot] ?? 0;
    cured += share * (cures[slot] ?? 0);
    helped += share * (helps[slot] ?? 0);
    life += share * (lives[slot] ?? 0);
  }
  return { cured, helped, life };
}

function leftAfter({ slots }: Problem, { cures }: ReadyWay, shares: Float64Array, left: Float64Array): void {
  left.fill(0);
  for (let slot = 0; slot < shares.length; slot += 1) {
    const share = shares[slot] ?? 0;
    if (share === 0) continue;
    const a = slots.first[slot] ?? -1;
    if (a < 0) {
      left[slot] = (left[slot] ?? 0) + share * (1 - (cures[slot] ?? 0));
      continue;
    }
    const b = slots.second[slot] ?? -1;
    const [ofA, ofB] = [cures[a] ?? 0, cures[b] ?? 0];
    left[slot] = (left[slot] ?? 0) + share * (1 - ofA) * (1 - ofB);
    left[b] = (left[b] ?? 0) + share * ofA * (1 - ofB);
    left[a] = (left[a] ?? 0) + share * (1 - ofA) * ofB;
  }
}

/**
 * Visits every plan: all sequences of up to three different ways whose every step has the least chance to help, and
 * none is a step back. What is
 * visited is good until the next one: whoever keeps it copies it with {@link kept}.
 * @param firsts only plans that begin with one of these ways
 * @param limit what a plan beginning so must cost less than: nothing is visited of what cannot
 */
export function everyPlan(
  problem: Problem,
  visit: (found: Found) => void,
  {
    shares = problem.slots.shares,
    firsts,
    limit,
  }: {
    readonly shares?: Float64Array;
    readonly firsts?: ReadonlySet<number>;
    readonly limit?: (first: number) => number;
  } = {},
): void {
  const { ways, back, least, comeback, unsolved, per, longest } = problem;
  const cheapest = Math.min(...ways.map(({ cost }) => cost));
  /** Whether going on from here could cost less for the distance than is asked: at the cheapest, for the longest. */
  const mayBeLess = (left: Float64Array, open: number, cost: number, life: number): boolean => {
    const first = found.ways[0] ?? -1;
    const lowest = cost + open * cheapest;
    return limit === undefined || (lowest / (life + dot(left, longest))) * per < limit(first);
  };
  const found: Mutable<Found> = { ways: [], reach: [], cost: 0, life: 0, perUse: 0 };
  /** What is left after each step but the last, of which nobody asks. */
  const beliefs = Array.from({ length: MOST_STEPS - 1 }, () => new Float64Array(shares.length));
  const go = (depth: number, belief: Float64Array, reach: number, cost: number, life: number): void => {
    const left = beliefs[depth];
    for (let index = 0; index < ways.length; index += 1) {
      const way = ways[index];
      if (
        way === undefined ||
        found.ways.includes(index) ||
        found.ways.some((before) => back[index]?.[before]) ||
        (depth === 0 && firsts?.has(index) === false)
      )
        continue;
      const { cured, helped, life: lived } = sums(way, belief);
      if (helped < least * reach) continue;
      const open = reach - cured;
      const nowCost = cost + reach * way.cost + open * way.late * comeback;
      const nowLife = life + lived;
      found.ways.push(index);
      found.reach.push(reach);
      // A step that removed one of two faults has cured nothing yet: the plan begins, but does not end there.
      if (nowLife > 0) {
        found.cost = nowCost + open * unsolved;
        found.life = nowLife;
        found.perUse = (found.cost / nowLife) * per;
        visit(found);
      }
      if (left !== undefined && open > 1e-9) {
        leftAfter(problem, way, belief, left);
        if (mayBeLess(left, open, nowCost, nowLife)) go(depth + 1, left, open, nowCost, nowLife);
      }
      found.ways.pop();
      found.reach.pop();
    }
  };
  go(0, shares, total(shares), 0, 0);
}

type Mutable<T> = {
  -readonly [K in keyof T]: T[K] extends readonly number[] ? number[] : T[K];
};
const total = (shares: Float64Array): number => shares.reduce((sum, share) => sum + share, 0);

/** A plan that stays as it was when it was visited. */
export const kept = (found: Found): Found => ({ ...found, ways: [...found.ways], reach: [...found.reach] });

/** The best plan for a belief, or null where no step has a chance. */
export function bestFor(problem: Problem, shares?: Float64Array): Found | null {
  let best = null as Found | null;
  everyPlan(
    problem,
    (found) => {
      if (best === null || found.perUse < best.perUse) best = kept(found);
    },
    { ...(shares === undefined ? {} : { shares }), limit: () => best?.perUse ?? Number.POSITIVE_INFINITY },
  );
  return best;
}
