import { flipPrice } from './flip.ts';
import { bestByFirst, NEVER } from './plan.ts';
import { problemOf } from './search.ts';
import type { AskedPrice, ChooseInput, OptionId, Way } from './types.ts';
import { notWorthOf, waysOf } from './ways.ts';

/**
 * What a unit costs at least, in minutes of the shop's own labour, so that it holds in any currency: nobody is asked for a
 * price that would have to be lower still. Our own figure, not from a source.
 */
const LEAST_MINUTES: Readonly<Partial<Record<OptionId, number>>> = {
  replace: 60,
  'replace-rebuilt': 36,
  'replace-used': 20,
};

/**
 * Ways without a price that would come first at one, with the price under which they do: it is asked before a winner is
 * named. A search for every such way: for a worker.
 */
export function askedPrices(input: ChooseInput): AskedPrice[] {
  const ways = waysOf(input);
  const never = new Set(notWorthOf(ways, input).flatMap(({ way, why }) => (NEVER.has(why) ? [way] : [])));
  return ways.flatMap((way) => {
    const underMinor = way.costMinor === null && !never.has(way) ? leadsUnder(input, way) : null;
    return underMinor === null ? [] : [{ way, underMinor }];
  });
}

/** The price of its part under which a way comes first; null where that is less than any such part costs. */
function leadsUnder(input: ChooseInput, way: Way): number | null {
  const free = { ...input, terms: input.terms.map((each) => (each === way.terms ? { ...each, partsMinor: 0 } : each)) };
  const ways = waysOf(free).filter(({ costMinor, terms }) => costMinor !== null && terms.life > 0);
  const problem = problemOf(free, ways);
  const [best] = bestByFirst(problem);
  if (best === undefined || problem.ways[best.ways[0] ?? -1]?.way.id !== way.id) return null;
  const under = flipPrice(input, way.id)?.at ?? Number.POSITIVE_INFINITY;
  const least = ((LEAST_MINUTES[way.option] ?? 0) * input.ratePerHourMinor) / 60;
  return under > least ? under : null;
}
