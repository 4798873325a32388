import { USUAL } from '../../choose/index.ts';
import {
  currentStage,
  endSteps,
  boltIds,
  isAtTorque,
  type Job,
  jobUnits,
  nextUnitPass,
  openedHoses,
  runningTimers,
  type Stage,
  STAGES,
  timerEnd,
  unitMethod,
} from '../../job/index.ts';
import { expectedMinutes, isBackStep } from '../../procedure/index.ts';
import { groupOf, isLooseUnit } from '../../vehicle/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { byHand, type LeftStretch, pieces, wait } from './left.ts';

/** Minutes of what no procedure says, our own estimates: until a shop's own jobs say better. */
const MINUTES = {
  codes: 10,
  checks: 30,
  decide: 5,
  prepare: 8,
  look: 5,
  pass: 4,
  fill: 8,
  bleed: 25,
  cool: 45,
  level: 5,
  relearn: 15,
  prove: 15,
  handOver: 10,
  strip: 40,
  refit: 50,
} as const;

/**
 * What is left to do on a job, in its order, from its procedure, method and recipe. Depends on nothing but the job: when
 * it is worked on, by whom and how fast is laid over it.
 * @returns nothing for a job that is over
 */
export function leftOf(job: Job): LeftStretch[] {
  if (job.status === 'closed') return [];
  const at = STAGES.indexOf(currentStage(job));
  const timers = runningTimers(job).map((timer): LeftStretch =>
    wait(`timer-${timer.id}`, currentStage(job), lowerFirst(timer.label), timer.minutes, timerEnd(timer)),
  );
  // Of waits that run at once the longest is waited for.
  const running = timers.toSorted((a, b) => ((a.until ?? '') < (b.until ?? '') ? 1 : -1)).slice(0, 1);
  const rest = STAGES.slice(at).flatMap((stage) => (skips(job, stage) ? [] : LEFT[stage](job)));
  return [...running, ...rest.filter(({ minutes }) => minutes > 0).flatMap(pieces)];
}

/** Minutes by hand that each stage was expected to take from its beginning, for a job that is done. */
export function expectedByStage(job: Job): { readonly stage: Stage; readonly minutes: number }[] {
  return STAGES.flatMap((stage) => {
    if (stage === 'decide' ? false : skips(job, stage)) return [];
    const left = LEFT[stage](job, true).filter(({ kind }) => kind === 'hands');
    const minutes = left.reduce((sum, each) => sum + each.minutes, 0);
    return minutes > 0 ? [{ stage, minutes }] : [];
  });
}

const LEFT: Readonly<Record<Stage, (job: Job, whole?: boolean) => LeftStretch[]>> = {
  complaint: () => [byHand('complaint', 'complaint', 'codes, complaint', MINUTES.codes)],
  diagnose: () => [byHand('diagnose', 'diagnose', 'find the fault', MINUTES.checks)],
  decide: () => [byHand('decide', 'decide', 'decide', MINUTES.decide)],
  prepare: () => [byHand('prepare', 'prepare', 'prepare', MINUTES.prepare)],
  strip: (job, whole = false) => [byHand('strip', 'strip', 'strip', stripMinutes(job, whole))],
  inspect: (job) => [byHand('inspect', 'inspect', 'look it over', MINUTES.look * unitsDone(job).length)],
  clean: cleaningLeft,
  rebuild: rebuildLeft,
  refit: refitLeft,
  coolant: coolantLeft,
  relearn: relearnLeft,
  prove: () => [byHand('prove', 'prove', 'prove', MINUTES.prove)],
  'hand-over': (job) => [
    byHand('hand-over', 'hand-over', 'hand over', MINUTES.handOver + endSteps(job).filter(({ done }) => !done).length),
  ],
};

/** Stages that what was decided does without. */
function skips(job: Job, stage: Stage): boolean {
  const choice = job.decision?.choice ?? null;
  if (
    isLooseUnit(job.vehicle) &&
    ['complaint', 'diagnose', 'strip', 'refit', 'coolant', 'relearn', 'prove'].includes(stage)
  )
    return true;
  if (stage === 'decide') return choice !== null;
  const comesOff = job.items.some(({ stripOrder }) => stripOrder !== null) || choice === null || USUAL[choice].comesOff;
  if (stage === 'strip' || stage === 'refit') return !comesOff && job.items.length === 0;
  if (stage === 'inspect') return !comesOff;
  return false;
}

/** Whether the vehicle is worked on in a bay: what hangs on a transom or stands on two wheels finds room beside it. */
export const needsBay = ({ vehicle }: Job): boolean =>
  !isLooseUnit(vehicle) && !['outboard', 'motorcycle'].includes(groupOf(vehicle, null));

/** Whether it stands in one now: something is off it. */
export const standsInside = (job: Job): boolean =>
  needsBay(job) && job.status === 'open' && job.items.some(({ state }) => state === 'off');

/** What is done with: nothing decided yet counts as a clean on the bench, the commonest work. */
const choiceOf = (job: Job) => job.decision?.choice ?? 'clean-bench';

function stripMinutes(job: Job, whole: boolean): number {
  const on = job.items.filter(
    (item) => (whole ? item.stripOrder !== null : item.state === 'on') && item.origin !== 'plug' && !isBackStep(item),
  );
  if (job.items.length === 0) return MINUTES.strip;
  return on.reduce((sum, item) => sum + expectedMinutes(item, 'off'), 0);
}

/** Units that are worked on: those that lie on the bench, else those of the vehicle. */
const unitsDone = (job: Job) => jobUnits(job, null);

const CLEANED: ReadonlySet<string> = new Set(['clean-bench', 'clean-in-place', 'rebuild']);

/** Passes by hand go on while nothing soaks; soaks of several units run at once, and the longest is waited for. */
function cleaningLeft(job: Job, whole = false): LeftStretch[] {
  if (!CLEANED.has(choiceOf(job))) return [];
  if (choiceOf(job) === 'clean-in-place')
    return [byHand('clean', 'clean', 'clean in place', USUAL['clean-in-place'].minutes)];
  let wet = 0;
  let brush = 0;
  let soak = 0;
  let dry = 0;
  for (const unit of unitsDone(job)) {
    const method = unitMethod(job, unit, {});
    const next = whole ? method.passes[0]?.kind : nextUnitPass(job, unit, method);
    if (next == null) continue;
    const left = method.passes.slice(
      Math.max(
        0,
        method.passes.findIndex(({ kind }) => kind === next),
      ),
    );
    const soakAt = left.findIndex(({ kind, minutes }) => minutes !== null && kind !== 'dry');
    for (const [at, pass] of left.entries()) {
      if (pass.kind === 'dry') dry = Math.max(dry, pass.minutes ?? 0);
      else if (pass.minutes !== null) soak = Math.max(soak, pass.minutes);
      else if (at < soakAt) wet += MINUTES.pass;
      else brush += MINUTES.pass;
    }
  }
  // A soak that runs is not begun again.
  if (runningTimers(job).some(({ kind }) => kind === 'soak')) soak = 0;
  return [
    byHand('wet', 'clean', 'wet', wet),
    wait('soak', 'clean', unitsDone(job).length === 1 ? 'soaks' : 'units soak', soak),
    byHand('brush', 'clean', 'brush, wipe', brush),
    wait('dry', 'clean', 'dries', dry),
  ];
}

function rebuildLeft(job: Job): LeftStretch[] {
  const choice = choiceOf(job);
  if (choice === 'rebuild')
    return [
      byHand(
        'rebuild',
        'rebuild',
        'rebuild',
        Math.max(0, USUAL.rebuild.benchMinutes - USUAL['clean-bench'].benchMinutes),
        { wantsParts: true },
      ),
    ];
  if (choice.startsWith('replace'))
    return [byHand('replace', 'rebuild', 'old against new', USUAL.replace.benchMinutes / 2, { wantsParts: true })];
  return [];
}

function refitLeft(job: Job, whole = false): LeftStretch[] {
  // What never came off goes back only where it is still to come off.
  const toCome = !job.passed.includes('strip');
  const back = job.items.filter(
    ({ origin, state, stripOrder }) =>
      origin !== 'plug' && (whole ? stripOrder !== null : state === 'off' || (toCome && state === 'on')),
  );
  const minutes =
    job.items.length === 0 ? MINUTES.refit : back.reduce((sum, item) => sum + expectedMinutes(item, 'back'), 0);
  const loose = back.filter(
    (item) => item.fasteners?.spec != null && !boltIds(item).every((bolt) => isAtTorque(item, bolt)),
  );
  const torquesNm = [...new Set(loose.flatMap(({ fasteners }) => fasteners?.spec?.targetNm ?? []))];
  const torque =
    loose.reduce((sum, { fasteners: group }) => sum + (group?.count ?? 0) * (group?.fractions.length ?? 1), 0) * BOLT;
  // A few bolts are tightened in passing; many are a piece of work of its own, so that the wrench is not kept for all of it.
  if (torque < APART || torque >= minutes)
    return [byHand('refit', 'refit', 'refit', minutes, { wantsParts: true, torquesNm })];
  return [
    byHand('refit', 'refit', 'refit', minutes - torque, { wantsParts: true }),
    byHand('torque', 'refit', 'torque', torque, { wantsParts: true, torquesNm }),
  ];
}

/** Minutes of a pass at one bolt, and from how many minutes on tightening is laid by itself. */
const BOLT = 0.6;
const APART = 5;

function coolantLeft(job: Job, whole = false): LeftStretch[] {
  const wet =
    openedHoses(job).length > 0 || job.coolant.length > 0 || job.items.some(({ kind }) => kind === 'coolant-hose');
  if (!wet) return [];
  const hot = !whole && job.levels.some(({ when }) => when === 'hot');
  const filled = !whole && job.coolant.some(({ kind }) => kind !== 'caught');
  return [
    byHand('fill', 'coolant', 'fill, bleed', filled ? 0 : MINUTES.fill + MINUTES.bleed),
    wait('cool', 'coolant', 'cools down', hot || !filled ? MINUTES.cool : 0),
    byHand('level', 'coolant', 'level, cold', MINUTES.level),
  ];
}

/** A relearn goes by its recipe where one was begun; what adapts by itself asks for a look only. */
function relearnLeft(job: Job): LeftStretch[] {
  const begun = job.runs.findLast(({ run, closed }) => run.recipe.purpose === 'relearn' && closed === null);
  const recipe = begun?.run.recipe;
  const held = (recipe?.steps ?? []).reduce((sum, { seconds }) => sum + (seconds ?? 20), 0) / 60;
  return [
    byHand('relearn', 'relearn', 'relearn', recipe === undefined ? MINUTES.relearn : Math.max(3, held), {
      scanTool: recipe?.steps.some(({ kind }) => kind === 'tool') ?? false,
    }),
  ];
}
