import {
  accept,
  type CommandData,
  type CommandType,
  type Context,
  type Decision,
  type Refusal,
  refuseField,
} from '../commands.ts';
import { event, type EventData, type EventType, type JobEvent } from '../events.ts';
import { timerEnd } from '../query.ts';
import type { Job } from '../types.ts';

/** Says whether one command is allowed on a job, and what it leads to. */
export type Handler<K extends CommandType> = (
  job: Job,
  data: CommandData[K],
  context: Context,
  /** ISO time of the command; null when it is only being tried. */
  at: string | null,
) => Decision;

/** Handlers for some commands. */
export type Handlers<K extends CommandType> = { readonly [Type in K]: Handler<Type> };

/** A command that is always allowed on an open job and whose event holds the same data. */
export const plain =
  <E extends EventType>(type: E) =>
  (_: Job, data: EventData[E]): Decision =>
    accept(event(type, data));

/** A refusal when a text is empty, else null. */
export const nonEmpty = (field: string, text: string, message: string): Refusal | null =>
  text.trim() === '' ? refuseField(field, message) : null;

/** A refusal when a number is outside its range, else null. The bounds named are the bounds checked. */
export function within(field: string, value: number, low: number, high: number, unit = ''): Refusal | null {
  const tail = unit === '' ? '' : ` ${unit}`;
  return Number.isFinite(value) && value >= low && value <= high
    ? null
    : refuseField(field, `Expected ${low} to ${high}${tail}, got ${value}.`);
}

/** A timer ended by going on with the work: *stopped* while it still runs, *done* after. @param at ISO, null when tried */
export const timerEnded = (timer: Job['timers'][number], at: string | null): JobEvent =>
  event('timer-ended', { id: timer.id, outcome: at !== null && timerEnd(timer) > at ? 'stopped' : 'done' });
