import { list, line, record, id, whole } from '../shape/index.ts';
import { command } from './command.ts';
import { accept, refuse } from './decision.ts';
import { fact } from './fact.ts';

/** What {@link undone} holds: the entries that were taken back, and what the last of them was called. */
export const undoneShape = record({ seqs: list(whole, { low: 1 }), what: line });

/** An action was taken back. What that means needs the way back, and is said by `evolve` itself. */
export const undone = fact('undone', {
  shape: undoneShape,
  means: () => ({}),
  words: ({ what }) => `Undone: ${what}`,
  undo: 'final',
  sheet: { no: 'what was taken back is as if it had not been' },
});

/** Takes the last action back; `expected` is the command that the person saw as the last. */
export const undo = command('undo', {
  shape: record({ expected: id }),
  decide: (job, { expected }) => {
    const last = job.undo;
    if (last === null) return refuse('nothing-to-undo', 'There is nothing to undo.');
    if (last.commandId !== expected)
      return refuse('not-the-last', `Something came after it: ${last.label}.`, 'Undo that first.');
    return accept(undone.of({ seqs: last.seqs, what: last.label }));
  },
});

/** What {@link redone} holds: the entries that count again, and what the last of them was called. */
export const redoneShape = record({ seqs: list(whole, { low: 1 }), what: line });

/** What was taken back counts again. What that means is said by `evolve`. */
export const redone = fact('redone', {
  shape: redoneShape,
  means: () => ({}),
  words: ({ what }) => `Done again: ${what}`,
  undo: 'final',
  sheet: { no: 'what counts again stands where it stood' },
});

/** Does again what was taken back last; `expected` is the undo that took it back, so that two people do it once. */
export const redo = command('redo', {
  shape: record({ expected: id }),
  decide: (job, { expected }) => {
    if (job.redo === null) return refuse('nothing-to-redo', 'There is nothing to do again.');
    if (job.redo.by !== expected)
      return refuse('not-the-last', 'Something else was taken back since.', 'Look at what is there now.');
    return accept(redone.of({ seqs: job.redo.facts.map(({ seq }) => seq), what: job.redo.label }));
  },
});

/** Undo and redo as a subject of their own: they belong to all the others. */
export const UNDO = { facts: [undone, redone], commands: [undo, redo] } as const;
