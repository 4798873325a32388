import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { INSTRUMENTS } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const INSTRUMENTS_SAMPLES: SamplesOf<typeof INSTRUMENTS> = {
  'note-figure-taken': {
    after: [open],
    data: {
      id: 'f',
      label: 'Can before',
      shown: '412.3 g',
      value: 412.3,
      unit: 'g',
      instrument: 'scale',
      name: 'Bench scale',
      low: 0,
      high: 5000,
      rangeUnit: 'g',
      calibratedOn: '2026-03-02',
      readAt: '2026-05-13T08:01:00.000Z',
    },
    events: ['figure-taken'],
    shows: (job) => job.figuresTaken.map(({ name, shown }) => [name, shown]),
    as: [['Bench scale', '412.3 g']],
  },
};
