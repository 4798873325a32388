import { formatMinutes, group } from '../quantity/index.ts';

/** How a figure of a report is said. */
export type CellKind = 'text' | 'count' | 'minutes' | 'money' | 'grams' | 'litres' | 'percent';

const rounded = (value: number, decimals: number): string => group(value.toFixed(decimals));
const SAID: Readonly<Record<Exclude<CellKind, 'text' | 'money'>, (value: number) => string>> = {
  count: (value) => rounded(value, 0),
  minutes: (value) => formatMinutes(value),
  grams: (value) => `${rounded(value, 0)} g`,
  litres: (value) => `${rounded(value, 1)} L`,
  percent: (value) => `${rounded(value * 100, 0)} %`,
};

/**
 * A cell of a report as it is read, on the screen and on paper: a dash for what is not known.
 * @param money minor units as the shop says them
 */
export function sayCell(kind: CellKind, value: string | number | null, money: (minor: number) => string): string {
  if (value === null || value === '') return '–';
  if (kind === 'text' || typeof value === 'string') return String(value);
  return kind === 'money' ? money(value) : SAID[kind](value);
}

/** The same for a table that other programs read: plain figures in the unit of the column’s head, money in whole units. */
export function plainCell(kind: CellKind, value: string | number | null, minorPerUnit: number): string | number {
  if (value === null) return '';
  if (kind === 'text' || typeof value === 'string') return value;
  if (kind === 'money') return value / minorPerUnit;
  const decimals = { count: 0, minutes: 1, grams: 0, litres: 2, percent: 3 }[kind];
  return Number(value.toFixed(decimals));
}

/** The unit that stands in the head of a column of such a table; empty for none. */
export const UNIT_OF: Readonly<Record<CellKind, string>> = {
  text: '',
  count: '',
  minutes: 'min',
  money: '',
  grams: 'g',
  litres: 'L',
  percent: 'share',
};
