import { addDays, dayOf, instantOf, weekdayOf } from '../../days/index.ts';
import { type Calendar, type Hours, hoursOf } from '../../prepare/index.ts';
import type { Span } from '../weave/problem.ts';
import { without } from '../weave/spans.ts';
import type { Absence, DayPerson, LongerDay } from './types.ts';

/** So many days are looked ahead: what finds no place in them is told. */
export const DAYS_AHEAD = 14;
/** Where a morning ends, minutes since midnight, when no pause says. */
const NOON = 12 * 60;

/** When the shop is open, and when nobody works all the same. */
export interface ShopHours {
  readonly timeZone: string;
  readonly calendar: Calendar;
  readonly pause: Hours | null;
  readonly absences: readonly Absence[];
  readonly longer: readonly LongerDay[];
}

/** The hours of one person on one day, minutes since midnight: rising, apart. */
export function hoursOn(day: string, { id, hours }: Pick<DayPerson, 'id' | 'hours'>, shop: ShopHours): Hours[] {
  const open = hoursOf(shop.calendar, day);
  // Their own hours hold, but on no day on which the shop is shut for a holiday.
  const own = shop.calendar.closed.includes(day) ? null : hours === null ? open : (hours[weekdayOf(day)] ?? null);
  if (own === null) return [];
  const away = shop.absences.filter(
    ({ personId, from, to }) => (personId === null || personId === id) && from <= day && day <= to,
  );
  const noon = shop.pause === null ? NOON : (shop.pause.from + shop.pause.to) / 2;
  const out = [
    ...(shop.pause === null ? [] : [shop.pause]),
    ...away.map(({ part }) => ({
      from: part === 'afternoon' ? noon : 0,
      to: part === 'morning' ? noon : 24 * 60,
    })),
  ];
  const stays = shop.longer.find((each) => each.personId === id && each.day === day)?.until ?? own.to;
  const whole = { from: own.from, to: Math.max(own.to, stays) };
  return out.reduce<Hours[]>((left, gap) => left.flatMap((span) => without(span, gap)), [whole]);
}

/** The hours of one person in the days to come, minutes since `zero`. @param zero ms since 1970 @param now ISO time */
export function spansOf(person: Pick<DayPerson, 'id' | 'hours'>, shop: ShopHours, now: string, zero: number): Span[] {
  const today = dayOf(now, shop.timeZone);
  return Array.from({ length: DAYS_AHEAD }, (_, ahead) => addDays(today, ahead)).flatMap((day) =>
    hoursOn(day, person, shop).map(({ from, to }) => ({
      from: minuteOf(day, from, shop.timeZone, zero),
      to: minuteOf(day, to, shop.timeZone, zero),
    })),
  );
}

/** A minute of a day as minutes since `zero`. */
const minuteOf = (day: string, minute: number, timeZone: string, zero: number): number =>
  (Date.parse(instantOf(day, minute, timeZone)) - zero) / 60_000;

/** When the shop opens on a day, or next after it, minutes since `zero`; null when it does not within the days looked at. */
export function opensOn(day: string, shop: ShopHours, zero: number): number | null {
  for (let ahead = 0; ahead < DAYS_AHEAD; ahead += 1) {
    const each = addDays(day, ahead);
    const open = hoursOf(shop.calendar, each);
    if (open !== null) return minuteOf(each, open.from, shop.timeZone, zero);
  }
  return null;
}
