import type { Speaker } from './types.ts';

/**
 * A speaker for one shop.
 * @param people id → name; an unknown id is said as it is
 * @param currency printed after the amount, which has two decimals
 * @param timeZone IANA name, such as Europe/London; the caller knows it, core does not ask
 */
export function speaker(people: ReadonlyMap<string, string>, currency: string, timeZone: string): Speaker {
  const DAY = { weekday: 'long', day: 'numeric', month: 'long' } as const;
  const days = new Intl.DateTimeFormat('en-GB', { ...DAY, timeZone });
  const hours = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', hour12: false, timeZone });
  const calendar = new Intl.DateTimeFormat('en-GB', { ...DAY, timeZone: 'UTC' });
  const weekdays = new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone });
  const date = (iso: string): string => days.format(new Date(iso));
  const clock = (iso: string): string => hours.format(new Date(iso));
  return {
    day: (isoDay) => calendar.format(new Date(`${isoDay}T12:00:00Z`)),
    time: (iso) => `${date(iso)}, ${clock(iso)}`,
    date,
    weekday: (iso) => weekdays.format(new Date(iso)),
    clock,
    person: (id) => people.get(id) ?? id,
    money: (minor) => `${(minor / 100).toFixed(2)} ${currency}`,
  };
}
