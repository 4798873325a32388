import { describe, expect, it } from 'vitest';
import { rowsOf, score } from './score.ts';
import { SET_APART } from './setApart.ts';
import { TUNING } from './tuning.ts';

describe.each([
  ['to tune on', TUNING, 440],
  ['set apart', SET_APART, 220],
] as const)('written numbers %s', (_, table, least) => {
  const { clear, clearRead, asked, askedBack, wrongInSilence, missed } = score(table);

  it('are enough of them, each once', () => {
    const rows = rowsOf(table);
    expect(rows.length).toBeGreaterThanOrEqual(least);
    expect(new Set(rows.map(({ field, text }) => `${field} ${text}`)).size).toBe(rows.length);
  });
  it('are never wrong in silence', () => {
    expect(wrongInSilence).toEqual([]);
  });
  it('are read where they are clear: 97 of 100 at least', () => {
    expect(clearRead / clear, missed.join('\n')).toBeGreaterThanOrEqual(0.97);
  });
  it('are asked back where they are not', () => {
    expect(askedBack, missed.join('\n')).toBe(asked);
  });
});

describe('the tables', () => {
  it('share no row', () => {
    const tuned = new Set(rowsOf(TUNING).map(({ field, text }) => `${field} ${text}`));
    expect(rowsOf(SET_APART).filter(({ field, text }) => tuned.has(`${field} ${text}`))).toEqual([]);
  });
});
