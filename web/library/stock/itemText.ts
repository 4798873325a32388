import type { StockDetail, StockInput, StockItem, StockKind } from '../../../contract/index.ts';
import type { Substance } from '../../../core/clean/index.ts';
import type { TypedRow } from '../../forms/rowForm.ts';
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

/** A field that is left out when nothing is typed. */
const given = <K extends keyof StockDetail>(key: K, value: StockDetail[K] | undefined): Partial<StockDetail> =>
  value === undefined || value === '' ? {} : { [key]: value };

/** What the shop counts in. */
interface Counting {
  readonly currency: string;
  readonly measures: Measures;
}

/** What was typed as it is sent, and what of it cannot be read. @param known details that this form does not show, which stay */
export function readItem(text: ItemText, known: StockDetail, { currency, measures }: Counting): TypedRow {
  const unread: Record<string, string> = {};
  const read = (path: string, typed: string, field: Field, choice: Measures = null): number | undefined => {
    if (typed.trim() === '') return undefined;
    const figure = readFigure(typed, field, choice);
    if (figure.ok) return figure.value;
    unread[path] = figure.message;
    return undefined;
  };
  const { concentration, inhibitor, rubber, safety } = known;
  const price = text.price.trim() === '' ? null : readMoney(text.price, currency);
  if (price !== null && !price.ok) unread.priceMinor = price.message;
  const detail = {
    ...given('concentration', concentration),
    ...given('inhibitor', inhibitor),
    ...given('rubber', rubber),
    ...given('barcode', text.barcode.trim()),
    ...given('leadDays', read('detail.leadDays', text.leadDays, FIELDS.days)),
    ...given('reorderAt', read('detail.reorderAt', text.reorderAt, FIELDS.count)),
    ...given('supplier', text.supplier.trim()),
    ...(text.kind === 'coolant'
      ? given('contentsL', read('detail.contentsL', text.contents, FIELDS.coolantLitres, measures))
      : {}),
    ...(text.kind === 'cleaner' ? given('contentsG', read('detail.contentsG', text.contents, FIELDS.canGrams)) : {}),
    ...(text.kind === 'cleaner' && text.substance !== '' ? { substance: text.substance } : {}),
  };
  const sheet = (): Pick<StockDetail, 'safety'> => {
    const molarMass = read('detail.safety.molarMass', text.molar, FIELDS.plain);
    const rest = {
      evaporates: safety?.evaporates ?? 1,
      flashPointC: read('detail.safety.flashPointC', text.flash, FIELDS.coolantTemperature) ?? null,
      lelPercent: read('detail.safety.lelPercent', text.lel, FIELDS.share) ?? null,
      limitPpm: read('detail.safety.limitPpm', text.limit, FIELDS.plain) ?? null,
      source: text.sheet.trim() === '' ? null : text.sheet.trim(),
    };
    return molarMass === undefined ? {} : { safety: { molarMass, ...rest } };
  };
  const row: StockInput = {
    name: text.name,
    partNumber: text.partNumber.trim(),
    kind: text.kind,
    place: text.place,
    priceMinor: price?.ok === true ? price.minor : 0,
    detail: { ...detail, ...(text.kind === 'cleaner' ? sheet() : {}) },
  };
  return { row, unread };
}
