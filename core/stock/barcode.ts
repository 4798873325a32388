import { isDay, lastOfMonth } from '../days/index.ts';
/** What a scanner typed, read. */
export type Barcode =
  /** A trade item number (EAN-8, UPC-A, EAN-13, ITF-14) whose check digit holds. */
  | { readonly kind: 'gtin'; readonly gtin: string; readonly batch: string; readonly bestBefore: string | null }
  /** Anything else: taken as a part number. */
  | { readonly kind: 'number'; readonly number: string }
  | { readonly kind: 'wrong'; readonly message: string };

/** GS1 check digit: weights 3 and 1 from the right (GS1 General Specifications, 7.9). @param body digits without it */
export function gtinCheckDigit(body: string): number {
  const sum = [...body].reverse().reduce((total, digit, index) => total + Number(digit) * (index % 2 === 0 ? 3 : 1), 0);
  return (10 - (sum % 10)) % 10;
}

const LENGTHS = new Set([8, 12, 13, 14]);
/** Fixed-length application identifiers that are read: trade item number, best before, expiry. */
const FIXED: Readonly<Record<string, number>> = { '01': 14, '15': 6, '17': 6 };
/** Scanners send the group separator as this, and some as nothing at the end of a field. */
const SEPARATOR = '\u001D';

/**
 * Reads what a scanner typed: a plain number, or a GS1 element string with item (01), best before (15) or expiry (17) and
 * batch (10), with brackets as printed or with separators as sent. Longer numbers are brought to 14 digits.
 */
export function readBarcode(text: string): Barcode {
  const plain = text.trim().replace(/^\]C1|^\]d2/, '');
  if (plain === '') return { kind: 'wrong', message: 'Scan or type a number.' };
  if (/^\(\d{2}\)/.test(plain) || (/^01\d{14}/.test(plain) && plain.length > 16)) return readElements(plain);
  if (/^\d+$/.test(plain) && LENGTHS.has(plain.length)) return gtin(plain);
  return { kind: 'number', number: plain };
}

function gtin(digits: string, batch = '', bestBefore: string | null = null): Barcode {
  const expected = gtinCheckDigit(digits.slice(0, -1));
  if (expected !== Number(digits.at(-1)))
    return { kind: 'wrong', message: `The check digit should be ${expected}, got ${digits.at(-1)}: scan again.` };
  return { kind: 'gtin', gtin: digits.padStart(14, '0'), batch, bestBefore };
}

function readElements(text: string): Barcode {
  let rest = text.replace(/\((\d{2})\)/g, (_, ai: string, at: number) => (at === 0 ? ai : `${SEPARATOR}${ai}`));
  const found: Record<string, string> = {};
  while (rest !== '') {
    rest = rest.replace(new RegExp(`^${SEPARATOR}+`), '');
    const ai = rest.slice(0, 2);
    const fixed = FIXED[ai];
    const end = rest.indexOf(SEPARATOR);
    const value = fixed === undefined ? rest.slice(2, end < 0 ? undefined : end) : rest.slice(2, 2 + fixed);
    if (fixed !== undefined && !new RegExp(`^\\d{${fixed}}$`).test(value))
      return { kind: 'wrong', message: `Expected ${fixed} digits after (${ai}), got “${value}”.` };
    if (ai !== '10' && fixed === undefined)
      return { kind: 'wrong', message: `Field (${ai}) is not one we read: expected (01), (10), (15) or (17).` };
    found[ai] = value;
    rest = rest.slice(2 + value.length);
  }
  const item = found['01'];
  if (item === undefined) return { kind: 'wrong', message: 'There is no item number (01) in it.' };
  const date = found['15'] ?? found['17'];
  const day = date === undefined ? null : gs1Day(date);
  if (day === 'wrong') return { kind: 'wrong', message: `“${date}” is no date: expected year, month, day as YYMMDD.` };
  return gtin(item, found['10'] ?? '', day);
}

/** YYMMDD → ISO day; day 00 is the last of the month, as GS1 has it. */
function gs1Day(text: string): string | 'wrong' {
  const [year, month, day] = [2000 + Number(text.slice(0, 2)), Number(text.slice(2, 4)), Number(text.slice(4, 6))];
  if (month < 1 || month > 12) return 'wrong';
  if (day === 0) return lastOfMonth(year, month);
  const iso = `${year}-${text.slice(2, 4)}-${text.slice(4, 6)}`;
  return isDay(iso) ? iso : 'wrong';
}
