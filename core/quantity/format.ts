import { convert } from './convert.ts';
import { NOTATIONS, readDigits } from './number.ts';
import { type Quantity, type Unit, unitOf } from './units.ts';
import { saysAbout } from './words.ts';

/** How a quantity is printed. */
export interface FormatOptions {
  /** Convert to this unit first. */
  readonly in?: Unit;
  /** Decimal places; by default as many as the entry had, adjusted for the size of the converted value. */
  readonly decimals?: number;
}

const THIN_SPACE = '\u2009';

/** The significant figures a typed number carries: 148220 has 6, 9 has 1, 0.50 (as 0.5) has 1. */
export function significantFigures(value: number): number {
  const digits = Math.abs(value).toString().replace(/e.*$/, '').replace('.', '').replace(/^0+/, '');
  return Math.max(1, digits.length);
}

/** Decimals that a quantity was typed with, closing noughts included; null where its text does not say. */
function typedDecimals({ value, text }: Quantity): number | null {
  const digits = /\d*(?:[.,'· \u2009]?\d+)+/.exec(text ?? '')?.[0].replace(/\u2009/g, ' ');
  if (digits === undefined) return null;
  for (const notation of NOTATIONS) {
    const read = readDigits(digits, notation);
    if (read !== null && read.value === Math.abs(value)) return read.decimals;
  }
  return null;
}

/** The figures that a quantity carries: those typed, 0.50 has two, else those of its value. */
function figuresOf(quantity: Quantity): number {
  const decimals = typedDecimals(quantity);
  if (decimals === null || decimals === 0) return significantFigures(quantity.value);
  return Math.max(1, Math.abs(quantity.value).toFixed(decimals).replace('.', '').replace(/^0+/, '').length);
}

/**
 * A number as it is typed so that it can mean one thing only: three decimals stand behind a middle point.
 * @param decimals that it was typed with; more than it needs are kept
 */
export function plainText(value: number, decimals = 0): string {
  const own = String(value);
  const text = (own.split('.')[1] ?? '').length >= decimals ? own : value.toFixed(decimals);
  return /^-?\d{1,3}\.\d{3}$/.test(text) ? text.replace('.', '·') : text;
}

/** Groups thousands by a thin space, as on the sheet: 148 220. Numbers of four digits stay whole. A minus is a real one. */
export function group(text: string): string {
  const [whole = '', fraction] = text.replace('-', '−').split('.');
  const grouped = whole.replace('−', '').length > 4 ? whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN_SPACE) : whole;
  return fraction === undefined ? grouped : `${grouped}.${fraction}`;
}

/**
 * Prints a quantity with its unit beside it. A conversion keeps the significant figures of what was entered, but
 * never fewer than two: 9 N·m is 80 in·lb, not 8e1.
 * What was typed as *about* stays about.
 * @example format({ value: 9, unit: 'N·m' }, { in: 'in·lb' }) // '80 in·lb'
 */
export function format(quantity: Quantity, options: FormatOptions = {}): string {
  const unit = options.in ?? quantity.unit;
  const symbol = unitOf(unit).symbol;
  const gap = symbol === '°' || symbol === '' ? '' : ' ';
  return `${saysAbout(quantity.text) ? 'about ' : ''}${formatNumber(quantity, options)}${gap}${symbol}`;
}

/** The number alone, as {@link format} would print it. */
export function formatNumber(quantity: Quantity, options: FormatOptions = {}): string {
  const unit = options.in ?? quantity.unit;
  const value = convert(quantity.value, quantity.unit, unit);
  if (options.decimals !== undefined) return group(value.toFixed(options.decimals));
  if (unit === quantity.unit) {
    const decimals = typedDecimals(quantity);
    return group(decimals === null ? String(quantity.value) : quantity.value.toFixed(decimals));
  }
  const figures = Math.max(2, figuresOf(quantity));
  const magnitude = value === 0 ? 0 : Math.floor(Math.log10(Math.abs(value)));
  return group(value.toFixed(Math.max(0, figures - 1 - magnitude)));
}

/** A span of minutes in words that people say: `40 min`, `2 h 05 min`, `3 days`. */
export function formatMinutes(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  if (whole < 36 * 60) {
    const rest = whole % 60;
    return rest === 0
      ? `${Math.floor(whole / 60)} h`
      : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, '0')} min`;
  }
  return `${Math.round(whole / 1440)} days`;
}

/** A running clock: `41:20` under an hour, `3:05 h` above; never negative. */
export function formatClock(seconds: number): string {
  const left = Math.max(0, Math.ceil(seconds));
  const hours = Math.floor(left / 3600);
  const minutes = Math.floor((left % 3600) / 60);
  if (hours > 0) return `${hours}:${String(minutes).padStart(2, '0')} h`;
  return `${minutes}:${String(left % 60).padStart(2, '0')}`;
}
