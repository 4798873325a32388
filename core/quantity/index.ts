export { besideMetric } from './beside.ts';
export { convert, torqueNm } from './convert.ts';
export { type Field, type FieldName, FIELDS } from './fields.ts';
export { fieldIn, type FigureResult, readFigure, readIn } from './figure.ts';
export { format, formatClock, formatMinutes, formatNumber, group, plainText, significantFigures } from './format.ts';
export type { FormatOptions } from './format.ts';
export {
  decimalsOf,
  formatMoney,
  formatRoundMoney,
  majorOf,
  minorOf,
  moneyText,
  readMoney,
  typedMoney,
} from './money.ts';
export type { MoneyChoice, MoneyResult } from './money.ts';
export { parseQuantity, readField } from './parse.ts';
export type { Choice, ParsedQuantity, ParseFailure, ParseResult, Reading, ReadOptions } from './parse.ts';
export { saysAbout } from './words.ts';
export type { Measures, Question } from './unitWord.ts';
export { findUnit, UNITS, unitOf, unitsOfKind } from './units.ts';
export type { Kind, Quantity, Unit, UnitDefinition } from './units.ts';
