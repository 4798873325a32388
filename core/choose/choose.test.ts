import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_KNOWLEDGE } from '../diagnose/knowledge/index.ts';
import { SAMPLE_FAMILY } from '../job/testing/samples.ts';
import {
  betaCdf,
  betaQuantile,
  chanceOf,
  type ChooseInput,
  compareOptions,
  cures,
  flipPrice,
  OPTIONS,
  type OptionTerms,
  TREATS,
  usualTerms,
} from './index.ts';

const terms = (
  id: OptionTerms['id'],
  partsMinor: number | null,
  minutes: number,
  life: number,
  daysOff = 0,
): OptionTerms => ({
  id,
  partsMinor,
  consumablesMinor: 0,
  minutes,
  daysOff,
  life,
});
const INPUT: ChooseInput = {
  belief: [
    { cause: 'deposit', share: 0.8 },
    { cause: 'gears', share: 0.2 },
  ],
  terms: [terms('clean-bench', 700, 120, 70_000), terms('replace', 46_000, 60, 180_000, 3)],
  results: [],
  ratePerHourMinor: 6000,
  dayPriceMinor: 4500,
  comebackMinor: 9000,
  per: 'km',
};

describe('the Beta distribution', () => {
  it.each([
    [0.5, 1, 1, 0.5],
    [0.3, 2, 2, 3 * 0.09 - 2 * 0.027],
    [0.2, 1, 5, 1 - 0.8 ** 5],
    [0.9, 7, 1, 0.9 ** 7],
  ])('I_%f(%f, %f) in closed form', (x, a, b, expected) => {
    expect(betaCdf(x, a, b)).toBeCloseTo(expected, 12);
  });
  it('mirrors, and its quantile undoes it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 40, noNaN: true }),
        fc.double({ min: 0.3, max: 40, noNaN: true }),
        fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        (a, b, p) => {
          expect(betaCdf(p, a, b) + betaCdf(1 - p, b, a)).toBeCloseTo(1, 9);
          expect(betaCdf(betaQuantile(p, a, b), a, b)).toBeCloseTo(p, 4);
        },
      ),
    );
  });
  it('ends where it ends', () => {
    expect([betaCdf(-1, 2, 2), betaCdf(2, 2, 2)]).toEqual([0, 1]);
  });
});

describe('the chance to cure', () => {
  it('is the ranked causes times how well the option treats each', () => {
    // Deposit nearly always (0.9), worn gears never.
    expect(chanceOf('clean-bench', INPUT).fromCauses).toBeCloseTo(0.8 * 0.9, 12);
    expect(chanceOf('clean-bench', INPUT).mean).toBeCloseTo(0.72, 12);
  });
  it('moves with the shop’s own results: ten jobs weigh as much as the causes', () => {
    const seen = chanceOf('clean-bench', { ...INPUT, results: [{ option: 'clean-bench', cured: 2, cameBack: 8 }] });
    expect(seen.mean).toBeCloseTo((7.2 + 2) / 20, 12);
    expect(seen.low).toBeLessThan(seen.mean);
    expect(seen.high).toBeGreaterThan(seen.mean);
    expect(chanceOf('clean-bench', { ...INPUT, belief: [] })).toMatchObject({ mean: 0, low: 0 });
  });
  it('treats causes elsewhere by looking elsewhere, and every treated cause exists', () => {
    expect(cures('elsewhere', 'intake-leak')).toBe(0.9);
    expect(cures('replace', 'intake-leak')).toBe(0);
    for (const cause of Object.keys(TREATS)) expect(SHIPPED_KNOWLEDGE.causes.map(({ id }) => id)).toContain(cause);
    for (const { id, throttle } of SHIPPED_KNOWLEDGE.causes) if (throttle) expect(TREATS[id], id).toBeDefined();
  });
});

describe('compareOptions', () => {
  it('works the money out by hand', () => {
    const { options, first } = compareOptions(INPUT);
    const clean = options.find(({ terms: { id } }) => id === 'clean-bench')!;
    const replace = options.find(({ terms: { id } }) => id === 'replace')!;
    expect(clean.nowMinor).toBe(700 + 12_000);
    expect(replace.nowMinor).toBe(46_000 + 6000 + 3 * 4500);
    // When cleaning fails: diagnose again, then the new unit.
    expect(clean.expectedMinor).toBe(Math.round(12_700 + (1 - 0.72) * (9000 + 65_500 + (1 - 0.9) * 9000)));
    const life = 0.72 * 70_000 + 0.28 * 180_000;
    expect(clean.perUseMinor).toBe(Math.round(((clean.expectedMinor ?? 0) / life) * 10_000));
    expect(first).toBe('clean-bench');
  });
  it('counts outboards by the hundred hours', () => {
    const hours = compareOptions({ ...INPUT, per: 'h', terms: [terms('rebuild', 0, 60, 400)] });
    // Alone it has nothing to fall back on: deposit 0.9 of 0.8, worn gears 0.6 of 0.2.
    const expected = Math.round(6000 + (1 - 0.84) * 9000);
    expect(hours.options[0]).toMatchObject({
      expectedMinor: expected,
      perUseMinor: Math.round((expected / 400) * 100),
    });
    expect(hours.options[0]?.nowMinor).toBe(6000);
  });
  it('shows what has no price last, and says so', () => {
    const { options, first, sentence } = compareOptions({
      ...INPUT,
      terms: [terms('replace', null, 60, 100), ...INPUT.terms.slice(0, 1)],
    });
    expect(options.at(-1)).toMatchObject({ nowMinor: null, unknown: expect.arrayContaining(['price not known']) });
    expect(first).toBe('clean-bench');
    expect(sentence).toMatch(/^Clean on the bench comes first: 72 in 100 to cure/);
    expect(compareOptions({ ...INPUT, terms: [terms('replace', null, 60, 100)] })).toMatchObject({
      first: null,
      sentence: 'No option has a price yet.',
    });
  });
  it('refuses nothing to compare, and a life of nothing', () => {
    expect(() => compareOptions({ ...INPUT, terms: [] })).toThrow(RangeError);
    expect(() => compareOptions({ ...INPUT, terms: [terms('replace', 1, 1, 0)] })).toThrow(/life above 0/);
  });
});

describe('where the choice flips', () => {
  it('is the price at which an option stops being first', () => {
    const flip = flipPrice(INPUT, 'replace')!;
    expect(flip).toMatchObject({ below: 'replace', above: 'clean-bench' });
    const at = (partsMinor: number) =>
      compareOptions({
        ...INPUT,
        terms: INPUT.terms.map((each) => (each.id === 'replace' ? { ...each, partsMinor } : each)),
      }).first;
    expect(at(flip.priceMinor - 1)).toBe('replace');
    expect(at(flip.priceMinor)).toBe('clean-bench');
  });
  it('is nowhere when no price changes anything', () => {
    expect(
      flipPrice(
        {
          ...INPUT,
          belief: [{ cause: 'fuel', share: 1 }],
          terms: [terms('elsewhere', 0, 60, 120_000), terms('replace', 100, 6000, 100)],
        },
        'replace',
      ),
    ).toBeNull();
  });
});

describe('usual terms', () => {
  it('take prices from the family and leave what is not known unknown', () => {
    const made = usualTerms(SAMPLE_FAMILY, 'throttle-body', 'km');
    expect(made.map(({ id }) => id)).toEqual(Object.keys(OPTIONS));
    expect(made.find(({ id }) => id === 'replace')).toMatchObject({ partsMinor: 90_000, daysOff: 4, life: 180_000 });
    expect(made.find(({ id }) => id === 'replace-rebuilt')?.partsMinor).toBeNull();
    expect(usualTerms(null, 'idle-valve', 'h').find(({ id }) => id === 'rebuild')).toMatchObject({
      partsMinor: 3400,
      life: 700,
    });
  });
});
