import { isBackStep } from '../../procedure/index.ts';
import type { CommandBody, CommandData } from '../catalogue.ts';
import type { Job } from '../job.ts';
import { lengthsOf, strippedThreads } from '../torque/bolts.ts';
import { renewalOf } from '../rebuild/renewal.ts';
import type { TorqueStep } from '../torque/step.ts';
import type { AdapterOn } from '../torque/tightening.ts';
import { placeFor, tagFor } from './places.ts';
import type { JobItem, JobOpening } from './state.ts';

/** Off the vehicle, or back onto it. */
export type Way = 'strip' | 'refit';

/** What one tap on an item would do now. Screens turn it into words; the gloved view and the sheet use the same. */
export type Tap =
  /** An opening gapes: it is plugged before anything else. */
  | { readonly kind: 'plug'; readonly opening: JobOpening }
  /** Fasteners still hold the weight: they come out before the unit does. */
  | { readonly kind: 'rest'; readonly group: JobItem }
  | { readonly kind: 'off'; readonly item: JobItem; readonly again: boolean }
  | { readonly kind: 'unplug'; readonly opening: JobOpening }
  | { readonly kind: 'bolt'; readonly item: JobItem; readonly step: TorqueStep }
  | { readonly kind: 'back'; readonly item: JobItem; readonly renewed: boolean }
  | { readonly kind: 'lock'; readonly item: JobItem };

/** What the person typed beside the sheet, with what it is when nothing was typed. */
export interface Typed {
  readonly pocket: string;
  readonly label: string;
  readonly torqueText: string;
  readonly byFeel: boolean;
  /** A new one goes on instead of the old; null for what was decided on the bench. */
  readonly renew: boolean | null;
  readonly adapter: AdapterOn | null;
  /** How many stay in to hold the weight; null for what the procedure says. */
  readonly stayIn: number | null;
  /** The torque came from an instrument: it was none of the wrenches on the wall. */
  readonly byInstrument?: true;
}

/** Nothing typed. */
export const UNTYPED: Typed = {
  pocket: '',
  label: '',
  torqueText: '',
  byFeel: false,
  renew: null,
  adapter: null,
  stayIn: null,
};

/** An opening that gapes: it is plugged before anything else is done. */
export const gaping = (job: Job): JobOpening | undefined => job.openings.find(({ state }) => state === 'open');

/** The group that still holds a unit's weight, if one does. */
export const holding = (job: Job, item: JobItem): JobItem | undefined =>
  item.kind === 'unit' && item.state === 'on'
    ? job.items.find(
        (each) =>
          each.stayingIn > 0 &&
          each.state === 'off' &&
          job.constraints.some((tie) => tie.kind === 'before' && tie.a === item.id && tie.b === each.id),
      )
    : undefined;

/** In strip: plug what gapes, take out what holds the weight, else take the item off. */
function stripTap(job: Job, item: JobItem): Tap | null {
  const opening = gaping(job);
  if (opening !== undefined) return { kind: 'plug', opening };
  if (isBackStep(item)) return null;
  const group = holding(job, item) ?? (item.stayingIn > 0 && item.state === 'off' ? item : undefined);
  if (group !== undefined) return { kind: 'rest', group };
  return item.state === 'off' || item.origin === 'plug' ? null : { kind: 'off', item, again: item.state !== 'on' };
}

/** In refit: take a plug out, tighten a bolt, put the item back, or feel its lock. */
function refitTap(job: Job, item: JobItem, { renew }: Typed, step: TorqueStep | null): Tap | null {
  const opening = job.openings.find(({ plugId, state }) => plugId === item.id && state === 'plugged');
  if (opening !== undefined) return { kind: 'unplug', opening };
  const torqueNow = step !== null && (item.kind === 'fasteners' || item.state !== 'off');
  if (torqueNow && item.state !== 'on') return { kind: 'bolt', item, step };
  // A group with a stripped thread waits for its repair; what can be done about it stands beside it.
  if (item.kind === 'fasteners' && step === null && strippedThreads(item).length > 0) return null;
  if (item.state === 'off')
    return { kind: 'back', item, renewed: item.singleUse || (renew ?? renewalOf(job, item) !== null) };
  return item.kind === 'connector' && item.state !== 'on' && !item.confirmed ? { kind: 'lock', item } : null;
}

/** What one tap on an item does now, or null when there is nothing to do with it. @param step see `torqueStep` */
export const tapOn = (way: Way, job: Job, item: JobItem, typed: Typed, step: TorqueStep | null): Tap | null =>
  way === 'strip' ? stripTap(job, item) : refitTap(job, item, typed, step);

/** What the record of one pass holds, for one bolt or for all. */
export const passEntry = (
  step: TorqueStep,
  { byFeel, torqueText, adapter, byInstrument }: Typed,
): Omit<CommandData['tighten-pass'], 'itemId'> => ({
  pass: step.pass,
  method: byFeel ? 'by-feel' : step.angleDeg === null ? 'wrench' : 'angle',
  torqueText: byFeel ? '' : torqueText || step.entry,
  wrenchId: byFeel || byInstrument === true ? '' : (step.chosen?.wrench.id ?? ''),
  ...(adapter === null || byFeel || step.angleDeg !== null ? {} : { adapter }),
});

/** The command that a tap gives. @param plugId a fresh id for what a tap may put into an opening */
export function commandOf(tap: Tap, job: Job, typed: Typed, plugId: string): CommandBody {
  switch (tap.kind) {
    case 'plug':
      return { type: 'plug-opening', data: { openingId: tap.opening.id, plugId, what: tap.opening.plugWith } };
    case 'rest':
      return { type: 'take-out-rest', data: { itemId: tap.group.id } };
    case 'off':
      return { type: 'remove-item', data: removal(job, tap.item, typed) };
    case 'unplug':
      return { type: 'unplug-opening', data: { openingId: tap.opening.id } };
    case 'bolt':
      return {
        type: 'tighten-bolt',
        data: { itemId: tap.item.id, boltId: tap.step.boltId, ...passEntry(tap.step, typed) },
      };
    case 'back':
      return {
        type: 'put-back-item',
        data: {
          itemId: tap.item.id,
          renewed: tap.renewed,
          fitted: tap.renewed ? renewalOf(job, tap.item)?.partNumber || tap.item.partNumber : '',
          countedBack: tap.item.countedOut,
          confirmed: tap.item.kind === 'connector',
        },
      };
    case 'lock':
      return { type: 'confirm-connector', data: { itemId: tap.item.id } };
  }
}

function removal(job: Job, item: JobItem, typed: Typed): CommandData['remove-item'] {
  const stayIn = typed.stayIn ?? item.fasteners?.staysIn ?? 0;
  // One length needs no counting by length.
  const lengths = lengthsOf(item);
  return {
    itemId: item.id,
    pocket: typed.pocket || placeFor(job, item),
    label: typed.label || tagFor(item),
    countedOut: (item.aside ?? item).fasteners?.count ?? null,
    ...(stayIn > 0 ? { stayIn } : {}),
    ...(lengths.length > 1 ? { lengthsOut: lengths.map(({ lengthMm, count }) => ({ lengthMm, count })) } : {}),
  };
}
