import { coolantAccount, UNREMARKABLE_LOSS_L } from '../../coolant/index.ts';
import { type Run, stepsLeftOut } from '../../relearn/index.ts';
import type { Job } from '../job.ts';
import { jointOf } from '../../procedure/index.ts';

/** What about the cooling circuit keeps the engine from running; each with its words. */
export interface CircuitHold {
  readonly code: 'coolant' | 'bleed';
  readonly id: string;
  readonly words: string;
}

/** When the circuit was opened last: a coolant hose or joint came off, or coolant was caught; null where nothing did. */
function lastOpened({ items, coolant }: Job): string | null {
  const opens = (item: Job['items'][number]): boolean =>
    item.aside === null && (item.kind === 'coolant-hose' || (item.fasteners !== null && jointOf(item) === 'coolant'));
  const times = [
    ...items.flatMap((item) => (item.off !== null && opens(item) ? [item.off.at] : [])),
    ...coolant.flatMap(({ kind, at }) => (kind === 'caught' ? [at] : [])),
  ];
  return times.reduce<string | null>((last, at) => (last === null || at > last ? at : last), null);
}

/** Gone through to its end, nothing left out. */
const isWhole = (run: Run): boolean => run.status === 'complete' && stepsLeftOut(run).length === 0;

/**
 * Coolant that came out and is not back, and a bleed that was broken off. A level found right afterwards settles both;
 * while a bleed is under way the engine has to run.
 */
export function circuitHolds(job: Job): CircuitHold[] {
  const { returned, added, net } = coolantAccount(job.coolant);
  const opened = lastOpened(job);
  const fullSince = (since: string): boolean => job.levels.some(({ level, at }) => level !== 'low' && at >= since);
  const bleeds = job.runs.filter(({ run }) => run.recipe.purpose === 'bleed');
  const bleed = bleeds.at(-1);
  const short =
    returned + added === 0
      ? 'Coolant: nothing says that it is back'
      : net < -UNREMARKABLE_LOSS_L
        ? `Coolant: ${(-net).toFixed(2)} L less went back than came out`
        : null;
  return [
    ...(opened !== null && short !== null && !fullSince(opened)
      ? [{ code: 'coolant' as const, id: 'circuit', words: short }]
      : []),
    // Whoever says that it took with steps left out may be right; a level found right afterwards shows it.
    ...(bleed?.closed != null && !(bleed.closed.outcome === 'took' && isWhole(bleed.run)) && !fullSince(bleed.closed.at)
      ? [
          {
            code: 'bleed' as const,
            id: bleed.id,
            words: `${bleed.run.recipe.name}: ${bleed.closed.outcome === 'took' ? 'steps were left out' : 'broken off'}, and not done again`,
          },
        ]
      : []),
  ];
}
