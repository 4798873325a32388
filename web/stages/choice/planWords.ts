import { type OptionId, type Plan, type PlanStep, type Way } from '../../../core/choose/index.ts';
import { whereIs } from '../../../core/job/index.ts';
import { UNIT_KINDS } from '../../../core/vehicle/index.ts';

/** What is done in a step, in as few words as a path has room for; `…` stands for what it is done to. */
const DONE: Readonly<Record<OptionId, string>> = {
  relearn: 'Relearn',
  remove: 'Remove what is there',
  adjust: 'Adjust',
  'clean-in-place': 'Clean on the vehicle',
  'clean-bench': 'Clean on the bench',
  rebuild: 'Rebuild the …',
  replace: 'Fit a new …',
  'replace-rebuilt': 'Fit a rebuilt …',
  'replace-used': 'Fit a used …',
  elsewhere: 'Look beyond the throttle',
};

/** “Fit a new idle air valve”, “Rebuild both idle actuators”, “Fit a new throttle actuator, left”. */
export function wayWords({ option, terms }: Pick<Way, 'option' | 'terms'>, several: number): string {
  const done = DONE[option];
  if (option === 'clean-bench' && terms.kind !== undefined)
    return `Clean ${several > 1 ? `the ${plural(UNIT_KINDS[terms.kind].toLowerCase())}` : `the ${UNIT_KINDS[terms.kind].toLowerCase()}`} on the bench`;
  if (terms.unit) return done.replace('…', whereIs(terms.unit));
  if (terms.kind === undefined) return done.replace('…', 'unit');
  const what = UNIT_KINDS[terms.kind].toLowerCase();
  if (several < 2) return done.replace('…', what);
  return done
    .replace('the …', several === 2 ? 'both …' : `all ${several} …`)
    .replace('a ', `${several} `)
    .replace('…', plural(what));
}

const plural = (noun: string): string => (noun.endsWith('y') ? `${noun.slice(0, -1)}ies` : `${noun}s`);

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
  days < 0.05 ? 'same day' : days === 1 ? '1 day' : `${Number.isInteger(days) ? days : days.toFixed(1)} days`;
