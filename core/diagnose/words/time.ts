import { found } from './pattern.ts';

const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  ten: 10,
  few: 3,
  couple: 2,
  several: 4,
  some: 4,
  half: 0.5,
};
const DAYS: Readonly<Record<string, number>> = { hour: 0.05, day: 1, week: 7, month: 30, year: 365 };
/** Work counts as just before it began when it is not older than this, days. */
const JUST_BEFORE = 75;

/** How long ago something is said to have been, in days; null when nothing is said. */
export function daysAgo(words: readonly string[]): number | null {
  for (const [index, word] of words.entries()) {
    if (word === 'ago' || word === 'back' || word === 'before') {
      const days = DAYS[singular(words[index - 1] ?? '')];
      if (days !== undefined) return days * (numberOf(words.slice(Math.max(0, index - 4), index - 1)) ?? 2);
    }
    if (word === 'last') {
      const of = words[index + 1] ?? '';
      if (of === 'year' || of === 'season') return 365;
      if (['summer', 'winter', 'spring', 'autumn', 'october', 'november'].includes(of)) return 150;
      if (of === 'month') return 30;
      if (of === 'week' || of === 'weekend' || of === 'night' || of === 'friday' || of === 'saturday') return 7;
    }
    if (/^(?:19|20)\d\d$/.test(word) && (words[index - 1] === 'in' || words[index - 1] === 'since')) return 1000;
  }
  if (found(['years =ago', 'long ago', 'years since', 'once upon'], words)) return 1000;
  if (found(['yesterday', 'today', 'this morning', 'this week', 'just now', 'recently', 'lately', 'since then'], words))
    return 1;
  return null;
}

const singular = (word: string): string => word.replace(/s$/, '');
function numberOf(words: readonly string[]): number | null {
  for (const word of [...words].reverse()) {
    const number = /^\d+$/.test(word) ? Number(word) : NUMBER_WORDS[word];
    if (number !== undefined) return number;
  }
  return null;
}

/** Whether a deed is said to be so long ago that it is not what began it. */
export const isLongAgo = (words: readonly string[]): boolean => (daysAgo(words) ?? 0) > JUST_BEFORE;
