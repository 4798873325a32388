import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { PARTS } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const PARTS_SAMPLES: SamplesOf<typeof PARTS> = {
  'lay-out-part': {
    after: [open],
    data: { id: 'i', form: 'injector', name: '', place: 'cylinder 2' },
    events: ['part-laid-out'],
    shows: (job) => job.laidOut.map(({ name, place }) => [name, place]),
    as: [['Injector', 'cylinder 2']],
  },
};
