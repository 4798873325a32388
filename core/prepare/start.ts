import {
  addWorking,
  type Calendar,
  closedDaysBetween,
  compareMoments,
  hoursOf,
  nextOpen,
  subtractWorking,
} from './calendar.ts';
import { addDays, type Moment } from '../days/index.ts';

/** A part that is not here. */
export interface MissingPart {
  readonly name: string;
  /** ISO day on which it is expected; null when nobody has ordered it. */
  readonly expected: string | null;
}

/** What starting or waiting is judged from. */
export interface StartInput {
  readonly now: Moment;
  readonly calendar: Calendar;
  /** Hands-on minutes until nothing more can be done without the parts: strip, bench, what can go back. */
  readonly minutesBefore: number;
  /** Hands-on minutes that need the parts. */
  readonly minutesAfter: number;
  /** Minutes in which nobody is needed: soaks, cures, cooling. They pass in the shop's hours. */
  readonly waiting: number;
  readonly missing: readonly MissingPart[];
}

/** How it goes when the work begins at a certain moment. */
export interface Course {
  readonly start: Moment;
  readonly finish: Moment;
  /** Closed days that the vehicle spends in pieces. */
  readonly closedDays: readonly string[];
  /** From then on nothing can be done until the parts are here; null when they are here in time. */
  readonly idleFrom: Moment | null;
}

/** What to do, and how both ways go. */
export type StartAdvice =
  | { readonly verdict: 'start now'; readonly best: Course; readonly now: Course; readonly lastMoment: Moment | null }
  | { readonly verdict: 'wait'; readonly best: Course; readonly now: Course; readonly lastMoment: Moment | null }
  | { readonly verdict: 'order first'; readonly unordered: readonly MissingPart[] }
  | { readonly verdict: 'never open' };

/** Openings looked at after now. */
const MORNINGS = 21;

/**
 * Start or wait? Of all sensible beginnings the best leaves the vehicle in pieces over the fewest closed days, then is
 * done soonest, then keeps it in pieces for the shortest time. The last moment is the latest beginning that still has
 * it done as soon as the others: before it, starting gains nothing.
 */
export function startOrWait(input: StartInput): StartAdvice {
  const unordered = input.missing.filter(({ expected }) => expected === null);
  if (unordered.length > 0) return { verdict: 'order first', unordered };
  const { calendar } = input;
  const now = nextOpen(calendar, input.now);
  const arrival = arrivalOf(input);
  if (now === null) return { verdict: 'never open' };
  const starts = [now, ...mornings(calendar, now)];
  const latest = arrival === null ? null : subtractWorking(calendar, arrival, input.minutesBefore + input.waiting);
  if (latest !== null && compareMoments(latest, now) > 0) starts.push(latest);
  const courses = starts.flatMap((start) => courseFrom(input, start, arrival) ?? []);
  const [first] = courses;
  if (first === undefined) return { verdict: 'never open' };
  const best = [...courses].sort(
    (a, b) =>
      a.closedDays.length - b.closedDays.length ||
      compareMoments(a.finish, b.finish) ||
      compareMoments(b.start, a.start),
  )[0];
  const lastMoment = latest !== null && compareMoments(latest, now) > 0 ? latest : null;
  return best === undefined || compareMoments(best.start, first.start) === 0
    ? { verdict: 'start now', best: first, now: first, lastMoment }
    : { verdict: 'wait', best, now: first, lastMoment };
}

/** The opening of the day on which the last part is expected; null when all are here. */
function arrivalOf({ missing, calendar }: StartInput): Moment | null {
  const last = missing
    .map(({ expected }) => expected ?? '')
    .sort()
    .at(-1);
  return last === undefined ? null : nextOpen(calendar, { day: last, minute: 0 });
}

function* range(count: number): Generator<number> {
  for (let index = 1; index <= count; index += 1) yield index;
}

const mornings = (calendar: Calendar, from: Moment): Moment[] =>
  [...range(MORNINGS)].flatMap((ahead) => {
    const day = addDays(from.day, ahead);
    const hours = hoursOf(calendar, day);
    return hours === null ? [] : [{ day, minute: hours.from }];
  });

function courseFrom(input: StartInput, start: Moment, arrival: Moment | null): Course | null {
  const { calendar, minutesBefore, minutesAfter, waiting } = input;
  const ready = addWorking(calendar, start, minutesBefore + waiting);
  if (ready === null) return null;
  // Closing time and the next opening are the same moment to somebody who works.
  const idle = arrival !== null && compareMoments(arrival, nextOpen(calendar, ready) ?? ready) > 0;
  const finish = addWorking(calendar, idle ? arrival : ready, minutesAfter);
  if (finish === null) return null;
  return { start, finish, closedDays: closedDaysBetween(calendar, start, finish), idleFrom: idle ? ready : null };
}
