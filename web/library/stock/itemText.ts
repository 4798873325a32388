import type { StockDetail, StockInput, StockItem, StockKind } from '../../../contract/index.ts';
import type { Substance } from '../../../core/clean/index.ts';
import { parseNumber } from '../../../core/quantity/index.ts';

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

/** A thing as it would be typed; null for a new one. @param number what was scanned or searched for */
export function itemText(item: StockItem | null, number = ''): ItemText {
  const detail: StockDetail = item?.detail ?? {};
  return {
    name: item?.name ?? '',
    partNumber: item?.partNumber ?? number,
    place: item?.place ?? '',
    price: item === null ? '' : (item.priceMinor / 100).toFixed(2),
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
const read = (typed: string): number | undefined => {
  if (typed.trim() === '') return undefined;
  const value = parseNumber(typed);
  return Number.isNaN(value) ? UNREADABLE : value;
};
/** A field that is left out when nothing is typed. */
const given = <K extends keyof StockDetail>(key: K, value: StockDetail[K] | undefined): Partial<StockDetail> =>
  value === undefined || value === '' ? {} : { [key]: value };

/** What was typed as it is sent. @param known details that this form does not show, which stay */
export function readItem(text: ItemText, known: StockDetail): StockInput {
  const { concentration, inhibitor, rubber, safety } = known;
  const molarMass = read(text.molar);
  const price = read(text.price) ?? 0;
  return {
    name: text.name,
    partNumber: text.partNumber.trim(),
    kind: text.kind,
    place: text.place,
    priceMinor: Math.round(price * 100),
    detail: {
      ...given('concentration', concentration),
      ...given('inhibitor', inhibitor),
      ...given('rubber', rubber),
      ...given('barcode', text.barcode.trim()),
      ...given('leadDays', read(text.leadDays)),
      ...given('reorderAt', read(text.reorderAt)),
      ...given('supplier', text.supplier.trim()),
      ...(text.kind === 'coolant' ? given('contentsL', read(text.contents)) : {}),
      ...(text.kind === 'cleaner' ? given('contentsG', read(text.contents)) : {}),
      ...(text.kind === 'cleaner' && text.substance !== '' ? { substance: text.substance } : {}),
      ...(text.kind !== 'cleaner' || molarMass === undefined
        ? {}
        : {
            safety: {
              molarMass,
              evaporates: safety?.evaporates ?? 1,
              flashPointC: read(text.flash) ?? null,
              lelPercent: read(text.lel) ?? null,
              limitPpm: read(text.limit) ?? null,
              source: text.sheet.trim() === '' ? null : text.sheet.trim(),
            },
          }),
    },
  };
}
