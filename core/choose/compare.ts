import { bestByFirst } from './plan.ts';
import { problemOf } from './search.ts';
import { type Chance, type ChooseInput, type NotWorth, type OptionId, OPTIONS, type Way } from './types.ts';
import { notWorthOf, waysOf } from './ways.ts';

/** An option, worked out. */
export interface ComparedOption {
  readonly way: Way;
  readonly terms: Way['terms'];
  readonly chance: Chance;
  /** Parts, consumables, labour and days off the road; null without a price. */
  readonly nowMinor: number | null;
  /** With what comes after it when it does not cure, times its chance; null when it is in no plan. */
  readonly expectedMinor: number | null;
  /** Per 10,000 km or 100 h of the life to be expected. */
  readonly perUseMinor: number | null;
  /** Why it is in no plan; null when it is. */
  readonly notWorth: NotWorth['why'] | null;
  /** What is not known about it, in words. */
  readonly unknown: readonly string[];
}

/** The result of `compareOptions`. */
export interface Comparison {
  /** Best first: lowest cost per distance; what is in no plan last. */
  readonly options: readonly ComparedOption[];
  readonly first: OptionId | null;
  readonly sentence: string;
}

/**
 * Every option one by one, each as the first step of its best plan. Money is rounded to whole minor units.
 * @throws RangeError when no option is given
 */
export function compareOptions(input: ChooseInput): Comparison {
  if (input.terms.length === 0) throw new RangeError('Expected at least one option.');
  const ways = waysOf(input);
  const notWorth = notWorthOf(ways, input);
  const able = ways.filter((way) => !notWorth.some((other) => other.way === way && other.why !== 'no chance'));
  const problem = problemOf(input, able);
  const best = bestByFirst(problem);
  const options = ways
    .map((way): ComparedOption => {
      const found = best.find(({ ways: [first] }) => able[first ?? -1] === way);
      const nowMinor = way.costMinor === null ? null : way.costMinor + way.terms.daysOff * input.dayPriceMinor;
      return {
        way,
        terms: way.terms,
        chance: way.chance,
        nowMinor: nowMinor === null ? null : Math.round(nowMinor),
        expectedMinor: found === undefined ? null : Math.round(found.cost),
        perUseMinor: found === undefined ? null : Math.round(found.perUse),
        notWorth: notWorth.find((other) => other.way === way)?.why ?? null,
        unknown: unknowns(way),
      };
    })
    .sort(byCost);
  const first = options[0]?.perUseMinor === null ? null : (options[0]?.terms.id ?? null);
  return { options, first, sentence: first === null ? 'No option has a price yet.' : sentenceFor(options) };
}

const byCost = (a: ComparedOption, b: ComparedOption): number =>
  (a.perUseMinor ?? Number.POSITIVE_INFINITY) - (b.perUseMinor ?? Number.POSITIVE_INFINITY) ||
  b.chance.mean - a.chance.mean;

function unknowns({ terms, chance: { cured, cameBack, low, high } }: Way): string[] {
  return [
    ...(terms.partsMinor === null ? ['price not known'] : []),
    ...(cured + cameBack === 0 ? ['no results of our own yet'] : []),
    ...(high - low > 0.4 ? [`chance uncertain: ${Math.round(low * 100)} to ${Math.round(high * 100)} %`] : []),
  ];
}

function sentenceFor([first, second]: readonly ComparedOption[]): string {
  if (first === undefined) return '';
  const cure = `${OPTIONS[first.terms.id]} comes first: ${Math.round(first.chance.mean * 100)} in 100 to cure`;
  if (second === undefined || second.perUseMinor === null || first.perUseMinor === null) return `${cure}.`;
  const close = second.perUseMinor <= first.perUseMinor * 1.1;
  return `${cure}, and least money for the distance. ${OPTIONS[second.terms.id]} is ${close ? 'close behind' : 'next'}.`;
}
