import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  decimalsOf,
  formatMoney,
  formatRoundMoney,
  majorOf,
  minorOf,
  moneyText,
  readMoney,
  typedMoney,
} from './index.ts';

describe('a currency', () => {
  // ISO 4217 table A.1, minor units.
  it.each([
    ['cr', 2],
    ['EUR', 2],
    ['NOK', 2],
    ['JPY', 0],
    ['¥', 0],
    ['ISK', 0],
    ['KRW', 0],
    ['KWD', 3],
    ['BHD', 3],
    ['TND', 3],
    ['CLF', 4],
  ])('%s has %d decimals', (currency, decimals) => {
    expect(decimalsOf(currency)).toBe(decimals);
  });
});

describe('an amount', () => {
  it('is said with the decimals of its currency', () => {
    expect(formatMoney(1250, 'cr')).toBe('12.50 cr');
    expect(formatMoney(1250, 'JPY')).toBe('1250 JPY');
    expect(formatMoney(1250, 'KWD')).toBe('1.250 KWD');
    expect(formatMoney(1_234_567, 'cr')).toBe('12\u2009345.67 cr');
    expect(moneyText(5, 'cr')).toBe('0.05');
    expect(formatRoundMoney(18_450, 'cr')).toBe('185 cr');
    expect(formatRoundMoney(18_450, 'JPY')).toBe('18\u2009450 JPY');
  });
  it('goes to minor units and back', () => {
    expect([minorOf(12.5, 'cr'), minorOf(12.5, 'JPY'), minorOf(12.5, 'KWD')]).toEqual([1250, 13, 12_500]);
    // 1.1 × 100 is 110.00000000000001 in binary, 0.29 × 100 is 28.999999999999996.
    expect([minorOf(1.1, 'cr'), minorOf(0.29, 'cr'), majorOf(29, 'cr')]).toEqual([110, 29, 0.29]);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e9 }), fc.constantFrom('cr', 'JPY', 'KWD', 'CLF'), (minor, currency) => {
        expect(minorOf(majorOf(minor, currency), currency)).toBe(minor);
        const typed = `${typedMoney(minor, currency)} `;
        const read = readMoney(typed, currency);
        // Three decimals may also be thousands: then it asks, and what was meant is among the choices.
        if (read.ok) expect(read.minor).toBe(minor);
        else expect(read.choices?.map((choice) => choice.minor)).toContain(minor);
      }),
    );
  });
  it.each([
    ['80.5055', 'cr', 'cannot be read as a number|at most 2 decimals'],
    ['12.50', 'JPY', 'at most whole JPY'],
    ['80 €', 'cr', 'Expected an amount in cr'],
    ['$80', 'cr', 'Expected an amount in cr'],
    ['-80', 'cr', 'cannot be negative'],
    ['dear', 'cr', 'Expected an amount in cr, such as 80.00'],
    ['', 'cr', 'Nothing typed'],
    ['80–90', 'cr', 'got a range'],
  ])('“%s” in %s is refused', (text, currency, message) => {
    const read = readMoney(text, currency);
    expect(read.ok ? 'read' : read.message).toMatch(new RegExp(message));
  });
  it('asks where three decimals may be thousands, and each choice reads as itself', () => {
    const asked = readMoney('1.250', 'KWD');
    const choices = asked.ok ? [] : (asked.choices ?? []);
    expect(choices.map(({ words }) => words)).toEqual(['1250.000 KWD', '1.250 KWD']);
    for (const { typed, minor } of choices) expect(readMoney(typed, 'KWD')).toEqual({ ok: true, minor });
  });
});
