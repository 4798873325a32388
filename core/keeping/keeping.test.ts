import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { backupAge, backupDue, diskRoom, keptBackups, LAST_BYTES, LOW_BYTES, sayBytes } from './index.ts';

const ZONE = 'Europe/London';
const nightly = (days: number): { at: string }[] =>
  Array.from({ length: days }, (_, back) => ({
    at: new Date(Date.parse('2026-05-13T02:00:00.000Z') - back * 86_400_000).toISOString(),
  }));

describe('backups that are kept', () => {
  it('of a year of nights: seven days, five weeks, twelve months', () => {
    const { keep, drop } = keptBackups(nightly(365), ZONE);
    expect(keep.slice(0, 7)).toEqual(nightly(7).map((each) => ({ ...each, keptFor: 'days' })));
    expect(keep.map(({ keptFor }) => keptFor[0]).join('')).toBe('dddddddwmwwmmmmmmmmmm');
    // The newest of each week are Sundays, of each month its last day; two of the weeks lie within the seven days.
    expect(keep.map(({ at }) => at.slice(0, 10)).slice(7)).toEqual([
      '2026-05-03',
      '2026-04-30',
      '2026-04-26',
      '2026-04-19',
      '2026-03-31',
      '2026-02-28',
      '2026-01-31',
      '2025-12-31',
      '2025-11-30',
      '2025-10-31',
      '2025-09-30',
      '2025-08-31',
      '2025-07-31',
      '2025-06-30',
    ]);
    expect(keep.length + drop.length).toBe(365);
  });
  it('lose nothing by a month of holidays', () => {
    const before = nightly(40).slice(33);
    expect(keptBackups([nightly(1)[0]!, ...before], ZONE).drop).toHaveLength(1);
  });
  it('always hold the newest, and are the same whatever the order', () => {
    const times = fc.array(
      fc.integer({ min: 0, max: 900 * 24 }).map((hours) => ({
        at: new Date(Date.parse('2024-01-01T00:00:00Z') + hours * 3_600_000).toISOString(),
      })),
      { minLength: 1, maxLength: 120 },
    );
    fc.assert(
      fc.property(times, (backups) => {
        const { keep } = keptBackups(backups, ZONE);
        const newest = backups
          .map(({ at }) => at)
          .sort()
          .at(-1);
        expect(keep[0]?.at).toBe(newest);
        expect(keep.length).toBeLessThanOrEqual(24);
        expect(keptBackups([...backups].reverse(), ZONE).keep.map(({ at }) => at)).toEqual(keep.map(({ at }) => at));
        // Nothing more goes the second time.
        expect(keptBackups(keep, ZONE).drop).toEqual([]);
      }),
    );
  });
});

describe('a backup at three in the night', () => {
  const at = { minute: 180, timeZone: ZONE };
  it.each([
    ['never tried', null, '2026-05-13T10:00:00.000Z', true],
    ['tried last night', '2026-05-13T02:00:10.000Z', '2026-05-13T10:00:00.000Z', false],
    ['tried the night before', '2026-05-12T02:00:10.000Z', '2026-05-13T10:00:00.000Z', true],
    ['not yet three', '2026-05-12T02:00:10.000Z', '2026-05-13T01:59:00.000Z', false],
    ['just three, by summer time', '2026-05-12T02:00:10.000Z', '2026-05-13T02:00:00.000Z', true],
  ])('%s', (_, lastTry, now, due) => {
    expect(backupDue(at, lastTry, now)).toBe(due);
  });
  it('is due once on the night that leaves the hour out', () => {
    const half = { minute: 90, timeZone: ZONE };
    // 29 March 2026: half past one does not exist; the one of the day before still counts.
    expect(backupDue(half, '2026-03-28T01:30:05.000Z', '2026-03-29T12:00:00.000Z')).toBe(false);
    expect(backupDue(half, '2026-03-27T01:30:05.000Z', '2026-03-29T12:00:00.000Z')).toBe(true);
  });
});

describe('the last good backup', () => {
  it.each([
    ['2026-05-12T02:00:00.000Z', '2026-01-01T08:00:00.000Z', 'good'],
    ['2026-05-12T01:08:00.000Z', '2026-01-01T08:00:00.000Z', 'old'],
    [null, '2026-01-01T08:00:00.000Z', 'never'],
    [null, '2026-05-13T08:00:00.000Z', 'not-yet'],
    [null, null, 'not-yet'],
  ])('of %s, with work since %s, is %s', (made, since, age) => {
    expect(backupAge(made, since, '2026-05-13T13:09:00.000Z')).toBe(age);
  });
});

describe('room on the disk', () => {
  it('is told before it is gone', () => {
    expect([null, LOW_BYTES, LOW_BYTES - 1, LAST_BYTES, LAST_BYTES - 1].map(diskRoom)).toEqual([
      'well',
      'well',
      'low',
      'low',
      'last',
    ]);
  });
  it.each([
    [0, '0 kB'],
    [950, '1 kB'],
    [12_400, '12 kB'],
    [1_250_000, '1.3 MB'],
    [63_900_000, '64 MB'],
    [2_000_000_000, '2 GB'],
  ])('%i bytes are %s', (bytes, words) => {
    expect(sayBytes(bytes)).toBe(words);
  });
});
