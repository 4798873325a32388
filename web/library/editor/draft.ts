import { namedBy, plainItem, type Procedure, type ProcedureItem } from '../../../core/procedure/index.ts';
import type { Constraint } from '../../../core/refit/index.ts';

/** An empty procedure. */
export const blankProcedure = (id: string): Procedure => ({
  id,
  version: 0,
  name: '',
  family: '',
  familyId: null,
  work: 'clean',
  source: null,
  items: [],
  openings: [],
  constraints: [],
  needs: [],
  coolant: null,
  relearn: [],
});

/** An id made of a name, told apart by a number where it is taken: “hose-clamp-2”. */
export function idFor(name: string, taken: readonly string[]): string {
  const stem =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^\w]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60) || 'item';
  if (!taken.includes(stem)) return stem;
  for (let number = 2; ; number += 1) if (!taken.includes(`${stem}-${number}`)) return `${stem}-${number}`;
}

/** An item with nothing said of it yet; it stands under the heading of the one above. */
const blankItem = (id: string, section: string | undefined): ProcedureItem =>
  plainItem(id, '', 'other', section === undefined ? {} : { section });

/** Adds an empty item below a place; -1 puts it first. */
export function addItem(draft: Procedure, below: number): { draft: Procedure; id: string } {
  const id = idFor(
    `item ${draft.items.length + 1}`,
    draft.items.map((item) => item.id),
  );
  const items = [...draft.items];
  items.splice(below + 1, 0, blankItem(id, draft.items[below]?.section));
  return { draft: { ...draft, items }, id };
}

/** Changes one item. */
export const changeItem = (draft: Procedure, id: string, more: Partial<ProcedureItem>): Procedure => ({
  ...draft,
  items: draft.items.map((item) => (item.id === id ? { ...item, ...more } : item)),
});

/** Moves an item up or down; at the ends it stays. It takes the heading of where it comes to lie. */
export const moveItem = (draft: Procedure, id: string, by: 1 | -1): Procedure =>
  placeItem(draft, id, draft.items.findIndex((item) => item.id === id) + by);

/** Puts an item at a place, counted from 0, under the heading of what was there. */
export function placeItem(draft: Procedure, id: string, to: number): Procedure {
  const from = draft.items.findIndex((item) => item.id === id);
  const moved = draft.items[from];
  const neighbour = draft.items[to];
  if (moved === undefined || neighbour === undefined) return draft;
  const items = [...draft.items];
  items.splice(from, 1);
  const { section: _, ...bare } = moved;
  const placed: ProcedureItem = neighbour.section === undefined ? bare : { ...bare, section: neighbour.section };
  items.splice(to, 0, placed);
  return { ...draft, items };
}

/** Takes an item out, every reason that names it, and the steps that exist only for it. */
export const removeItem = (draft: Procedure, id: string): Procedure => ({
  ...draft,
  items: draft.items.flatMap((item) => {
    if (item.id === id || item.backBefore === id) return [];
    const kept = item.offAfter?.filter((each) => each.item !== id);
    return [
      kept?.length === item.offAfter?.length ? item : { ...item, offAfter: kept?.length === 0 ? undefined : kept },
    ];
  }),
  constraints: draft.constraints.filter((constraint) => !namedBy(constraint).includes(id)),
});

/** Adds a reason with an id of its own. The same pair again replaces the reason. */
export function addReason(draft: Procedure, a: string, b: string, reason: string): Procedure {
  const others = draft.constraints.filter(
    (constraint) => !(constraint.kind === 'before' && constraint.a === a && constraint.b === b),
  );
  const id = idFor(
    `${a}-before-${b}`,
    others.map((constraint) => constraint.id),
  );
  return { ...draft, constraints: [...others, { kind: 'before', id, a, b, reason }] };
}

/** Adds any other constraint under an id of its own. */
export function addConstraint(draft: Procedure, constraint: Constraint): Procedure {
  const id = idFor(
    constraint.id,
    draft.constraints.map((each) => each.id),
  );
  return { ...draft, constraints: [...draft.constraints, { ...constraint, id }] };
}

/** Gives every item that was only just named an id that says what it is, in reasons too. */
export function settleIds(draft: Procedure): Procedure {
  const renamed = new Map<string, string>();
  const taken = draft.items.filter(({ id }) => !/^item-\d+(-\d+)?$/.test(id)).map(({ id }) => id);
  for (const { id, name } of draft.items) {
    if (!/^item-\d+(-\d+)?$/.test(id) || name.trim() === '') continue;
    const next = idFor(name, taken);
    taken.push(next);
    renamed.set(id, next);
  }
  const now = (id: string): string => renamed.get(id) ?? id;
  return {
    ...draft,
    items: draft.items.map((item): ProcedureItem => {
      const settled = { ...item, id: now(item.id), name: item.name.trim() };
      return {
        ...settled,
        ...(item.swapFrom === undefined ? {} : { swapFrom: now(item.swapFrom) }),
        ...(item.backBefore === undefined ? {} : { backBefore: now(item.backBefore) }),
        ...(item.offAfter === undefined
          ? {}
          : { offAfter: item.offAfter.map((each) => ({ ...each, item: now(each.item) })) }),
      };
    }),
    constraints: draft.constraints.map((constraint): Constraint => {
      switch (constraint.kind) {
        case 'before':
          return { ...constraint, a: now(constraint.a), b: now(constraint.b) };
        case 'together':
          return { ...constraint, items: constraint.items.map(now) };
        case 'after-bench':
          return { ...constraint, item: now(constraint.item), unit: now(constraint.unit) };
        default:
          return { ...constraint, item: now(constraint.item) };
      }
    }),
  };
}
