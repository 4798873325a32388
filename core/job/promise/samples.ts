import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { PROMISE } from './subject.ts';

const FRIDAY = '2030-05-17T15:00:00.000Z';
const SATURDAY = '2030-05-18T10:00:00.000Z';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const PROMISE_SAMPLES: SamplesOf<typeof PROMISE> = {
  'promise-ready': {
    after: [open, { type: 'promise-ready', data: { ready: FRIDAY, told: 'Friday 16:00', why: '' } }],
    data: { ready: SATURDAY, told: 'Saturday 11:00', why: 'the seal came late' },
    events: ['ready-promised'],
    shows: (job) => [job.promise?.ready, job.promise?.why, job.promisesMoved],
    as: [SATURDAY, 'the seal came late', 1],
  },
  'withdraw-promise': {
    after: [open, { type: 'promise-ready', data: { ready: FRIDAY, told: 'Friday 16:00', why: '' } }],
    data: { why: 'no part to be had' },
    events: ['promise-withdrawn'],
    shows: (job) => job.promise,
    as: null,
  },
};
