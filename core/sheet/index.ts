export { costOf } from './cost.ts';
export type { Cost } from './cost.ts';
export { bandOf, measured, sheetOf } from './sheet.ts';
export { speaker } from './speaker.ts';
export type { Sheet, SheetRow, SheetSection, Speaker } from './types.ts';
export { mixAfter } from './work.ts';
export { estimateMessage, estimateSheet } from './estimate.ts';
export type { EstimateSheet } from './estimate.ts';
