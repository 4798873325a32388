export { fitFigure, measures } from './fitting.ts';
export type { Fitted } from './fitting.ts';
export { INSTRUMENT_KINDS } from './instruments.ts';
export type { InstrumentId, InstrumentKind, InstrumentReading } from './instruments.ts';
export { heardIn, idLine, readingLine } from './lines.ts';
export type { Heard } from './lines.ts';
export { standingOf } from './steady.ts';
export type { Standing, TimedReading } from './steady.ts';
