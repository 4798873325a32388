import { convert, FIELDS, type ParseFailure, readField } from '../quantity/index.ts';
import type { TorqueSpec } from './types.ts';

/** Spread accepted round a single figure when the source gives no band. Ten percent is a shop convention, not a standard. */
export const SINGLE_FIGURE_SPREAD = 0.1;

/**
 * Makes a specification from torque text. A range keeps its ends and aims at the middle; a single figure gets
 * {@link SINGLE_FIGURE_SPREAD} either side.
 * @param source where the figure was read; null marks it as a shop figure
 */
export function specFromText(text: string, source: string | null): TorqueSpec | ParseFailure {
  const parsed = readField(text, FIELDS.torqueSpec);
  if (!parsed.ok) return parsed;
  const { value, unit } = parsed.quantity;
  const nm = (figure: number): number => convert(figure, unit, 'N·m');
  const [low, high] =
    parsed.upTo === undefined
      ? [value * (1 - SINGLE_FIGURE_SPREAD), value * (1 + SINGLE_FIGURE_SPREAD)]
      : [value, parsed.upTo];
  return {
    text: text.trim(),
    lowNm: nm(low),
    highNm: nm(high),
    targetNm: nm(parsed.upTo === undefined ? value : (low + high) / 2),
    angleDeg: parsed.angleDeg ?? null,
    source,
  };
}

/** Whether {@link specFromText} succeeded. */
export const isSpec = (spec: TorqueSpec | ParseFailure): spec is TorqueSpec => !('ok' in spec);
