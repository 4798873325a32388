import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  coolantAccount,
  coolantQuestions,
  freezePoint,
  freezeWords,
  massFraction,
  mix,
  shareForFreezePoint,
  volumeFraction,
} from './index.ts';

describe('freezePoint', () => {
  // ASHRAE Handbook, Fundamentals (2009), chapter 31, tables 4 and 5: share by mass, by volume, °C.
  it.each([
    ['ethylene', 5, 4.4, -1.4],
    ['ethylene', 20, 18.1, -7.8],
    ['ethylene', 30, 27.7, -14.1],
    ['ethylene', 40, 37.5, -22.3],
    ['ethylene', 50, 47.6, -33.8],
    ['ethylene', 60, 57.8, -48.3],
    ['propylene', 10, 9.6, -3.3],
    ['propylene', 30, 29.4, -12.7],
    ['propylene', 40, 39.6, -21.1],
    ['propylene', 50, 49.9, -33.5],
    ['propylene', 55, 55, -41.6],
    ['propylene', 60, 60, -51.1],
  ] as const)('%s at %d %% by mass, %d %% by volume, is %d °C', (glycol, byMass, byVolume, celsius) => {
    expect(freezePoint(glycol, byVolume / 100)).toEqual({
      celsius: expect.closeTo(celsius, 6) as number,
      beyondTable: false,
      warmer: false,
    });
    expect(massFraction(glycol, byVolume / 100)).toBeCloseTo(byMass / 100, 9);
    expect(volumeFraction(glycol, byMass / 100)).toBeCloseTo(byVolume / 100, 9);
  });
  it('is about −37 °C for ethylene and −34 °C for propylene, half and half by volume', () => {
    expect(freezePoint('ethylene', 0.5).celsius).toBeCloseTo(-37.2, 1);
    expect(freezePoint('propylene', 0.5).celsius).toBeCloseTo(-33.7, 1);
  });
  it('goes there and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('ethylene' as const, 'propylene' as const),
        fc.double({ min: 0, max: 0.578, noNaN: true }),
        (glycol, share) => {
          expect(shareForFreezePoint(glycol, freezePoint(glycol, share).celsius)).toBeCloseTo(share, 6);
          expect(volumeFraction(glycol, massFraction(glycol, share))).toBeCloseTo(share, 9);
        },
      ),
    );
  });
  it('falls all the way to the end of the table', () => {
    for (const glycol of ['ethylene', 'propylene'] as const)
      for (let percent = 1; percent <= 57; percent += 1)
        expect(freezePoint(glycol, percent / 100).celsius).toBeLessThan(
          freezePoint(glycol, (percent - 1) / 100).celsius,
        );
  });
  it('says beyond the table that it protects further still, and warmer only near pure', () => {
    expect(freezePoint('ethylene', 0.65)).toEqual({ celsius: -48.3, beyondTable: true, warmer: false });
    expect(freezeWords(freezePoint('ethylene', 0.65))).toBe('below −48 °C, beyond the table');
    expect(freezePoint('ethylene', 0.897)).toEqual({
      celsius: expect.closeTo(-29.8, 6) as number,
      beyondTable: true,
      warmer: true,
    });
    expect(freezeWords(freezePoint('ethylene', 0.95))).toBe('−19 °C: too strong, it freezes warmer again');
    expect(freezeWords(freezePoint('propylene', 0.7))).toBe('below −51 °C, beyond the table');
    expect(freezeWords(freezePoint('ethylene', 0.5))).toBe('−37 °C');
  });
  it('refuses what is no share', () => {
    expect(() => freezePoint('ethylene', 1.2)).toThrow('from 0 to 1');
    expect(() => shareForFreezePoint('ethylene', -60)).toThrow('Expected 0 to -48.3');
  });
});

describe('mix', () => {
  it('worked: 7.4 L at 50 %, 0.9 L out, 0.5 L back, 0.4 L of water', () => {
    // (7.0 L × 0.5) / 7.4 L
    const after = mix(
      { volume: 7.4, concentration: 0.5 },
      { drained: 0.9, returned: 0.5, added: 0.4, addedConcentration: 0 },
    );
    expect(after.volume).toBeCloseTo(7.4);
    expect(after.concentration).toBeCloseTo(0.472973, 6);
  });
  it('creates and loses nothing', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    const litres = fc.double({ min: 0, max: 10, noNaN: true });
    fc.assert(
      fc.property(
        litres,
        share,
        share,
        share,
        litres,
        share,
        (volume, concentration, out, back, added, addedConcentration) => {
          const drained = volume * out;
          const returned = drained * back;
          const after = mix({ volume, concentration }, { drained, returned, added, addedConcentration });
          expect(after.volume + drained - returned).toBeCloseTo(volume + added, 9);
          expect(after.volume * after.concentration + (drained - returned) * concentration).toBeCloseTo(
            volume * concentration + added * addedConcentration,
            9,
          );
        },
      ),
      { numRuns: 1000 },
    );
  });
  it.each([
    [{ drained: -1, returned: 0, added: 0, addedConcentration: 0 }, 'zero litres or more'],
    [{ drained: 9, returned: 0, added: 0, addedConcentration: 0 }, 'at most 5 L drained'],
    [{ drained: 1, returned: 2, added: 0, addedConcentration: 0 }, 'at most 1 L returned'],
    [{ drained: 0, returned: 0, added: 1, addedConcentration: 50 }, 'from 0 to 1'],
  ])('refuses %o', (change, message) => {
    expect(() => mix({ volume: 5, concentration: 0.5 }, change)).toThrow(message);
  });
});

describe('coolantAccount', () => {
  const entry = (
    kind: 'caught' | 'returned' | 'added' | 'discarded',
    litres: number,
    concentration: number | null = null,
  ) => ({ kind, litres, concentration });
  it('is square when what came out went back or away and was topped up', () => {
    const account = coolantAccount([
      entry('caught', 0.9),
      entry('returned', 0.8),
      entry('discarded', 0.1),
      entry('added', 0.1, 0.5),
    ]);
    expect(account).toMatchObject({ addedConcentration: 0.5 });
    expect(account.net).toBeCloseTo(0);
    expect(account.inTray).toBeCloseTo(0);
    expect(coolantQuestions(account)).toEqual([]);
  });
  it.each([
    [[entry('caught', 0.7)], 'still in the tray'],
    [[entry('caught', 0.7), entry('discarded', 0.7)], 'less coolant went back'],
    [[entry('caught', 0.2), entry('returned', 0.2), entry('added', 1, 0.5)], 'more coolant went in'],
  ])('asks about what is not', (entries, question) => {
    expect(coolantQuestions(coolantAccount(entries)).join()).toContain(question);
  });
});
