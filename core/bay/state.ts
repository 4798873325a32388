import { passName } from '../clean/index.ts';
import {
  allNeeds,
  currentStage,
  type Job,
  jobTally,
  jobUnits,
  nextBack,
  nextOff,
  nextUnitPass,
  runningTimers,
  stageGaps,
  unitMethod,
  wantsGrade,
} from '../job/index.ts';
import { lowerFirst } from '../words/index.ts';

/** Minutes that a short task of each kind is taken to need: shop figures until our own record gives better. */
const MINUTES = { plug: 2, level: 6, codes: 5, check: 9, strip: 12, refit: 10, handOver: 8, pass: 4 } as const;

/** What can be done next on a job when it waits for nothing. */
export interface Step {
  readonly what: string;
  readonly minutes: number;
  /** Smaller is more urgent. */
  readonly urgency: number;
}

/** What the Bay knows of an open job, whatever the time is. */
export interface BayState {
  /** What stands open and is plugged before anything else. */
  readonly plug: Step | null;
  /** What can be gone on with on one unit while another soaks. */
  readonly beside: Step | null;
  /** A part that is on its way. */
  readonly part: { readonly name: string; readonly expected: string | null } | null;
  readonly step: Step;
}

const step = (what: string, minutes: number, urgency: number): Step => ({ what, minutes, urgency });

/** What the Bay keeps of a job: to be worked out anew with each of its facts, and never with the time. */
export function bayState(job: Job): BayState {
  const open = jobTally(job).openingsOpen[0];
  const ordered = job.needs.find(({ state }) => state === 'ordered');
  return {
    // While it goes back together an opening is open because it is being closed.
    plug:
      open !== undefined && currentStage(job) !== 'refit'
        ? step(`Plug ${open.name.toLowerCase()}`, MINUTES.plug, 0)
        : null,
    beside: besideASoak(job),
    part:
      ordered === undefined
        ? null
        : {
            name: allNeeds(job).find(({ id }) => id === ordered.needId)?.name ?? 'a part',
            expected: ordered.expected,
          },
    step: byStage(job),
  };
}

/** While one unit soaks the others can be gone on with: what comes next on the first that does not soak, or null. */
function besideASoak(job: Job): Step | null {
  const soaking = new Set(runningTimers(job).flatMap(({ kind, unit }) => (kind === 'soak' ? [unit] : [])));
  if (currentStage(job) !== 'clean' || soaking.size === 0) return null;
  // Without the family at hand the form follows the vehicle, and no house rule is known: good enough to name a pass.
  for (const unit of jobUnits(job, null)) {
    if (soaking.has(unit.id)) continue;
    const method = unitMethod(job, unit, {});
    const name = lowerFirst(unit.name);
    if (wantsGrade(job, unit, method)) return step(`Look at the ${name}`, MINUTES.pass, 2);
    const pass = nextUnitPass(job, unit, method);
    if (pass !== null) return step(`${passName(pass)}: ${name}`, MINUTES.pass, 2);
  }
  return null;
}

function byStage(job: Job): Step {
  const stage = currentStage(job);
  switch (stage) {
    case 'complaint':
      return step('Read the codes and note the complaint', MINUTES.codes, 3);
    case 'diagnose':
      return step('Next check', MINUTES.check, 3);
    case 'strip':
      return step(`Take off: ${(nextOff(job)?.name ?? 'the next item').toLowerCase()}`, MINUTES.strip, 4);
    case 'refit':
      return step(`Put back: ${(nextBack(job)?.name ?? 'the next item').toLowerCase()}`, MINUTES.refit, 2);
    case 'coolant':
      return step('Coolant level, cold', MINUTES.level, 2);
    case 'hand-over':
      return step('Hand over', MINUTES.handOver, 2);
    default:
      return step(stageGaps(job, stage)[0]?.words ?? 'Go on', MINUTES.check, 3);
  }
}
