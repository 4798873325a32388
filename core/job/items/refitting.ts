import { isBackStep } from '../../procedure/index.ts';
import { flag, id, line, list, optional, orNull, paragraph, record, type TypeOf, whole } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, type Decision, refuse, refuseField } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { change, setOpenings } from './item.ts';
import { jobLocks, lockWords } from './plans.ts';
import { itemOf, nameOf } from './query.ts';
import type { JobItem } from './state.ts';

/** What {@link itemPutBack} holds. */
export const itemPutBackShape = record({
  itemId: id,
  renewed: flag,
  fitted: line,
  countedBack: orNull(whole),
  confirmed: flag,
  /** Why it went on although something else must be on first; empty when nothing did. */
  against: paragraph,
});
/** What a person says of it. */
const putBackShape = record({ ...itemPutBackShape.fields, against: optional(paragraph) });
const inFull = ({ against = '', ...rest }: TypeOf<typeof putBackShape>): TypeOf<typeof itemPutBackShape> => ({
  ...rest,
  against,
});
/** An item went back, the same one or a new one. */
export const itemPutBack = fact('item-put-back', {
  shape: itemPutBackShape,
  // At first nothing went back against the order.
  earlier: [earlier(putBackShape, inFull)],
  means: (job, data, stamp) => ({
    items: change(job.items, data.itemId, (item) => ({
      ...item,
      state: data.renewed ? 'renewed' : 'refitted',
      back: stamp,
      fitted: data.fitted,
      countedBack: data.countedBack,
      confirmed: data.confirmed || item.confirmed,
      stayingIn: 0,
      // A new one brings its own threads and has nothing broken.
      threads: data.renewed ? [] : item.threads,
    })),
    openings: setOpenings(job.openings, itemOf(job, data.itemId)?.opens ?? [], 'closed'),
    hands: job.hands.filter(({ itemId }) => itemId !== data.itemId),
  }),
  words: ({ itemId, renewed }, job) => {
    const item = itemOf(job, itemId);
    return `${nameOf(job, itemId)}${item !== undefined && isBackStep(item) ? ': done' : renewed ? ' renewed' : ' back'}`;
  },
  about: ({ itemId }) => itemId,
  way: 'back',
  sheet: 'Came off and went back',
});

/** What {@link orderBroken} holds. */
export const orderBrokenShape = record({
  itemId: id,
  over: list(record({ item: id, reason: line }), { high: 2000 }),
  reason: paragraph,
});
/** An item went on although something else had to be on first. */
export const orderBroken = fact('order-broken', {
  shape: orderBrokenShape,
  means: (job, data, stamp) => ({ brokenOrders: [...job.brokenOrders, { ...data, ...stamp }] }),
  words: (data, job) => `${nameOf(job, data.itemId)} back before its turn`,
  about: ({ itemId }) => itemId,
  sheet: 'Left over or unusual',
});

/** Puts an item back; `against` says why it went on out of order. */
export const putBackItem = command('put-back-item', {
  shape: putBackShape,
  decide: (job, data, _, at) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return refuse('no-such-item', `There is no item “${data.itemId}” on this job.`);
    return (
      isOff(item) ??
      countsAgree(item, data.countedBack) ??
      swappedFirst(job, item, data.renewed) ??
      putBack(job, item, data, at)
    );
  },
});

/** A refusal unless the item is off and is not a plug. */
export function isOff(item: JobItem): Decision | null {
  if (item.origin === 'plug') return refuse('plug-must-come-out', `${item.name} is a plug; take it out instead.`);
  if (item.state === 'off') return null;
  const said = isBackStep(item)
    ? item.state === 'on'
      ? `${item.name} waits for nothing: what it comes before is still on.`
      : `${item.name} is done already.`
    : item.state === 'on'
      ? `${item.name} has not come off.`
      : `${item.name} is back already.`;
  return refuse('not-off', said);
}

/** The plug that an item would bury, if one is still in. */
const buriedPlug = (job: Job, item: JobItem): Job['openings'][number] | undefined =>
  job.openings.find((opening) => item.opens.includes(opening.id) && opening.state === 'plugged');

const minuteOf = (iso: string): string => iso.slice(0, 16).replace('T', ' ');

/** Why an item may not go back now, or null. */
export function mayGoBack(job: Job, item: JobItem, at: string | null): Decision | null {
  const plugged = buriedPlug(job, item);
  if (plugged !== undefined) {
    const plug = plugged.plugId === null ? undefined : itemOf(job, plugged.plugId);
    return refuse(
      'plug-still-in',
      `${plugged.name} still holds its plug: ${item.name} would bury it.`,
      `Take out ${plug?.name.toLowerCase() ?? 'the plug'} first.`,
    );
  }
  const locks = jobLocks(job, item.id, at);
  if (locks.length === 0) return null;
  const why = locks.map((lock) => lockWords(job, lock, minuteOf)).join(' ');
  return refuse('must-wait', `${item.name} cannot go back yet.`, why);
}

/** Puts it back; against the order only when the person says that it is so already, and then what it broke is kept. */
function putBack(job: Job, item: JobItem, data: TypeOf<typeof putBackShape>, at: string | null): Decision {
  const waits = mayGoBack(job, item, at);
  const against = data.against?.trim() ?? '';
  if (waits === null) return accept(itemPutBack.of(inFull(data)));
  if (against === '') return waits;
  const plugged = buriedPlug(job, item);
  const over = [
    ...(plugged?.plugId ? [{ item: plugged.plugId, reason: `it sits in ${plugged.name.toLowerCase()}` }] : []),
    ...jobLocks(job, item.id, at).flatMap((lock) =>
      lock.kind === 'before' ? [{ item: lock.item, reason: lock.reason }] : [],
    ),
  ];
  return accept(itemPutBack.of(inFull(data)), orderBroken.of({ itemId: item.id, over, reason: against }));
}

function countsAgree(item: JobItem, countedBack: number | null): Decision | null {
  if (countedBack === null) return null;
  const out = item.countedOut ?? item.fasteners?.count ?? 0;
  return countedBack < 0 || countedBack > out
    ? refuseField('countedBack', `${out} came out; expected 0 to ${out} back, got ${countedBack}.`)
    : null;
}

/** A new unit takes over what sat on the old one. */
function swappedFirst(job: Job, item: JobItem, renewed: boolean): Decision | null {
  if (!renewed || item.kind !== 'unit') return null;
  const still = job.items.filter(({ swapFrom, swapped }) => swapFrom === item.id && swapped === null);
  return still.length === 0
    ? null
    : refuse(
        'swap-first',
        `Still on the old one: ${still.map(({ name }) => name.toLowerCase()).join(', ')}.`,
        'Move it over to the new one, then fit it.',
      );
}
