import { FIELDS, readFigure } from '../../core/quantity/index.ts';
import type { VariantFeatures } from '../../core/vehicle/index.ts';

/** Features as typed. */
export interface VariantText {
  portMm: string;
  gasket: string;
  pins: string;
  drive: string;
  mark: string;
  bores: string;
}

/** Nothing typed yet. */
export const emptyVariant = (): VariantText => ({ portMm: '', gasket: '', pins: '', drive: '', mark: '', bores: '' });

/** Features as they would be typed. */
export const variantText = ({ portMm, gasket, pins, drive, mark, bores }: VariantFeatures): VariantText => ({
  portMm: portMm === null ? '' : String(portMm),
  gasket,
  pins: pins === null ? '' : String(pins),
  drive,
  mark,
  bores: bores === undefined ? '' : String(bores),
});

/** What was typed as features, or which fields cannot be read. Empty fields are not known. */
export function readVariant(
  text: VariantText,
):
  | { readonly ok: true; readonly features: VariantFeatures }
  | { readonly ok: false; readonly errors: Readonly<Record<string, string>> } {
  const errors: Record<string, string> = {};
  const read = (field: 'portMm' | 'pins' | 'bores'): number | null => {
    const typed = text[field].trim();
    if (typed === '') return null;
    const figure = readFigure(typed, field === 'portMm' ? FIELDS.portMm : FIELDS.count);
    if (!figure.ok) errors[field] = figure.message;
    else if (field === 'pins' && !Number.isInteger(figure.value))
      errors[field] = `Expected a number of pins, got “${typed}”.`;
    else if (field === 'bores' && !(Number.isInteger(figure.value) && figure.value >= 1 && figure.value <= 8))
      errors[field] = `Expected 1 to 8 bores, got “${typed}”.`;
    return figure.ok ? figure.value : null;
  };
  const bores = read('bores');
  const features: VariantFeatures = {
    portMm: read('portMm'),
    gasket: text.gasket.trim(),
    pins: read('pins'),
    drive: text.drive.trim(),
    mark: text.mark.trim(),
    ...(bores === null ? {} : { bores }),
  };
  return Object.keys(errors).length > 0 ? { ok: false, errors } : { ok: true, features };
}
