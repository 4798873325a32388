import { dayOf, instantsAt, readClock } from '../../../core/days/index.ts';

/** The instant of another time on the same day, or null where that is no time, or there was no such one that day. */
export function timeOn(iso: string, typed: string, timeZone: string): string | null {
  const minute = readClock(typed);
  return minute === null ? null : (instantsAt({ day: dayOf(iso, timeZone), minute }, timeZone)[0] ?? null);
}
