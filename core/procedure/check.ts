import { samePart } from '../stock/index.ts';
import { type Constraint, planRefit } from '../refit/index.ts';
import { MARGIN_WANTED, parseThread, stripMargin } from '../torque/index.ts';
import { backStepTies, comesOffAfter, stepsInPlace } from './order.ts';
import { isBackStep, type Procedure, type ProcedureItem } from './types.ts';

/** Something about a procedure that cannot stay, or that should be looked at. */
export interface ProcedureProblem {
  /** *wrong* cannot be worked from and is not saved; *look* can. */
  readonly level: 'wrong' | 'look';
  /** The item, opening or need that it is about; null for the whole. */
  readonly subject: string | null;
  readonly words: string;
}

/** The items that a constraint names. */
export const namedBy = (constraint: Constraint): readonly string[] =>
  constraint.kind === 'before'
    ? [constraint.a, constraint.b]
    : constraint.kind === 'together'
      ? constraint.items
      : constraint.kind === 'closes'
        ? [constraint.item, constraint.plug]
        : [constraint.item];

/** Everything that is wrong with a procedure or should be looked at, worst first. */
export function procedureProblems(procedure: Procedure): ProcedureProblem[] {
  const problems = [
    ...nameProblems(procedure),
    ...procedure.items.flatMap((item) => itemProblems(item, procedure)),
    ...openingProblems(procedure),
    ...constraintProblems(procedure),
  ];
  return [...problems.filter(({ level }) => level === 'wrong'), ...problems.filter(({ level }) => level === 'look')];
}

/** What is wrong with a procedure, in words; empty when it can be worked from. */
export const checkProcedure = (procedure: Procedure): string[] =>
  procedureProblems(procedure).flatMap(({ level, words }) => (level === 'wrong' ? [words] : []));

const wrong = (subject: string | null, words: string): ProcedureProblem => ({ level: 'wrong', subject, words });
const look = (subject: string | null, words: string): ProcedureProblem => ({ level: 'look', subject, words });

function nameProblems({ name, items, needs }: Procedure): ProcedureProblem[] {
  const problems: ProcedureProblem[] = [];
  if (name.trim() === '') problems.push(wrong(null, 'The procedure has no name.'));
  for (const list of [items, needs]) {
    const seen = new Set<string>();
    for (const { id } of list) {
      if (seen.has(id)) problems.push(wrong(id, `Two lines share the id “${id}”.`));
      seen.add(id);
    }
  }
  const names = new Map<string, string>();
  for (const { id, name: itemName } of items) {
    const key = itemName.trim().toLowerCase();
    if (key === '') problems.push(wrong(id, 'An item has no name.'));
    else if (names.has(key))
      problems.push(look(id, `Two items are called ${itemName}. Tell them apart: left, right, upper.`));
    names.set(key, id);
  }
  return problems;
}

function itemProblems(item: ProcedureItem, { openings, items }: Procedure): ProcedureProblem[] {
  const problems: ProcedureProblem[] = [];
  for (const opening of item.opens)
    if (!openings.some(({ id }) => id === opening))
      problems.push(wrong(item.id, `${item.name} opens “${opening}”, which is not described.`));
  if (item.swapFrom !== undefined && !items.some(({ id }) => id === item.swapFrom))
    problems.push(wrong(item.id, `${item.name} moves over from “${item.swapFrom}”, which is not an item.`));
  const comesOff = (id: string): boolean => items.some((each) => each.id === id && !isBackStep(each));
  if (item.backBefore !== undefined && !comesOff(item.backBefore))
    problems.push(wrong(item.id, `${item.name} is done before “${item.backBefore}”, which does not come off.`));
  for (const { item: first } of item.offAfter ?? [])
    if (!comesOff(first) || first === item.id)
      problems.push(wrong(item.id, `${item.name} comes off after “${first}”, which does not come off before it.`));
    else if (comesOffAfter(items, first, item.id))
      problems.push(wrong(item.id, `${item.name} comes off after what waits for it: that goes round in a circle.`));
  if (item.singleUse && item.partNumber === '')
    problems.push(look(item.id, `${item.name} must be renewed but has no part number.`));
  const group = item.fasteners;
  if (group === null) return problems;
  if (group.bolts.length > 0 && group.bolts.length !== group.count)
    problems.push(wrong(item.id, `${item.name}: ${group.count} fasteners but ${group.bolts.length} places.`));
  if ((group.staysIn ?? 0) >= group.count)
    problems.push(wrong(item.id, `${item.name}: ${group.staysIn} of ${group.count} cannot stay in.`));
  if (group.spec !== null && group.spec.source === null)
    problems.push(look(item.id, `${item.name}: the torque has no source. It is marked as a shop figure.`));
  const thread = parseThread(group.thread);
  if (group.spec !== null && group.hole !== undefined && thread !== null) {
    const { engagementMm: engagement, material } = group.hole;
    const condition = group.condition ?? 'dry';
    const { margin, words } = stripMargin(group.spec, { thread, engagement, material, condition });
    if (margin < MARGIN_WANTED) problems.push(look(item.id, `${item.name}: ${words}`));
  }
  return problems;
}

function openingProblems({ openings, items }: Procedure): ProcedureProblem[] {
  return openings.flatMap(({ id, name, plugWith }) => {
    const closers = items.filter(({ opens }) => opens.includes(id));
    if (closers.length === 0) return [look(id, `Nothing opens or closes ${name.toLowerCase()}.`)];
    if (closers.length > 1)
      return [
        wrong(id, `${name} is opened by ${closers.map((each) => each.name.toLowerCase()).join(' and ')}: only one.`),
      ];
    return plugWith.trim() === '' ? [look(id, `${name}: say what plugs it.`)] : [];
  });
}

function constraintProblems(procedure: Procedure): ProcedureProblem[] {
  const { items, constraints, needs } = procedure;
  const problems: ProcedureProblem[] = [];
  const names = new Map(items.map(({ id, name }) => [id, name]));
  const tied = new Set<string>();
  const seen = new Set<string>();
  for (const constraint of constraints) {
    if (seen.has(constraint.id)) problems.push(wrong(null, `Two reasons share the id “${constraint.id}”.`));
    seen.add(constraint.id);
    for (const id of namedBy(constraint)) {
      tied.add(id);
      if (!names.has(id)) problems.push(wrong(id, `A reason names “${id}”, which is not an item.`));
    }
    if (constraint.kind === 'before' && constraint.a === constraint.b)
      problems.push(wrong(constraint.a, `${names.get(constraint.a)} cannot come before itself.`));
    if (
      constraint.kind === 'needs' &&
      !needs.some(({ id, partNumber }) => constraint.part === id || samePart(constraint.part, partNumber))
    )
      problems.push(
        look(constraint.item, `${names.get(constraint.item)} needs “${constraint.part}”, which is not on the list.`),
      );
  }
  const loose = items.filter(
    ({ id, opens, backBefore }) =>
      constraints.length > 0 && backBefore === undefined && !tied.has(id) && opens.length === 0,
  );
  if (loose.length > 0)
    problems.push(
      look(
        loose[0]?.id ?? null,
        `Tied to nothing, so they go back as they came off: ${loose.map(({ name }) => name.toLowerCase()).join(', ')}.`,
      ),
    );
  const plan = planRefit(
    stepsInPlace(items).map(({ id, name }, index) => ({ id, name, stripOrder: index + 1 })),
    [...constraints, ...backStepTies(items)],
  );
  if (!plan.ok) {
    const chain = plan.cycle.map(({ from, to, reason }) => `${names.get(from)} before ${names.get(to)} (${reason})`);
    problems.push(wrong(plan.cycle[0]?.from ?? null, `These go round in a circle: ${chain.join('; ')}.`));
  }
  return problems;
}
