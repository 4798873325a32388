import { plainItem, type ProcedureItem } from '../../procedure/index.ts';
import type { JobItem, Stamp } from '../types.ts';

/** An item that is still on the vehicle. */
export const freshItem = (item: ProcedureItem, origin: 'procedure' | 'typed'): JobItem => ({
  ...item,
  origin,
  state: 'on',
  stripOrder: null,
  off: null,
  back: null,
  pocket: '',
  label: '',
  remark: '',
  confirmed: false,
  countedOut: null,
  countedBack: null,
  fitted: '',
  bolts: [],
  stayingIn: 0,
  lengthsOut: [],
  flag: null,
  kept: [],
  threads: [],
  swapped: null,
  retorqued: null,
  seconds: { off: 0, back: 0 },
});

/** A plug: *off* while it sits in its opening, *refitted* once it is out. */
export const plugItem = (id: string, what: string, stripOrder: number, stamp: Stamp): JobItem => ({
  ...freshItem(plainItem(id, what, 'plug'), 'typed'),
  origin: 'plug',
  state: 'off',
  stripOrder,
  off: stamp,
});

/** The items with one of them changed; the others keep their identity. */
export const change = (items: readonly JobItem[], id: string, how: (item: JobItem) => JobItem): JobItem[] =>
  items.map((item) => (item.id === id ? how(item) : item));
