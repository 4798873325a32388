import { interpret, restOf, type UnitRef } from '../../diagnose/index.ts';
import { id, idOrNone, line, list, oneOf, optional, orNull, paragraph, record, text } from '../../shape/index.ts';
import { figuresOf } from '../../vehicle/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { fact, type MadeFact } from '../fact.ts';
import type { Job } from '../job.ts';
import { band, unitRef, when } from '../shapes.ts';
import { foreignFound, foreignHolding } from './foreign.ts';
import { missingBefore, signOf } from './signs.ts';

/** What {@link checkDone} holds. */
export const checkDoneShape = record({
  id,
  name: line,
  result: paragraph,
  verdict: oneOf('normal', 'abnormal', 'unclear'),
});
/** A check in one’s own words. */
export const checkDone = fact('check-done', {
  shape: checkDoneShape,
  means: (job, data, stamp) => ({
    checks: [...job.checks, { ...data, ...stamp, check: null, outcome: null, typed: [], band: null, when: 'before' }],
  }),
  words: (data) => `Checked: ${lowerFirst(data.name)}`,
  putRight: {
    anew: {
      command: 'do-check',
      from: (data) => data,
      fields: {
        name: { label: 'What was checked' },
        result: { label: 'What was found' },
        verdict: { label: 'It is', choices: { normal: 'As it should be', abnormal: 'Not right', unclear: 'Unclear' } },
      },
    },
  },
  sheet: 'Checked and decided',
});

/** Notes a check in one’s own words. */
export const doCheck = command('do-check', {
  shape: checkDoneShape,
  decide: (_, data) =>
    nonEmpty('name', data.name, 'Say what was checked.') ??
    nonEmpty('result', data.result, 'Say what was found.') ??
    accept(checkDone.of(data)),
});

/** What {@link checkRecorded} holds. */
export const checkRecordedShape = record({
  id,
  check: id,
  name: line,
  outcome: id,
  result: paragraph,
  verdict: oneOf('normal', 'abnormal'),
  typed: list(text(40), { high: 2 }),
  band: orNull(band),
  when,
  /** The unit it was made on; left out where it is of the whole engine. */
  unit: optional(unitRef),
});
/** A check of the knowledge was made. `typed` is as typed; empty when the answer was picked. */
export const checkRecorded = fact('check-recorded', {
  shape: checkRecordedShape,
  means: (job, data, stamp) => ({
    checks: [...job.checks, { ...data, ...stamp }],
    passedOver: job.passedOver.filter(({ check }) => check !== data.check),
  }),
  words: (data) => `Checked: ${lowerFirst(data.name)}`,
  putRight: {},
  sheet: 'Checked and decided',
});

/** Records a check: an outcome that was picked, or typed values that core judges. */
export const recordCheck = command('record-check', {
  shape: record({
    id,
    check: id,
    outcome: idOrNone,
    typed: list(text(40), { high: 2 }),
    when,
    unit: optional(unitRef),
  }),
  asks: () => ({ knowledge: 'own', family: true }),
  decide: (job, { id, check, outcome, typed, when, unit }, context) => {
    const found = signOf(job, context, check);
    if (!found.ok) return found;
    const { sign, knowledge } = found;
    if (sign.method === null) return refuse('not-a-check', `“${sign.name}” is asked, not checked.`);
    const before = missingBefore(job, knowledge, context.family, sign);
    if (before.length > 0)
      return refuse(
        'not-yet',
        `“${sign.name}” comes after ${before.map((name) => `“${name}”`).join(' and ')}.`,
        'Do that first, and record it.',
      );
    const judged = typed.length === 0 ? null : interpret(sign, typed, figuresOf(job.vehicle, context.family));
    if (judged !== null && !judged.ok) return refuseField(`typed.${judged.field}`, judged.message);
    const chosen = sign.outcomes.find((each) => each.id === (judged?.outcome ?? outcome));
    if (chosen === undefined) return refuseField('outcome', `Say what was found at “${sign.name}”.`);
    if (unit !== undefined && !sign.of.includes(unit.kind))
      return refuseField('unit', `“${sign.name}” is not made on that unit.`);
    return accept(
      checkRecorded.of({
        id,
        check,
        name: sign.name,
        outcome: chosen.id,
        result: judged?.words ?? chosen.found,
        verdict: chosen.id === restOf(sign) ? 'normal' : 'abnormal',
        typed: [...typed],
        band: judged?.band ?? null,
        when,
        ...(unit === undefined ? {} : { unit }),
      }),
      ...foreignIn(job, id, check, chosen.id, unit),
    );
  },
});

/** Something that lies at the plate holds the engine from the moment it was seen, described or not. */
function foreignIn(job: Job, id: string, check: string, outcome: string, unit: UnitRef | undefined): MadeFact[] {
  if (check !== 'duct-off-look' || outcome !== 'object' || foreignHolding(job).length > 0) return [];
  return [
    foreignFound.of({
      id: `${id}-foreign`,
      what: 'Something at the plate',
      where: 'at the plate',
      came: '',
      amount: 'not said',
      ...(unit === undefined ? {} : { unit }),
    }),
  ];
}

/** What {@link checkPassedOver} holds. */
export const checkPassedOverShape = record({ id, check: id, name: line, why: line });
/** A check was left out, with why. */
export const checkPassedOver = fact('check-passed-over', {
  shape: checkPassedOverShape,
  means: (job, data, stamp) => ({ passedOver: [...job.passedOver, { ...data, ...stamp }] }),
  words: (data) => `Not done: ${lowerFirst(data.name)}`,
  putRight: {},
  sheet: { no: 'what was not done proves nothing' },
});

/** Leaves a check out. */
export const passOverCheck = command('pass-over-check', {
  shape: record({ id, check: id, why: line }),
  asks: () => ({ knowledge: 'own', family: true }),
  decide: (job, { id, check, why }, context) => {
    const found = signOf(job, context, check);
    if (!found.ok) return found;
    return accept(checkPassedOver.of({ id, check, name: found.sign.name, why: why.trim() }));
  },
});
