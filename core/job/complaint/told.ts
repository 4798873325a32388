import {
  findingWords,
  interpret,
  type Knowledge,
  signsFor,
  type Understood,
  understand,
} from '../../diagnose/index.ts';
import { id, line, list, paragraph, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { attemptTold } from '../diagnosis/attempts.ts';
import { subjectOf, unitsOf } from '../diagnosis/findings.ts';
import { NO_KNOWLEDGE, signOf } from '../diagnosis/signs.ts';
import { type EngineFamily, figuresOf } from '../../vehicle/index.ts';
import { fact, type MadeFact } from '../fact.ts';
import type { Job } from '../job.ts';
import { codeRead } from './codes.ts';

/** What {@link complaintTold} holds. */
export const complaintToldShape = record({
  id,
  text: paragraph,
  heard: list(record({ sign: id, outcome: id, phrase: line }), { high: 100 }),
});
/** What was said, and the findings that were heard in it: later phrases change nothing of it. */
export const complaintTold = fact('complaint-told', {
  shape: complaintToldShape,
  means: (job, { id, text, heard }, stamp) => ({
    told: [...job.told, { id, text, ...stamp }],
    signs: [
      ...job.signs.filter(({ sign }) => !heard.some((one) => one.sign === sign)),
      ...heard.map(({ sign, outcome, phrase }, index) => ({
        id: `${id}-${index + 1}`,
        sign,
        outcome,
        words: phrase,
        source: 'said' as const,
        ...stamp,
      })),
    ],
  }),
  words: (data) => `Told: ${data.text.replace(/[.]+$/, '')}`,
  putRight: {},
  sheet: 'Complaint',
});

/** Takes down what was said and weighs it. */
export const tellComplaint = command('tell-complaint', {
  shape: record({ id, text: paragraph }),
  asks: () => ({ knowledge: 'own', family: true }),
  decide: (job, { id, text }, { knowledge, family }) => {
    const missing = nonEmpty('text', text, 'Say what it does, in your own words.');
    if (missing) return missing;
    if (knowledge === null) return NO_KNOWLEDGE;
    return accept(...whatWasTold(job, { id, text: text.trim() }, knowledge, family));
  },
});

/**
 * What somebody said, as facts: the findings heard in it, attempts and how they went, codes, and an idle speed judged
 * by the family's band. What can be read two ways is asked back, and weighed once it is answered.
 */
export function whatWasTold(
  job: Job,
  { id, text }: { readonly id: string; readonly text: string },
  knowledge: Knowledge,
  family: EngineFamily | null,
): MadeFact[] {
  const signs = signsFor(knowledge, subjectOf(job, family));
  const told = understand(text, signs, knowledge.ownPhrases);
  const idle = idleOf(job, told, knowledge, family);
  return [
    complaintTold.of({
      id,
      text,
      heard: [...told.heard.map(({ sign, outcome, phrase }) => ({ sign, outcome, phrase })), ...idle],
    }),
    ...told.attempts.map(({ option, kind, helped, days, phrase }, index) => {
      const unit = kind === null ? undefined : unitsOf(job, family).find((each) => each.kind === kind);
      return attemptTold.of({
        id: `${id}-tried-${index + 1}`,
        option,
        ...(unit === undefined ? {} : { unit }),
        helped,
        ago: { km: null, h: null, days: days === null ? null : Math.round(days) },
        words: phrase.slice(0, 200),
      });
    }),
    ...told.codes
      .filter((code) => !job.codes.some((read) => read.code === code && read.when === 'before'))
      .map((code, index) =>
        codeRead.of({ id: `${id}-code-${index + 1}`, code, status: 'stored', when: 'before', note: 'as told' }),
      ),
  ];
}

/** An idle speed that was named, as the finding it amounts to. */
function idleOf(
  job: Job,
  { idleRpm }: Understood,
  { signs }: Knowledge,
  family: EngineFamily | null,
): { sign: string; outcome: string; phrase: string }[] {
  const sign = signs.find(({ id }) => id === 'idle-speed');
  if (idleRpm === null || sign === undefined) return [];
  const judged = interpret(sign, [String(idleRpm)], figuresOf(job.vehicle, family));
  return judged.ok
    ? [
        {
          sign: sign.id,
          outcome: judged.outcome,
          phrase: `${idleRpm} rpm, ${findingWords(signs, { sign: sign.id, outcome: judged.outcome })}`,
        },
      ]
    : [];
}

/** What {@link answerGiven} holds. */
export const answerGivenShape = record({ id, sign: id, outcome: id, words: line });
/** A question was answered. */
export const answerGiven = fact('answer-given', {
  shape: answerGivenShape,
  means: (job, data, stamp) => ({
    signs: [...job.signs.filter(({ sign }) => sign !== data.sign), { ...data, source: 'asked', ...stamp }],
  }),
  words: (data) => `Answered: ${data.words}`,
  putRight: {},
  sheet: 'Complaint',
});

/** Answers a question of the conversation. */
export const answerQuestion = command('answer-question', {
  shape: record({ id, sign: id, outcome: id }),
  asks: () => ({ knowledge: 'own', family: true }),
  decide: (job, data, context) => {
    const found = signOf(job, context, data.sign);
    if (!found.ok) return found;
    const outcome = found.sign.outcomes.find(({ id }) => id === data.outcome);
    if (outcome === undefined) return refuseField('outcome', `“${found.sign.name}” has no answer “${data.outcome}”.`);
    if (found.sign.method !== null) return refuse('is-a-check', `“${found.sign.name}” is checked, not asked.`);
    return accept(answerGiven.of({ ...data, words: outcome.found }));
  },
});

/** What {@link signStruck} holds. */
export const signStruckShape = record({ id });
/** A finding that was heard or asked was struck out. */
export const signStruck = fact('sign-struck', {
  shape: signStruckShape,
  means: (job, { id }) => ({ signs: job.signs.filter((sign) => sign.id !== id) }),
  words: (data, job) => `Struck out: ${job.signs.find(({ id }) => id === data.id)?.words ?? 'a finding'}`,
  sheet: { no: 'what was said stays on the sheet as it was said' },
});

/** Strikes a finding that was heard or asked. */
export const strikeSign = command('strike-sign', {
  shape: signStruckShape,
  decide: (job, data) =>
    job.signs.some(({ id }) => id === data.id)
      ? accept(signStruck.of(data))
      : refuse('not-there', 'That finding is not there.'),
});
