import { clockOf, dayOf, sayDay, sayDayOf, sayNearDay, sayNearTime, sayTime, sayWeekday } from '../days/index.ts';
import { formatMoney } from '../quantity/index.ts';
import type { Speaker } from './types.ts';

/**
 * A speaker for one shop: screen and print say the same with it.
 * @param people id → name; an unknown id is said as it is
 * @param currency printed after an amount, with as many decimals as it has
 * @param timeZone IANA name, such as Europe/London; the shop's, not the device's
 */
export const speaker = (people: ReadonlyMap<string, string>, currency: string, timeZone: string): Speaker => ({
  day: sayDay,
  time: (iso) => sayTime(iso, timeZone),
  date: (iso) => sayDayOf(iso, timeZone),
  weekday: (iso) => sayWeekday(iso, timeZone),
  clock: (iso) => clockOf(iso, timeZone),
  isoDay: (iso) => dayOf(iso, timeZone),
  nearDay: sayNearDay,
  nearTime: (iso) => sayNearTime(iso, timeZone),
  person: (id) => people.get(id) ?? id,
  money: (minor, of = currency) => formatMoney(minor, of),
});
