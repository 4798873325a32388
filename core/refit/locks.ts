import type { ItemState } from './state.ts';
import type { Constraint } from './types.ts';

/** Why an item cannot go back yet. */
export type Lock =
  /** Something must be back first. */
  | { readonly kind: 'before'; readonly item: string; readonly reason: string }
  /** Bench work on a unit is not finished. */
  | { readonly kind: 'bench'; readonly unit: string; readonly reason: string }
  /** A part is not here. */
  | { readonly kind: 'part'; readonly part: string; readonly reason: string; readonly expected: string | null }
  /** Something is still curing. */
  | { readonly kind: 'cure'; readonly label: string; readonly endsAt: string }
  /** What went on against the order covers it: that must come off again. */
  | { readonly kind: 'buried'; readonly item: string; readonly reason: string };

/** What locks are judged by. Ids are those of items. */
export interface LockInput {
  readonly constraints: readonly Constraint[];
  readonly stateOf: (id: string) => ItemState | undefined;
  /** Whether the bench work on a unit is finished; the unit is an item's id or a kind of unit. */
  readonly benchDone: (unit: string) => boolean;
  /** Whether a part is here; null when nothing is known of it, which locks nothing. */
  readonly partHere: (part: string) => { readonly here: boolean; readonly expected: string | null } | null;
  /** Cures that run: the item they are on, in words, and when they end. */
  readonly cures: readonly { readonly item: string; readonly label: string; readonly endsAt: string }[];
  /** Pairs that went against the order: `by` is on and covers `item`. */
  readonly buried: readonly { readonly item: string; readonly by: string; readonly reason: string }[];
}

/**
 * Everything that keeps an item from going back, worst first; empty when it is free. A cure locks the item that it is
 * on and whatever must come after that item.
 */
export function locksOf(id: string, input: LockInput): Lock[] {
  const locks: Lock[] = [];
  for (const { item, by, reason } of input.buried) if (item === id) locks.push({ kind: 'buried', item: by, reason });
  const follows = new Set([id]);
  for (const constraint of input.constraints) {
    if (constraint.kind === 'before' && constraint.b === id) {
      follows.add(constraint.a);
      if (input.stateOf(constraint.a) === 'off')
        locks.push({ kind: 'before', item: constraint.a, reason: constraint.reason });
    } else if (constraint.kind === 'after-bench' && constraint.item === id && !input.benchDone(constraint.unit)) {
      locks.push({ kind: 'bench', unit: constraint.unit, reason: constraint.reason });
    } else if (constraint.kind === 'needs' && constraint.item === id) {
      const part = input.partHere(constraint.part);
      if (part !== null && !part.here)
        locks.push({ kind: 'part', part: constraint.part, reason: constraint.reason, expected: part.expected });
    }
  }
  for (const { item, label, endsAt } of input.cures) if (follows.has(item)) locks.push({ kind: 'cure', label, endsAt });
  return locks;
}

/**
 * Steps that people can do at the same time: the first free item for each, none tied by a constraint to another's.
 * @param order ids in the order of the plan; only those that are free now
 * @param taken ids that others have in hand
 * @param constraints read for ties in either direction
 * @param most how many are wanted
 */
export function independentSteps(
  order: readonly string[],
  taken: readonly string[],
  constraints: readonly Constraint[],
  most: number,
): string[] {
  const tied = new Map<string, Set<string>>();
  const tie = (a: string, b: string): void => {
    const others = tied.get(a) ?? new Set<string>();
    tied.set(a, others.add(b));
  };
  for (const constraint of constraints) {
    const ids =
      constraint.kind === 'before'
        ? [constraint.a, constraint.b]
        : constraint.kind === 'together'
          ? constraint.items
          : constraint.kind === 'closes'
            ? [constraint.plug, constraint.item]
            : [];
    for (const a of ids) for (const b of ids) if (a !== b) tie(a, b);
  }
  const inHand = [...taken];
  const found: string[] = [];
  for (const id of order) {
    if (found.length >= most) break;
    if (inHand.includes(id) || inHand.some((other) => tied.get(other)?.has(id))) continue;
    found.push(id);
    inHand.push(id);
  }
  return found;
}
