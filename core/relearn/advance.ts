import type { Recipe, Run, RunCondition, RunInput, RunStep } from './types.ts';

/** A fresh run at its first step. @param at ISO time of the start */
export const startRun = (recipe: Recipe, at: string): Run => ({
  recipe,
  at: 0,
  status: 'running',
  counted: 0,
  asOf: at,
  readings: {},
  flags: {},
  said: '',
});

/** The step a run stands at, or null once it is over. */
export const currentStep = (run: Run): RunStep | null =>
  run.status === 'running' ? (run.recipe.steps[run.at] ?? null) : null;

const seconds = (from: string, to: string): number => Math.max(0, (Date.parse(to) - Date.parse(from)) / 1000);

function holds(condition: RunCondition, run: Run): boolean {
  if (condition.kind === 'flag') return (run.flags[condition.name] ?? false) === condition.on;
  const value = run.readings[condition.name];
  if (value === undefined) return false;
  return (condition.low === null || value >= condition.low) && (condition.high === null || value <= condition.high);
}

/** Conditions of the current step that do not hold now; while any is missing its time does not count. */
export function missingConditions(run: Run): RunCondition[] {
  return currentStep(run)?.conditions.filter((condition) => !holds(condition, run)) ?? [];
}

/** Whether the clock of the current step is going. */
export function isCounting(run: Run): boolean {
  const step = currentStep(run);
  if (step === null || step.seconds === null) return false;
  return missingConditions(run).length === 0 && !step.pausedBy.some((flag) => run.flags[flag] === true);
}

/** Seconds counted in this step by a given moment. */
export const countedBy = (run: Run, now: string): number =>
  run.counted + (isCounting(run) ? seconds(run.asOf, now) : 0);

/** Seconds still to hold in this step, or null when it has no clock. */
export function remaining(run: Run, now: string): number | null {
  const step = currentStep(run);
  if (step === null || step.seconds === null) return null;
  return Math.max(0, step.seconds - countedBy(run, now));
}

/** Why a confirmation would not be taken yet, in words, or null. */
export function notYet(run: Run, now: string): string | null {
  const step = currentStep(run);
  if (step === null) return 'This run is over.';
  const missing = missingConditions(run);
  if (missing.length > 0) return `Not yet: ${missing.map(({ words }) => words).join(', ')}.`;
  const left = remaining(run, now);
  // A second of slack: the tap and the clock on the screen round differently.
  return left !== null && left > 1 ? `Hold for ${Math.ceil(left)} seconds more.` : null;
}

/**
 * Takes one input. A tick moves on only when a step's time is full; a confirmation only when {@link notYet} is null
 * (otherwise the run says why and stays). Readings and flags never lose counted time.
 */
export function advance(run: Run, input: RunInput): Run {
  const step = currentStep(run);
  if (step === null) return run;
  const upToNow: Run = { ...run, counted: countedBy(run, input.at), asOf: input.at, said: '' };
  switch (input.kind) {
    case 'reading': {
      const next: Run = { ...upToNow, readings: { ...run.readings, [input.name]: input.value } };
      const bad = step.endsBadly;
      if (bad === null || bad.name !== input.name) return next;
      const beyond = (bad.below !== null && input.value < bad.below) || (bad.above !== null && input.value > bad.above);
      return beyond ? endBadly(next, bad.words, bad.goTo) : next;
    }
    case 'flag':
      return { ...upToNow, flags: { ...run.flags, [input.name]: input.on } };
    case 'tick':
      return step.seconds !== null && upToNow.counted >= step.seconds ? moveOn(upToNow) : upToNow;
    case 'confirm': {
      const reason = notYet(run, input.at);
      return reason === null ? moveOn(upToNow) : { ...upToNow, said: reason };
    }
  }
}

function moveOn(run: Run): Run {
  const at = run.at + 1;
  const over = at >= run.recipe.steps.length;
  return { ...run, at, counted: 0, status: over ? 'complete' : 'running', said: over ? 'All steps done.' : '' };
}

function endBadly(run: Run, words: string, goTo: string | null): Run {
  const at = goTo === null ? -1 : run.recipe.steps.findIndex(({ id }) => id === goTo);
  return at < 0 ? { ...run, status: 'ended badly', said: words } : { ...run, at, counted: 0, said: words };
}
