import { describe, expect, it } from 'vitest';
import { searchText, searchWords } from './index.ts';

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
