import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { CLEANING } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const CLEANING_SAMPLES: SamplesOf<typeof CLEANING> = {
  'weigh-can': {
    after: [open],
    data: { id: 'w', substance: 'isopropyl', surface: 'bore', beforeText: '400 g', afterText: '388' },
    events: ['can-weighed'],
    shows: (job) => job.cleaners[0]?.grams,
    as: 12,
  },

  'do-pass': {
    after: [open],
    data: { id: 'x', unit: 'idle-valve', kind: 'soak' },
    events: ['pass-done'],
    shows: (job) => job.passes[0]?.kind,
    as: 'soak',
  },

  'take-waste': {
    after: [open],
    data: { id: 'w', kind: 'rags', amount: 'two', where: 'metal bin' },
    events: ['waste-taken'],
    shows: (job) => job.waste.map(({ kind }) => kind),
    as: ['rags'],
  },
};
