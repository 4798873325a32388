import { betaQuantile } from './beta.ts';
import { cures } from './treats.ts';
import {
  type Chance,
  type ChooseInput,
  type ComparedOption,
  type Comparison,
  type OptionId,
  OPTIONS,
  type OptionTerms,
} from './types.ts';

/** How many jobs of its own the shop must have seen before they weigh as much as the ranked causes. */
export const PRIOR_JOBS = 10;
/** 10,000 km, or 100 h. */
export const PER: Readonly<Record<ChooseInput['per'], number>> = { km: 10_000, h: 100 };

/**
 * The chance to cure: the ranked causes times how well the option treats each gives a Beta prior worth
 * {@link PRIOR_JOBS} jobs, and the shop's own results update it (conjugate: a + cured, b + came back).
 */
export function chanceOf(option: OptionId, { belief, results }: Pick<ChooseInput, 'belief' | 'results'>): Chance {
  const fromCauses = belief.reduce((sum, { cause, share }) => sum + share * cures(option, cause), 0);
  const seen = results.find((result) => result.option === option);
  const [cured, cameBack] = [seen?.cured ?? 0, seen?.cameBack ?? 0];
  const a = PRIOR_JOBS * fromCauses + cured;
  const b = PRIOR_JOBS * (1 - fromCauses) + cameBack;
  // A prior mean of 0 or 1 leaves no Beta; it stands as it is.
  if (a <= 0 || b <= 0) return { mean: fromCauses, fromCauses, low: fromCauses, high: fromCauses, cured, cameBack };
  return {
    mean: a / (a + b),
    fromCauses,
    low: betaQuantile(0.05, a, b),
    high: betaQuantile(0.95, a, b),
    cured,
    cameBack,
  };
}

const now = (terms: OptionTerms, { ratePerHourMinor, dayPriceMinor }: ChooseInput): number | null =>
  terms.partsMinor === null
    ? null
    : Math.round(
        terms.partsMinor +
          terms.consumablesMinor +
          (terms.minutes * ratePerHourMinor) / 60 +
          terms.daysOff * dayPriceMinor,
      );

/**
 * Puts options side by side. When one does not cure, the vehicle comes back: it is diagnosed again and the surest of
 * the other options is done; that one may fail too, and then the next is done. Money is rounded to whole minor units.
 * @throws RangeError when no option is given or a life is not above 0
 */
export function compareOptions(input: ChooseInput): Comparison {
  if (input.terms.length === 0) throw new RangeError('Expected at least one option.');
  for (const { id, life } of input.terms)
    if (!(life > 0)) throw new RangeError(`Expected a life above 0 for ${id}, got ${life}.`);
  return compared(input, chancesOf(input));
}

/** Chances do not depend on prices: they are worked out once, however often a price is tried. */
const chancesOf = (input: ChooseInput): ReadonlyMap<OptionId, Chance> =>
  new Map(input.terms.map(({ id }) => [id, chanceOf(id, input)]));

function compared(input: ChooseInput, chances: ReadonlyMap<OptionId, Chance>): Comparison {
  const base = input.terms.flatMap((terms) => {
    const chance = chances.get(terms.id);
    return chance === undefined ? [] : [{ terms, chance, nowMinor: now(terms, input) }];
  });
  const options = base
    .map(({ terms, chance, nowMinor }): ComparedOption => {
      const fallback = surest(base, [terms.id]);
      const comeback = comebackCost(base, [terms.id], input.comebackMinor);
      const expectedMinor = nowMinor === null ? null : Math.round(nowMinor + (1 - chance.mean) * comeback);
      const life = chance.mean * terms.life + (1 - chance.mean) * (fallback?.terms.life ?? terms.life);
      const perUseMinor = expectedMinor === null ? null : Math.round((expectedMinor / life) * PER[input.per]);
      return { terms, chance, nowMinor, expectedMinor, perUseMinor, unknown: unknowns(terms, chance) };
    })
    .sort(byCost);
  const first = options[0]?.perUseMinor === null ? null : (options[0]?.terms.id ?? null);
  return { options, first, sentence: first === null ? 'No option has a price yet.' : sentenceFor(options) };
}

type Base = { readonly terms: OptionTerms; readonly chance: Chance; readonly nowMinor: number | null };

/** The surest option that was not tried yet; of equals the cheapest. */
const surest = (base: readonly Base[], tried: readonly OptionId[]): Base | undefined =>
  base
    .filter(({ terms, nowMinor }) => !tried.includes(terms.id) && nowMinor !== null)
    .sort((a, b) => b.chance.mean - a.chance.mean || (a.nowMinor ?? 0) - (b.nowMinor ?? 0))[0];

/** What it costs when an option did not cure: the surest other one, which may fail in its turn. Then it is left. */
function comebackCost(base: readonly Base[], tried: readonly OptionId[], comebackMinor: number, further = 1): number {
  const next = surest(base, tried);
  if (next === undefined) return comebackMinor;
  const again = further === 0 ? 0 : comebackCost(base, [...tried, next.terms.id], comebackMinor, further - 1);
  return comebackMinor + (next.nowMinor ?? 0) + (1 - next.chance.mean) * again;
}

const byCost = (a: ComparedOption, b: ComparedOption): number =>
  (a.perUseMinor ?? Number.POSITIVE_INFINITY) - (b.perUseMinor ?? Number.POSITIVE_INFINITY) ||
  b.chance.mean - a.chance.mean;

function unknowns(terms: OptionTerms, { cured, cameBack, low, high }: Chance): string[] {
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

/** Prices are looked for up to this, minor units: a hundred thousand crowns. */
const HIGHEST_PRICE = 10_000_000;

/** Where the first choice changes as the price of one option's part moves. */
export interface Flip {
  /** Minor units, rounded up to a whole one. */
  readonly priceMinor: number;
  /** The option that comes first below and above. */
  readonly below: OptionId;
  readonly above: OptionId;
}

/**
 * The part price at which an option stops being first, by bisection over its price; null when no price between nothing
 * and a hundred thousand crowns changes anything.
 */
export function flipPrice(input: ChooseInput, option: OptionId): Flip | null {
  const chances = chancesOf(input);
  const firstAt = (partsMinor: number): OptionId | null =>
    compared(
      { ...input, terms: input.terms.map((terms) => (terms.id === option ? { ...terms, partsMinor } : terms)) },
      chances,
    ).first;
  let [low, high] = [0, HIGHEST_PRICE];
  if (firstAt(low) !== option || firstAt(high) === option) return null;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (firstAt(middle) === option) low = middle;
    else high = middle;
  }
  const above = firstAt(high);
  return above === null ? null : { priceMinor: high, below: option, above };
}
