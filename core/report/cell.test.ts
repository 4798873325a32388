import { describe, expect, it } from 'vitest';
import { type CellKind, plainCell, sayCell } from './index.ts';

const money = (minor: number): string => `${(minor / 100).toFixed(2)} cr`;

describe('a cell of a report', () => {
  it.each<[CellKind, string | number | null, string, string | number]>([
    ['count', 12_345, '12\u2009345', 12_345],
    ['minutes', 125.4, '2 h 05 min', 125.4],
    ['money', 123_450, '1234.50 cr', 1234.5],
    ['grams', 60.4, '60 g', 60],
    ['litres', 0.74, '0.7 L', 0.74],
    ['percent', 0.876, '88 %', 0.876],
    ['percent', 0, '0 %', 0],
    ['text', 'Refit', 'Refit', 'Refit'],
    ['text', '', '–', ''],
    ['count', null, '–', ''],
  ])('of the kind %s, %s, is read as “%s” and written for programs as %s', (kind, value, said, plain) => {
    expect(sayCell(kind, value, money)).toBe(said);
    expect(plainCell(kind, value, 100)).toBe(plain);
  });
});
