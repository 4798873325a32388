import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  convert,
  fieldIn,
  FIELDS,
  format,
  formatClock,
  formatMinutes,
  formatNumber,
  type Kind,
  parseQuantity,
  plainText,
  readField,
  readFigure,
  readIn,
  significantFigures,
  type Unit,
  UNITS,
  unitsOfKind,
} from './index.ts';

describe('convert', () => {
  // Published values (NIST SP 811, appendix B.8 and B.9), each written out, not derived from our factors.
  it.each([
    [1, 'ft·lb', 'N·m', 1.3558179483314004],
    [1, 'in·lb', 'N·m', 0.1129848290276167],
    [1, 'kgf·m', 'N·m', 9.80665],
    [1, 'kgf·cm', 'N·m', 0.0980665],
    [1, 'mi', 'km', 1.609344],
    [1, 'US gal', 'L', 3.785411784],
    [1, 'imp gal', 'L', 4.54609],
    [1, 'US qt', 'L', 0.946352946],
    [1, 'imp qt', 'L', 1.1365225],
    [1, 'US pt', 'mL', 473.176473],
    [1, 'imp pt', 'mL', 568.26125],
    [1, 'US fl oz', 'mL', 29.5735295625],
    [1, 'imp fl oz', 'mL', 28.4130625],
    [1, 'psi', 'kPa', 6.894757293168],
    [1, 'mmHg', 'hPa', 1.33322387415],
    [1, 'inHg', 'kPa', 3.38638864],
    [1, 'lb', 'kg', 0.45359237],
    [1, 'oz', 'g', 28.349523125],
    [212, '°F', '°C', 100],
    [-40, '°C', '°F', -40],
    [-35, '°F', '°C', -37.22222222222222],
    [0, '°C', 'K', 273.15],
    [1, 'in', 'mm', 25.4],
    [1, 'thou', 'µm', 25.4],
    [90, '°', 'rad', Math.PI / 2],
    [0.25, 'turn', '°', 90],
    [900, 'rpm', 'Hz', 15],
    [100, 'km/h', 'mph', 62.13711922373339],
    [36, 'kg/h', 'g/s', 10],
    [4.7, 'kΩ', 'Ω', 4700],
  ] as const)('%d %s is %d %s', (value, from, to, expected) => {
    expect(convert(value, from, to)).toBeCloseTo(expected, 7);
  });

  it('goes there and back for every pair of units of one kind', () => {
    for (const from of Object.keys(UNITS) as Unit[])
      for (const to of unitsOfKind(UNITS[from].kind))
        fc.assert(
          fc.property(fc.double({ min: -1000, max: 1000, noNaN: true }), (value) => {
            expect(convert(convert(value, from, to), to, from)).toBeCloseTo(value, 6);
          }),
          { numRuns: 5 },
        );
  });

  it('refuses units of two kinds in words', () => {
    expect(() => convert(1, 'N·m', 'L')).toThrow('Expected a unit of torque');
  });
});

describe('parseQuantity', () => {
  it('gives what was entered, never converted, with its text', () => {
    expect(parseQuantity(' 0,50 V ', 'voltage')).toEqual({
      ok: true,
      quantity: { value: 0.5, unit: 'V', text: '0,50 V' },
    });
    expect(parseQuantity('about 9.1 ± 0.2 Nm + 45°', 'torque')).toEqual({
      ok: true,
      quantity: { value: 8.9, unit: 'N·m', text: 'about 9.1 ± 0.2 Nm + 45°' },
      upTo: 9.3,
      angleDeg: 45,
      about: true,
    });
  });

  it('takes an assumed unit only when none is typed', () => {
    expect(parseQuantity('0.4', 'volume', 'L')).toMatchObject({ ok: true, quantity: { value: 0.4, unit: 'L' } });
    expect(parseQuantity('400 mL', 'volume', 'L')).toMatchObject({ ok: true, quantity: { value: 400, unit: 'mL' } });
    expect(parseQuantity('-35 °F', 'temperature', '°C')).toMatchObject({ quantity: { value: -35, unit: '°F' } });
  });

  it.each([
    ['9 lb', 'torque', 'Pounds of what'],
    ['9', 'torque', 'Which unit'],
    ['', 'torque', 'Nothing typed'],
    ['nine Nm', 'torque', 'Expected a number'],
    ['9 L', 'torque', 'which is a volume'],
    ['9 furlongs', 'torque', 'not a unit known here'],
    ['0 Nm', 'torque', 'more than zero'],
    ['-3 Nm', 'torque', 'cannot be negative'],
    ['10–8 Nm', 'torque', 'smaller figure first'],
    ['8– Nm', 'torque', 'lacks one end'],
    ['up to 10 Nm', 'torque', 'is a limit'],
    ['9 10 Nm', 'torque', 'got more in'],
    ['5 Nm + 45', 'torque', 'turn in degrees'],
    ['1.2.3 Nm', 'torque', 'cannot be read as a number'],
    ['2 gallons', 'volume', 'Which gallon'],
    ['10 mΩ', 'resistance', 'not a unit known here'],
  ] as const)('refuses “%s” as %s, and says why', (text, kind: Kind, message) => {
    const result = parseQuantity(text, kind);
    expect(result.ok ? 'read' : result.message).toContain(message);
  });

  it('asks which of two was meant, and each choice reads as itself', () => {
    for (const [text, field] of [
      ['1,250 mm', FIELDS.millimetres],
      ['2 qt', FIELDS.coolantLitres],
      ['8–10 lb', FIELDS.torqueSpec],
      ['1:20', FIELDS.minutes],
      ['2.125', FIELDS.resistance],
    ] as const) {
      const asked = readField(text, field);
      const choices = asked.ok ? [] : (asked.asks?.choices ?? []);
      expect(choices.length, text).toBe(2);
      for (const { reading, typed } of choices) {
        const { value, unit } = reading.quantity;
        const again = readField(typed, field);
        expect(again, typed).toMatchObject({ ok: true, quantity: { unit } });
        expect(again.ok && again.quantity.value, typed).toBeCloseTo(value, 9);
        expect(again.ok && again.upTo, typed).toBe(reading.upTo);
      }
    }
  });

  it('asks for a gallon only until the shop has said which', () => {
    expect(parseQuantity('2 gal', 'volume', { measures: 'US' })).toMatchObject({ quantity: { unit: 'US gal' } });
    expect(parseQuantity('2 pints', 'volume', { measures: 'imperial' })).toMatchObject({
      quantity: { unit: 'imp pt' },
    });
    expect(parseQuantity('2 gal', 'volume')).toMatchObject({ asks: { question: 'measures' } });
  });

  it('reads back whatever it prints', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 99_999 }),
        fc.constantFrom<Unit>('N·m', 'in·lb', 'ft·lb', 'kgf·cm'),
        (tenths, unit) => {
          const quantity = { value: tenths / 10, unit };
          expect(parseQuantity(format(quantity), 'torque')).toMatchObject({ ok: true, quantity });
        },
      ),
    );
  });

  it('reads every grouping of a whole number as that number, or asks', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1000, max: 2_999_999 }),
        fc.constantFrom(',', '.', "'", ' ', '\u2009', '\u00a0', '\u202f'),
        (value, mark) => {
          const text = String(value).replace(/\B(?=(\d{3})+(?!\d))/g, mark);
          expect(readFigure(text, FIELDS.odometerKm)).toMatchObject({ ok: true, value });
        },
      ),
    );
  });

  it('never throws, and never reads a number that no notation gives', () => {
    const anything = fc.string({ unit: fc.constantFrom(...'0123456789.,\'’ -–−+±/:½kNmV°%£"') });
    fc.assert(
      fc.property(anything, fc.constantFrom(...Object.values(FIELDS)), (text, field) => {
        const read = readField(text, field);
        if (read.ok) expect(Number.isFinite(read.quantity.value)).toBe(true);
        else expect(read.message).not.toBe('');
      }),
      { numRuns: 2000 },
    );
  });
});

describe('readFigure', () => {
  it('is in the unit of the field, both ends of a range', () => {
    expect(readFigure('400 cc', FIELDS.coolantLitres)).toEqual({
      ok: true,
      value: 0.4,
      text: '400 cc',
      shown: '0.4',
    });
    expect(readFigure('450–550 mV', FIELDS.voltsBand)).toMatchObject({ value: 0.45, upTo: 0.55 });
    expect(readFigure('0,50', FIELDS.sensorVolts)).toMatchObject({ value: 0.5, shown: '0.50' });
    expect(readFigure('183 °F', FIELDS.coolantTemperature)).toMatchObject({ shown: '83.89' });
    expect(() => readFigure('9 Nm', FIELDS.torqueSpec)).toThrow('a unit of its own');
  });
  it('reads a unit that only data knows as a plain number', () => {
    expect(readIn('12 widgets', 'widgets', [0, 100])).toMatchObject({ ok: true, value: 12 });
    expect(readIn('12.5', 'widgets', [0, 100])).toMatchObject({ ok: true, value: 12.5 });
    expect(readIn('12 mm', 'widgets', [0, 100])).toMatchObject({ ok: false });
    expect(fieldIn('g/s', [0, 400])).toEqual({ kind: 'flow', assume: 'g/s', plausible: [0, 400], takes: 'one' });
  });
});

describe('format', () => {
  it('keeps what was entered and converts with its figures', () => {
    expect(format({ value: 148_220, unit: 'km' })).toBe('148\u2009220 km');
    expect(format({ value: 8.5, unit: 'N·m' })).toBe('8.5 N·m');
    expect(format({ value: 0.5, unit: 'V', text: '0.50 V' })).toBe('0.50 V');
    expect(format({ value: 0.5, unit: 'V', text: ',50' })).toBe('0.50 V');
    expect(format({ value: 0.5, unit: 'V', text: '½' })).toBe('0.5 V');
    expect(formatNumber({ value: 9, unit: 'N·m', text: '9.00 Nm' }, { in: 'in·lb' })).toBe('79.7');
    expect(format({ value: 9, unit: 'N·m' }, { in: 'in·lb' })).toBe('80 in·lb');
    expect(format({ value: -37.6, unit: '°C' }, { decimals: 0 })).toBe('−38 °C');
    expect(format({ value: 4, unit: 'pcs' })).toBe('4');
  });
  it('writes a number so that it can mean one thing only', () => {
    expect([1250, 1.25, 2.125, -0.125, 1234.5].map((value) => plainText(value))).toEqual([
      '1250',
      '1.25',
      '2·125',
      '-0·125',
      '1234.5',
    ]);
    expect([plainText(1.25, 3), plainText(0.5, 2)]).toEqual(['1·250', '0.50']);
  });
  it('says spans and clocks as people do', () => {
    expect([formatMinutes(40), formatMinutes(125), formatMinutes(120), formatMinutes(4320)]).toEqual([
      '40 min',
      '2 h 05 min',
      '2 h',
      '3 days',
    ]);
    expect([formatClock(2480), formatClock(0.2), formatClock(-3), formatClock(11_100)]).toEqual([
      '41:20',
      '0:01',
      '0:00',
      '3:05 h',
    ]);
    expect([148_220, 9, 0.5].map(significantFigures)).toEqual([6, 1, 1]);
  });
});
