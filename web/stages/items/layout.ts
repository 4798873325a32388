import { foreseenPlan, type Job, type JobItem, jobPlan, leftColumn, type Way } from '../../../core/job/index.ts';
import type { CycleLink, RefitStep } from '../../../core/refit/index.ts';

/** A tag in one of the columns. */
export interface Row {
  readonly item: JobItem;
  /** Its number: the place in which it came off, or will. */
  readonly number: number;
  /** 0-based row from the top. */
  readonly row: number;
}

/** A string between the two tags of an item. */
export interface Twine {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly state: JobItem['state'];
  /** Why it bends, in a few words; empty when it is straight or merely slides along. */
  readonly reason: string;
}

/** Everything the sheet draws. Rows are in units of one row; pixels are the component's. */
export interface SheetLayout {
  readonly left: readonly Row[];
  readonly right: readonly Row[];
  readonly twines: readonly Twine[];
  readonly cycle: readonly CycleLink[];
}

/** Lays out the sheet for one way of working. The right column is read upward, so the first to go back is at its foot. */
export function layOut(job: Job, way: Way): SheetLayout {
  const plan = way === 'strip' ? foreseenPlan(job) : jobPlan(job);
  const listed = leftColumn(job).filter(({ state }) => way === 'strip' || state !== 'on');
  const left = listed.map((item, index): Row => ({ item, number: index + 1, row: index }));
  if (!plan.ok) return { left, right: [], twines: [], cycle: plan.cycle };
  const byId = new Map(left.map((row) => [row.item.id, row]));
  const downward = [...plan.steps].reverse();
  const right = downward.flatMap(({ itemId }, index): Row[] => {
    const twin = byId.get(itemId);
    return twin === undefined ? [] : [{ ...twin, row: index }];
  });
  const rightRow = new Map(right.map(({ item, row }) => [item.id, row]));
  const reasons = bendReasons(plan.steps);
  const twines = downward.flatMap((step): Twine[] => {
    const twin = byId.get(step.itemId);
    const to = rightRow.get(step.itemId);
    return twin === undefined || to === undefined
      ? []
      : [{ id: step.itemId, from: twin.row, to, state: twin.item.state, reason: reasons.get(step.itemId) ?? '' }];
  });
  return { left, right, twines, cycle: [] };
}

/** A constraint bends the twin that moved further: the one pulled forward, or the one that has to wait. */
function bendReasons(steps: readonly RefitStep[]): Map<string, string> {
  const moved = new Map(steps.map(({ itemId, mirrors, position }) => [itemId, Math.abs(mirrors - position)]));
  const reasons = new Map<string, string>();
  for (const { movedBy } of steps) {
    for (const constraint of movedBy) {
      if (constraint.kind !== 'before') continue;
      const [pulled, waits] = [moved.get(constraint.a) ?? 0, moved.get(constraint.b) ?? 0];
      if (pulled >= waits) reasons.set(constraint.a, `first: ${constraint.reason}`);
      else reasons.set(constraint.b, `later: ${constraint.reason}`);
    }
  }
  return reasons;
}

/** Space between two tags, pixels. */
export const TAG_GAP = 9;

/** The middle of a row's tag, pixels from the top; `row` may lie between two rows. */
export const middleOf = (row: number, pitch: number): number => row * pitch + (pitch - TAG_GAP) / 2;

/** A string as a path across a strip `width` wide, rows `pitch` apart: straight ones sag a little, as string does. */
export function twinePath(from: number, to: number, width: number, pitch: number): string {
  const y1 = middleOf(from, pitch);
  const y2 = middleOf(to, pitch);
  const sag = from === to ? 3 : 0;
  return `M0 ${y1} C${width * 0.4} ${y1 + sag} ${width * 0.6} ${y2 + sag} ${width} ${y2}`;
}

/** A string that runs over more rows than this is drawn as two loose ends: a sheaf of long strings tells nothing. */
export const FAR_ROWS = 9;
/** Whether a string is drawn as two ends. */
export const isFar = ({ from, to }: Pick<Twine, 'from' | 'to'>): boolean => Math.abs(from - to) > FAR_ROWS;

/** The loose end of a far string at one side, bending towards its twin; it ends a fifth of the way across. */
export function looseEnd(side: 'left' | 'right', from: number, to: number, width: number, pitch: number): string {
  const [own, other] = side === 'left' ? [from, to] : [to, from];
  const y = middleOf(own, pitch);
  const end = y + Math.sign(other - own) * pitch * 0.42;
  const x = (share: number): number => (side === 'left' ? width * share : width * (1 - share));
  return `M${x(0)} ${y} C${x(0.1)} ${y} ${x(0.17)} ${y} ${x(0.2)} ${end}`;
}

/** Labels of bends, moved apart so that none covers another. Positions in rows. */
export function bendLabels(
  twines: readonly Twine[],
  selected: string,
  most: number,
): { id: string; reason: string; at: number }[] {
  const bent = twines.filter(({ reason, from, to }) => reason !== '' && from !== to);
  const wanted = bent.length <= most ? bent : bent.filter(({ id }) => id === selected);
  const placed = wanted
    // The middle of a far string is out of sight: its reason stands beside the end where it goes back.
    .map(({ id, reason, from, to }) => ({ id, reason, at: isFar({ from, to }) ? to : (from + to) / 2 }))
    .sort((a, b) => a.at - b.at);
  for (const [index, label] of placed.entries()) {
    const above = placed[index - 1];
    if (above !== undefined && label.at - above.at < 1.4) label.at = above.at + 1.4;
  }
  return placed;
}
