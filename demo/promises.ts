import { instantsAt, momentOf, sayNearTime } from '../core/days/index.ts';
import { addWorking } from '../core/prepare/index.ts';
import { shop } from './shop.ts';

const QUARTER = 15;

/** What a customer is told so many working minutes from a moment, at a whole quarter of an hour. @param now ms since 1970 */
export function readyAfter(now: number, minutes: number): { ready: string; told: string; why: string } {
  const zone = shop.settings['time-zone'];
  const from = momentOf(new Date(now).toISOString(), zone);
  const at = addWorking(shop.calendar, from, minutes) ?? from;
  const minute = Math.min(24 * 60 - QUARTER, Math.ceil(at.minute / QUARTER) * QUARTER);
  const ready = instantsAt({ day: at.day, minute }, zone)[0] ?? new Date(now + minutes * 60_000).toISOString();
  return { ready, told: sayNearTime(ready, zone), why: '' };
}
