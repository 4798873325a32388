import { TZDateMini, tzOffset } from '@date-fns/tz';
import { addDays as shifted, startOfDay as dayStart } from 'date-fns';
import { addDays } from './day.ts';

/** A moment by the wall clock of a place. */
export interface Moment {
  /** ISO day. */
  readonly day: string;
  /** Minutes since midnight by the clock on the wall, 0 to 1439. */
  readonly minute: number;
}

const MINUTE_MS = 60_000;
const two = (value: number): string => String(value).padStart(2, '0');
const four = (value: number): string => String(value).padStart(4, '0');

/** Names that were found to be zones: asking costs as much as reading a job. */
const known = new Set<string>(['UTC']);

/** Whether a name is a time zone that this machine knows, such as `Europe/London`. */
export function isTimeZone(name: string): boolean {
  if (known.has(name)) return true;
  try {
    if (!/^[A-Za-z]/.test(name) || new Intl.DateTimeFormat('en-GB', { timeZone: name }) === null) return false;
    known.add(name);
    return true;
  } catch {
    return false;
  }
}

/** Universal time needs no table of zones: sums over years ask for it a hundred thousand times. */
function utcMoment(iso: string): Moment {
  const time = Date.parse(iso);
  const day = new Date(time).toISOString().slice(0, 10);
  return { day, minute: Math.floor((time - Date.parse(`${day}T00:00:00Z`)) / MINUTE_MS) };
}

/** What the clock and the calendar on the wall show at an instant. @param iso instant @param zone IANA name */
export function momentOf(iso: string, zone: string): Moment {
  if (zone === 'UTC') return utcMoment(iso);
  const at = new TZDateMini(Date.parse(iso), zone);
  return {
    day: `${four(at.getFullYear())}-${two(at.getMonth() + 1)}-${two(at.getDate())}`,
    minute: at.getHours() * 60 + at.getMinutes(),
  };
}

/** The ISO day that an instant falls on. @param zone IANA name */
export const dayOf = (iso: string, zone: string): string => momentOf(iso, zone).day;

/** `14:20` by the clock on the wall. */
export function clockOf(iso: string, zone: string): string {
  const { minute } = momentOf(iso, zone);
  return `${two(Math.floor(minute / 60))}:${two(minute % 60)}`;
}

/** The first instant of the day that an instant falls on; not always midnight, where clocks go forward then. */
export const startOfDay = (iso: string, zone: string): string =>
  new Date(dayStart(new TZDateMini(Date.parse(iso), zone)).getTime()).toISOString();

/** Milliseconds until the next day begins; between 23 and 25 hours from its start. */
export function msToNextDay(iso: string, zone: string): number {
  const now = new TZDateMini(Date.parse(iso), zone);
  return dayStart(shifted(now, 1)).getTime() - now.getTime();
}

/**
 * The instants at which the wall shows a moment, earliest first: one as a rule, none in the hour that clocks leave
 * out in spring, two in the hour that exists twice in autumn.
 */
export function instantsAt({ day, minute }: Moment, zone: string): string[] {
  const asUtc = Date.parse(`${day}T00:00:00Z`) + minute * MINUTE_MS;
  const offsets = [-1440, 0, 1440].map((around) => tzOffset(zone, new Date(asUtc + around * MINUTE_MS)));
  return [...new Set(offsets)]
    .map((offset) => new Date(asUtc - offset * MINUTE_MS).toISOString())
    .filter((iso) => {
      const shown = momentOf(iso, zone);
      return shown.day === day && shown.minute === minute;
    })
    .sort();
}

/** How long clocks leave out at a time goes by the half hour. */
const LEFT_OUT = 30;
const DAY_MINUTES = 24 * 60;

/**
 * The first instant at which the wall shows a minute of a day, or is past it: where clocks leave it out, midnight
 * included, it is the first after it by half hours. @param day ISO day @param minute since midnight, 0 or more; 1440 and
 * more are of the days after @param zone IANA name
 */
export function instantOf(day: string, minute: number, zone: string): string {
  if (minute >= DAY_MINUTES) return instantOf(addDays(day, 1), minute - DAY_MINUTES, zone);
  return instantsAt({ day, minute }, zone)[0] ?? instantOf(day, minute + LEFT_OUT, zone);
}

/** How far the wall is ahead of universal time at an instant: `UTC+1`, `UTC−3:30`. Tells twice-lived hours apart. */
export function offsetWords(iso: string, zone: string): string {
  const offset = tzOffset(zone, new Date(iso));
  const [hours, minutes] = [Math.floor(Math.abs(offset) / 60), Math.abs(offset) % 60];
  return `UTC${offset < 0 ? '−' : '+'}${hours}${minutes === 0 ? '' : `:${two(minutes)}`}`;
}

/** The names of time zones that this machine knows, sorted. */
export const timeZones = (): readonly string[] => [...new Set(['UTC', ...Intl.supportedValuesOf('timeZone')])].sort();
