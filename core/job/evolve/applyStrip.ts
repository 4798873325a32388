import type { EventData } from '../events.ts';
import { itemOf } from '../query.ts';
import type { StripEventData } from '../stripEvents.ts';
import type { Job, JobItem, JobOpening, Stamp } from '../types.ts';
import { change } from './items.ts';
import { moveProcedure } from './move.ts';

type Apply<K extends keyof EventData> = (job: Job, data: EventData[K], stamp: Stamp) => Partial<Job>;

const onItem = (job: Job, id: string, how: (item: JobItem) => JobItem): Partial<Job> => ({
  items: change(job.items, id, how),
});

/** What the events about items, openings and fasteners change, beyond coming off and going back. */
export const APPLY_STRIP: { readonly [K in keyof StripEventData]: Apply<K> } = {
  'procedure-moved': (job, { procedure }) => moveProcedure(job, procedure),
  'need-added': (job, { need }) => ({ ownNeeds: [...job.ownNeeds, need] }),
  'end-step-done': (job, data, stamp) => ({ endSteps: [...job.endSteps, { ...data, ...stamp }] }),
  'opening-added': (job, { itemId, opening }) => {
    const item = itemOf(job, itemId);
    const added: JobOpening = {
      ...opening,
      state: item === undefined || item.state === 'on' ? 'whole' : item.state === 'off' ? 'open' : 'closed',
      plugId: null,
    };
    return {
      ...onItem(job, itemId, (each) => ({ ...each, opens: [...each.opens, opening.id] })),
      openings: [...job.openings, added],
    };
  },
  'rest-taken-out': (job, { itemId }) => onItem(job, itemId, (item) => ({ ...item, stayingIn: 0 })),
  'item-flagged': (job, { itemId, ...flag }, stamp) =>
    onItem(job, itemId, (item) => ({ ...item, flag: { ...flag, ...stamp, settled: null } })),
  'flag-settled': (job, { itemId, how }, stamp) =>
    onItem(job, itemId, (item) => ({ ...item, flag: item.flag && { ...item.flag, settled: { ...stamp, how } } })),
  'measure-kept': (job, { itemId, kind, text }, stamp) =>
    onItem(job, itemId, (item) => ({
      ...item,
      kept: [...item.kept.filter((each) => each.kind !== kind), { kind, text, ...stamp, restored: null }],
    })),
  'measure-restored': (job, { itemId, kind, text }, stamp) =>
    onItem(job, itemId, (item) => ({
      ...item,
      kept: item.kept.map((each) => (each.kind === kind ? { ...each, restored: { text, ...stamp } } : each)),
    })),
  'object-dropped': (job, data, stamp) => ({ searches: [...job.searches, { ...data, ...stamp, ended: null }] }),
  'search-ended': (job, { id, ...ended }, stamp) => ({
    searches: job.searches.map((each) => (each.id === id ? { ...each, ended: { ...ended, ...stamp } } : each)),
  }),
  'hold-overridden': (job, data, stamp) => ({ overrides: [...job.overrides, { ...data, ...stamp }] }),
  'bench-finished': (job, data, stamp) => ({
    benchDone: [...job.benchDone.filter(({ itemId }) => itemId !== data.itemId), { ...data, ...stamp }],
  }),
  'order-broken': (job, data, stamp) => ({ brokenOrders: [...job.brokenOrders, { ...data, ...stamp }] }),
  'item-swapped-over': (job, { itemId }, stamp) => onItem(job, itemId, (item) => ({ ...item, swapped: stamp })),
  'step-taken': (job, { itemId }, stamp) => {
    const others = job.hands.filter(({ by }) => by !== stamp.by);
    return { hands: itemId === '' ? others : [...others, { itemId, ...stamp }] };
  },
  'tray-laid-out': (job, { rows, columns }) => ({ tray: { ...job.tray, rows, columns } }),
  'pocket-named': (job, { pocket, name }) => ({
    tray: { ...job.tray, names: { ...job.tray.names, [pocket]: name } },
  }),
  'thread-stripped': (job, { itemId, boltId, note }, stamp) =>
    onItem(job, itemId, (item) => ({
      ...item,
      // What the bolt reached before says nothing any more.
      bolts: item.bolts.filter((bolt) => bolt.boltId !== boltId),
      threads: [
        ...item.threads.filter((thread) => thread.boltId !== boltId),
        { boltId, note, ...stamp, repaired: null },
      ],
    })),
  'thread-repaired': (job, { itemId, boltId, route, note }, stamp) =>
    onItem(job, itemId, (item) => ({
      ...item,
      threads: item.threads.map((thread) =>
        thread.boltId === boltId ? { ...thread, repaired: { route, note, ...stamp } } : thread,
      ),
    })),
  'group-gone-over': (job, { itemId, moved, note }, stamp) =>
    onItem(job, itemId, (item) => ({ ...item, retorqued: { moved, note, ...stamp } })),
};
