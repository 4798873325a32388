import { TZDateMini } from '@date-fns/tz';
import { addMonths as shiftedMonths, getISODay, lastDayOfMonth } from 'date-fns';

/** A day alone has no zone: it is counted in universal time, where every day has 24 hours. */
const utc = (day: string): Date => new TZDateMini(Date.parse(`${day}T00:00:00Z`), 'UTC');
/** Every day of it is as long as any other. */
const DAY_MS = 86_400_000;
const startOf = (day: string): number => Date.parse(`${day}T00:00:00Z`);
const isoOf = (date: Date): string => new Date(date.getTime()).toISOString().slice(0, 10);

/** Whether a text is a day that exists, `2026-02-28`; 30 February is none. */
export const isDay = (text: string): boolean =>
  /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(Date.parse(`${text}T00:00:00Z`)) && isoOf(utc(text)) === text;

/** The day so many days on, or back for a negative count. @param day ISO day */
export const addDays = (day: string, count: number): string => isoOf(new Date(startOf(day) + count * DAY_MS));

/** The same day so many months on, or the last of a month that is too short: 31 January and one is 28 February. */
export const addMonths = (day: string, count: number): string => isoOf(shiftedMonths(utc(day), count));

/** Whole days from one ISO day to another; negative when the second comes first. */
export const daysBetween = (from: string, to: string): number => Math.round((startOf(to) - startOf(from)) / DAY_MS);

/** The day of the week of an ISO day; Monday is 0. */
export const weekdayOf = (day: string): number => getISODay(utc(day)) - 1;

/** The last day of a month. @param month 1 to 12 */
export const lastOfMonth = (year: number, month: number): string =>
  isoOf(lastDayOfMonth(new TZDateMini(Date.UTC(year, month - 1, 1), 'UTC')));
