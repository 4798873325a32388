import { id, line, list, oneOf, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link codesCleared} holds. */
export const codesClearedShape = record({ id, codes: list(line, { high: 200 }), from: line });
/** Codes were sent to be cleared. What was stored is kept before the request goes out. */
export const codesCleared = fact('codes-cleared', {
  shape: codesClearedShape,
  means: (job, data, stamp) => ({ clearings: [...job.clearings, { ...data, ...stamp, ended: null }] }),
  words: (data) => `Clearing ${data.codes.join(', ') || 'no codes'}`,
  undo: 'final',
  sheet: 'Complaint',
});

/** Notes what is stored before it is cleared. */
export const clearCodes = command('clear-codes', {
  shape: codesClearedShape,
  decide: (_, data) => accept(codesCleared.of(data)),
});

/** What {@link clearingEnded} holds. */
export const clearingEndedShape = record({ id, outcome: oneOf('cleared', 'failed'), words: line });
/** How a clearing ended. */
export const clearingEnded = fact('clearing-ended', {
  shape: clearingEndedShape,
  means: (job, { id, outcome, words }, stamp) => ({
    clearings: job.clearings.map((each) => (each.id === id ? { ...each, ended: { outcome, words, ...stamp } } : each)),
  }),
  words: (data) => (data.outcome === 'cleared' ? 'Codes cleared' : 'Codes not cleared'),
  undo: 'final',
  sheet: 'Complaint',
});

/** Says how a clearing ended. */
export const endClearing = command('end-clearing', {
  shape: clearingEndedShape,
  whenClosed: true,
  decide: (job, data) => {
    const clearing = job.clearings.find(({ id }) => id === data.id);
    if (clearing === undefined) return refuse('not-there', 'Nothing was being cleared.');
    return clearing.ended === null
      ? accept(clearingEnded.of(data))
      : refuse('already-there', 'How that clearing ended is noted already.');
  },
});
