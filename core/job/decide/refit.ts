import { type Quantity, parseQuantity, torqueNm } from '../../quantity/index.ts';
import { accept, type CommandData, type Context, type Decision, refuse, refuseField } from '../commands.ts';
import { event, type JobEvent } from '../events.ts';
import { blockers, boltIds, isAtTorque, itemOf } from '../query.ts';
import type { Job, JobItem } from '../types.ts';
import { judge } from '../../torque/index.ts';
import { type Handlers, nonEmpty } from './handlers.ts';

/** Refit and torque. */
export const refit: Handlers<'put-back-item' | 'confirm-connector' | 'leave-off-item' | 'tighten-bolt'> = {
  'put-back-item': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return refuse('no-such-item', `There is no item “${data.itemId}” on this job.`);
    return mayGoBack(job, item) ?? countsAgree(item, data.countedBack) ?? accept(event('item-put-back', data));
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
  'tighten-bolt': tighten,
};

function mayGoBack(job: Job, item: JobItem): Decision | null {
  if (item.origin === 'plug') return refuse('plug-must-come-out', `${item.name} is a plug; take it out instead.`);
  if (item.state !== 'off')
    return refuse('not-off', item.state === 'on' ? `${item.name} has not come off.` : `${item.name} is back already.`);
  const plugged = job.openings.find((opening) => item.opens.includes(opening.id) && opening.state === 'plugged');
  if (plugged !== undefined) {
    const plug = plugged.plugId === null ? undefined : itemOf(job, plugged.plugId);
    return refuse(
      'plug-still-in',
      `${plugged.name} still holds its plug: ${item.name} would bury it.`,
      `Take out ${plug?.name.toLowerCase() ?? 'the plug'} first.`,
    );
  }
  const waits = blockers(job, item.id);
  if (waits.length === 0) return null;
  const first = waits.map(({ item: before, reason }) => `${before.name} (${reason})`).join('; ');
  return refuse('must-wait', `${item.name} cannot go back yet.`, `First: ${first}.`);
}

function countsAgree(item: JobItem, countedBack: number | null): Decision | null {
  if (countedBack === null) return null;
  const out = item.countedOut ?? item.fasteners?.count ?? 0;
  return countedBack < 0 || countedBack > out
    ? refuseField('countedBack', `${out} came out; expected 0 to ${out} back, got ${countedBack}.`)
    : null;
}

function tighten(job: Job, data: CommandData['tighten-bolt'], context: Context): Decision {
  const item = itemOf(job, data.itemId);
  const group = item?.fasteners ?? null;
  if (item === undefined || group === null) return refuse('no-such-item', 'That item has no fasteners to tighten.');
  if (item.state === 'on') return refuse('not-off', `${item.name} have not come off.`);
  const ids = boltIds(item);
  if (!ids.includes(data.boltId)) return refuse('no-such-bolt', `There is no bolt “${data.boltId}” in ${item.name}.`);
  if (data.pass < 1 || data.pass > group.fractions.length)
    return refuseField('pass', `Expected pass 1 to ${group.fractions.length}, got ${data.pass}.`);
  const final = data.pass === group.fractions.length;
  const torque = readTorque(data);
  if (torque !== null && 'ok' in torque) return torque;
  const waits = item.state === 'off' ? mayGoBack(job, item) : null;
  if (waits !== null) return waits;
  const wrench = context.wrenches.find(({ id }) => id === data.wrenchId)?.name ?? '';
  const { torqueText: _, wrenchId: __, ...rest } = data;
  const tightened = event('bolt-tightened', {
    ...rest,
    final,
    torque,
    nm: torque === null ? null : torqueNm(torque),
    wrench,
  });
  return accept(tightened, ...goesBackWith(item, data, final, torque));
}

function readTorque({ method, torqueText }: CommandData['tighten-bolt']): Quantity | null | Decision {
  if (method === 'by-feel' && torqueText.trim() === '') return null;
  const parsed = parseQuantity(torqueText, 'torque');
  if (!parsed.ok) return refuseField('torqueText', parsed.message);
  if (parsed.upTo !== undefined)
    return refuseField('torqueText', 'Expected the figure that this bolt reached, got a range.');
  return parsed.quantity;
}

/** A group is back once its last bolt is at torque: nobody should have to say so twice. */
function goesBackWith(
  item: JobItem,
  data: CommandData['tighten-bolt'],
  final: boolean,
  torque: Quantity | null,
): JobEvent[] {
  const spec = item.fasteners?.spec ?? null;
  const good =
    spec === null ||
    torque === null ||
    judge(spec, { torque, method: data.method }).verdict === 'in band' ||
    data.method === 'by-feel';
  if (item.state !== 'off' || !final || !good) return [];
  const others = boltIds(item).filter((id) => id !== data.boltId);
  if (!others.every((id) => isAtTorque(item, id))) return [];
  return [event('item-put-back', { itemId: item.id, renewed: false, fitted: '', countedBack: null, confirmed: false })];
}
