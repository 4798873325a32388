import { FIELDS, readFigure, readMoney, typedMoney } from '../../core/quantity/index.ts';
import { inOrder, type KitPart, type Rubber } from '../../core/rebuild/index.ts';
import {
  type EngineFamily,
  FAMILY_FIGURES,
  FIGURE_FIELDS,
  type FigureName,
  type UnitObjectKind,
  type UnitType,
} from '../../core/vehicle/index.ts';
import type { TypedRow } from '../forms/rowForm.ts';
import { emptyVariant, readVariant, type VariantText, variantText } from '../parts/variantText.ts';
import { bandText, readBand } from './bandText.ts';

/** A figure as typed: “780 to 880” and where it comes from. */
export interface FigureText {
  band: string;
  source: string;
}
/** A piece of a kit as typed; “” for what is not rubber. */
export interface KitText {
  id: string;
  name: string;
  partNumber: string;
  count: string;
  rubber: Rubber | '';
  wayRound: string;
  order: string;
  note: string;
  placed: string;
}
/** A unit type as typed. */
export interface UnitTypeText {
  id: string;
  kind: UnitObjectKind;
  name: string;
  places: string;
  partNumber: string;
  expected: VariantText;
  new: string;
  rebuilt: string;
  used: string;
  days: string;
  source: string;
  kit: KitText[];
}
/** A family as typed. */
export interface FamilyText {
  name: string;
  engine: string;
  notes: string;
  computers: string;
  throttle: EngineFamily['throttle'];
  idleValve: EngineFamily['idleValve'];
  use: EngineFamily['use'];
  layout: EngineFamily['layout'];
  figures: Record<FigureName, FigureText>;
  unitTypes: UnitTypeText[];
}

export const FIGURE_NAMES = Object.keys(FAMILY_FIGURES) as FigureName[];
const money = (minor: number | null, currency: string): string => (minor === null ? '' : typedMoney(minor, currency));

/** A unit type with nothing typed yet. */
export const emptyUnitType = (id: string): UnitTypeText => ({
  id,
  kind: 'throttle-body',
  name: '',
  places: 'only',
  partNumber: '',
  expected: emptyVariant(),
  new: '',
  rebuilt: '',
  used: '',
  days: '',
  source: '',
  kit: [],
});

/** A piece of a kit with nothing typed yet. @param order after those that are there */
export const emptyKitPart = (id: string, order: number): KitText => ({
  id,
  name: '',
  partNumber: '',
  count: '1',
  rubber: '',
  wayRound: '',
  order: String(order),
  note: '',
  placed: '',
});

/** The kit with a piece at another place, counted from 0; then its pieces go in one after the other. */
export function movedPart(kit: readonly KitText[], id: string, to: number): KitText[] {
  const moved = kit.find((part) => part.id === id);
  if (moved === undefined) return [...kit];
  const others = kit.filter((part) => part.id !== id);
  return [...others.slice(0, to), moved, ...others.slice(to)].map((part, index) => ({
    ...part,
    order: String(index + 1),
  }));
}

const kitText = ({ id, name, partNumber, count, rubber, wayRound, order, note, placed }: KitPart): KitText => ({
  id,
  name,
  partNumber,
  count: String(count),
  rubber: rubber ?? '',
  wayRound,
  order: String(order),
  note: note ?? '',
  placed: placed ?? '',
});

const typeText = (type: UnitType, currency: string): UnitTypeText => ({
  id: type.id,
  kind: type.kind,
  name: type.name,
  places: type.places.join(', '),
  partNumber: type.partNumber,
  expected: variantText(type.expected),
  new: money(type.prices.new, currency),
  rebuilt: money(type.prices.rebuilt, currency),
  used: money(type.prices.used, currency),
  days: type.daysToGet === null ? '' : String(type.daysToGet),
  source: type.source ?? '',
  kit: inOrder(type.kit ?? []).map(kitText),
});

/** A family as it would be typed; null for a new one. */
export function familyText(family: EngineFamily | null, currency: string): FamilyText {
  const figures = Object.fromEntries(
    FIGURE_NAMES.map((name) => {
      const figure = family?.figures[name];
      return [name, { band: bandText(figure ?? null), source: figure?.source ?? '' }];
    }),
  ) as Record<FigureName, FigureText>;
  return {
    name: family?.name ?? '',
    engine: family?.engine ?? '',
    notes: family?.notes ?? '',
    computers: (family?.computers ?? []).join(', '),
    throttle: family?.throttle ?? 'cable',
    idleValve: family?.idleValve ?? 'none',
    use: family?.use ?? 'road',
    layout: family?.layout ?? 'single',
    figures,
    unitTypes: (family?.unitTypes ?? []).map((type) => typeText(type, currency)),
  };
}

/** What was typed as a family, and which fields cannot be read. An empty source is a shop figure, to be verified. */
export function readFamily(text: FamilyText, currency: string): TypedRow {
  const errors: Record<string, string> = {};
  const figures: Record<string, { low: number; high: number; source: string | null }> = {};
  for (const name of FIGURE_NAMES) {
    const read = readBand(text.figures[name].band, FIGURE_FIELDS[name]);
    if (typeof read === 'string') errors[`figures.${name}`] = read;
    else if (read !== null) figures[name] = { ...read, source: text.figures[name].source.trim() || null };
  }
  const days = (typed: string, key: string): number | null => {
    if (typed.trim() === '') return null;
    const read = readFigure(typed, FIELDS.days);
    if (!read.ok) errors[key] = read.message;
    return read.ok ? read.value : null;
  };
  const unitTypes = text.unitTypes.map((type, index) => {
    const at = `unitTypes.${index}`;
    const expected = readVariant(type.expected);
    if (!expected.ok)
      for (const [field, message] of Object.entries(expected.errors)) errors[`${at}.expected.${field}`] = message;
    const price = (field: 'new' | 'rebuilt' | 'used'): number | null => {
      if (type[field].trim() === '') return null;
      const read = readMoney(type[field], currency);
      if (!read.ok) errors[`${at}.prices.${field}`] = read.message;
      return read.ok ? read.minor : null;
    };
    return {
      id: type.id,
      kind: type.kind,
      name: type.name,
      places: type.places
        .split(',')
        .map((place) => place.trim())
        .filter((place) => place !== ''),
      partNumber: type.partNumber.trim(),
      expected: expected.ok ? expected.features : { portMm: null, gasket: '', pins: null, drive: '', mark: '' },
      prices: { new: price('new'), rebuilt: price('rebuilt'), used: price('used') },
      daysToGet: days(type.days, `${at}.daysToGet`),
      source: type.source.trim() || null,
      ...(type.kit.length === 0
        ? {}
        : { kit: type.kit.map((part, place) => readKitPart(part, `${at}.kit.${place}`, errors)) }),
    };
  });
  const { name, engine, notes, throttle, idleValve, use, layout } = text;
  const computers = text.computers
    .split(',')
    .map((each) => each.trim())
    .filter((each) => each !== '');
  const row = { name, engine, notes, throttle, idleValve, use, layout, figures, unitTypes };
  return { row: computers.length === 0 ? row : { ...row, computers }, unread: errors };
}

function readKitPart(part: KitText, at: string, errors: Record<string, string>): KitPart {
  const whole = (typed: string, field: string): number => {
    const read = readFigure(typed, FIELDS.count);
    const value = read.ok ? read.value : Number.NaN;
    if (!(Number.isInteger(value) && value >= 1 && value <= 99))
      errors[`${at}.${field}`] = `Expected 1 to 99, got “${typed.trim()}”.`;
    return value;
  };
  const { id, name, partNumber, wayRound } = part;
  return {
    id,
    name,
    partNumber: partNumber.trim(),
    count: whole(part.count, 'count'),
    rubber: part.rubber === '' ? null : part.rubber,
    wayRound,
    order: whole(part.order, 'order'),
    ...(part.placed === '' ? {} : { placed: part.placed }),
    ...(part.note.trim() === '' ? {} : { note: part.note.trim() }),
  };
}
