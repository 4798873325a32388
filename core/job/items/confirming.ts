import { id, idOrNone, line, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { change, onItem } from './item.ts';
import { itemOf, nameOf } from './query.ts';

/** What {@link connectorConfirmed} holds. */
export const connectorConfirmedShape = record({ itemId: id });
/** A connector’s lock was felt. */
export const connectorConfirmed = fact('connector-confirmed', {
  shape: connectorConfirmedShape,
  means: (job, { itemId }) => ({
    items: change(job.items, itemId, (item) => ({ ...item, confirmed: true })),
  }),
  words: (data, job) => `${nameOf(job, data.itemId)} lock felt`,
  about: ({ itemId }) => itemId,
  way: 'back',
  sheet: { no: 'only one that was not felt holds the engine' },
});

/** Confirms the lock of a connector. */
export const confirmConnector = command('confirm-connector', {
  shape: connectorConfirmedShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined || item.kind !== 'connector')
      return refuse('no-such-item', 'That is not a connector on this job.');
    return item.confirmed
      ? refuse('already-there', `${item.name} is confirmed already.`)
      : accept(connectorConfirmed.of(data));
  },
});

/** What {@link itemLeftOff} holds. */
export const itemLeftOffShape = record({ itemId: id, reason: line });
/** An item stays off on purpose. */
export const itemLeftOff = fact('item-left-off', {
  shape: itemLeftOffShape,
  means: (job, { itemId, reason }, stamp) => ({
    items: change(job.items, itemId, (item) => ({ ...item, state: 'left-off', back: stamp, remark: reason })),
  }),
  words: ({ itemId }, job) =>
    `${nameOf(job, itemId)} left ${itemOf(job, itemId)?.backBefore === undefined ? 'off' : 'out'}`,
  about: ({ itemId }) => itemId,
  sheet: 'Left over or unusual',
});

/** Leaves an item off on purpose. */
export const leaveOffItem = command('leave-off-item', {
  shape: itemLeftOffShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined || item.state !== 'off') return refuse('not-off', 'Only what is off can be left off.');
    if (item.origin === 'plug') return refuse('plug-must-come-out', `${item.name} must come out: it cannot stay in.`);
    return (
      nonEmpty(
        'reason',
        data.reason,
        `Say why it ${item.backBefore === undefined ? 'stays off' : 'is left out'}: the sheet carries it.`,
      ) ?? accept(itemLeftOff.of(data))
    );
  },
});

/** What {@link itemSwappedOver} holds. */
export const itemSwappedOverShape = record({ itemId: id });
/** A part was moved from the old unit to the new one. */
export const itemSwappedOver = fact('item-swapped-over', {
  shape: itemSwappedOverShape,
  means: (job, { itemId }, stamp) => onItem(job, itemId, (item) => ({ ...item, swapped: stamp })),
  words: (data, job) => `${nameOf(job, data.itemId)} moved over`,
  about: ({ itemId }) => itemId,
  way: 'back',
  sheet: { no: 'it is part of replacing the unit' },
});

/** Moves a part over to the new unit. */
export const swapOver = command('swap-over', {
  shape: itemSwappedOverShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item?.swapFrom === undefined) return refuse('no-such-item', 'That does not move from one unit to another.');
    return item.swapped === null
      ? accept(itemSwappedOver.of(data))
      : refuse('already-there', `${item.name} was moved over already.`);
  },
});

/** What {@link benchFinished} holds. */
export const benchFinishedShape = record({ itemId: id, note: line });
/** The work on a unit is finished: it may go back. */
export const benchFinished = fact('bench-finished', {
  shape: benchFinishedShape,
  means: (job, data, stamp) => ({
    unitWorkDone: [...job.unitWorkDone.filter(({ itemId }) => itemId !== data.itemId), { ...data, ...stamp }],
  }),
  words: (data, job) => `${nameOf(job, data.itemId)}: bench work finished`,
  about: ({ itemId }) => itemId,
  sheet: { no: 'the passes and findings of the unit say more' },
});

/** Says that the work on a unit is finished. */
export const finishBench = command('finish-bench', {
  shape: benchFinishedShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return refuse('no-such-item', `There is no item “${data.itemId}” on this job.`);
    if (item.state === 'on') return refuse('not-off', `${item.name} has not come off.`);
    return job.unitWorkDone.some(({ itemId }) => itemId === item.id)
      ? refuse('already-there', `The bench work on ${item.name.toLowerCase()} is finished already.`)
      : accept(benchFinished.of(data));
  },
});

/** What {@link stepTaken} holds. */
export const stepTakenShape = record({ itemId: idOrNone });
/** A person has a step in hand; none when it is put down. */
export const stepTaken = fact('step-taken', {
  shape: stepTakenShape,
  means: (job, { itemId }, stamp) => {
    const others = job.hands.filter(({ by }) => by !== stamp.by);
    return { hands: itemId === '' ? others : [...others, { itemId, ...stamp }] };
  },
  words: (data, job) => (data.itemId === '' ? 'Step put down' : `${nameOf(job, data.itemId)} in hand`),
  about: ({ itemId }) => itemId,
  undo: { keeps: ['hands'] },
  sheet: { no: 'it is over with the step' },
});

/** Takes a step in hand, or puts it down. */
export const takeStep = command('take-step', {
  shape: stepTakenShape,
  decide: (job, data) => {
    if (data.itemId === '') return accept(stepTaken.of(data));
    const item = itemOf(job, data.itemId);
    return item === undefined
      ? refuse('no-such-item', `There is no item “${data.itemId}” on this job.`)
      : accept(stepTaken.of(data));
  },
});
