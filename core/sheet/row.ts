import type { SheetRow } from './types.ts';

/** A line of the sheet. */
export const row = (label: string, value: string, note = ''): SheetRow => ({ label, value, note });
