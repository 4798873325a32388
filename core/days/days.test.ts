import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addDays,
  addMonths,
  clockOf,
  dayOf,
  daysBetween,
  instantOf,
  instantsAt,
  isDay,
  isTimeZone,
  lastOfMonth,
  momentOf,
  msToNextDay,
  offsetWords,
  sayDate,
  sayDay,
  sayDayOf,
  sayNearDay,
  sayNearTime,
  sayTime,
  sayWeekday,
  startOfDay,
  weekdayOf,
} from './index.ts';

const HOUR = 3_600_000;

describe('days of a place', () => {
  it.each([
    ['2026-05-14T23:30:00Z', 'Europe/London', '2026-05-15', '00:30'],
    ['2026-05-14T23:30:00Z', 'UTC', '2026-05-14', '23:30'],
    ['2026-05-14T02:00:00Z', 'America/St_Johns', '2026-05-13', '23:30'],
    ['2026-05-14T12:00:00Z', 'Pacific/Auckland', '2026-05-15', '00:00'],
    ['2027-01-01T04:59:00Z', 'America/New_York', '2026-12-31', '23:59'],
  ])('%s is in %s the day %s at %s', (iso, zone, day, clock) => {
    expect([dayOf(iso, zone), clockOf(iso, zone)]).toEqual([day, clock]);
  });

  it('begin where the clock says, and last 23 or 25 hours when clocks change', () => {
    // The last Sundays of March and October 2026 in the United Kingdom (Summer Time Order 2002).
    expect(startOfDay('2026-03-29T12:00:00Z', 'Europe/London')).toBe('2026-03-29T00:00:00.000Z');
    expect(msToNextDay('2026-03-29T00:00:00Z', 'Europe/London')).toBe(23 * HOUR);
    expect(startOfDay('2026-10-25T12:00:00Z', 'Europe/London')).toBe('2026-10-24T23:00:00.000Z');
    expect(msToNextDay('2026-10-24T23:00:00Z', 'Europe/London')).toBe(25 * HOUR);
  });

  it('know an hour that exists twice, and one that does not exist', () => {
    expect(instantsAt({ day: '2026-10-25', minute: 90 }, 'Europe/London')).toEqual([
      '2026-10-25T00:30:00.000Z',
      '2026-10-25T01:30:00.000Z',
    ]);
    expect(instantsAt({ day: '2026-03-29', minute: 90 }, 'Europe/London')).toEqual([]);
    expect(instantsAt({ day: '2026-03-29', minute: 150 }, 'Europe/London')).toEqual(['2026-03-29T01:30:00.000Z']);
    expect(['2026-10-25T00:30:00Z', '2026-10-25T01:30:00Z'].map((iso) => offsetWords(iso, 'Europe/London'))).toEqual([
      'UTC+1',
      'UTC+0',
    ]);
    expect(offsetWords('2026-07-01T00:00:00Z', 'America/St_Johns')).toBe('UTC−2:30');
  });
  it('finds the first instant at or after a time that clocks leave out', () => {
    expect(instantOf('2026-03-29', 90, 'Europe/London')).toBe('2026-03-29T01:00:00.000Z');
    // This day has no midnight.
    expect(instantOf('2026-04-24', 0, 'Africa/Cairo')).toBe('2026-04-23T22:00:00.000Z');
    expect(instantOf('2026-03-28', 24 * 60, 'Europe/London')).toBe('2026-03-29T00:00:00.000Z');
    expect(instantOf('2026-10-25', 90, 'Europe/London')).toBe('2026-10-25T00:30:00.000Z');
  });

  it('find back every instant from what the wall shows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: Date.UTC(2020, 0), max: Date.UTC(2030, 0) }),
        fc.constantFrom('Europe/London', 'America/New_York', 'Asia/Kathmandu', 'Australia/Lord_Howe', 'UTC'),
        (ms, zone) => {
          const iso = new Date(Math.floor(ms / 60_000) * 60_000).toISOString();
          expect(instantsAt(momentOf(iso, zone), zone)).toContain(iso);
        },
      ),
    );
  });

  it('are named zones only', () => {
    expect(['Europe/London', 'UTC', 'Asia/Kathmandu'].map(isTimeZone)).toEqual([true, true, true]);
    expect(['Tern Quay', '', '+01:00', 'Europe/Nowhere'].map(isTimeZone)).toEqual([false, false, false, false]);
  });
});

describe('days alone', () => {
  it('are counted by the calendar', () => {
    expect(addDays('2026-02-28', 1)).toBe('2026-03-01');
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2026-03-29', -1)).toBe('2026-03-28');
    expect(addMonths('2026-01-31', 1)).toBe('2026-02-28');
    expect(addMonths('2026-11-30', 3)).toBe('2027-02-28');
    expect(daysBetween('2026-12-30', '2027-01-02')).toBe(3);
    expect(daysBetween('2027-01-02', '2026-12-30')).toBe(-3);
    expect([weekdayOf('2026-11-23'), weekdayOf('2026-11-29')]).toEqual([0, 6]);
    expect([lastOfMonth(2026, 2), lastOfMonth(2028, 2), lastOfMonth(2026, 12)]).toEqual([
      '2026-02-28',
      '2028-02-29',
      '2026-12-31',
    ]);
  });
  it('exist or do not', () => {
    expect(['2026-02-28', '2026-02-30', '2026-2-3', 'tomorrow'].map(isDay)).toEqual([true, false, false, false]);
  });
  it('are said with their year', () => {
    expect(sayDay('2026-05-14')).toBe('Thursday 14 May 2026');
    expect(sayNearDay('2026-05-14')).toBe('Thursday 14 May');
    expect(sayNearTime('2026-05-14T23:30:00Z', 'Europe/London')).toBe('Friday 00:30');
    expect(sayDate('2027-01-20')).toBe('20 January 2027');
    expect(sayTime('2026-12-31T23:30:00Z', 'Europe/Oslo')).toBe('Friday 1 January 2027, 00:30');
    expect(sayDayOf('2026-05-14T23:30:00Z', 'Europe/London')).toBe('Friday 15 May 2026');
    expect(sayWeekday('2026-05-14T23:30:00Z', 'Europe/London')).toBe('Friday');
  });
});
