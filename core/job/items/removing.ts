import {
  id,
  line,
  list,
  number,
  optional,
  orNull,
  record,
  type TypeOf,
  whole,
  wholeWithin,
} from '../../shape/index.ts';
import { isBackStep } from '../../procedure/index.ts';
import { command } from '../command.ts';
import { accept, type Refusal, refuse, refuseField } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { asItWas } from './aside.ts';
import { stepsWait } from './backSteps.ts';
import { change, nextPlace, onItem, setOpenings } from './item.ts';
import { notHere } from './listing.ts';
import { itemOf, nameOf } from './query.ts';
import type { JobItem } from './state.ts';

/** What {@link itemRemoved} holds. */
export const itemRemovedShape = record({
  itemId: id,
  pocket: line,
  label: line,
  countedOut: orNull(whole),
  /** Left in to hold the weight. */
  stayIn: wholeWithin({ low: 0 }),
  /** Counted out by length; empty where they were not. */
  lengthsOut: list(record({ lengthMm: number, count: wholeWithin({ low: 0 }) }), { high: 20 }),
});
/** What a person says of it: what stays in and how many of each length need not be said. */
const removeItemShape = record({
  ...itemRemovedShape.fields,
  stayIn: optional(itemRemovedShape.fields.stayIn),
  lengthsOut: optional(itemRemovedShape.fields.lengthsOut),
});
const inFull = ({
  stayIn = 0,
  lengthsOut = [],
  ...rest
}: TypeOf<typeof removeItemShape>): TypeOf<typeof itemRemovedShape> => ({ ...rest, stayIn, lengthsOut });
/** An item came off. */
export const itemRemoved = fact('item-removed', {
  shape: itemRemovedShape,
  // At first nothing stayed in, and lengths were not told apart.
  earlier: [earlier(removeItemShape, inFull)],
  means: (job, data, stamp) => {
    const known = itemOf(job, data.itemId);
    const opens = known === undefined ? [] : asItWas(known).opens;
    const items = change(job.items, data.itemId, (item) => ({
      ...asItWas(item),
      state: 'off',
      off: stamp,
      back: null,
      stripOrder: item.stripOrder ?? nextPlace(job),
      pocket: data.pocket || item.pocket,
      label: data.label || item.label,
      countedOut: data.countedOut,
      countedBack: null,
      confirmed: false,
      bolts: [],
      fitted: '',
      stayingIn: data.stayIn,
      lengthsOut: data.lengthsOut,
      swapped: null,
      retorqued: null,
      kept: item.kept.map((each) => ({ ...each, restored: null })),
    }));
    return {
      items: stepsWait(items, data.itemId, stamp),
      openings: setOpenings(job.openings, opens, 'open'),
      // Off again: what it covered can be reached.
      brokenOrders: job.brokenOrders.filter(({ itemId }) => itemId !== data.itemId),
      hands: job.hands.filter(({ itemId }) => itemId !== data.itemId),
    };
  },
  words: (data, job) => `${nameOf(job, data.itemId)} off`,
  about: ({ itemId }) => itemId,
  way: 'off',
  sheet: 'Came off and went back',
});

/** Takes an item off. */
export const removeItem = command('remove-item', {
  shape: removeItemShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return notHere(data.itemId);
    if (item.origin === 'plug')
      return refuse('not-an-item', `${item.name} is a plug.`, 'Plug the opening again: then it is counted as in.');
    if (isBackStep(item)) return refuse('not-an-item', `${item.name} is a step of the way back: it never comes off.`);
    if (item.state === 'off' && item.aside === null) return refuse('already-off', `${item.name} is off already.`);
    const count = asItWas(item).fasteners?.count ?? 0;
    if (data.countedOut !== null && (data.countedOut < 0 || data.countedOut > Math.max(count * 2, 99))) {
      return refuseField('countedOut', `Expected 0 to ${Math.max(count * 2, 99)} fasteners, got ${data.countedOut}.`);
    }
    const untold = alikeWithoutTag(job, item, data.label);
    if (untold !== null) return untold;
    const stay = data.stayIn ?? 0;
    if (stay > 0 && stay >= count)
      return refuseField('stayIn', `Expected fewer than the ${count} to stay in, got ${stay}.`);
    const byLength = (data.lengthsOut ?? []).reduce((sum, each) => sum + each.count, 0);
    if ((data.lengthsOut ?? []).length > 0 && data.countedOut !== null && byLength !== data.countedOut)
      return refuseField('lengthsOut', `${data.countedOut} came out, but the lengths add up to ${byLength}.`);
    const held = holdsWeight(job, item);
    if (held !== null) return held;
    return accept(itemRemoved.of(inFull(data)));
  },
});

/** Look-alikes are told apart by a tag: their names alone will not do on the bench. */
function alikeWithoutTag(job: Job, item: JobItem, label: string): Refusal | null {
  if (item.alike === undefined || item.alike === '') return null;
  const others = job.items.filter(({ alike, id }) => alike === item.alike && id !== item.id);
  if (others.length === 0) return null;
  const tag = label.trim() === '' ? item.label : label.trim();
  if (tag === '')
    return refuseField(
      'label',
      `It looks like ${others[0]?.name.toLowerCase() ?? 'another'}. Tag it: left, right, upper.`,
    );
  const same = others.find((other) => other.label.toLowerCase() === tag.toLowerCase());
  return same === undefined ? null : refuseField('label', `${same.name} has that tag already.`);
}

/** A unit whose last two bolts are still in cannot have come off. */
function holdsWeight(job: Job, item: JobItem): Refusal | null {
  if (item.kind !== 'unit') return null;
  const holding = job.items.find(
    (each) =>
      each.stayingIn > 0 &&
      each.state === 'off' &&
      job.constraints.some(
        (constraint) => constraint.kind === 'before' && constraint.a === item.id && constraint.b === each.id,
      ),
  );
  return holding === undefined
    ? null
    : refuse(
        'held-by-bolts',
        `${holding.name}: ${holding.stayingIn} still hold it.`,
        'Take the rest out first, with a hand under it.',
      );
}

/** What {@link restTakenOut} holds. */
export const restTakenOutShape = record({ itemId: id });
/** The fasteners that had stayed in to hold the weight came out. */
export const restTakenOut = fact('rest-taken-out', {
  shape: restTakenOutShape,
  means: (job, { itemId }) => onItem(job, itemId, (item) => ({ ...item, stayingIn: 0 })),
  words: (data, job) => `${nameOf(job, data.itemId)}: the rest out`,
  about: ({ itemId }) => itemId,
  way: 'off',
  sheet: { no: 'the counts say so' },
});

/** Takes out the fasteners that held the weight. */
export const takeOutRest = command('take-out-rest', {
  shape: restTakenOutShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return notHere(data.itemId);
    return item.stayingIn > 0 ? accept(restTakenOut.of(data)) : refuse('not-there', `${item.name}: none were left in.`);
  },
});
