import { UNIT_FORMS } from '../clean/index.ts';
import { GROUPS } from '../diagnose/index.ts';
import { pointName } from '../inspect/index.ts';
import { rounded } from '../visits/index.ts';
import type { CauseLesson } from './causes.ts';
import type { Lesson } from './lessons.ts';
import { type Look, THINGS_BESIDE } from './look.ts';

/** What is found: “O-ring hardness, rotary valve”. */
export function thingName({ thing, form }: Pick<Look, 'thing' | 'form'>): string {
  const beside = (THINGS_BESIDE as Readonly<Record<string, string>>)[thing];
  return beside ?? `${pointName(thing)}${form === '' ? '' : `, ${UNIT_FORMS[form]}`}`;
}

/** What the counts of a lesson say, and from which reading on: one or two sentences. */
export function lessonWords({
  here,
  elsewhere,
  oftener,
  from,
  hours,
}: Pick<Lesson, 'here' | 'elsewhere' | 'oftener' | 'from' | 'hours'>): string {
  const counts = `Bad on ${here.k} of ${here.n} of these`;
  const others = elsewhere.n === 0 ? '' : `, on ${elsewhere.k} of ${elsewhere.n} of all others`;
  const age =
    from?.half == null
      ? ''
      : ` More than half are bad from about ${rounded(from.half, hours)} ${hours ? 'h' : 'km'} on.`;
  return `${counts}${oftener || age !== '' ? others : ''}.${age}`;
}

/** What the counts of a cause say. */
export const causeWords = ({ here, expected, group }: CauseLesson): string =>
  `It led the decision in ${here.k} of ${here.n} jobs (${GROUPS[group].toLowerCase()}); by the knowledge it would be ${Math.round(expected * 100)} in a hundred.`;
