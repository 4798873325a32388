import { id, keyOf, line, list, oneOf, orNull, paragraph, record, whole } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField, within } from '../decision.ts';
import { fact } from '../fact.ts';
import { minorUnits } from '../shapes.ts';
import { CHOICES } from './choices.ts';
import { DEAREST } from './dearest.ts';

/** What {@link estimateMade} holds. */
export const estimateMadeShape = record({
  id,
  choice: keyOf(CHOICES),
  lines: list(record({ words: line, minor: whole }), { high: 40 }),
  lowMinor: minorUnits,
  highMinor: minorUnits,
  currency: line,
  note: paragraph,
});
/** An estimate was made for the customer. */
export const estimateMade = fact('estimate-made', {
  shape: estimateMadeShape,
  means: (job, data, stamp) => ({ estimates: [...job.estimates, { ...data, ...stamp, answer: null }] }),
  words: () => 'Estimate made',
  putRight: {},
  sheet: 'Checked and decided',
});

/** Makes an estimate. */
export const makeEstimate = command('make-estimate', {
  shape: estimateMadeShape,
  decide: (job, data) => {
    if (job.decision === null)
      return refuse('not-decided', 'Nothing is decided yet.', 'Decide first; the estimate follows from it.');
    if (data.lines.length === 0) return refuseField('lines', 'An estimate needs at least one line.');
    for (const { minor } of data.lines) {
      const wrong = within('lines', minor, 0, DEAREST);
      if (wrong) return wrong;
    }
    return data.lowMinor <= data.highMinor
      ? accept(estimateMade.of(data))
      : refuseField('highMinor', 'Expected the smaller sum first.');
  },
});

/** What {@link estimateAnswered} holds. */
export const estimateAnsweredShape = record({
  id,
  answer: oneOf('approved', 'declined', 'up to'),
  limitMinor: orNull(whole),
  who: line,
  how: line,
  note: line,
});
/** The customer answered an estimate. */
export const estimateAnswered = fact('estimate-answered', {
  shape: estimateAnsweredShape,
  means: (job, { id, ...answer }, stamp) => ({
    estimates: job.estimates.map((each) => (each.id === id ? { ...each, answer: { ...answer, ...stamp } } : each)),
  }),
  words: (data) => `Estimate ${data.answer === 'up to' ? 'approved with a limit' : data.answer}`,
  sheet: 'Checked and decided',
});

/** Notes the customer’s answer. */
export const answerEstimate = command('answer-estimate', {
  shape: estimateAnsweredShape,
  decide: (job, data) => {
    if (!job.estimates.some(({ id }) => id === data.id)) return refuse('not-there', 'There is no such estimate.');
    if (data.answer === 'up to' && data.limitMinor === null) return refuseField('limitMinor', 'Up to how much?');
    return (
      nonEmpty('who', data.who, 'Who answered?') ??
      (data.limitMinor === null ? null : within('limitMinor', data.limitMinor, 0, DEAREST)) ??
      accept(estimateAnswered.of(data))
    );
  },
});
