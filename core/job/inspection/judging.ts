import { UNIT_FORMS } from '../../clean/index.ts';
import { restOf, signsFor, type UnitRef } from '../../diagnose/index.ts';
import {
  isPointProblem,
  judgePoint,
  limitOf,
  pointName,
  pointOf,
  type PointResult,
  speaksOf,
  spokenBy,
} from '../../inspect/index.ts';
import {
  id,
  keyOf,
  line,
  list,
  number,
  oneOf,
  orNull,
  paragraph,
  record,
  type RecordOf,
  text,
  whole,
} from '../../shape/index.ts';
import { figuresOf, BENCH_KINDS } from '../../vehicle/index.ts';
import { command } from '../command.ts';
import type { Context } from '../context.ts';
import { accept, refuse, refuseField } from '../decision.ts';
import { checkRecorded } from '../diagnosis/checks.ts';
import { subjectOf } from '../diagnosis/findings.ts';
import { fact, type MadeFact } from '../fact.ts';
import type { Job } from '../job.ts';
import { limit, when } from '../shapes.ts';
import { boreNames, isVehicleUnit, jobUnits } from './units.ts';
import { figureOf } from '../../figures/index.ts';

/** What a person enters at a point of the walk. */
const pointEntry = {
  id,
  unit: id,
  kind: keyOf(BENCH_KINDS),
  form: keyOf(UNIT_FORMS),
  point: line,
  when,
  /** Tells several of the same apart: “idle screw”; empty otherwise. */
  which: line,
  /** A grade, or the twelve marks of the light test. */
  marks: list(whole, { high: 12 }),
  outcome: line,
  /** As typed. */
  typed: list(text(40), { high: 2 }),
  note: paragraph,
} as const;
/** See {@link pointEntry}. */
type PointEntry = RecordOf<typeof pointEntry>;

/** What {@link pointJudged} holds. */
export const pointJudgedShape = record({
  ...pointEntry,
  verdict: oneOf('good', 'watch', 'bad', 'noted'),
  value: orNull(number),
  limit: orNull(limit),
  words: paragraph,
  cure: orNull(oneOf('clean', 'renew', 'rebuild', 'replace')),
});
/** A point of the walk was looked at and judged. */
export const pointJudged = fact('point-judged', {
  shape: pointJudgedShape,
  means: (job, { id, unit, point, when, note, ...judged }, stamp) => ({
    findings: [
      ...job.findings.filter(
        (known) =>
          !(
            known.point === point &&
            known.unit === unit &&
            known.when === when &&
            (known.judged?.which ?? '') === judged.which
          ),
      ),
      {
        id,
        unit,
        point,
        when,
        grade: point.includes('deposit') ? (judged.marks[0] ?? null) : null,
        text: note,
        judged,
        ...stamp,
      },
    ],
  }),
  words: (data) => `${pointName(data.point)}: ${data.verdict}`,
  putRight: {},
  sheet: 'Found on the bench',
});

/** Enters what was found at a point; core judges it. */
export const enterPoint = command('judge-point', {
  shape: record(pointEntry),
  asks: () => ({ knowledge: 'own', family: true, figures: true }),
  decide: (job, data, context) => {
    const point = pointOf(data.point);
    if (point === undefined) return refuse('no-such-point', `There is no point “${data.point}” in the walk.`);
    if (!point.forms.includes(data.form))
      return refuse('does-not-apply', `“${point.name}” does not apply to this kind of unit.`);
    if (point.each && data.which.trim() === '') return refuseField('which', 'Which one? Each has its own line.');
    const unit = jobUnits(job, context.family).find(({ id }) => id === data.unit);
    const bores = unit === undefined ? [] : boreNames(unit, data.point);
    if (bores.length > 0 && !bores.includes(data.which.trim()))
      return refuseField('which', `Which bore? Expected ${bores.join(', ')}.`);
    const limit = limitOf(point, figuresOf(job.vehicle, context.family), context.family, data.kind);
    const judged = judgePoint(point, data, limit, figureOf(context.figures, 'light-shape') / 100);
    if (isPointProblem(judged)) return refuseField(fieldOf(point.entry.kind, judged.field), judged.message);
    const { verdict, value, words, cure } = judged;
    return accept(
      pointJudged.of({ ...data, which: data.which.trim(), verdict, value, limit: judged.limit, words, cure }),
      ...asCheck(job, data, judged, context),
    );
  },
});

/** The check of the knowledge that a judged point answers, as the event that records it; nothing where there is none. */
function asCheck(job: Job, data: PointEntry, judged: PointResult, context: Context): MadeFact[] {
  const { knowledge, family } = context;
  const spoken = spokenBy(data.point, data.form, judged, data.outcome);
  if (data.when === 'after' || spoken === null || knowledge === null) return [];
  const sign = signsFor(knowledge, subjectOf(job, family)).find(({ id }) => id === spoken.sign);
  const found = sign?.outcomes.find(({ id }) => id === spoken.outcome);
  if (sign === undefined || found === undefined) return [];
  const normal = spoken.outcome === restOf(sign);
  // One good coil of a unit, or one clean face of a plate, does not make the bad one good.
  if (normal && anotherIsBad(job, data, spoken.sign)) return [];
  const unit = unitAt(job, data, family);
  return [
    checkRecorded.of({
      id: `${data.id}-check`,
      check: spoken.sign,
      name: sign.name,
      outcome: spoken.outcome,
      result: judged.words,
      verdict: normal ? 'normal' : 'abnormal',
      typed: [],
      band: null,
      when: 'before',
      ...(unit === null ? {} : { unit }),
    }),
  ];
}

/** The unit on the bench as the knowledge names it. */
function unitAt(job: Job, { unit }: PointEntry, family: Context['family']): UnitRef | null {
  const known = jobUnits(job, family)
    .filter(isVehicleUnit)
    .find(({ id }) => id === unit);
  return known === undefined ? null : { kind: known.kind, place: known.place };
}

/** Whether something that is one look at the same thing on the same unit was bad. */
const anotherIsBad = (job: Job, { unit, form, point, which }: PointEntry, sign: string): boolean =>
  job.findings.some(
    (each) =>
      each.unit === unit &&
      each.when === 'before' &&
      each.judged?.verdict === 'bad' &&
      speaksOfSign(each.point, form, sign) &&
      !(each.point === point && each.judged.which === which.trim()),
  );

const speaksOfSign = (point: string, form: PointEntry['form'], sign: string): boolean => {
  const speaks = speaksOf(point, form);
  return speaks !== undefined && speaks.by !== 'nothing' && speaks.sign === sign;
};

const fieldOf = (entry: string, index: number): string =>
  entry === 'grade' || entry === 'light' ? 'marks' : entry === 'choice' ? 'outcome' : `typed.${index}`;
