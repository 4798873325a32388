import { describe, expect, it } from 'vitest';
import { dayAround, hoursOf, placeOf, shareOf } from './day.ts';

const at = (hour: number, minute = 0): number => new Date(2026, 4, 13, hour, minute).getTime();
const iso = (hour: number, minute = 0): string => new Date(at(hour, minute)).toISOString();

describe('the day', () => {
  it('is the working day, stretched to hold the moment', () => {
    expect(dayAround(at(14, 9))).toEqual({ from: at(8), to: at(18) });
    expect(dayAround(at(6, 40)).from).toBe(at(6));
    expect(dayAround(at(20, 10)).to).toBe(at(21));
    expect(hoursOf(dayAround(at(14))).length).toBe(11);
  });
  it('places moments and cuts stretches to it', () => {
    const day = dayAround(at(14));
    expect(placeOf(at(13), day)).toBe(0.5);
    expect(shareOf({ kind: 'wait', from: iso(7), to: iso(9), words: '' }, day)).toEqual({ left: 0, width: 0.1 });
    expect(shareOf({ kind: 'wait', from: iso(5), to: iso(6), words: '' }, day)).toBeNull();
    const tap = shareOf({ kind: 'hands-on', from: iso(10), to: iso(10), words: '' }, day);
    expect(tap?.left).toBeCloseTo(0.2);
    expect(tap?.width).toBeGreaterThan(0.005);
  });
});
