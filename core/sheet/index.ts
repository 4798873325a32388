export { row } from './row.ts';
export { speaker } from './speaker.ts';
export type { CustomerPage, Sheet, SheetRow, SheetSection, Speaker } from './types.ts';
