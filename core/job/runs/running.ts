import {
  advance,
  currentStep,
  type ReadingName,
  READINGS,
  recipeProblems,
  recipeShape,
  type Run,
  startRun,
  starterRecipe,
  stepsLeftOut,
} from '../../relearn/index.ts';
import {
  flag,
  id,
  keyOf,
  line,
  list,
  number,
  numberWithin,
  oneOf,
  optional,
  paragraph,
  record,
  type TypeOf,
  variants,
  wholeWithin,
} from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField, within } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import { held } from '../proof/held.ts';
import { earlierRecipe, recipeBroughtUp } from './earlierRecipe.ts';

const readingName = keyOf(READINGS);
const answer = wholeWithin({ low: 0, high: 20 });

/** What a person types or ticks while a run goes on; its time is the entry's. */
export const runInput = variants(
  'kind',
  record({ kind: oneOf('confirm'), answer: optional(answer), text: optional(line) }),
  record({ kind: oneOf('tick') }),
  record({ kind: oneOf('reading'), name: readingName, value: number }),
  record({ kind: oneOf('flag'), name: id, on: flag }),
  record({ kind: oneOf('instead'), answer }),
  record({ kind: oneOf('leave-out'), why: line, answer: optional(answer) }),
);
/** See {@link runInput}. */
export type RunInputData = TypeOf<typeof runInput>;

/** What {@link runStarted} holds. */
export const runStartedShape = record({ id, recipe: recipeShape });
/** A relearn or bleed began; its recipe is kept whole, in the version it began with. */
export const runStarted = fact('run-started', {
  shape: runStartedShape,
  earlier: [
    earlier(record({ id, recipe: earlierRecipe }), (data) => ({ ...data, recipe: recipeBroughtUp(data.recipe) })),
  ],
  means: (job, { id, recipe }, stamp) => ({
    runs: [...job.runs, { id, run: startRun(recipe, stamp.at), closed: null, ...stamp }],
  }),
  words: (data) => `${data.recipe.name} started`,
  sheet: 'Bleeding and relearn',
});

/** Starts a run; where none is needed it is closed in the same breath. */
export const beginRun = command('start-run', {
  shape: record({ id, recipeId: id, why: optional(line) }),
  asks: ({ recipeId }) => ({ recipe: recipeId }),
  decide: (job, { id, recipeId, why = '' }, context) => {
    const recipe = context.recipe ?? starterRecipe(recipeId);
    if (recipe === null) return refuse('no-such-run', 'That run is not known here.');
    const [wrong] = recipeProblems(recipe).filter(({ level }) => level === 'wrong');
    if (wrong !== undefined) return refuse('bad-recipe', `${recipe.name} cannot be worked by: ${wrong.words}`);
    if (job.runs.some((each) => each.id === id)) return refuse('already-there', 'That run was started already.');
    if (job.runs.some(({ closed, run }) => closed === null && run.recipe.purpose === recipe.purpose))
      return refuse('run-open', 'Another run is still open.', 'Close it first: took, did not take or abandoned.');
    const started = runStarted.of({ id, recipe });
    if (recipe.way === 'none')
      return (
        nonEmpty('why', why, 'Say why none is needed.') ??
        accept(started, runClosed.of({ runId: id, outcome: 'not needed', why: why.trim() }))
      );
    // A bleed that was broken off is put right by bleeding; what adapts by itself starts nothing.
    return recipe.way === 'itself'
      ? accept(started)
      : (held(job, recipe.purpose === 'bleed' ? 'bleed' : undefined) ?? accept(started));
  },
});

const rounds = list(record({ step: id, times: wholeWithin({ low: 0 }) }));
const leftOut = list(record({ step: id, why: line }));
const texts = list(record({ step: id, text: line }));
const reachedBefore = {
  at: wholeWithin({ low: 0 }),
  status: oneOf('running', 'complete', 'ended badly'),
  counted: numberWithin({ low: 0 }),
  readings: list(record({ name: readingName, value: number })),
  flags: list(record({ name: id, on: flag })),
  said: paragraph,
} as const;
const inputBefore = variants(
  'kind',
  record({ kind: oneOf('confirm') }),
  record({ kind: oneOf('tick') }),
  record({ kind: oneOf('reading'), name: readingName, value: number }),
  record({ kind: oneOf('flag'), name: id, on: flag }),
);
/** What {@link runAdvanced} holds. */
export const runAdvancedShape = record({
  runId: id,
  input: runInput,
  /** Where the run stood after it: a later program that counts otherwise changes nothing of what was done. */
  reached: record({ ...reachedBefore, rounds, leftOut, texts }),
});
type Reached = TypeOf<typeof runAdvancedShape>['reached'];

const reachedBy = ({ at, status, counted, readings, flags, rounds: turns, leftOut, texts, said }: Run): Reached => ({
  at,
  status,
  counted,
  readings: (Object.entries(readings) as [ReadingName, number][]).map(([name, value]) => ({ name, value })),
  flags: Object.entries(flags).map(([name, on]) => ({ name, on })),
  said,
  rounds: Object.entries(turns).map(([step, times]) => ({ step, times })),
  leftOut,
  texts,
});

const runThere = (run: Run, { readings, flags, rounds: turns, ...reached }: Reached, asOf: string): Run => ({
  ...run,
  ...reached,
  asOf,
  readings: Object.fromEntries(readings.map(({ name, value }) => [name, value])),
  flags: Object.fromEntries(flags.map(({ name, on }) => [name, on])),
  rounds: Object.fromEntries(turns.map(({ step, times }) => [step, times])),
});

/** Something was confirmed, read, ticked or left out while a run goes on. */
export const runAdvanced = fact('run-advanced', {
  shape: runAdvancedShape,
  earlier: [
    // At first only the input was kept, and the run worked out from it.
    earlier(record({ runId: id, input: inputBefore }), (data, job, { at }) => {
      const run = job?.runs.find((entry) => entry.id === data.runId)?.run;
      if (run === undefined) throw new Error(`Expected run ${data.runId} to have been started.`);
      const { rounds: _, leftOut: __, texts: ___, ...reached } = reachedBy(advance(run, { ...data.input, at }));
      return { ...data, reached };
    }),
    // Then steps were gone through in one line.
    earlier(record({ runId: id, input: inputBefore, reached: record(reachedBefore) }), (data) => ({
      ...data,
      reached: { ...data.reached, rounds: [], leftOut: [], texts: [] },
    })),
  ],
  means: (job, { runId, reached }, { at }) => ({
    runs: job.runs.map((entry) => (entry.id === runId ? { ...entry, run: runThere(entry.run, reached, at) } : entry)),
  }),
  words: ({ input }) =>
    input.kind === 'reading'
      ? `${READINGS[input.name].name} ${input.value} ${READINGS[input.name].unit}`
      : input.kind === 'leave-out'
        ? 'Step of the run left out'
        : 'Run goes on',
  sheet: { no: 'how the run ended is printed' },
});

/** Goes on with a run. */
export const advanceRun = command('advance-run', {
  shape: record({ runId: id, input: runInput }),
  decide: (job, data, _, at) => {
    const found = job.runs.find(({ id }) => id === data.runId);
    if (found === undefined || found.closed !== null) return refuse('run-not-open', 'That run is not open.');
    const { run } = found;
    const { input } = data;
    const step = currentStep(run);
    if (input.kind === 'reading') {
      const { bounds, unit } = READINGS[input.name];
      const wrong = within('value', input.value, bounds[0], bounds[1], unit);
      if (wrong) return wrong;
    }
    if (input.kind === 'confirm' && step !== null && step.asks !== '' && (input.text ?? '').trim() === '')
      return refuseField('text', `Type ${step.asks}.`);
    if (input.kind === 'leave-out') {
      const wrong = nonEmpty('leftOut', input.why, 'Say why this step is left out.');
      if (wrong) return wrong;
    }
    const asked = input.kind === 'confirm' || input.kind === 'leave-out' ? step?.answers : [];
    if (asked !== undefined && asked.length > 0 && 'answer' in input && asked[input.answer ?? -1] === undefined)
      return refuseField('answer', 'Say which it was.');
    return accept(runAdvanced.of({ ...data, reached: reachedBy(advance(run, { ...input, at: at ?? run.asOf })) }));
  },
});

/** What {@link runClosed} holds. */
export const runClosedShape = record({
  runId: id,
  outcome: oneOf('took', 'did not take', 'abandoned', 'not needed'),
  why: line,
});
/** A run ended, in the person’s judgement. */
export const runClosed = fact('run-closed', {
  shape: runClosedShape,
  means: (job, { runId, outcome, why }, stamp) => ({
    runs: job.runs.map((entry) => (entry.id === runId ? { ...entry, closed: { ...stamp, outcome, why } } : entry)),
  }),
  words: (data) => `Run ${data.outcome}`,
  sheet: 'Bleeding and relearn',
});

/** Ends a run. What was left out on the way asks for a why, and stands on the sheet; it refuses nothing. */
export const closeRun = command('close-run', {
  shape: runClosedShape,
  decide: (job, data) => {
    const found = job.runs.find(({ id }) => id === data.runId);
    if (found === undefined || found.closed !== null) return refuse('run-not-open', 'That run is not open.');
    if (data.outcome !== 'took')
      return nonEmpty('why', data.why, 'Say why, for the next attempt.') ?? accept(runClosed.of(data));
    const skipped = stepsLeftOut(found.run).filter(({ why }) => why === '');
    const badly = found.run.status === 'ended badly';
    const itself = found.run.recipe.way === 'itself';
    return (
      (skipped.length > 0 || badly || itself
        ? nonEmpty(
            'why',
            data.why,
            badly
              ? 'The run ended badly. Say how you know that it took.'
              : itself
                ? 'Say what was seen when somebody looked again.'
                : `It took with ${skipped.length === 1 ? 'a step' : `${skipped.length} steps`} still ahead. Say how you know.`,
          )
        : null) ?? accept(runClosed.of(data))
    );
  },
});
