import {
  attemptFinding,
  type Case,
  causesFor,
  causesOf,
  type Group,
  type Knowledge,
  type OptionId,
  rank,
  scoreByGain,
} from '../diagnose/index.ts';
import { caseOfVehicle } from './case.ts';
import { FAULTS } from './faults.ts';
import { type PracticeVehicle, practiceVehicle, VALVED } from './vehicle.ts';

/** A practice job as data: the same scenario makes the same vehicle. */
export interface Scenario {
  readonly id: string;
  readonly group: Group;
  /** Causes of the knowledge that are hidden in it: one or two. */
  readonly faults: readonly string[];
  /** A number, or any text. */
  readonly seed: number | string;
  /** 1 is plain, 2 takes care, 3 misleads. */
  readonly difficulty: 1 | 2 | 3;
  readonly teaches: string;
  /** What somebody tried before, and it did not help. */
  readonly tried: readonly OptionId[];
}

/** Why a scenario cannot be practised. */
export type ScenarioProblem =
  | { readonly kind: 'no-such-fault'; readonly fault: string }
  /** A vehicle of that group does not have the part. */
  | { readonly kind: 'no-such-part'; readonly fault: string }
  | { readonly kind: 'one-or-two' }
  /** Nothing that can be looked at tells it from another. */
  | { readonly kind: 'not-observable'; readonly fault: string; readonly looksLike: string }
  /** Of two faults one is not to be seen while the other is there. */
  | { readonly kind: 'hides'; readonly fault: string; readonly behind: string };

/** A seed as a number: text by FNV-1a (Fowler, Noll and Vo), so that a name can be one. */
export function seedOf(seed: number | string): number {
  if (typeof seed === 'number') return seed | 0;
  let hash = 0x811c9dc5;
  for (const letter of seed) hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193);
  return hash | 0;
}

/** The vehicle of a scenario. */
export const vehicleOf = ({ seed, group, faults }: Pick<Scenario, 'seed' | 'group' | 'faults'>): PracticeVehicle =>
  practiceVehicle(seedOf(seed), group, faults);

/** A scenario as a case: what is told of earlier tries is evidence too. */
export function caseOfScenario(scenario: Scenario, knowledge: Knowledge): Case {
  const made = caseOfVehicle(vehicleOf(scenario), knowledge);
  const tried = scenario.tried.map((option) =>
    attemptFinding({ option, unit: null, helped: false, ago: { km: null, h: null, days: 20 } }),
  );
  return { ...made, id: scenario.id, told: [...made.told, ...tried] };
}

/**
 * Whether a scenario can be solved from what can be observed, by the knowledge: once everything was looked at, its fault
 * leads, and of two both are named.
 * @returns null where it can
 */
export function scenarioProblem(scenario: Scenario, knowledge: Knowledge): ScenarioProblem | null {
  const { group, faults } = scenario;
  const unknown = faults.find(
    (fault) => FAULTS[fault] === undefined || !knowledge.causes.some(({ id }) => id === fault),
  );
  if (unknown !== undefined) return { kind: 'no-such-fault', fault: unknown };
  const has = new Set(causesOf(knowledge, { group, hasValve: VALVED.has(group) }).map(({ id }) => id));
  const apart = faults.find((fault) => !has.has(fault));
  if (apart !== undefined) return { kind: 'no-such-part', fault: apart };
  const [first, second] = faults;
  if (first === undefined || faults.length > 2 || first === second) return { kind: 'one-or-two' };
  const made = caseOfScenario(scenario, knowledge);
  const { causes } = rank(causesFor(knowledge, made.subject), [...made.told, ...made.finds]);
  const [lead] = causes;
  if (second === undefined)
    return lead?.cause === first ? null : { kind: 'not-observable', fault: first, looksLike: lead?.cause ?? '' };
  if (scoreByGain(knowledge, made, MINUTE_PRICE).named === true) return null;
  const place = (fault: string): number => causes.findIndex(({ cause }) => cause === fault);
  const [seen, hidden] = place(first) <= place(second) ? [first, second] : [second, first];
  return { kind: 'hides', fault: hidden, behind: seen };
}
/** What a minute is worth while a case is walked, minor units: whether it can be solved does not hang on it. */
const MINUTE_PRICE = 100;
