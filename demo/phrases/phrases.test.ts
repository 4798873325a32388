import { describe, expect, it } from 'vitest';
import { SHIPPED_KNOWLEDGE } from '../../core/diagnose/knowledge/index.ts';
import { APART, CHANGED_APART, scorePhrase, scorePhrases, WORK } from './score.ts';

const known = new Set(
  SHIPPED_KNOWLEDGE.signs.flatMap(({ id, outcomes }) => outcomes.map((each) => `${id}=${each.id}`)),
);
const FORM = /^(?:code:[A-Z0-9-]+|idle:\d+|tried:[a-z-]+:(?:yes|no)|\?[a-z-]+)$/;

describe('the sentences', () => {
  it('are 400 to work with and 200 set apart, and speak of what exists', () => {
    expect(WORK.length).toBeGreaterThanOrEqual(400);
    expect(APART.length).toBeGreaterThanOrEqual(200);
    for (const { text, must, may } of [...WORK, ...APART])
      for (const each of [...must, ...may]) expect(known.has(each) || FORM.test(each), `${text}: ${each}`).toBe(true);
    expect(CHANGED_APART).toEqual([]);
  });
  it('of those to work with nine findings in ten are heard, and nearly nothing else', () => {
    const { recall, precision } = scorePhrases(SHIPPED_KNOWLEDGE, WORK);
    expect(recall.rate).toBeGreaterThanOrEqual(0.9);
    expect(precision.rate).toBeGreaterThanOrEqual(0.97);
  });
  it('are scored by what is missed and by what is heard wrongly', () => {
    const score = (text: string, must: string[], may: string[] = []) =>
      scorePhrase(SHIPPED_KNOWLEDGE, { text, must, may });
    expect(score('it hunts', ['hunting=yes'])).toMatchObject({ hit: ['hunting=yes'], missed: [], wrong: [] });
    expect(score('it hunts', ['rough=yes'])).toMatchObject({ hit: [], missed: ['rough=yes'], wrong: ['hunting=yes'] });
    expect(score('it hunts', [], ['hunting=yes'])).toMatchObject({ hit: [], missed: [], wrong: [] });
  });
});
