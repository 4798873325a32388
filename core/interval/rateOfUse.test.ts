import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { random } from '../chance/index.ts';
import { type MeterOn, rateOfUse } from './index.ts';

const every = (days: number, count: number, perDay: number, from = 1000): MeterOn[] =>
  Array.from({ length: count }, (_, nth) => ({ day: nth * days, value: from + nth * days * perDay }));

describe('how much a vehicle is used', () => {
  it('is what it always is, whatever the order of the readings', () => {
    const readings = every(90, 6, 40);
    expect(rateOfUse(readings)).toEqual({ perDay: 40, low: 40, high: 40, readings: 6 });
    expect(rateOfUse([...readings].reverse())).toEqual(rateOfUse(readings));
  });

  it('does not mind one odd reading, and none that jumps', () => {
    const readings = every(90, 8, 40);
    for (const odd of [0, 999_999, 20_000]) {
      const typed = readings.with(4, { ...readings[4]!, value: odd });
      expect(rateOfUse(typed)!.perDay).toBeCloseTo(40, 0);
    }
  });

  it('begins anew with a replaced cluster: no pair reaches over it', () => {
    const before = every(100, 4, 30, 200_000);
    const after = every(100, 4, 30, 0).map(({ day, value }, nth) => ({ day: 400 + day, value, anew: nth === 0 }));
    expect(rateOfUse([...before, ...after])).toMatchObject({ perDay: 30, low: 30, high: 30 });
  });

  it('says nothing of one reading, nor of two in a week, and refuses what is none', () => {
    expect(rateOfUse([])).toBeNull();
    expect(rateOfUse([{ day: 0, value: 1000 }])).toBeNull();
    expect(
      rateOfUse([
        { day: 0, value: 1000 },
        { day: 3, value: 1400 },
      ]),
    ).toBeNull();
    expect(() => rateOfUse([{ day: Number.NaN, value: 1 }])).toThrow('Expected a day and a reading');
  });

  it('is never less than nothing', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ day: fc.integer({ min: 0, max: 4000 }), value: fc.integer({ min: 0, max: 400_000 }) }), {
          minLength: 2,
          maxLength: 20,
        }),
        (readings) => {
          const rate = rateOfUse(readings);
          if (rate === null) return;
          expect(rate.perDay).toBeGreaterThanOrEqual(rate.low);
          expect(rate.high).toBeGreaterThanOrEqual(rate.perDay);
          expect(rate.low).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('has a band that holds the true rate about as often as it says, readings being as odd as people type them', () => {
    const { normal, uniform } = random(7);
    let held = 0;
    const TRIALS = 600;
    for (let trial = 0; trial < TRIALS; trial += 1) {
      const perDay = 10 + 60 * uniform();
      const readings = every(60 + 60 * uniform(), 10, perDay).map(({ day, value }) => ({
        day,
        value: value + normal() * perDay * 15,
      }));
      const { low, high } = rateOfUse(readings, 0.8)!;
      if (low <= perDay && perDay <= high) held += 1;
    }
    expect(held / TRIALS).toBeGreaterThan(0.74);
    expect(held / TRIALS).toBeLessThan(0.9);
  });
});
