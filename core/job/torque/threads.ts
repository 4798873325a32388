import { flag, id, keyOf, line, paragraph, record } from '../../shape/index.ts';
import { REPAIRS } from '../../torque/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { onItem } from '../items/item.ts';
import { itemOf, nameOf } from '../items/query.ts';
import { boltIds, isTight, strippedThreads } from './bolts.ts';

/** What {@link threadStripped} holds. */
export const threadStrippedShape = record({ itemId: id, boltId: id, note: paragraph });
/** A thread stripped. */
export const threadStripped = fact('thread-stripped', {
  shape: threadStrippedShape,
  means: (job, { itemId, boltId, note }, stamp) =>
    onItem(job, itemId, (item) => ({
      ...item,
      // What the bolt reached before says nothing any more.
      bolts: item.bolts.filter((bolt) => bolt.boltId !== boltId),
      threads: [
        ...item.threads.filter((thread) => thread.boltId !== boltId),
        { boltId, note, ...stamp, repaired: null },
      ],
    })),
  words: (data, job) => `${nameOf(job, data.itemId)}, bolt ${data.boltId}: thread stripped`,
  about: ({ itemId }) => itemId,
  sheet: 'Left over or unusual',
});

/** Says that a thread stripped. */
export const stripThread = command('strip-thread', {
  shape: threadStrippedShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined || !boltIds(item).includes(data.boltId))
      return refuse('no-such-bolt', 'There is no such bolt on this job.');
    return strippedThreads(item).some(({ boltId }) => boltId === data.boltId)
      ? refuse('already-there', 'That thread is noted as stripped already.')
      : accept(threadStripped.of(data));
  },
});

/** What {@link threadRepaired} holds. */
export const threadRepairedShape = record({ itemId: id, boltId: id, note: paragraph, route: keyOf(REPAIRS) });
/** A stripped thread was repaired. */
export const threadRepaired = fact('thread-repaired', {
  shape: threadRepairedShape,
  means: (job, { itemId, boltId, route, note }, stamp) =>
    onItem(job, itemId, (item) => ({
      ...item,
      threads: item.threads.map((thread) =>
        thread.boltId === boltId ? { ...thread, repaired: { route, note, ...stamp } } : thread,
      ),
    })),
  words: (data, job) => `${nameOf(job, data.itemId)}, bolt ${data.boltId}: ${lowerFirst(REPAIRS[data.route])}`,
  about: ({ itemId }) => itemId,
  way: 'back',
  sheet: 'Left over or unusual',
});

/** Says how a thread was repaired. */
export const repairThread = command('repair-thread', {
  shape: threadRepairedShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    return item === undefined || !strippedThreads(item).some(({ boltId }) => boltId === data.boltId)
      ? refuse('not-there', 'No stripped thread is noted there.')
      : accept(threadRepaired.of(data));
  },
});

/** What {@link groupGoneOver} holds. */
export const groupGoneOverShape = record({ itemId: id, moved: flag, note: line });
/** A group was gone over again once it was cold. */
export const groupGoneOver = fact('group-gone-over', {
  shape: groupGoneOverShape,
  means: (job, { itemId, moved, note }, stamp) =>
    onItem(job, itemId, (item) => ({ ...item, retorqued: { moved, note, ...stamp } })),
  words: (data, job) => `${nameOf(job, data.itemId)} gone over${data.moved ? ', some moved' : ', none moved'}`,
  about: ({ itemId }) => itemId,
  sheet: 'Fasteners',
});

/** Goes over a group again. */
export const goOverGroup = command('go-over-group', {
  shape: groupGoneOverShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined || item.fasteners === null) return refuse('no-such-item', 'That item has no fasteners.');
    if (!boltIds(item).every((id) => isTight(item, id)))
      return refuse('not-tight', `${item.name} are not all at torque yet.`);
    return (
      (data.moved ? nonEmpty('note', data.note, 'Say which moved and how far.') : null) ??
      accept(groupGoneOver.of(data))
    );
  },
});
