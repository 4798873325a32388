import { id, keyOf, line, paragraph, record } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { MISHAPS } from './kinds.ts';

/** What {@link mishapNoted} holds. */
export const mishapNotedShape = record({
  id,
  kind: keyOf(MISHAPS),
  /** What happened. */
  what: paragraph,
  /** To whom or to what. */
  whom: line,
  /** What was done about it. */
  done: line,
});
/** Something went wrong that hurt somebody, or might have. */
export const mishapNoted = fact('mishap-noted', {
  shape: mishapNotedShape,
  means: (job, data, stamp) => ({ mishaps: [...job.mishaps, { ...data, ...stamp }] }),
  words: ({ kind }) => `Mishap: ${lowerFirst(MISHAPS[kind].name)}`,
  putRight: {
    anew: {
      command: 'note-mishap',
      from: (data) => data,
      fields: { what: { label: 'What happened' }, whom: { label: 'To whom' }, done: { label: 'What was done' } },
    },
  },
  sheet: 'Left over or unusual',
});

/** Notes a mishap, at any moment. */
export const noteMishap = command('note-mishap', {
  shape: mishapNotedShape,
  whenClosed: true,
  decide: (job, data) =>
    job.mishaps.some(({ id }) => id === data.id)
      ? refuse('already-there', 'That mishap was noted already.')
      : (nonEmpty('what', data.what, 'Say in a line what happened.') ?? accept(mishapNoted.of(data))),
});
