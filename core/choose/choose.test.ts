import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_KNOWLEDGE } from '../diagnose/knowledge/index.ts';
import { SAMPLE_FAMILY } from '../job/testing/samples.ts';
import {
  askedPrices,
  betaCdf,
  betaQuantile,
  chanceOf,
  type ChooseInput,
  compareOptions,
  type Curable,
  curesAt,
  flipChance,
  flipPrice,
  LEAST_CHANCE,
  lifeAt,
  OPTIONS,
  type OptionTerms,
  planOptions,
  usualTerms,
} from './index.ts';
import { bestByFirst } from './plan.ts';
import { problemOf } from './search.ts';
import { waysOf } from './ways.ts';
import { bruteForce } from './testing/bruteForce.ts';

const terms = (
  id: OptionTerms['id'],
  partsMinor: number | null,
  minutes: number,
  life: number,
  more: Partial<OptionTerms> = {},
): OptionTerms => ({ id, partsMinor, consumablesMinor: 0, minutes, daysOff: 0, life, showsAtOnce: 1, ...more });
const curable = (id: string, cures: Curable['cures'], more: Partial<Curable> = {}): Curable => ({
  id,
  cures,
  homes: [],
  returns: null,
  ...more,
});
const cure = (option: OptionTerms['id'], word: Curable['cures'][number]['word']) => ({ option, word, why: 'sample' });
const CAUSES: readonly Curable[] = [
  curable('deposit', [cure('clean-bench', 'nearly always'), cure('replace', 'nearly always')]),
  curable('gears', [cure('replace', 'nearly always')]),
];
const INPUT: ChooseInput = {
  belief: [
    { cause: 'deposit', share: 0.8 },
    { cause: 'gears', share: 0.2 },
  ],
  causes: CAUSES,
  terms: [terms('clean-bench', 700, 120, 70_000), terms('replace', 46_000, 60, 180_000, { daysOff: 3 })],
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
  const clean = INPUT.terms[0]!;
  it('is the ranked causes times how well the option treats each', () => {
    expect(chanceOf(clean, INPUT).fromCauses).toBeCloseTo(0.8 * 0.9, 12);
    expect(chanceOf(clean, INPUT).mean).toBeCloseTo(0.72, 12);
  });
  it('moves with the shop’s own results: ten jobs weigh as much as the causes', () => {
    const seen = chanceOf(clean, { ...INPUT, results: [{ option: 'clean-bench', cured: 2, cameBack: 8 }] });
    expect(seen.mean).toBeCloseTo((7.2 + 2) / 20, 12);
    expect(seen.low).toBeLessThan(seen.mean);
    expect(seen.high).toBeGreaterThan(seen.mean);
    expect(chanceOf(clean, { ...INPUT, belief: [] })).toMatchObject({ mean: 0, low: 0 });
  });
  it('reaches a cause only at the unit it is done to', () => {
    const valve = { kind: 'idle-valve', place: 'only' } as const;
    const stuck = [curable('stuck', [cure('replace', 'nearly always')], { homes: ['idle-valve'] })];
    const at = (kind: OptionTerms['kind']) =>
      curesAt(terms('replace', 0, 1, 1, { kind }), { cause: 'stuck', unit: valve }, stuck);
    expect([at('idle-valve'), at('throttle-body')]).toEqual([0.9, 0]);
    const left = { kind: 'throttle-actuator', place: 'left' } as const;
    const gears = [curable('gears', [cure('replace', 'nearly always')], { homes: ['throttle-actuator'] })];
    const one = (place: string) =>
      curesAt(
        terms('replace', 0, 1, 1, { unit: { ...left, place }, kind: left.kind }),
        { cause: 'gears', unit: left },
        gears,
      );
    expect([one('left'), one('right')]).toEqual([0.9, 0]);
  });
  it('of two faults at once is the product of both', () => {
    const both = { ...INPUT, belief: [{ cause: 'deposit', with: { cause: 'gears' }, share: 1 }] };
    expect(chanceOf(INPUT.terms[1]!, both).mean).toBeCloseTo(0.81, 12);
    expect(chanceOf(clean, both).mean).toBe(0);
  });
  it('holds no longer than the cause stays away', () => {
    const coats = [curable('deposit', [], { returns: { km: 70_000, h: 400 } })];
    expect(lifeAt(terms('replace', 0, 1, 180_000), { cause: 'deposit' }, coats, 'km')).toBe(70_000);
    expect(lifeAt(terms('clean-in-place', 0, 1, 25_000), { cause: 'deposit' }, coats, 'km')).toBe(25_000);
    expect(lifeAt(terms('replace', 0, 1, 1200), { cause: 'deposit' }, coats, 'h')).toBe(400);
  });
  it('every cause that ships can be cured by something', () => {
    for (const { id, cures, throttle } of SHIPPED_KNOWLEDGE.causes) {
      expect(cures.length, id).toBeGreaterThan(0);
      if (!throttle)
        expect(
          cures.map(({ option }) => option),
          id,
        ).toContain('elsewhere');
    }
  });
});

describe('planOptions', () => {
  it('adds up as the drawing does: 24 + 0.73·112 + 0.15·528, 0.45 day at 45, 3 in 100 at 90', () => {
    // 27 of 100 end at the relearn, 58 at the clean body, 12 at the new one; three causes, each cured by one of them.
    const only = (option: OptionTerms['id']) => [cure(option, 'often')];
    const input: ChooseInput = {
      ...INPUT,
      causes: [curable('a', only('relearn')), curable('b', only('clean-bench')), curable('c', only('replace'))],
      // Often is 0.6: shares of 0.45, and so on, leave 27, 58 and 12 of a hundred cured.
      belief: [
        { cause: 'a', share: 0.27 / 0.6 / 1.6167 },
        { cause: 'b', share: 0.58 / 0.6 / 1.6167 },
        { cause: 'c', share: 0.12 / 0.6 / 1.6167 },
      ],
      terms: [
        terms('relearn', 2400, 0, 100_000),
        terms('clean-bench', 11_200, 0, 100_000),
        terms('replace', 52_800, 0, 100_000, { daysOff: 3 }),
      ],
      dayPriceMinor: 4500,
      unsolvedMinor: 9000,
      leastChance: 0,
    };
    const { plans } = planOptions(input);
    for (const plan of plans) {
      const by = plan.steps.map(({ reach, way }) => reach * (way.costMinor ?? 0)).reduce((a, b) => a + b, 0);
      expect(plan.stepsMinor).toBeCloseTo(by, 6);
      const days = plan.steps.reduce((sum, { reach, way }) => sum + reach * way.terms.daysOff, 0);
      expect(plan.daysMinor).toBeCloseTo(days * 4500, 6);
      expect(plan.unsolvedMinor).toBeCloseTo(plan.open * 9000, 6);
      expect(plan.expectedMinor).toBeCloseTo(
        plan.stepsMinor + plan.daysMinor + plan.comebackMinor + plan.unsolvedMinor,
        6,
      );
      expect(plan.open + plan.steps.reduce((sum, { ends }) => sum + ends, 0)).toBeCloseTo(1, 9);
    }
    // The sums of the drawing itself, by hand.
    expect(24 + 0.73 * 112 + 0.15 * 528).toBeCloseTo(184.96, 2);
    expect(184.96 + 0.45 * 45 + 0.03 * 90).toBeCloseTo(207.91, 2);
  });
  it('works the money of two steps out by hand', () => {
    const { plans } = planOptions({ ...INPUT, unsolvedMinor: 500_000 });
    const first = plans.find(({ steps }) => steps[0]?.way.option === 'clean-bench' && steps.length === 2)!;
    const clean = 700 + 12_000;
    const replace = 46_000 + 6000;
    const left = 1 - 0.72;
    expect(first.stepsMinor).toBeCloseTo(clean + left * replace, 6);
    expect(first.daysMinor).toBeCloseTo(left * 3 * 4500, 6);
    // After cleaning failed, deposit is 0.08 of 0.28 left and gears 0.2: a new unit cures 0.9 of both.
    expect(first.open).toBeCloseTo(left * 0.1, 9);
    expect(first.steps[1]!.chance).toBeCloseTo(0.9, 9);
    expect(first.steps[0]!.then[0]).toMatchObject({ cause: 'gears', share: expect.closeTo(0.2 / 0.28, 9) });
    const life = 0.72 * 70_000 + left * 0.9 * 180_000;
    expect(first.perUseMinor).toBeCloseTo((first.expectedMinor / life) * 10_000, 6);
  });
  it('charges a comeback only for what shows after hand-over', () => {
    const late = (showsAtOnce: number) =>
      planOptions({ ...INPUT, terms: [terms('clean-bench', 0, 60, 70_000, { showsAtOnce })] }).plans[0]!;
    expect(late(1).comebackMinor).toBeCloseTo(0, 9);
    expect(late(0.25).comebackMinor).toBeCloseTo(0.28 * 0.75 * 9000, 6);
  });
  it('tries nothing under the least chance, nor a relearn that did not take', () => {
    const causes = [...CAUSES, curable('x', [cure('relearn', 'nearly always')])];
    const belief = [...INPUT.belief.map((one) => ({ ...one, share: one.share * 0.96 })), { cause: 'x', share: 0.04 }];
    const withRelearn = { ...INPUT, causes, belief, terms: [...INPUT.terms, terms('relearn', 0, 1, 100_000)] };
    const { plans, notWorth } = planOptions(withRelearn);
    expect(notWorth.map(({ way, why }) => [way.option, why])).toEqual([['relearn', 'no chance']]);
    expect(plans.map(({ steps: [first] }) => first?.way.option)).not.toContain('relearn');
    for (const { chance } of plans.flatMap(({ steps }) => steps)) expect(chance).toBeGreaterThanOrEqual(LEAST_CHANCE);
    const failed = planOptions({
      ...withRelearn,
      belief: [
        { cause: 'x', share: 0.5 },
        { cause: 'gears', share: 0.5 },
      ],
      failed: ['relearn'],
    });
    expect(failed.notWorth).toContainEqual(expect.objectContaining({ why: 'tried already' }));
  });
  it('asks for a price before it names a winner that it could take the place of', () => {
    const unpriced = { ...INPUT, terms: [INPUT.terms[0]!, terms('replace', null, 60, 180_000)] };
    const { plans, unpriced: without } = planOptions(unpriced);
    const asksPrice = askedPrices(unpriced);
    expect(without.map(({ option }) => option)).toEqual(['replace']);
    expect(plans[0]?.steps[0]?.way.option).toBe('clean-bench');
    expect(asksPrice.map(({ way: { option } }) => option)).toEqual(['replace']);
    // At that price the two are level; a little less and it leads, a little more and it does not.
    const { underMinor } = asksPrice[0]!;
    const leads = (partsMinor: number) =>
      planOptions({ ...INPUT, terms: [INPUT.terms[0]!, terms('replace', partsMinor, 60, 180_000)] }).plans[0]?.steps[0]
        ?.way.option;
    expect([leads(Math.floor(underMinor) - 1), leads(Math.ceil(underMinor) + 1)]).toEqual(['replace', 'clean-bench']);
    // Where it could not win even for nothing, nobody is asked.
    const dear = { ...INPUT, terms: [terms('clean-bench', 0, 1, 180_000), terms('replace', null, 600, 20_000)] };
    expect(askedPrices(dear)).toEqual([]);
  });
  it('treats both of two faults', () => {
    const causes = [curable('a', [cure('adjust', 'nearly always')]), curable('b', [cure('rebuild', 'nearly always')])];
    const { plans } = planOptions({
      ...INPUT,
      causes,
      belief: [{ cause: 'a', with: { cause: 'b' }, share: 1 }],
      terms: [terms('adjust', 0, 30, 80_000), terms('rebuild', 3000, 60, 80_000)],
      leastChance: 0,
    });
    const whole = plans.find(({ steps }) => steps.length === 2)!;
    expect(1 - whole.open).toBeCloseTo(0.81, 9);
  });
  it('takes prices of zero, and refuses nothing to choose from or the same thing twice', () => {
    expect(planOptions({ ...INPUT, terms: [terms('replace', 0, 0, 1)] }).plans).toHaveLength(1);
    expect(planOptions({ ...INPUT, terms: [terms('replace', 1, 1, 0)] }).notWorth[0]?.why).toBe('no life');
    expect(() => planOptions({ ...INPUT, terms: [] })).toThrow(RangeError);
    expect(() => planOptions({ ...INPUT, terms: [INPUT.terms[0]!, INPUT.terms[0]!] })).toThrow(/given twice/);
  });
});

/** A random situation: what is believed, what can be done, and what it costs. */
const situations = fc
  .record({
    shares: fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 4, maxLength: 4 }),
    cures: fc.array(fc.constantFrom('never', 'seldom', 'sometimes', 'often', 'nearly always'), {
      minLength: 20,
      maxLength: 20,
    }),
    parts: fc.array(fc.integer({ min: 0, max: 60_000 }), { minLength: 5, maxLength: 5 }),
    minutes: fc.array(fc.integer({ min: 5, max: 200 }), { minLength: 5, maxLength: 5 }),
    lives: fc.array(fc.integer({ min: 10_000, max: 180_000 }), { minLength: 5, maxLength: 5 }),
    atOnce: fc.integer({ min: 0, max: 10 }),
    pair: fc.boolean(),
  })
  .map(({ shares, cures, parts, minutes, lives, atOnce, pair }): ChooseInput => {
    const ids = ['relearn', 'clean-bench', 'rebuild', 'replace', 'elsewhere'] as const;
    const total = shares.reduce((sum, share) => sum + share + 1, 0);
    const belief = shares.map((share, index) => ({ cause: `c${index}`, share: (share + 1) / total }));
    return {
      ...INPUT,
      belief: pair
        ? [
            ...belief.map((one) => ({ ...one, share: one.share * 0.6 })),
            { cause: 'c0', with: { cause: 'c1' }, share: 0.4 },
          ]
        : belief,
      causes: shares.map((_, at) =>
        curable(
          `c${at}`,
          ids.map((id, index) => cure(id, cures[at * 5 + index] as 'never')),
          at === 0 ? { returns: { km: 60_000, h: 400 } } : {},
        ),
      ),
      terms: ids.map((id, index) =>
        terms(id, parts[index] ?? 0, minutes[index] ?? 10, lives[index] ?? 10_000, {
          showsAtOnce: atOnce / 10,
          daysOff: id === 'replace' ? 2 : 0,
        }),
      ),
    };
  });

describe('laws of the plan', () => {
  it('is within 1 % of an exhaustive search that shares no code with it, and starts with nothing hopeless', () => {
    fc.assert(
      fc.property(situations, (input) => {
        const { plans, ways } = planOptions(input);
        const best = bruteForce(input);
        if (best === null) {
          expect(plans).toEqual([]);
          return;
        }
        expect(plans[0]!.perUseMinor).toBeLessThanOrEqual(best.perUseMinor * 1.01);
        expect(plans[0]!.perUseMinor).toBeGreaterThanOrEqual(best.perUseMinor * 0.99);
        const first = plans[0]!.steps[0]!;
        expect(first.helps).toBeGreaterThanOrEqual(LEAST_CHANCE - 1e-9);
        expect(ways).toHaveLength(5);
      }),
      { numRuns: 3000, seed: 20261128 },
    );
  });
  const dearerBy = (input: ChooseInput, at: number, more: number): ChooseInput => ({
    ...input,
    terms: input.terms.map((each, index) =>
      index === at ? { ...each, partsMinor: (each.partsMinor ?? 0) + more } : each,
    ),
  });
  const prices = [fc.integer({ min: 0, max: 4 }), fc.integer({ min: 1, max: 40_000 })] as const;
  it('dearer never moves an option up', () => {
    fc.assert(
      fc.property(situations, ...prices, (input, at, more) => {
        const place = (given: ChooseInput): number =>
          compareOptions(given).options.findIndex(({ terms: { id } }) => id === input.terms[at]!.id);
        expect(place(dearerBy(input, at, more))).toBeGreaterThanOrEqual(place(input));
      }),
      // Situations as they come, not leaning to the edges of what can be.
      { numRuns: 3000, seed: 20261128, unbiased: true },
    );
  });
  it('dearer never moves an option past a plan that has no use for it, in whatever situation', () => {
    fc.assert(
      fc.property(situations, ...prices, (input, at, more) => {
        const id = input.terms[at]!.id;
        const ranked = (given: ChooseInput) => {
          const problem = problemOf(given, waysOf(given));
          return bestByFirst(problem).map(({ ways }) => ways.map((way) => problem.ways[way]!.way.option));
        };
        const [now, then] = [ranked(input), ranked(dearerBy(input, at, more))];
        const place = (plans: typeof now, first: string): number => plans.findIndex(([option]) => option === first);
        // What has no chance is in no plan, dear or cheap.
        const before = now.slice(0, Math.max(0, place(now, id))).filter((plan) => !plan.includes(id));
        for (const [first] of before) expect(place(then, id)).toBeGreaterThan(place(then, first!));
      }),
      { numRuns: 3000, seed: 20261128 },
    );
  });
});

describe('compareOptions', () => {
  it('shows every option as the first step of its best plan, and what has no price last', () => {
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
  it('counts outboards by the hundred hours', () => {
    const hours = compareOptions({ ...INPUT, per: 'h', terms: [terms('clean-bench', 0, 60, 400)] });
    const expected = Math.round(6000 + 0.28 * 9000);
    expect(hours.options[0]).toMatchObject({
      expectedMinor: expected,
      perUseMinor: Math.round((expected / (0.72 * 400)) * 100),
    });
  });
  it('refuses nothing to compare', () => {
    expect(() => compareOptions({ ...INPUT, terms: [] })).toThrow(RangeError);
  });
});

describe('where the choice flips', () => {
  const firstAt = (input: ChooseInput, partsMinor: number) =>
    planOptions({
      ...input,
      terms: input.terms.map((each) => (each.id === 'replace' ? { ...each, partsMinor } : each)),
    }).plans[0]?.steps[0]?.way.option;
  it('is the price at which another step comes first, by the criterion of the plan', () => {
    const flip = flipPrice(INPUT, 'replace')!;
    expect([flip.below.option, flip.above.option]).toEqual(['replace', 'clean-bench']);
    expect(firstAt(INPUT, flip.at - 2)).toBe('replace');
    expect(firstAt(INPUT, flip.at + 2)).toBe('clean-bench');
  });
  it('is where another step comes first, whatever the situation', () => {
    fc.assert(
      fc.property(situations, (input) => {
        const flip = flipPrice(input, 'replace');
        if (flip === null || flip.at < 3) return;
        const below = firstAt(input, Math.max(0, flip.at - 2));
        const above = firstAt(input, flip.at + 2);
        expect(below === flip.below.option || above === flip.above.option).toBe(true);
      }),
      { numRuns: 200 },
    );
  });
  it('is nowhere when no price changes anything', () => {
    expect(
      flipPrice(
        {
          ...INPUT,
          belief: [{ cause: 'fuel', share: 1 }],
          causes: [curable('fuel', [cure('elsewhere', 'nearly always')])],
          terms: [terms('elsewhere', 0, 60, 120_000), terms('replace', 100, 6000, 100)],
        },
        'replace',
      ),
    ).toBeNull();
    expect(flipPrice(INPUT, 'moon')).toBeNull();
  });
  it('is the chance at which another step comes first', () => {
    const flip = flipChance(INPUT, 'clean-bench');
    expect(flip?.below.option).toBe('replace');
    expect(flip?.at).toBeLessThan(0.72);
    expect(flipChance(INPUT, 'moon')).toBeNull();
  });
});

describe('usual terms', () => {
  const from = (
    units: Parameters<typeof usualTerms>[0]['units'],
    more: Partial<Parameters<typeof usualTerms>[0]> = {},
  ) => usualTerms({ family: SAMPLE_FAMILY, units, belief: [], per: 'km', wayMinutes: null, ...more });
  const body = { kind: 'throttle-body', place: 'only' } as const;
  it('take prices from the family and leave what is not known unknown', () => {
    const made = from([body]);
    expect(made.map(({ id }) => id)).toEqual(Object.keys(OPTIONS));
    expect(made.find(({ id }) => id === 'replace')).toMatchObject({ partsMinor: 90_000, daysOff: 4, life: 180_000 });
    expect(made.find(({ id }) => id === 'replace-rebuilt')?.partsMinor).toBeNull();
    expect(from([], { family: null, per: 'h' }).find(({ id }) => id === 'rebuild')).toMatchObject({
      partsMinor: 3400,
      life: 700,
    });
  });
  it('multiply parts by the units, and take the way off and back once', () => {
    const two = [
      { kind: 'throttle-body', place: 'left bank' },
      { kind: 'throttle-body', place: 'right bank' },
    ] as const;
    const clean = from(two, { wayMinutes: 100 }).find(({ id }) => id === 'clean-bench')!;
    expect(clean).toMatchObject({ partsMinor: 1400, minutes: 180 });
    const believed = [{ cause: 'gears', unit: two[0], share: 0.9 }];
    const replaced = from(two, { belief: believed }).filter(({ id }) => id === 'replace');
    expect(replaced.map(({ unit, partsMinor }) => [unit?.place ?? 'all', partsMinor])).toEqual([
      ['all', 180_000],
      ['left bank', 90_000],
    ]);
  });
});
