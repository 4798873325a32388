import { comesOffAfter, OFF_REASONS, type OffReason } from '../../procedure/index.ts';
import { id, keyOf, line, record } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { comesOff } from './backSteps.ts';
import { onItem } from './item.ts';
import { notHere } from './listing.ts';
import { itemOf, nameOf } from './query.ts';
import type { JobItem } from './state.ts';

/** What {@link offOrderSaid} holds: what comes off before an item, and why. */
export const offOrderSaidShape = record({ itemId: id, first: id, kind: keyOf(OFF_REASONS), reason: line });
/** A reason for the order of coming off was found. */
export const offOrderSaid = fact('off-order-said', {
  shape: offOrderSaidShape,
  means: (job, { itemId, first, kind, reason }) =>
    onItem(job, itemId, (item) => ({
      ...item,
      offAfter: [...(item.offAfter ?? []).filter((each) => each.item !== first), { item: first, kind, reason }],
    })),
  words: (data, job) =>
    `Off first: ${lowerFirst(nameOf(job, data.first))}, then ${lowerFirst(nameOf(job, data.itemId))}`,
  about: ({ itemId }) => itemId,
  sheet: { no: 'it orders the way off; the procedure keeps it' },
});

/** Says that something comes off before an item. */
export const sayOffOrder = command('say-off-order', {
  shape: offOrderSaidShape,
  decide: (job, { reason, ...data }) => {
    const [item, first] = [itemOf(job, data.itemId), itemOf(job, data.first)];
    if (item === undefined || first === undefined) return notHere(item === undefined ? data.itemId : data.first);
    if (!comesOff(item) || !comesOff(first))
      return refuse('not-an-item', `${comesOff(item) ? first.name : item.name} does not come off.`);
    if (item.id === first.id) return refuseField('first', `${item.name} cannot come off before itself.`);
    return comesOffAfter(job.items, first.id, item.id)
      ? refuseField(
          'first',
          `${first.name} already waits for ${lowerFirst(item.name)}: that would go round in a circle.`,
        )
      : accept(offOrderSaid.of({ ...data, reason: reason.trim() }));
  },
});

/** What should come off before an item and is still on, with why. Advice: it can come off all the same. */
export const stillBefore = (job: Job, { offAfter = [] }: Pick<JobItem, 'offAfter'>): (OffReason & { name: string })[] =>
  offAfter.flatMap((each) => {
    const first = itemOf(job, each.item);
    return first?.state === 'on' ? [{ ...each, name: first.name }] : [];
  });

/** What should have come off before an item and came off after it, or not at all. */
export const offTooEarly = (job: Job, item: JobItem): OffReason[] => {
  const { offAfter = [], stripOrder } = item;
  if (stripOrder === null) return [];
  return offAfter.filter((each) => {
    const first = itemOf(job, each.item);
    return first !== undefined && (first.stripOrder === null || first.stripOrder > stripOrder);
  });
};

/** Why one thing comes off before another, in a few words. */
export const offReasonWords = ({ kind, reason }: Pick<OffReason, 'kind' | 'reason'>): string =>
  [OFF_REASONS[kind], reason].filter(Boolean).join(': ');
