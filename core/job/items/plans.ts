import {
  buildGraph,
  type Constraint,
  independentSteps,
  type Lock,
  type LockInput,
  locksOf,
  type PlanGraph,
  type RefitPlan,
  replan,
} from '../../refit/index.ts';
import { backStepTies } from '../../procedure/index.ts';
import type { Job } from '../job.ts';
import { partHere, partName } from '../needs/needs.ts';
import { runningTimers, timerEnd } from '../timers/query.ts';
import { closerOf, itemOf, leftColumn } from './query.ts';
import type { JobItem } from './state.ts';

/** All constraints in force: the procedure's, those added, and one for each plug. */
export function jobConstraints(job: Job): Constraint[] {
  const plugs = job.openings.flatMap((opening): Constraint[] => {
    const closer = closerOf(job, opening.id);
    if (opening.plugId === null || closer === undefined) return [];
    return [
      {
        kind: 'closes',
        id: `plug-${opening.id}`,
        plug: opening.plugId,
        item: closer.id,
        reason: `${closer.name} closes ${opening.name.toLowerCase()}`,
      },
    ];
  });
  return [...waitingTies(job), ...plugs];
}

const ties = new WeakMap<Job['items'], { readonly of: Job['constraints']; readonly all: readonly Constraint[] }>();

/** What makes one item wait for another: the procedure's reasons, those added, and the steps of the way back. */
function waitingTies(job: Job): readonly Constraint[] {
  const known = ties.get(job.items);
  if (known?.of === job.constraints) return known.all;
  const steps = backStepTies(job.items);
  const all = steps.length === 0 ? job.constraints : [...job.constraints, ...steps];
  ties.set(job.items, { of: job.constraints, all });
  return all;
}

type Kept = WeakMap<Job['constraints'], { key: string; graph: PlanGraph }>;
/** The graphs last made for these constraints: most taps change what is back, not what ties it. */
const travelledGraphs: Kept = new WeakMap();
const foreseenGraphs: Kept = new WeakMap();

function graphFor(graphs: Kept, job: Job, items: readonly JobItem[]): PlanGraph {
  const plugs = job.openings.map(({ id, plugId }) => (plugId === null ? '' : `${id}:${plugId}`)).join(' ');
  const key = `${items.map(({ id }) => id).join(' ')}|${plugs}`;
  const known = graphs.get(job.constraints);
  if (known?.key === key) return known.graph;
  const graph = buildGraph(
    items.map(({ id, name }, index) => ({ id, name, stripOrder: index + 1 })),
    jobConstraints(job),
  );
  graphs.set(job.constraints, { key, graph });
  return graph;
}

/** What is back, in the order in which it went. */
const doneOrder = (items: readonly JobItem[]): string[] =>
  items
    .filter(({ back }) => back !== null)
    .sort((a, b) => (a.back?.at ?? '').localeCompare(b.back?.at ?? '') || (b.stripOrder ?? 0) - (a.stripOrder ?? 0))
    .map(({ id }) => id);

const plans = new WeakMap<Job, RefitPlan>();

/**
 * The way back for everything that has come off so far. What is back stays as it went, whatever the plan had said;
 * the rest is planned round it.
 */
export function jobPlan(job: Job): RefitPlan {
  const known = plans.get(job);
  if (known !== undefined) return known;
  const travelled = leftColumn(job).filter(({ state }) => state !== 'on');
  const plan = replan(graphFor(travelledGraphs, job, travelled), doneOrder(travelled));
  plans.set(job, plan);
  return plan;
}

const foreseen = new WeakMap<Job, RefitPlan>();

/** The way back as it would be if everything still on were taken off in the order listed. */
export function foreseenPlan(job: Job): RefitPlan {
  const known = foreseen.get(job);
  if (known !== undefined) return known;
  const plan = replan(graphFor(foreseenGraphs, job, leftColumn(job)), []);
  foreseen.set(job, plan);
  return plan;
}

/** Whether the bench work on a unit is finished: said of it, or of the whole bench by passing Rebuild. */
export function benchIsDone(job: Job, unit: string): boolean {
  if (job.passed.includes('rebuild')) return true;
  const done = (id: string): boolean => job.unitWorkDone.some(({ itemId }) => itemId === id);
  if (itemOf(job, unit) !== undefined) return done(unit);
  const units = job.items.filter((item) => item.unit === unit && item.state !== 'on');
  return units.length > 0 && units.every(({ id }) => done(id));
}

function lockInput(job: Job, at: string | null): LockInput {
  const states = new Map(job.items.map(({ id, state }) => [id, state]));
  return {
    constraints: waitingTies(job),
    stateOf: (id) => states.get(id),
    benchDone: (unit) => benchIsDone(job, unit),
    partHere: (part) => partHere(job, part),
    cures: runningTimers(job).flatMap((timer) =>
      timer.kind === 'cure' && timer.itemId !== null && (at === null || at < timerEnd(timer))
        ? [{ item: timer.itemId, label: timer.label, endsAt: timerEnd(timer) }]
        : [],
    ),
    buried: job.brokenOrders.flatMap(({ itemId, over }) =>
      over.map(({ item, reason }) => ({ item, by: itemId, reason })),
    ),
  };
}

/**
 * What keeps an item from going back: the constraints, the bench, parts, cures, what covers it, and a flag that asks
 * for a part or a repair.
 * @param at ISO time by which cures are judged; null takes every running one as not done
 */
export function jobLocks(job: Job, itemId: string, at: string | null): Lock[] {
  return [...locksOf(itemId, lockInput(job, at)), ...flagLocks(job, itemId)];
}

function flagLocks(job: Job, itemId: string): Lock[] {
  const flag = itemOf(job, itemId)?.flag ?? null;
  if (flag === null || flag.settled !== null) return [];
  if (flag.needs === 'repair')
    return [{ kind: 'bench', unit: itemId, reason: `repair first${flag.text === '' ? '' : `: ${flag.text}`}` }];
  if (flag.needs !== 'part' || flag.needId === null) return [];
  const part = partHere(job, flag.needId);
  return part?.here === true
    ? []
    : [{ kind: 'part', part: flag.needId, reason: 'the old one cannot serve', expected: part?.expected ?? null }];
}

/** A lock as a plain sentence. @param sayTime how a moment is said, such as “Thursday 14:20” */
export function lockWords(job: Job, lock: Lock, sayTime: (iso: string) => string): string {
  const name = (id: string): string => itemOf(job, id)?.name ?? id;
  switch (lock.kind) {
    case 'before':
      return `${name(lock.item)} first: ${lock.reason}.`;
    case 'bench':
      return `Bench work on ${(itemOf(job, lock.unit)?.name ?? 'the unit').toLowerCase()} is not finished: ${lock.reason}.`;
    case 'part':
      return `${partName(job, lock.part)} is not here${lock.expected === null ? '' : `, expected ${sayTime(lock.expected)}`}: ${lock.reason}.`;
    case 'cure':
      return `${lock.label} until ${sayTime(lock.endsAt)}.`;
    case 'buried':
      return `${name(lock.item)} covers it: take that off again first (${lock.reason}).`;
  }
}

/** Items of the plan that can go back now, in its order. @param at see {@link jobLocks} */
export function freeToGoBack(job: Job, at: string | null): JobItem[] {
  const plan = jobPlan(job);
  if (!plan.ok) return [];
  const byId = new Map(job.items.map((item) => [item.id, item]));
  const input = lockInput(job, at);
  // Each item is asked only about the constraints that make it wait: a large engine has thousands.
  const waits = new Map<string, Constraint[]>();
  for (const constraint of waitingTies(job)) {
    const id = constraint.kind === 'before' ? constraint.b : 'item' in constraint ? constraint.item : null;
    if (id === null) continue;
    const list = waits.get(id);
    if (list === undefined) waits.set(id, [constraint]);
    else list.push(constraint);
  }
  return plan.steps.flatMap(({ itemId }) => {
    const item = byId.get(itemId);
    if (item === undefined || item.state !== 'off') return [];
    return locksOf(itemId, { ...input, constraints: waits.get(itemId) ?? [] }).length === 0 &&
      flagLocks(job, itemId).length === 0 &&
      !buriesPlug(job, item)
      ? [item]
      : [];
  });
}

const buriesPlug = (job: Job, item: JobItem): boolean =>
  item.origin !== 'plug' && job.openings.some(({ id, state }) => state === 'plugged' && item.opens.includes(id));

/**
 * The next step for a person: what they have in hand, else the first item that can go back and that nothing ties to
 * what others have in hand. When all is locked, the first that is off, so that its locks can be read. Null when
 * everything is back, or others have all that is free in hand.
 */
export function nextBack(job: Job, by = '', at: string | null = null): JobItem | null {
  const free = freeToGoBack(job, at);
  const own = job.hands.find((hand) => hand.by === by);
  const mine = free.find(({ id }) => id === own?.itemId);
  if (mine !== undefined) return mine;
  const taken = job.hands.filter((hand) => hand.by !== by).map(({ itemId }) => itemId);
  const [step] = independentSteps(
    free.map(({ id }) => id),
    taken,
    taken.length === 0 ? [] : jobConstraints(job),
    1,
  );
  if (step !== undefined) return itemOf(job, step) ?? null;
  // Something tied to another's step is better than nothing, but not the very step that they have in hand.
  if (free.length > 0) return free.find(({ id }) => !taken.includes(id)) ?? null;
  const plan = jobPlan(job);
  return plan.ok
    ? (plan.steps.map(({ itemId }) => itemOf(job, itemId)).find((item) => item?.state === 'off') ?? null)
    : null;
}

/** People who entered something within this many minutes are at the vehicle. */
export const AT_IT_MIN = 30;

/** People who are at the vehicle now, by when they last entered anything. @param at ISO */
export function peopleAtIt(job: Job, at: string): string[] {
  const since = Date.parse(at) - AT_IT_MIN * 60_000;
  return Object.entries(job.people)
    .filter(([, last]) => Date.parse(last) >= since)
    .map(([by]) => by)
    .sort();
}
