import { describe, expect, it } from 'vitest';
import { dueOf, DUE_AT, foulingLevel, type FoulingVisit, priorOf } from './index.ts';
import { simulatedVehicle } from './testing.ts';

const level = (grade: number) => foulingLevel({ grade, lostMm2: null, extraDuty: null });
const visit = (day: number, meter: number, grade: number | null, more: Partial<FoulingVisit> = {}): FoulingVisit => ({
  day,
  meter,
  before: grade === null ? null : level(grade),
  cleaned: true,
  after: null,
  ...more,
});
const HOUSE = priorOf(60_000, []);
const every = (count: number) => Array.from({ length: count }, (_, nth) => ({ day: nth * 100, value: nth * 4000 }));

describe('a level of fouling', () => {
  it('is 1 where it is due, by whichever way it was seen', () => {
    expect(level(DUE_AT.grade)).toMatchObject({ level: 1 });
    expect(foulingLevel({ grade: null, lostMm2: DUE_AT.mm2, extraDuty: null })).toMatchObject({ level: 1 });
    expect(foulingLevel({ grade: null, lostMm2: null, extraDuty: DUE_AT.duty })).toMatchObject({ level: 1 });
    expect(foulingLevel({ grade: null, lostMm2: null, extraDuty: null })).toBeNull();
  });
  it('is surer the more ways it was seen, and nearer to the surest of them', () => {
    const both = foulingLevel({ grade: 0, lostMm2: DUE_AT.mm2, extraDuty: null })!;
    // Weights 1/0.2² and 1/0.15²: 25 and 44.4.
    expect(both.level).toBeCloseTo(44.444 / 69.444, 3);
    expect(both.sd).toBeCloseTo(0.12, 3);
    expect(foulingLevel({ grade: null, lostMm2: -2, extraDuty: null })?.level).toBe(0);
  });
});

describe('when a vehicle is due', () => {
  it('is by the house interval where nothing else is known, and says so', () => {
    const due = dueOf({ readings: [], visits: [visit(0, 100_000, null)], prior: HOUSE, usualPerDay: 40 })!;
    expect(due).toMatchObject({ from: 'house', stretches: 0, use: null, perDay: 40 });
    // It left nearly clean: 92 hundredths of 60,000 km are left.
    expect(due.meter.likely).toBeCloseTo(100_000 + 0.92 * 60_000, 0);
    expect(due.day.likely).toBeCloseTo((0.92 * 60_000) / 40, 0);
    expect(due.meter.low).toBeLessThan(due.meter.likely);
    expect(due.meter.high).toBeGreaterThan(due.meter.likely);
    expect(dueOf({ readings: [], visits: [], prior: HOUSE, usualPerDay: 40 })).toBeNull();
  });

  it('comes sooner for one that fouls fast, and surer the more was seen of it', () => {
    const seen = (count: number, grade: number): FoulingVisit[] =>
      Array.from({ length: count + 1 }, (_, nth) => visit(nth * 400, nth * 16_000, nth === 0 ? null : grade));
    const due = (visits: FoulingVisit[]) => dueOf({ readings: every(12), visits, prior: HOUSE, usualPerDay: 40 })!;
    const [slow, fast] = [due(seen(4, 1)), due(seen(4, 3))];
    expect(fast.interval.likely).toBeLessThan(20_000);
    expect(slow.interval.likely).toBeGreaterThan(2 * fast.interval.likely);
    expect(fast).toMatchObject({ from: 'own', stretches: 4, perDay: 40 });
    const once = due(seen(1, 3));
    expect(once.interval.high / once.interval.low).toBeGreaterThan(fast.interval.high / fast.interval.low);
  });

  it('is past where it is past', () => {
    const due = dueOf({
      readings: every(5),
      visits: [visit(0, 0, null), visit(400, 16_000, 4, { cleaned: false })],
      prior: HOUSE,
      usualPerDay: 40,
    })!;
    expect(due.meter.likely).toBeLessThan(17_000);
    expect(due.day.likely).toBeLessThan(430);
  });

  it('goes on from what it left with when it was not cleaned', () => {
    const half = dueOf({
      readings: every(5),
      visits: [visit(0, 0, 2, { cleaned: false })],
      prior: HOUSE,
      usualPerDay: 40,
    })!;
    const cleaned = dueOf({ readings: every(5), visits: [visit(0, 0, 2)], prior: HOUSE, usualPerDay: 40 })!;
    expect(half.meter.likely / cleaned.meter.likely).toBeCloseTo(1 / 3 / 0.92, 2);
    const graded = dueOf({
      readings: every(5),
      visits: [visit(0, 0, 2, { after: level(1) })],
      prior: HOUSE,
      usualPerDay: 40,
    })!;
    expect(graded.meter.likely / cleaned.meter.likely).toBeCloseTo(2 / 3 / 0.92, 2);
  });

  it('does not mind an odometer that jumps, nor one that runs backwards between two visits', () => {
    const visits = [visit(0, 0, null), visit(400, 16_000, 2)];
    const calm = dueOf({ readings: every(8), visits, prior: HOUSE, usualPerDay: 40 })!;
    const jumps = dueOf({
      readings: every(8).with(5, { day: 500, value: 900_000 }),
      visits,
      prior: HOUSE,
      usualPerDay: 40,
    })!;
    expect(jumps.day.likely / calm.day.likely).toBeGreaterThan(0.8);
    expect(jumps.day.likely / calm.day.likely).toBeLessThan(1.25);
    const back = dueOf({
      readings: every(8),
      visits: [...visits, visit(500, 2000, 2)],
      prior: HOUSE,
      usualPerDay: 40,
    })!;
    expect(back.stretches).toBe(1);
  });

  it('learns from vehicles of its kind, as far as they are many', () => {
    const fast = [visit(0, 0, null), visit(400, 15_000, 3)];
    const [one, ten] = [1, 10].map((count) =>
      priorOf(
        60_000,
        Array.from({ length: count }, () => fast),
      ),
    );
    expect(Math.exp(one!.meanLog)).toBeLessThan(60_000);
    expect(Math.exp(ten!.meanLog)).toBeLessThan(Math.exp(one!.meanLog));
    expect(Math.exp(ten!.meanLog)).toBeGreaterThan(16_000);
    expect(ten).toMatchObject({ vehicles: 10 });
    expect(dueOf({ readings: [], visits: [visit(0, 0, null)], prior: ten!, usualPerDay: 40 })?.from).toBe('kind');
    expect(priorOf(60_000, [[visit(0, 0, 1)]])).toMatchObject({ vehicles: 0 });
  });
});

describe('vehicles made by another model', () => {
  /** Shops of 260 vehicles each: what is like all is learned from 60, the rest are foretold. */
  function foretold(shops: readonly number[]) {
    let covered = 0;
    let count = 0;
    let width = 0;
    let naive = 0;
    for (const shop of shops) {
      const all = Array.from({ length: 260 }, (_, nth) => simulatedVehicle(shop * 1000 + nth));
      const prior = priorOf(
        60_000,
        all.slice(0, 60).map(({ visits }) => visits),
      );
      const left = all
        .slice(0, 60)
        .map(({ trulyDueDay, visits }) => trulyDueDay - visits.at(-1)!.day)
        .sort((a, b) => a - b);
      // The naive rule: for every vehicle the tenth to the ninetieth of a hundred of those that were seen.
      naive += left[53]! - left[6]!;
      for (const { readings, visits, trulyDueDay } of all.slice(60)) {
        const { day } = dueOf({ readings, visits, prior, usualPerDay: 42 })!;
        count += 1;
        width += day.high - day.low;
        if (day.low <= trulyDueDay && trulyDueDay <= day.high) covered += 1;
      }
    }
    return { covered: covered / count, width: width / count, naive: naive / shops.length };
  }
  it('come due within the band of 80 % in 75 to 86 of a hundred, in a narrower band than a naive rule has', () => {
    // Settled on shops 1 to 5, told of shops that were set apart.
    const { covered, width, naive } = foretold([21, 22, 23, 24, 25]);
    console.info(
      `due: ${(100 * covered).toFixed(1)} % of 1,000 within the 80 % band of ${width.toFixed(0)} days; a naive rule’s is ${naive.toFixed(0)} days`,
    );
    expect(covered).toBeGreaterThan(0.75);
    expect(covered).toBeLessThan(0.86);
    expect(width).toBeLessThan(naive);
  });
});
