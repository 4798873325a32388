import { everyPlan, type Found, kept, type Problem, problemOf, tryWay } from './search.ts';
import type { Believed, ChooseInput, NotWorth, Plan, Plans, PlanStep } from './types.ts';
import { notWorthOf, waysOf } from './ways.ts';

/** Plans that are shown: the best and two others, each with another first step. */
const SHOWN = 3;
/** Within this share of the first, the second is close behind. */
const CLOSE = 0.1;
/** A step more must save at least this share, or the shorter plan is taken. */
const WORTH_A_STEP = 1e-6;
/** What is in no plan, whatever was tried before it. */
export const NEVER: ReadonlySet<NotWorth['why']> = new Set(['tried already', 'no life']);
/** Causes that are named after a failed step. */
const NAMED = 4;

/**
 * What to do first, and what next if it does not help: all sequences of up to three different ways are worked out, the
 * belief moving after each failure by Bayes' rule, P(still there | cause) = 1 − cure. A plan costs its steps as far as
 * they are needed, the days off the road, a comeback for what fails only after hand-over, and a price for what stays
 * open; it is worth the distance that what finally holds will last. Ranked by expected cost per distance; a step under
 * the least chance is never taken, and without a price nothing comes first.
 * @throws RangeError without an option, or for a belief without a cause
 */
export function planOptions(input: ChooseInput): Plans {
  if (input.terms.length === 0) throw new RangeError('Expected at least one option.');
  const ways = waysOf(input);
  const notWorth = notWorthOf(ways, input);
  // What has next to no chance now may have one after another step failed: the search looks at each step anew.
  const able = ways.filter((way) => !notWorth.some((other) => other.way === way && NEVER.has(other.why)));
  const priced = able.filter(({ costMinor }) => costMinor !== null);
  const problem = problemOf(input, priced);
  const best = bestByFirst(problem);
  const plans = best.slice(0, SHOWN).map((found) => planOf(input, problem, found));
  return {
    plans,
    ways,
    notWorth,
    unpriced: able.filter(({ costMinor }) => costMinor === null),
    close: best[0] !== undefined && best[1] !== undefined && best[1].perUse <= best[0].perUse * (1 + CLOSE),
  };
}

/** The best plan of every first step, best first; of plans as good the shorter. */
export function bestByFirst(problem: Problem): Found[] {
  const best = new Map<number, Found>();
  everyPlan(problem, (found) => keepBetter(best, found), {
    limit: (first) => best.get(first)?.perUse ?? Number.POSITIVE_INFINITY,
  });
  return [...best.values()].sort((a, b) => a.perUse - b.perUse);
}

function keepBetter(best: Map<number, Found>, found: Found): void {
  const first = found.ways[0] ?? -1;
  const known = best.get(first);
  const longer = known !== undefined && found.ways.length > known.ways.length;
  if (known === undefined || found.perUse < known.perUse * (longer ? 1 - WORTH_A_STEP : 1))
    best.set(first, kept(found));
}

/** A found plan in full. */
export function planOf(input: ChooseInput, problem: Problem, found: Found): Plan {
  let shares = problem.slots.shares;
  let reach = shares.reduce((sum, share) => sum + share, 0);
  let [stepsMinor, days, comebackMinor, life] = [0, 0, 0, 0];
  const steps = found.ways.map((index): PlanStep => {
    const ready = problem.ways[index];
    if (ready === undefined) throw new RangeError(`There is no way ${index}.`);
    const after = tryWay(problem, ready, shares);
    const open = reach - after.cured;
    stepsMinor += reach * (ready.way.costMinor ?? 0);
    days += reach * ready.days;
    comebackMinor += open * ready.late * problem.comeback;
    life += after.life;
    const step: PlanStep = {
      way: ready.way,
      reach,
      ends: after.cured,
      chance: reach > 0 ? after.cured / reach : 0,
      helps: reach > 0 ? after.helped / reach : 0,
      then: leftOver(input, problem, after.left, open),
    };
    shares = after.left;
    reach = open;
    return step;
  });
  const daysMinor = days * input.dayPriceMinor;
  const unsolvedMinor = reach * problem.unsolved;
  const expectedMinor = stepsMinor + daysMinor + comebackMinor + unsolvedMinor;
  return {
    steps,
    open: reach,
    stepsMinor,
    days,
    daysMinor,
    comebackMinor,
    unsolvedMinor,
    expectedMinor,
    life,
    perUseMinor: (expectedMinor / life) * problem.per,
  };
}

function leftOver({ belief }: ChooseInput, { slots }: Problem, left: Float64Array, open: number): Believed[] {
  if (open <= 1e-9) return [];
  return slots.of
    .flatMap((index, slot): Believed[] => {
      const own = belief[index];
      const share = (left[slot] ?? 0) / open;
      return own === undefined || share < 0.005 ? [] : [{ ...own, share }];
    })
    .sort((a, b) => b.share - a.share)
    .slice(0, NAMED);
}
