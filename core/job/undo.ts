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

/** Undo as a subject of its own: it belongs to all the others. */
export const UNDO = { facts: [undone], commands: [undo] } as const;
