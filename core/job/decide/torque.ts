import { type Quantity, parseNumber, parseQuantity, torqueNm } from '../../quantity/index.ts';
import { accept, type CommandData, type Context, type Decision, refuse, refuseField } from '../commands.ts';
import { boltIds, boltOrder, boltVerdict, groupPasses, isAtTorque, strippedThreads, wantsPass } from '../bolts.ts';
import { event, type EventData, type JobEvent } from '../events.ts';
import { itemOf } from '../query.ts';
import type { Job, JobItem } from '../types.ts';
import { type Handlers, nonEmpty } from './handlers.ts';
import { mayGoBack } from './refit.ts';

/** Tightening, and threads that fail. */
export const torque: Handlers<'tighten-bolt' | 'tighten-pass' | 'strip-thread' | 'repair-thread' | 'go-over-group'> = {
  'tighten-bolt': (job, data, context, at) => {
    const item = itemOf(job, data.itemId);
    const wrong = passProblem(item, data.pass);
    if (wrong !== null || item === undefined) return wrong ?? refuse('no-such-item', 'There is no such item.');
    if (!boltIds(item).includes(data.boltId))
      return refuse('no-such-bolt', `There is no bolt “${data.boltId}” in ${item.name}.`);
    return tighten(job, item, [data.boltId], data, context, at);
  },
  'tighten-pass': (job, data, context, at) => {
    const item = itemOf(job, data.itemId);
    const wrong = passProblem(item, data.pass);
    if (wrong !== null || item === undefined) return wrong ?? refuse('no-such-item', 'There is no such item.');
    const stripped = new Set(strippedThreads(item).map(({ boltId }) => boltId));
    const bolts = boltOrder(item).filter((id) => !stripped.has(id) && wantsPass(item, id, data.pass));
    return bolts.length === 0
      ? refuse('already-there', `Pass ${data.pass} of ${item.name} is done.`)
      : tighten(job, item, bolts, data, context, at);
  },
  'strip-thread': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined || !boltIds(item).includes(data.boltId))
      return refuse('no-such-bolt', 'There is no such bolt on this job.');
    return strippedThreads(item).some(({ boltId }) => boltId === data.boltId)
      ? refuse('already-there', 'That thread is noted as stripped already.')
      : accept(event('thread-stripped', data));
  },
  'repair-thread': (job, data) => {
    const item = itemOf(job, data.itemId);
    return item === undefined || !strippedThreads(item).some(({ boltId }) => boltId === data.boltId)
      ? refuse('not-there', 'No stripped thread is noted there.')
      : accept(event('thread-repaired', data));
  },
  'go-over-group': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined || item.fasteners === null) return refuse('no-such-item', 'That item has no fasteners.');
    if (!boltIds(item).every((id) => isAtTorque(item, id)))
      return refuse('not-tight', `${item.name} are not all at torque yet.`);
    return (
      (data.moved ? nonEmpty('note', data.note, 'Say which moved and how far.') : null) ??
      accept(event('group-gone-over', data))
    );
  },
};

/** What is wrong with tightening this item in this pass, or null. */
function passProblem(item: JobItem | undefined, pass: number): Decision | null {
  if (item === undefined || item.fasteners === null)
    return refuse('no-such-item', 'That item has no fasteners to tighten.');
  if (item.state === 'on') return refuse('not-off', `${item.name} have not come off.`);
  const last = groupPasses(item);
  return pass < 1 || pass > last ? refuseField('pass', `Expected pass 1 to ${last}, got ${pass}.`) : null;
}

type Entry = Pick<CommandData['tighten-pass'], 'pass' | 'method' | 'torqueText' | 'wrenchId' | 'adapter'>;

function tighten(
  job: Job,
  item: JobItem,
  bolts: readonly string[],
  entry: Entry,
  { wrenches }: Context,
  at: string | null,
): Decision {
  const stripped = strippedThreads(item).find(({ boltId }) => bolts.includes(boltId));
  if (stripped !== undefined)
    return refuse('thread-stripped', 'That thread stripped.', 'Repair it first, or replace the part.');
  const final = entry.pass === groupPasses(item);
  const spec = item.fasteners?.spec ?? null;
  const reached = final && spec !== null && spec.angleDeg !== null ? readAngle(entry) : readTorque(entry);
  if ('ok' in reached) return reached;
  const waits = item.state === 'off' ? mayGoBack(job, item, at) : null;
  if (waits !== null) return waits;
  const wrench = wrenches.find(({ id }) => id === entry.wrenchId)?.name ?? '';
  const events = bolts.map((boltId) =>
    event('bolt-tightened', {
      itemId: item.id,
      boltId,
      pass: entry.pass,
      method: entry.method,
      final,
      wrench,
      ...reached,
      ...(entry.adapter ? { adapter: entry.adapter } : {}),
    }),
  );
  return accept(...events, ...goesBackWith(item, events));
}

type Reached = Pick<EventData['bolt-tightened'], 'torque' | 'nm'> & { readonly angleDeg?: number };

function readTorque({ method, torqueText }: Entry): Reached | (Decision & { ok: false }) {
  if (method === 'by-feel' && torqueText.trim() === '') return { torque: null, nm: null };
  const parsed = parseQuantity(torqueText, 'torque');
  if (!parsed.ok) return refuseField('torqueText', parsed.message);
  if (parsed.upTo !== undefined)
    return refuseField('torqueText', 'Expected the figure that this bolt reached, got a range.');
  const torque: Quantity = parsed.quantity;
  return { torque, nm: torqueNm(torque) };
}

function readAngle({ method, torqueText }: Entry): Reached | (Decision & { ok: false }) {
  if (method === 'by-feel' && torqueText.trim() === '') return { torque: null, nm: null };
  const angleDeg = parseNumber(torqueText.replace(/°|deg(rees)?/i, ''));
  return Number.isFinite(angleDeg) && angleDeg > 0 && angleDeg <= 720
    ? { torque: null, nm: null, angleDeg }
    : refuseField('torqueText', 'Expected the angle turned, 1 to 720°.');
}

/** A group is back once its last bolt is at torque: nobody should have to say so twice. */
function goesBackWith(item: JobItem, events: readonly JobEvent[]): JobEvent[] {
  if (item.state !== 'off') return [];
  const after = events.reduce<JobItem>((now, { data }) => {
    const bolt = { ...(data as EventData['bolt-tightened']), at: '', by: '' };
    return { ...now, bolts: [...now.bolts.filter(({ boltId }) => boltId !== bolt.boltId), bolt] };
  }, item);
  const good = after.bolts.every((bolt) => !['under', 'over'].includes(boltVerdict(after, bolt)));
  if (!good || !boltIds(after).every((id) => isAtTorque(after, id))) return [];
  return [event('item-put-back', { itemId: item.id, renewed: false, fitted: '', countedBack: null, confirmed: false })];
}
