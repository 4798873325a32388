import { id, line, number, oneOf, optional, record } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, within } from '../decision.ts';
import { fact, type MadeFact } from '../fact.ts';
import type { Job } from '../job.ts';
import { timerEnd } from './query.ts';

/** What {@link timerStarted} holds. */
export const timerStartedShape = record({
  id,
  label: line,
  minutes: number,
  kind: oneOf('soak', 'cure', 'cool', 'heat-cycle', 'oil', 'air', 'other'),
  itemId: optional(id),
  unit: optional(id),
});
/** A wait began. */
export const timerStarted = fact('timer-started', {
  shape: timerStartedShape,
  means: (job, data, stamp) => ({ timers: [...job.timers, { ...data, ...stamp, ended: null }] }),
  words: (data) => `Timer: ${lowerFirst(data.label)}`,
  sheet: { no: 'the minutes waited are printed' },
});

/** Starts a timer. */
export const startTimer = command('start-timer', {
  shape: timerStartedShape,
  decide: (job, data) => {
    if (job.timers.some(({ id }) => id === data.id)) return refuse('already-there', 'That timer runs already.');
    return (
      nonEmpty('label', data.label, 'What is it timing?') ??
      within('minutes', data.minutes, 0.1, 14 * 24 * 60, 'minutes') ??
      accept(timerStarted.of(data))
    );
  },
});

/** What {@link timerEnded} holds. */
export const timerEndedShape = record({ id, outcome: oneOf('done', 'stopped') });
/** A wait ended. */
export const timerEnded = fact('timer-ended', {
  shape: timerEndedShape,
  means: (job, { id, outcome }, stamp) => ({
    timers: job.timers.map((timer) => (timer.id === id ? { ...timer, ended: { ...stamp, outcome } } : timer)),
  }),
  words: (data) => `Timer ${data.outcome}`,
  sheet: { no: 'the minutes waited are printed' },
});

/** Ends a timer. */
export const endTimer = command('end-timer', {
  shape: timerEndedShape,
  decide: (job, data) => {
    const timer = job.timers.find(({ id }) => id === data.id);
    return timer === undefined || timer.ended !== null
      ? refuse('not-there', 'That timer is not running.')
      : accept(timerEnded.of(data));
  },
});

/** A timer ended by going on with the work: *stopped* while it still runs, *done* after. @param at ISO, null when tried */
export const endWait = (timer: Job['timers'][number], at: string | null): MadeFact =>
  timerEnded.of({ id: timer.id, outcome: at !== null && timerEnd(timer) > at ? 'stopped' : 'done' });
