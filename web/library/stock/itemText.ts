import type { StockDetail, StockInput, StockItem, StockKind } from '../../../contract/index.ts';
import type { Substance } from '../../../core/clean/index.ts';
import { type Field, FIELDS, type Measures, readFigure, readMoney, typedMoney } from '../../../core/quantity/index.ts';

/** A stocked thing as typed. */
export interface ItemText {
  name: string;
  partNumber: string;
  place: string;
  price: string;
  barcode: string;
  leadDays: string;
  reorderAt: string;
  supplier: string;
  contents: string;
  kind: StockKind;
  substance: Substance | '';
  molar: string;
  lel: string;
  limit: string;
  flash: string;
  sheet: string;
}

const said = (value: number | undefined | null): string => (value == null ? '' : String(value));

/** A thing as it would be typed; null for a new one. @param currency of its price @param number what was scanned or searched for */
export function itemText(item: StockItem | null, currency: string, number = ''): ItemText {
  const detail: StockDetail = item?.detail ?? {};
  return {
    name: item?.name ?? '',
    partNumber: item?.partNumber ?? number,
    place: item?.place ?? '',
    price: item === null ? '' : typedMoney(item.priceMinor, currency),
    barcode: detail.barcode ?? '',
    leadDays: said(detail.leadDays),
    reorderAt: said(detail.reorderAt),
    supplier: detail.supplier ?? '',
    contents: said(detail.contentsG ?? detail.contentsL),
    kind: item?.kind ?? 'part',
    substance: detail.substance ?? '',
    molar: said(detail.safety?.molarMass),
    lel: said(detail.safety?.lelPercent),
    limit: said(detail.safety?.limitPpm),
    flash: said(detail.safety?.flashPointC),
    sheet: detail.safety?.source ?? '',
  };
}

/** Below every range: what cannot be read is refused with the range beside its field. */
const UNREADABLE = -1000;
function read(typed: string, field: Field, measures: Measures = null): number | undefined {
  if (typed.trim() === '') return undefined;
  const figure = readFigure(typed, field, measures);
  return figure.ok ? figure.value : UNREADABLE;
}
/** A field that is left out when nothing is typed. */
const given = <K extends keyof StockDetail>(key: K, value: StockDetail[K] | undefined): Partial<StockDetail> =>
  value === undefined || value === '' ? {} : { [key]: value };

/** What the shop counts in. */
interface Counting {
  readonly currency: string;
  readonly measures: Measures;
}

/** What was typed as it is sent. @param known details that this form does not show, which stay */
export function readItem(text: ItemText, known: StockDetail, { currency, measures }: Counting): StockInput {
  const { concentration, inhibitor, rubber, safety } = known;
  const molarMass = read(text.molar, FIELDS.plain);
  const price = text.price.trim() === '' ? null : readMoney(text.price, currency);
  return {
    name: text.name,
    partNumber: text.partNumber.trim(),
    kind: text.kind,
    place: text.place,
    priceMinor: price === null ? 0 : price.ok ? price.minor : UNREADABLE,
    detail: {
      ...given('concentration', concentration),
      ...given('inhibitor', inhibitor),
      ...given('rubber', rubber),
      ...given('barcode', text.barcode.trim()),
      ...given('leadDays', read(text.leadDays, FIELDS.days)),
      ...given('reorderAt', read(text.reorderAt, FIELDS.count)),
      ...given('supplier', text.supplier.trim()),
      ...(text.kind === 'coolant' ? given('contentsL', read(text.contents, FIELDS.coolantLitres, measures)) : {}),
      ...(text.kind === 'cleaner' ? given('contentsG', read(text.contents, FIELDS.canGrams)) : {}),
      ...(text.kind === 'cleaner' && text.substance !== '' ? { substance: text.substance } : {}),
      ...(text.kind !== 'cleaner' || molarMass === undefined
        ? {}
        : {
            safety: {
              molarMass,
              evaporates: safety?.evaporates ?? 1,
              flashPointC: read(text.flash, FIELDS.coolantTemperature) ?? null,
              lelPercent: read(text.lel, FIELDS.share) ?? null,
              limitPpm: read(text.limit, FIELDS.plain) ?? null,
              source: text.sheet.trim() === '' ? null : text.sheet.trim(),
            },
          }),
    },
  };
}
