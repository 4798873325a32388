import type { Calendar, Hours } from '../../core/prepare/index.ts';

/** Days of the week, Monday first. */
export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

const clock = (minute: number): string => `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;

/** A minute of the day as the wall shows it: 180 is 03:00. */
export const clockText = (minute: number): string => clock(minute).padStart(5, '0');

/** “8:00–17:00”, or “closed”. */
export const hoursText = (hours: Hours | null): string =>
  hours === null ? 'closed' : `${clock(hours.from)}–${clock(hours.to)}`;

/** Reads “8–17”, “8:00 to 17:30”, “8.30-12”, “closed” or nothing. @returns the hours, or what is wrong in words */
export function readHours(text: string): { hours: Hours | null } | { problem: string } {
  if (/^\s*(closed|-|–)?\s*$/i.test(text)) return { hours: null };
  const found = /^\s*(\d{1,2})(?:[:.](\d\d))?\s*(?:-|–|to)\s*(\d{1,2})(?:[:.](\d\d))?\s*$/i.exec(text);
  if (found === null) return { problem: 'Expected hours such as 8:00–17:00, or closed.' };
  const minute = (hour: string | undefined, rest: string | undefined): number =>
    Number(hour) * 60 + Number(rest ?? '0');
  const [from, to] = [minute(found[1], found[2]), minute(found[3], found[4])];
  return from < to && to <= 24 * 60
    ? { hours: { from, to } }
    : { problem: 'Expected to close after opening, by midnight.' };
}

/** Reads days, one a line or parted by commas. @returns the days sorted, or the first that is none */
export function readDays(text: string): { days: string[] } | { problem: string } {
  const days = text.split(/[\s,;]+/).filter((day) => day !== '');
  const wrong = days.find((day) => !/^\d{4}-\d\d-\d\d$/.test(day) || Number.isNaN(Date.parse(day)));
  return wrong === undefined
    ? { days: [...new Set(days)].sort() }
    : { problem: `Expected days such as 2026-12-25, got “${wrong}”.` };
}

/** A calendar from what was typed, or what is wrong by field. */
export function readCalendar(
  week: readonly string[],
  closedText: string,
): { calendar: Calendar } | { problems: Readonly<Record<string, string>> } {
  const problems: Record<string, string> = {};
  const hours = week.map((text, index) => {
    const read = readHours(text);
    if ('hours' in read) return read.hours;
    problems[String(index)] = read.problem;
    return null;
  });
  const read = readDays(closedText);
  if ('problem' in read) problems.closed = read.problem;
  return Object.keys(problems).length > 0 || 'problem' in read
    ? { problems }
    : { calendar: { hours, closed: read.days } };
}
