import { convert, format, group, type Unit } from '../quantity/index.ts';
import { upperFirst } from '../words/index.ts';
import { FLAGS, type ReadingName, READINGS } from './readings.ts';
import { type BadEnd, ENDS, type Recipe, type RunCondition } from './shape.ts';

/** What a flag says when it is, or is not, the case. */
export function flagWords({ flags }: Pick<Recipe, 'flags'>, name: string, on = true): string {
  const known = flags.find(({ id }) => id === name) ?? FLAGS[name];
  return (on ? known?.on : known?.off) || (on ? name : `not ${known?.on ?? name}`);
}

/** “coolant at 80 °C or more”, “road speed 25 to 37 mph”, “no bubbles”. */
export function conditionWords(recipe: Pick<Recipe, 'flags'>, condition: RunCondition): string {
  if (condition.words !== '') return condition.words;
  if (condition.kind === 'flag') return flagWords(recipe, condition.name, condition.on);
  const name = READINGS[condition.name].name.toLowerCase();
  const { low, high, unit } = condition;
  if (low !== null && high !== null) return `${name} ${group(String(low))} to ${format({ value: high, unit })}`;
  if (low !== null) return `${name} at ${format({ value: low, unit })} or more`;
  return high === null ? `${name} read` : `${name} at ${format({ value: high, unit })} or less`;
}

/** What is said when a reading ends a step badly. */
export function badEndWords({ name, below, above, unit, words }: BadEnd): string {
  if (words !== '') return words;
  const of = READINGS[name].name;
  const figures = [
    below === null ? '' : `below ${format({ value: below, unit })}`,
    above === null ? '' : `above ${format({ value: above, unit })}`,
  ].filter(Boolean);
  return `${of} ${figures.join(' or ')}.`;
}

/** Where a way out leads, in words. */
export function wayOutWords({ steps }: Pick<Recipe, 'steps'>, goTo: string): string {
  const index = steps.findIndex(({ id }) => id === goTo);
  if (index >= 0) return `${index + 1}. ${steps[index]?.title ?? ''}`;
  return goTo in ENDS ? upperFirst(ENDS[goTo as keyof typeof ENDS]) : 'nowhere';
}

/** “50 km”, “2 h”, “3 days”. */
export const lookAgainWords = ({ value, unit }: NonNullable<Recipe['lookAgain']>): string =>
  `${group(String(value))} ${unit === 'd' ? (value === 1 ? 'day' : 'days') : unit}`;

/** A recipe in a few words: “6 steps”, “adapts by itself: look again after 50 km”, “none needed”. */
export function recipeWords({ way, lookAgain, steps }: Recipe): string {
  if (way === 'none') return 'none needed';
  if (way === 'steps') return `${steps.length} ${steps.length === 1 ? 'step' : 'steps'}`;
  return `adapts by itself${lookAgain === null ? '' : `: look again after ${lookAgainWords(lookAgain)}`}`;
}

/** A reading's value in another unit than the one it is kept in. */
export const readingIn = (name: ReadingName, value: number, unit: Unit): number =>
  convert(value, READINGS[name].unit, unit);
