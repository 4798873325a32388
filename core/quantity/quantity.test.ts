import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  convert,
  format,
  formatClock,
  formatMinutes,
  parseNumber,
  parseQuantity,
  type Unit,
  UNITS,
  unitsOfKind,
} from './index.ts';

describe('convert', () => {
  // Published values (NIST SP 811, appendix B.8), each written out, not derived from our factors.
  it.each([
    [1, 'ft·lb', 'N·m', 1.3558179483314004],
    [1, 'in·lb', 'N·m', 0.1129848290276167],
    [1, 'kgf·m', 'N·m', 9.80665],
    [1, 'mi', 'km', 1.609344],
    [1, 'US gal', 'L', 3.785411784],
    [1, 'imp gal', 'L', 4.54609],
    [1, 'psi', 'kPa', 6.894757293168],
    [212, '°F', '°C', 100],
    [-40, '°C', '°F', -40],
    [0, '°C', 'K', 273.15],
    [1, 'in', 'mm', 25.4],
    [90, '°', 'rad', Math.PI / 2],
    [900, 'rpm', 'Hz', 15],
  ] as const)('%d %s is %d %s', (value, from, to, expected) => {
    expect(convert(value, from, to)).toBeCloseTo(expected, 10);
  });

  it('goes there and back for every pair of units of one kind', () => {
    for (const from of Object.keys(UNITS) as Unit[]) {
      for (const to of unitsOfKind(UNITS[from].kind)) {
        fc.assert(
          fc.property(fc.double({ min: -1000, max: 1000, noNaN: true }), (value) => {
            expect(convert(convert(value, from, to), to, from)).toBeCloseTo(value, 6);
          }),
          { numRuns: 5 },
        );
      }
    }
  });

  it('refuses units of two kinds in words', () => {
    expect(() => convert(1, 'N·m', 'L')).toThrow('Expected a unit of torque');
  });
});

describe('parseQuantity', () => {
  it.each([
    ['9 Nm', 9, 'N·m'],
    ['9 N·m', 9, 'N·m'],
    ['80 in-lb', 80, 'in·lb'],
    ['80 lbf·in', 80, 'in·lb'],
    ['7.5 ft lb', 7.5, 'ft·lb'],
    ['7.5 lb-ft', 7.5, 'ft·lb'],
    ['0.9 kgf m', 0.9, 'kgf·m'],
    ['90 kgf cm', 90, 'kgf·cm'],
    ['8,5 Nm', 8.5, 'N·m'],
    ['8.5NM', 8.5, 'N·m'],
  ] as const)('reads torque %s', (text, value, unit) => {
    expect(parseQuantity(text, 'torque')).toEqual({ ok: true, quantity: { value, unit } });
  });

  it.each([
    ['8–10 Nm', 8, 10],
    ['8 to 10 Nm', 8, 10],
    ['8-10 Nm', 8, 10],
    ['9 ± 1 Nm', 8, 10],
    ['9.1 ± 0.2 Nm', 8.9, 9.3],
  ] as const)('reads the range %s', (text, low, high) => {
    expect(parseQuantity(text, 'torque')).toEqual({ ok: true, quantity: { value: low, unit: 'N·m' }, upTo: high });
  });

  it('reads a turn after the torque', () => {
    expect(parseQuantity('5 Nm + 45°', 'torque')).toEqual({
      ok: true,
      quantity: { value: 5, unit: 'N·m' },
      angleDeg: 45,
    });
  });

  it('reads thousands set apart', () => {
    expect(parseQuantity('148 220 km', 'distance')).toEqual({ ok: true, quantity: { value: 148_220, unit: 'km' } });
  });

  it.each([
    ['9 lb', 'torque', 'Pounds of what'],
    ['9 pounds', 'torque', 'Pounds of what'],
    ['9', 'torque', 'Which unit'],
    ['', 'torque', 'Nothing typed'],
    ['nine Nm', 'torque', 'Expected a number'],
    ['9 L', 'torque', 'which is a volume'],
    ['9 furlongs', 'torque', 'not a unit known here'],
    ['0 Nm', 'torque', 'more than zero'],
    ['-3 Nm', 'torque', 'cannot be negative'],
    ['10–8 Nm', 'torque', 'smaller figure first'],
    ['-0.4 L', 'volume', 'cannot be negative'],
    ['2 gallons', 'volume', 'Which gallon'],
  ] as const)('refuses %s as %s', (text, kind, message) => {
    const result = parseQuantity(text, kind);
    expect(result).toMatchObject({ ok: false });
    expect(result.ok ? '' : result.message).toContain(message);
  });

  it('takes an assumed unit only when none is typed', () => {
    expect(parseQuantity('0.4', 'volume', 'L')).toEqual({ ok: true, quantity: { value: 0.4, unit: 'L' } });
    expect(parseQuantity('400 mL', 'volume', 'L')).toEqual({ ok: true, quantity: { value: 400, unit: 'mL' } });
  });

  it('reads back whatever it prints', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 99_999 }),
        fc.constantFrom<Unit>('N·m', 'in·lb', 'ft·lb', 'kgf·cm'),
        (tenths, unit) => {
          const quantity = { value: tenths / 10, unit };
          expect(parseQuantity(format(quantity), 'torque')).toEqual({ ok: true, quantity });
        },
      ),
    );
  });
});

describe('format', () => {
  it('keeps what was entered and converts with its figures', () => {
    expect(format({ value: 148_220, unit: 'km' })).toBe('148\u2009220 km');
    expect(format({ value: 8.5, unit: 'N·m' })).toBe('8.5 N·m');
    expect(format({ value: 9, unit: 'N·m' }, { in: 'in·lb' })).toBe('80 in·lb');
    expect(format({ value: -37.6, unit: '°C' }, { decimals: 0 })).toBe('−38 °C');
  });
  it('says spans and clocks as people do', () => {
    expect([formatMinutes(40), formatMinutes(125), formatMinutes(120), formatMinutes(4320)]).toEqual([
      '40 min',
      '2 h 05 min',
      '2 h',
      '3 days',
    ]);
    expect([formatClock(2480), formatClock(11_100), formatClock(-5), formatClock(59)]).toEqual([
      '41:20',
      '3:05 h',
      '0:00',
      '0:59',
    ]);
  });
  it('reads numbers with a comma and refuses words', () => {
    expect(parseNumber('0,52')).toBe(0.52);
    expect(parseNumber('1.2.3')).toBeNaN();
  });
});
