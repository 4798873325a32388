import { timeZones } from '../../core/days/index.ts';

/** What is offered while a time zone is typed. */
export const TIME_ZONES: readonly string[] = timeZones();
