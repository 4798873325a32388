import { describe, expect, it } from 'vitest';
import { broughtUp, carryOver, changesBetween, checkKnowledge, editKnowledge, type Knowledge } from './index.ts';
import { SHIPPED_KNOWLEDGE as K } from './knowledge/index.ts';

/** As a store of before held it: no groups, no cures, nothing of the shop's own. */
const stored = () => {
  const { groups: _, ownCodes: __, ownPhrases: ___, edition: ____, ...rest } = K;
  return {
    ...rest,
    causes: rest.causes.map(({ homes: _h, leastUnits: _l, decides: _d, cures: _c, returns: _r, ...cause }) => cause),
    signs: rest.signs.map(({ of: _o, ...sign }) => sign),
  };
};
const editedBy = (edits: Parameters<typeof editKnowledge>[1], from: Knowledge = K): Knowledge => {
  const result = editKnowledge(from, edits);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.knowledge;
};

describe('a knowledge of before', () => {
  const up = broughtUp(stored());
  it('keeps its likelihoods, and weighs each sign by itself', () => {
    expect(up.causes.map(({ shows }) => shows)).toEqual(K.causes.map(({ shows }) => shows));
    expect(up).toMatchObject({ edition: 1, groups: [], ownCodes: [], ownPhrases: [] });
    expect(up.causes.find(({ id }) => id === 'deposit')?.cures.length).toBeGreaterThan(3);
    expect(checkKnowledge(up)).toEqual([]);
  });
  it('one of today stays as it is', () => {
    expect(broughtUp(K)).toEqual(K);
  });
});

describe('what a shop had changed', () => {
  const own = editedBy([
    { kind: 'minutes', sign: 'smoke-test', minutes: 12 },
    { kind: 'common', cause: 'foreign', group: 'outboard', to: null },
    { kind: 'likelihood', cause: 'deposit', sign: 'whistle', outcome: 'yes', word: 'sometimes', why: 'seen here' },
    { kind: 'cure', cause: 'shaft', option: 'rebuild', word: 'often', why: 'we sleeve them' },
    { kind: 'code', code: 'P1234', meaning: 'ours', sign: null, outcome: null },
  ]);
  it('is told apart from what shipped', () => {
    expect(
      changesBetween(K, own)
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(['code', 'common', 'cure', 'likelihood', 'minutes']);
    expect(changesBetween(K, K)).toEqual([]);
  });
  it('comes over to a new edition, and what no longer fits is named', () => {
    const next: Knowledge = { ...K, edition: 9, signs: K.signs.filter(({ id }) => id !== 'smoke-test') };
    const causes = next.causes.map((cause) => ({
      ...cause,
      shows: cause.shows.filter(({ sign }) => sign !== 'smoke-test'),
      decides: cause.decides.filter((id) => id !== 'smoke-test'),
    }));
    const conflicts = next.conflicts.filter((pair) => !pair.some((each) => each.startsWith('smoke-test')));
    const carried = carryOver(K, own, { ...next, causes, conflicts });
    expect(carried.kept).toBe(4);
    expect(carried.lost.map(({ kind }) => kind)).toEqual(['minutes']);
    expect(carried.knowledge).toMatchObject({ edition: 9, version: own.version + 1 });
    expect(carried.knowledge.ownCodes).toHaveLength(1);
  });
});
