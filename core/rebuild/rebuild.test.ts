import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  inOrder,
  judgeClosed,
  type KitPart,
  linearity,
  lubricantProblem,
  lubricantsFor,
  missingBefore,
  netTurns,
  type Rubber,
  RUBBERS,
  SWEEP_PERCENT,
  turnWords,
} from './index.ts';

const part = (id: string, order: number, rubber: Rubber | null = null): KitPart => ({
  id,
  name: id,
  partNumber: '',
  count: 1,
  rubber,
  wayRound: '',
  order,
});

describe('seals', () => {
  it('get a lubricant that suits their rubber, never one that swells it', () => {
    for (const rubber of Object.keys(RUBBERS) as Rubber[]) {
      const list = lubricantsFor(rubber);
      expect(list.length).toBe(4);
      for (const { substance, advice } of list)
        expect(lubricantProblem(substance, rubber) === null).toBe(advice.verdict !== 'never');
    }
    expect(lubricantProblem('petroleum-jelly', 'epdm')).toBe(
      'Never petroleum jelly on EPDM: swells EPDM: the ring grows, folds and leaks. Take silicone grease.',
    );
    expect(lubricantProblem('silicone-grease', 'silicone-rubber')).toContain('Never silicone grease on silicone');
  });
  it('go in with the grease that the house likes, but only where it suits as well as another', () => {
    const first = (rubber: Rubber, favourite?: string) => lubricantsFor(rubber, favourite)[0]?.substance;
    const several = (Object.keys(RUBBERS) as Rubber[]).flatMap((rubber) => {
      const suits = lubricantsFor(rubber).filter(({ advice }) => advice.verdict === 'use');
      const last = suits.at(-1)?.substance;
      return suits.length > 1 && last !== undefined ? [[rubber, last] as const] : [];
    });
    expect(several.length).toBeGreaterThan(0);
    for (const [rubber, favourite] of several) expect(first(rubber, favourite)).toBe(favourite);
    expect(first('epdm', 'petroleum-jelly')).toBe(first('epdm'));
  });
  it('go in by their order', () => {
    const kit = [part('cover', 3), part('ring', 1), part('spring', 2), part('pin', 2)];
    expect(inOrder(kit).map(({ id }) => id)).toEqual(['ring', 'spring', 'pin', 'cover']);
    expect(missingBefore(kit, 'cover', new Set(['ring', 'pin'])).map(({ id }) => id)).toEqual(['spring']);
    expect(missingBefore(kit, 'ring', new Set())).toEqual([]);
    expect(missingBefore(kit, 'nothing', new Set())).toEqual([]);
  });
});

describe('linearity', () => {
  const sweep = (...volts: number[]) =>
    volts.map((each, index) => ({ percent: SWEEP_PERCENT[index] ?? 0, volts: each }));
  it('worked: a bulge of 0.1 V in a span of 4 V at half way', () => {
    const found = linearity(sweep(0.5, 1.5, 2.6, 3.5, 4.5));
    expect(found.deviationPercent).toBeCloseTo(2.5, 9);
    expect(found).toMatchObject({ worstAt: 50, monotonic: true, good: false });
    expect(linearity(sweep(0.5, 1.5, 2.55, 3.5, 4.5)).good).toBe(true);
  });
  it('tells a worn track that turns back, rising or falling', () => {
    expect(linearity(sweep(0.5, 1.5, 1.4, 3.5, 4.5))).toMatchObject({ monotonic: false, good: false });
    expect(linearity(sweep(4.5, 3.5, 2.5, 1.5, 0.5))).toMatchObject({ monotonic: true, good: true });
  });
  it('does not care for order, scale or offset', () => {
    const volts = fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { minLength: 5, maxLength: 5 });
    fc.assert(
      fc.property(
        volts,
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (list, by, plus) => {
          const points = sweep(...list);
          if (Math.abs((list[4] ?? 0) - (list[0] ?? 0)) < 0.1) return;
          const other = points.map(({ percent, volts: each }) => ({ percent, volts: each * by + plus })).reverse();
          expect(linearity(other).deviationPercent).toBeCloseTo(linearity(points).deviationPercent, 6);
        },
      ),
    );
  });
  it.each([
    [[{ percent: 0, volts: 1 }], 'at least three'],
    [sweep(1, 2, 3, 2, 1), 'read the same'],
    [[0, 0, 100].map((percent) => ({ percent, volts: percent })), 'each opening once'],
  ])('refuses %j', (points, message) => {
    expect(() => linearity(points)).toThrow(message);
  });
});

describe('setting', () => {
  const band = { low: 0.45, high: 0.55, source: 'book' };
  it.each([
    [0.5, 'right', 'tighten'],
    [0.4, 'too low', '0.10 V too low: turn it on, towards 0.50 V.'],
    [0.62, 'too high', '0.12 V too high: turn it back'],
  ])('%d V is %s', (volts, verdict, words) => {
    expect(judgeClosed(volts, band).verdict).toBe(verdict);
    expect(judgeClosed(volts, band).words).toContain(words);
  });
  it('says so when no band is known', () => {
    expect(judgeClosed(0.5, null)).toMatchObject({ verdict: 'no band', off: 0 });
  });
  it('counts turns back to where the screw was found', () => {
    const turned = [
      { screw: 'idle' as const, turns: 1.5 },
      { screw: 'stop' as const, turns: 0.25 },
      { screw: 'idle' as const, turns: -1.5 },
    ];
    expect(netTurns(turned, 'idle')).toBe(0);
    expect([0, 0.25, -1.75, 1, 0.1].map(turnWords)).toEqual([
      'as found',
      '¼ turn out',
      '1¾ turns in',
      '1 turn out',
      '0.10 turns out',
    ]);
  });
});
