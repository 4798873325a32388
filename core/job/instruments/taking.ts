import { day, id, keyOf, line, number, orNull, record, time } from '../../shape/index.ts';
import { INSTRUMENT_KINDS } from '../../instruments/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link figureTaken} holds. */
export const figureTakenShape = record({
  id,
  /** The field that it went into, by its label. */
  label: line,
  /** As it went into the field. */
  shown: line,
  value: number,
  unit: line,
  instrument: keyOf(INSTRUMENT_KINDS),
  name: line,
  /** What the instrument can measure, in its own unit. */
  low: number,
  high: number,
  rangeUnit: line,
  calibratedOn: orNull(day),
  readAt: time,
});
/** A figure came from an instrument of the bench, and not from a hand. */
export const figureTaken = fact('figure-taken', {
  shape: figureTakenShape,
  means: (job, data, stamp) => ({ figuresTaken: [...job.figuresTaken, { ...data, ...stamp }] }),
  words: ({ label, shown, name }) => `${label}: ${shown} from the ${lowerFirst(name)}`,
  sheet: 'Checked and decided',
});

/** Notes that a figure came from an instrument. */
export const noteFigureTaken = command('note-figure-taken', {
  shape: figureTakenShape,
  decide: (_, data) => accept(figureTaken.of(data)),
});
