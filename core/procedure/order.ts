import type { BeforeConstraint } from '../refit/index.ts';
import { lowerFirst } from '../words/index.ts';
import type { ProcedureItem } from './types.ts';

/** Each step of the way back comes before what it belongs to. */
export const backStepTies = (
  items: readonly Pick<ProcedureItem, 'id' | 'name' | 'note' | 'backBefore'>[],
): BeforeConstraint[] =>
  items.flatMap(({ id, name, note, backBefore }) =>
    backBefore === undefined
      ? []
      : [{ kind: 'before', id: `step-${id}`, a: id, b: backBefore, reason: lowerFirst(note.trim() || name) }],
  );

/** Whether an item waits, over however many others, for another to come off before it. */
export function comesOffAfter(
  items: readonly Pick<ProcedureItem, 'id' | 'offAfter'>[],
  item: string,
  first: string,
): boolean {
  const seen = new Set<string>();
  const open = [item];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (next === first) return true;
    if (seen.has(next)) continue;
    seen.add(next);
    open.push(...(items.find(({ id }) => id === next)?.offAfter ?? []).map((each) => each.item));
  }
  return false;
}

/** Items in their order, with each step of the way back straight after what it belongs to, wherever it is listed. */
export function stepsInPlace<T extends Pick<ProcedureItem, 'id' | 'backBefore'>>(items: readonly T[]): readonly T[] {
  const steps = items.filter(({ backBefore }) => backBefore !== undefined);
  if (steps.length === 0) return items;
  const others = items.filter(({ backBefore }) => backBefore === undefined);
  const there = new Set(others.map(({ id }) => id));
  return [
    ...others.flatMap((item) => [item, ...steps.filter(({ backBefore }) => backBefore === item.id)]),
    ...steps.filter(({ backBefore = '' }) => !there.has(backBefore)),
  ];
}
