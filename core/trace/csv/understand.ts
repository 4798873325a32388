import { headingOf, type Heading, isTimeHeading, splitHeading } from './columns.ts';
import { type DecimalSign, numberOf, type TimeForm, timeFormOf } from './numbers.ts';

/** What was understood of a file before it is read. */
export interface CsvLayout {
  readonly separator: string;
  readonly decimal: DecimalSign;
  /** Lines before the first of values, the headings among them. */
  readonly skip: number;
  readonly shape: 'wide' | 'long';
  readonly time: { readonly column: number; readonly form: TimeForm };
  /** Columns of values, wide; empty in a long file. */
  readonly columns: readonly (Heading & { readonly column: number })[];
  /** Where the name, the value and the unit stand, long. */
  readonly long: { readonly name: number; readonly value: number; readonly unit: number | null } | null;
  /** A vehicle’s number that stands in the lines before; empty where none does. */
  readonly vin: string;
  /** The first rows of values as they stand, for the preview. */
  readonly first: readonly (readonly string[])[];
}

/** Why a file cannot be read, in words. */
export interface CsvRefusal {
  readonly ok: false;
  readonly message: string;
}

const SEPARATORS = [';', '\t', ',', '|'] as const;
/** Lines that are looked at. */
const LOOK = 60;
const VIN = /\b[A-HJ-NPR-Z0-9]{17}\b/;

/** The cells of a line; quotes hold what they hold. */
export function cellsOf(line: string, separator: string): string[] {
  if (!line.includes('"')) return line.split(separator);
  const cells: string[] = [];
  let [cell, quoted] = ['', false];
  for (let at = 0; at < line.length; at += 1) {
    const sign = line[at]!;
    if (quoted && sign === '"' && line[at + 1] === '"') {
      cell += '"';
      at += 1;
    } else if (sign === '"') quoted = !quoted;
    else if (sign === separator && !quoted) {
      cells.push(cell);
      cell = '';
    } else cell += sign;
  }
  return [...cells, cell];
}

/** The first lines of a text. */
function firstLines(text: string, count: number): string[] {
  const lines: string[] = [];
  for (let at = 0; lines.length < count && at < text.length;) {
    const end = text.indexOf('\n', at);
    lines.push(text.slice(at, end < 0 ? text.length : end).replace(/\r$/, ''));
    if (end < 0) break;
    at = end + 1;
  }
  return lines;
}

/** The sign that parts most lines into as many cells. */
function separatorOf(lines: readonly string[]): string | null {
  const scored = SEPARATORS.map((separator) => {
    const counts = new Map<number, number>();
    for (const line of lines) {
      const cells = cellsOf(line, separator).length;
      if (cells > 1) counts.set(cells, (counts.get(cells) ?? 0) + 1);
    }
    const [cells = 0, often = 0] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
    return { separator, score: often * 100 + Math.min(cells, 50) };
  });
  // Of two that do as well, the first: a comma inside cells parts them too.
  const best = scored.reduce((most, each) => (each.score > most.score ? each : most));
  return best.score >= 200 ? best.separator : null;
}

const looksNumeric = (cell: string, decimal: DecimalSign): boolean => !Number.isNaN(numberOf(cell, decimal));

/** Commas are decimals where cells hold one between digits and none holds a point. */
function decimalOf(rows: readonly (readonly string[])[], separator: string): DecimalSign {
  const cells = rows.flat().map((cell) => cell.trim());
  const commas = cells.filter((cell) => /^-?\d+,\d+$/.test(cell)).length;
  const points = cells.filter((cell) => /^-?\d+\.\d+$/.test(cell)).length;
  return separator === ',' && commas === 0 ? '.' : commas > points ? ',' : '.';
}

/**
 * Says how a file of live data is written: separator, decimal sign, headings with their units, the time, one row a
 * moment or one row a value. Nothing is read yet.
 */
export function understandCsv(text: string): CsvLayout | CsvRefusal {
  const refuse = (message: string): CsvRefusal => ({ ok: false, message });
  const lines = firstLines(text.replace(/^\uFEFF/, ''), LOOK);
  if (lines.every((line) => line.trim() === '')) return refuse('The file is empty.');
  const separator = separatorOf(lines);
  if (separator === null) return refuse('Expected columns parted by comma, semicolon, tab or bar; found none.');
  const rows = lines.map((line) => cellsOf(line, separator));
  const decimal = decimalOf(rows, separator);
  const first = rows.findIndex((row) => isRowOfValues(row, decimal));
  if (first < 0) return refuse('Expected rows of numbers below a heading; found none in the first lines.');
  const vin = VIN.exec(lines.slice(0, first).join(' '))?.[0] ?? '';
  const [upper, lower] = headings(rows, first, decimal);
  if (upper === null) return refuse('Expected a heading above the values: what is in which column is not known.');
  const values = rows.slice(first).filter((row) => isRowOfValues(row, decimal));
  const timeColumn = timeColumnOf(upper, lower, values, decimal);
  if (timeColumn === null)
    return refuse(
      'No column of times: expected one headed “time”, in seconds or as a clock. Without it no curve can be drawn.',
    );
  const shared = { separator, decimal, skip: first, time: timeColumn, vin, first: values.slice(0, 5) };
  const long = longColumns(upper, values, timeColumn.column, decimal);
  if (long !== null) return { ...shared, shape: 'long', columns: [], long };
  const columns = upper.flatMap((heading, column) =>
    column === timeColumn.column || heading.trim() === ''
      ? []
      : values.some((row) => looksNumeric(row[column] ?? '', decimal))
        ? [{ ...headingOf(heading, lower?.[column] ?? ''), column }]
        : [],
  );
  return columns.length === 0
    ? refuse('No column of numbers beside the time.')
    : { ...shared, shape: 'wide', columns, long: null };
}

/** A row of values has a number or a time in most of its cells that are not empty. */
function isRowOfValues(row: readonly string[], decimal: DecimalSign): boolean {
  const filled = row.filter((cell) => cell.trim() !== '');
  if (filled.length < 2) return false;
  const numeric = filled.filter((cell) => looksNumeric(cell, decimal) || timeFormOf(cell, '', decimal) !== null).length;
  // A row of a long file is a time, a name and a value.
  return numeric >= 2 && numeric >= filled.length / 2;
}

/** The heading above the values, and the one under it where there are two. */
function headings(
  rows: readonly (readonly string[])[],
  first: number,
  decimal: DecimalSign,
): [readonly string[] | null, readonly string[] | null] {
  const width = rows[first]?.length ?? 0;
  const like = (row: readonly string[] | undefined): row is readonly string[] =>
    row !== undefined &&
    row.length >= width - 1 &&
    row.some((cell) => /\p{L}|%/u.test(cell)) &&
    !isRowOfValues(row, decimal);
  const [near, far] = [rows[first - 1], rows[first - 2]];
  if (!like(near)) return [null, null];
  // Of two, the upper names; one of units alone says nothing of what is in it.
  const named = (row: readonly string[]): number =>
    row.filter((cell) => headingOf(cell).role !== null || isTimeHeading(cell)).length;
  return like(far) && named(far) >= named(near) && far.filter((cell) => cell.trim() !== '').length >= width / 2
    ? [far, near]
    : [near, null];
}

function timeColumnOf(
  upper: readonly string[],
  lower: readonly string[] | null,
  values: readonly (readonly string[])[],
  decimal: DecimalSign,
): CsvLayout['time'] | null {
  const unit = (column: number): string =>
    splitHeading(upper[column] ?? '').unit || (lower?.[column] ?? '').replace(/[[\]()]/g, '');
  const form = (column: number): TimeForm | null => {
    const cell = values.find((row) => (row[column] ?? '').trim() !== '')?.[column] ?? '';
    return timeFormOf(cell, unit(column), decimal);
  };
  const named = upper.findIndex((heading, column) => isTimeHeading(heading) && form(column) !== null);
  const column = named >= 0 ? named : upper.findIndex((_, each) => ['clock', 'date'].includes(form(each) ?? ''));
  const found = column < 0 ? null : form(column);
  return found === null ? null : { column, form: found };
}

/** One row a value: beside the time a column of words that repeat, and one of numbers. */
function longColumns(
  upper: readonly string[],
  values: readonly (readonly string[])[],
  time: number,
  decimal: DecimalSign,
): CsvLayout['long'] {
  const find = (pattern: RegExp): number =>
    upper.findIndex((heading, column) => column !== time && pattern.test(heading));
  const name = find(/^\W*(?:name|signal|channel|parameter|sensor|item|what|messwert|pid)\b/i);
  const value = find(/^\W*(?:value|reading|wert|valeur|valor)\b/i);
  if (name < 0 || value < 0) return null;
  const words = values.every((row) => !looksNumeric(row[name] ?? '', decimal));
  const unit = find(/^\W*(?:unit|units|einheit|unité)\b/i);
  return words ? { name, value, unit: unit < 0 ? null : unit } : null;
}
