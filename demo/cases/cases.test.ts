import { describe, expect, it } from 'vitest';
import { causesOf, LEAVE_OFF, scoreByGain, scoreByList, summarise } from '../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../core/diagnose/knowledge/index.ts';
import { CASES, scoreCases } from './index.ts';
import { OTHER_CASES } from './others.ts';
import { ROAD_CASES } from './road.ts';

const written = [...ROAD_CASES, ...OTHER_CASES];

describe('the written cases', () => {
  it('are at least 24, of every group, and of causes that are not the throttle too', () => {
    expect(CASES.length).toBeGreaterThanOrEqual(24);
    expect(new Set(CASES.map(({ id }) => id)).size).toBe(CASES.length);
    expect(new Set(CASES.map(({ subject }) => subject.group)).size).toBe(6);
    expect(new Set(CASES.map(({ truth }) => truth)).size).toBeGreaterThanOrEqual(16);
  });
  it.each(written.map((each) => [each.id, each] as const))(
    '%s speaks of things that exist, and something is understood',
    (_, { subject, truth, asked, finds, says }) => {
      expect(causesOf(SHIPPED_KNOWLEDGE, subject).map(({ id }) => id)).toContain(truth);
      for (const [sign, outcome] of [...Object.entries(finds), ...asked.map((each) => each.split('='))])
        expect(
          SHIPPED_KNOWLEDGE.signs.find(({ id }) => id === sign)?.outcomes.map(({ id }) => id),
          sign,
        ).toContain(outcome);
      expect(
        CASES.find((each) => each.id === _)!.told.some(({ outcome }) => outcome !== 'none'),
        says,
      ).toBe(true);
    },
  );
});

describe('the score', () => {
  const { gain, list, results, byList } = scoreCases(SHIPPED_KNOWLEDGE, 97);
  it('has the true cause among the first three in nine of ten cases', () => {
    expect(gain.top3).toBeGreaterThanOrEqual(0.9);
  });
  it('takes at least 30 % fewer minutes than a fixed order', () => {
    expect(gain.meanMinutes).toBeLessThanOrEqual(0.7 * list.meanMinutes);
  });
  it('is not won by the complaint alone: checks are needed, and change the ranking', () => {
    expect(gain.top1Told).toBeLessThan(0.7);
    expect(results.filter(({ checksToLead }) => checksToLead > 0).length).toBeGreaterThan(CASES.length / 2);
    expect(byList).toHaveLength(results.length);
  });
  it('leaves off when one cause has nearly all, or after so many checks', () => {
    const nothing = { ...CASES[0]!, told: [], finds: {}, truth: 'supply' };
    const lost = scoreByGain(SHIPPED_KNOWLEDGE, nothing, 97);
    expect(lost.ledAtAll).toBe(false);
    expect(lost.checksToLead).toBeGreaterThan(LEAVE_OFF.checks);
    expect(scoreByList(SHIPPED_KNOWLEDGE, nothing, ['leak-by-ear', 'light-gap', 'duct-off-look'])).toMatchObject({
      checksToLead: 3,
      minutesToLead: 9 + 8 + 5,
    });
  });
  it('cannot be made of nothing', () => {
    expect(() => summarise([])).toThrow(RangeError);
  });
});
