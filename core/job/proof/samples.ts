import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { PROOF } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const PROOF_SAMPLES: SamplesOf<typeof PROOF> = {
  'take-measurement': {
    after: [open],
    data: { id: 'm', kind: 'idle-rpm', when: 'after', value: 1300 },
    events: ['measurement-taken'],
    shows: (job) => job.measurements[0]?.value,
    as: 1300,
  },

  'record-proof': {
    after: [open],
    data: { check: 'leaks', result: 'bad', note: 'hose B' },
    events: ['proof-recorded'],
    shows: (job) => job.proofs[0]?.note,
    as: 'hose B',
  },
};
