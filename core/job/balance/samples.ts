import type { SamplesOf } from '../testing/sample.ts';
import { openBank } from '../testing/world.ts';
import type { BALANCE } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const BALANCE_SAMPLES: SamplesOf<typeof BALANCE> = {
  'measure-balance': {
    after: [openBank],
    data: {
      id: 'b',
      when: 'after',
      reference: 'cylinder 1',
      unit: 'mmHg',
      bodies: [
        { place: 'cylinder 1', text: '225' },
        { place: 'cylinder 2', text: '262' },
      ],
    },
    events: ['balance-measured'],
    shows: (job) => job.balances.map(({ unit, bodies }) => [unit, bodies.map(({ typed }) => typed)]),
    as: [['mmHg', ['225', '262']]],
  },
};
