import Papa from 'papaparse';
import { type StockInput, stockInput, type StockItem } from '../../contract/index.ts';
import { FIELDS, readFigure, readMoney, typedMoney } from '../../core/quantity/index.ts';
import { samePart } from '../../core/stock/index.ts';

/** Columns of the stock as a table; a file may leave out all but name and left. */
const COLUMNS = ['name', 'part number', 'kind', 'place', 'left', 'price', 'barcode', 'lead days', 'supplier'] as const;
const KINDS: readonly string[] = ['gasket', 'seal', 'part', 'cleaner', 'coolant', 'screw'];

/** The stock as comma-separated values (RFC 4180), with a head row. */
export const stockToCsv = (items: readonly StockItem[], currency: string): string =>
  `${Papa.unparse(
    {
      fields: [...COLUMNS],
      data: items.map(({ name, partNumber, kind, place, left, priceMinor, detail }) => [
        name,
        partNumber,
        kind,
        place,
        left,
        typedMoney(priceMinor, currency),
        detail.barcode ?? '',
        detail.leadDays ?? '',
        detail.supplier ?? '',
      ]),
    },
    // A cell that begins like a formula is kept from being one in a spreadsheet.
    { newline: '\r\n', escapeFormulae: true },
  )}\r\n`;

/** One good row: what it describes, and how many lie there. */
export interface CsvRow {
  readonly id: string | null;
  readonly input: StockInput;
  readonly left: number | null;
}
/** What came of reading a file: good rows, and bad ones by line with why. */
export interface CsvReading {
  readonly rows: readonly CsvRow[];
  readonly problems: readonly { readonly line: number; readonly message: string }[];
}

/** Reads a table of stock. A row with a known part number is that thing; others are new. Nothing is written here. */
export function readStockCsv(text: string, known: readonly StockItem[], currency: string): CsvReading {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  const heads = parsed.meta.fields ?? [];
  if (!heads.includes('name'))
    return { rows: [], problems: [{ line: 1, message: 'Expected a head row with at least “name”.' }] };
  const strange = heads.find((head) => !COLUMNS.some((column) => column === head));
  if (strange !== undefined)
    return {
      rows: [],
      problems: [{ line: 1, message: `Column “${strange}” is not known. Known: ${COLUMNS.join(', ')}.` }],
    };
  const rows: CsvRow[] = [];
  const problems: { line: number; message: string }[] = [];
  for (const [index, cells] of parsed.data.entries()) {
    const broken = parsed.errors.find(({ row }) => row === index);
    const read = broken === undefined ? readRow(cells, known, currency) : `${broken.message}.`;
    if (typeof read === 'string') problems.push({ line: index + 2, message: read });
    else rows.push(read);
  }
  return { rows, problems };
}

function readRow(
  cells: Readonly<Record<string, string>>,
  known: readonly StockItem[],
  currency: string,
): CsvRow | string {
  const cell = (name: (typeof COLUMNS)[number]): string => (cells[name] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  const partNumber = cell('part number');
  const own = known.find((item) => samePart(item.partNumber, partNumber));
  const name = cell('name') || (own?.name ?? '');
  if (name === '') return 'What is it called? “name” is empty.';
  const kind = cell('kind') || (own?.kind ?? 'part');
  if (!KINDS.includes(kind)) return `“${kind}” is no kind: expected ${KINDS.join(', ')}.`;
  const left = whole(cell('left'));
  if (left === 'wrong') return `“${cell('left')}” is no count: expected a whole number, 0 or more.`;
  const price = cell('price') === '' ? null : readMoney(cell('price'), currency);
  if (price?.ok === false) return `“${cell('price')}” is no price. ${price.message}`;
  const lead = whole(cell('lead days'));
  if (lead === 'wrong' || (lead !== null && lead > 365))
    return `“${cell('lead days')}” is no number of days: expected 0 to 365.`;
  const barcode = cell('barcode') || own?.detail.barcode;
  const supplier = cell('supplier') || own?.detail.supplier;
  // Held to the same bounds as what is typed.
  const input = stockInput.safeParse({
    name,
    partNumber: own?.partNumber ?? partNumber,
    kind: kind as StockInput['kind'],
    place: cell('place') || (own?.place ?? ''),
    priceMinor: price?.minor ?? own?.priceMinor ?? 0,
    detail: {
      ...own?.detail,
      ...(barcode === undefined ? {} : { barcode }),
      ...(supplier === undefined ? {} : { supplier }),
      ...(lead === null ? {} : { leadDays: lead }),
    },
  });
  if (input.success) return { id: own?.id ?? null, left, input: input.data };
  const [issue] = input.error.issues;
  return `“${issue?.path.join('.') ?? ''}” is not taken. ${issue?.message ?? ''}`;
}

function whole(text: string): number | null | 'wrong' {
  if (text === '') return null;
  const read = readFigure(text, FIELDS.count);
  return read.ok && Number.isInteger(read.value) && read.value >= 0 && read.value < 1_000_000 ? read.value : 'wrong';
}
