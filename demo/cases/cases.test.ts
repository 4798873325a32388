import { describe, expect, it } from 'vitest';
import {
  causesOf,
  LEAVE_OFF,
  OPTIONS,
  type ReliabilityBand,
  scoreByGain,
  scoreByList,
  summarise,
} from '../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../core/diagnose/knowledge/index.ts';
import { findingsIn } from './case.ts';
import { APART_CASES, casesFor, CHANGED_APART, scoreCases, WORK_CASES } from './index.ts';
import { VEHICLES } from './written.ts';

const K = SHIPPED_KNOWLEDGE;
const all = [...WORK_CASES, ...APART_CASES];
const cases = new Map(casesFor(K, all).map((each) => [each.id, each]));

describe('the written cases', () => {
  it('are 60 to work with and 120 set apart, of every kind of vehicle and most causes', () => {
    expect(WORK_CASES.length).toBeGreaterThanOrEqual(60);
    expect(APART_CASES.length).toBeGreaterThanOrEqual(120);
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    expect(new Set(APART_CASES.map(({ on }) => on)).size).toBe(Object.keys(VEHICLES).length);
    const truths = new Set(APART_CASES.flatMap(({ truth }) => truth.split('+').map((each) => each.split('@')[0])));
    expect(truths.size).toBeGreaterThanOrEqual(30);
    expect(CHANGED_APART.every((id) => APART_CASES.some((each) => each.id === id))).toBe(true);
  });
  it('hold several units, failed cures, two causes, and none that is ours', () => {
    const count = (test: (each: (typeof all)[number]) => boolean) => APART_CASES.filter(test).length;
    expect(count(({ finds }) => finds.includes('@'))).toBeGreaterThanOrEqual(5);
    expect(count(({ tried }) => tried !== '')).toBeGreaterThanOrEqual(6);
    expect(count(({ truth }) => truth.includes('+'))).toBeGreaterThanOrEqual(5);
    expect(count(({ truth }) => truth === 'none')).toBeGreaterThanOrEqual(5);
    expect(count(({ codes }) => codes === '')).toBeGreaterThanOrEqual(20);
  });
  it.each(all.map((each) => [each.id, each] as const))('%s speaks of things that exist', (id, written) => {
    const causes = causesOf(K, VEHICLES[written.on]).map((cause) => cause.id);
    if (written.truth !== 'none')
      for (const each of written.truth.split('+')) expect(causes, each).toContain(each.split('@')[0]);
    for (const { sign, outcome } of [...findingsIn(written.finds), ...findingsIn(written.asked)])
      expect(
        K.signs.find((each) => each.id === sign)?.outcomes.map((each) => each.id),
        sign,
      ).toContain(outcome);
    for (const option of written.first.split(' ')) expect(Object.keys(OPTIONS)).toContain(option);
    expect(cases.get(id)!.told.length + cases.get(id)!.finds.length).toBeGreaterThan(0);
  });
});

describe('the score of those to work with', () => {
  const { gain, list, results, byList } = scoreCases(K, 97);
  it('has the true cause among the first three in nine of ten cases', () => {
    expect(gain.top3).toBeGreaterThanOrEqual(0.9);
    expect(gain.amongThree.rate).toBeGreaterThanOrEqual(0.92);
  });
  it('is right where it is sure, and says shares that hold', () => {
    expect(gain.sure.rate).toBeGreaterThanOrEqual(0.9);
    const band = (from: number): ReliabilityBand => gain.reliability.find((each) => each.from === from)!;
    expect(band(0.9).right.rate).toBeGreaterThan(band(0.3).right.rate);
    expect(gain.named.rate).toBeGreaterThanOrEqual(0.75);
    expect(gain.brier).toBeLessThan(0.4);
  });
  it('takes at least 30 % fewer minutes than a fixed order', () => {
    expect(gain.meanMinutes).toBeLessThanOrEqual(0.7 * list.meanMinutes);
  });
  it('is not won by the complaint alone: checks are needed, and change the ranking', () => {
    expect(gain.top1Told).toBeLessThan(0.75);
    expect(results.filter(({ checksToLead }) => checksToLead > 0).length).toBeGreaterThan(WORK_CASES.length / 3);
    expect(byList).toHaveLength(results.length);
  });
  it('leaves off when one cause has nearly all, or after so many checks', () => {
    const nothing = { ...casesFor(K)[0]!, told: [], finds: [], truth: ['supply'] };
    const lost = scoreByGain(K, nothing, 97);
    expect(lost.ledAtAll).toBe(false);
    expect(lost.checksToLead).toBeGreaterThan(LEAVE_OFF.checks);
    expect(scoreByList(K, nothing, ['leak-by-ear', 'light-gap', 'duct-off-look'])).toMatchObject({
      checksToLead: 3,
      minutesToLead: 9 + 8 + 5,
    });
  });
  it('cannot be made of nothing', () => {
    expect(() => summarise([])).toThrow(RangeError);
  });
});
