import { TZDateMini } from '@date-fns/tz';
import { format } from 'date-fns';

const onWall = (iso: string, zone: string): Date => new TZDateMini(Date.parse(iso), zone);

/** “Thursday 14 May 2026”. @param day ISO day */
export const sayDay = (day: string): string => format(onWall(`${day}T00:00:00Z`, 'UTC'), 'EEEE d MMMM yyyy');

/** “Thursday 14 May”, of a day that is near: its weekday says which year. @param day ISO day */
export const sayNearDay = (day: string): string => format(onWall(`${day}T00:00:00Z`, 'UTC'), 'EEEE d MMMM');

/** “Thursday 14:20”, of a time within a week. */
export const sayNearTime = (iso: string, zone: string): string => format(onWall(iso, zone), 'EEEE HH:mm');

/** “14 May 2026”. @param day ISO day */
export const sayDate = (day: string): string => format(onWall(`${day}T00:00:00Z`, 'UTC'), 'd MMMM yyyy');

/** “Thursday 14 May 2026, 14:20”, by the clock of a place. */
export const sayTime = (iso: string, zone: string): string => format(onWall(iso, zone), 'EEEE d MMMM yyyy, HH:mm');

/** “Thursday 14 May 2026”, the day of an instant at a place. */
export const sayDayOf = (iso: string, zone: string): string => format(onWall(iso, zone), 'EEEE d MMMM yyyy');

/** “Thursday”, the weekday of an instant at a place. */
export const sayWeekday = (iso: string, zone: string): string => format(onWall(iso, zone), 'EEEE');
