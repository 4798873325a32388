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
    sign: 'idle-low',
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
    expect(deposit.shows.find(({ sign }) => sign === 'idle-low')).toMatchObject({
      word: 'nearly always',
      why: 'seen it all winter',
    });
    expect(edited.knowledge.causes.find(({ id }) => id === 'foreign')!.common.outboard).toBeUndefined();
    expect(edited.knowledge.signs.find(({ id }) => id === 'smoke-test')!.method!.minutes).toBe(12);
    expect(K.causes.find(({ id }) => id === 'deposit')!.shows.find(({ sign }) => sign === 'idle-low')!.word).toBe(
      'often',
    );
  });
  it('changes what proves, what cures, which signs are one, and what the shop says of codes and phrases', () => {
    const edited = editKnowledge(K, [
      likelihood({ cause: 'shaft', sign: 'shaft-play', outcome: 'felt', word: 'proves', seen: 'often' }),
      { kind: 'cure', cause: 'shaft', option: 'rebuild', word: 'often', why: 'we sleeve them' },
      { kind: 'group', id: 'idle-told', name: 'Idle as told', signs: ['hunting', 'rough'], why: 'people say both' },
      { kind: 'group', id: 'ring', name: '', signs: [], why: '' },
      { kind: 'code', code: 'p1234', meaning: 'idle valve blocked', sign: 'valve-code', outcome: 'yes' },
      { kind: 'phrase', phrase: 'Does the tango', sign: 'hunting', outcome: 'yes' },
    ]);
    if (!edited.ok) throw new Error(edited.problems[0]?.message);
    const { knowledge } = edited;
    const shaft = knowledge.causes.find(({ id }) => id === 'shaft')!;
    expect(shaft.shows.find(({ sign }) => sign === 'shaft-play')).toMatchObject({ word: 'proves', seen: 'often' });
    expect(shaft.cures.find(({ option }) => option === 'rebuild')?.word).toBe('often');
    expect(knowledge.groups.map(({ id }) => id)).toContain('idle-told');
    expect(knowledge.groups.map(({ id }) => id)).not.toContain('ring');
    expect(knowledge.ownCodes).toEqual([
      { code: 'P1234', meaning: 'idle valve blocked', sign: 'valve-code', outcome: 'yes' },
    ]);
    expect(knowledge.ownPhrases).toEqual([{ phrase: 'does the tango', sign: 'hunting', outcome: 'yes' }]);
    const forgotten = editKnowledge(knowledge, [
      { kind: 'forget-code', code: 'P1234' },
      { kind: 'forget-phrase', phrase: 'does the tango' },
    ]);
    expect(forgotten.ok && [forgotten.knowledge.ownCodes, forgotten.knowledge.ownPhrases]).toEqual([[], []]);
  });
  it('adds a row for a sign of which the cause said nothing', () => {
    const edited = editKnowledge(K, [likelihood({ sign: 'whistle' })]);
    expect(edited.ok && edited.knowledge.causes[0]!.shows.at(-1)).toMatchObject({ sign: 'whistle' });
  });
  it.each<[string, KnowledgeEdit, RegExp]>([
    [
      'answers that add up to more than all',
      likelihood({ sign: 'duct-off-look', outcome: 'oil' }),
      /add up to \d+ %.*at most 98 %/,
    ],
    ['an answer that takes the rest', likelihood({ outcome: 'no' }), /takes what the others leave/],
    ['a sign that is not there', likelihood({ sign: 'moon' }), /no sign “moon”/],
    ['a cause that is not there', likelihood({ cause: 'ghosts' }), /no cause “ghosts”/],
    ['a likelihood without a reason', likelihood({ why: ' ' }), /Say why/],
    ['a check without minutes', { kind: 'minutes', sign: 'smoke-test', minutes: 0 }, /1 to 600 minutes, got 0/],
    ['a group of one', { kind: 'group', id: 'g', name: 'G', signs: ['hunting'], why: 'x' }, /One sign is no group/],
    [
      'a phrase for two signs',
      { kind: 'phrase', phrase: 'taught already', sign: 'moon', outcome: 'yes' },
      /no finding “moon=yes”/,
    ],
    [
      'a code that is none',
      { kind: 'code', code: 'hello', meaning: 'x', sign: null, outcome: null },
      /Expected a code such as P0505/,
    ],
    [
      'words for a code of nothing',
      { kind: 'code', code: 'P1234', meaning: ' ', sign: null, outcome: null },
      /Say what it means/,
    ],
    ['forgetting what was never taught', { kind: 'forget-phrase', phrase: 'x y z' }, /has not taught/],
    ['minutes for a question', { kind: 'minutes', sign: 'hunting', minutes: 3 }, /no check “hunting”/],
  ])('refuses %s', (_, edit, words) => {
    const result = editKnowledge(K, [edit]);
    expect(result.ok).toBe(false);
    expect(result.ok || result.problems[0]?.message).toMatch(words);
  });
  it('a phrase taught for two signs says which it stands for already', () => {
    const twice = editKnowledge(K, [
      { kind: 'phrase', phrase: 'does the tango', sign: 'hunting', outcome: 'yes' },
      { kind: 'phrase', phrase: 'Does the Tango ', sign: 'rough', outcome: 'yes' },
    ]);
    expect(twice.ok).toBe(false);
    expect(twice.ok || twice.problems[0]?.message).toMatch(/already stands for “Hunting idle”/);
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
    expect(CHANCE).toEqual({
      never: 0.02,
      seldom: 0.1,
      sometimes: 0.3,
      often: 0.6,
      'nearly always': 0.9,
      proves: 0.995,
      'rules out': 0.001,
    });
    expect(restOf(K.signs[0]!)).toBe('no');
  });
});
