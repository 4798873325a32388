import { planRefit } from '../refit/index.ts';
import type { Procedure } from './types.ts';

/** What is wrong with a procedure, in words; empty when it can be worked from. */
export function checkProcedure(procedure: Procedure): string[] {
  const problems: string[] = [];
  const ids = new Set(procedure.items.map(({ id }) => id));
  const openings = new Set(procedure.openings.map(({ id }) => id));
  if (ids.size !== procedure.items.length) problems.push('Two items share an id.');
  for (const item of procedure.items) {
    for (const opening of item.opens)
      if (!openings.has(opening)) problems.push(`${item.name} opens “${opening}”, which is not described.`);
    const group = item.fasteners;
    if (group !== null && group.bolts.length > 0 && group.bolts.length !== group.count) {
      problems.push(`${item.name}: ${group.count} fasteners but ${group.bolts.length} places.`);
    }
    if (item.singleUse && item.partNumber === '') problems.push(`${item.name} must be renewed but has no part number.`);
  }
  for (const { id, name } of procedure.openings) {
    if (!procedure.items.some(({ opens }) => opens.includes(id))) problems.push(`Nothing opens or closes ${name}.`);
  }
  for (const constraint of procedure.constraints) {
    const named =
      constraint.kind === 'before'
        ? [constraint.a, constraint.b]
        : constraint.kind === 'together'
          ? constraint.items
          : [constraint.item];
    for (const id of named) if (!ids.has(id)) problems.push(`A constraint names “${id}”, which is not an item.`);
  }
  const plan = planRefit(
    procedure.items.map(({ id, name }, index) => ({ id, name, stripOrder: index + 1 })),
    procedure.constraints,
  );
  if (!plan.ok)
    problems.push(
      `These go round in a circle: ${plan.cycle.map(({ from, to, reason }) => `${from} before ${to} (${reason})`).join('; ')}.`,
    );
  return problems;
}
