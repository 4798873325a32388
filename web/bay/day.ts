import { instantOf, momentOf } from '../../core/days/index.ts';
import { type Calendar, hoursOf } from '../../core/prepare/index.ts';
import type { BayStretch } from '../../contract/index.ts';

/** The shown part of a day, ms since 1970. */
export interface Day {
  readonly from: number;
  readonly to: number;
}

/** Where the shop is and when it is open. */
export interface Place {
  readonly timeZone: string;
  readonly calendar: Calendar;
}

/** What is shown of a day on which the shop is closed, minutes since midnight. */
const CLOSED_DAY = { from: 8 * 60, to: 18 * 60 };
const DAY_MINUTES = 24 * 60;
const wholeHour = (minute: number): number => Math.floor(minute / 60) * 60;

/** Minutes since midnight as ms since 1970. */
const instant = (day: string, minute: number, timeZone: string): number => Date.parse(instantOf(day, minute, timeZone));

/** The working day that holds a moment: from opening to closing, stretched to hold the moment itself. @param now ISO time */
export function dayAround(now: string, { timeZone, calendar }: Place): Day {
  const { day, minute } = momentOf(now, timeZone);
  const open = hoursOf(calendar, day) ?? CLOSED_DAY;
  return {
    from: instant(day, Math.max(0, Math.min(open.from, wholeHour(minute - 30))), timeZone),
    to: instant(day, Math.min(DAY_MINUTES, Math.max(open.to, wholeHour(minute + 90))), timeZone),
  };
}

const HOUR_MS = 3_600_000;

/** Hour marks of a day, with what the clock shows there. */
export function hourMarks({ from, to }: Day, timeZone: string): { readonly time: number; readonly text: string }[] {
  const minute = (time: number): number => momentOf(new Date(time).toISOString(), timeZone).minute;
  const first = from + ((60 - (minute(from) % 60)) % 60) * 60_000;
  return Array.from({ length: Math.floor((to - first) / HOUR_MS) + 1 }, (_, index) => {
    const time = first + index * HOUR_MS;
    return { time, text: `${Math.floor(minute(time) / 60)}:00` };
  });
}

/** Where a moment lies on the day, 0 to 1, held to its ends. */
export const placeOf = (time: number, { from, to }: Day): number =>
  Math.min(1, Math.max(0, (time - from) / (to - from)));

/** The part of a stretch that lies in the day, as shares; null when none of it does. A tap alone still shows. */
export function shareOf(stretch: BayStretch, day: Day): { left: number; width: number } | null {
  const from = Date.parse(stretch.from);
  const to = Math.max(Date.parse(stretch.to), from + 4 * 60_000);
  if (to < day.from || from > day.to) return null;
  const left = placeOf(from, day);
  return { left, width: placeOf(to, day) - left };
}

/** Some minutes of the day that holds a moment, as per cent of what is shown of it; null where there are none. */
export function minuteSpan(
  span: { readonly from: number; readonly to: number } | null,
  now: string,
  day: Day,
  timeZone: string,
): { readonly left: number; readonly width: number } | null {
  if (span === null) return null;
  const date = momentOf(now, timeZone).day;
  const left = placeOf(instant(date, span.from, timeZone), day) * 100;
  const width = placeOf(instant(date, span.to, timeZone), day) * 100 - left;
  return width > 0 ? { left, width } : null;
}
