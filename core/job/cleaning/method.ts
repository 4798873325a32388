import {
  type CleaningMethod,
  isBody,
  isClean,
  methodFor,
  methodInPlace,
  nextPass,
  type PassKind,
  placeInRound,
  type Seen,
} from '../../clean/index.ts';
import { cleaningPoint } from '../../inspect/index.ts';
import type { HouseRules } from '../../house/index.ts';
import { rulesOf } from '../house/rules.ts';
import { countsSince, isInPlace, isStripped, passesNow, passesOf } from './present.ts';
import { boreNames, type JobUnit, lightEven } from '../inspection/units.ts';
import type { Job } from '../job.ts';
import { type ShopValues, soakFigures } from '../../figures/index.ts';

/** How this unit is cleaned, from its form, what was found on it and what the house holds. */
export function unitMethod(job: Job, unit: JobUnit, rules: HouseRules, said: ShopValues = {}): CleaningMethod {
  if (isInPlace(job, unit.id)) return methodInPlace(unit.form, rulesOf(job, rules));
  const before = job.findings.filter((finding) => finding.unit === unit.id && finding.when === 'before');
  const grades = before.flatMap(({ grade }) => (grade === null ? [] : [grade]));
  return methodFor(
    unit.form,
    { grade: grades.length === 0 ? null : Math.max(...grades), fullyStripped: isStripped(job, unit.id) },
    rulesOf(job, rules),
    soakFigures(said),
  );
}

/** What was seen of a unit since its last pass: a grade from before it says nothing any more. */
export function seenSince(job: Job, unit: JobUnit): Seen {
  const lastPass = passesNow(job, unit.id).now.at(-1)?.at ?? countsSince(job, unit.id);
  const looked = job.findings.filter(
    ({ unit: of, when, grade, at }) => of === unit.id && when === 'after' && grade !== null && at >= lastPass,
  );
  // One clean bore says nothing of the others: the worst counts, once each was looked at.
  const bores = boreNames(unit, gradedAt(job, unit));
  const open = bores.some((bore) => !looked.some(({ judged }) => judged?.which === bore));
  const grades = looked.flatMap(({ grade }) => grade ?? []);
  return { grade: open || grades.length === 0 ? null : Math.max(...grades), lightEven: lightEven(job, unit) };
}

/** The grade that a bore was given since the last pass, or null. @param bore see {@link boreNames} */
export function boreGrade(job: Job, unit: JobUnit, bore: string): number | null {
  const lastPass = passesNow(job, unit.id).now.at(-1)?.at ?? countsSince(job, unit.id);
  const seen = job.findings.findLast(
    ({ unit: of, when, at, judged, grade }) =>
      of === unit.id && when === 'after' && at >= lastPass && judged?.which === bore && grade !== null,
  );
  return seen?.grade ?? null;
}

/** The pass that comes next on a unit, or null when it is clean and dry. */
export const nextUnitPass = (job: Job, unit: JobUnit, method: CleaningMethod): PassKind | null =>
  nextPass(passesOf(job, unit.id), seenSince(job, unit), method.rounds);

/** Whether a round is over and nobody has looked since: grade it before going on. */
export function wantsGrade(job: Job, unit: JobUnit, method: CleaningMethod): boolean {
  const done = passesOf(job, unit.id);
  const { round } = method.rounds;
  return placeInRound(done, round) === round.length - 1 && seenSince(job, unit).grade === null;
}

/** The point that says whether another round is due: on the vehicle only the front is seen. */
export const gradedAt = (
  job: Job,
  { id, form }: JobUnit,
): 'valve-deposit' | 'deposit-edge' | 'part-deposit' | 'deposit-front' =>
  isInPlace(job, id) && isBody(form) ? 'deposit-front' : cleaningPoint(form);

/** Whether a unit looks clean enough at the last look. */
export const looksClean = (job: Job, unit: JobUnit): boolean => isClean(seenSince(job, unit));
