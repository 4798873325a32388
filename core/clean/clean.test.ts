import { describe, expect, it } from 'vitest';
import { canUse, nextPass, type PassKind } from './index.ts';

describe('canUse', () => {
  it('weighs before and after', () => {
    expect(canUse(412, 396, 400)).toEqual({ grams: 16, shareOfCan: 0.04 });
    expect(canUse(412, 412)).toEqual({ grams: 0, shareOfCan: null });
  });
  it.each([
    [0, 0, 'more than 0 g'],
    [100, 101, 'cannot gain weight'],
    [100, -1, '0 g or more'],
  ])('refuses %d to %d', (before, after, message) => {
    expect(() => canUse(before, after)).toThrow(message);
  });
});

describe('nextPass', () => {
  it('protects once, goes round until the grade says so, then dries', () => {
    const done: PassKind[] = [];
    const seen: (PassKind | null)[] = [];
    for (const grade of [null, null, null, null, null, 3, null, null, null, 1, null]) {
      const next = nextPass(done, grade);
      seen.push(next);
      if (next !== null) done.push(next);
    }
    expect(seen).toEqual(['protect', 'wet', 'soak', 'brush', 'wipe', 'wet', 'soak', 'brush', 'wipe', 'dry', null]);
  });
});
