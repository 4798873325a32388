import { describe, expect, it } from 'vitest';
import type { StockInput, StockItem } from '../../../contract/index.ts';
import { itemText, readItem } from './itemText.ts';

const cleaner: StockItem = {
  id: 's',
  name: 'Cleaner',
  partNumber: 'C-1',
  kind: 'cleaner',
  place: 'cupboard',
  priceMinor: 890,
  detail: {
    barcode: '4006381333931',
    leadDays: 4,
    substance: 'throttle-cleaner',
    contentsG: 400,
    safety: { molarMass: 64, evaporates: 0.9, flashPointC: -18, lelPercent: 2.2, limitPpm: 400, source: 'sheet, 2026' },
  },
  left: 1,
  reserved: [],
  free: 1,
  reorder: { point: null, perMonth: 0, words: '' },
  version: 1,
  onOrder: [],
  batches: [],
};

const COUNTING = { currency: 'cr', measures: null };

describe('a stocked thing as typed', () => {
  it('comes back as it was, with what the form does not show', () => {
    const { name, partNumber, kind, place, priceMinor, detail } = cleaner;
    expect(readItem(itemText(cleaner, 'cr'), detail, COUNTING)).toEqual({
      row: { name, partNumber, kind, place, priceMinor, detail },
      unread: {},
    });
    const ring = { ...cleaner, kind: 'seal' as const, detail: { rubber: 'epdm' as const } };
    expect(readItem(itemText(ring, 'cr'), ring.detail, COUNTING).row).toMatchObject({ detail: { rubber: 'epdm' } });
  });
  it('forgets what was emptied, and says of each field what cannot be read', () => {
    const text = { ...itemText(cleaner, 'cr'), barcode: '', molar: '', leadDays: 'soon', price: 'dear' };
    const { row, unread } = readItem(text, cleaner.detail, COUNTING);
    const { detail } = row as StockInput;
    expect([detail.barcode, detail.safety]).toEqual([undefined, undefined]);
    expect(unread).toEqual({
      'detail.leadDays': expect.stringContaining('got “soon”') as string,
      priceMinor: 'Expected an amount in cr, such as 80.00; got “dear”.',
    });
  });
  it('begins with the number that was scanned', () => {
    expect(itemText(null, 'cr', 'X-9')).toMatchObject({ partNumber: 'X-9', kind: 'part', price: '' });
  });
});
