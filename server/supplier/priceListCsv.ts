import Papa from 'papaparse';
import { FIELDS, readFigure, readMoney } from '../../core/quantity/index.ts';
import { plainNumber } from '../../core/stock/index.ts';
import { OFFER_KINDS, type OfferKind } from '../../core/supplier/index.ts';

/** Columns of a price list; only the first and `price` must be there. */
export const PRICE_COLUMNS = ['part number', 'name', 'kind', 'price', 'deposit', 'days'] as const;
type Column = (typeof PRICE_COLUMNS)[number];

/** A line of a price list. */
export interface PriceLine {
  readonly partNumber: string;
  readonly name: string;
  readonly kind: OfferKind;
  readonly priceMinor: number;
  readonly depositMinor: number;
  /** Until it is here once ordered; null where the list does not say. */
  readonly days: number | null;
}
/** What came of reading a list: good lines, and bad ones by line with why. */
export interface PriceReading {
  readonly lines: readonly PriceLine[];
  readonly problems: readonly { readonly line: number; readonly message: string }[];
}

/** Reads a price list (RFC 4180, comma or semicolon). Of a part that is in it twice in one kind the second is a mistake. */
export function readPriceList(text: string, currency: string): PriceReading {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  const heads = parsed.meta.fields ?? [];
  const missing = (['part number', 'price'] as const).find((head) => !heads.includes(head));
  if (missing !== undefined)
    return {
      lines: [],
      problems: [{ line: 1, message: `Expected a head row with “${missing}”. Known: ${PRICE_COLUMNS.join(', ')}.` }],
    };
  const lines: PriceLine[] = [];
  const problems: { line: number; message: string }[] = [];
  const seen = new Set<string>();
  for (const [index, cells] of parsed.data.entries()) {
    const broken = parsed.errors.find(({ row }) => row === index);
    const read = broken === undefined ? readLine(cells, currency) : `${broken.message}.`;
    const key = typeof read === 'string' ? '' : `${plainNumber(read.partNumber)} ${read.kind}`;
    if (typeof read === 'string') problems.push({ line: index + 2, message: read });
    else if (seen.has(key))
      problems.push({ line: index + 2, message: `${read.partNumber}, ${read.kind}, is in the list twice.` });
    else lines.push(read);
    seen.add(key);
  }
  return { lines, problems };
}

function readLine(cells: Readonly<Record<string, string>>, currency: string): PriceLine | string {
  const cell = (name: Column): string => (cells[name] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  const partNumber = cell('part number');
  if (plainNumber(partNumber) === '') return '“part number” is empty.';
  if (partNumber.length > 120 || cell('name').length > 300) return 'That is longer than any part is called.';
  const kind = cell('kind').toLowerCase() || 'new';
  if (!(kind in OFFER_KINDS)) return `“${cell('kind')}” is no kind: expected ${Object.keys(OFFER_KINDS).join(', ')}.`;
  const price = readMoney(cell('price'), currency);
  if (!price.ok) return `“${cell('price')}” is no price. ${price.message}`;
  const deposit = cell('deposit') === '' ? null : readMoney(cell('deposit'), currency);
  if (deposit?.ok === false) return `“${cell('deposit')}” is no deposit. ${deposit.message}`;
  const days = cell('days') === '' ? null : readFigure(cell('days'), FIELDS.count);
  if (days !== null && !(days.ok && Number.isInteger(days.value) && days.value >= 0 && days.value <= 365))
    return `“${cell('days')}” is no number of days: expected 0 to 365.`;
  return {
    partNumber,
    name: cell('name'),
    kind: kind as OfferKind,
    priceMinor: price.minor,
    depositMinor: deposit?.minor ?? 0,
    days: days === null || !days.ok ? null : days.value,
  };
}
