import { interpret, type Knowledge, restOf, type Sign, signsFor, understand } from '../../diagnose/index.ts';
import {
  type EngineFamily,
  figuresOf,
  matchVariant,
  parseDtc,
  unitTypeOf,
  UNKNOWN_VARIANT,
} from '../../vehicle/index.ts';
import { accept, type Context, type Refusal, refuse, refuseField } from '../commands.ts';
import { jobFindings, subjectOf } from '../diagnosis.ts';
import { event } from '../events.ts';
import type { Job } from '../types.ts';
import { type Handlers, nonEmpty, plain, within } from './handlers.ts';

const NO_KNOWLEDGE = refuse(
  'no-knowledge',
  'The knowledge of this job is not at hand yet.',
  'Wait until it is loaded.',
);

/** A sign that this vehicle can show, or why there is none. */
function signOf(
  job: Job,
  { knowledge, family }: Context,
  id: string,
): { ok: true; sign: Sign; knowledge: Knowledge } | Refusal {
  if (knowledge === null) return NO_KNOWLEDGE;
  const sign = signsFor(knowledge, subjectOf(job, family)).find((each) => each.id === id);
  if (sign !== undefined) return { ok: true, sign, knowledge };
  const known = knowledge.signs.find((each) => each.id === id);
  return known === undefined
    ? refuse('no-such-check', `Knowledge ${knowledge.version} has no “${id}”.`)
    : refuse('does-not-apply', `“${known.name}” does not apply to this vehicle.`);
}

/** Checks that must come first and have not been done, by name. */
const missingBefore = (job: Job, knowledge: Knowledge, family: EngineFamily | null, sign: Sign): string[] => {
  const done = new Set(jobFindings(job, knowledge, family).map((finding) => finding.sign));
  return (sign.method?.after ?? [])
    .filter((id) => !done.has(id))
    .map((id) => knowledge.signs.find((each) => each.id === id)?.name ?? id);
};

/** From what is told to what is checked. */
export const diagnosis: Handlers<
  | 'choose-knowledge'
  | 'tell-complaint'
  | 'answer-question'
  | 'strike-sign'
  | 'record-check'
  | 'pass-over-check'
  | 'read-frame'
  | 'read-values'
  | 'clear-codes'
  | 'end-clearing'
  | 'compare-variant'
> = {
  'choose-knowledge': (_, { version }, { knowledge }) =>
    knowledge === null || knowledge.version !== version
      ? refuse('no-knowledge', `There is no knowledge ${version}.`, 'Pick a version from the knowledge page.')
      : accept(event('knowledge-chosen', { version })),
  'tell-complaint': (job, { id, text }, { knowledge, family }) => {
    const missing = nonEmpty('text', text, 'Say what it does, in your own words.');
    if (missing) return missing;
    if (knowledge === null) return NO_KNOWLEDGE;
    const { heard } = understand(text, signsFor(knowledge, subjectOf(job, family)));
    return accept(event('complaint-told', { id, text: text.trim(), heard }));
  },
  'answer-question': (job, data, context) => {
    const found = signOf(job, context, data.sign);
    if (!found.ok) return found;
    const outcome = found.sign.outcomes.find(({ id }) => id === data.outcome);
    if (outcome === undefined) return refuseField('outcome', `“${found.sign.name}” has no answer “${data.outcome}”.`);
    if (found.sign.method !== null) return refuse('is-a-check', `“${found.sign.name}” is checked, not asked.`);
    return accept(event('answer-given', { ...data, words: outcome.found }));
  },
  'strike-sign': (job, data) =>
    job.signs.some(({ id }) => id === data.id)
      ? accept(event('sign-struck', data))
      : refuse('not-there', 'That finding is not there.'),
  'record-check': (job, { id, check, outcome, typed, when }, context) => {
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
    return accept(
      event('check-recorded', {
        id,
        check,
        name: sign.name,
        outcome: chosen.id,
        result: judged?.words ?? chosen.found,
        verdict: chosen.id === restOf(sign) ? 'normal' : 'abnormal',
        typed: [...typed],
        band: judged?.band ?? null,
        when,
      }),
    );
  },
  'pass-over-check': (job, { id, check, why }, context) => {
    const found = signOf(job, context, check);
    if (!found.ok) return found;
    return accept(event('check-passed-over', { id, check, name: found.sign.name, why: why.trim() }));
  },
  'read-frame': (_, data) => {
    const parsed = parseDtc(data.code);
    if (!parsed.ok) return refuseField('code', parsed.message);
    return accept(event('frame-read', { ...data, code: parsed.dtc.code }));
  },
  'read-values': (_, data) =>
    data.values.length === 0
      ? refuse('nothing-read', 'No value was read.', 'Is the key on, and the adapter plugged in?')
      : accept(event('values-read', data)),
  'clear-codes': plain('codes-cleared'),
  'end-clearing': (job, data) => {
    const clearing = job.clearings.find(({ id }) => id === data.id);
    if (clearing === undefined) return refuse('not-there', 'Nothing was being cleared.');
    return clearing.ended === null
      ? accept(event('clearing-ended', data))
      : refuse('already-there', 'How that clearing ended is noted already.');
  },
  'compare-variant': (_, { id, kind, place, found }, { family }) => {
    const type = unitTypeOf(family, kind);
    if (type === null)
      return refuse(
        'nothing-to-compare',
        'The engine family says nothing of this unit.',
        'Note port, gasket, pins and mark in the family first.',
      );
    const wrong =
      (found.portMm === null ? null : within('portMm', found.portMm, 5, 200, 'mm')) ??
      (found.pins === null ? null : within('pins', found.pins, 0, 40));
    if (wrong) return wrong;
    const { verdict, words } = matchVariant(type.expected ?? UNKNOWN_VARIANT, found);
    return accept(event('variant-compared', { id, kind, place, expected: type.expected, found, verdict, words }));
  },
};
