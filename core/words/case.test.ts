import { describe, expect, it } from 'vitest';
import { lowerFirst, upperFirst } from './index.ts';

describe('words within a sentence and at its head', () => {
  it.each([
    ['Body gasket', 'body gasket'],
    ['O-ring, lower', 'O-ring, lower'],
    ['MAF plug', 'MAF plug'],
    ['', ''],
  ])('%s → %s', (name, within) => {
    expect(lowerFirst(name)).toBe(within);
  });
  it('begins a line', () => {
    expect([upperFirst('let out 0.20 L'), upperFirst('')]).toEqual(['Let out 0.20 L', '']);
  });
});
