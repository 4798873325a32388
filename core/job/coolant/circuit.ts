import { coolantAccount, UNREMARKABLE_LOSS_L } from '../../coolant/index.ts';
import type { Job } from '../job.ts';
import { jointOf } from '../../procedure/index.ts';

/** What about the cooling circuit keeps the engine from running; each with its words. */
export interface CircuitHold {
  readonly code: 'coolant' | 'bleed';
  readonly id: string;
  readonly words: string;
}

/** Whether anything opened the circuit: a coolant hose or joint came off, or coolant was caught. */
const wasOpened = (job: Job): boolean =>
  job.items.some(
    (item) =>
      item.stripOrder !== null &&
      (item.kind === 'coolant-hose' || (item.fasteners !== null && jointOf(item) === 'coolant')),
  ) || job.coolant.some(({ kind }) => kind === 'caught');

/**
 * Coolant that came out and is not back, and a bleed that was broken off. A level found right afterwards settles both;
 * while a bleed is under way the engine has to run.
 */
export function circuitHolds(job: Job): CircuitHold[] {
  const { returned, added, net } = coolantAccount(job.coolant);
  const opened = job.coolant.findLast(({ kind }) => kind === 'caught')?.at ?? job.items.reduce(lastOff, '');
  const fullSince = (since: string): boolean => job.levels.some(({ level, at }) => level !== 'low' && at >= since);
  const full = fullSince(opened);
  const bleeds = job.runs.filter(({ run }) => run.recipe.purpose === 'bleed');
  const bleed = bleeds.at(-1);
  const short =
    returned + added === 0
      ? 'Coolant: nothing says that it is back'
      : net < -UNREMARKABLE_LOSS_L
        ? `Coolant: ${(-net).toFixed(2)} L less went back than came out`
        : null;
  return [
    ...(wasOpened(job) && !full && short !== null ? [{ code: 'coolant' as const, id: 'circuit', words: short }] : []),
    ...(bleed?.closed != null && bleed.closed.outcome !== 'took' && !fullSince(bleed.closed.at)
      ? [{ code: 'bleed' as const, id: bleed.id, words: `${bleed.run.recipe.name}: broken off, and not done again` }]
      : []),
  ];
}

/** The latest time at which a coolant hose came off. */
const lastOff = (last: string, { kind, off }: Job['items'][number]): string =>
  kind === 'coolant-hose' && off !== null && off.at > last ? off.at : last;
