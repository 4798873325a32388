import {
  type Believed,
  type ChooseInput,
  type OptionId,
  type OptionTerms,
  planOptions,
  usualTerms,
  wayId,
  worthOfChecks,
} from '../choose/index.ts';
import {
  type Access,
  attemptFinding,
  type CauseModel,
  causesFor,
  type Finding,
  type Knowledge,
  rank,
  signsFor,
} from '../diagnose/index.ts';
import { wayMinutes } from '../job/index.ts';
import { act } from './act.ts';
import { comesOut } from './case.ts';
import { codeFindings } from './codes.ts';
import { unaskedSymptoms } from './complaint.ts';
import { practiceFile } from './files.ts';
import { minutesOf, READ_MINUTES } from './minutes.ts';
import type { PracticeVehicle } from './vehicle.ts';
import { stillWrong } from './worked.ts';

/** A step of a way to the fault: something asked, read or looked at, or work. Money in minor units. */
export interface WayStep {
  readonly kind: 'ask' | 'read' | 'check' | 'work';
  /** The sign, or the way that was taken: `replace@idle-valve`. */
  readonly id: string;
  /** What it showed; empty for work and for codes as a whole. */
  readonly outcome: string;
  readonly minutes: number;
  readonly costMinor: number;
  /** How far it moved the belief in what is really wrong, bits: less than nothing led away from it. */
  readonly bits: number;
  /** The belief in what is really wrong after it, 0 to 1. */
  readonly share: number;
}
/** A way to the fault, walked to its end. */
export interface Way {
  readonly steps: readonly WayStep[];
  readonly minutes: number;
  readonly costMinor: number;
  /** What was still wrong at its end. */
  readonly left: readonly string[];
}

/** Money of the shop, minor units. */
export interface Rates {
  readonly ratePerHourMinor: number;
  readonly dayPriceMinor: number;
  readonly comebackMinor: number;
}

const MOST_LOOKS = 14;
/** Things that are tried on one vehicle before it is given up. */
const MOST_WORK = 5;

/** How the belief in the truth moves along a way. */
export class Belief {
  readonly #causes: readonly CauseModel[];
  readonly #truth: readonly string[];
  findings: readonly Finding[];

  constructor(knowledge: Knowledge, vehicle: PracticeVehicle, findings: readonly Finding[]) {
    this.#causes = causesFor(knowledge, vehicle);
    this.#truth = vehicle.faults;
    this.findings = findings;
  }
  /** The share of what is really wrong, 0 to 1. */
  get share(): number {
    return rank(this.#causes, this.findings)
      .causes.filter(({ cause }) => this.#truth.includes(cause))
      .reduce((sum, { share }) => sum + share, 0);
  }
  /** What new findings do to it. */
  hear(more: readonly Finding[]): { readonly bits: number; readonly share: number } {
    const before = this.share;
    this.findings = [...this.findings, ...more];
    const share = this.share;
    return { bits: Math.log2(Math.max(share, 1e-9) / Math.max(before, 1e-9)), share };
  }
}

/** What the plan of Decide is asked for a practice vehicle. */
export function chooseInput(
  vehicle: PracticeVehicle,
  knowledge: Knowledge,
  findings: readonly Finding[],
  rates: Rates,
  failed: readonly OptionId[] = [],
): ChooseInput {
  const { family, procedure } = practiceFile(vehicle.group, '');
  const belief = rank(causesFor(knowledge, vehicle), findings).causes.map(({ cause, share }): Believed => ({
    cause,
    share,
  }));
  const per = vehicle.group === 'outboard' ? 'h' : 'km';
  const units = family.unitTypes.map(({ kind, places }) => ({ kind, place: places[0] ?? 'only' }));
  return {
    belief,
    causes: knowledge.causes,
    terms: usualTerms({ family, units, belief, per, wayMinutes: wayMinutes(procedure) }),
    results: [],
    ...rates,
    failed,
    per,
  };
}

/** What is told without a question: the symptoms that a customer brings, and what was tried. */
export const toldUnasked = (
  vehicle: PracticeVehicle,
  knowledge: Knowledge,
  tried: readonly OptionId[],
): readonly Finding[] => [
  ...unaskedSymptoms(vehicle, knowledge),
  ...tried.map((option) => attemptFinding({ option, unit: null, helped: false, ago: { km: null, h: null, days: 20 } })),
];

/** Work as a step: what it takes and what it costs beside the time. */
export const workStep = (terms: OptionTerms, share: number): WayStep => ({
  kind: 'work',
  id: wayId(terms),
  outcome: '',
  minutes: terms.minutes,
  costMinor: (terms.partsMinor ?? 0) + terms.consumablesMinor,
  bits: 0,
  share,
});

/** Looks and questions as long as one is expected to save more than it costs. */
function lookOn(walk: Walk): void {
  const { knowledge, vehicle, belief, rates, reached, steps } = walk;
  const signs = signsFor(knowledge, vehicle).filter(({ kind }) => kind !== 'code');
  const causes = causesFor(knowledge, vehicle);
  for (let looks = 0; looks < MOST_LOOKS; looks += 1) {
    const [best] = worthOfChecks({
      choose: chooseInput(vehicle, knowledge, belief.findings, rates, walk.failed),
      causes,
      findings: belief.findings,
      checks: signs,
      minutePrice: rates.ratePerHourMinor / 60,
      reached: [...reached],
      passedOver: [],
    });
    if (best === undefined || best.worthMinor <= 0) return;
    const { sign } = best.proposal;
    const found = { sign: sign.id, outcome: comesOut(sign, vehicle) };
    steps.push({
      kind: sign.kind === 'check' ? 'check' : 'ask',
      id: sign.id,
      outcome: found.outcome,
      minutes: minutesOf(sign, reached),
      costMinor: sign.method?.costMinor ?? 0,
      ...belief.hear([found]),
    });
  }
}

interface Walk {
  readonly knowledge: Knowledge;
  readonly vehicle: PracticeVehicle;
  readonly belief: Belief;
  readonly rates: Rates;
  readonly reached: Set<Access>;
  readonly steps: WayStep[];
  readonly failed: OptionId[];
}

/**
 * The way that *Decide* takes, not knowing the fault: codes are read, then looks and questions as long as one is expected
 * to save more than it costs, then the first step of the best plan. What does not help is evidence, and it goes on from
 * there, until nothing is wrong or {@link MOST_WORK} things were tried.
 */
export function bestWay(vehicle: PracticeVehicle, knowledge: Knowledge, told: readonly Finding[], rates: Rates): Way {
  const belief = new Belief(knowledge, vehicle, told);
  const walk: Walk = { knowledge, vehicle, belief, rates, reached: new Set(), steps: [], failed: [] };
  const { steps, failed } = walk;
  const codes = codeFindings(vehicle, knowledge);
  steps.push({ kind: 'read', id: 'codes', outcome: '', minutes: READ_MINUTES, costMinor: 0, ...belief.hear(codes) });
  let now = vehicle;
  const done = new Set<string>();
  for (let works = 0; works < MOST_WORK && (works === 0 || stillWrong(vehicle, now).length > 0); works += 1) {
    lookOn(walk);
    const { plans } = planOptions(chooseInput(vehicle, knowledge, belief.findings, rates, failed));
    const way = plans.map(({ steps: [first] }) => first?.way).find((each) => each !== undefined && !done.has(each.id));
    if (way === undefined) break;
    done.add(way.id);
    steps.push(workStep(way.terms, belief.share));
    now = act(now, { option: way.option, kind: way.terms.kind, learned: true });
    if (stillWrong(vehicle, now).length === 0) break;
    failed.push(way.option);
    belief.hear([
      attemptFinding({ option: way.option, unit: null, helped: false, ago: { km: null, h: null, days: 0 } }),
    ]);
  }
  return wayOf(steps, stillWrong(vehicle, now));
}

/** A way from its steps. */
export const wayOf = (steps: readonly WayStep[], left: readonly string[]): Way => ({
  steps,
  minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
  costMinor: steps.reduce((sum, { costMinor }) => sum + costMinor, 0),
  left,
});
