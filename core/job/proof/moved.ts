import { UNIT_KINDS } from '../../vehicle/index.ts';
import { lowerFirst } from '../../words/index.ts';
import type { Job } from '../job.ts';

/** What was last taken off, changed or set: a proof from before it is a proof of how it was then. */
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
    ...job.replaced.map(({ at, kind }) => ({ at, words: `the ${UNIT_KINDS[kind].toLowerCase()} was replaced` })),
    ...job.turned.map(({ at }) => ({ at, words: 'a screw was turned' })),
    ...job.trims.map(({ at }) => ({ at, words: 'the stop screw was trimmed' })),
  ];
  return all.reduce<Moved | null>((last, each) => (last === null || each.at > last.at ? each : last), null);
}
