import { accept, type CommandData, type Decision, refuse, refuseField } from '../commands.ts';
import { event } from '../events.ts';
import { jobLocks, lockWords } from '../plans.ts';
import { itemOf } from '../query.ts';
import type { Job, JobItem } from '../types.ts';
import { type Handlers, nonEmpty } from './handlers.ts';

/** Going back. */
export const refit: Handlers<
  'put-back-item' | 'confirm-connector' | 'leave-off-item' | 'finish-bench' | 'swap-over' | 'take-step'
> = {
  'put-back-item': (job, data, _, at) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return refuse('no-such-item', `There is no item “${data.itemId}” on this job.`);
    return (
      isOff(item) ??
      countsAgree(item, data.countedBack) ??
      swappedFirst(job, item, data.renewed) ??
      putBack(job, item, data, at)
    );
  },
  'confirm-connector': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined || item.kind !== 'connector')
      return refuse('no-such-item', 'That is not a connector on this job.');
    return item.confirmed
      ? refuse('already-there', `${item.name} is confirmed already.`)
      : accept(event('connector-confirmed', data));
  },
  'leave-off-item': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined || item.state !== 'off') return refuse('not-off', 'Only what is off can be left off.');
    if (item.origin === 'plug') return refuse('plug-must-come-out', `${item.name} must come out: it cannot stay in.`);
    return (
      nonEmpty('reason', data.reason, 'Say why it stays off: the sheet carries it.') ??
      accept(event('item-left-off', data))
    );
  },
  'finish-bench': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return refuse('no-such-item', `There is no item “${data.itemId}” on this job.`);
    if (item.state === 'on') return refuse('not-off', `${item.name} has not come off.`);
    return job.benchDone.some(({ itemId }) => itemId === item.id)
      ? refuse('already-there', `The bench work on ${item.name.toLowerCase()} is finished already.`)
      : accept(event('bench-finished', data));
  },
  'swap-over': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item?.swapFrom === undefined) return refuse('no-such-item', 'That does not move from one unit to another.');
    return item.swapped === null
      ? accept(event('item-swapped-over', data))
      : refuse('already-there', `${item.name} was moved over already.`);
  },
  'take-step': (job, data) => {
    if (data.itemId === '') return accept(event('step-taken', data));
    const item = itemOf(job, data.itemId);
    return item === undefined
      ? refuse('no-such-item', `There is no item “${data.itemId}” on this job.`)
      : accept(event('step-taken', data));
  },
};

/** A refusal unless the item is off and is not a plug. */
export function isOff(item: JobItem): Decision | null {
  if (item.origin === 'plug') return refuse('plug-must-come-out', `${item.name} is a plug; take it out instead.`);
  if (item.state === 'off') return null;
  return refuse('not-off', item.state === 'on' ? `${item.name} has not come off.` : `${item.name} is back already.`);
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
function putBack(job: Job, item: JobItem, data: CommandData['put-back-item'], at: string | null): Decision {
  const waits = mayGoBack(job, item, at);
  const against = data.against?.trim() ?? '';
  if (waits === null) return accept(event('item-put-back', data));
  if (against === '') return waits;
  const plugged = buriedPlug(job, item);
  const over = [
    ...(plugged?.plugId ? [{ item: plugged.plugId, reason: `it sits in ${plugged.name.toLowerCase()}` }] : []),
    ...jobLocks(job, item.id, at).flatMap((lock) =>
      lock.kind === 'before' ? [{ item: lock.item, reason: lock.reason }] : [],
    ),
  ];
  return accept(event('item-put-back', data), event('order-broken', { itemId: item.id, over, reason: against }));
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
