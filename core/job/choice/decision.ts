import { findingWords } from '../../diagnose/index.ts';
import { departure, HOUSE_QUESTIONS, ruleFor, schoolOfChoice } from '../../house/index.ts';
import {
  id,
  keyOf,
  line,
  list,
  number,
  paragraph,
  optional,
  record,
  type TypeOf,
  wholeWithin,
} from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import type { Context } from '../context.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { diagnoseJob, isOrdinary } from '../diagnosis/diagnose.ts';
import { fact, type MadeFact } from '../fact.ts';
import type { Job } from '../job.ts';
import { optionFigures } from '../shapes.ts';
import { CHOICES } from './choices.ts';
import type { OptionFigures } from './state.ts';

/** How many causes are kept with a decision; the rest is noise. */
const KEPT_CAUSES = 6;

/** What {@link decisionMade} holds. */
export const decisionMadeShape = record({
  choice: keyOf(CHOICES),
  reason: paragraph,
  /** The steps of the plan by way, the first of which is the choice; left out where only one thing was decided. */
  plan: optional(list(line, { high: 3 })),
});
/** What is to be done, and why. */
export const decisionMade = fact('decision-made', {
  shape: decisionMadeShape,
  means: (_, data, stamp) => ({ decision: { ...data, ...stamp } }),
  words: (data) => `Decided: ${lowerFirst(CHOICES[data.choice])}`,
  sheet: 'Checked and decided',
});

/** What {@link beliefKept} holds. */
export const beliefKeptShape = record({
  knowledge: wholeWithin({ low: 1 }),
  /** A cause at one of several units is named with its unit. */
  causes: list(record({ id: line, name: line, share: number }), { high: 40 }),
  findings: list(line, { high: 200 }),
  options: list(optionFigures, { high: 12 }),
});
/** What was believed at the moment of the decision, and what the options looked like. */
export const beliefKept = fact('belief-kept', {
  shape: beliefKeptShape,
  means: (_, data, stamp) => ({ belief: { ...data, ...stamp } }),
  words: (_, job) => `Decided: ${job.decision === null ? '' : lowerFirst(CHOICES[job.decision.choice])}`,
  sheet: 'Checked and decided',
});

/** What {@link ruleDeparted} holds. */
export const ruleDepartedShape = record({ question: id, rule: id, taken: id, reason: line });
/** The job departs from a house rule, with why. */
export const ruleDeparted = fact('rule-departed', {
  shape: ruleDepartedShape,
  means: (job, data, stamp) => ({
    departures: [...job.departures.filter(({ question }) => question !== data.question), { ...data, ...stamp }],
  }),
  words: (data) => `House rule departed from: ${data.reason}`,
  sheet: 'Checked and decided',
});

/** Decides. `departure` says why, when the choice departs from a house rule. */
export const decideOn = command('decide', {
  shape: record({ ...decisionMadeShape.fields, departure: line, options: list(optionFigures, { high: 12 }) }),
  asks: () => ({ knowledge: 'own', family: true, rules: true }),
  decide: (job, { choice: taken, reason, departure: why, options, plan }, context) => {
    const missing = nonEmpty('reason', reason, 'Say why, in a few words: the sheet carries it.');
    if (missing) return missing;
    const departs = departure(context.rules, taken);
    const known = job.departures.some(({ question }) => question === departs?.question.id);
    if (departs !== null && why.trim() === '' && !known)
      return refuseField(
        'departure',
        `House rule: ${departs.rule.name.toLowerCase()}. Say why this job departs from it.`,
      );
    return accept(
      decisionMade.of({ choice: taken, reason, ...(plan === undefined ? {} : { plan }) }),
      ...beliefEvents(job, context, options),
      ...(departs === null || why.trim() === ''
        ? []
        : [
            ruleDeparted.of({
              question: departs.question.id,
              rule: departs.rule.id,
              taken: schoolOfChoice(taken)?.school ?? taken,
              reason: why.trim(),
            }),
          ]),
    );
  },
});

/** Departs from a house rule. */
export const departFromRule = command('depart-from-rule', {
  shape: record({ question: id, taken: id, reason: line }),
  asks: () => ({ rules: true }),
  decide: (_, { question, taken, reason }, { rules }) => {
    const asked = HOUSE_QUESTIONS.find(({ id }) => id === question);
    if (asked === undefined) return refuse('no-such-rule', 'There is no such house rule.');
    if (!asked.schools.some(({ id }) => id === taken))
      return refuseField('taken', `“${asked.question}” has no answer “${taken}”.`);
    const rule = ruleFor(rules, question);
    if (rule === null || rule.id === taken) return refuse('no-departure', 'That is what the house rule says.');
    return (
      nonEmpty('reason', reason, 'Say why this job departs from the house rule.') ??
      accept(ruleDeparted.of({ question, rule: rule.id, taken, reason: reason.trim() }))
    );
  },
});

/** What is believed now, so that it can be read when the vehicle comes back. */
function beliefEvents(job: Job, { knowledge, family }: Context, options: readonly OptionFigures[]): MadeFact[] {
  if (knowledge === null) return [];
  const { ranking, findings } = diagnoseJob(job, knowledge, family);
  const names = new Map(knowledge.causes.map(({ id, name }) => [id, name]));
  const kept: TypeOf<typeof beliefKeptShape> = {
    knowledge: knowledge.version,
    causes: ranking.causes.slice(0, KEPT_CAUSES).map(({ id, cause, unit, share }) => ({
      id,
      name: `${names.get(cause) ?? cause}${id === cause || unit === null ? '' : `, ${unit.place}`}`,
      share,
    })),
    findings: findings
      .filter((finding) => finding.source !== 'codes read' && !isOrdinary(knowledge.signs, finding))
      .map((finding) => findingWords(knowledge.signs, finding)),
    options: [...options],
  };
  return [beliefKept.of(kept)];
}
