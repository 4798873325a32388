import type { TallyInput } from './state.ts';
import { tally } from './tally.ts';

/** Whether the engine may be started, with everything that holds it. */
export type StartVerdict = { readonly may: true } | { readonly may: false; readonly holds: readonly Hold[] };

/** One thing that holds the engine, in words, and what it is about. */
export interface Hold {
  readonly code: 'opening-open' | 'opening-plugged' | 'object-in' | 'item-off' | 'torque' | 'count' | 'connector';
  readonly subject: string;
  readonly words: string;
}

/**
 * The engine is held while an opening is open or plugged, anything is inside, an item is off, a count differs, a
 * fastener is not at torque or a connector is not confirmed. Worst first.
 */
export function mayStart(job: TallyInput): StartVerdict {
  const now = tally(job);
  const holds: Hold[] = [
    ...now.openingsOpen.map(({ id, name }): Hold => ({ code: 'opening-open', subject: id, words: `${name} is open` })),
    ...now.objectsIn.map(({ id, what, where }): Hold => ({
      code: 'object-in',
      subject: id,
      words: `${what} is still in: ${where}`,
    })),
    ...now.openingsPlugged.map(({ id, name, plug }): Hold => ({
      code: 'opening-plugged',
      subject: id,
      words: `${name} still holds its plug${plug === null ? '' : ` (${plug})`}`,
    })),
    ...now.countsThatDiffer.map(({ id, name }): Hold => ({
      code: 'count',
      subject: id,
      words: `${name}: fewer back than came out`,
    })),
    ...now.itemsOff.map(({ id, name }): Hold => ({ code: 'item-off', subject: id, words: `${name} is off` })),
    ...now.torqueOutstanding.map(({ item, missing }): Hold => ({
      code: 'torque',
      subject: item.id,
      words: `${item.name}: ${missing} not at torque`,
    })),
    ...now.connectorsUnconfirmed.map(({ id, name }): Hold => ({
      code: 'connector',
      subject: id,
      words: `${name}: lock not confirmed`,
    })),
  ];
  return holds.length === 0 ? { may: true } : { may: false, holds };
}
