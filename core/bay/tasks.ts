import {
  allNeeds,
  jobUnits,
  currentStage,
  type Job,
  jobTally,
  nextBack,
  nextOff,
  nextUnitPass,
  runningTimers,
  stageGaps,
  timerEnd,
  unitMethod,
  wantsGrade,
} from '../job/index.ts';
import { passName } from '../clean/index.ts';
import { lowerFirst } from '../words/index.ts';
import type { Task } from './fits.ts';

/** Minutes that a short task of each kind is taken to need: shop figures until our own record gives better. */
const MINUTES = { plug: 2, level: 6, codes: 5, check: 9, strip: 12, refit: 10, handOver: 8, pass: 4 } as const;

/**
 * What a job waits for, in words; empty when it waits for hands.
 * @param now ISO time
 * @param sayDay ISO day → as people say it
 */
export function waitsFor(job: Job, now: string, sayDay: (day: string) => string = (day) => day): string {
  const timer = [...runningTimers(job)].sort((a, b) => timerEnd(a).localeCompare(timerEnd(b)))[0];
  if (timer !== undefined) return timerEnd(timer) > now ? timer.label : `${timer.label}: time is up`;
  const ordered = job.needs.find(({ state }) => state === 'ordered');
  if (ordered !== undefined)
    return `${allNeeds(job).find(({ id }) => id === ordered.needId)?.name ?? 'a part'}, expected ${ordered.expected === null ? 'some day' : sayDay(ordered.expected)}`;
  return '';
}

/** The one thing to do next on a job, short enough for a wait, or null while the job itself waits. */
export function nextTask(job: Job, now: string): Task | null {
  if (job.status === 'closed') return null;
  const open = jobTally(job).openingsOpen[0];
  const task = (what: string, minutes: number, urgency: number): Task => ({ jobId: job.id, what, minutes, urgency });
  // An open inlet goes before everything, even before what the job waits for.
  if (open !== undefined && currentStage(job) !== 'refit')
    return task(`Plug ${open.name.toLowerCase()}`, MINUTES.plug, 0);
  const dueTimer = runningTimers(job).find((timer) => timerEnd(timer) <= now);
  if (dueTimer !== undefined) return task(`${dueTimer.label}: time is up`, MINUTES.plug, 1);
  const beside = besideASoak(job);
  if (beside !== null) return task(beside, MINUTES.pass, 2);
  if (waitsFor(job, now) !== '') return null;
  return byStage(job, task);
}

/** While one unit soaks the others can be gone on with: what comes next on the first that does not soak, or null. */
function besideASoak(job: Job): string | null {
  const soaking = new Set(runningTimers(job).flatMap(({ kind, unit }) => (kind === 'soak' ? [unit] : [])));
  if (currentStage(job) !== 'clean' || soaking.size === 0) return null;
  // Without the family at hand the form follows the vehicle, and no house rule is known: good enough to name a pass.
  for (const unit of jobUnits(job, null)) {
    if (soaking.has(unit.id)) continue;
    const method = unitMethod(job, unit, {});
    const name = lowerFirst(unit.name);
    if (wantsGrade(job, unit, method)) return `Look at the ${name}`;
    const pass = nextUnitPass(job, unit, method);
    if (pass !== null) return `${passName(pass)}: ${name}`;
  }
  return null;
}

function byStage(job: Job, task: (what: string, minutes: number, urgency: number) => Task): Task {
  const stage = currentStage(job);
  switch (stage) {
    case 'complaint':
      return task('Read the codes and note the complaint', MINUTES.codes, 3);
    case 'diagnose':
      return task('Next check', MINUTES.check, 3);
    case 'strip':
      return task(`Take off: ${(nextOff(job)?.name ?? 'the next item').toLowerCase()}`, MINUTES.strip, 4);
    case 'refit':
      return task(`Put back: ${(nextBack(job)?.name ?? 'the next item').toLowerCase()}`, MINUTES.refit, 2);
    case 'coolant':
      return task('Coolant level, cold', MINUTES.level, 2);
    case 'hand-over':
      return task('Hand over', MINUTES.handOver, 2);
    default:
      return task(stageGaps(job, stage)[0] ?? 'Go on', MINUTES.check, 3);
  }
}
