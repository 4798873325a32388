import { itemOf } from '../items/query.ts';
import type { SamplesOf } from '../testing/sample.ts';
import { off, open, pin } from '../testing/world.ts';
import type { PROCEDURE } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const PROCEDURE_SAMPLES: SamplesOf<typeof PROCEDURE> = {
  'pin-procedure': {
    after: [open],
    data: pin.data,
    events: ['procedure-pinned'],
    shows: (job) => job.items.map(({ state }) => state),
    as: ['on', 'on', 'on', 'on'],
  },

  'work-without-procedure': {
    after: [open],
    data: {},
    events: ['procedure-done-without'],
    shows: (job) => job.withoutProcedure?.by,
    as: 'tomas',
  },

  'move-to-version': {
    after: [open, pin, off('cover')],
    data: { procedureId: 'sample', version: 2 },
    events: ['procedure-moved'],
    shows: (job) => [job.procedure?.version, itemOf(job, 'cover')?.state],
    as: [2, 'off'],
  },
};
