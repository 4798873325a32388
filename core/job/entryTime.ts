import { dayOf, daysBetween, sayDate, sayTime } from '../days/index.ts';
import { type Refusal, refuse, refuseField } from './decision.ts';

/**
 * Why an entry arrives long after the time it says: `kept` on a tablet that was out of reach, or `written-up` by a
 * person who said when it was done.
 */
export type Late = 'kept' | 'written-up';

/** When something is said to have been done, and what that is judged by. ISO times; the day by the shop's calendar. */
export interface EntryTime {
  readonly at: string;
  readonly arrivedAt: string;
  /** ISO day since which the vehicle is known here; null when nobody has said. */
  readonly knownSince: string | null;
  readonly late: Late | null;
  /** Of the shop, IANA name. */
  readonly timeZone: string;
}

/** Clocks of two devices agree no better than this, in milliseconds. */
const CLOCK_SLACK_MS = 2 * 60_000;
/** Work of the same shift is not asked about, though midnight lies between, in milliseconds. */
const SAME_SHIFT_MS = 6 * 3_600_000;
const DAY_MS = 86_400_000;

/** Why an entry's time cannot be right, or what is asked about it; null when it stands. */
export function judgeTime({ at, arrivedAt, knownSince, late, timeZone }: EntryTime): Refusal | null {
  const said = (): string => sayTime(at, timeZone);
  const ageMs = Date.parse(arrivedAt) - Date.parse(at);
  if (ageMs < -CLOCK_SLACK_MS)
    return {
      ...refuseField('at', `${said()} lies ahead: here it is ${sayTime(arrivedAt, timeZone)}.`),
      wouldHelp: 'Check the clock of the device, or the day that was picked.',
    };
  // Of now, on a vehicle that was long known: most entries, and no day needs to be worked out.
  const longKnown = knownSince === null || Date.parse(at) - Date.parse(knownSince) > 2 * DAY_MS;
  if (longKnown && ageMs <= SAME_SHIFT_MS) return null;
  const day = dayOf(at, timeZone);
  if (knownSince !== null && day < knownSince)
    return {
      ...refuseField('at', `${said()} is before this vehicle was known here, on ${sayDate(knownSince)}.`),
      wouldHelp: 'Check the day; if it was here before, say since when on the vehicle.',
    };
  const days = daysBetween(day, dayOf(arrivedAt, timeZone));
  if (late === null && days > 0 && ageMs > SAME_SHIFT_MS)
    return refuse(
      'asked-late',
      `This says ${said()}, ${days === 1 ? 'yesterday' : `${days} days ago`}. Was it done then?`,
      'Say that it is written up for then, and it is kept with that time; else enter it with the time of now.',
    );
  return null;
}

/** Differences between two clocks up to this are the network's, in milliseconds. */
const NETWORK_MS = 2000;

/**
 * How far a device's clock is behind the server's, ms; negative when it is ahead, 0 when the network explains it.
 * @param sentAt the device's clock when it sent @param arrivedAt the server's when that arrived
 */
export function clockOffsetMs(sentAt: string, arrivedAt: string): number {
  const offset = Date.parse(arrivedAt) - Date.parse(sentAt);
  return Math.abs(offset) <= NETWORK_MS ? 0 : offset;
}

/** A device's time put right: its own plus the offset that was measured when it was heard. */
export const counted = (deviceAt: string, offsetMs: number): string =>
  new Date(Date.parse(deviceAt) + offsetMs).toISOString();
