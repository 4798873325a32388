import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { balanceOf, EVEN_SPREAD_KPA, type Suction } from './index.ts';

const bank = (...kPa: number[]): Suction[] => kPa.map((each, index) => ({ place: `cylinder ${index + 1}`, kPa: each }));

describe('a bank of bodies', () => {
  it('worked: four, the third farthest off', () => {
    const balance = balanceOf(bank(30, 31, 34, 29.9), 'cylinder 1');
    expect(balance.meanKPa).toBeCloseTo(31.225, 9);
    expect(balance.spreadKPa).toBeCloseTo(4.1, 9);
    expect(balance.even).toBe(false);
    expect(balance.against.map(({ turn }) => turn)).toEqual(['open', 'open', 'leave']);
    expect(balance.first).toMatchObject({ place: 'cylinder 3', offKPa: 4, turn: 'open' });
  });
  it('is even within the spread that the shop has, on the point too', () => {
    expect(balanceOf(bank(30, 32.7), 'cylinder 1').even).toBe(true);
    expect(balanceOf(bank(30, 32.8), 'cylinder 1')).toMatchObject({ even: false, first: { turn: 'open' } });
    expect(balanceOf(bank(30, 32.8), 'cylinder 1', 3)).toMatchObject({ even: true, first: null });
  });
  it('is at least two, and the reference is one of them', () => {
    expect(() => balanceOf(bank(30), 'cylinder 1')).toThrow('at least two bodies');
    expect(() => balanceOf(bank(30, 31), 'cylinder 7')).toThrow('cylinder 7');
  });
  it('does not mind the order, the outside air or a gauge that shows all too high', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 5, max: 60, noNaN: true }), { minLength: 2, maxLength: 6 }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (kPa, shift) => {
          const plain = balanceOf(bank(...kPa), 'cylinder 1');
          const shifted = balanceOf([...bank(...kPa.map((each) => each + shift))].reverse(), 'cylinder 1');
          expect(shifted.spreadKPa).toBeCloseTo(plain.spreadKPa, 9);
          expect(Math.abs(shifted.first?.offKPa ?? 0)).toBeCloseTo(Math.abs(plain.first?.offKPa ?? 0), 9);
          expect(plain.even).toBe(plain.spreadKPa <= EVEN_SPREAD_KPA + 1e-9);
        },
      ),
    );
  });
});
