import { dayOf } from '../../days/index.ts';
import type { Stage } from '../../job/index.ts';
import { suggestSetting } from '../../torque/index.ts';
import type { LeftStretch } from '../left/left.ts';
import { SKILL_OF } from '../left/skills.ts';
import { type Block, stretchKey, type Stretch, type WeaveJob, type WeaveProblem } from '../weave/problem.ts';
import type { Spreads } from '../weave/chances.ts';
import { opensOn, type ShopHours, spansOf } from './hours.ts';
import { OWN_FROM } from './pace.ts';
import type { DayInput, DayJob, NotPlanned, PlannedBlock, StagePace, Wish } from './types.ts';

/** A stretch that is left, with what the shop's own jobs say of it. */
export interface TimedStretch extends LeftStretch {
  readonly jobId: string;
  /** Whether its minutes come from this shop's own finished jobs. */
  readonly own: boolean;
}

/** A day as a problem to be woven, with what its minutes mean. */
export interface DayProblem {
  readonly problem: WeaveProblem;
  readonly spreads: Spreads;
  /** By {@link stretchKey}. */
  readonly stretches: ReadonlyMap<string, TimedStretch>;
  readonly notPlanned: readonly NotPlanned[];
  /** What minute nought of the problem is, ms since 1970. */
  readonly zero: number;
}

/** Every customer’s minute late weighs the same: whom to let down is said by the foreman, not by a weight. */
const WEIGHT = 1;
const MINUTE = 60_000;

/** The one adapter or maker's tool of a workshop. */
export const SCAN_TOOL = 'scan-tool';

/** Makes the problem of a day: who is here when, what is left on which vehicle, and what of it waits for what. */
export function dayProblem(input: DayInput): DayProblem {
  const zero = Math.floor(Date.parse(input.now) / MINUTE) * MINUTE;
  const shop: ShopHours = input;
  const notPlanned: NotPlanned[] = [];
  const stretches = new Map<string, TimedStretch>();
  const spreads = new Map<string, number>();
  const paces = new Map(input.pace.map((pace) => [pace.stage, pace]));
  const wishes = new Map(input.wishes.map((wish) => [stretchKey(wish.jobId, wish.stretch), wish]));
  const workers = input.people.filter(({ does }) => does.length > 0);
  const jobs = input.jobs.flatMap((job): WeaveJob[] => {
    const from = asideFrom(job, input, zero);
    const left = from === null ? null : withoutParts(job, input, zero);
    if (from === null || left === null || left.stretches.length === 0) {
      notPlanned.push({
        jobId: job.jobId,
        why: from === null ? 'rests' : left === null || left.cut ? 'part-without-day' : 'nothing-left',
        part: job.part?.name ?? '',
      });
      return [];
    }
    if (left.cut) notPlanned.push({ jobId: job.jobId, why: 'part-without-day', part: job.part?.name ?? '' });
    const timed = left.stretches.map((stretch): TimedStretch => ({
      ...stretch,
      ...paced(stretch, paces.get(stretch.stage)),
      jobId: job.jobId,
    }));
    for (const stretch of timed) {
      stretches.set(stretchKey(job.jobId, stretch.id), stretch);
      spreads.set(stretchKey(job.jobId, stretch.id), stretch.spread);
    }
    return [
      {
        id: job.jobId,
        stretches: timed.flatMap((stretch, at) =>
          asStretch(stretch, {
            input,
            zero,
            notBefore: Math.max(at === 0 ? from : 0, stretch.wantsParts ? left.partsFrom : 0),
            given: givenTo(job, stretch, wishes, workers),
            wish: wishes.get(stretchKey(job.jobId, stretch.id)),
          }),
        ),
        bay: job.needsBay,
        ...(job.lastBy !== null && { last: job.lastBy }),
        inside: job.inside,
        // What stops for a part of which nobody knows the day keeps no promise, and breaks none by its own end.
        promised: job.promised === null || left.cut ? null : (Date.parse(job.promised) - zero) / MINUTE,
        weight: WEIGHT,
      },
    ];
  });
  const known = new Set(jobs.flatMap(({ id, stretches: own }) => own.map((each) => stretchKey(id, each.id))));
  const before = input.before
    .map((block) => asBlock(block, zero))
    .filter(({ job, stretch, end }) => known.has(stretchKey(job, stretch)) && end > 0);
  return {
    problem: {
      jobs,
      people: workers.map((person) => ({
        id: person.id,
        skills: person.does,
        hours: spansOf(person, shop, input.now, zero),
      })),
      bays: input.bays,
      now: 0,
      ...(before.length > 0 && { before }),
    },
    spreads,
    stretches,
    notPlanned,
    zero,
  };
}

/** From when on a job may be worked on, minutes since `zero`; null while it rests. */
function asideFrom({ aside }: DayJob, input: DayInput, zero: number): number | null {
  if (aside === null) return 0;
  if (aside.until === null) return null;
  if (aside.until <= dayOf(input.now, input.timeZone)) return 0;
  return opensOn(aside.until, input, zero);
}

interface Left {
  readonly stretches: readonly LeftStretch[];
  /** Whether the rest waits for a part of which no day is known. */
  readonly cut: boolean;
  readonly partsFrom: number;
}

function withoutParts({ left: all, part, inside }: DayJob, input: DayInput, zero: number): Left {
  if (part === null) return { stretches: all, cut: false, partsFrom: 0 };
  // What can still drive is not taken apart before its part is here.
  const left = inside ? all : all.map((each) => (each.stage === 'strip' ? { ...each, wantsParts: true } : each));
  const today = dayOf(input.now, input.timeZone);
  // A part that was expected and has not come is expected again today.
  const partsFrom = part.expected === null ? null : part.expected <= today ? 0 : opensOn(part.expected, input, zero);
  if (partsFrom !== null) return { stretches: left, cut: false, partsFrom };
  const at = left.findIndex(({ wantsParts }) => wantsParts);
  return at < 0
    ? { stretches: left, cut: false, partsFrom: 0 }
    : { stretches: left.slice(0, at), cut: true, partsFrom: 0 };
}

function paced(stretch: LeftStretch, pace: StagePace | undefined): { minutes: number; spread: number; own: boolean } {
  if (stretch.kind === 'wait' || pace === undefined)
    return { minutes: stretch.minutes, spread: stretch.spread, own: false };
  return { minutes: stretch.minutes * pace.factor, spread: pace.spread, own: pace.jobs >= OWN_FROM };
}

/** Who does it: whoever was said for it, else whoever has the job, where they can. */
function givenTo(
  { jobId, assigned }: DayJob,
  { id, stage }: LeftStretch,
  wishes: ReadonlyMap<string, Wish>,
  workers: DayInput['people'],
): string | null {
  const asked = wishes.get(stretchKey(jobId, id))?.personId ?? null;
  const able = (person: string): boolean =>
    workers.some((each) => each.id === person && each.does.includes(SKILL_OF[stage]));
  // What was said is done even by somebody who usually does not; what only follows from the job is not.
  if (asked !== null && workers.some((each) => each.id === asked)) return asked;
  return assigned !== null && able(assigned) ? assigned : null;
}

/** Stages that are worked on wherever the vehicle stands: nothing is off it yet. */
const OUTSIDE: ReadonlySet<Stage> = new Set<Stage>(['complaint', 'diagnose', 'decide', 'prepare']);

interface Laying {
  readonly input: DayInput;
  readonly zero: number;
  readonly notBefore: number;
  readonly given: string | null;
  readonly wish: Wish | undefined;
}

function asStretch(stretch: TimedStretch, { input, zero, notBefore, given, wish }: Laying): Stretch[] {
  if (stretch.kind === 'wait') {
    const minutes = Math.ceil(stretch.until === null ? stretch.minutes : (Date.parse(stretch.until) - zero) / MINUTE);
    return minutes > 0 ? [{ id: stretch.id, kind: 'wait', minutes }] : [];
  }
  const skill = SKILL_OF[stretch.stage];
  const tool = toolOf(stretch, input);
  const pin = wish?.at == null || given === null ? null : (Date.parse(wish.at) - zero) / MINUTE;
  const askedAnyway = wish?.personId != null && wish.personId === given;
  return [
    {
      id: stretch.id,
      kind: 'hands',
      minutes: Math.max(1, Math.round(stretch.minutes)),
      ...(!askedAnyway && { skill }),
      ...(OUTSIDE.has(stretch.stage) && { outside: true }),
      ...(tool !== null && { tool }),
      ...(notBefore > 0 && { from: notBefore }),
      ...(given !== null && { given }),
      // What was pinned for a time that is gone begins when it can.
      ...(pin !== null && pin >= 0 && { pin }),
    },
  ];
}

/** What of which there is one is needed: the only wrench that suits a figure, or the scan tool. */
function toolOf({ torquesNm, scanTool }: LeftStretch, { wrenches }: DayInput): string | null {
  if (scanTool) return SCAN_TOOL;
  for (const targetNm of torquesNm.toSorted((a, b) => a - b)) {
    const band = { text: '', lowNm: targetNm * 0.9, highNm: targetNm * 1.1, targetNm, angleDeg: null, source: null };
    const suit = wrenches.filter((wrench) => suggestSetting(band, wrench).verdict === 'suits');
    if (suit.length === 1) return suit[0]!.id;
  }
  return null;
}

const asBlock = ({ jobId, stretch, kind, from, to, personId }: PlannedBlock, zero: number): Block => ({
  job: jobId,
  stretch,
  kind,
  // What was to begin before now and is still to be done begins now.
  start: Math.max(0, (Date.parse(from) - zero) / MINUTE),
  end: (Date.parse(to) - zero) / MINUTE,
  person: personId,
});

/** A plan as it is kept: by instants instead of minutes. */
export const asPlanned = (blocks: readonly Block[], zero: number): PlannedBlock[] =>
  blocks.map(({ job, stretch, kind, start, end, person }) => ({
    jobId: job,
    stretch,
    kind,
    from: new Date(zero + Math.round(start) * MINUTE).toISOString(),
    to: new Date(zero + Math.round(end) * MINUTE).toISOString(),
    personId: person,
  }));
