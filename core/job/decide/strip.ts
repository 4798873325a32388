import { isSpec, specFromText } from '../../torque/index.ts';
import { accept, type Refusal, refuse, refuseField } from '../commands.ts';
import { event } from '../events.ts';
import { allNeeds } from '../needs.ts';
import { jobConstraints } from '../plans.ts';
import { closerOf, isBack, itemOf, leftColumn } from '../query.ts';
import type { Job, JobItem } from '../types.ts';
import { planRefit } from '../../refit/index.ts';
import { type Handlers, nonEmpty, plain } from './handlers.ts';

const notHere = (id: string) =>
  refuse('no-such-item', `There is no item “${id}” on this job.`, 'Add it first, by typing its name.');

/** Prepare and strip. */
export const strip: Handlers<
  | 'pin-procedure'
  | 'tick-need'
  | 'add-item'
  | 'add-constraint'
  | 'remove-item'
  | 'remark-item'
  | 'plug-opening'
  | 'unplug-opening'
  | 'place-object'
  | 'take-object-out'
> = {
  'pin-procedure': (job, _, { procedure }) => {
    if (procedure === null) return refuse('no-such-procedure', 'That procedure is not in the library.');
    if (job.items.some(({ state }) => state !== 'on')) {
      return refuse(
        'already-stripping',
        'Things have come off by another procedure already.',
        'Put them back or undo, then choose again.',
      );
    }
    return accept(event('procedure-pinned', { procedure }));
  },
  'tick-need': (job, data) => {
    if (!allNeeds(job).some(({ id }) => id === data.needId))
      return refuse('not-there', 'Nothing of that name is on the list.');
    if (data.state === 'ordered' && data.expected === null)
      return refuseField('expected', 'On which day is it expected?');
    return accept(event('need-ticked', data));
  },
  'add-item': (job, { item }) => {
    const missing = nonEmpty('name', item.name, 'Give it a name, such as “coolant hose, left”.');
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
    return accept(event('item-added', { item: { ...item, name: item.name.trim() } }));
  },
  'add-constraint': (job, { constraint }) => {
    const a = itemOf(job, constraint.a);
    const b = itemOf(job, constraint.b);
    if (a === undefined || b === undefined) return notHere(a === undefined ? constraint.a : constraint.b);
    const missing = nonEmpty('reason', constraint.reason, 'Say why, in a few words: the string carries it.');
    if (missing) return missing;
    const plan = planRefit(
      leftColumn(job).map(({ id, name }, index) => ({ id, name, stripOrder: index + 1 })),
      [...jobConstraints(job), constraint],
    );
    if (plan.ok) return accept(event('constraint-added', { constraint }));
    const chain = plan.cycle
      .map(({ from, to, reason }) => `${nameOf(job, from)} before ${nameOf(job, to)} (${reason})`)
      .join('; ');
    return refuse('goes-in-a-circle', `That goes round in a circle: ${chain}.`, 'Leave out one of these.');
  },
  'remove-item': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return notHere(data.itemId);
    if (item.origin === 'plug')
      return refuse('not-an-item', `${item.name} is a plug.`, 'Plug the opening again: then it is counted as in.');
    if (item.state === 'off') return refuse('already-off', `${item.name} is off already.`);
    const count = item.fasteners?.count ?? 0;
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
    return accept(event('item-removed', data));
  },
  'remark-item': (job, data) =>
    itemOf(job, data.itemId) === undefined ? notHere(data.itemId) : accept(event('item-remarked', data)),
  'plug-opening': (job, data) => {
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
      nonEmpty('what', data.what, 'What plugs it: a cap, a bung, a clean cloth?') ??
      accept(event('opening-plugged', data))
    );
  },
  'unplug-opening': (job, data) => {
    const opening = job.openings.find(({ id }) => id === data.openingId);
    if (opening === undefined) return refuse('no-such-opening', 'That opening is not part of this job.');
    if (opening.state !== 'plugged') return refuse('not-plugged', `${opening.name} holds no plug.`);
    const cover = closerOf(job, opening.id);
    return cover !== undefined && isBack(cover)
      ? refuse('buried', `${cover.name} covers it.`, `Take off ${cover.name.toLowerCase()} again first.`)
      : accept(event('opening-unplugged', data));
  },
  'place-object': (job, data) =>
    nonEmpty('what', data.what, 'What is it: a rag, a tie, a hook?') ??
    nonEmpty('where', data.where, 'Where is it? Somebody else may have to find it.') ??
    (job.objects.some(({ id }) => id === data.id)
      ? refuse('already-there', 'That is counted already.')
      : plain('object-placed')(job, data)),
  'take-object-out': (job, data) => {
    const object = job.objects.find(({ id }) => id === data.id);
    return object === undefined || object.out
      ? refuse('not-there', 'That is out already.')
      : accept(event('object-taken-out', data));
  },
};

const nameOf = (job: Job, id: string): string => itemOf(job, id)?.name ?? id;

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
