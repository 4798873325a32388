import { plainItem, type ProcedureItem, withTag } from '../../procedure/index.ts';
import type { Job } from '../job.ts';
import type { Stamp } from '../stamp.ts';
import type { JobItem, JobOpening } from './state.ts';

/** What a job adds to an item of a procedure, while nobody has touched it. */
const UNTOUCHED: Omit<JobItem, keyof ProcedureItem | 'origin'> = {
  unitIds: [],
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
  byFeel: null,
  figureFrom: null,
  stayingIn: 0,
  lengthsOut: [],
  flag: null,
  kept: [],
  threads: [],
  swapped: null,
  retorqued: null,
  corrections: [],
  aside: null,
  neverOff: null,
  seconds: { off: 0, back: 0 },
};

/** Made once: every undo replays the log from its beginning, and with it every item of the procedure. */
const freshOfProcedure = new WeakMap<ProcedureItem, JobItem>();

/** An item that is still on the vehicle. */
export function freshItem(item: ProcedureItem, origin: 'procedure' | 'typed'): JobItem {
  const made = origin === 'procedure' ? freshOfProcedure.get(item) : undefined;
  if (made !== undefined) return made;
  const fresh: JobItem = { ...withTag(item), ...UNTOUCHED, origin };
  if (origin === 'procedure') freshOfProcedure.set(item, fresh);
  return fresh;
}

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

/** What changes when one item does. */
export const onItem = (job: Job, id: string, how: (item: JobItem) => JobItem): Pick<Job, 'items'> => ({
  items: change(job.items, id, how),
});

/** The place in the order of coming off that is next. */
export const nextPlace = (job: Job): number =>
  job.items.reduce((highest, { stripOrder }) => Math.max(highest, stripOrder ?? 0), 0) + 1;

/** The openings with some of them open or closed. A plugged one keeps its plug: only the person takes it out. */
export function setOpenings(
  openings: readonly JobOpening[],
  ids: readonly string[],
  state: 'open' | 'closed',
): readonly JobOpening[] {
  if (ids.length === 0) return openings;
  return openings.map((opening) =>
    ids.includes(opening.id) && opening.state !== 'plugged' ? { ...opening, state } : opening,
  );
}
