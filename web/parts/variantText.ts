import { FIELDS, readFigure } from '../../core/quantity/index.ts';
import type { VariantFeatures } from '../../core/vehicle/index.ts';

/** Features as typed. */
export interface VariantText {
  portMm: string;
  gasket: string;
  pins: string;
  drive: string;
  mark: string;
}

/** Nothing typed yet. */
export const emptyVariant = (): VariantText => ({ portMm: '', gasket: '', pins: '', drive: '', mark: '' });

/** Features as they would be typed. */
export const variantText = ({ portMm, gasket, pins, drive, mark }: VariantFeatures): VariantText => ({
  portMm: portMm === null ? '' : String(portMm),
  gasket,
  pins: pins === null ? '' : String(pins),
  drive,
  mark,
});

/** What was typed as features, or which fields cannot be read. Empty fields are not known. */
export function readVariant(
  text: VariantText,
):
  | { readonly ok: true; readonly features: VariantFeatures }
  | { readonly ok: false; readonly errors: Readonly<Record<string, string>> } {
  const errors: Record<string, string> = {};
  const read = (field: 'portMm' | 'pins'): number | null => {
    const typed = text[field].trim();
    if (typed === '') return null;
    const figure = readFigure(typed, field === 'pins' ? FIELDS.count : FIELDS.portMm);
    if (!figure.ok) errors[field] = figure.message;
    else if (field === 'pins' && !Number.isInteger(figure.value))
      errors[field] = `Expected a number of pins, got “${typed}”.`;
    return figure.ok ? figure.value : null;
  };
  const features: VariantFeatures = {
    portMm: read('portMm'),
    gasket: text.gasket.trim(),
    pins: read('pins'),
    drive: text.drive.trim(),
    mark: text.mark.trim(),
  };
  return Object.keys(errors).length > 0 ? { ok: false, errors } : { ok: true, features };
}
