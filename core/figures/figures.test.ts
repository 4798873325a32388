import { describe, expect, it } from 'vitest';
import { methodFor } from '../clean/index.ts';
import { readLight } from '../inspect/index.ts';
import { ladder, outlook, RUNGS } from '../seized/index.ts';
import {
  figureOf,
  figureProblem,
  optionFactors,
  rungChances,
  SHOP_FIGURES,
  type ShopValues,
  soakFigures,
} from './index.ts';

const said = (value: number) => ({ value, source: null, by: 'isla', at: '2026-05-13T08:00:00.000Z' });
const screw = { host: 'aluminium', headWhole: true, nearDelicate: false } as const;

describe('figures of the trade', () => {
  it('are the usual ones until the shop says otherwise, and lie within their own bounds', () => {
    for (const [id, { usual, low, high }] of Object.entries(SHOP_FIGURES)) {
      expect([id, usual >= low && usual <= high]).toEqual([id, true]);
      expect(figureOf({}, id as keyof typeof SHOP_FIGURES)).toBe(usual);
    }
    expect(figureOf({ 'soak-minutes': said(30) }, 'soak-minutes')).toBe(30);
  });
  it('have one for every rung of the ladder', () => {
    expect(Object.keys(rungChances({}))).toEqual(RUNGS.map(({ id }) => id));
    for (const { id, chance } of RUNGS) expect(rungChances({})[id]).toBeCloseTo(chance, 2);
  });
  it('are refused outside their bounds, in words', () => {
    expect(figureProblem('rung-oil', 40)).toBeNull();
    expect(figureProblem('rung-oil', 140)).toBe('Expected 0 to 100 %, got 140.');
    expect(figureProblem('soak-minutes', Number.NaN)).toContain('Expected 1 to 1440 min');
  });
  it('change what is worked out with them', () => {
    const better: ShopValues = { 'rung-right-bit': said(90) };
    expect(ladder(screw, [], rungChances(better))[0]?.rung.chance).toBe(0.9);
    expect(outlook(screw, [], rungChances(better)).success).toBeGreaterThan(outlook(screw, []).success);
    const soak = (values: ShopValues, grade: number): number | null | undefined =>
      methodFor('cable', { grade, fullyStripped: false }, {}, soakFigures(values)).passes.find(
        ({ kind }) => kind === 'soak',
      )?.minutes;
    expect([soak({}, 2), soak({ 'soak-body': said(20) }, 2), soak({ 'soak-body': said(20) }, 4)]).toEqual([10, 20, 40]);
    const bath = methodFor(
      'cable',
      { grade: 3, fullyStripped: true },
      { substance: 'bath' },
      soakFigures({ 'bath-detergent': said(6), 'bath-drying': said(45) }),
    );
    expect(bath.passes.map(({ kind, minutes }) => [kind, minutes])).toEqual(
      expect.arrayContaining([
        ['bath', 6],
        ['dry', 45],
      ]),
    );
  });
  it('lengthen and shorten what an option takes and holds', () => {
    expect(optionFactors({}, 'rebuild')).toEqual({ minutes: 1, life: 1 });
    const own = { 'minutes-rebuild': said(95), 'life-rebuild': said(220_000) };
    expect(optionFactors(own, 'rebuild')).toEqual({ minutes: 0.5, life: 2 });
  });
  it('say from when uneven light is a shape and no deposit', () => {
    // Wide on three hours of twelve.
    const marks = [2, 2, 1, 1, 1, 1, 1, 1, 1, 1, 1, 2];
    expect(readLight(marks).verdict).toBe('patchy');
    expect(readLight(marks, figureOf({ 'light-shape': said(15) }, 'light-shape') / 100).verdict).toBe('one-sided');
  });
});
