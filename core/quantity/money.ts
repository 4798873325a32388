import { readField } from './parse.ts';
import { group, plainText } from './format.ts';
import { tidy } from './tidy.ts';

/**
 * Currencies whose minor unit is not a hundredth, by ISO 4217:2015 table A.1 (amendments to 176); signs that mean one
 * of them stand beside the codes. All others, and a shop's own word such as `cr`, have two decimals.
 */
const DECIMALS: Readonly<Record<string, number>> = {
  ...Object.fromEntries(
    'BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX VND VUV XAF XOF XPF ¥ ₩ ₫'.split(' ').map((code) => [code, 0]),
  ),
  ...Object.fromEntries('BHD IQD JOD KWD LYD OMR TND'.split(' ').map((code) => [code, 3])),
  CLF: 4,
  UYW: 4,
};

/** Other ways of writing a currency, in small letters. */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  cr: ['crown', 'crowns'],
  JPY: ['¥', 'yen'],
  '¥': ['jpy', 'yen'],
  EUR: ['€', 'euro', 'euros'],
  '€': ['eur', 'euro', 'euros'],
  USD: ['$', 'dollar', 'dollars'],
  $: ['usd', 'dollar', 'dollars'],
  GBP: ['£', 'pound', 'pounds'],
  '£': ['gbp', 'pound', 'pounds'],
};

/** How many decimals a currency has: 2 for `cr`, 0 for `JPY`, 3 for `KWD`. */
export const decimalsOf = (currency: string): number => DECIMALS[currency.trim()] ?? 2;

/** An amount in minor units as one in whole ones: 1250 of `cr` is 12.5, of `JPY` 1250. */
export const majorOf = (minor: number, currency: string): number => tidy(minor / 10 ** decimalsOf(currency));

/** An amount in whole units as minor ones, rounded to the nearest: 12.5 of `cr` is 1250. */
export const minorOf = (major: number, currency: string): number =>
  Math.round(tidy(major * 10 ** decimalsOf(currency)));

/** An amount with all its decimals and its currency: `1250.00 cr`, `1 250 JPY` with thousands set apart above four. */
export const formatMoney = (minor: number, currency: string): string => `${moneyText(minor, currency)} ${currency}`;

/** An amount with all its decimals, without its currency. */
export const moneyText = (minor: number, currency: string): string =>
  group(majorOf(minor, currency).toFixed(decimalsOf(currency)));

/** An amount to the nearest whole unit with its currency, where cents would only be noise. */
export const formatRoundMoney = (minor: number, currency: string): string =>
  `${group(String(Math.round(majorOf(minor, currency))))} ${currency}`;

/** An amount as it is typed into a field, thousands not set apart: `12.50`. */
export const typedMoney = (minor: number, currency: string): string =>
  majorOf(minor, currency).toFixed(decimalsOf(currency));

/** One of two amounts that a text may mean. */
export interface MoneyChoice {
  readonly minor: number;
  readonly words: string;
  readonly typed: string;
}

/** An amount read, in minor units, or what is wrong with the text. */
export type MoneyResult =
  | { readonly ok: true; readonly minor: number }
  | { readonly ok: false; readonly message: string; readonly choices?: readonly MoneyChoice[] };

/**
 * Reads an amount of money as people write it: `80`, `80.50`, `1,250`, `1.250,00 cr`, `80,-`, `¥1,250`.
 * @param currency the shop's; another one beside the figure is refused
 * @returns whole minor units; more decimals than the currency has are refused, and where the marks may be read two
 * ways (`1.250` of a currency with three decimals) it asks
 */
export function readMoney(text: string, currency: string): MoneyResult {
  const typed = text.trim();
  const decimals = decimalsOf(currency);
  const figure = withoutCurrency(typed.replace(/[.,] ?[-–—]{1,2}(?= |$)/, ''), currency);
  if (figure === null)
    return { ok: false, message: `Expected an amount in ${currency}, such as ${sample(currency)}; got “${typed}”.` };
  const read = readField(figure, { kind: 'money', assume: 'cr', decimals, takes: 'one' });
  if (read.ok) return asMinor(read.quantity.value, typed, currency);
  const choices = (read.asks?.choices ?? [])
    .map(({ reading }) => reading.quantity.value)
    .filter((value) => isWhole(value, decimals))
    .map((value) => ({
      minor: minorOf(value, currency),
      words: formatMoney(minorOf(value, currency), currency),
      typed: `${plainText(value, Number.isInteger(value) ? 0 : decimals)} ${currency}`,
    }));
  const [only] = choices;
  if (choices.length === 1 && only !== undefined) return { ok: true, minor: only.minor };
  return choices.length > 1
    ? { ok: false, message: `Which was meant: ${choices.map(({ words }) => words).join(' or ')}?`, choices }
    : { ok: false, message: read.message };
}

const sample = (currency: string): string => (80).toFixed(decimalsOf(currency));
const isWhole = (value: number, decimals: number): boolean => Number.isInteger(tidy(value * 10 ** decimals));

function asMinor(value: number, typed: string, currency: string): MoneyResult {
  const decimals = decimalsOf(currency);
  return isWhole(value, decimals)
    ? { ok: true, minor: minorOf(value, currency) }
    : {
        ok: false,
        message: `Expected at most ${decimals === 0 ? 'whole' : `${decimals} decimals of`} ${currency}, got “${typed}”.`,
      };
}

/** The figure without the currency before or after it; null where another word stands there. */
function withoutCurrency(text: string, currency: string): string | null {
  const [, before = '', figure = '', after = ''] =
    /^\s*([^\d\s.,½¼¾⅓⅔⅛⅜⅝⅞+−–-]*)\s*(.*?)\s*([^\d\s.,½¼¾⅓⅔⅛⅜⅝⅞'’]*)\s*$/u.exec(text) ?? [];
  const words = [before, after].filter((word) => word !== '');
  const known = [currency, ...(ALSO[currency] ?? [])].map((word) => word.toLowerCase());
  return words.every((word) => known.includes(word.toLowerCase())) ? figure : null;
}
