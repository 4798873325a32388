import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  changeOf,
  type CrossReference,
  gtinCheckDigit,
  type MovementKind,
  MOVEMENTS,
  negativeWords,
  pickOrder,
  plainNumber,
  readBarcode,
  reorderPoint,
  shelfState,
  standIns,
  takeFrom,
} from './index.ts';

describe('the count', () => {
  it.each([
    ['counted', 3, 5, { change: -2 }],
    ['counted', 0, -2, { change: 2 }],
    ['received', 6, 1, { change: 6 }],
    ['used', 2, 5, { change: -2 }],
    ['spoilt', 1, 0, { change: -1 }],
    ['given-back', 1, 0, { change: 1 }],
  ] as const)('%s %d with %d in the book', (kind, figure, left, change) => {
    expect(changeOf(kind, figure, left)).toEqual(change);
  });
  it.each([
    ['counted', -1, '0 or more'],
    ['received', 0, '1 or more'],
    ['used', 1.5, 'whole number'],
  ] as const)('refuses %s %d', (kind, figure, message) => {
    expect(changeOf(kind, figure, 3)).toMatchObject({ problem: expect.stringContaining(message) as string });
  });
  it('is conserved over 10,000 random sequences, and says when it is below zero', () => {
    const step = fc.record({
      kind: fc.constantFrom(...(Object.keys(MOVEMENTS) as MovementKind[]), 'by-job' as const),
      figure: fc.integer({ min: 1, max: 20 }),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 20 }), (steps) => {
        // What the book adds up to, against a shelf on which things are really put and taken.
        let booked = 0;
        let usedByJobs = 0;
        let shelf = 0;
        for (const { kind, figure } of steps) {
          if (kind === 'by-job') {
            usedByJobs += figure;
            shelf -= figure;
            continue;
          }
          const change = changeOf(kind, figure, booked - usedByJobs);
          if ('problem' in change) throw new Error(change.problem);
          booked += change.change;
          if (kind === 'counted') shelf = figure;
          else shelf += kind === 'received' || kind === 'given-back' ? figure : -figure;
        }
        expect(booked - usedByJobs).toBe(shelf);
        expect(negativeWords(shelf) !== null).toBe(shelf < 0);
      }),
      { numRuns: 10_000 },
    );
  });
});

describe('reorderPoint', () => {
  const now = '2026-11-25T10:00:00.000Z';
  const used = (daysAgo: number, quantity = 1) => ({
    at: new Date(Date.parse(now) - daysAgo * 86_400_000).toISOString(),
    quantity,
  });
  it('worked: 12 used in 180 days and 6 days to get', () => {
    const found = reorderPoint(
      Array.from({ length: 12 }, (_, index) => used(index * 14)),
      now,
      6,
    );
    // 0.4 + 1.645·√0.4 = 1.44 → 2
    expect(found.point).toBe(2);
    expect(found.perMonth).toBeCloseTo(2, 9);
    expect(found.words).toContain('12 used in 180 days; 0.4 in the 6 days');
  });
  it('looks back no further, and says when there is nothing to go by', () => {
    expect(reorderPoint([used(400, 50)], now, 6)).toMatchObject({ point: null, perMonth: 0 });
    expect(() => reorderPoint([], now, -1)).toThrow('0 days or more');
  });
  it('never falls as use or the wait grows', () => {
    fc.assert(
      fc.property(fc.nat(60), fc.nat(60), fc.integer({ min: 0, max: 60 }), (few, more, days) => {
        const point = (count: number, lead: number) =>
          reorderPoint(count === 0 ? [] : [used(3, count)], now, lead).point ?? 0;
        expect(point(few + more, days)).toBeGreaterThanOrEqual(point(few, days));
        expect(point(few, days + 5)).toBeGreaterThanOrEqual(point(few, days));
      }),
    );
  });
});

describe('standIns', () => {
  const says = (a: string, b: string, fit: CrossReference['fit'], note = ''): CrossReference => ({
    a,
    b,
    fit,
    note,
    source: null,
  });
  const book = [
    says('NP-25-1107', 'TQ-1107', 'fits'),
    says('TQ-1107', 'OT-1107', 'fits-but', '0.5 mm thicker'),
    says('OT-1107', 'XX-1', 'fits'),
    says('np 25 1107', 'XX-2', 'no', 'two holes'),
    says('XX-1', 'XX-2', 'fits'),
  ];
  it('follows what fits, carries a “but” along, and stops at a no', () => {
    expect(standIns(book, 'NP251107').map(({ number, fit, through, notes }) => [number, fit, through, notes])).toEqual([
      ['TQ-1107', 'fits', [], []],
      ['OT-1107', 'fits-but', ['TQ-1107'], ['0.5 mm thicker']],
      ['XX-1', 'fits-but', ['TQ-1107', 'OT-1107'], ['0.5 mm thicker']],
      ['XX-2', 'no', [], ['two holes']],
    ]);
  });
  it('holds both ways round and does not go in circles', () => {
    expect(standIns(book, 'tq-1107').map(({ number }) => number)).toContain('NP-25-1107');
    expect(standIns([says('A', 'B', 'fits'), says('B', 'A', 'fits')], 'A')).toHaveLength(1);
    expect(standIns(book, 'nothing')).toEqual([]);
    expect(plainNumber('np-25 1107')).toBe('NP251107');
  });
});

describe('readBarcode', () => {
  it('worked: the check digit of 400638133393 is 1', () => {
    expect(gtinCheckDigit('400638133393')).toBe(1);
    expect(readBarcode('4006381333931')).toEqual({
      kind: 'gtin',
      gtin: '04006381333931',
      batch: '',
      bestBefore: null,
    });
  });
  it.each([
    ['(01)04006381333931(17)270630(10)L 42', 'L 42', '2027-06-30'],
    ['0104006381333931172706301042\u001D15270228', '42', '2027-02-28'],
    [']C101040063813339311727020010L42', 'L42', '2027-02-28'],
  ])('reads %j', (text, batch, bestBefore) => {
    expect(readBarcode(text)).toEqual({ kind: 'gtin', gtin: '04006381333931', batch, bestBefore });
  });
  it('takes anything else for a part number', () => {
    expect(readBarcode(' NP-25-1107 ')).toEqual({ kind: 'number', number: 'NP-25-1107' });
    expect(readBarcode('12345')).toEqual({ kind: 'number', number: '12345' });
  });
  it.each([
    ['4006381333932', 'check digit should be 1'],
    ['', 'Scan or type'],
    ['(01)04006381333931(17)271331', 'is no date'],
    ['(01)0400638', 'Expected 14 digits'],
    ['(01)04006381333931(99)x', 'not one we read'],
    ['(17)270630(10)A', 'no item number'],
  ])('refuses %j', (text, message) => {
    expect(readBarcode(text)).toMatchObject({ kind: 'wrong', message: expect.stringContaining(message) as string });
  });
  it('accepts every number with its own check digit and refuses it with another', () => {
    fc.assert(
      fc.property(
        fc.array(fc.nat(9), { minLength: 12, maxLength: 12 }),
        fc.integer({ min: 1, max: 9 }),
        (digits, by) => {
          const body = digits.join('');
          const check = gtinCheckDigit(body);
          expect(readBarcode(`${body}${check}`).kind).toBe('gtin');
          expect(readBarcode(`${body}${(check + by) % 10}`).kind).toBe('wrong');
        },
      ),
    );
  });
});

describe('the shelf', () => {
  const batch = (name: string, bestBefore: string | null, quantity: number) => ({ batch: name, bestBefore, quantity });
  it('says what is past and what soon will be', () => {
    const at = (bestBefore: string | null) => shelfState({ bestBefore }, '2026-11-25');
    expect([at(null), at('2026-11-24'), at('2026-11-25'), at('2027-01-24'), at('2027-01-25')]).toEqual([
      'keeps',
      'past',
      'soon',
      'soon',
      'keeps',
    ]);
  });
  it('takes what goes off first', () => {
    const batches = [batch('C', null, 5), batch('B', '2027-03-01', 2), batch('A', '2026-12-01', 3)];
    expect(pickOrder(batches).map((each) => each.batch)).toEqual(['A', 'B', 'C']);
    expect(takeFrom(batches, 4)).toEqual({
      left: [batch('A', '2026-12-01', 0), batch('B', '2027-03-01', 1), batch('C', null, 5)],
      short: 0,
    });
    expect(takeFrom(batches, 12).short).toBe(2);
  });
});
