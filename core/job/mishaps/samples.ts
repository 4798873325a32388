import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { MISHAPS_SUBJECT } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const MISHAPS_SAMPLES: SamplesOf<typeof MISHAPS_SUBJECT> = {
  'note-mishap': {
    after: [open],
    data: { id: 'm', kind: 'eye', what: 'a drop of cleaner', whom: 'Wen', done: 'rinsed' },
    events: ['mishap-noted'],
    shows: (job) => job.mishaps.map(({ kind, what }) => [kind, what]),
    as: [['eye', 'a drop of cleaner']],
  },
};
