import { describe, expect, it } from 'vitest';
import { canBeAsked, expectedOf, type Offer, offeredTotal, offersFor, orderText, wayPrices } from './index.ts';

const offer = (more: Partial<Offer> = {}): Offer => ({
  partNumber: 'NP-25-1107',
  name: 'Body gasket',
  kind: 'new',
  priceMinor: 640,
  currency: 'cr',
  depositMinor: 0,
  inStock: 3,
  expected: '2026-05-15',
  ...more,
});

describe('offers of a part', () => {
  it('are found however its number is spelt, the soonest first, then the cheaper, those without a day last', () => {
    const all = [
      offer({ expected: null, priceMinor: 1 }),
      offer({ expected: '2026-05-18', priceMinor: 100 }),
      offer({ priceMinor: 700 }),
      offer(),
      offer({ partNumber: 'OTHER' }),
    ];
    expect(offersFor(all, 'np 25 1107').map(({ expected, priceMinor }) => [expected, priceMinor])).toEqual([
      ['2026-05-15', 640],
      ['2026-05-15', 700],
      ['2026-05-18', 100],
      [null, 1],
    ]);
  });
  it('add up with the deposit on the old unit, and to nothing where a line is not on offer', () => {
    const unit = offer({ partNumber: 'U-1', kind: 'rebuilt', priceMinor: 21_000, depositMinor: 8000 });
    const line = (partNumber: string, kind: 'new' | 'rebuilt', quantity: number) => ({ partNumber, kind, quantity });
    expect(offeredTotal([offer(), unit], [line('NP251107', 'new', 2), line('U-1', 'rebuilt', 1)])).toBe(1280 + 29_000);
    expect(offeredTotal([unit], [line('U-1', 'new', 1)])).toBeNull();
  });
});

describe('the price of a way', () => {
  const way = (option: 'replace' | 'replace-used' | 'clean-bench', units = 1) => ({
    way: option,
    option,
    partNumber: 'U-1',
    units,
  });
  it('is that of the kind it fits, for all its units, the deposit left out, with the days until it is here', () => {
    const offers = [
      offer({ partNumber: 'u 1', priceMinor: 30_000, expected: '2026-05-18', depositMinor: 9000 }),
      offer({ partNumber: 'U-1', kind: 'used', priceMinor: 8000, expected: null }),
    ];
    const prices = wayPrices([way('replace', 2), way('replace-used'), way('clean-bench')], offers, 'cr', '2026-05-13');
    expect(prices.map(({ way: id, partsMinor, daysOff }) => [id, partsMinor, daysOff])).toEqual([
      ['replace', 60_000, 5],
      ['replace-used', 8000, null],
    ]);
    expect(canBeAsked('replace')).toBe(true);
    expect(canBeAsked('clean-bench')).toBe(false);
  });
  it('is none in another currency, and no day in the past', () => {
    const away = offer({ partNumber: 'U-1', currency: 'EUR' });
    expect(wayPrices([way('replace')], [away], 'cr', '2026-05-13')).toEqual([]);
    const late = offer({ partNumber: 'U-1', expected: '2026-05-01' });
    expect(wayPrices([way('replace')], [late], 'cr', '2026-05-13')[0]?.daysOff).toBe(0);
  });
});

describe('an order', () => {
  const line = { partNumber: 'U-1', kind: 'new' as const, quantity: 1 };
  const taken = (...days: (string | null)[]) => ({
    orderId: 'o',
    totalMinor: 0,
    currency: 'cr',
    deliveries: days.map((expected) => ({ expected, lines: [line] })),
  });
  it('that comes in two deliveries is here with the second; a day that nobody knows is none', () => {
    expect(expectedOf(taken('2026-05-15', '2026-05-20'), 'u1')).toBe('2026-05-20');
    expect(expectedOf(taken('2026-05-15', null), 'U-1')).toBeNull();
    expect(expectedOf(taken('2026-05-15'), 'other')).toBeNull();
  });
  it('is written as text for whoever is called', () => {
    const text = orderText('Tern Quay Garage', { number: 231, plate: 'OT 551' }, [
      { ...line, name: 'Valve' },
      { ...line, partNumber: '', name: 'Clamp' },
    ]);
    expect(text.split('\n')[0]).toBe('Tern Quay Garage, order for job 231 (OT 551)');
    expect(text).toContain('1 × Valve, U-1, new\n1 × Clamp, no number, new');
  });
});
