import type { ProcedureItem } from '../../procedure/index.ts';
import { planRefit } from '../../refit/index.ts';
import { id, line, list, paragraph, record, type TypeOf } from '../../shape/index.ts';
import { isSpec, specFromText } from '../../torque/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, type Refusal, refuse, refuseField } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { beforeConstraint, item } from '../shapes.ts';
import { comesOff, stepsWait } from './backSteps.ts';
import { change, freshItem } from './item.ts';
import { jobConstraints } from './plans.ts';
import { itemOf, leftColumn, nameOf } from './query.ts';
import { unitItems } from './units.ts';

/** What {@link itemAdded} holds. */
export const itemAddedShape = record({ item, unitIds: list(id, { high: 50 }) });
const addItemShape = record({ item });
/** Which units of the vehicle a typed item is. */
const added = (job: Job | null, { item }: TypeOf<typeof addItemShape>): TypeOf<typeof itemAddedShape> => ({
  item,
  unitIds: unitItems([...(job?.items ?? []), item], job?.vehicle.units ?? []).flatMap(({ itemId, unitId }) =>
    itemId === item.id ? [unitId] : [],
  ),
});
/** An item that no procedure lists was typed. */
export const itemAdded = fact('item-added', {
  shape: itemAddedShape,
  // At first an item was known to be a unit by its name.
  earlier: [earlier(addItemShape, (held, job) => added(job, held))],
  means: (job, { item, unitIds }, stamp) => {
    const items = [...job.items, { ...freshItem(item, 'typed'), unitIds }];
    const cue = item.backBefore === undefined ? undefined : itemOf(job, item.backBefore);
    return { items: cue?.state === 'off' ? stepsWait(items, cue.id, stamp, ({ id }) => id === item.id) : items };
  },
  words: (data) => `Added: ${lowerFirst(data.item.name)}`,
  sheet: { no: 'it stands there once it comes off' },
});

/** Adds an item. */
export const addItem = command('add-item', {
  shape: addItemShape,
  decide: (job, { item }) => {
    const missing = nonEmpty('name', item.name, 'Give it a name, such as “coolant hose, left”.') ?? cueless(job, item);
    if (missing) return missing;
    if (itemOf(job, item.id) !== undefined) return refuse('already-there', `${item.name} is already listed.`);
    if (job.items.some(({ name }) => name.toLowerCase() === item.name.trim().toLowerCase())) {
      return refuseField(
        'name',
        `There is a “${item.name.trim()}” already. Tell them apart: left, right, upper, rear.`,
      );
    }
    const text = item.fasteners?.spec?.text;
    if (text !== undefined) {
      const spec = specFromText(text, null);
      if (!isSpec(spec)) return refuseField('torque', spec.message);
    }
    return accept(itemAdded.of(added(job, { item: { ...item, name: item.name.trim() } })));
  },
});

/** A step of the way back belongs to something that comes off. */
function cueless(job: Job, { backBefore }: ProcedureItem): Refusal | null {
  if (backBefore === undefined) return null;
  const cue = itemOf(job, backBefore);
  if (cue === undefined) return notHere(backBefore);
  return comesOff(cue) ? null : refuseField('backBefore', `${cue.name} does not come off: before what is it done?`);
}

/** What {@link constraintAdded} holds. */
export const constraintAddedShape = record({ constraint: beforeConstraint });
/** A reason for the order back was found. */
export const constraintAdded = fact('constraint-added', {
  shape: constraintAddedShape,
  means: (job, { constraint }) => ({ constraints: [...job.constraints, constraint] }),
  words: (data, job) =>
    `Order: ${lowerFirst(nameOf(job, data.constraint.a))} before ${lowerFirst(nameOf(job, data.constraint.b))}`,
  sheet: { no: 'it orders the way back; the procedure keeps it' },
});

/** Says that one item goes back before another, and why. */
export const addConstraint = command('add-constraint', {
  shape: constraintAddedShape,
  decide: (job, { constraint }) => {
    const a = itemOf(job, constraint.a);
    const b = itemOf(job, constraint.b);
    if (a === undefined || b === undefined) return notHere(a === undefined ? constraint.a : constraint.b);
    const missing = nonEmpty('reason', constraint.reason, 'Say why, in a few words: the string carries it.');
    if (missing) return missing;
    const plan = planRefit(
      leftColumn(job).map(({ id, name }, index) => ({ id, name, stripOrder: index + 1 })),
      [...jobConstraints(job), constraint],
    );
    if (plan.ok) return accept(constraintAdded.of({ constraint }));
    const chain = plan.cycle
      .map(({ from, to, reason }) => `${nameOf(job, from)} before ${nameOf(job, to)} (${reason})`)
      .join('; ');
    return refuse('goes-in-a-circle', `That goes round in a circle: ${chain}.`, 'Leave out one of these.');
  },
});

/** What {@link itemRemarked} holds. */
export const itemRemarkedShape = record({ itemId: id, pocket: line, label: line, remark: paragraph });
/** Pocket, tag or remark of an item was written anew. */
export const itemRemarked = fact('item-remarked', {
  shape: itemRemarkedShape,
  means: (job, { itemId, pocket, label, remark }) => ({
    items: change(job.items, itemId, (item) => ({ ...item, pocket, label, remark })),
  }),
  words: (data, job) => `${nameOf(job, data.itemId)}: marked`,
  about: ({ itemId }) => itemId,
  sheet: { no: 'an item that is still on is not printed' },
});

/** Writes pocket, tag and remark of an item. */
export const remarkItem = command('remark-item', {
  shape: itemRemarkedShape,
  decide: (job, data) =>
    itemOf(job, data.itemId) === undefined ? notHere(data.itemId) : accept(itemRemarked.of(data)),
});

/** There is no such item on the job. */
export const notHere = (id: string) =>
  refuse('no-such-item', `There is no item “${id}” on this job.`, 'Add it first, by typing its name.');
