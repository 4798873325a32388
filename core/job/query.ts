import { coolantAccount, coolantQuestions } from '../coolant/index.ts';
import {
  type Constraint,
  mayStart,
  planRefit,
  type RefitPlan,
  type StartVerdict,
  tally,
  type Tally,
  type TallyInput,
} from '../refit/index.ts';
import { judge, tighteningOrder } from '../torque/index.ts';
import type { BoltResult, Job, JobItem } from './types.ts';

/** Whether an item has gone back, old or new. */
export const isBack = ({ state }: Pick<JobItem, 'state'>): boolean => state === 'refitted' || state === 'renewed';

/** An item by its id, or undefined. */
export const itemOf = (job: Job, id: string): JobItem | undefined => job.items.find((item) => item.id === id);

/** Whether a bolt's last record is its final pass and good: in band, or by feel as a stated choice. */
export function isAtTorque(item: JobItem, boltId: string): boolean {
  const result = item.bolts.find((bolt) => bolt.boltId === boltId);
  return (
    result !== undefined &&
    result.final &&
    boltVerdict(item, result) !== 'under' &&
    boltVerdict(item, result) !== 'over'
  );
}

/** The verdict on one recorded bolt: a staged pass is not yet its figure; without a specification any record stands. */
export function boltVerdict(item: JobItem, result: BoltResult): ReturnType<typeof judge>['verdict'] {
  const spec = item.fasteners?.spec ?? null;
  if (!result.final) return 'not recorded';
  if (spec === null || (result.torque === null && result.method === 'by-feel'))
    return result.method === 'by-feel' ? 'by feel' : 'in band';
  return judge(spec, result.torque === null ? null : { torque: result.torque, method: result.method }).verdict;
}

/** The ids of a group's bolts, whether or not their places are drawn. */
export function boltIds(item: JobItem): string[] {
  const group = item.fasteners;
  if (group === null) return [];
  return group.bolts.length > 0
    ? group.bolts.map(({ id }) => id)
    : Array.from({ length: group.count }, (_, index) => String(index + 1));
}

/** Plugs are counted through their openings; all else is an item. */
function tallyInput(job: Job): TallyInput {
  const plugName = new Map(
    job.items.flatMap((item) => (item.origin === 'plug' ? [[item.id, item.name] as const] : [])),
  );
  return {
    items: job.items
      .filter(({ origin }) => origin !== 'plug')
      .map((item) => ({
        id: item.id,
        name: item.name,
        kind: item.kind,
        state: item.state,
        confirmed: item.confirmed,
        singleUse: item.singleUse,
        fasteners: item.fasteners && {
          count: item.fasteners.count,
          torqued: item.fasteners.spec !== null,
          atTorque: boltIds(item).filter((id) => isAtTorque(item, id)).length,
          countedOut: item.countedOut,
          countedBack: item.countedBack,
        },
      })),
    openings: job.openings.map(({ id, name, state, plugId }) => ({
      id,
      name,
      state,
      plug: plugId === null ? null : (plugName.get(plugId) ?? null),
    })),
    objects: job.objects,
    openQuestions: coolantQuestions(coolantAccount(job.coolant)),
  };
}

const tallies = new WeakMap<Job, Tally>();

/** The tally of a job. Remembered per job value, since every screen asks. */
export function jobTally(job: Job): Tally {
  const known = tallies.get(job);
  if (known !== undefined) return known;
  const counted = tally(tallyInput(job));
  tallies.set(job, counted);
  return counted;
}

const verdicts = new WeakMap<Job, StartVerdict>();

/** Whether the engine may be started now, and what holds it. */
export function jobMayStart(job: Job): StartVerdict {
  const known = verdicts.get(job);
  if (known !== undefined) return known;
  const verdict = mayStart(tallyInput(job));
  verdicts.set(job, verdict);
  return verdict;
}

/** The item that closes an opening: the one whose removal exposed it. */
export const closerOf = (job: Job, openingId: string): JobItem | undefined =>
  job.items.find(({ opens }) => opens.includes(openingId));

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
  return [...job.constraints, ...plugs];
}

const plans = new WeakMap<Job, RefitPlan>();

/**
 * The way back for everything that has come off so far, or, before anything has, for the whole procedure in its
 * proposed order.
 */
export function jobPlan(job: Job): RefitPlan {
  const known = plans.get(job);
  if (known !== undefined) return known;
  const travelled = job.items.filter(({ state }) => state !== 'on');
  const plan = planRefit(inStripOrder(travelled), jobConstraints(job));
  plans.set(job, plan);
  return plan;
}

/** The way back as it would be if everything still on were taken off in the order listed. */
export function foreseenPlan(job: Job): RefitPlan {
  return planRefit(inStripOrder(leftColumn(job)), jobConstraints(job));
}

const inStripOrder = (items: readonly JobItem[]): { id: string; name: string; stripOrder: number }[] =>
  items.map(({ id, name }, index) => ({ id, name, stripOrder: index + 1 }));

/** The left column of there-and-back: what came off in the order it did, then what is still on as listed. */
export function leftColumn(job: Job): JobItem[] {
  const off = job.items
    .filter(({ stripOrder }) => stripOrder !== null)
    .sort((a, b) => (a.stripOrder ?? 0) - (b.stripOrder ?? 0));
  return [...off, ...job.items.filter(({ stripOrder }) => stripOrder === null)];
}

/** What must be back before this item can go back, with reasons; empty when it is free. */
export function blockers(job: Job, itemId: string): { item: JobItem; reason: string }[] {
  return job.constraints.flatMap((constraint) => {
    if (constraint.kind !== 'before' || constraint.b !== itemId) return [];
    const item = itemOf(job, constraint.a);
    return item !== undefined && item.state === 'off' ? [{ item, reason: constraint.reason }] : [];
  });
}

/** The next item of the plan that is not back yet, or null when all are. */
export function nextBack(job: Job): JobItem | null {
  const plan = jobPlan(job);
  if (!plan.ok) return null;
  for (const { itemId } of plan.steps) {
    const item = itemOf(job, itemId);
    if (item !== undefined && item.state === 'off') return item;
  }
  return null;
}

/** The next item that the procedure takes off, or null when none is left on. */
export const nextOff = (job: Job): JobItem | null => job.items.find(({ state }) => state === 'on') ?? null;

/** Timers that have not been ended. */
export const runningTimers = (job: Job): Job['timers'] => job.timers.filter(({ ended }) => ended === null);

/** When a timer runs out, ISO. */
export const timerEnd = (timer: { readonly at: string; readonly minutes: number }): string =>
  new Date(Date.parse(timer.at) + timer.minutes * 60_000).toISOString();

/**
 * The bolt to tighten next: the lowest pass that is not complete, in tightening order. A bolt that came out under or
 * over is asked for again in its pass. Null when the group is done or has no fasteners.
 */
export function nextBolt(item: JobItem): { boltId: string; pass: number } | null {
  const group = item.fasteners;
  if (group === null) return null;
  const ids = group.bolts.length > 0 ? tighteningOrder(group.bolts) : boltIds(item);
  for (let pass = 1; pass <= group.fractions.length; pass += 1) {
    const last = pass === group.fractions.length;
    const boltId = ids.find((id) => {
      const reached = item.bolts.find((bolt) => bolt.boltId === id)?.pass ?? 0;
      return last ? !isAtTorque(item, id) : reached < pass;
    });
    if (boltId !== undefined) return { boltId, pass };
  }
  return null;
}
