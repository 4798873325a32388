import { describe, expect, it } from 'vitest';
import { caution } from '../job/index.ts';
import {
  CHANCE,
  checkKnowledge,
  editKnowledge,
  FIXED_ORDER,
  GROUPS,
  type KnowledgeEdit,
  restOf,
  signsFor,
} from './index.ts';
import { SHIPPED_KNOWLEDGE } from './knowledge/index.ts';

const K = SHIPPED_KNOWLEDGE;
const checks = K.signs.filter(({ kind }) => kind === 'check');

describe('the knowledge that ships', () => {
  it('can be used as it is', () => {
    expect(checkKnowledge(K)).toEqual([]);
  });
  it('holds at least 16 causes and 28 checks, and causes that are not the throttle', () => {
    expect(K.causes.length).toBeGreaterThanOrEqual(16);
    expect(checks.length).toBeGreaterThanOrEqual(28);
    expect(K.causes.filter(({ throttle }) => !throttle).length).toBeGreaterThanOrEqual(8);
  });
  it.each(Object.keys(GROUPS) as (keyof typeof GROUPS)[])('has causes and checks for %s', (group) => {
    expect(K.causes.filter(({ common }) => common[group] !== undefined).length).toBeGreaterThanOrEqual(8);
    expect(signsFor(K, { group, hasValve: true }).filter(({ kind }) => kind === 'check').length).toBeGreaterThanOrEqual(
      12,
    );
  });
  it('gives a reason for every likelihood, and a portrait to every cause', () => {
    for (const { shows, id } of K.causes) {
      expect(shows.length, id).toBeGreaterThanOrEqual(8);
      for (const { why } of shows) expect(why.length, id).toBeGreaterThan(3);
    }
  });
  it.each(checks.map((check) => [check.id, check] as const))(
    '%s says how it is done, what is normal, and is told apart by a cause',
    (id, { method, outcomes }) => {
      expect(method!.steps.length).toBeGreaterThanOrEqual(2);
      expect(method!.normal).not.toBe('');
      expect(outcomes.length).toBeGreaterThanOrEqual(2);
      for (const each of method!.cautions) expect(caution(each), each).toBeDefined();
      expect(K.causes.some(({ shows }) => shows.some(({ sign }) => sign === id))).toBe(true);
      expect(FIXED_ORDER).toContain(id);
    },
  );
  it('asks a question for all that is neither code nor check', () => {
    for (const sign of K.signs.filter(({ kind }) => kind !== 'code' && kind !== 'check'))
      expect(sign.ask).toMatch(/\?$/);
  });
  it('speaks only of findings that exist when it says what contradicts what', () => {
    for (const pair of K.conflicts)
      for (const each of pair) {
        const [sign, outcome] = each.split('=');
        expect(K.signs.find(({ id }) => id === sign)?.outcomes.map(({ id }) => id)).toContain(outcome);
      }
  });
});

describe('editing', () => {
  const likelihood = (change: Partial<Extract<KnowledgeEdit, { kind: 'likelihood' }>> = {}): KnowledgeEdit => ({
    kind: 'likelihood',
    cause: 'deposit',
    sign: 'stalls',
    outcome: 'yes',
    word: 'nearly always',
    why: 'seen it all winter',
    ...change,
  });
  it('makes the next version and leaves the old one', () => {
    const edited = editKnowledge(K, [
      likelihood(),
      { kind: 'common', cause: 'foreign', group: 'outboard', to: null },
      { kind: 'minutes', sign: 'smoke-test', minutes: 12 },
    ]);
    if (!edited.ok) throw new Error('refused');
    const deposit = edited.knowledge.causes.find(({ id }) => id === 'deposit')!;
    expect(edited.knowledge.version).toBe(K.version + 1);
    expect(deposit.shows.find(({ sign }) => sign === 'stalls')).toMatchObject({
      word: 'nearly always',
      why: 'seen it all winter',
    });
    expect(edited.knowledge.causes.find(({ id }) => id === 'foreign')!.common.outboard).toBeUndefined();
    expect(edited.knowledge.signs.find(({ id }) => id === 'smoke-test')!.method!.minutes).toBe(12);
    expect(K.causes.find(({ id }) => id === 'deposit')!.shows.find(({ sign }) => sign === 'stalls')!.word).toBe(
      'often',
    );
  });
  it('adds a row for a sign of which the cause said nothing', () => {
    const edited = editKnowledge(K, [likelihood({ sign: 'whistle' })]);
    expect(edited.ok && edited.knowledge.causes[0]!.shows.at(-1)).toMatchObject({ sign: 'whistle' });
  });
  it.each<[string, KnowledgeEdit, RegExp]>([
    [
      'answers that add up to more than all',
      likelihood({ sign: 'duct-off-look', outcome: 'oil' }),
      /add up to 182 %.*at most 98 %/,
    ],
    ['an answer that takes the rest', likelihood({ sign: 'stalls', outcome: 'no' }), /takes what the others leave/],
    ['a sign that is not there', likelihood({ sign: 'moon' }), /no sign “moon”/],
    ['a cause that is not there', likelihood({ cause: 'ghosts' }), /no cause “ghosts”/],
    ['a likelihood without a reason', likelihood({ why: ' ' }), /Say why/],
    ['a check without minutes', { kind: 'minutes', sign: 'smoke-test', minutes: 0 }, /1 to 600 minutes, got 0/],
    ['minutes for a question', { kind: 'minutes', sign: 'hunting', minutes: 3 }, /no check “hunting”/],
  ])('refuses %s', (_, edit, words) => {
    const result = editKnowledge(K, [edit]);
    expect(result.ok).toBe(false);
    expect(result.ok || result.problems[0]?.message).toMatch(words);
  });
  it('refuses to leave a kind of vehicle without a cause', () => {
    const edits = K.causes
      .filter(({ common }) => common.motorcycle !== undefined)
      .map(({ id }): KnowledgeEdit => ({ kind: 'common', cause: id, group: 'motorcycle', to: null }));
    const result = editKnowledge(K, edits);
    expect(result.ok || result.problems[0]?.message).toMatch(/No cause is left for motorcycle/);
  });
  it('finds what is wrong with knowledge from elsewhere', () => {
    const broken = {
      ...K,
      causes: [
        ...K.causes,
        {
          ...K.causes[0]!,
          shows: [K.causes[0]!.shows[0]!, K.causes[0]!.shows[0]!],
          common: { cable: 'daily' as never },
        },
      ],
      signs: [
        { ...K.signs[0]!, outcomes: [K.signs[0]!.outcomes[0]!] },
        ...K.signs
          .slice(1)
          .map((sign) =>
            sign.id === 'light-gap' ? { ...sign, method: { ...sign.method!, after: ['nothing'] } } : sign,
          ),
      ],
    };
    const said = checkKnowledge(broken)
      .map(({ message }) => message)
      .join('\n');
    for (const words of [
      'two of the cause “deposit”',
      'said twice',
      'got “daily”',
      'at least two answers',
      'comes after “nothing”',
    ])
      expect(said).toContain(words);
  });
  it('keeps never above nothing, so that no answer is impossible', () => {
    expect(CHANCE).toEqual({ never: 0.02, seldom: 0.1, sometimes: 0.3, often: 0.6, 'nearly always': 0.9 });
    expect(restOf(K.signs[0]!)).toBe('no');
  });
});
