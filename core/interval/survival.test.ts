import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chiSquareTail, erfc, kaplanMeier, type Life, logRank, normalQuantile, normalShare, shareAt } from './index.ts';

const lives = (text: string): Life[] =>
  text.split(' ').map((each) => ({ use: Number.parseFloat(each), failed: !each.endsWith('+') }));

/** Weeks of remission of the trial of 6-mercaptopurine (Freireich and others, 1963), as Cox and Oakes print them. */
const TREATED = lives('6 6 6 6+ 7 9+ 10 10+ 11+ 13 16 17+ 19+ 20+ 22 23 25+ 32+ 32+ 34+ 35+');
const PLACEBO = lives('1 1 2 2 3 4 4 5 5 8 8 8 8 11 11 12 12 15 17 22 23');

describe('how long repairs last', () => {
  it('is the published curve of the 6-MP trial, with Greenwood’s standard errors', () => {
    const { steps, median, repairs, failures } = kaplanMeier(TREATED);
    expect([repairs, failures, median]).toEqual([21, 9, 23]);
    expect(steps.map(({ use, atRisk, failed }) => [use, atRisk, failed])).toEqual([
      [6, 21, 3],
      [7, 17, 1],
      [10, 15, 1],
      [13, 12, 1],
      [16, 11, 1],
      [22, 7, 1],
      [23, 6, 1],
    ]);
    // Kleinbaum and Klein, Survival Analysis, table 2.3.
    const published = [0.8571, 0.8067, 0.7529, 0.6902, 0.6275, 0.5378, 0.4482];
    for (const [at, { share }] of steps.entries()) expect(share).toBeCloseTo(published[at]!, 4);
    expect(kaplanMeier(PLACEBO).median).toBe(8);
  });

  it('has a band on the log-log scale, as worked out by hand from the published standard errors', () => {
    const errors = [0.0764, 0.0869, 0.0963, 0.1068, 0.1141, 0.1282, 0.1346];
    for (const [at, { share, low, high }] of kaplanMeier(TREATED).steps.entries()) {
      const spread = (1.959964 * errors[at]!) / share / Math.abs(Math.log(share));
      expect(low).toBeCloseTo(share ** Math.exp(spread), 3);
      expect(high).toBeCloseTo(share ** Math.exp(-spread), 3);
    }
    expect(kaplanMeier(TREATED).medianBand).toEqual({ low: 13, high: null });
  });

  it('has no median while more than half are still good, and no step where nothing failed', () => {
    expect(kaplanMeier(lives('10+ 20+ 30+'))).toMatchObject({ steps: [], median: null, failures: 0 });
    expect(kaplanMeier(lives('10 20+ 30+ 40+'))).toMatchObject({ median: null });
    expect(kaplanMeier([])).toMatchObject({ repairs: 0, steps: [], median: null });
    expect(kaplanMeier(lives('5')).steps).toEqual([{ use: 5, atRisk: 1, failed: 1, share: 0, low: 0, high: 0 }]);
  });

  it('refuses what is no life', () => {
    expect(() => kaplanMeier([{ use: 0, failed: true }])).toThrow('greater than zero, got 0');
    expect(() => kaplanMeier(TREATED, 1)).toThrow('between 0 and 1');
    expect(() => logRank([{ use: -1, failed: true }], PLACEBO)).toThrow('greater than zero, got -1');
  });

  const anyLives = fc.array(fc.record({ use: fc.integer({ min: 1, max: 60 }), failed: fc.boolean() }), {
    minLength: 1,
    maxLength: 40,
  });
  it('falls, lies within its band, is at most the share that never failed, and does not mind the order', () => {
    fc.assert(
      fc.property(anyLives, (some) => {
        const { steps } = kaplanMeier(some);
        let before = 1;
        for (const { share, low, high } of steps) {
          expect(share).toBeLessThan(before);
          expect(low).toBeLessThanOrEqual(share + 1e-12);
          expect(high).toBeGreaterThanOrEqual(share - 1e-12);
          before = share;
        }
        expect(kaplanMeier([...some].reverse())).toEqual(kaplanMeier(some));
        expect(shareAt({ steps }, 0.5)).toBe(1);
      }),
    );
  });
  it('is the plain share where nothing is censored', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 30 }), (uses) => {
        const curve = kaplanMeier(uses.map((use) => ({ use, failed: true })));
        for (const at of [1, 7, 15, 29])
          expect(shareAt(curve, at)).toBeCloseTo(uses.filter((use) => use > at).length / uses.length, 9);
      }),
    );
  });
});

describe('two kinds of repair', () => {
  it('differ in the 6-MP trial by a log-rank of 16.79', () => {
    const { chiSquare, p, observed, expected, verdict } = logRank(TREATED, PLACEBO);
    expect(chiSquare).toBeCloseTo(16.79, 2);
    expect(p).toBeCloseTo(4.17e-5, 6);
    expect([observed, verdict]).toEqual([[9, 21], 'first']);
    expect(expected[0]).toBeCloseTo(19.25, 2);
    expect(expected[1]).toBeCloseTo(10.75, 2);
    expect(logRank(PLACEBO, TREATED)).toMatchObject({ verdict: 'second', chiSquare: expect.closeTo(chiSquare, 9) });
  });
  it('are alike with themselves, and too few say nothing', () => {
    expect(logRank(TREATED, TREATED)).toMatchObject({ verdict: 'alike', chiSquare: 0, p: 1 });
    expect(logRank(lives('5 6 9+'), lives('1 2 3'))).toMatchObject({ verdict: 'too-few' });
    expect(logRank(lives('50'), PLACEBO)).toMatchObject({ verdict: 'too-few' });
    expect(logRank([], [])).toMatchObject({ verdict: 'too-few', p: 1 });
  });
});

describe('the normal distribution', () => {
  it('is as published', () => {
    // Abramowitz and Stegun, tables 7.1 and 26.1; chi-square: table 26.7.
    expect(erfc(0.5)).toBeCloseTo(0.4795001222, 9);
    expect(erfc(3)).toBeCloseTo(2.209049699858544e-5, 12);
    expect(erfc(-1)).toBeCloseTo(1.842700793, 8);
    expect(normalQuantile(0.975)).toBeCloseTo(1.959963985, 8);
    expect(normalQuantile(0.9)).toBeCloseTo(1.281551566, 8);
    expect(chiSquareTail(3.841458821)).toBeCloseTo(0.05, 8);
    expect(normalShare(0)).toBe(0.5);
    expect(() => normalQuantile(1)).toThrow('between 0 and 1');
  });
  it('meets its inverse', () => {
    for (const share of [0.001, 0.1, 0.5, 0.8, 0.999])
      expect(normalShare(normalQuantile(share))).toBeCloseTo(share, 10);
  });
});
