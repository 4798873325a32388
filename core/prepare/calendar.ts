import { addDays, type Moment, weekdayOf } from '../days/index.ts';

/** When the shop is open on a weekday, minutes since midnight by the wall clock. */
export interface Hours {
  readonly from: number;
  readonly to: number;
}

/** When the shop is open. */
export interface Calendar {
  /** Seven entries from Monday to Sunday; null is closed. */
  readonly hours: readonly (Hours | null)[];
  /** Days on which it is closed all the same, ISO. */
  readonly closed: readonly string[];
}

const DAY: Hours = { from: 8 * 60, to: 17 * 60 };
/** Weekdays from eight to five. */
export const ORDINARY_WEEK: Calendar = { hours: [DAY, DAY, DAY, DAY, DAY, null, null], closed: [] };

/** A calendar that is never open has no next moment; we look this far. */
const FAR_DAYS = 400;

/** The hours of a day, or null when the shop is closed. */
export const hoursOf = (calendar: Calendar, day: string): Hours | null =>
  calendar.closed.includes(day) ? null : (calendar.hours[weekdayOf(day)] ?? null);

/** Earlier than, by day and minute. */
export const compareMoments = (a: Moment, b: Moment): number => a.day.localeCompare(b.day) || a.minute - b.minute;

/** The moment itself when the shop is open then, else the next opening; null when none comes within a year. */
export function nextOpen(calendar: Calendar, from: Moment): Moment | null {
  for (let ahead = 0; ahead < FAR_DAYS; ahead += 1) {
    const day = addDays(from.day, ahead);
    const hours = hoursOf(calendar, day);
    if (hours === null) continue;
    if (ahead > 0 || from.minute < hours.from) return { day, minute: hours.from };
    if (from.minute < hours.to) return from;
  }
  return null;
}

/** The moment after so many working minutes; null when the shop does not open that often. */
export function addWorking(calendar: Calendar, from: Moment, minutes: number): Moment | null {
  let left = minutes;
  let at = nextOpen(calendar, from);
  while (at !== null) {
    const { to } = hoursOf(calendar, at.day) ?? { to: at.minute };
    if (left <= to - at.minute) return { day: at.day, minute: at.minute + left };
    left -= to - at.minute;
    at = nextOpen(calendar, { day: addDays(at.day, 1), minute: 0 });
  }
  return null;
}

/** The moment so many working minutes before; null when the shop was not open that often. */
export function subtractWorking(calendar: Calendar, from: Moment, minutes: number): Moment | null {
  let left = minutes;
  let limit = from.minute;
  for (let back = 0; back < FAR_DAYS; back += 1) {
    const day = addDays(from.day, -back);
    const hours = hoursOf(calendar, day);
    if (hours !== null) {
      const end = Math.min(hours.to, limit);
      if (end - hours.from >= left && end > hours.from) return { day, minute: end - left };
      left -= Math.max(0, end - hours.from);
    }
    limit = Number.POSITIVE_INFINITY;
  }
  return null;
}

/** Days on which the shop is closed, wholly between two moments. */
export function closedDaysBetween(calendar: Calendar, from: Moment, to: Moment): string[] {
  const days: string[] = [];
  for (let day = addDays(from.day, 1); day < to.day; day = addDays(day, 1))
    if (hoursOf(calendar, day) === null) days.push(day);
  return days;
}
