import { describe, expect, it } from 'vitest';
import { excerpt, markWords, searchText, searchWords } from './index.ts';

describe('words as they are searched', () => {
  it('have no accents, capitals and signs', () => {
    expect(searchWords('Élodie’s 2.0 L, O-ring')).toEqual(['elodie', 's', '2', '0', 'l', 'o', 'ring']);
    expect(searchWords(' *"- ')).toEqual([]);
  });
  it('hold a number both as written and as one word', () => {
    expect(searchText(['Wren bus', 'bus'], ['TQ 417', ''])).toBe(' wren bus tq 417 tq417 ');
    expect(searchText([])).toBe('  ');
  });
});

describe('what was searched for in a text', () => {
  /** Marked words in brackets. */
  const marked = (text: string, sought: string): string =>
    markWords(text, searchWords(sought))
      .map((part) => (part.hit ? `[${part.text}]` : part.text))
      .join('');
  it.each([
    ['230 · TQ 417 · Norrland Parcel', 'norr tq', '230 · [TQ] 417 · [Norrland] Parcel'],
    ['230 · TQ 417 · Norrland Parcel', 'tq417', '230 · [TQ 417] · Norrland Parcel'],
    ['230 · TQ 417 · Norrland Parcel', 'tq41', '230 · [TQ 417] · Norrland Parcel'],
    ['NP-25-1107', 'np251107', '[NP-25-1107]'],
    ['Élodie’s a, b', 'elodie a', '[Élodie]’s [a], b'],
    ['nothing of it', 'zz', 'nothing of it'],
    ['nothing of it', '', 'nothing of it'],
    ['', 'x', ''],
  ])('%s, searched for “%s”', (text, sought, expected) => {
    expect(marked(text, sought)).toBe(expected);
  });
});

describe('an excerpt', () => {
  const said = (text: string, sought: string): string =>
    excerpt(text, searchWords(sought))
      .map((part) => (part.hit ? `[${part.text}]` : part.text))
      .join('');
  const long = Array.from({ length: 40 }, (_, index) => `word${index}`).join(' ');
  it('is the whole of a short text', () => {
    expect(said('crust like toffee', 'toffee')).toBe('crust like [toffee]');
  });
  it('stands round what was found, in whole words', () => {
    const middle = said(long, 'word20');
    expect(middle).toMatch(/^… word\d+ .*\[word20\].* word\d+ …$/);
    expect(middle.length).toBeLessThan(110);
    expect(said(long, 'word39')).toMatch(/^… .*\[word39\]$/);
    expect(said(long, 'word0')).toMatch(/^\[word0\] word1 .*…$/);
  });
  it('begins with the text where nothing was found in it, and cuts what has no words', () => {
    expect(said(long, 'zz')).toMatch(/^word0 word1 .*…$/);
    expect(said(`${'x'.repeat(300)} here`, 'here')).toContain('[here]');
    expect(said('x'.repeat(300), 'x')).toHaveLength(100);
  });
});
