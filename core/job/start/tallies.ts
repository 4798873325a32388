import { coolantAccount, coolantQuestions } from '../../coolant/index.ts';
import { isBackStep, RESTORE_KINDS } from '../../procedure/index.ts';
import {
  type Hold,
  holdKey,
  mayStart,
  type StartVerdict,
  type Tally,
  tally,
  type TallyInput,
} from '../../refit/index.ts';
import { foreignHolding, foreignStillIn } from '../diagnosis/foreign.ts';
import { circuitHolds } from '../coolant/circuit.ts';
import { coolantLoss, inhibitorQuestions } from '../coolant/account.ts';
import { closerOf, itemOf } from '../items/query.ts';
import type { JobItem } from '../items/state.ts';
import type { Job } from '../job.ts';
import { endSteps } from '../needs/needs.ts';
import { boltIds, isAtTorque, isTight, strippedThreads } from '../torque/bolts.ts';
import { lacksWater } from './water.ts';
import { loose, wantsFigure } from '../torque/figures.ts';
import { coolantSystem } from '../coolant/system.ts';

/** Plugs are counted through their openings; all else is an item. */
function tallyInput(job: Job): TallyInput {
  const plugName = new Map(
    job.items.flatMap((item) => (item.origin === 'plug' ? [[item.id, item.name] as const] : [])),
  );
  return {
    items: job.items.filter(({ origin }) => origin !== 'plug').map((item) => tallyItem(job, item)),
    openings: job.openings.map(({ id, name, state, plugId }) => ({
      id,
      name,
      state,
      plug: plugId === null ? null : (plugName.get(plugId) ?? null),
    })),
    objects: [
      ...job.objects,
      ...foreignHolding(job).flatMap((found) => {
        const still = foreignStillIn(found);
        return still === null ? [] : [{ id: found.id, ...still, out: false }];
      }),
    ],
    searches: job.searches.map(({ id, what, where, ended }) => ({ id, what, where, outcome: ended?.outcome ?? null })),
    endSteps: endSteps(job).flatMap(({ need, words, beforeStart, done }) =>
      beforeStart ? [{ id: need.id, words, done }] : [],
    ),
    fluidsWanted: [
      ...circuitHolds(job),
      ...(lacksWater(job)
        ? [{ code: 'cooling-water' as const, id: 'water', words: 'An outboard never runs without cooling water' }]
        : []),
    ],
    openQuestions: jobCoolantQuestions(job),
  };
}

/** What about the coolant is still open: the book, what should have come out, and what does not mix. */
export function jobCoolantQuestions(job: Job): string[] {
  const loss = coolantLoss(job).question;
  return [
    ...coolantQuestions(coolantAccount(job.coolant)),
    ...(loss === null || coolantSystem(job) === null ? [] : [loss.replace(/\.$/, '')]),
    ...inhibitorQuestions(job).map((question) => question.replace(/\.$/, '')),
  ];
}

const tallyItem = (job: Job, item: JobItem): TallyInput['items'][number] => ({
  id: item.id,
  name: item.name,
  kind: item.kind,
  state: item.state,
  confirmed: item.confirmed,
  singleUse: item.singleUse,
  ...(isBackStep(item) ? { step: true } : {}),
  ...(item.aside === null ? {} : { aside: true }),
  loose: loose(job, item),
  toRestore: item.kept.flatMap(({ kind, text, restored }) =>
    restored === null ? [`${RESTORE_KINDS[kind].toLowerCase()} ${text}`.trim()] : [],
  ),
  fasteners: item.fasteners && {
    count: item.fasteners.count,
    torqued: item.fasteners.spec !== null,
    atTorque: boltIds(item).filter((id) => isAtTorque(item, id)).length,
    byFeel: boltIds(item).filter((id) => isTight(item, id) && !isAtTorque(item, id)).length,
    figureWanted: wantsFigure(item),
    countedOut: item.countedOut,
    countedBack: item.countedBack,
    stayingIn: item.stayingIn,
    stripped: strippedThreads(item).length,
  },
});

const inputs = new WeakMap<Job, TallyInput>();
const inputOf = (job: Job): TallyInput => {
  const known = inputs.get(job) ?? tallyInput(job);
  inputs.set(job, known);
  return known;
};

const tallies = new WeakMap<Job, Tally>();

/** The tally of a job. Remembered per job value, since every screen asks. */
export function jobTally(job: Job): Tally {
  const known = tallies.get(job) ?? tally(inputOf(job));
  tallies.set(job, known);
  return known;
}

/** What is wanted only while the engine runs: nobody starts it at the counter. */
export const WHILE_RUNNING = 'cooling-water';

const verdicts = new WeakMap<Job, StartVerdict>();

/** Whether the engine may be started now, what holds it, and what a lead has let pass. */
export function jobMayStart(job: Job): StartVerdict {
  const known = verdicts.get(job);
  if (known !== undefined) return known;
  const overridden = new Set(
    job.overrides.flatMap(({ holds, at }) => holds.filter((hold) => stillStands(job, hold, at)).map(holdKey)),
  );
  const verdict = mayStart(inputOf(job), overridden);
  verdicts.set(job, verdict);
  return verdict;
}

/** What still holds the engine of a vehicle that nobody is about to start: all but what is wanted only while it runs. */
export function lyingOpen(job: Job): readonly Hold[] {
  const verdict = jobMayStart(job);
  return verdict.may ? [] : verdict.holds.filter(({ code }) => code !== WHILE_RUNNING);
}

/** A lead's word is for what they looked at: what came off, opened or stripped again since holds again. */
function stillStands(job: Job, { code, subject }: Hold, at: string): boolean {
  const item = code.startsWith('opening') ? closerOf(job, subject) : itemOf(job, subject);
  if (item === undefined) return true;
  const since = [item.off?.at, item.back?.at, ...(code === 'thread' ? item.threads.map((thread) => thread.at) : [])];
  return since.every((moment) => moment === undefined || moment <= at);
}
