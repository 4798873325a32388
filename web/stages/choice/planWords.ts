import type { Plan, PlanStep, Way } from '../../../core/choose/index.ts';

/** How many of a hundred. */
export const ofHundred = (share: number): number => Math.round(share * 100);

/** “First relearn: 24 cr, 25 min, and 27 in 100 end there.” */
export function firstWords(step: PlanStep, name: (way: Way) => string, money: (minor: number) => string): string {
  const cost = step.way.costMinor === null ? 'no price' : money(Math.round(step.way.costMinor));
  return `First ${lower(name(step.way))}: ${cost}, ${Math.round(step.way.terms.minutes)} min, and ${ofHundred(step.ends)} in 100 end there.`;
}

/** “Then clean on the bench; a new unit only if both fail.” */
export function thenWords({ steps }: Plan, name: (way: Way) => string): string {
  const [, second, third] = steps;
  if (second === undefined) return '';
  return third === undefined
    ? `If that does not help, ${lower(name(second.way))}.`
    : `Then ${lower(name(second.way))}; ${lower(name(third.way))} only if both fail.`;
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** “same day”, “3 days”. */
export const daysWords = (days: number): string =>
  days === 0 ? 'same day' : days === 1 ? '1 day' : `${Number.isInteger(days) ? days : days.toFixed(1)} days`;
