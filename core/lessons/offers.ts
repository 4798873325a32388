import { pointOf } from '../inspect/index.ts';
import type { Need } from '../procedure/index.ts';
import type { Lesson } from './lessons.ts';

/** A part that was renewed on the vehicles of a lesson. */
export interface LessonPart {
  readonly name: string;
  readonly partNumber: string;
}

/**
 * What a lesson would add to what a procedure needs; null where nothing can be prepared for it. A seal that fails is on the
 * shelf before the work; for what only another unit cures the customer knows before.
 * @param part what was renewed for it, where that is known
 * @param why in the words of the screen, which become its note
 */
export function needFor(
  { thing, id }: Pick<Lesson, 'thing' | 'id'>,
  part: LessonPart | null,
  why: string,
): Need | null {
  const of = (kind: Need['kind'], name: string, partNumber = ''): Need => ({
    id: `lesson-${id.replaceAll(/[^a-z0-9-]/gi, '-')}`.slice(0, 60),
    kind,
    name,
    partNumber,
    note: why,
    caution: null,
  });
  if (thing === 'seized') return of('consumable', 'Penetrating oil, on the day before');
  if (thing === 'relearn') return of('do-first', 'Read the recipe of the relearn before the strip');
  const point = pointOf(thing);
  if (point?.cure === 'renew') return part === null ? null : of('part', part.name, part.partNumber);
  if (point?.cure === 'replace' || point?.cure === 'rebuild')
    return of('do-first', `Look at “${point.name}” before cleaning is promised`);
  return null;
}

/** Whether the shelf can be ready for a lesson: a part with a number was renewed for it. */
export const shelfFor = ({ thing }: Pick<Lesson, 'thing'>, part: LessonPart | null): LessonPart | null =>
  pointOf(thing)?.cure === 'renew' ? part : null;
