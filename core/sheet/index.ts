export { row } from './row.ts';
export { speaker } from './speaker.ts';
export type { Sheet, SheetRow, SheetSection, Speaker } from './types.ts';
