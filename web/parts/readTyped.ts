import {
  convert,
  type Field,
  format,
  formatMoney,
  type Measures,
  type ParseResult,
  readField,
  readMoney,
} from '../../core/quantity/index.ts';

/** One of the readings that a field offers. */
export interface Offered {
  readonly words: string;
  readonly typed: string;
  /** What choosing it settles for the whole shop, or null. */
  readonly measures: NonNullable<Measures> | null;
}

/** What a field makes of what was typed: how it reads, what it asks, or why it cannot be read. */
export type Typed =
  | { readonly state: 'empty' }
  | { readonly state: 'read'; /** “” where the text says it itself. */ readonly echo: string }
  | { readonly state: 'asks'; readonly question: string; readonly choices: readonly Offered[] }
  | { readonly state: 'unread'; readonly message: string };

/** Reads what was typed into a figure field. @param shop its currency, and which gallon it means */
export function readTyped(
  text: string,
  field: Field | 'money',
  { currency, measures }: { readonly currency: string; readonly measures: Measures },
): Typed {
  if (text.trim() === '') return { state: 'empty' };
  if (field === 'money') return moneyTyped(text, currency);
  const read = readField(text, field, measures);
  if (read.ok) return { state: 'read', echo: echoOf(text, read, field) };
  if (read.asks === undefined) return { state: 'unread', message: read.message };
  const { question, choices } = read.asks;
  return {
    state: 'asks',
    question: read.message,
    choices: choices.map(({ words, typed }, index) => ({
      words,
      typed,
      measures: question === 'measures' ? (index === 0 ? 'US' : 'imperial') : null,
    })),
  };
}

function moneyTyped(text: string, currency: string): Typed {
  const read = readMoney(text, currency);
  if (read.ok) {
    const words = formatMoney(read.minor, currency);
    return { state: 'read', echo: PLAIN.test(text.trim()) ? '' : `reads as ${words}` };
  }
  return read.choices === undefined
    ? { state: 'unread', message: read.message }
    : {
        state: 'asks',
        question: read.message,
        choices: read.choices.map(({ words, typed }) => ({ words, typed, measures: null })),
      };
}

const NUMBER = '[-−]?\\d+(?:\\.(?:\\d{1,2}|\\d{4,}))?';
const UNIT = '[\\p{L}°%"·/ -]*';
/** Digits, at most a point that can only be one of decimals, and a unit: such a text says itself how it is read. */
const PLAIN = new RegExp(`^${NUMBER}(?:\\s*(?:to|–|-)\\s*${NUMBER})?\\s*${UNIT}$`, 'u');

/** How it was read, where what was typed is not plain digits in the field's own unit. */
function echoOf(text: string, read: Extract<ParseResult, { ok: true }>, { assume }: Field): string {
  const { quantity, upTo, angleDeg } = read;
  const { value, unit } = quantity;
  if (PLAIN.test(text.trim()) && (assume === undefined || unit === assume)) return '';
  const range = upTo === undefined ? format(quantity) : `${format(quantity)} to ${format({ value: upTo, unit })}`;
  const turn = angleDeg === undefined ? '' : ` and ${angleDeg}°`;
  const own =
    assume === undefined || unit === assume
      ? ''
      : `, ${format({ value: Number(convert(value, unit, assume).toPrecision(4)), unit: assume })}`;
  return `reads as ${range}${turn}${own}`;
}
