export { readClock } from './clock.ts';
export { addDays, addMonths, daysBetween, isDay, lastOfMonth, weekdayOf } from './day.ts';
export { sayDate, sayDay, sayDayOf, sayNearDay, sayNearTime, sayTime, sayWeekday } from './say.ts';
export {
  clockOf,
  dayOf,
  instantOf,
  instantsAt,
  isTimeZone,
  momentOf,
  msToNextDay,
  offsetWords,
  startOfDay,
  timeZones,
} from './zone.ts';
export type { Moment } from './zone.ts';
