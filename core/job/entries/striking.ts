import { id, line, list, paragraph, record, time, whole, wholeWithin } from '../../shape/index.ts';
import { command } from '../command.ts';
import { fact } from '../fact.ts';

/** What {@link entryStruck} holds. `seqs`: the entry and what fell with it, oldest first. */
export const entryStruckShape = record({
  seqs: list(whole, { low: 1, high: 10_000 }),
  words: line,
  instead: line,
  why: paragraph,
});
/** An entry was struck, or struck to be said anew. What that means needs all other entries, and is said by `evolve`. */
export const entryStruck = fact('entry-struck', {
  shape: entryStruckShape,
  means: () => ({}),
  words: ({ words, instead }) => (instead === '' ? `Struck: ${words}` : `Put right: ${words}`).slice(0, 59),
  sheet: 'Put right',
});

/** What {@link entryMoved} holds. */
export const entryMovedShape = record({
  seqs: list(whole, { low: 1, high: 10_000 }),
  words: line,
  was: time,
  is: time,
  why: paragraph,
});
/** The time of an entry was put right. What that means is said by `evolve`. */
export const entryMoved = fact('entry-moved', {
  shape: entryMovedShape,
  means: () => ({}),
  words: ({ words }) => `Time put right: ${words}`.slice(0, 59),
  sheet: 'Put right',
});

/** Which entry: see `EntryName`. */
const entry = { command: id, kind: id, nth: wholeWithin({ low: 0, high: 1000 }), why: paragraph } as const;

/** Strikes an entry, and what stands on it. Decided by `decide`, which knows every fact. */
export const strikeEntry = command('strike-entry', {
  shape: record(entry),
  decide: () => {
    throw new Error('Expected decide() to take this one.');
  },
});

/** Says an entry anew: `is` holds the fields that change, as typed. Judged by the command that said it first. */
export const correctEntry = command('correct-entry', {
  shape: record({ ...entry, is: list(record({ field: line, text: paragraph }), { low: 1, high: 40 }) }),
  decide: strikeEntry.decide,
});

/** Puts the time of an entry right. */
export const moveEntry = command('move-entry', {
  shape: record({ ...entry, at: time }),
  decide: strikeEntry.decide,
});
