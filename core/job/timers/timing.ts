import { id, line, number, oneOf, optional, orNull, record, type RecordOf } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, within } from '../decision.ts';
import { earlier, fact, type MadeFact } from '../fact.ts';
import type { Job } from '../job.ts';
import { timerEnd } from './query.ts';

/** What {@link timerStarted} holds. */
export const timerStartedShape = record({
  id,
  label: line,
  minutes: number,
  kind: oneOf('soak', 'cure', 'cool', 'heat-cycle', 'oil', 'air', 'other'),
  /** The item that cures or is gone over again; null for others. */
  itemId: orNull(id),
  /** The unit that it is about; null for others. */
  unit: orNull(id),
});
/** What need not be said of a timer. */
const unsaid = { itemId: optional(id), unit: optional(id) } as const;
const inFull = (said: RecordOf<typeof unsaid>) => ({
  itemId: said.itemId ?? null,
  unit: said.unit ?? null,
});
/** A wait began. */
export const timerStarted = fact('timer-started', {
  shape: timerStartedShape,
  earlier: [
    // At first a timer was about nothing but its label.
    earlier(record({ ...timerStartedShape.fields, ...unsaid }), (data) => ({ ...data, ...inFull(data) })),
  ],
  means: (job, data, stamp) => ({ timers: [...job.timers, { ...data, ...stamp, ended: null }] }),
  words: (data) => `Timer: ${lowerFirst(data.label)}`,
  putRight: {},
  sheet: { no: 'the minutes waited are printed' },
});

/** Starts a timer. */
export const startTimer = command('start-timer', {
  shape: record({ ...timerStartedShape.fields, ...unsaid }),
  decide: (job, data) => {
    if (job.timers.some(({ id }) => id === data.id)) return refuse('already-there', 'That timer runs already.');
    return (
      nonEmpty('label', data.label, 'What is it timing?') ??
      within('minutes', data.minutes, 0.1, 14 * 24 * 60, 'minutes') ??
      accept(timerStarted.of({ ...data, ...inFull(data) }))
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
