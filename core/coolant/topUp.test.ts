import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  compatible,
  coolantAccount,
  type CoolantEntry,
  expectedLoss,
  freezePoint,
  type Inhibitor,
  INHIBITORS,
  lossQuestion,
  mix,
  READY_MIX_SHARE,
  shareFromRefractometer,
  topUp,
} from './index.ts';

describe('topUp', () => {
  it('worked: 7.0 L at 50 % to 7.4 L at 50 %', () => {
    const ways = topUp({ volume: 7, concentration: 0.5 }, { volume: 7.4, concentration: 0.5 });
    expect(ways.map(({ way }) => way)).toEqual(['ready-mix', 'concentrate and water']);
    expect(ways[0]?.readyMix).toBeCloseTo(0.4, 9);
    expect(ways[1]).toMatchObject({ drain: 0 });
    expect(ways[1]?.concentrate).toBeCloseTo(0.2, 9);
    expect(ways[1]?.water).toBeCloseTo(0.2, 9);
  });
  it('worked: 7.4 L at 30 % to 50 %: 2.114 L must go first', () => {
    // k·0.7 = 3.7 → k = 5.2857
    const [way] = topUp({ volume: 7.4, concentration: 0.3 }, { volume: 7.4, concentration: 0.5 });
    expect(way?.way).toBe('drain first');
    expect(way?.drain).toBeCloseTo(7.4 - 3.7 / 0.7, 9);
    expect(way?.concentrate).toBeCloseTo(way!.drain, 9);
    expect(way?.water).toBeCloseTo(0, 9);
    expect(way?.words).toBe('Let out 2.11 L first, then 2.11 L of concentrate.');
  });
  it('thins what is too strong, and takes water alone for a small loss', () => {
    const [strong] = topUp({ volume: 5, concentration: 0.8 }, { volume: 7, concentration: 0.5 });
    expect(strong?.drain).toBeCloseTo(5 - 3.5 / 0.8, 9);
    const small = topUp({ volume: 7.2, concentration: 0.5 }, { volume: 7.4, concentration: 0.49 });
    expect(small.map(({ way }) => way)).toContain('water');
  });
  it('leaves alone what is right, and lets out what is too much', () => {
    expect(topUp({ volume: 7.4, concentration: 0.51 }, { volume: 7.4, concentration: 0.5 })[0]?.way).toBe('nothing');
    const [over] = topUp({ volume: 8, concentration: 0.5 }, { volume: 7.4, concentration: 0.5 });
    expect(over?.way).toBe('drain first');
    expect(over?.drain).toBeCloseTo(0.6, 9);
  });
  it('reaches level and share from anywhere, adds nothing negative and creates nothing', () => {
    const litres = fc.double({ min: 0, max: 12, noNaN: true });
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(litres, share, fc.double({ min: 0.5, max: 12, noNaN: true }), share, (volume, now, full, wanted) => {
        const ways = topUp({ volume, concentration: now }, { volume: full, concentration: wanted });
        for (const way of ways) {
          for (const amount of [way.drain, way.concentrate, way.readyMix, way.water])
            expect(amount).toBeGreaterThanOrEqual(-1e-9);
          const antifreeze = (volume - way.drain) * now + way.concentrate + way.readyMix * READY_MIX_SHARE;
          expect(way.after.volume * way.after.concentration).toBeCloseTo(antifreeze, 6);
          expect(Math.abs(way.after.concentration - wanted)).toBeLessThanOrEqual(0.02 + 1e-6);
          expect(Math.abs(way.after.volume - full)).toBeLessThanOrEqual(0.02 + 1e-6);
        }
        const exact = ways.at(-1)!;
        if (exact.way !== 'nothing') expect(exact.after.concentration).toBeCloseTo(wanted, 6);
      }),
      { numRuns: 2000 },
    );
  });
  it.each([
    [{ volume: -1, concentration: 0.5 }, { volume: 5, concentration: 0.5 }, 'zero litres or more'],
    [{ volume: 1, concentration: 50 }, { volume: 5, concentration: 0.5 }, 'from 0 to 1'],
    [{ volume: 1, concentration: 0.5 }, { volume: 0, concentration: 0.5 }, 'more than 0 L'],
  ])('refuses %o to %o', (state, target, message) => {
    expect(() => topUp(state, target)).toThrow(message);
  });
});

describe('the law of the book', () => {
  it('conserves volume and antifreeze over 10,000 random sequences', () => {
    const step = fc.record({
      kind: fc.constantFrom('caught' as const, 'returned' as const, 'added' as const, 'discarded' as const),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
      strength: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const capacity = 7.4;
        let system = { volume: capacity, concentration: 0.5 };
        let tray = { volume: 0, antifreeze: 0 };
        let away = 0;
        let awayAntifreeze = 0;
        let added = 0;
        let addedAntifreeze = 0;
        const book: CoolantEntry[] = [];
        for (const { kind, share, strength } of steps) {
          if (kind === 'caught') {
            const litres = system.volume * share;
            tray = { volume: tray.volume + litres, antifreeze: tray.antifreeze + litres * system.concentration };
            system = mix(system, { drained: litres, returned: 0, added: 0, addedConcentration: 0 });
            book.push({ kind, litres, concentration: null });
          } else if (kind === 'added') {
            const litres = (capacity - system.volume) * share;
            if (litres <= 0) continue;
            system = mix(system, { drained: 0, returned: 0, added: litres, addedConcentration: strength });
            added += litres;
            addedAntifreeze += litres * strength;
            book.push({ kind, litres, concentration: strength });
          } else {
            const litres = Math.min(tray.volume * share, capacity - system.volume);
            if (litres <= 0) continue;
            const strengthInTray = tray.antifreeze / tray.volume;
            tray = { volume: tray.volume - litres, antifreeze: tray.antifreeze - litres * strengthInTray };
            if (kind === 'returned')
              system = mix(system, { drained: 0, returned: 0, added: litres, addedConcentration: strengthInTray });
            else {
              away += litres;
              awayAntifreeze += litres * strengthInTray;
            }
            book.push({ kind, litres, concentration: null });
          }
        }
        const account = coolantAccount(book);
        expect(system.volume + tray.volume + away).toBeCloseTo(capacity + added, 7);
        expect(system.volume * system.concentration + tray.antifreeze + awayAntifreeze).toBeCloseTo(
          capacity * 0.5 + addedAntifreeze,
          7,
        );
        expect(account.inTray).toBeCloseTo(tray.volume, 7);
        expect(account.net).toBeCloseTo(system.volume - capacity, 7);
      }),
      { numRuns: 10_000 },
    );
  });
});

describe('inhibitors', () => {
  const families = Object.keys(INHIBITORS) as Inhibitor[];
  it('are the same both ways round, and always with a word of why', () => {
    for (const a of families)
      for (const b of families) {
        expect(compatible(a, b).verdict).toBe(compatible(b, a).verdict);
        expect(compatible(a, b).words.length).toBeGreaterThan(5);
        expect(compatible(a, b).verdict === 'same').toBe(a === b);
      }
  });
  it.each([
    ['IAT', 'OAT', 'do not mix'],
    ['P-OAT', 'HOAT', 'do not mix'],
    ['OAT', 'Si-OAT', 'mixes, lasts less'],
  ] as const)('%s with %s: %s', (a, b, verdict) => {
    expect(compatible(a, b).verdict).toBe(verdict);
  });
});

describe('what should have come out', () => {
  const hose = (litres: number | null) => ({ name: 'Coolant hose', litres });
  it('adds up the hoses, and says of which it assumed', () => {
    expect(expectedLoss([hose(0.5), hose(null)])).toMatchObject({ middle: 0.75, assumed: ['Coolant hose'] });
    expect(expectedLoss([]).middle).toBe(0);
  });
  it.each([
    [0.7, [0.4, 0.3], null],
    [0, [0.4, 0.3], 'how much was caught?'],
    [0.2, [0.4, 0.3], 'spilled, or low before?'],
    [1.4, [0.4, 0.3], 'another hose'],
    [0.3, [], 'no hose came off'],
    [0, [], null],
  ])('%d L from %j', (caught, hoses, words) => {
    const question = lossQuestion(caught, expectedLoss(hoses.map(hose)));
    if (words === null) expect(question).toBeNull();
    else expect(question).toContain(words);
  });
  it('reads a refractometer back to a share, on the right scale only', () => {
    expect(freezePoint('ethylene', shareFromRefractometer('ethylene', 'ethylene', -37)).celsius).toBeCloseTo(-37, 6);
    expect(() => shareFromRefractometer('propylene', 'ethylene', -30)).toThrow('read the propylene scale');
    expect(() => shareFromRefractometer('ethylene', 'ethylene', -80)).toThrow('Expected 0 to');
  });
});
