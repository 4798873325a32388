import { describe, expect, it } from 'vitest';
import { clockOffsetMs, counted, type EntryTime, judgeTime } from './entryTime.ts';

const entry = (more: Partial<EntryTime>): EntryTime => ({
  at: '2026-05-13T12:00:00.000Z',
  arrivedAt: '2026-05-13T12:00:05.000Z',
  knownSince: '2026-05-01',
  late: null,
  timeZone: 'Europe/London',
  ...more,
});

describe('the time of an entry', () => {
  it('stands when it is of now, or of the same shift over midnight', () => {
    expect(judgeTime(entry({}))).toBeNull();
    expect(judgeTime(entry({ at: '2026-05-13T12:01:30.000Z' }))).toBeNull();
    expect(judgeTime(entry({ at: '2026-05-12T21:00:00.000Z', arrivedAt: '2026-05-13T01:00:00.000Z' }))).toBeNull();
    expect(judgeTime(entry({ at: '2026-05-13T06:00:00.000Z' }))).toBeNull();
  });
  it('is refused where it lies ahead, in the words of the shop’s own clock', () => {
    expect(judgeTime(entry({ at: '2026-05-14T12:00:00.000Z' }))).toMatchObject({
      field: 'at',
      message: 'Thursday 14 May 2026, 13:00 lies ahead: here it is Wednesday 13 May 2026, 13:00.',
      wouldHelp: 'Check the clock of the device, or the day that was picked.',
    });
    expect(judgeTime(entry({ at: '2026-05-14T12:00:00.000Z', late: 'written-up' }))).toMatchObject({ ok: false });
  });
  it('is refused where the vehicle was not known yet', () => {
    // 00:30 of the day itself in London is the evening before in universal time.
    expect(judgeTime(entry({ at: '2026-04-30T23:30:00.000Z', late: 'written-up' }))).toBeNull();
    expect(judgeTime(entry({ at: '2026-04-30T22:30:00.000Z', late: 'written-up' }))).toMatchObject({
      field: 'at',
      message: 'Thursday 30 April 2026, 23:30 is before this vehicle was known here, on 1 May 2026.',
    });
    expect(judgeTime(entry({ at: '2026-04-30T22:30:00.000Z', late: 'written-up', knownSince: null }))).toBeNull();
  });
  it('of yesterday is asked about, and taken once somebody has said so', () => {
    const yesterday = entry({ at: '2026-05-12T15:40:00.000Z' });
    expect(judgeTime(yesterday)).toMatchObject({
      code: 'asked-late',
      field: null,
      message: 'This says Tuesday 12 May 2026, 16:40, yesterday. Was it done then?',
    });
    expect(judgeTime(entry({ at: '2026-05-10T15:40:00.000Z' }))?.message).toContain('3 days ago');
    expect(judgeTime({ ...yesterday, late: 'written-up' })).toBeNull();
    expect(judgeTime({ ...yesterday, late: 'kept' })).toBeNull();
  });
});

describe('a tablet’s clock', () => {
  it('is put right by how far it was out when it was heard', () => {
    // A day ahead: what it did an hour before it was heard counts an hour before that.
    const offset = clockOffsetMs('2026-05-14T12:00:00.000Z', '2026-05-13T12:00:00.000Z');
    expect(offset).toBe(-86_400_000);
    expect(counted('2026-05-14T11:00:00.000Z', offset)).toBe('2026-05-13T11:00:00.000Z');
  });
  it('is right as it is within what the network takes', () => {
    expect(clockOffsetMs('2026-05-13T12:00:00.000Z', '2026-05-13T12:00:01.900Z')).toBe(0);
    expect(clockOffsetMs('2026-05-13T12:00:00.000Z', '2026-05-13T12:00:02.100Z')).toBe(2100);
  });
});
