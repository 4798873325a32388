import { curesAt, lifeAt, moved, ownFactor } from './chance.ts';
import { type ChooseInput, LEAST_CHANCE, type Way } from './types.ts';

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
  /** Life when it holds, by slot. */
  readonly life: Float64Array;
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
  readonly slots: Slots;
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

/** Makes a search ready. Ways without a price or a life are left out by the caller. */
export function problemOf(input: ChooseInput, ways: readonly Way[]): Problem {
  const slots = slotsOf(input);
  const places = placesOf(input, slots);
  const ready = ways.map((way): ReadyWay => {
    const factor = ownFactor(way.chance);
    const cures = new Float64Array(places.length);
    const life = new Float64Array(places.length);
    for (const [slot, place] of places.entries()) {
      if ((slots.first[slot] ?? -1) >= 0) continue;
      cures[slot] = moved(curesAt(way.terms, place, input.causes), factor);
      life[slot] = lifeAt(way.terms, place, input.causes, input.per);
    }
    for (const slot of places.keys()) {
      const [a, b] = [slots.first[slot] ?? -1, slots.second[slot] ?? -1];
      if (a < 0) continue;
      cures[slot] = (cures[a] ?? 0) * (cures[b] ?? 0);
      life[slot] = Math.min(life[a] ?? 0, life[b] ?? 0);
    }
    return {
      way,
      cost: (way.costMinor ?? 0) + way.terms.daysOff * input.dayPriceMinor,
      days: way.terms.daysOff,
      late: 1 - (way.terms.showsAtOnce ?? 0),
      cures,
      life,
    };
  });
  return {
    ways: ready,
    slots,
    comeback: input.comebackMinor,
    unsolved: input.unsolvedMinor ?? input.comebackMinor,
    least: input.leastChance ?? LEAST_CHANCE,
    per: input.per === 'h' ? 100 : 10_000,
  };
}

/** What is left after a way was tried: cured mass and life leave, pairs of which one is cured move on. */
export interface After {
  readonly left: Float64Array;
  readonly cured: number;
  readonly life: number;
}

/** Tries a way on a belief whose shares need not add up to 1. */
export function tryWay({ slots }: Problem, { cures, life }: ReadyWay, shares: Float64Array): After {
  const left = new Float64Array(shares.length);
  let [cured, lived] = [0, 0];
  for (let slot = 0; slot < shares.length; slot += 1) {
    const share = shares[slot] ?? 0;
    if (share === 0) continue;
    const both = cures[slot] ?? 0;
    cured += share * both;
    lived += share * both * (life[slot] ?? 0);
    const a = slots.first[slot] ?? -1;
    if (a < 0) {
      left[slot] = (left[slot] ?? 0) + share * (1 - both);
      continue;
    }
    const b = slots.second[slot] ?? -1;
    const [ofA, ofB] = [cures[a] ?? 0, cures[b] ?? 0];
    left[slot] = (left[slot] ?? 0) + share * (1 - ofA) * (1 - ofB);
    left[b] = (left[b] ?? 0) + share * ofA * (1 - ofB);
    left[a] = (left[a] ?? 0) + share * (1 - ofA) * ofB;
  }
  return { left, cured, life: lived };
}

/** Visits every plan: all sequences of up to three different ways whose every step has the least chance. */
export function everyPlan(problem: Problem, visit: (found: Found) => void, shares = problem.slots.shares): void {
  const { ways, least, comeback, unsolved, per } = problem;
  const taken: number[] = [];
  const reached: number[] = [];
  const go = (belief: Float64Array, reach: number, cost: number, life: number): void => {
    for (const [index, way] of ways.entries()) {
      if (taken.includes(index)) continue;
      const { left, cured, life: lived } = tryWay(problem, way, belief);
      if (cured < least * reach) continue;
      const open = reach - cured;
      const nowCost = cost + reach * way.cost + open * way.late * comeback;
      const nowLife = life + lived;
      taken.push(index);
      reached.push(reach);
      const total = nowCost + open * unsolved;
      visit({ ways: [...taken], reach: [...reached], cost: total, life: nowLife, perUse: (total / nowLife) * per });
      if (taken.length < MOST_STEPS && open > 1e-9) go(left, open, nowCost, nowLife);
      taken.pop();
      reached.pop();
    }
  };
  go(
    shares,
    shares.reduce((sum, share) => sum + share, 0),
    0,
    0,
  );
}

/** The best plan for a belief, or null where no step has a chance. */
export function bestFor(problem: Problem, shares?: Float64Array): Found | null {
  let best: Found | null = null;
  everyPlan(
    problem,
    (found) => {
      if (best === null || found.perUse < best.perUse) best = found;
    },
    shares,
  );
  return best;
}
