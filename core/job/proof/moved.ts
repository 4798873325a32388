import { UNIT_KINDS } from '../../vehicle/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { unitName } from '../inspection/units.ts';
import type { Job } from '../job.ts';

/** What was last taken off, cleaned, changed, set or learned: a proof from before it is a proof of how it was then. */
export interface Moved {
  readonly at: string;
  /** What happened, to be read after “before”: *the inlet hose came off*. */
  readonly words: string;
}

/** The last thing that undid what was proved until then; null where nothing came off at all. */
export function lastMoved(job: Job): Moved | null {
  const all: Moved[] = [
    ...job.items.flatMap(({ name, off, origin, aside }) =>
      off === null || origin === 'plug' || aside !== null
        ? []
        : [{ at: off.at, words: `the ${lowerFirst(name)} came off` }],
    ),
    ...job.passes.map(({ at, unit }) => ({ at, words: `the ${lowerFirst(unitName(job, unit))} was cleaned` })),
    ...job.replaced.map(({ at, kind }) => ({ at, words: `the ${UNIT_KINDS[kind].toLowerCase()} was replaced` })),
    ...job.turned.map(({ at }) => ({ at, words: 'a screw was turned' })),
    ...job.trims.map(({ at }) => ({ at, words: 'the stop screw was trimmed' })),
    // What adapts by itself goes on for days, and says nothing of when.
    ...job.runs.flatMap(({ run: { recipe }, closed }) =>
      recipe.purpose === 'relearn' && recipe.way !== 'itself' && closed?.outcome === 'took'
        ? [{ at: closed.at, words: 'the idle was learned anew' }]
        : [],
    ),
  ];
  return all.reduce<Moved | null>((last, each) => (last === null || each.at > last.at ? each : last), null);
}
