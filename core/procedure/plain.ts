import type { ItemKind, ProcedureItem } from './types.ts';

/** An item of which nothing is said but what it is. @param more what is said besides */
export const plainItem = (
  id: string,
  name: string,
  kind: ItemKind = 'other',
  more: Partial<ProcedureItem> = {},
): ProcedureItem => ({
  id,
  name,
  kind,
  tool: '',
  note: '',
  opens: [],
  fasteners: null,
  singleUse: false,
  partNumber: '',
  unit: null,
  cautions: [],
  ...more,
});
