export { convert, torqueNm } from './convert.ts';
export { format, formatClock, formatMinutes, formatNumber, group, significantFigures } from './format.ts';
export type { FormatOptions } from './format.ts';
export { parseNumber, parseQuantity } from './parse.ts';
export type { ParsedQuantity, ParseFailure, ParseResult } from './parse.ts';
export { findUnit, UNITS, unitOf, unitsOfKind } from './units.ts';
export type { Kind, Quantity, Unit, UnitDefinition } from './units.ts';
