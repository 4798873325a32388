import type { TypedField, TypedThing } from '../../../../core/job/index.ts';
import { ITEM_KINDS, JOINTS } from '../../../../core/procedure/index.ts';
import { keysOf } from '../../../parts/keysOf.ts';

/** Kinds of what comes off, for picking one. */
export const KINDS = keysOf(ITEM_KINDS).map((id) => ({ id, name: ITEM_KINDS[id] }));
/** What fasteners hold, for picking one: it decides whether a figure is called for. */
export const JOINT_PICKS = keysOf(JOINTS).map((id) => ({ id, name: JOINTS[id].name }));

/** A chip of a thing that was read: which field, and how it looks. */
interface Chip {
  readonly field: TypedField;
  readonly look: {
    readonly label: string;
    readonly placeholder?: string;
    readonly numeric?: boolean;
    readonly options?: readonly { readonly id: string; readonly name: string }[];
  };
}

/** The chips of a thing in their order; what plugs its opening has a line of its own. */
export function chipsOf({ item, states, aside }: TypedThing): Chip[] {
  const group: Chip[] = [
    { field: 'count', look: { label: 'how many', placeholder: 'count', numeric: true } },
    { field: 'thread', look: { label: 'thread', placeholder: 'M6×25' } },
    { field: 'joint', look: { label: 'they hold', options: JOINT_PICKS } },
  ];
  const torque = states.torque === 'wanted' ? 'torque · holds the engine' : 'torque';
  return [
    { field: 'name', look: { label: 'what it is' } },
    { field: 'kind', look: { label: 'kind', options: KINDS } },
    ...(item.fasteners === null ? [] : group),
    ...(item.tool === '' && item.fasteners === null
      ? []
      : [{ field: 'tool' as const, look: { label: 'tool', placeholder: '10 mm' } }]),
    ...(states.torque === undefined
      ? []
      : [{ field: 'torque' as const, look: { label: torque, placeholder: 'figure later' } }]),
    { field: 'place', look: { label: aside === '' ? 'lies' : 'stays connected, tied', placeholder: 'where it is' } },
  ];
}
