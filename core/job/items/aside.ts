import { id, line, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { stepsWait } from './backSteps.ts';
import { change, nextPlace } from './item.ts';
import { notHere } from './listing.ts';
import { isBack, itemOf, nameOf } from './query.ts';
import type { JobItem } from './state.ts';

/** What {@link itemTiedAside} holds: which item, and where it is tied. */
export const itemTiedAsideShape = record({ itemId: id, where: line });
/** An item stays connected and was moved out of the way: nothing of it was undone, and it comes back to its place. */
export const itemTiedAside = fact('item-tied-aside', {
  shape: itemTiedAsideShape,
  means: (job, { itemId, where }, stamp) => ({
    items: stepsWait(
      change(job.items, itemId, (item) => ({
        ...item,
        state: 'off',
        off: stamp,
        back: null,
        stripOrder: item.stripOrder ?? nextPlace(job),
        pocket: '',
        // A connector whose lock nobody opened needs no second look.
        confirmed: true,
        // Nothing of it was undone: no fasteners to count, no opening, nothing to renew. What went back before, counted
        // and at torque, stays as it was recorded.
        ...(isBack(item) ? {} : { countedOut: null, countedBack: null, bolts: [], fasteners: null, fitted: '' }),
        swapped: null,
        opens: [],
        singleUse: false,
        aside: { where, fasteners: item.fasteners, opens: item.opens, singleUse: item.singleUse },
      })),
      itemId,
      stamp,
    ),
    hands: job.hands.filter((hand) => hand.itemId !== itemId),
  }),
  words: (data, job) => `${nameOf(job, data.itemId)} left connected, tied aside`,
  about: ({ itemId }) => itemId,
  way: 'off',
  sheet: 'Came off and went back',
});

/** Leaves an item connected and ties it aside. */
export const tieAside = command('tie-aside', {
  shape: itemTiedAsideShape,
  decide: (job, { itemId, where }) => {
    const item = itemOf(job, itemId);
    if (item === undefined) return notHere(itemId);
    if (item.origin === 'plug' || item.backBefore !== undefined)
      return refuse('not-an-item', `${item.name} does not come off.`);
    if (item.state === 'off')
      return refuse('already-off', `${item.name} is ${item.aside ? 'tied aside' : 'off'} already.`);
    return (
      nonEmpty('where', where, 'Where is it tied? It is looked for there: left wing, to the strut.') ??
      accept(itemTiedAside.of({ itemId, where: where.trim() }))
    );
  },
});

/** An item that had been tied aside as it is when it comes off after all. */
export const asItWas = (item: JobItem): JobItem =>
  item.aside === null
    ? item
    : {
        ...item,
        fasteners: item.aside.fasteners,
        opens: item.aside.opens,
        singleUse: item.aside.singleUse,
        aside: null,
      };
