import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  advise,
  adviseAll,
  againstAdvice,
  bayAir,
  canUse,
  FORM_SURFACES,
  isPart,
  MASKS,
  METHODS,
  type Method,
  methodFor,
  methodInPlace,
  nextPass,
  type PassKind,
  SAFETY,
  shareWords,
  SUBSTANCES,
  type Substance,
  SURFACES,
  surfacesReached,
  type Surface,
  UNIT_FORMS,
  type UnitForm,
  vapour,
  walkInPlace,
  wasteOf,
} from './index.ts';

const substances = Object.keys(SUBSTANCES) as Substance[];
const surfaces = Object.keys(SURFACES) as Surface[];
const forms = Object.keys(UNIT_FORMS) as UnitForm[];

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

describe('advise', () => {
  it('has a verdict with a reason for every substance on every surface in every way', () => {
    for (const substance of substances)
      for (const surface of surfaces)
        for (const method of Object.keys(METHODS) as Method[]) {
          const { verdict, reason } = advise(substance, surface, method);
          expect(['use', 'with care', 'never']).toContain(verdict);
          expect(reason.length).toBeGreaterThan(5);
        }
    expect(substances.length * surfaces.length).toBe(225);
  });
  it.each([
    ['petroleum-jelly', 'epdm', 'smear', 'never', 'swells EPDM'],
    ['brake-cleaner-chlorinated', 'bare-aluminium', 'near-heat', 'never', 'poison gas'],
    ['throttle-cleaner', 'bare-aluminium', 'near-heat', 'never', 'flash point -20'],
    ['throttle-cleaner', 'bare-aluminium', 'spray', 'use', 'no film'],
    ['throttle-cleaner', 'motor-gears', 'spray', 'never', 'runs into the motor'],
    ['throttle-cleaner', 'motor-gears', 'wipe', 'with care', 'damp cloth'],
    ['carburettor-cleaner', 'coated-bore', 'wipe', 'never', 'coating'],
    ['carburettor-cleaner', 'pa66', 'wipe', 'never', 'crazes'],
    ['air-mass-cleaner', 'hot-film', 'spray', 'use', 'made for it'],
    ['air-mass-cleaner', 'hot-film', 'brush', 'never', 'touches the film'],
    ['oxalic-acid-bath', 'pa66', 'bath', 'never', 'polyamide'],
    ['alkaline-detergent', 'bare-aluminium', 'bath', 'with care', 'ten minutes'],
    ['throttle-cleaner', 'coated-bore', 'bath', 'never', 'too long'],
    ['silicone-grease', 'silicone-rubber', 'smear', 'never', 'silicone swells silicone'],
    ['silicone-grease', 'epdm', 'smear', 'use', 'thin film'],
  ] as const)('%s on %s, %s: %s', (substance, surface, method, verdict, reason) => {
    const advice = advise(substance, surface, method);
    expect(advice.verdict).toBe(verdict);
    expect(advice.reason).toContain(reason);
  });
  it('names the schools where they differ', () => {
    expect(advise('carburettor-cleaner', 'bare-aluminium', 'spray').schools.map(({ school }) => school)).toEqual([
      'strong',
      'throttle-cleaner',
    ]);
  });
  it('puts what must not be touched first', () => {
    const all = adviseAll('throttle-cleaner', FORM_SURFACES.electronic, 'spray');
    expect(all[0]?.advice.verdict).toBe('never');
    expect(all).toHaveLength(FORM_SURFACES.electronic.length);
  });
});

describe('the gate', () => {
  it('speaks against nothing that the planner proposes, on any form, under any house rule', () => {
    let looked = 0;
    for (const form of forms)
      for (const substance of ['throttle-cleaner', 'mild', 'strong', 'bath', 'nearly-dry', ''])
        for (const tool of ['soft', 'scraper'])
          for (const fullyStripped of [false, true])
            for (const grade of [null, 0, 2, 4]) {
              const { passes } = methodFor(form, { grade, fullyStripped }, { substance, tool });
              expect(passes[0]?.kind).toBe('protect');
              for (const { substance: used, how, minutes } of passes) {
                if (used === null || how === null) continue;
                looked += 1;
                const state = { covered: true, stripped: fullyStripped };
                const bath = how === 'bath' && minutes !== null ? { minutes } : undefined;
                expect([form, substance, againstAdvice(form, used, how, state, bath)]).toEqual([form, substance, []]);
              }
            }
    expect(looked).toBeGreaterThan(1000);
  });
  it('speaks against nothing of the walk on the vehicle either, running or not', () => {
    for (const form of forms.filter((each) => !isPart(each)))
      for (const running of ['never', 'bursts']) {
        const { passes } = methodInPlace(form, { 'running-spray': running });
        for (const { substance, how } of passes)
          if (substance !== null && how !== null)
            expect([form, againstAdvice(form, substance, how, { covered: true, stripped: false })]).toEqual([form, []]);
        expect(passes.some(({ how }) => how === 'running')).toBe(running === 'bursts' && form !== 'diesel-flap');
      }
    expect(walkInPlace('cable', {}).engine).toContain('key out');
    expect(walkInPlace('diesel-flap', { 'running-spray': 'bursts' }).engine).toContain('Off');
  });
  it('looks at all that a spray runs over, less what is covered; at all there is in a bath', () => {
    const bare = { covered: false, stripped: false };
    expect(surfacesReached('rotary-valve', 'spray', bare)).toEqual(FORM_SURFACES['rotary-valve']);
    expect(surfacesReached('rotary-valve', 'spray', { ...bare, covered: true })).toEqual([
      'bare-aluminium',
      'gasket-face',
    ]);
    expect(surfacesReached('rotary-valve', 'bath', { ...bare, covered: true })).toContain('motor-gears');
    expect(surfacesReached('bank', 'bath', { covered: true, stripped: true })).toEqual([
      'bare-aluminium',
      'brass-plate',
      'gasket-face',
    ]);
    expect(surfacesReached('electronic', 'spray', { ...bare, covered: true })).toContain('motor-gears');
    expect(surfacesReached('electronic', 'wipe', bare)).not.toContain('motor-gears');
  });
  it('holds a bath to its time, the shop’s own where it has said one', () => {
    const state = { covered: true, stripped: true };
    const bath = (minutes: number, most?: number) =>
      againstAdvice('bank', 'alkaline-detergent', 'bath', state, { minutes, ...(most !== undefined && { most }) });
    expect(bath(10)).toEqual([]);
    expect(bath(11)[0]?.advice.reason).toContain('10 min at most, not 11');
    expect(bath(25, 30)).toEqual([]);
    expect(bath(40 * 60, 30)[0]?.advice.reason).toContain('30 min at most, not 2400');
  });
  it('a strong solvent is left where a seal cannot be taken out of its way', () => {
    expect(methodFor('electronic', { grade: 3, fullyStripped: false }, { substance: 'strong' }).words).toContain('dry');
    expect(methodFor('plastic', { grade: 3, fullyStripped: false }, { substance: 'strong' }).rule).toContain(
      'PA66 body',
    );
    expect(methodFor('bank', { grade: 3, fullyStripped: true }, { substance: 'bath' }).rule).toContain(
      'fully stripped',
    );
  });
});

describe('nextPass', () => {
  it('protects once, goes round until the grade says so, then dries', () => {
    const done: PassKind[] = [];
    const seen: (PassKind | null)[] = [];
    for (const grade of [null, null, null, null, null, 3, null, null, null, 1, null]) {
      const next = nextPass(done, { grade, lightEven: null });
      seen.push(next);
      if (next !== null) done.push(next);
    }
    expect(seen).toEqual(['protect', 'wet', 'soak', 'brush', 'wipe', 'wet', 'soak', 'brush', 'wipe', 'dry', null]);
  });
  it('goes round again while the light is uneven, however clean it looks', () => {
    const done: PassKind[] = ['protect', 'wet', 'soak', 'brush', 'wipe'];
    expect(nextPass(done, { grade: 0, lightEven: false })).toBe('wet');
    expect(nextPass(done, { grade: 0, lightEven: true })).toBe('dry');
    expect(nextPass(done, { grade: null, lightEven: true })).toBe('wet');
  });
  it('keeps its place in a round that wipes twice', () => {
    const { rounds } = methodFor('electronic', { grade: 3, fullyStripped: false }, {});
    const dirty = { grade: 3, lightEven: null };
    const done: PassKind[] = ['protect'];
    const went: (PassKind | null)[] = [];
    for (let step = 0; step < 5; step += 1) {
      const next = nextPass(done, dirty, rounds);
      went.push(next);
      if (next !== null) done.push(next);
    }
    expect(went).toEqual(['wipe', 'brush', 'wipe', 'wipe', 'brush']);
    expect(nextPass(['protect', 'wipe', 'brush', 'wipe'], { grade: 0, lightEven: null }, rounds)).toBe('dry');
  });
  it('follows a bath with rinsing', () => {
    const { rounds } = methodFor('cable', { grade: 2, fullyStripped: true }, { substance: 'bath' });
    expect(nextPass(['protect', 'bath', 'brush'], { grade: 1, lightEven: null }, rounds)).toBe('rinse');
    expect(nextPass(['protect', 'bath', 'brush', 'rinse'], { grade: 1, lightEven: null }, rounds)).toBe('dry');
  });
});

describe('methodFor', () => {
  const kinds = (form: UnitForm, grade: number | null, rules: Record<string, string>, fullyStripped = false) =>
    methodFor(form, { grade, fullyStripped }, rules).passes.map(({ kind }) => kind);
  it('wipes an electronic body nearly dry whatever the house says', () => {
    for (const substance of ['throttle-cleaner', 'strong', 'bath', 'mild'])
      expect(kinds('electronic', 4, { substance })).toEqual(['protect', 'wipe', 'brush', 'wipe', 'dry']);
  });
  it('gives a fully stripped cable body its bath, and no other', () => {
    expect(kinds('cable', 3, { substance: 'bath' }, true)).toContain('bath');
    expect(kinds('cable', 3, { substance: 'bath' })).not.toContain('bath');
    expect(methodFor('cable', { grade: 3, fullyStripped: false }, { substance: 'bath' }).rule).toContain('left');
    expect(kinds('plastic', 3, { substance: 'bath' }, true)).not.toContain('bath');
  });
  it('takes strong solvent only to bare metal', () => {
    const first = (form: UnitForm) =>
      methodFor(form, { grade: 2, fullyStripped: false }, { substance: 'strong' }).passes[1]?.substance;
    expect(first('cable')).toBe('carburettor-cleaner');
    expect(first('plastic')).toBe('throttle-cleaner');
  });
  it('scrapes only heavy coke on a flap, where the house allows it', () => {
    expect(kinds('diesel-flap', 4, { tool: 'scraper' })).toContain('scrape');
    expect(kinds('diesel-flap', 3, { tool: 'scraper' })).not.toContain('scrape');
    expect(kinds('diesel-flap', 4, { tool: 'soft' })).not.toContain('scrape');
    expect(kinds('cable', 4, { tool: 'scraper' })).not.toContain('scrape');
  });
  it('never proposes a substance that must not touch what it cleans, and says what to cover', () => {
    for (const form of forms)
      for (const substance of ['throttle-cleaner', 'mild', 'strong', 'bath', 'nearly-dry'])
        for (const fullyStripped of [true, false]) {
          const method = methodFor(form, { grade: 4, fullyStripped }, { substance, tool: 'scraper' });
          const surface = FORM_SURFACES[form][0]!;
          for (const { substance: used, how } of method.passes) {
            if (used === null || how === null || how === 'bath') continue;
            expect(advise(used, surface, how).verdict, `${used} ${how} on ${form}`).not.toBe('never');
          }
          expect(method.passes.at(-1)?.kind).toBe('dry');
          expect(MASKS[form].length).toBeGreaterThan(isPart(form) ? 0 : 1);
        }
  });
  it('soaks the longer the worse it is', () => {
    const soak = (grade: number) =>
      methodFor('cable', { grade, fullyStripped: false }, {}).passes.find(({ kind }) => kind === 'soak')?.minutes ?? 0;
    expect([0, 1, 2, 3, 4].map(soak)).toEqual([3, 5, 10, 15, 20]);
  });
});

describe('vapour', () => {
  const acetone = { substance: 'throttle-cleaner', roomVolume: 120 } as const;
  it('worked: 60 g all at once in 120 m³ is 500 mg/m³, about 210 ppm', () => {
    const air = vapour({ ...acetone, grams: 60, minutes: 0, airChanges: 2 });
    expect(air.peakMgPerM3).toBeCloseTo(500, 9);
    expect(air.peakPpm).toBeCloseTo((500 * 24.45) / 58.08, 9);
    expect(Math.round(air.peakPpm)).toBe(210);
    expect(air.shareOfExposure).toBeCloseTo(0.421, 3);
    expect(air.airingMinutes).toBe(0);
  });
  it('agrees with a fine time-step integration within 0.1 %', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 20, max: 800, noNaN: true }),
        fc.double({ min: 0, max: 25, noNaN: true }),
        fc.double({ min: 0.01, max: 120, noNaN: true }),
        (grams, minutes, roomVolume, airChanges, until) => {
          const air = vapour({ grams, minutes, roomVolume, airChanges, substance: 'throttle-cleaner' });
          const rate = (grams * 1000) / minutes / roomVolume;
          // Midpoint rule in two stretches, so that the end of the spraying falls on a step.
          const integrate = (from: number, span: number, source: number): number => {
            const steps = 4000;
            const dt = span / steps;
            let value = from;
            const slope = (mg: number) => source - (airChanges / 60) * mg;
            for (let step = 0; step < steps; step += 1) value += dt * slope(value + (dt / 2) * slope(value));
            return value;
          };
          const risen = integrate(0, Math.min(until, minutes), rate);
          const value = integrate(risen, Math.max(0, until - minutes), 0);
          expect(Math.abs(value - air.at(until))).toBeLessThanOrEqual(1e-3 * air.at(until) + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('agrees with its closed form while spraying and after', () => {
    const input = { ...acetone, grams: 90, minutes: 12, airChanges: 6 };
    const air = vapour(input);
    const rate = 90_000 / 12;
    const flow = (6 / 60) * 120;
    expect(air.at(5) / ((rate / flow) * (1 - Math.exp(-(6 / 60) * 5)))).toBeCloseTo(1, 9);
    expect(air.at(40) / (air.at(12) * Math.exp(-(6 / 60) * 28))).toBeCloseTo(1, 9);
  });
  it('rises without end in a room without air, and says that airing never helps', () => {
    const air = vapour({ grams: 30, minutes: 10, airChanges: 0, roomVolume: 60, substance: 'air-mass-cleaner' });
    expect(air.at(10)).toBeCloseTo(500, 9);
    expect(air.at(1000)).toBeCloseTo(500, 9);
    expect(air.airingMinutes).toBeNull();
  });
  it('counts the minutes down to the limit', () => {
    const air = vapour({ grams: 300, minutes: 5, airChanges: 6, roomVolume: 60, substance: 'throttle-cleaner' });
    const limit = SAFETY['throttle-cleaner']!.limitPpm!;
    const ppm = (minute: number) => (air.at(minute) * 24.45) / 58.08;
    expect(air.airingMinutes).toBeGreaterThan(0);
    expect(ppm(5 + air.airingMinutes!)).toBeCloseTo(limit, 6);
  });
  it('takes the product’s own figures before the shipped ones, and has nothing to say of a grease', () => {
    const own = { molarMass: 72, evaporates: 0.5, flashPointC: -40, lelPercent: 1.4, limitPpm: 1000, source: 'sheet' };
    expect(vapour({ ...acetone, grams: 60, minutes: 0, airChanges: 1, safety: own }).peakMgPerM3).toBeCloseTo(250, 9);
    const grease = vapour({ grams: 5, minutes: 0, roomVolume: 100, airChanges: 1, substance: 'silicone-grease' });
    expect([grease.peakMgPerM3, grease.shareOfExplosive, grease.airingMinutes]).toEqual([0, null, 0]);
  });
  it.each([
    [{ grams: -1 }, '0 g or more'],
    [{ minutes: -1 }, '0 minutes or more'],
    [{ roomVolume: 0 }, 'more than 0 m³'],
    [{ airChanges: -1 }, '0 air changes'],
  ])('refuses %o', (wrong, message) => {
    expect(() => vapour({ ...acetone, grams: 1, minutes: 1, airChanges: 1, ...wrong })).toThrow(message);
  });
});

describe('bayAir', () => {
  it('is the same as one release followed alone when nothing changes', () => {
    const one = vapour({ grams: 80, minutes: 6, roomVolume: 150, airChanges: 3, substance: 'throttle-cleaner' });
    const air = bayAir(
      [{ endMinute: 6, minutes: 6, grams: 80, substance: 'throttle-cleaner' }],
      [{ fromMinute: 0, airChanges: 3 }],
      150,
    );
    for (const minute of [0, 1, 3, 6, 7, 30, 90]) expect(air.at(minute).mgPerM3).toBeCloseTo(one.at(minute), 6);
  });
  it('adds releases up, whatever is aired in between', () => {
    const release = (endMinute: number, substance: Substance) => ({ endMinute, minutes: 4, grams: 40, substance });
    const airings = [
      { fromMinute: 0, airChanges: 0.5 },
      { fromMinute: 9, airChanges: 12 },
      { fromMinute: 20, airChanges: 0 },
    ];
    const [a, b] = [release(4, 'throttle-cleaner'), release(14, 'isopropyl')];
    const both = bayAir([a, b], airings, 90);
    for (const minute of [3, 8, 12, 16, 25]) {
      const [first, second] = [bayAir([a], airings, 90).at(minute), bayAir([b], airings, 90).at(minute)];
      expect(both.at(minute).exposure).toBeCloseTo(first.exposure + second.exposure, 9);
      expect(both.at(minute).explosive).toBeCloseTo(first.explosive + second.explosive, 9);
    }
    expect(both.at(25).mgPerM3).toBeCloseTo(both.at(20).mgPerM3, 9);
  });
  it('says how long to air, and that a shut room never clears', () => {
    const releases = [{ endMinute: 0, minutes: 0, grams: 200, substance: 'throttle-cleaner' as const }];
    const aired = bayAir(releases, [{ fromMinute: 0, airChanges: 6 }], 60);
    const minutes = aired.airingFrom(0)!;
    expect(aired.at(minutes).exposure).toBeCloseTo(1, 6);
    expect(bayAir(releases, [], 60).airingFrom(0)).toBeNull();
    expect(() => bayAir(releases, [], 0)).toThrow('more than 0 m³');
  });
});

describe('words', () => {
  it.each([
    [0.004, 'next to nothing'],
    [0.05, 'a few hundredths of it'],
    [0.21, 'about a fifth of it'],
    [0.45, 'about half of it'],
    [0.99, 'all of it'],
    [1.83, '1.8 times it'],
    [12.4, '12 times it'],
  ])('%d is %s', (share, words) => {
    expect(shareWords(share)).toBe(words);
  });
  it('lists what must be taken away', () => {
    const none = { sprayedGrams: 0, passes: [], discardedCoolantL: 0, emptiedCans: 0, penetratingOil: false };
    expect(wasteOf(none)).toEqual([]);
    expect(
      wasteOf({ sprayedGrams: 42, passes: ['bath'], discardedCoolantL: 0.4, emptiedCans: 1, penetratingOil: true }).map(
        ({ kind }) => kind,
      ),
    ).toEqual(['rags', 'bath', 'cans', 'coolant', 'oil']);
  });
});
