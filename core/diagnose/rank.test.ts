import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bestPair,
  causesFor,
  entropy,
  judgeFit,
  logOdds,
  nextCheck,
  posterior,
  rank,
  SECOND_FAULT,
  signsFor,
  upperTail,
  whatWouldChange,
} from './index.ts';
import { SHIPPED_KNOWLEDGE } from './knowledge/index.ts';
import type { CauseModel, Finding, Sign } from './types.ts';

/** Three causes, one question with yes and no, as worked in the design: ½, 0.3, 0.2 with 0.9, 0.3, 0.1. */
const cause = (id: string, prior: number, yes: number): CauseModel => ({
  id,
  prior,
  chances: new Map([['q', { yes, no: 1 - yes }]]),
});
const WORKED = [cause('a', 0.5, 0.9), cause('b', 0.3, 0.3), cause('c', 0.2, 0.1)];
const question: Sign = {
  id: 'q',
  kind: 'check',
  name: 'Q',
  ask: '',
  outcomes: [
    { id: 'yes', name: 'Yes', found: 'yes', phrases: [] },
    { id: 'no', name: 'No', found: 'no', phrases: [] },
  ],
  usually: {},
  groups: null,
  needsValve: false,
  of: [],
  codes: {},
  method: null,
};
const YES: Finding = { sign: 'q', outcome: 'yes' };

describe('rank', () => {
  it('is Bayes’ rule: 0.45, 0.09 and 0.02 of 0.56', () => {
    const [a, b, c] = rank(WORKED, [YES]).causes;
    expect(a).toMatchObject({ id: 'a' });
    expect(a?.share).toBeCloseTo(0.45 / 0.56, 12);
    expect(b?.share).toBeCloseTo(0.09 / 0.56, 12);
    expect(c?.share).toBeCloseTo(0.02 / 0.56, 12);
  });
  it('without findings says only how common each cause is', () => {
    const { causes, explains } = rank(WORKED, []);
    expect(causes.map(({ share }) => share)).toEqual([0.5, 0.3, 0.2].map((share) => expect.closeTo(share, 12)));
    expect(explains).toBeNull();
  });
  it('counts a sign once, as last seen, and sets aside what it does not know', () => {
    const again = rank(WORKED, [{ sign: 'q', outcome: 'no' }, YES, { sign: 'moon', outcome: 'full' }]);
    expect(again.causes[0]?.share).toBeCloseTo(0.45 / 0.56, 12);
    expect(again.ignored).toEqual([{ sign: 'moon', outcome: 'full' }]);
  });
});

const SUBJECT = { group: 'cable', hasValve: true } as const;
const MODELS = causesFor(SHIPPED_KNOWLEDGE, SUBJECT);
const SIGNS = signsFor(SHIPPED_KNOWLEDGE, SUBJECT);
const anyFindings = fc.uniqueArray(
  fc.constantFrom(...SIGNS.flatMap((sign) => sign.outcomes.map(({ id }) => ({ sign: sign.id, outcome: id })))),
  { maxLength: 12, selector: ({ sign }) => sign },
);

describe('laws of the ranking', () => {
  it('shares add up to 1, and do not depend on the order of the findings', () => {
    fc.assert(
      fc.property(anyFindings, (findings) => {
        const there = posterior(MODELS, findings);
        expect(there.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 10);
        const back = posterior(MODELS, [...findings].reverse());
        for (const [index, share] of there.entries()) expect(back[index]).toBeCloseTo(share, 10);
      }),
    );
  });
  it('prior log-odds and all weights lead to the posterior log-odds', () => {
    fc.assert(
      fc.property(anyFindings, (findings) => {
        for (const { prior, share, evidence } of rank(MODELS, findings).causes) {
          const reached = logOdds(prior) + evidence.reduce((sum, { bits }) => sum + bits, 0);
          expect(reached).toBeCloseTo(logOdds(share), 6);
        }
      }),
    );
  });
  it('no answer to a check makes one less certain on average', () => {
    fc.assert(
      fc.property(anyFindings, (findings) => {
        for (const { gainBits, previews } of nextCheck(MODELS, findings, SIGNS, { minutePrice: 97 })) {
          expect(gainBits).toBeGreaterThanOrEqual(0);
          expect(previews.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
        }
      }),
      { numRuns: 25 },
    );
  });
});

describe('fit', () => {
  it('reads the normal tail to seven digits', () => {
    expect(upperTail(0)).toBeCloseTo(0.5, 7);
    expect(upperTail(1.959964)).toBeCloseTo(0.025, 6);
    expect(upperTail(-1)).toBeCloseTo(0.8413447, 6);
  });
  it('says so when nothing explains what was seen', () => {
    const odd = cause('odd', 1, 0.02);
    expect(judgeFit(odd, [YES]).poor).toBe(true);
    expect(judgeFit(odd, [{ sign: 'q', outcome: 'no' }]).poor).toBe(false);
    const strange: Finding[] = [
      { sign: 'clicking', outcome: 'yes' },
      { sign: 'smoke', outcome: 'yes' },
      { sign: 'whistle', outcome: 'yes' },
      { sign: 'overheated', outcome: 'yes' },
    ];
    expect(rank(MODELS, strange).explains?.poor).toBe(true);
  });
});

describe('two causes together', () => {
  const twoSigns = (id: string, prior: number, x: number, y: number): CauseModel => ({
    id,
    prior,
    chances: new Map([
      ['x', { yes: x, no: 1 - x }],
      ['y', { yes: y, no: 1 - y }],
    ]),
  });
  const models = [twoSigns('a', 0.5, 0.9, 0.02), twoSigns('b', 0.5, 0.02, 0.9)];
  it('explain what neither does alone, by noisy-or and the product of the priors', () => {
    const both = bestPair(models, [
      { sign: 'x', outcome: 'yes' },
      { sign: 'y', outcome: 'yes' },
    ]);
    const p = 1 - 0.1 * 0.98;
    expect([both?.first, both?.second].sort()).toEqual(['a', 'b']);
    expect(both?.bits).toBeCloseTo(Math.log2((SECOND_FAULT * 0.25 * p * p) / (0.5 * 0.9 * 0.02)), 9);
  });
  it('are no better when one explains all', () => {
    expect(bestPair(models, [{ sign: 'x', outcome: 'yes' }])?.bits).toBeLessThan(0);
    expect(bestPair(models, [])).toBeNull();
  });
});

describe('nextCheck', () => {
  it('works the design’s example: 0.56 yes, 0.397 bit', () => {
    const [best] = nextCheck(WORKED, [], [question], { minutePrice: 100 });
    expect(best?.previews[0]?.chance).toBeCloseTo(0.56, 12);
    expect(best?.gainBits).toBeCloseTo(0.397, 3);
    // By hand: H(0.5, 0.3, 0.2) less the expected entropy of the two answers.
    expect(entropy([0.5, 0.3, 0.2])).toBeCloseTo(1.4855, 4);
    expect(best?.bitsPerCrown).toBeCloseTo((best?.gainBits ?? 0) / 0.5, 9);
  });
  it('never offers what is known, passed over, or not yet possible', () => {
    const offered = (findings: readonly Finding[], more = {}) =>
      nextCheck(MODELS, findings, SIGNS, { minutePrice: 97, ...more }).map(({ sign }) => sign.id);
    expect(offered([])).not.toContain('light-gap');
    const looked = [{ sign: 'duct-off-look', outcome: 'clean' }];
    expect(offered(looked)).toContain('light-gap');
    expect(offered(looked)).not.toContain('duct-off-look');
    expect(offered([], { passedOver: ['smoke-test'] })).not.toContain('smoke-test');
  });
  it('counts what it takes to get there, until that is reached', () => {
    const play = (reached: readonly 'duct-off'[]) =>
      nextCheck(MODELS, [], SIGNS, { minutePrice: 97, reached }).find(({ sign }) => sign.id === 'shaft-play');
    expect(play([])).toMatchObject({ minutes: 9, reach: ['duct-off'], costMinor: 873 });
    expect(play(['duct-off'])).toMatchObject({ minutes: 3, reach: [] });
  });
  it('refuses a negative price', () => {
    expect(() => nextCheck(WORKED, [], [question], { minutePrice: -1 })).toThrow(RangeError);
  });
  it('says which answer would put another cause first', () => {
    const proposals = nextCheck(WORKED, [], [question], { minutePrice: 1 });
    expect(whatWouldChange('a', proposals, WORKED)).toMatchObject([{ outcome: 'no', leader: 'b' }]);
    expect(whatWouldChange('a', proposals, WORKED)[0]?.chance).toBeCloseTo(0.44, 9);
  });
});
