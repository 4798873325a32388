import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkReading, checkVin, dtcFromBytes, dtcToBytes, parseDtc, vinCheckDigit } from './index.ts';

describe('checkVin', () => {
  it.each(['1M8GDM9AXKP042788', '11111111111111111', '1m8g dm9a-xkp042788'])('passes %s', (vin) => {
    expect(checkVin(vin).status).toBe('passes');
  });
  it('names the expected digit and the likely misreading', () => {
    const misread = checkVin('1M8GDM9AXKP04278B');
    expect(misread.status).toBe('fails');
    expect(misread.suspects).toContain('1M8GDM9AXKP042788');
  });
  it.each([
    ['IM8GDM9AXKP042788', '1M8GDM9AXKP042788'],
    ['1M8GDM9AXKPO42788', '1M8GDM9AXKP042788'],
  ])('corrects the never-used letter in %s', (typed, meant) => {
    expect(checkVin(typed)).toMatchObject({ status: 'fails', suspects: [meant] });
  });
  it('asks nothing of regions without a check digit, and counts characters', () => {
    expect(checkVin('XNP25KA41WT004170').status).toMatch(/no-check-digit-region|passes/);
    expect(checkVin('ABC').message).toContain('17 characters, this has 3');
  });
  it('catches every single wrong digit', () => {
    const vin = '1M8GDM9AXKP042788';
    fc.assert(
      fc.property(fc.integer({ min: 11, max: 16 }), fc.integer({ min: 1, max: 9 }), (place, add) => {
        const wrong = vin.slice(0, place) + String((Number(vin[place]) + add) % 10) + vin.slice(place + 1);
        expect(vinCheckDigit(wrong)).not.toBe('X');
      }),
    );
  });
});

describe('codes', () => {
  it.each([
    [0x01, 0x33, 'P0133'],
    [0x05, 0x05, 'P0505'],
    [0x21, 0x35, 'P2135'],
    [0xc1, 0x00, 'U0100'],
    [0x41, 0x23, 'C0123'],
    [0x92, 0x3f, 'B123F'],
  ] as const)('%d %d is %s', (a, b, code) => {
    expect(dtcFromBytes(a, b)).toBe(code);
  });
  it('goes there and back for every two bytes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 }), (a, b) => {
        expect(dtcToBytes(dtcFromBytes(a, b))).toEqual([a, b]);
      }),
    );
  });
  it('explains in own words and keeps what it does not know', () => {
    expect(parseDtc('p0505')).toMatchObject({
      ok: true,
      dtc: { code: 'P0505', scope: 'generic', meaning: 'Idle air control: the computer cannot hold the idle' },
    });
    expect(parseDtc('PO5O7')).toMatchObject({ ok: true, dtc: { code: 'P0507' } });
    expect(parseDtc('P1234')).toMatchObject({ ok: true, dtc: { scope: "maker's own" } });
    expect(parseDtc('P1234')).not.toHaveProperty('dtc.meaning');
    expect(parseDtc('P0122')).toMatchObject({ dtc: { meaning: 'Throttle or pedal sensor A: signal too low' } });
  });
  it.each(['X0505', 'P4505', 'P05', '', 'P05G5'])('refuses %s', (text) => {
    expect(parseDtc(text)).toMatchObject({ ok: false });
  });
  it('refuses what is not a byte', () => {
    expect(() => dtcFromBytes(256, 0)).toThrow('Expected a byte');
  });
});

describe('checkReading', () => {
  const last = { value: 148_220, unit: 'km' } as const;
  it('does not run backwards without a reason', () => {
    expect(checkReading({ value: 148_219, unit: 'km' }, last, '')?.code).toBe('runs-backwards');
    expect(checkReading({ value: 12, unit: 'km' }, last, 'cluster replaced')).toBeNull();
    expect(checkReading({ value: 148_220, unit: 'km' }, last, '')).toBeNull();
  });
  it('compares miles with kilometres and refuses hours for distance', () => {
    expect(checkReading({ value: 92_100, unit: 'mi' }, last, '')).toBeNull();
    expect(checkReading({ value: 92_000, unit: 'mi' }, last, '')?.code).toBe('runs-backwards');
    expect(checkReading({ value: 600, unit: 'h' }, last, '')?.code).toBe('wrong-unit');
  });
  it('has bounds that are the bounds named', () => {
    expect(checkReading({ value: 3_000_000, unit: 'km' }, null, '')).toBeNull();
    expect(checkReading({ value: 3_000_001, unit: 'km' }, null, '')?.message).toContain('3\u2009000\u2009000 km');
    expect(checkReading({ value: -1, unit: 'h' }, null, '')?.code).toBe('out-of-range');
    expect(checkReading({ value: Number.NaN, unit: 'h' }, null, '')?.code).toBe('out-of-range');
  });
});
