import { describe, expect, it } from 'vitest';
import { random } from '../chance/index.ts';
import { SHIPPED_KNOWLEDGE } from '../diagnose/knowledge/index.ts';
import { causesOf, editKnowledge } from '../diagnose/index.ts';
import { causeEdit, commonerCauses, type FoundCause, lessonsOf, type Look, needFor, shelfFor } from './index.ts';
import { tells } from './falseDiscovery.ts';
import { onset } from './onset.ts';
import { binomialTail, chanceOfAtLeast, expectedShare } from './tails.ts';

let nth = 0;
const look = (familyId: string, bad: boolean, meter = 100_000, more: Partial<Look> = {}): Look => {
  nth += 1;
  return {
    jobId: `j${nth}`,
    vehicleId: `v${nth}`,
    familyId,
    form: 'plastic',
    thing: 'body-flat',
    bad,
    meter,
    hours: false,
    ...more,
  };
};
const looks = (familyId: string, bad: number, of: number, more: Partial<Look> = {}): Look[] =>
  Array.from({ length: of }, (_, index) => look(familyId, index < bad, 50_000 + 1000 * index, more));

describe('the tails', () => {
  it('are those of a beta-binomial, by hand', () => {
    // Beta(0.5, 10.5): 3 of 3 is 0.5·1.5·2.5 over 11·12·13.
    expect(chanceOfAtLeast(3, 3, { k: 0, n: 10 })).toBeCloseTo((0.5 * 1.5 * 2.5) / (11 * 12 * 13), 12);
    expect(chanceOfAtLeast(0, 5, { k: 2, n: 4 })).toBe(1);
    // Beta(0.5, 0.5) is the arcsine law: of one, as likely as not.
    expect(chanceOfAtLeast(1, 1, { k: 0, n: 0 })).toBeCloseTo(0.5, 12);
    expect(expectedShare({ k: 1, n: 9 })).toBeCloseTo(0.15, 12);
    expect(() => chanceOfAtLeast(4, 3, { k: 0, n: 1 })).toThrow(/4 of 3/);
  });
  it('and of a binomial', () => {
    expect(binomialTail(2, 3, 0.5)).toBeCloseTo(0.5, 12);
    expect(binomialTail(10, 10, 0.1)).toBeCloseTo(1e-10, 15);
    expect(binomialTail(0, 4, 0.2)).toBe(1);
  });
});

describe('of many tests', () => {
  it('those tell that Benjamini and Hochberg tell in their own example', () => {
    // 15 p-values of their table 1 (1995): at 0.05 the four smallest are rejected.
    const chances = [
      0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528, 0.759, 1,
    ];
    expect(tells(chances, 0.05).filter(Boolean)).toHaveLength(4);
    expect(tells([], 0.05)).toEqual([]);
    expect(tells([0.9], 0.05)).toEqual([false]);
  });
});

describe('from which reading on', () => {
  it('pools what goes the wrong way, as Ayer and others do', () => {
    const aged = (meter: number, bad: boolean) => ({ meter, bad });
    const found = onset([aged(10, false), aged(20, true), aged(30, false), aged(40, true), aged(50, true)]);
    expect(found?.steps).toEqual([
      { meter: 10, share: 0 },
      { meter: 20, share: 0.5 },
      { meter: 40, share: 1 },
      { meter: 50, share: 1 },
    ]);
    expect(found?.half).toBe(20);
  });
  it('is no older when it is as young, and nothing without one of each', () => {
    const same = Array.from({ length: 20 }, (_, index) => ({ meter: 100 * index, bad: index % 2 === 0 }));
    expect(onset(same)?.p).toBeGreaterThan(0.3);
    expect(onset(same.map(({ meter }) => ({ meter, bad: meter >= 1000 })))?.p).toBeLessThan(0.001);
    expect(onset(same.map(({ meter }) => ({ meter, bad: true })))).toBeNull();
    expect(onset(same.map(() => ({ meter: 5, bad: true })).concat({ meter: 5, bad: false }))?.p).toBeGreaterThan(0.4);
  });
});

describe('lessons', () => {
  it('are told of what a family shows oftener than all others, with how much oftener', () => {
    const [lesson, ...more] = lessonsOf([...looks('terrow', 6, 7), ...looks('sule', 1, 20), ...looks('', 0, 10)]);
    expect(more).toEqual([]);
    expect(lesson).toMatchObject({
      id: 'terrow:plastic:body-flat',
      here: { k: 6, n: 7 },
      elsewhere: { k: 1, n: 30 },
      oftener: true,
      from: null,
    });
    expect(lesson!.p).toBeLessThan(1e-4);
  });
  it('are told of age, even where every other family ages alike', () => {
    const ring = { form: 'rotary-valve', thing: 'ring' } as const;
    const aging = (familyId: string): Look[] =>
      Array.from({ length: 16 }, (_, index) => look(familyId, index >= 9, 20_000 + 8000 * index, ring));
    const told = lessonsOf([...aging('norrland'), ...aging('calder')]);
    expect(told.map(({ familyId, oftener, from }) => [familyId, oftener, from?.half])).toEqual([
      ['calder', false, 92_000],
      ['norrland', false, 92_000],
    ]);
  });
  it('are not told of two, nor of one vehicle that comes every month, nor where nothing else was looked at', () => {
    expect(lessonsOf([...looks('terrow', 2, 2), ...looks('sule', 0, 20)])).toEqual([]);
    const again = Array.from({ length: 9 }, () => look('terrow', true, 90_000, { vehicleId: 'launch' }));
    expect(lessonsOf([...again, ...looks('sule', 0, 20)])).toEqual([]);
    expect(lessonsOf(looks('terrow', 8, 8))).toEqual([]);
    // Another kind of unit is no measure for this one.
    expect(lessonsOf([...looks('terrow', 8, 8), ...looks('sule', 0, 20, { form: 'cable' })])).toEqual([]);
  });
  it('are false in at most one of ten over 400 shops in which every family is alike, and find what is there', () => {
    const dice = random(3);
    const shop = (special: number): { found: boolean; others: number } => {
      const all: Look[] = [];
      for (let family = 0; family < 8; family += 1)
        for (let thing = 0; thing < 12; thing += 1)
          for (let vehicle = 0; vehicle < 10; vehicle += 1) {
            const share = family === 0 && thing === 0 ? special : 0.15;
            all.push(
              look(`f${family}`, dice.uniform() < share, 20_000 + 200_000 * dice.uniform(), {
                thing: ['body-flat', 'ring', 'leak', 'play', 'spring', 'gears', 'coil', 'port', 'ring-look', 'seized', 'relearn', 'dashpot'][thing]!, // prettier-ignore
              }),
            );
          }
      const told = lessonsOf(all);
      const found = told.some(({ familyId, thing }) => familyId === 'f0' && thing === 'body-flat');
      return { found, others: told.length - (found ? 1 : 0) };
    };
    const alike = Array.from({ length: 200 }, () => shop(0.15));
    const one = Array.from({ length: 200 }, () => shop(0.8));
    const anyFalse = alike.filter(({ found, others }) => found || others > 0).length / alike.length;
    const power = one.filter(({ found }) => found).length / one.length;
    const falseShare = one.reduce((sum, { found, others }) => sum + others / Math.max(1, others + (found ? 1 : 0)), 0) / one.length; // prettier-ignore
    console.info(
      `lessons: of 200 shops alike ${(anyFalse * 100).toFixed(1)} % are told one; of 200 with one that is found in 8 of 10 ${(power * 100).toFixed(1)} % are told it, and ${(falseShare * 100).toFixed(1)} % of what they are told is chance`,
    );
    expect(anyFalse).toBeLessThan(0.1);
    expect(falseShare).toBeLessThan(0.1);
    expect(power).toBeGreaterThan(0.7);
  });
});

describe('what a lesson offers', () => {
  const of = (thing: string) =>
    lessonsOf([...looks('terrow', 6, 7, { thing }), ...looks('sule', 1, 40, { thing })])[0]!;
  const ring = { name: 'O-ring, valve', partNumber: 'NP-25-1120' };
  it('is a part before the work where a seal fails, and a look before a promise where nothing else cures it', () => {
    expect(needFor(of('ring'), ring, 'hard on 6 of 7')).toMatchObject({
      kind: 'part',
      ...ring,
      note: 'hard on 6 of 7',
    });
    expect(shelfFor(of('ring'), ring)).toEqual(ring);
    expect(needFor(of('body-flat'), ring, '')).toMatchObject({ kind: 'do-first', partNumber: '' });
    expect(shelfFor(of('body-flat'), ring)).toBeNull();
    expect(needFor(of('seized'), null, '')?.kind).toBe('consumable');
    expect(needFor(of('relearn'), null, '')?.kind).toBe('do-first');
  });
  it('is nothing where no part is known, or cleaning is all there is to it', () => {
    expect(needFor(of('ring'), null, '')).toBeNull();
    expect(needFor(of('deposit-edge'), ring, '')).toBeNull();
  });
});

describe('causes', () => {
  const subject = { group: 'cable', hasValve: true } as const;
  const [rare] = causesOf(SHIPPED_KNOWLEDGE, subject).filter(({ common }) => common.cable === 'rare');
  const [usual] = causesOf(SHIPPED_KNOWLEDGE, subject).filter(({ common }) => common.cable === 'very common');
  const found = (cause: string, jobs: number): FoundCause[] =>
    Array.from({ length: jobs }, (_, index) => ({ ...subject, cause, jobId: `${cause}-${index}` }));
  it('that are found oftener than they are said to be come with the word that fits', () => {
    const [lesson, ...more] = commonerCauses([...found(rare!.id, 6), ...found(usual!.id, 14)], SHIPPED_KNOWLEDGE);
    expect(more).toEqual([]);
    expect(lesson).toMatchObject({ cause: rare!.id, here: { k: 6, n: 20 }, is: 'rare' });
    expect(lesson!.fits).not.toBe('rare');
    expect(lesson!.jobs).toHaveLength(6);
    const edited = editKnowledge(SHIPPED_KNOWLEDGE, [causeEdit(lesson!)]);
    expect(edited.ok && edited.knowledge.causes.find(({ id }) => id === rare!.id)?.common.cable).toBe(lesson!.fits);
    // Once it is said, it is no news.
    expect(
      edited.ok &&
        commonerCauses([...found(rare!.id, 6), ...found(usual!.id, 14)], edited.knowledge).some(
          ({ fits }) => fits === lesson!.fits,
        ),
    ).toBe(false);
  });
  it('are no lesson while few were found', () => {
    expect(commonerCauses([...found(rare!.id, 2), ...found(usual!.id, 2)], SHIPPED_KNOWLEDGE)).toEqual([]);
    expect(commonerCauses([], SHIPPED_KNOWLEDGE)).toEqual([]);
  });
});
