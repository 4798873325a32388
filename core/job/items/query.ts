import { isBackStep, stepsInPlace } from '../../procedure/index.ts';
import type { Job } from '../job.ts';
import type { JobItem } from './state.ts';

/** Whether an item has gone back, old or new. */
export const isBack = ({ state }: Pick<JobItem, 'state'>): boolean => state === 'refitted' || state === 'renewed';

/** An item by its id, or undefined. */
export const itemOf = (job: Job, id: string): JobItem | undefined => job.items.find((item) => item.id === id);

/** The item that closes an opening: the one whose removal exposed it. */
export const closerOf = (job: Job, openingId: string): JobItem | undefined =>
  job.items.find(({ opens }) => opens.includes(openingId));

/** The left column of there-and-back: what came off in the order it did, then what is still on as listed. */
export function leftColumn(job: Job): JobItem[] {
  const off = job.items
    .filter(({ stripOrder }) => stripOrder !== null)
    .sort((a, b) => (a.stripOrder ?? 0) - (b.stripOrder ?? 0));
  // What waits has its place already; a step of what is still on stands straight after it.
  const on = stepsInPlace(job.items.filter(({ stripOrder }) => stripOrder === null));
  return [...off, ...on];
}

/** The next item that the procedure takes off, or null when none is left on. */
export const nextOff = (job: Job): JobItem | null => stillOn(job)[0] ?? null;

/** What is on and comes off; what has to come off before others stands before them. */
export function stillOn(job: Job): JobItem[] {
  const on = job.items.filter((item) => item.state === 'on' && !isBackStep(item));
  if (!on.some(({ offAfter = [] }) => offAfter.length > 0)) return on;
  const ordered = new Set<JobItem>();
  const visiting = new Set<string>();
  const take = (item: JobItem): void => {
    if (ordered.has(item) || visiting.has(item.id)) return;
    visiting.add(item.id);
    for (const { item: first } of item.offAfter ?? []) {
      const before = on.find(({ id }) => id === first);
      if (before !== undefined) take(before);
    }
    ordered.add(item);
  };
  on.forEach(take);
  return [...ordered];
}

/**
 * The next item for a person to take off: what they have in hand, else the first under another heading than those of
 * what others have in hand, so that two work side by side, else the first that nobody has. Null when none is left.
 */
export function nextOffFor(job: Job, by: string): JobItem | null {
  const on = stillOn(job);
  const inHand = (mine: boolean): JobItem[] =>
    job.hands.flatMap((hand) => ((hand.by === by) === mine ? on.filter(({ id }) => id === hand.itemId) : []));
  const [own] = inHand(true);
  if (own !== undefined) return own;
  const theirs = inHand(false);
  const headings = new Set(theirs.map(({ section = '' }) => section).filter((section) => section !== ''));
  const free = on.filter((item) => !theirs.includes(item));
  return free.find(({ section = '' }) => !headings.has(section)) ?? free[0] ?? null;
}

/** The name of an item, or its id where there is none such. */
export const nameOf = (job: Job, id: string): string => itemOf(job, id)?.name ?? id;

/** The name of an opening, or its id where there is none such. */
export const openingIn = (job: Job, id: string): string =>
  job.openings.find((candidate) => candidate.id === id)?.name ?? id;

/** The number on the tag of each item, by its id: its place in the left column, the same on every screen and on paper. */
export const tagNumbers = (job: Job): ReadonlyMap<string, number> =>
  new Map(leftColumn(job).map(({ id }, index) => [id, index + 1]));
