import { describe, expect, it } from 'vitest';
import { ORDINARY_WEEK } from '../../core/prepare/index.ts';
import { dayAround, hourMarks, placeOf, shareOf } from './day.ts';

const LONDON = { timeZone: 'Europe/London', calendar: ORDINARY_WEEK };
/** Wednesday 13 May 2026 by the wall in London, an hour ahead of universal time. */
const iso = (hour: number, minute = 0): string => new Date(Date.UTC(2026, 4, 13, hour - 1, minute)).toISOString();
const at = (hour: number, minute = 0): number => Date.parse(iso(hour, minute));

describe('the day', () => {
  it('is from opening to closing, stretched to hold the moment', () => {
    expect(dayAround(iso(14, 9), LONDON)).toEqual({ from: at(8), to: at(17) });
    expect(dayAround(iso(6, 40), LONDON).from).toBe(at(6));
    expect(dayAround(iso(20, 10), LONDON).to).toBe(at(21));
    expect(hourMarks(dayAround(iso(14), LONDON), 'Europe/London').map(({ text }) => text)).toEqual(
      ['8', '9', '10', '11', '12', '13', '14', '15', '16', '17'].map((hour) => `${hour}:00`),
    );
  });
  it('is that of the shop, wherever the tablet thinks it is', () => {
    const kathmandu = { ...LONDON, timeZone: 'Asia/Kathmandu' };
    // 09:00 universal is 14:45 there; its working day is from 02:15 to 11:15 universal.
    const day = dayAround('2026-05-13T09:00:00.000Z', kathmandu);
    expect([day.from, day.to]).toEqual([Date.UTC(2026, 4, 13, 2, 15), Date.UTC(2026, 4, 13, 11, 15)]);
    expect(hourMarks(day, 'Asia/Kathmandu')[0]).toEqual({ time: Date.UTC(2026, 4, 13, 2, 15), text: '8:00' });
  });
  it('on a day off is shown from eight to six, and over a change of clocks all the same', () => {
    // Sunday 29 March 2026: clocks go forward at one in the morning.
    const day = dayAround('2026-03-29T11:00:00.000Z', LONDON);
    expect([day.from, day.to]).toEqual([Date.UTC(2026, 2, 29, 7), Date.UTC(2026, 2, 29, 17)]);
    const night = dayAround('2026-03-29T00:40:00.000Z', LONDON);
    expect(
      hourMarks(night, 'Europe/London')
        .slice(0, 3)
        .map(({ text }) => text),
    ).toEqual(['0:00', '2:00', '3:00']);
  });
  it('places moments and cuts stretches to it', () => {
    const day = dayAround(iso(14), LONDON);
    expect(placeOf(at(12, 30), day)).toBe(0.5);
    expect(shareOf({ kind: 'wait', from: iso(7), to: iso(8, 54), words: '' }, day)).toEqual({ left: 0, width: 0.1 });
    expect(shareOf({ kind: 'wait', from: iso(5), to: iso(6), words: '' }, day)).toBeNull();
    const tap = shareOf({ kind: 'hands-on', from: iso(9, 48), to: iso(9, 48), words: '' }, day);
    expect(tap?.left).toBeCloseTo(0.2);
    expect(tap?.width).toBeGreaterThan(0.005);
  });
});
