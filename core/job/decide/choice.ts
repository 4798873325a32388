import { findingWords } from '../../diagnose/index.ts';
import { departure, HOUSE_QUESTIONS, ruleFor, schoolOfChoice } from '../../house/index.ts';
import { accept, type Context, refuse, refuseField } from '../commands.ts';
import { diagnoseJob, isOrdinary } from '../diagnosis.ts';
import { event, type EventData, type JobEvent } from '../events.ts';
import type { Job, OptionFigures } from '../types.ts';
import { type Handlers, nonEmpty, within } from './handlers.ts';

/** How many causes are kept with a decision; the rest is noise. */
const KEPT_CAUSES = 6;
/** A million crowns in minor units: more is a slip of the finger. */
const DEAREST = 100_000_000;

/** Decide, what the options cost, the estimate, and house rules. */
export const choice: Handlers<'decide' | 'set-terms' | 'make-estimate' | 'answer-estimate' | 'depart-from-rule'> = {
  decide: (job, { choice: taken, reason, departure: why, options }, context) => {
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
      event('decision-made', { choice: taken, reason }),
      ...beliefEvents(job, context, options),
      ...(departs === null || why.trim() === ''
        ? []
        : [
            event('rule-departed', {
              question: departs.question.id,
              rule: departs.rule.id,
              taken: schoolOfChoice(taken)?.school ?? taken,
              reason: why.trim(),
            }),
          ]),
    );
  },
  'set-terms': (_, data) =>
    (data.partsMinor === null ? null : within('partsMinor', data.partsMinor, 0, DEAREST)) ??
    within('minutes', data.minutes, 1, 6000, 'minutes') ??
    within('daysOff', data.daysOff, 0, 365, 'days') ??
    within('life', data.life, 1, 2_000_000) ??
    accept(event('terms-set', data)),
  'make-estimate': (job, data) => {
    if (job.decision === null)
      return refuse('not-decided', 'Nothing is decided yet.', 'Decide first; the estimate follows from it.');
    if (data.lines.length === 0) return refuseField('lines', 'An estimate needs at least one line.');
    for (const { minor } of data.lines) {
      const wrong = within('lines', minor, 0, DEAREST);
      if (wrong) return wrong;
    }
    return data.lowMinor <= data.highMinor
      ? accept(event('estimate-made', data))
      : refuseField('highMinor', 'Expected the smaller sum first.');
  },
  'answer-estimate': (job, data) => {
    if (!job.estimates.some(({ id }) => id === data.id)) return refuse('not-there', 'There is no such estimate.');
    if (data.answer === 'up to' && data.limitMinor === null) return refuseField('limitMinor', 'Up to how much?');
    return (
      nonEmpty('who', data.who, 'Who answered?') ??
      (data.limitMinor === null ? null : within('limitMinor', data.limitMinor, 0, DEAREST)) ??
      accept(event('estimate-answered', data))
    );
  },
  'depart-from-rule': (_, { question, taken, reason }, { rules }) => {
    const asked = HOUSE_QUESTIONS.find(({ id }) => id === question);
    if (asked === undefined) return refuse('no-such-rule', 'There is no such house rule.');
    if (!asked.schools.some(({ id }) => id === taken))
      return refuseField('taken', `“${asked.question}” has no answer “${taken}”.`);
    const rule = ruleFor(rules, question);
    if (rule === null || rule.id === taken) return refuse('no-departure', 'That is what the house rule says.');
    return (
      nonEmpty('reason', reason, 'Say why this job departs from the house rule.') ??
      accept(event('rule-departed', { question, rule: rule.id, taken, reason: reason.trim() }))
    );
  },
};

/** What is believed now, so that it can be read when the vehicle comes back. */
function beliefEvents(job: Job, { knowledge, family }: Context, options: readonly OptionFigures[]): JobEvent[] {
  if (knowledge === null) return [];
  const { ranking, findings } = diagnoseJob(job, knowledge, family);
  const names = new Map(knowledge.causes.map(({ id, name }) => [id, name]));
  const kept: EventData['belief-kept'] = {
    knowledge: knowledge.version,
    causes: ranking.causes.slice(0, KEPT_CAUSES).map(({ id, share }) => ({ id, name: names.get(id) ?? id, share })),
    findings: findings
      .filter((finding) => finding.source !== 'codes read' && !isOrdinary(knowledge.signs, finding))
      .map((finding) => findingWords(knowledge.signs, finding)),
    options: [...options],
  };
  return [event('belief-kept', kept)];
}
