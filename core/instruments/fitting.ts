import { convert, type Field, findUnit, unitOf } from '../quantity/index.ts';
import { INSTRUMENT_KINDS, type InstrumentId } from './instruments.ts';

/** A figure from an instrument as a field takes it, or why it cannot. */
export type Fitted =
  | { readonly ok: true; readonly text: string; readonly value: number; readonly unit: string }
  | { readonly ok: false; readonly message: string };

/** Whether an instrument measures what a field is for. */
export const measures = (id: Pick<InstrumentId, 'kind'>, field: Field): boolean =>
  (INSTRUMENT_KINDS[id.kind].measures as readonly string[]).includes(field.kind);

const decimalsOf = (value: number): number => Math.min(4, (String(value).split('.')[1] ?? '').length);

/**
 * A steady figure in the unit of a field.
 * @param unit as the instrument says it
 */
export function fitFigure(id: InstrumentId, value: number, unit: string, field: Field): Fitted {
  const { name } = INSTRUMENT_KINDS[id.kind];
  const from = findUnit(unit);
  if (from === undefined)
    return { ok: false, message: `The ${name} gives “${unit}”, which is no unit that is known here.` };
  if (unitOf(from).kind !== field.kind)
    return {
      ok: false,
      message: `The ${name} stands at ${unit}: another figure is wanted here. Turn it over, or type.`,
    };
  const span = id.high - id.low;
  const own = findUnit(id.unit);
  const inOwn = own !== undefined && unitOf(own).kind === field.kind ? convert(value, from, own) : value;
  if (inOwn > id.high + span * 1e-6 || inOwn < id.low - span * 1e-6)
    return {
      ok: false,
      message: `${value} ${unit} lies outside the range of this ${name}, ${id.low} to ${id.high} ${id.unit}.`,
    };
  const to = field.assume ?? from;
  const converted = from === to ? value : convert(value, from, to);
  const decimals = from === to ? decimalsOf(value) : Math.max(1, decimalsOf(value));
  const shown = converted.toFixed(decimals);
  return { ok: true, text: `${shown} ${unitOf(to).symbol}`, value: converted, unit: to };
}
