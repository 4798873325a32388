import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { COUNTERSIGN } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const COUNTERSIGN_SAMPLES: SamplesOf<typeof COUNTERSIGN> = {
  countersign: {
    after: [open],
    data: { seqs: [], handOver: true },
    events: ['countersigned'],
    shows: (job) => job.countersigned.map(({ handOver }) => handOver),
    as: [true],
  },
};
