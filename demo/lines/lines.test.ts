import { describe, expect, it } from 'vitest';
import { APART_LINES, scoreLines, WORK_LINES } from './score.ts';

describe('sentences of what came off', () => {
  it('are read as meant, those to work with', () => {
    expect(scoreLines(WORK_LINES).wrong).toEqual([]);
    expect(WORK_LINES.length).toBeGreaterThanOrEqual(60);
  });
  it('are read as meant, nearly all of those set apart', () => {
    const { recall, precision } = scoreLines(APART_LINES);
    expect(recall.rate).toBeGreaterThanOrEqual(0.9);
    expect(precision.rate).toBeGreaterThanOrEqual(0.95);
    const work = new Set(WORK_LINES.map(({ text }) => text));
    expect(APART_LINES.filter(({ text }) => work.has(text))).toEqual([]);
  });
  it('count what is missed and what is made up', () => {
    const { whole, recall, precision, wrong } = scoreLines([
      { text: 'engine cover', things: [{ name: 'Engine cover', kind: 'cover', count: 3 }] },
      { text: 'duct, rack 2', things: [{ name: 'Duct', kind: 'duct' }] },
    ]);
    expect([whole.hits, recall.hits, recall.of, precision.hits, precision.of]).toEqual([0, 4, 5, 4, 5]);
    expect(wrong).toHaveLength(2);
  });
});
