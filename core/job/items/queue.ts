import { isBackStep } from '../../procedure/index.ts';
import type { Job } from '../job.ts';
import { nextBolt } from '../torque/bolts.ts';
import { freeToGoBack, jobPlan, nextBack } from './plans.ts';
import { isBack, nextOffFor, stillOn } from './query.ts';
import type { JobItem } from './state.ts';
import { gaping, type Way } from './tap.ts';

/**
 * The item that work stands at: the next to come off, or to go back; in refit a group not at torque comes first.
 * @param by whose step; what others have in hand is left to them @param at ISO, for cures
 */
export function standsAt(job: Job, way: Way, by = '', at: string | null = null): JobItem | null {
  if (way === 'strip') return nextOffFor(job, by);
  const taken = new Set(job.hands.filter((hand) => hand.by !== by).map(({ itemId }) => itemId));
  const begun = job.items.find(
    (item) => item.fasteners?.spec && isBack(item) && !taken.has(item.id) && nextBolt(item) !== null,
  );
  return begun ?? nextBack(job, by, at);
}

/**
 * What is still to be done on one way, the step that work stands at first: one rule for the sheet and the gloved view.
 * What can be done comes before what is locked, so that its locks can be read.
 */
export function workQueue(job: Job, way: Way, by = '', at: string | null = null): JobItem[] {
  const first = standsAt(job, way, by, at);
  const rest = way === 'strip' ? stillToStrip(job) : stillToRefit(job, at);
  return [...new Set(first === null ? rest : [first, ...rest])];
}

/** What is on, what still holds a weight, and, when nothing else is left, the item whose opening gapes. */
function stillToStrip(job: Job): JobItem[] {
  const left = [...job.items.filter(({ state, stayingIn }) => state === 'off' && stayingIn > 0), ...stillOn(job)];
  const last = job.items.filter((item) => item.stripOrder !== null && !isBackStep(item)).at(-1);
  return left.length === 0 && last !== undefined && gaping(job) !== undefined ? [last] : left;
}

function stillToRefit(job: Job, at: string | null): JobItem[] {
  const plan = jobPlan(job);
  const off = new Map(job.items.flatMap((each) => (each.state === 'off' ? [[each.id, each] as const] : [])));
  return [...freeToGoBack(job, at), ...(plan.ok ? plan.steps.flatMap(({ itemId }) => off.get(itemId) ?? []) : [])];
}
