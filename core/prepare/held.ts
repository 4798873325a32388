import type { Constraint } from '../refit/index.ts';

/**
 * Items that cannot go back while some parts are missing: those that need one, and all that must come after them.
 * @param isMissing whether a part, by need id or part number, is not here
 * @returns ids of items
 */
export function heldByParts(constraints: readonly Constraint[], isMissing: (part: string) => boolean): Set<string> {
  const after = new Map<string, string[]>();
  const held = new Set<string>();
  for (const constraint of constraints) {
    if (constraint.kind === 'before') {
      const list = after.get(constraint.a);
      if (list === undefined) after.set(constraint.a, [constraint.b]);
      else list.push(constraint.b);
    } else if (constraint.kind === 'needs' && isMissing(constraint.part)) {
      held.add(constraint.item);
    }
  }
  const todo = [...held];
  for (let id = todo.pop(); id !== undefined; id = todo.pop()) {
    for (const next of after.get(id) ?? []) {
      if (held.has(next)) continue;
      held.add(next);
      todo.push(next);
    }
  }
  return held;
}
