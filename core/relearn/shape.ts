import { UNITS } from '../quantity/index.ts';
import {
  flag,
  id,
  keyOf,
  line,
  list,
  number,
  numberWithin,
  oneOf,
  orNull,
  paragraph,
  record,
  type TypeOf,
  variants,
  wholeWithin,
} from '../shape/index.ts';
import { UNIT_KINDS } from '../vehicle/index.ts';
import { READINGS } from './readings.ts';

/** The kinds of step. Stored: never change one. */
export const STEP_KINDS = ['key', 'pedal', 'wait', 'hold rpm', 'idle until', 'drive', 'tool', 'check'] as const;
/** Where a way out of a step may lead besides a step: the run is done, or it ended badly. */
export const ENDS = { done: 'the run is done', failed: 'the run ended badly' } as const;
/** The most steps that a recipe may have. */
export const MOST_STEPS = 40;

/** A step's id, or one of {@link ENDS}. */
const wayOut = id;
/** What must hold for a step's time to count; a reading in the unit that its writer thinks in. */
export const runCondition = variants(
  'kind',
  record({
    kind: oneOf('reading'),
    name: keyOf(READINGS),
    low: orNull(number),
    high: orNull(number),
    unit: keyOf(UNITS),
    /** Own words for it; empty to have it said from its figures. */
    words: line,
  }),
  record({ kind: oneOf('flag'), name: id, on: flag, words: line }),
);
/** A reading that ends a step badly, and where to go on then. */
export const badEnd = record({
  name: keyOf(READINGS),
  below: orNull(number),
  above: orNull(number),
  unit: keyOf(UNITS),
  words: line,
  goTo: wayOut,
});
/** One way out of a step, in the words that a person taps. */
export const wayOn = record({ words: line, goTo: wayOut });
/** One step of a recipe. */
export const runStep = record({
  id,
  kind: oneOf(...STEP_KINDS),
  title: line,
  how: paragraph,
  /** Seconds to hold, or null when it is done as soon as it is confirmed. */
  seconds: orNull(numberWithin({ low: 0 })),
  conditions: list(runCondition, { high: 10 }),
  /** Time does not count while any of these is the case. */
  pausedBy: list(id, { high: 10 }),
  endsBadly: list(badEnd, { high: 10 }),
  /** What is asked when it is done; without any it goes on to the next step. */
  answers: list(wayOn, { high: 8 }),
  /** What may be done instead of it. */
  instead: list(wayOn, { high: 8 }),
  /** After it, back to an earlier step until it has been done so many times in all. */
  again: orNull(record({ back: id, times: wholeWithin({ low: 2, high: 50, words: 'Expected 2 to 50 times.' }) })),
  /** What is typed when it is done: “what the tool said last”. Empty for nothing. */
  asks: line,
});
/** A run’s description, as data that a shop writes itself. */
export const recipeShape = record({
  id,
  name: line,
  purpose: oneOf('bleed', 'relearn'),
  /** Gone through step by step, left to the engine computer itself, or not needed at all. */
  way: oneOf('steps', 'itself', 'none'),
  /** When it is left to itself: after how much driving or running to look again. */
  lookAgain: orNull(record({ value: number, unit: oneOf('km', 'mi', 'h', 'd') })),
  /** Where it comes from; null is a shop figure to be verified. */
  source: orNull(line),
  /** Counts up with each save; 0 came with the program. */
  version: wholeWithin({ low: 0 }),
  /** What it is for; all empty is for anything. */
  fits: record({
    families: list(id, { high: 50 }),
    kinds: list(keyOf(UNIT_KINDS), { high: 20 }),
    vehicles: list(id, { high: 50 }),
  }),
  /** What is or is not the case, in this recipe’s own words. */
  flags: list(record({ id, on: line, off: line }), { high: 20 }),
  steps: list(runStep, { high: MOST_STEPS, words: `Expected at most ${MOST_STEPS} steps.` }),
});

export type RunStepKind = (typeof STEP_KINDS)[number];
/** Something that must hold for the step's time to count. */
export type RunCondition = TypeOf<typeof runCondition>;
/** A reading that ends the attempt, and where to go on then. */
export type BadEnd = TypeOf<typeof badEnd>;
/** See {@link wayOn}. */
export type WayOn = TypeOf<typeof wayOn>;
/** See {@link runStep}. */
export type RunStep = TypeOf<typeof runStep>;
/** See {@link recipeShape}. */
export type Recipe = TypeOf<typeof recipeShape>;
