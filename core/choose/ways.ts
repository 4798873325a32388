import { unitKey } from '../diagnose/index.ts';
import { chanceOf } from './chance.ts';
import { type ChooseInput, LEAST_CHANCE, type NotWorth, type OptionTerms, type Way } from './types.ts';

/** Names what an option is done to. */
export const wayId = ({ id, kind, unit }: OptionTerms): string =>
  unit ? `${id}@${unitKey(unit)}` : kind === undefined ? id : `${id}@${kind}`;

/** Every option of the input as a way, likeliest to cure first. @throws RangeError when two are the same */
export function waysOf(input: ChooseInput): Way[] {
  const ways = input.terms.map((terms): Way => ({
    id: wayId(terms),
    option: terms.id,
    terms,
    chance: chanceOf(terms, input),
    costMinor:
      terms.partsMinor === null
        ? null
        : terms.partsMinor + terms.consumablesMinor + (terms.minutes * input.ratePerHourMinor) / 60,
  }));
  const twice = ways.find(({ id }, index) => ways.findIndex((other) => other.id === id) !== index);
  if (twice !== undefined) throw new RangeError(`“${twice.id}” is given twice.`);
  return ways.sort((a, b) => b.chance.mean - a.chance.mean);
}

/** What has next to no chance, was tried already, or lacks a figure. */
export function notWorthOf(ways: readonly Way[], input: ChooseInput): NotWorth[] {
  const least = input.leastChance ?? LEAST_CHANCE;
  return ways.flatMap((way): NotWorth[] => {
    if ((input.failed ?? []).includes(way.option) && NOT_TWICE.has(way.option)) return [{ way, why: 'tried already' }];
    if (way.chance.helps < least) return [{ way, why: 'no chance' }];
    if (!(way.terms.life > 0)) return [{ way, why: 'no life' }];
    return way.costMinor === null ? [{ way, why: 'no price' }] : [];
  });
}

/** What is not done again when it did not help: the second time would be the same. */
const NOT_TWICE: ReadonlySet<string> = new Set(['relearn']);
