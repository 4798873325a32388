import {
  type CommandData,
  type CommandType,
  isBack,
  lengthsOf,
  type Job,
  type JobItem,
  nextBack,
  nextBolt,
  nextOffFor,
  type Refusal,
  strippedThreads,
} from '../../../core/job/index.ts';
import { freshId } from '../../stores/job.ts';
import { pocketId } from './tray/trayLayout.ts';
import type { Way } from './layout.ts';
import { type AdapterOn, adapterWords, boltTorqueText, type TorqueStep } from '../torque/torqueStep.ts';

/** The one thing to do next with an item. */
export interface ItemAction {
  /** `plug` and `rest` come before the item itself: an opening that gapes, fasteners that still hold the weight. */
  readonly kind: 'plug' | 'rest' | 'off' | 'unplug' | 'bolt' | 'back' | 'lock';
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
  /** A new one goes on instead of the old. */
  readonly renew: boolean;
  readonly adapter: AdapterOn | null;
  /** How many stay in to hold the weight; null for what the procedure says. */
  readonly stayIn: number | null;
}

/** Nothing typed. */
export const UNTYPED: Typed = {
  pocket: '',
  label: '',
  torqueText: '',
  byFeel: false,
  renew: false,
  adapter: null,
  stayIn: null,
};

/** An opening that gapes: it is plugged before anything else is done. */
export const gaping = (job: Job): Job['openings'][number] | undefined =>
  job.openings.find(({ state }) => state === 'open');

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

/**
 * The first pocket of the tray with nothing in it. When all are taken, the one with the fewest things in it, those of
 * the same heading first: what came off together lies together.
 */
export function freePocket(job: Job, section = ''): string {
  const inside = new Map<string, JobItem[]>();
  for (const item of job.items)
    if (item.state === 'off' && item.pocket !== '') inside.set(item.pocket, [...(inside.get(item.pocket) ?? []), item]);
  const pockets = Array.from({ length: job.tray.rows }, (_, row) =>
    Array.from({ length: job.tray.columns }, (__, column) => pocketId(row, column)),
  ).flat();
  const contents = (pocket: string): readonly JobItem[] => inside.get(pocket) ?? [];
  const kin = (pocket: string): number =>
    Number(section !== '' && contents(pocket).some((item) => item.section === section));
  const empty = pockets.find((pocket) => contents(pocket).length === 0);
  return empty ?? [...pockets].sort((x, y) => kin(y) - kin(x) || contents(x).length - contents(y).length)[0] ?? '';
}

/** Where an item goes when nobody says: a unit to the bench, plugs and hoses stay where they hang, the rest to the tray. */
export function placeFor(job: Job, item: JobItem): string {
  if (item.pocket !== '') return item.pocket;
  if (item.kind === 'unit') return 'bench';
  const hangs = ['connector', 'hose', 'coolant-hose', 'cable'].includes(item.kind);
  return hangs ? '' : freePocket(job, item.section);
}

/** The tag of a look-alike when nobody types one: what its name says after the last comma. */
export const tagFor = (item: JobItem): string =>
  item.alike === undefined || item.label !== '' ? item.label : (item.name.split(', ').slice(1).at(-1) ?? '');

/** What to do in strip: plug what gapes, take out what holds the weight, else take the item off. */
function stripAction(job: Job, item: JobItem, send: Send, typed: Typed): ItemAction | null {
  const open = gaping(job);
  if (open !== undefined) {
    return {
      kind: 'plug',
      label: `Plug ${open.name.toLowerCase()}: ${open.plugWith.toLowerCase()}`,
      run: () => send('plug-opening', { openingId: open.id, plugId: freshId(), what: open.plugWith }),
    };
  }
  const group = holding(job, item) ?? (item.stayingIn > 0 && item.state === 'off' ? item : undefined);
  if (group !== undefined)
    return {
      kind: 'rest',
      label: `Take out the ${group.stayingIn} that hold it`,
      run: () => send('take-out-rest', { itemId: group.id }),
    };
  if (item.state === 'off' || item.origin === 'plug') return null;
  const stay = typed.stayIn ?? item.fasteners?.staysIn ?? 0;
  // One length needs no counting by length.
  const lengths = lengthsOf(item);
  return {
    kind: 'off',
    label: item.state === 'on' ? 'Take off' : 'Take off again',
    run: () =>
      send('remove-item', {
        itemId: item.id,
        pocket: typed.pocket || placeFor(job, item),
        label: typed.label || tagFor(item),
        countedOut: item.fasteners?.count ?? null,
        ...(stay > 0 ? { stayIn: stay } : {}),
        ...(lengths.length > 1 ? { lengthsOut: lengths.map(({ lengthMm, count }) => ({ lengthMm, count })) } : {}),
      }),
  };
}

/** What the record of one pass holds, for one bolt or for all. */
export const passEntry = (
  step: TorqueStep,
  typed: Typed,
): Pick<CommandData['tighten-pass'], 'pass' | 'method' | 'torqueText' | 'wrenchId' | 'adapter'> => ({
  pass: step.pass,
  method: typed.byFeel ? 'by-feel' : step.angleDeg === null ? 'wrench' : 'angle',
  torqueText: typed.byFeel
    ? ''
    : step.angleDeg === null
      ? boltTorqueText(typed.torqueText || step.entry, typed.adapter)
      : typed.torqueText || step.entry,
  wrenchId: typed.byFeel ? '' : (step.chosen?.wrench.id ?? ''),
  ...(typed.adapter === null || typed.byFeel ? {} : { adapter: adapterWords(typed.adapter) }),
});

/** What to do in refit: take a plug out, record a bolt, or put the item back. */
function refitAction(job: Job, item: JobItem, send: Send, typed: Typed, step: TorqueStep | null): ItemAction | null {
  const plugged = job.openings.find(({ plugId, state }) => plugId === item.id && state === 'plugged');
  if (plugged !== undefined)
    return {
      kind: 'unplug',
      label: 'Take it out',
      run: () => send('unplug-opening', { openingId: plugged.id }),
    };
  const torqueNow = step !== null && (item.kind === 'fasteners' || item.state !== 'off');
  if (torqueNow && item.state !== 'on') {
    return {
      kind: 'bolt',
      label:
        step.passes > 1 && step.pass < step.passes
          ? `Record bolt ${step.number}, pass ${step.pass}`
          : `Record bolt ${step.number}`,
      run: () => send('tighten-bolt', { itemId: item.id, boltId: step.boltId, ...passEntry(step, typed) }),
    };
  }
  // A group with a stripped thread waits for its repair; what can be done about it stands beside it.
  if (item.kind === 'fasteners' && step === null && strippedThreads(item).length > 0) return null;
  if (item.state === 'off') {
    const renewed = item.singleUse || typed.renew;
    return {
      kind: 'back',
      label: item.kind === 'connector' ? 'Back, lock felt' : renewed ? 'Fit the new one' : 'Put back',
      run: () =>
        send('put-back-item', {
          itemId: item.id,
          renewed,
          fitted: renewed ? item.partNumber : '',
          countedBack: item.countedOut,
          confirmed: item.kind === 'connector',
        }),
    };
  }
  if (item.kind === 'connector' && item.state !== 'on' && !item.confirmed)
    return { kind: 'lock', label: 'Lock felt', run: () => send('confirm-connector', { itemId: item.id }) };
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

/**
 * The item that work stands at: the next to come off, or to go back; in refit a group not at torque comes first.
 * @param by whose step; what others have in hand is left to them @param at ISO, for cures
 */
export function standsAt(job: Job, way: Way, by = '', at: string | null = null): JobItem | null {
  if (way === 'strip') return nextOffFor(job, by);
  const taken = new Set(job.hands.filter((hand) => hand.by !== by).map(({ itemId }) => itemId));
  const begun = job.items.find(
    (item) => item.fasteners?.spec && isBack(item) && !taken.has(item.id) && nextBolt(item) !== null,
  );
  return begun ?? nextBack(job, by, at);
}

/** “Hose clamp 3” after “Hose clamp 2”; “Hose clamp 2” after “Hose clamp”. */
export function anotherName(name: string, taken: readonly string[]): string {
  const stem = name.replace(/\s+\d+$/, '');
  const used = new Set(taken.map((each) => each.toLowerCase()));
  for (let number = 2; ; number += 1) {
    const next = `${stem} ${number}`;
    if (!used.has(next.toLowerCase())) return next;
  }
}
