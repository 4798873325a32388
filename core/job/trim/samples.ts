import type { SamplesOf } from '../testing/sample.ts';
import { afloat } from '../testing/world.ts';
import type { TRIM } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const TRIM_SAMPLES: SamplesOf<typeof TRIM> = {
  'try-trim': {
    after: [afloat, { type: 'give-water', data: { how: 'muffs and hose' } }],
    data: {
      id: 'm',
      unit: 'throttle-body',
      turnsText: '½',
      place: 'hose',
      rpmText: '1250',
      dutyText: '',
      note: '',
    },
    events: ['screw-turned', 'trim-tried'],
    shows: (job) => [job.trims[0]?.inside, job.turned.map(({ screw, turns }) => [screw, turns])],
    as: [true, [['stop', 0.5]]],
  },
};
