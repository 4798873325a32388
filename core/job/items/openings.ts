import { id, line, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { opening } from '../shapes.ts';
import { change, nextPlace, onItem, plugItem } from './item.ts';
import { notHere } from './listing.ts';
import { closerOf, isBack, itemOf, nameOf, openingIn } from './query.ts';
import type { Job } from '../job.ts';
import type { JobItem, JobOpening } from './state.ts';

/**
 * A plug takes the next place. Where a step of the way back belongs to what closes its opening, it stands before that
 * step: the face is cleaned while the plug is in, and the string stays straight.
 */
function plugIn(job: Job, openingId: string, make: (place: number) => JobItem): readonly JobItem[] {
  const closer = closerOf(job, openingId);
  const steps = job.items.filter(({ backBefore, state }) => backBefore === closer?.id && state === 'off');
  if (closer?.stripOrder == null || steps.length === 0) return [...job.items, make(nextPlace(job))];
  const after = closer.stripOrder;
  return [
    ...job.items.map((item) =>
      item.stripOrder !== null && item.stripOrder > after ? { ...item, stripOrder: item.stripOrder + 1 } : item,
    ),
    make(after + 1),
  ];
}

/** What {@link openingPlugged} holds. */
export const openingPluggedShape = record({ openingId: id, plugId: id, what: line });
/** An opening was plugged; the plug is an item that must come out. */
export const openingPlugged = fact('opening-plugged', {
  shape: openingPluggedShape,
  means: (job, { openingId, plugId, what }, stamp) => ({
    items: plugIn(job, openingId, (place) => plugItem(plugId, what, place, stamp)),
    openings: job.openings.map((opening) =>
      opening.id === openingId ? { ...opening, state: 'plugged', plugId } : opening,
    ),
  }),
  words: (data, job) => `${openingIn(job, data.openingId)} plugged`,
  about: ({ openingId }, job) => closerOf(job, openingId)?.id ?? null,
  way: 'off',
  sheet: { no: 'what is open or plugged holds the engine; once closed it is as it was' },
});

/** Plugs an opening. */
export const plugOpening = command('plug-opening', {
  shape: openingPluggedShape,
  decide: (job, data) => {
    const opening = job.openings.find(({ id }) => id === data.openingId);
    if (opening === undefined) return refuse('no-such-opening', 'That opening is not part of this job.');
    if (opening.state !== 'open') {
      return refuse(
        'not-open',
        `${opening.name} is ${opening.state}.`,
        opening.state === 'whole' ? `It opens when ${closerOf(job, opening.id)?.name ?? 'its part'} comes off.` : '',
      );
    }
    return (
      nonEmpty('what', data.what, 'What plugs it: a cap, a bung, a clean cloth?') ?? accept(openingPlugged.of(data))
    );
  },
});

/** What {@link openingUnplugged} holds. */
export const openingUnpluggedShape = record({ openingId: id });
/** The plug came out. */
export const openingUnplugged = fact('opening-unplugged', {
  shape: openingUnpluggedShape,
  means: (job, { openingId }, stamp) => {
    const plugId = job.openings.find(({ id }) => id === openingId)?.plugId ?? '';
    const closer = closerOf(job, openingId);
    return {
      items: change(job.items, plugId, (item) => ({ ...item, state: 'refitted', back: stamp })),
      openings: job.openings.map((opening) =>
        opening.id === openingId
          ? { ...opening, state: closer !== undefined && isBack(closer) ? 'closed' : 'open' }
          : opening,
      ),
    };
  },
  words: (data, job) => `${nameOf(job, job.openings.find(({ id }) => id === data.openingId)?.plugId ?? '')} out`,
  about: ({ openingId }, job) => closerOf(job, openingId)?.id ?? null,
  way: 'back',
  sheet: { no: 'what is open or plugged holds the engine; once closed it is as it was' },
});

/** Takes the plug out. */
export const unplugOpening = command('unplug-opening', {
  shape: openingUnpluggedShape,
  decide: (job, data) => {
    const opening = job.openings.find(({ id }) => id === data.openingId);
    if (opening === undefined) return refuse('no-such-opening', 'That opening is not part of this job.');
    if (opening.state !== 'plugged') return refuse('not-plugged', `${opening.name} holds no plug.`);
    const cover = closerOf(job, opening.id);
    return cover !== undefined && isBack(cover)
      ? refuse('buried', `${cover.name} covers it.`, `Take off ${cover.name.toLowerCase()} again first.`)
      : accept(openingUnplugged.of(data));
  },
});

/** What {@link openingAdded} holds. */
export const openingAddedShape = record({ itemId: id, opening });
/** An item leaves an opening that no procedure lists. */
export const openingAdded = fact('opening-added', {
  shape: openingAddedShape,
  means: (job, { itemId, opening }) => {
    const item = itemOf(job, itemId);
    const added: JobOpening = {
      ...opening,
      // What stays connected leaves nothing open.
      state:
        item === undefined || item.state === 'on' || item.aside !== null
          ? 'whole'
          : item.state === 'off'
            ? 'open'
            : 'closed',
      plugId: null,
    };
    return {
      ...onItem(job, itemId, (each) => ({ ...each, opens: [...each.opens, opening.id] })),
      openings: [...job.openings, added],
    };
  },
  words: (data) => `${data.opening.name} noted as opening`,
  about: ({ itemId }) => itemId,
  sheet: { no: 'what is open or plugged holds the engine; once closed it is as it was' },
});

/** Says that an item leaves an opening. */
export const addOpening = command('add-opening', {
  shape: openingAddedShape,
  decide: (job, data) => {
    if (itemOf(job, data.itemId) === undefined) return notHere(data.itemId);
    const missing = nonEmpty('name', data.opening.name, 'What does it leave open?');
    if (missing) return missing;
    return job.openings.some(({ id }) => id === data.opening.id)
      ? refuse('already-there', `${data.opening.name} is listed already.`)
      : accept(openingAdded.of({ ...data, opening: { ...data.opening, name: data.opening.name.trim() } }));
  },
});
