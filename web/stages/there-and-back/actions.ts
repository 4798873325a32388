import {
  type CommandData,
  type CommandType,
  type Job,
  type JobItem,
  isBack,
  nextBack,
  nextBolt,
  nextOff,
  type Refusal,
} from '../../../core/job/index.ts';
import { freshId } from '../../stores/job.ts';
import type { Way } from './layout.ts';
import type { TorqueStep } from './torqueStep.ts';

/** The one thing to do next with an item. */
export interface ItemAction {
  readonly label: string;
  readonly run: () => Refusal | null;
}

/** Sends a command; `useJob().send`. */
export type Send = <K extends CommandType>(type: K, data: CommandData[K]) => Refusal | null;

/** What the person typed beside the sheet, with what it is when nothing was typed. */
export interface Typed {
  readonly pocket: string;
  readonly label: string;
  readonly torqueText: string;
  readonly byFeel: boolean;
}

/** An opening that gapes: it is plugged before anything else is done. */
export const gaping = (job: Job): Job['openings'][number] | undefined =>
  job.openings.find(({ state }) => state === 'open');

/** What to do in strip: plug what gapes, else take the item off. Null when there is nothing to do with it. */
function stripAction(job: Job, item: JobItem, send: Send, typed: Typed): ItemAction | null {
  const open = gaping(job);
  if (open !== undefined) {
    return {
      label: `Plug ${open.name.toLowerCase()}: ${open.plugWith.toLowerCase()}`,
      run: () => send('plug-opening', { openingId: open.id, plugId: freshId(), what: open.plugWith }),
    };
  }
  if (item.state === 'off') return null;
  return {
    label: item.state === 'on' ? 'Take off' : 'Take off again',
    run: () =>
      send('remove-item', {
        itemId: item.id,
        pocket: typed.pocket,
        label: typed.label,
        countedOut: item.fasteners?.count ?? null,
      }),
  };
}

/** What to do in refit: take a plug out, record a bolt, or put the item back. */
function refitAction(job: Job, item: JobItem, send: Send, typed: Typed, step: TorqueStep | null): ItemAction | null {
  const plugged = job.openings.find(({ plugId, state }) => plugId === item.id && state === 'plugged');
  if (plugged !== undefined)
    return { label: 'Take it out', run: () => send('unplug-opening', { openingId: plugged.id }) };
  const torqueNow = step !== null && (item.kind === 'fasteners' || item.state !== 'off');
  if (torqueNow && item.state !== 'on') {
    return {
      label:
        step.passes > 1 && step.pass < step.passes
          ? `Record bolt ${step.number}, pass ${step.pass}`
          : `Record bolt ${step.number}`,
      run: () =>
        send('tighten-bolt', {
          itemId: item.id,
          boltId: step.boltId,
          pass: step.pass,
          method: typed.byFeel ? 'by-feel' : 'wrench',
          torqueText: typed.byFeel ? '' : typed.torqueText || step.entry,
          wrenchId: typed.byFeel ? '' : (step.chosen?.wrench.id ?? ''),
        }),
    };
  }
  if (item.state === 'off') {
    return {
      label: item.kind === 'connector' ? 'Back, lock felt' : item.singleUse ? 'Fit the new one' : 'Put back',
      run: () =>
        send('put-back-item', {
          itemId: item.id,
          renewed: item.singleUse,
          fitted: item.singleUse ? item.partNumber : '',
          countedBack: item.countedOut,
          confirmed: item.kind === 'connector',
        }),
    };
  }
  if (item.kind === 'connector' && item.state !== 'on' && !item.confirmed)
    return { label: 'Lock felt', run: () => send('confirm-connector', { itemId: item.id }) };
  return null;
}

/** The action for an item on one way, or null. */
export const actionFor = (
  way: Way,
  job: Job,
  item: JobItem,
  send: Send,
  typed: Typed,
  step: TorqueStep | null,
): ItemAction | null =>
  way === 'strip' ? stripAction(job, item, send, typed) : refitAction(job, item, send, typed, step);

/** The item that work stands at: the next to come off, or to go back; in refit a group not at torque comes first. */
export function standsAt(job: Job, way: Way): JobItem | null {
  if (way === 'strip') return nextOff(job);
  const begun = job.items.find((item) => item.fasteners?.spec && isBack(item) && nextBolt(item) !== null);
  return begun ?? nextBack(job);
}
