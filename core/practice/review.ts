import type { OptionTerms } from '../choose/index.ts';
import { type Access, type Finding, type Knowledge, type Sign, signsFor } from '../diagnose/index.ts';
import { isBack, type Job, jobUnits } from '../job/index.ts';
import { act, isIdleKind } from './act.ts';
import { comesOut } from './case.ts';
import { codeFindings } from './codes.ts';
import { inPlaceOf } from './inPlace.ts';
import { ASK_MINUTES, minutesOf, READ_MINUTES } from './minutes.ts';
import { type Scenario, vehicleOf } from './scenario.ts';
import {
  Belief,
  bestWay,
  chooseInput,
  type Rates,
  toldUnasked,
  type Way,
  wayOf,
  type WayStep,
  workStep,
} from './ways.ts';
import { stillWrong, takesDirtOff } from './worked.ts';

/** What a person did at a practice job beside its log, as far as it is a step of the way. */
export interface Done {
  readonly at: string;
  readonly kind: 'look' | 'ask' | 'mend';
  /** The sign, or the cause that was put right. */
  readonly what: string;
}

/** Where two ways part: what one did and the other did not. */
export interface Parting {
  /** When on the person's own way, min. */
  readonly at: number;
  readonly steps: readonly WayStep[];
  readonly minutes: number;
  readonly costMinor: number;
  /** What those steps together said of what was wrong, bits. */
  readonly bits: number;
}

/** A look of which something else was recorded than was there. */
export interface Misread {
  readonly sign: string;
  readonly said: string;
  readonly was: string;
}

/** Both ways to a fault side by side. */
export interface Review {
  readonly own: Way;
  readonly best: Way;
  /** Nothing was done about it: the ways end where the work would begin. */
  readonly isUndone: boolean;
  /** What the plan would begin with; null where it could plan nothing. */
  readonly planned: WayStep | null;
  /** Steps that are in both: kind and id. */
  readonly shared: readonly string[];
  readonly partings: readonly Parting[];
  /** Of the best way, what was left out. */
  readonly leftOut: readonly WayStep[];
  /** What the shared steps took more, or less, in the person's own order, min. */
  readonly orderMinutes: number;
  readonly misread: readonly Misread[];
  /** Looks of which nothing was recorded. */
  readonly unsaid: readonly string[];
  /** Groups of fasteners that came off and went back: at torque, by feel, and with neither recorded. */
  readonly torque: { readonly right: number; readonly byFeel: number; readonly unsaid: number };
  /** Measured after the work. */
  readonly proofs: number;
  /** Parts that were fitted and changed nothing of what was wrong. */
  readonly forNothing: readonly { readonly id: string; readonly costMinor: number }[];
}

/** A step by what it is. */
export const stepKey = ({ kind, id }: Pick<WayStep, 'kind' | 'id'>): string => `${kind} ${id}`;

/** A step of a person's way before it is weighed. */
interface Moment {
  readonly at: string;
  readonly step: 'ask' | 'read' | 'check' | 'work';
  readonly id: string;
}

/** What was done, in the order in which it was. */
function momentsOf(job: Job, done: readonly Done[], knowledge: Knowledge): Moment[] {
  const read = job.codesRead.before?.at ?? job.codes[0]?.at;
  const moments: Moment[] = [
    ...(read === undefined ? [] : [{ at: read, step: 'read' as const, id: 'codes' }]),
    ...done.map(({ at, kind, what }): Moment => {
      if (kind !== 'mend') return { at, step: kind === 'look' ? 'check' : 'ask', id: what };
      const cause = knowledge.causes.find(({ id }) => id === what);
      return { at, step: 'work', id: (cause && inPlaceOf(cause)) ?? 'elsewhere' };
    }),
    ...worksOf(job),
  ];
  return moments.sort((a, b) => a.at.localeCompare(b.at));
}

/** Work that the log tells of, each piece once: what was replaced was not also cleaned. */
function worksOf(job: Job): Moment[] {
  const units = jobUnits(job, null);
  const kindOf = (id: string): string => units.find((unit) => unit.id === id)?.kind ?? 'throttle-body';
  const replaced = new Set<string>(job.replaced.map(({ kind }) => kind));
  const rebuilt = job.seals.some(({ decision }) => decision === 'renewed');
  const works: Moment[] = [];
  const add = (at: string, id: string): void => {
    if (!works.some((work) => work.id === id)) works.push({ at, step: 'work', id });
  };
  for (const { kind, at } of job.replaced) add(at, `replace@${kind}`);
  for (const pass of job.passes.filter(takesDirtOff)) {
    const kind = kindOf(pass.unit);
    if (replaced.has(kind)) continue;
    add(
      pass.at,
      pass.onVehicle ? 'clean-in-place' : `${rebuilt && !isIdleKind(kind) ? 'rebuild' : 'clean-bench'}@${kind}`,
    );
  }
  const relearn = job.runs.find(({ run, closed }) => run.recipe.purpose === 'relearn' && closed !== null);
  if (relearn !== undefined && works.length === 0) add(relearn.at, 'relearn');
  return works;
}

/** Terms by the name of a way; where one unit is all there is, the name without it goes too. */
const termsOf = (all: readonly OptionTerms[], id: string): OptionTerms | null => {
  const [option, kind] = id.split('@');
  return (
    all.find((terms) => terms.id === option && terms.kind === kind) ??
    all.find((terms) => terms.id === option && terms.kind === undefined) ??
    null
  );
};

/**
 * Both ways on one scale: the person's as it was, each look weighed by what was recorded of it, and the way of the plan,
 * which does not know the fault either.
 */
export function reviewOf({
  scenario,
  job,
  done,
  knowledge,
  rates,
}: {
  readonly scenario: Scenario;
  readonly job: Job;
  readonly done: readonly Done[];
  readonly knowledge: Knowledge;
  readonly rates: Rates;
}): Review {
  const vehicle = vehicleOf(scenario);
  const told = toldUnasked(vehicle, knowledge, scenario.tried);
  const signs = new Map(signsFor(knowledge, vehicle).map((sign) => [sign.id, sign]));
  const belief = new Belief(knowledge, vehicle, told);
  const { terms } = chooseInput(vehicle, knowledge, told, rates);
  const reached = new Set<Access>();
  const misread: Misread[] = [];
  const unsaid: string[] = [];
  const forNothing: { id: string; costMinor: number }[] = [];
  let now = vehicle;
  const steps = momentsOf(job, done, knowledge).flatMap(({ at, step, id }): WayStep[] => {
    if (step === 'read')
      return [
        {
          kind: 'read',
          id,
          outcome: '',
          minutes: READ_MINUTES,
          costMinor: 0,
          ...belief.hear(codeFindings(vehicle, knowledge)),
        },
      ];
    if (step === 'work') {
      const found = termsOf(terms, id);
      if (found === null) return [];
      const before = stillWrong(vehicle, now);
      now = act(now, { option: found.id, kind: found.kind, learned: true });
      const work = workStep(found, belief.share);
      if (found.id.startsWith('replace') && stillWrong(vehicle, now).length === before.length)
        forNothing.push({ id, costMinor: work.costMinor });
      return [work];
    }
    const sign = signs.get(id);
    if (sign === undefined) return [];
    const was = comesOut(sign, now);
    const said = step === 'ask' ? notedOf(job, id) : recordedOf(job, sign, at);
    if (said === null) unsaid.push(id);
    else if (said !== was) misread.push({ sign: id, said, was });
    // A look after the work tells how that went, and nothing of what was wrong before it.
    const heard: readonly Finding[] = said === null || now !== vehicle ? [] : [{ sign: id, outcome: said }];
    return [
      {
        kind: step,
        id,
        outcome: said ?? '',
        minutes: step === 'ask' ? ASK_MINUTES : minutesOf(sign, reached),
        costMinor: sign.method?.costMinor ?? 0,
        ...belief.hear(heard),
      },
    ];
  });
  const own = wayOf(steps, []);
  const whole = bestWay(vehicle, knowledge, told, rates);
  // Where nothing was done about it, what is compared is the way to the fault.
  const begins = whole.steps.findIndex(({ kind }) => kind === 'work');
  const isUndone = steps.every(({ kind }) => kind !== 'work');
  const best = isUndone && begins >= 0 ? wayOf(whole.steps.slice(0, begins), whole.left) : whole;
  const inBest = new Set(best.steps.map(stepKey));
  const shared = [...new Set(own.steps.map(stepKey))].filter((key) => inBest.has(key));
  const leftOut = best.steps.filter((step) => !shared.includes(stepKey(step)));
  const partings = partingsOf(own, new Set(shared));
  const apart = partings.reduce((sum, { minutes }) => sum + minutes, 0);
  const without = leftOut.reduce((sum, { minutes }) => sum + minutes, 0);
  return {
    own,
    best,
    isUndone,
    planned: whole.steps[begins] ?? null,
    shared,
    partings,
    leftOut,
    orderMinutes: own.minutes - best.minutes - apart + without,
    misread,
    unsaid,
    torque: torqueOf(job),
    proofs: job.measurements.filter(({ when }) => when === 'after').length,
    forNothing,
  };
}

/** How what holds the unit went back. */
function torqueOf({ items }: Job): Review['torque'] {
  const groups = items.filter((item) => item.fasteners !== null && isBack(item));
  const byFeel = groups.filter((item) => item.byFeel !== null).length;
  const right = groups.filter(
    ({ byFeel: felt, bolts, fasteners }) =>
      felt === null && bolts.filter(({ final }) => final).length >= (fasteners?.count ?? 1),
  ).length;
  return { right, byFeel, unsaid: groups.length - byFeel - right };
}

/** What was recorded of a look, from when it was made on; null where nothing was. */
function recordedOf({ checks }: Job, sign: Sign, at: string): string | null {
  const check =
    checks.find((each) => each.check === sign.id && each.at >= at) ?? checks.find((each) => each.check === sign.id);
  return check?.outcome ?? null;
}

/** What was noted of an answer of the customer; null where nothing was. */
const notedOf = ({ signs }: Job, sign: string): string | null =>
  signs.findLast((each) => each.sign === sign)?.outcome ?? null;

/** Stretches of a way that the other does not have; a step that was made before is another one. */
function partingsOf({ steps }: Way, shared: ReadonlySet<string>): Parting[] {
  const seen = new Set<string>();
  const partings: Parting[] = [];
  let at = 0;
  let open: WayStep[] = [];
  let from = 0;
  const close = (): void => {
    if (open.length > 0)
      partings.push({
        at: from,
        steps: open,
        minutes: open.reduce((sum, { minutes }) => sum + minutes, 0),
        costMinor: open.reduce((sum, { costMinor }) => sum + costMinor, 0),
        bits: open.reduce((sum, { bits }) => sum + bits, 0),
      });
    open = [];
  };
  for (const step of steps) {
    const key = stepKey(step);
    if (shared.has(key) && !seen.has(key)) close();
    else {
      if (open.length === 0) from = at;
      open.push(step);
    }
    seen.add(key);
    at += step.minutes;
  }
  close();
  return partings;
}
