import { parseNumber } from '../../core/quantity/index.ts';
import type { Figure } from '../../core/vehicle/index.ts';

/** A band as it is typed: “780 to 880”; empty for none. */
export const bandText = (band: Pick<Figure, 'low' | 'high'> | null): string =>
  band === null ? '' : `${band.low} to ${band.high}`;

/** “780 to 880” as a band, null for none, or what is wrong with it. */
export function readBand(text: string): { readonly low: number; readonly high: number } | null | string {
  const typed = text.trim();
  if (typed === '') return null;
  const [low = Number.NaN, high = Number.NaN] = typed.split(/\s*(?:to|–|-)\s*/).map(parseNumber);
  if (Number.isNaN(low) || Number.isNaN(high)) return `Expected two figures, such as 780 to 880; got “${typed}”.`;
  return high < low ? 'Expected the smaller figure first.' : { low, high };
}

/** A typed figure: a shop figure, without a source, unless its text is still that of the one before. */
export function readFigure(text: string, before: Figure | null): Figure | null | string {
  if (text.trim() === bandText(before)) return before;
  const band = readBand(text);
  return band === null || typeof band === 'string' ? band : { ...band, source: null };
}
