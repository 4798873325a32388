import { addDays, dayOf, instantsAt, momentOf, weekdayOf } from '../days/index.ts';

/** How many backups are kept: the newest of so many days, weeks and months that have one. */
export const KEPT = { days: 7, weeks: 5, months: 12 } as const;

/** Older than this, the last good backup is too old: a day, and half of one for a shop that was closed in the night. */
export const TOO_OLD_HOURS = 36;

const HOUR_MS = 3_600_000;

/** When the shop wants its backup, by the clock on its wall. */
export interface BackupTime {
  /** Minutes since midnight, 0 to 1439. */
  readonly minute: number;
  /** IANA name. */
  readonly timeZone: string;
}

/** Since when a backup has been due: the last moment, up to `now`, at which the wall showed the time of day for it. */
function lastDueAt({ minute, timeZone }: BackupTime, now: string): string {
  const today = momentOf(now, timeZone);
  // In the night that clocks go forward the minute may not exist: the day before still stands.
  for (const back of [0, 1, 2]) {
    const at = instantsAt({ day: addDays(today.day, -back), minute }, timeZone)[0];
    if (at !== undefined && at <= now) return at;
  }
  return now;
}

/**
 * Whether a backup is due now.
 * @param lastTryAt when one was last tried, well or not; null for never
 */
export const backupDue = (time: BackupTime, lastTryAt: string | null, now: string): boolean =>
  lastTryAt === null || lastTryAt < lastDueAt(time, now);

/** What the age of the last good backup says: good, too old, never made, or not yet since the first work is of today. */
export type BackupAge = 'good' | 'old' | 'never' | 'not-yet';

/**
 * @param lastGoodAt ISO time; null when there is none
 * @param workSince ISO time of the first entry that there is to lose; null for none
 * @param now ISO time
 */
export function backupAge(lastGoodAt: string | null, workSince: string | null, now: string): BackupAge {
  const isLong = (since: string): boolean => Date.parse(now) - Date.parse(since) > TOO_OLD_HOURS * HOUR_MS;
  if (lastGoodAt !== null) return isLong(lastGoodAt) ? 'old' : 'good';
  return workSince !== null && isLong(workSince) ? 'never' : 'not-yet';
}

/** A backup that is there. */
export interface Dated {
  /** ISO time at which it was made. */
  readonly at: string;
}

/** For how long a backup is kept: as one of the last days, weeks or months. */
export type KeptFor = keyof typeof KEPT;

const PERIODS: readonly { readonly kept: KeptFor; readonly of: (day: string) => string }[] = [
  { kept: 'days', of: (day) => day },
  { kept: 'weeks', of: (day) => addDays(day, -weekdayOf(day)) },
  { kept: 'months', of: (day) => day.slice(0, 7) },
];

/** Backups that are kept, each as the first that it is: of a day, a week, a month; and those that may go. Newest first. */
export interface Shelf<T> {
  readonly keep: readonly (T & { readonly keptFor: KeptFor })[];
  readonly drop: readonly T[];
}

/**
 * Splits backups into those to keep and those that may go: the newest of each of the last {@link KEPT} days, weeks and
 * months that have one at all, so that a shop that was closed for a month loses nothing by it. The newest always stays.
 */
export function keptBackups<T extends Dated>(backups: readonly T[], timeZone: string): Shelf<T> {
  const newestFirst = [...backups].sort((a, b) => (a.at < b.at ? 1 : -1));
  const keptFor = new Map<T, KeptFor>();
  for (const { kept, of } of PERIODS) {
    const seen = new Set<string>();
    for (const backup of newestFirst) {
      const period = of(dayOf(backup.at, timeZone));
      if (seen.has(period)) continue;
      if (seen.size === KEPT[kept]) break;
      seen.add(period);
      // Of the last days it is shown among these, however long it stays.
      if (!keptFor.has(backup)) keptFor.set(backup, kept);
    }
  }
  return {
    keep: newestFirst.flatMap((each) => {
      const kept = keptFor.get(each);
      return kept === undefined ? [] : [{ ...each, keptFor: kept }];
    }),
    drop: newestFirst.filter((each) => !keptFor.has(each)),
  };
}
