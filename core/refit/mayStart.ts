import type { TallyInput } from './state.ts';
import { tally } from './tally.ts';

/** What kind of thing holds the engine. */
export type HoldCode =
  | 'opening-open'
  | 'search'
  | 'object-in'
  | 'opening-plugged'
  | 'thread'
  | 'count'
  | 'item-off'
  | 'torque'
  | 'figure'
  | 'unit-loose'
  | 'coolant'
  | 'bleed'
  | 'cooling-water'
  | 'connector'
  | 'measure'
  | 'end-step';

/** One thing that holds the engine, in words, and what it is about. */
export interface Hold {
  readonly code: HoldCode;
  readonly subject: string;
  readonly words: string;
}

/** Whether the engine may be started, with everything that holds it and what a lead has let pass. */
export type StartVerdict =
  | { readonly may: true; readonly passed: readonly Hold[] }
  | { readonly may: false; readonly holds: readonly Hold[]; readonly passed: readonly Hold[] };

/** Names a hold, so that a lead's word can be kept for it and for nothing else. */
export const holdKey = ({ code, subject }: Pick<Hold, 'code' | 'subject'>): string => `${code} ${subject}`;

/**
 * The engine is held while an opening is open or plugged, anything is inside or looked for, an item is off, a count
 * differs, a thread is stripped, a fastener is not at torque or has no figure, a unit is
 * not tied down, coolant or cooling water is wanting, a connector is not confirmed, a measure is not set again
 * or something like the battery is not undone. Worst first.
 * @param overridden keys of holds that a lead has let pass, see {@link holdKey}; what comes up later holds again
 */
export function mayStart(job: TallyInput, overridden: ReadonlySet<string> = NONE): StartVerdict {
  const all = allHolds(job);
  if (overridden.size === 0)
    return all.length === 0 ? { may: true, passed: [] } : { may: false, holds: all, passed: [] };
  const passed = all.filter((hold) => overridden.has(holdKey(hold)));
  const holds = all.filter((hold) => !overridden.has(holdKey(hold)));
  return holds.length === 0 ? { may: true, passed } : { may: false, holds, passed };
}

const NONE: ReadonlySet<string> = new Set();

function allHolds(job: TallyInput): Hold[] {
  const now = tally(job);
  const hold = (code: HoldCode, subject: string, words: string): Hold => ({ code, subject, words });
  return [
    ...now.openingsOpen.map(({ id, name }) => hold('opening-open', id, `${name} is open`)),
    ...now.searching.map(({ id, what, where }) => hold('search', id, `${what} was dropped and is not found: ${where}`)),
    ...now.objectsIn.map(({ id, what, where }) => hold('object-in', id, `${what} is still in: ${where}`)),
    ...now.openingsPlugged.map(({ id, name, plug }) =>
      hold('opening-plugged', id, `${name} still holds its plug${plug === null ? '' : ` (${plug})`}`),
    ),
    ...now.threadsStripped.map(({ id, name }) => hold('thread', id, `${name}: a stripped thread is not repaired`)),
    ...now.countsThatDiffer.map(({ id, name }) => hold('count', id, `${name}: fewer back than came out`)),
    ...now.itemsOff.map(({ id, name, aside }) =>
      hold('item-off', id, `${name} is ${aside === true ? 'tied aside' : 'off'}`),
    ),
    ...now.stepsToDo.map(({ id, name }) => hold('item-off', id, `${name}: still to do`)),
    ...now.unitsLoose.map(({ id, name }) => hold('unit-loose', id, `${name}: nothing says what holds it down`)),
    ...now.figuresWanted.map(({ id, name }) => hold('figure', id, `${name}: no torque figure, and by feel not chosen`)),
    ...now.torqueOutstanding.map(({ item, missing }) =>
      hold('torque', item.id, `${item.name}: ${missing} not at torque`),
    ),
    ...now.fluidsWanted.map(({ code, id, words }) => hold(code, id, words)),
    ...now.connectorsUnconfirmed.map(({ id, name }) => hold('connector', id, `${name}: lock not confirmed`)),
    ...now.notRestored.map(({ id, name, toRestore }) =>
      hold('measure', id, `${name}: not set again (${toRestore.join(', ')})`),
    ),
    ...now.endSteps.map(({ id, words }) => hold('end-step', id, `not yet: ${words.toLowerCase()}`)),
  ];
}
