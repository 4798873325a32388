import type { ProcedureItem } from './types.ts';

/**
 * Before procedures had tags, look-alikes were told apart by their names alone: an item of such a procedure has for a
 * tag what its name says after its last comma, “left” of “Coil plug, left”. One that says its tag is left as it is.
 */
export function withTag(item: ProcedureItem): ProcedureItem {
  if (item.tag !== undefined || item.alike === undefined || item.alike === '') return item;
  const comma = item.name.lastIndexOf(',');
  return comma < 0 ? item : { ...item, tag: item.name.slice(comma + 1).trim() };
}
