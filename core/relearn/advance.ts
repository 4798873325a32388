import { convert } from '../quantity/index.ts';
import { upperFirst } from '../words/index.ts';
import { READINGS } from './readings.ts';
import type { Run, RunInput } from './run.ts';
import { type BadEnd, ENDS, type Recipe, type RunCondition, type RunStep, type WayOn } from './shape.ts';
import { badEndWords, conditionWords, lookAgainWords } from './words.ts';

/** A fresh run at its first step; one without steps is over at once. @param at ISO time of the start */
export function startRun(recipe: Recipe, at: string): Run {
  const { way, lookAgain } = recipe;
  const said =
    way === 'steps'
      ? ''
      : way === 'none'
        ? 'None is needed.'
        : `It adapts by itself. ${lookAgain === null ? 'Look' : `After ${lookAgainWords(lookAgain)} look`} again.`;
  return {
    recipe,
    at: 0,
    status: recipe.steps.length === 0 ? 'complete' : 'running',
    counted: 0,
    asOf: at,
    readings: {},
    flags: {},
    rounds: {},
    leftOut: [],
    texts: [],
    said,
  };
}

/** The step a run stands at, or null once it is over. */
export const currentStep = (run: Run): RunStep | null =>
  run.status === 'running' ? (run.recipe.steps[run.at] ?? null) : null;

const seconds = (from: string, to: string): number => Math.max(0, (Date.parse(to) - Date.parse(from)) / 1000);

function holds(condition: RunCondition, run: Run): boolean {
  if (condition.kind === 'flag') return (run.flags[condition.name] ?? false) === condition.on;
  const kept = run.readings[condition.name];
  if (kept === undefined) return false;
  const { unit } = READINGS[condition.name];
  const inside = (limit: number | null, sign: 1 | -1): boolean =>
    limit === null || sign * (kept - convert(limit, condition.unit, unit)) >= -1e-9;
  return inside(condition.low, 1) && inside(condition.high, -1);
}

/** Conditions of the current step that do not hold now; while any is missing its time does not count. */
export function missingConditions(run: Run): RunCondition[] {
  return currentStep(run)?.conditions.filter((condition) => !holds(condition, run)) ?? [];
}

/** What keeps the clock of the current step from going though its conditions hold, by the names of flags. */
export const pausesOf = (run: Run): string[] =>
  currentStep(run)?.pausedBy.filter((name) => run.flags[name] === true) ?? [];

/** Whether the clock of the current step is going. */
export function isCounting(run: Run): boolean {
  const step = currentStep(run);
  if (step === null || step.seconds === null) return false;
  return missingConditions(run).length === 0 && pausesOf(run).length === 0;
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

/** Why a confirmation would not be taken yet, in words, or null. What it asks is another matter. */
export function notYet(run: Run, now: string): string | null {
  const step = currentStep(run);
  if (step === null) return 'This run is over.';
  const missing = missingConditions(run);
  if (missing.length > 0)
    return `Not yet: ${missing.map((condition) => conditionWords(run.recipe, condition)).join(', ')}.`;
  const left = remaining(run, now);
  // A second of slack: the tap and the clock on the screen round differently.
  return left !== null && left > 1 ? `Hold for ${Math.ceil(left)} seconds more.` : null;
}

/** Whether the step goes on by itself when its time is full: nothing is asked at its end. */
const goesOnByItself = ({ seconds: held, answers, asks }: RunStep): boolean =>
  held !== null && answers.length === 0 && asks === '';

/**
 * Takes one input. A tick moves on only when a step's time is full and nothing is asked; a confirmation only when
 * {@link notYet} is null and what the step asks was said (otherwise the run says why and stays). Readings and flags
 * never lose counted time.
 */
export function advance(run: Run, input: RunInput): Run {
  const step = currentStep(run);
  if (step === null) return run;
  const upToNow: Run = { ...run, counted: countedBy(run, input.at), asOf: input.at, said: '' };
  switch (input.kind) {
    case 'reading': {
      const next: Run = { ...upToNow, readings: { ...run.readings, [input.name]: input.value } };
      const bad = step.endsBadly.find((end) => isBeyond(end, input.name, input.value));
      return bad === undefined ? stillSaid(next, run) : goTo({ ...next, said: badEndWords(bad) }, bad.goTo);
    }
    case 'flag':
      return stillSaid({ ...upToNow, flags: { ...run.flags, [input.name]: input.on } }, run);
    case 'tick':
      return goesOnByItself(step) && upToNow.counted >= (step.seconds ?? 0) ? moveOn(upToNow, step) : upToNow;
    case 'confirm': {
      const reason = notYet(run, input.at) ?? unsaid(step, input);
      if (reason !== null) return { ...upToNow, said: reason };
      const text = (input.text ?? '').trim();
      const told =
        step.asks === ''
          ? upToNow
          : { ...upToNow, texts: [...run.texts.filter((each) => each.step !== step.id), { step: step.id, text }] };
      return moveOn(told, step, step.answers[input.answer ?? -1]);
    }
    case 'instead': {
      const other = step.instead[input.answer];
      return other === undefined ? { ...upToNow, said: 'That way is not offered here.' } : goTo(upToNow, other.goTo);
    }
    case 'leave-out': {
      if (step.answers.length > 0 && step.answers[input.answer ?? -1] === undefined)
        return { ...upToNow, said: ASK_WHICH };
      const left = { ...upToNow, leftOut: [...run.leftOut, { step: step.id, why: input.why }] };
      return moveOn(left, step, step.answers[input.answer ?? -1]);
    }
  }
}

/** Why a confirmation was not taken stays said, as it is now, while it is so: readings come by themselves, several a second. */
const stillSaid = (next: Run, { said }: Run): Run =>
  said === '' ? next : { ...next, said: notYet(next, next.asOf) ?? '' };

const ASK_WHICH = 'Say which it was.';
/** What a step asks at its end and was not said. */
function unsaid(step: RunStep, input: Extract<RunInput, { kind: 'confirm' }>): string | null {
  if (step.answers.length > 0 && step.answers[input.answer ?? -1] === undefined) return ASK_WHICH;
  return step.asks !== '' && (input.text ?? '').trim() === '' ? `Type ${step.asks}.` : null;
}

function isBeyond({ name, below, above, unit }: BadEnd, read: string, value: number): boolean {
  if (name !== read) return false;
  const by = (limit: number | null): number | null =>
    limit === null ? null : convert(limit, unit, READINGS[name].unit);
  const low = by(below);
  const high = by(above);
  return (low !== null && value < low) || (high !== null && value > high);
}

/** Ends the step: by its answer, back for another turn, or on to the next. */
function moveOn(run: Run, step: RunStep, answer?: WayOn): Run {
  if (answer !== undefined) return goTo(run, answer.goTo);
  if (step.again !== null) {
    const turn = (run.rounds[step.id] ?? 0) + 1;
    if (turn < step.again.times) {
      const back = goTo(run, step.again.back);
      return { ...back, rounds: { ...back.rounds, [step.id]: turn } };
    }
    const { [step.id]: _, ...rounds } = run.rounds;
    return goTo({ ...run, rounds }, nextOf(run));
  }
  return goTo(run, nextOf(run));
}
const nextOf = (run: Run): string => run.recipe.steps[run.at + 1]?.id ?? 'done';

/** Goes to a step, or ends. Turns that are begun anew by going back are counted from the start. */
function goTo(run: Run, where: string): Run {
  const { steps } = run.recipe;
  const at = steps.findIndex(({ id }) => id === where);
  if (at < 0) {
    const failed = where !== 'done';
    const said = run.said || (failed ? `${upperFirst(ENDS.failed)}.` : 'All steps done.');
    return {
      ...run,
      at: failed ? run.at : steps.length,
      counted: 0,
      status: failed ? 'ended badly' : 'complete',
      said,
    };
  }
  const inside = new Set(at <= run.at ? steps.slice(at, run.at + 1).map(({ id }) => id) : []);
  const rounds = Object.fromEntries(Object.entries(run.rounds).filter(([id]) => !inside.has(id)));
  return { ...run, at, counted: 0, rounds };
}

/**
 * Whether a reading that came by itself is worth an entry: it changes what holds or ends the step badly, it is the first
 * one, or it has moved by a step that a person would type.
 */
export function isWorthTelling(run: Run, name: keyof typeof READINGS, value: number): boolean {
  const step = currentStep(run);
  if (step === null) return false;
  const asked =
    step.conditions.some((condition) => condition.kind === 'reading' && condition.name === name) ||
    step.endsBadly.some((end) => end.name === name);
  if (!asked) return false;
  const last = run.readings[name];
  if (last === undefined || Math.abs(value - last) >= READINGS[name].step) return true;
  const after: Run = { ...run, readings: { ...run.readings, [name]: value } };
  return (
    missingConditions(after).length !== missingConditions(run).length ||
    step.endsBadly.some((end) => isBeyond(end, name, value) !== isBeyond(end, name, last))
  );
}

/** Steps that were not gone through: left out with why, or still ahead when it was closed early. */
export function stepsLeftOut(run: Run): { readonly step: RunStep; readonly why: string }[] {
  const { steps } = run.recipe;
  const said = run.leftOut.flatMap(({ step: id, why }) =>
    steps.filter((step) => step.id === id).map((step) => ({ step, why })),
  );
  const ahead = run.status === 'running' ? steps.slice(run.at) : [];
  return [...said, ...ahead.map((step) => ({ step, why: '' }))];
}
