import { type Field, readFigure } from '../../core/quantity/index.ts';
import type { Figure } from '../../core/vehicle/index.ts';

/** A band as it is typed: “780 to 880”; empty for none. */
export const bandText = (band: Pick<Figure, 'low' | 'high'> | null): string =>
  band === null ? '' : `${band.low} to ${band.high}`;

/** “780 to 880” as a band, null for none, or what is wrong with it. @param field of the band, with its unit */
export function readBand(text: string, field: Field): { readonly low: number; readonly high: number } | null | string {
  if (text.trim() === '') return null;
  const read = readFigure(text, field);
  return read.ok ? { low: read.value, high: read.upTo ?? read.value } : read.message;
}

/** A typed figure: a shop figure, without a source, unless its text is still that of the one before. */
export function figureFrom(text: string, before: Figure | null, field: Field): Figure | null | string {
  if (text.trim() === bandText(before)) return before;
  const band = readBand(text, field);
  return band === null || typeof band === 'string' ? band : { ...band, source: null };
}
