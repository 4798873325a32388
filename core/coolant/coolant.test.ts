import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coolantAccount, coolantQuestions, freezePoint, mix, shareForFreezePoint, volumeFraction } from './index.ts';

describe('freezePoint', () => {
  it.each([
    ['ethylene', 0, 0],
    ['ethylene', 0.3, -14.1],
    ['ethylene', 0.5, -33.8],
    ['ethylene', 0.6, -48.3],
    ['propylene', 0.4, -21.1],
    ['propylene', 0.55, -41.6],
  ] as const)('%s at %d by mass is %d °C', (glycol, byMass, celsius) => {
    expect(freezePoint(glycol, volumeFraction(glycol, byMass)).celsius).toBeCloseTo(celsius, 6);
  });
  it('goes there and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('ethylene' as const, 'propylene' as const),
        fc.double({ min: 0, max: 0.56, noNaN: true }),
        (glycol, share) => {
          expect(shareForFreezePoint(glycol, freezePoint(glycol, share).celsius)).toBeCloseTo(share, 6);
        },
      ),
    );
  });
  it('says when it is beyond the table and refuses what is no share', () => {
    expect(freezePoint('ethylene', 0.9).beyondTable).toBe(true);
    expect(freezePoint('ethylene', 0.5).beyondTable).toBe(false);
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
