import {
  type CleaningMethod,
  isClean,
  methodFor,
  nextPass,
  type PassKind,
  placeInRound,
  type Seen,
  type WasteKind,
  wasteOf,
} from '../clean/index.ts';
import {
  coolantAccount,
  compatible,
  type CoolantState,
  expectedLoss,
  type ExpectedLoss,
  lossQuestion,
  mix,
} from '../coolant/index.ts';
import type { HouseRules } from '../house/index.ts';
import { type Judged, type Objection, objections } from '../inspect/index.ts';
import { lightEven, type BenchUnit } from './benchUnits.ts';
import type { Job } from './types.ts';

/** How this unit is cleaned, from its form, what was found on it and what the house holds. */
export function unitMethod(job: Job, unit: BenchUnit, rules: HouseRules): CleaningMethod {
  const before = job.findings.filter((finding) => finding.unit === unit.id && finding.when === 'before');
  const grades = before.flatMap(({ grade }) => (grade === null ? [] : [grade]));
  const stripped = before.some(({ point, judged }) => point === 'stripped' && judged?.outcome === 'all-off');
  return methodFor(
    unit.form,
    { grade: grades.length === 0 ? null : Math.max(...grades), fullyStripped: stripped },
    rules,
  );
}

/** The passes a unit has had, in order. */
export const passesOf = (job: Job, unitId: string): readonly PassKind[] =>
  job.passes.filter(({ unit }) => unit === unitId).map(({ kind }) => kind);

/** What was seen of a unit since its last pass: a grade from before it says nothing any more. */
export function seenSince(job: Job, unit: BenchUnit): Seen {
  const lastPass = job.passes.filter((pass) => pass.unit === unit.id).at(-1)?.at ?? '';
  const grades = job.findings.flatMap((finding) =>
    finding.unit === unit.id && finding.when === 'after' && finding.grade !== null && finding.at >= lastPass
      ? [finding.grade]
      : [],
  );
  return { grade: grades.length === 0 ? null : Math.max(...grades), lightEven: lightEven(job, unit.id, unit.form) };
}

/** The pass that comes next on a unit, or null when it is clean and dry. */
export const nextUnitPass = (job: Job, unit: BenchUnit, method: CleaningMethod): PassKind | null =>
  nextPass(passesOf(job, unit.id), seenSince(job, unit), method.rounds);

/** Whether a round is over and nobody has looked since: grade it before going on. */
export function wantsGrade(job: Job, unit: BenchUnit, method: CleaningMethod): boolean {
  const done = passesOf(job, unit.id);
  const { round } = method.rounds;
  return placeInRound(done, round) === round.length - 1 && seenSince(job, unit).grade === null;
}

/** Whether a unit looks clean enough at the last look. */
export const looksClean = (job: Job, unit: BenchUnit): boolean => isClean(seenSince(job, unit));

/** Findings that were judged, as the choice is held against them. */
export const judgedFindings = (job: Job): Judged[] =>
  job.findings.flatMap(({ unit, point, when, judged }) =>
    judged === undefined || when === 'after'
      ? []
      : [{ unit, point, verdict: judged.verdict, cure: judged.cure, words: judged.words }],
  );

/** What lies on the bench that the decision will not cure; a unit that was replaced is no longer held against it. */
export function jobObjections(job: Job): readonly Objection[] {
  if (job.decision === null) return [];
  const gone = new Set(job.replaced.map(({ unit }) => unit));
  return objections(
    job.decision.choice,
    judgedFindings(job).filter(({ unit }) => !gone.has(unit)),
  );
}

/** Waste that must be there and has not been taken away. */
export function wasteDue(job: Job): readonly { readonly kind: WasteKind; readonly why: string }[] {
  const taken = new Set(job.waste.map(({ kind }) => kind));
  return wasteOf({
    sprayedGrams: job.cleaners.reduce((sum, { grams }) => sum + grams, 0),
    passes: job.passes.map(({ kind }) => kind),
    discardedCoolantL: coolantAccount(job.coolant).discarded,
    emptiedCans: job.cleaners.filter(({ emptied }) => emptied === true).length,
    penetratingOil: job.seized.some(({ tried }) => tried.some(({ rung }) => rung.startsWith('oil'))),
  }).filter(({ kind }) => !taken.has(kind));
}

/** Coolant hoses that came off, with what each lets go as the procedure says. */
export const openedHoses = (job: Job): { readonly name: string; readonly litres: number | null }[] =>
  job.items
    .filter(({ kind, stripOrder }) => kind === 'coolant-hose' && stripOrder !== null)
    .map(({ id, name }) => ({
      name,
      litres: job.procedure?.coolant?.losses?.find(({ itemId }) => itemId === id)?.litres ?? null,
    }));

/** The coolant of a job against what should have come out. */
export const coolantLoss = (job: Job): ExpectedLoss & { readonly question: string | null } => {
  const expected = expectedLoss(openedHoses(job));
  return { ...expected, question: lossQuestion(coolantAccount(job.coolant).caught, expected) };
};

/** The share of antifreeze before the work: as read, else as the procedure says. Null without a coolant system. */
export function shareBefore(job: Job): { readonly share: number; readonly read: boolean } | null {
  const system = job.procedure?.coolant ?? null;
  if (system === null) return null;
  const read = job.coolantTests.find(({ when }) => when === 'before');
  return read === undefined ? { share: system.concentration, read: false } : { share: read.share, read: true };
}

/** Litres and share in the system now, by the book; null without a system or an entry. */
export function coolantNow(job: Job): CoolantState | null {
  const system = job.procedure?.coolant ?? null;
  const before = shareBefore(job);
  if (system === null || before === null) return null;
  const account = coolantAccount(job.coolant);
  return mix(
    { volume: system.capacityL, concentration: before.share },
    {
      drained: Math.min(account.caught, system.capacityL),
      returned: Math.min(account.returned, account.caught, system.capacityL),
      added: account.added,
      addedConcentration: account.addedConcentration ?? 0,
    },
  );
}

/** What was poured in that does not go with what the system holds, in sentences. */
export function inhibitorQuestions(job: Job): string[] {
  const own = job.procedure?.coolant?.inhibitor;
  if (own === undefined) return [];
  const added = new Set(job.coolant.flatMap(({ inhibitor }) => (inhibitor === undefined ? [] : [inhibitor])));
  return [...added].flatMap((each) => {
    const { verdict, words } = compatible(own, each);
    return verdict === 'do not mix' ? [words] : [];
  });
}
