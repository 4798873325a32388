import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';

/** Something with a time of its own. */
export interface CalendarEntry {
  /** The same at every reading, so that a program moves what it has instead of adding to it. */
  readonly id: string;
  readonly title: string;
  readonly about: string;
  /** ISO instants; or `day`, an ISO day, for what lies on a whole day. */
  readonly from?: string;
  readonly to?: string;
  readonly day?: string;
}

/** Programs ask again after so long, seconds. */
const AGAIN_S = 15 * 60;

/**
 * A calendar as RFC 5545 has it, UTF-8. Times are instants in UTC: no zone is named, so that no program reads them by a
 * table of its own.
 * @param now ISO time
 */
export function calendarText(name: string, entries: readonly CalendarEntry[], now: string): string {
  const calendar = ical({
    // The package writes a name as it is; in text of the format these mean something else.
    name: name.replace(/[\\;,]/g, (mark) => `\\${mark}`),
    prodId: { company: 'Unhurried Wrench', product: 'Calendar', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: AGAIN_S,
  });
  for (const { id, title, about, from, to, day } of entries) {
    const start = new Date(day === undefined ? (from ?? now) : `${day}T00:00:00.000Z`);
    calendar.createEvent({
      id,
      stamp: new Date(now),
      start,
      ...(day === undefined && { end: new Date(to ?? from ?? now) }),
      allDay: day !== undefined,
      summary: title,
      description: about,
      status: ICalEventStatus.CONFIRMED,
    });
  }
  return calendar.toString();
}
