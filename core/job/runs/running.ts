import {
  advance,
  type FlagName,
  type ReadingName,
  recipe as recipeById,
  type Run,
  startRun,
} from '../../relearn/index.ts';
import {
  flag,
  id,
  line,
  list,
  number,
  numberWithin,
  oneOf,
  paragraph,
  record,
  type TypeOf,
  variants,
  wholeWithin,
} from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, within } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import { held } from '../proof/held.ts';
import { recipe } from '../shapes.ts';

const readingName = oneOf('ect', 'rpm', 'speed');
const flagName = oneOf('loads-off', 'fan-running', 'bubbles', 'heater-hot');

/** What a person types or ticks while a run goes on; its time is the entry's. */
export const runInput = variants(
  'kind',
  record({ kind: oneOf('confirm') }),
  record({ kind: oneOf('tick') }),
  record({ kind: oneOf('reading'), name: readingName, value: number }),
  record({ kind: oneOf('flag'), name: flagName, on: flag }),
);
/** See {@link runInput}. */
export type RunInputData = TypeOf<typeof runInput>;

/** What {@link runStarted} holds. */
export const runStartedShape = record({ id, recipe });
/** A relearn or bleed began; its recipe is kept whole. */
export const runStarted = fact('run-started', {
  shape: runStartedShape,
  means: (job, { id, recipe }, stamp) => ({
    runs: [...job.runs, { id, run: startRun(recipe, stamp.at), closed: null, ...stamp }],
  }),
  words: (data) => `${data.recipe.name} started`,
  sheet: 'Bleeding and relearn',
});

/** Starts a run. */
export const beginRun = command('start-run', {
  shape: record({ id, recipeId: id }),
  decide: (job, data) => {
    const found = recipeById(data.recipeId);
    if (found === undefined) return refuse('no-such-run', 'That run is not known here.');
    if (job.runs.some(({ id }) => id === data.id)) return refuse('already-there', 'That run was started already.');
    if (job.runs.some(({ closed }) => closed === null))
      return refuse('run-open', 'Another run is still open.', 'Close it first: took, did not take or abandoned.');
    // A bleed that was broken off is put right by bleeding.
    return (
      held(job, found.purpose === 'bleed' ? 'bleed' : undefined) ??
      accept(runStarted.of({ id: data.id, recipe: found }))
    );
  },
});

/** What {@link runAdvanced} holds. */
export const runAdvancedShape = record({
  runId: id,
  input: runInput,
  /** Where the run stood after it: a later program that counts otherwise changes nothing of what was done. */
  reached: record({
    at: wholeWithin({ low: 0 }),
    status: oneOf('running', 'complete', 'ended badly'),
    counted: numberWithin({ low: 0 }),
    readings: list(record({ name: readingName, value: number })),
    flags: list(record({ name: flagName, on: flag })),
    said: paragraph,
  }),
});
type Reached = TypeOf<typeof runAdvancedShape>['reached'];

const reachedBy = ({ at, status, counted, readings, flags, said }: Run): Reached => ({
  at,
  status,
  counted,
  readings: (Object.entries(readings) as [ReadingName, number][]).map(([name, value]) => ({ name, value })),
  flags: (Object.entries(flags) as [FlagName, boolean][]).map(([name, on]) => ({ name, on })),
  said,
});

const runThere = (run: Run, { readings, flags, ...reached }: Reached, asOf: string): Run => ({
  ...run,
  ...reached,
  asOf,
  readings: Object.fromEntries(readings.map(({ name, value }) => [name, value])),
  flags: Object.fromEntries(flags.map(({ name, on }) => [name, on])),
});

/** Something was confirmed, read or ticked while a run goes on. */
export const runAdvanced = fact('run-advanced', {
  shape: runAdvancedShape,
  earlier: [
    // At first only the input was kept, and the run worked out from it.
    earlier(record({ runId: id, input: runInput }), (data, job, { at }) => {
      const run = job?.runs.find((entry) => entry.id === data.runId)?.run;
      if (run === undefined) throw new Error(`Expected run ${data.runId} to have been started.`);
      return { ...data, reached: reachedBy(advance(run, { ...data.input, at })) };
    }),
  ],
  means: (job, { runId, reached }, { at }) => ({
    runs: job.runs.map((entry) => (entry.id === runId ? { ...entry, run: runThere(entry.run, reached, at) } : entry)),
  }),
  words: (data) => (data.input.kind === 'reading' ? `${data.input.name} ${data.input.value}` : 'Run goes on'),
  sheet: { no: 'how the run ended is printed' },
});

/** Goes on with a run. */
export const advanceRun = command('advance-run', {
  shape: record({ runId: id, input: runInput }),
  decide: (job, data, _, at) => {
    const run = job.runs.find(({ id }) => id === data.runId);
    if (run === undefined || run.closed !== null) return refuse('run-not-open', 'That run is not open.');
    if (data.input.kind === 'reading') {
      const bounds = { ect: [-50, 150], rpm: [0, 10_000], speed: [0, 300] } as const;
      const [low, high] = bounds[data.input.name];
      const wrong = within('value', data.input.value, low, high);
      if (wrong) return wrong;
    }
    const reached = reachedBy(advance(run.run, { ...data.input, at: at ?? run.run.asOf }));
    return accept(runAdvanced.of({ ...data, reached }));
  },
});

/** What {@link runClosed} holds. */
export const runClosedShape = record({ runId: id, outcome: oneOf('took', 'did not take', 'abandoned'), why: line });
/** A run ended, in the person’s judgement. */
export const runClosed = fact('run-closed', {
  shape: runClosedShape,
  means: (job, { runId, outcome, why }, stamp) => ({
    runs: job.runs.map((entry) => (entry.id === runId ? { ...entry, closed: { ...stamp, outcome, why } } : entry)),
  }),
  words: (data) => `Run ${data.outcome}`,
  sheet: 'Bleeding and relearn',
});

/** Ends a run. */
export const closeRun = command('close-run', {
  shape: runClosedShape,
  decide: (job, data) => {
    const run = job.runs.find(({ id }) => id === data.runId);
    if (run === undefined || run.closed !== null) return refuse('run-not-open', 'That run is not open.');
    if (data.outcome !== 'took')
      return nonEmpty('why', data.why, 'Say why, for the next attempt.') ?? accept(runClosed.of(data));
    return run.run.status === 'complete'
      ? accept(runClosed.of(data))
      : refuse('run-not-complete', 'It has not gone through all its steps.', 'Finish it, or close it as abandoned.');
  },
});
