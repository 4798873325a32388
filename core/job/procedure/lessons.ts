import { backStepTies, isBackStep } from '../../procedure/index.ts';
import { type Constraint, planRefit } from '../../refit/index.ts';
import { FLAGS } from '../items/flagKinds.ts';
import { isBack, nameOf } from '../items/query.ts';
import type { JobItem } from '../items/state.ts';
import type { Job } from '../job.ts';

/** Something that a finished job teaches, in words, and what it is about. */
export interface Lesson {
  readonly kind: 'order' | 'reason' | 'item' | 'time' | 'surprise' | 'part' | 'opening';
  readonly itemId: string | null;
  readonly words: string;
}

/** Minutes to a tenth: nobody times better by tapping. */
export const minutesOf = (seconds: number): number => Math.round(seconds / 6) / 10;

/** Items that were not listed, could stay on, were renewed or took long. */
export function itemLessons(job: Job, travelled: readonly JobItem[]): Lesson[] {
  const left = job.items.filter((item) => item.state === 'on' && item.origin === 'procedure' && !isBackStep(item));
  return [
    ...travelled.flatMap((item): Lesson[] => {
      const lessons: Lesson[] = [];
      if (item.origin === 'typed')
        lessons.push({ kind: 'item', itemId: item.id, words: `${item.name} was not listed.` });
      if (item.state === 'renewed' && !item.singleUse)
        lessons.push({
          kind: 'part',
          itemId: item.id,
          words: `${item.name} was renewed${item.fitted === '' ? '' : ` (${item.fitted})`}.`,
        });
      if (item.aside !== null && item.mayStay === undefined)
        lessons.push({
          kind: 'item',
          itemId: item.id,
          words: `${item.name} stayed connected, tied ${item.aside.where}.`,
        });
      const took = minutesOf(item.seconds.off + item.seconds.back);
      const expected = item.minutes === undefined ? null : item.minutes.off + item.minutes.back;
      if (expected !== null && took > 2 * expected && took - expected >= 3)
        lessons.push({ kind: 'time', itemId: item.id, words: `${item.name} took ${took} minutes, not ${expected}.` });
      return lessons;
    }),
    ...left.map((item): Lesson => ({ kind: 'item', itemId: item.id, words: `${item.name} could stay on.` })),
  ];
}

/** Where things went back otherwise than the reasons would have had it. */
export function orderLessons(job: Job, travelled: readonly JobItem[], constraints: readonly Constraint[]): Lesson[] {
  const plan = planRefit(
    travelled.map(({ id, name }, index) => ({ id, name, stripOrder: index + 1 })),
    [...constraints, ...backStepTies(travelled)],
  );
  if (!plan.ok) return [];
  const went = travelled
    .filter(isBack)
    .sort((a, b) => (a.back?.at ?? '').localeCompare(b.back?.at ?? ''))
    .map(({ id }) => id);
  const planned = plan.steps.map(({ itemId }) => itemId).filter((id) => went.includes(id));
  return went.flatMap((id, index): Lesson[] => {
    const by = planned.indexOf(id) - index;
    return by >= 3
      ? [{ kind: 'order', itemId: id, words: `${nameOf(job, id)} went back ${by} places before its turn.` }]
      : [];
  });
}

/** What was found broken, stripped, dropped or wanting. */
export function surprises(job: Job): Lesson[] {
  return [
    ...job.items.flatMap(({ id, name, flag, threads }): Lesson[] => [
      ...(flag === null
        ? []
        : [
            {
              kind: 'surprise' as const,
              itemId: id,
              words: `${name}: ${FLAGS[flag.flag].toLowerCase()}${flag.text === '' ? '' : `, ${flag.text}`}.`,
            },
          ]),
      ...threads.map(({ boltId }): Lesson => ({
        kind: 'surprise',
        itemId: id,
        words: `${name}: the thread of bolt ${boltId} stripped.`,
      })),
    ]),
    ...job.searches.map(({ what, where, ended }): Lesson => ({
      kind: 'surprise',
      itemId: null,
      words: `${what} was dropped: ${ended?.where ?? where}.`,
    })),
    ...job.ownNeeds.map(({ name }): Lesson => ({
      kind: 'part',
      itemId: null,
      words: `${name} was needed and not listed.`,
    })),
  ];
}
