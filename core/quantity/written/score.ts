import { type FieldName, FIELDS } from '../fields.ts';
import { readMoney } from '../money.ts';
import { readField } from '../parse.ts';

/** One written number of the table. */
export interface Written {
  readonly field: string;
  readonly text: string;
  readonly meant: string;
}

/** The rows of a table; see `TUNING` for its form. */
export function rowsOf(table: string): Written[] {
  let field = '';
  return table.split('\n').flatMap((line) => {
    if (line.startsWith('@')) field = line.slice(1).trim();
    const [text, meant] = line.split(' => ');
    return text === undefined || meant === undefined ? [] : [{ field, text, meant }];
  });
}

/** What the reader makes of a row, in the form of the table. */
export function readRow({ field, text }: Written): string {
  if (field.startsWith('money')) {
    const currency = field.slice(6);
    const read = readMoney(text, currency);
    const said = (minor: number): string =>
      `${minor / ({ cr: 100, JPY: 1, KWD: 1000 }[currency] ?? Number.NaN)} ${currency}`;
    if (read.ok) return said(read.minor);
    return read.choices === undefined ? 'no' : `ask ${read.choices.map(({ minor }) => said(minor)).join(' | ')}`;
  }
  const read = readField(text, FIELDS[field as FieldName]);
  const said = ({ quantity: { value, unit }, upTo, angleDeg }: Extract<typeof read, { ok: true }>): string =>
    `${value}${upTo === undefined ? '' : `..${upTo}`} ${unit}${angleDeg === undefined ? '' : ` + ${angleDeg} °`}`;
  if (read.ok) return said(read);
  return read.asks === undefined
    ? 'no'
    : `ask ${read.asks.choices.map(({ reading }) => said({ ok: true, ...reading })).join(' | ')}`;
}

/** How a table was read. */
export interface Score {
  readonly clear: number;
  readonly clearRead: number;
  readonly asked: number;
  readonly askedBack: number;
  /** Read as something that was not meant, without a word: must be none. */
  readonly wrongInSilence: readonly string[];
  /** Every other row that was not read as meant. */
  readonly missed: readonly string[];
}

/** Reads a whole table. Clear rows mean one thing; `no` and `ask` rows must not be read as anything. */
export function score(table: string): Score {
  const rows = rowsOf(table).map((row) => ({ ...row, got: readRow(row) }));
  const clear = rows.filter(({ meant }) => meant !== 'no' && !meant.startsWith('ask'));
  const asked = rows.filter(({ meant }) => meant.startsWith('ask'));
  const choices = (said: string): string => said.replace('ask ', '').split(' | ').sort().join(' | ');
  const same = ({ meant, got }: { meant: string; got: string }): boolean =>
    meant.startsWith('ask') ? got.startsWith('ask') && choices(got) === choices(meant) : got === meant;
  const said = ({ field, text, meant, got }: Written & { got: string }): string =>
    `${field}: ${text} => ${meant}, read as ${got}`;
  const silent = rows.filter((row) => !same(row) && row.got !== 'no' && !row.got.startsWith('ask'));
  return {
    clear: clear.length,
    clearRead: clear.filter(same).length,
    asked: asked.length,
    askedBack: asked.filter(same).length,
    wrongInSilence: silent.map(said),
    missed: rows.filter((row) => !same(row) && !silent.includes(row)).map(said),
  };
}
