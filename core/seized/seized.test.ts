import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  chancesSeen,
  ENOUGH_TRIES,
  type Host,
  HOSTS,
  ladder,
  nextRung,
  outlook,
  replaceInstead,
  RUNGS,
  type SeizedScrew,
} from './index.ts';

const screw = (given: Partial<SeizedScrew> = {}): SeizedScrew => ({
  host: 'aluminium',
  headWhole: true,
  nearDelicate: false,
  ...given,
});

describe('the ladder', () => {
  it('is climbed from the right bit to the drill', () => {
    const climbed: string[] = [];
    for (let rung = nextRung(screw(), climbed); rung !== null; rung = nextRung(screw(), climbed)) climbed.push(rung.id);
    expect(climbed).toEqual(RUNGS.map(({ id }) => id));
  });
  it.each([
    [{ host: 'plastic' as Host }, 'heat', 'no heat on plastic'],
    [{ host: 'plastic' as Host }, 'impact', 'it cracks'],
    [{ nearDelicate: true }, 'impact', 'would take the blow'],
    [{ headWhole: false }, 'right-bit', 'no longer takes a bit'],
  ])('leaves out for %o the rung %s', (given, id, why) => {
    const state = ladder(screw(given), []).find(({ rung }) => rung.id === id);
    expect(state).toMatchObject({ state: 'left out' });
    expect(state?.why).toContain(why);
  });
  it('says of every rung what it risks and what to protect', () => {
    for (const { risk, protect, how } of RUNGS) for (const text of [risk, protect, how]) expect(text).not.toBe('');
  });
});

describe('outlook', () => {
  it('worked: the drill alone', () => {
    const others = RUNGS.map(({ id }) => id).filter((id) => id !== 'drill');
    const look = outlook(screw(), others);
    expect(look).toMatchObject({ minutes: 35, waitMinutes: 0, damage: 0.15, materialsMinor: 900 });
    expect(look.success).toBeCloseTo(0.85 * 0.9, 12);
  });
  it('never promises more than all, and is no better with a rung less', () => {
    const tried = fc.subarray(RUNGS.map(({ id }) => id));
    const any = fc.record({
      host: fc.constantFrom(...(Object.keys(HOSTS) as Host[])),
      headWhole: fc.boolean(),
      nearDelicate: fc.boolean(),
    });
    fc.assert(
      fc.property(any, tried, (given, gone) => {
        const look = outlook(given, gone);
        expect(look.success + look.damage).toBeLessThanOrEqual(1 + 1e-9);
        const nothing = outlook(
          given,
          RUNGS.map(({ id }) => id),
        );
        expect(nothing).toEqual({ minutes: 0, waitMinutes: 0, materialsMinor: 0, success: 0, damage: 0 });
      }),
    );
  });
});

describe('chances that a shop has seen', () => {
  it('count from enough tries on, with the figure of before worth eight', () => {
    const seen = [
      { rung: 'oil' as const, tries: ENOUGH_TRIES, out: 5 },
      { rung: 'heat' as const, tries: ENOUGH_TRIES - 1, out: 4 },
    ];
    const chances = chancesSeen({ oil: 0.4, heat: 0.35 }, seen);
    expect(chances.oil).toBeCloseTo((0.4 * 8 + 5) / 13, 12);
    expect(chances.heat).toBe(0.35);
    expect(ladder(screw(), [], chances).find(({ rung }) => rung.id === 'oil')?.rung.chance).toBe(chances.oil);
  });
  it('come ever nearer to what was seen', () => {
    const seen = (tries: number) => chancesSeen({}, [{ rung: 'grip', tries, out: tries * 0.9 }]).grip!;
    expect(seen(1000)).toBeCloseTo(0.9, 2);
    expect(Math.abs(seen(20) - 0.9)).toBeGreaterThan(Math.abs(seen(200) - 0.9));
  });
});

describe('replaceInstead', () => {
  const others = RUNGS.map(({ id }) => id).filter((id) => id !== 'drill');
  it('compares the ladder with another unit', () => {
    const one = [{ screw: screw(), tried: [] as string[] }];
    expect(replaceInstead(one, 5800, 71_000)).toMatchObject({ replaceIsCheaper: false, replaceMinor: 71_000 });
    // 35 min at 58.00 an hour, 9.00 of materials, and the price in 23.5 % of cases.
    const last = replaceInstead([{ screw: screw(), tried: others }], 5800, 4000)!;
    expect(last.goOnMinor).toBe(Math.round((35 / 60) * 5800 + 900 + (1 - 0.765) * 4000));
    expect(last.replaceIsCheaper).toBe(true);
    expect(last.words).toContain('more than another unit');
  });
  it('says nothing where the price is not known', () => {
    expect(replaceInstead([{ screw: screw(), tried: [] }], 5800, null)).toBeNull();
    expect(replaceInstead([], 5800, 1000)).toBeNull();
  });
});
