import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { TIMERS } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const TIMERS_SAMPLES: SamplesOf<typeof TIMERS> = {
  'start-timer': {
    after: [open],
    data: { id: 't', label: 'Soaks', minutes: 25, kind: 'soak' },
    events: ['timer-started'],
    shows: (job) => job.timers[0]?.ended,
    as: null,
  },

  'end-timer': {
    after: [open, { type: 'start-timer', data: { id: 't', label: 'Soaks', minutes: 25, kind: 'soak' } }],
    data: { id: 't', outcome: 'stopped' },
    events: ['timer-ended'],
    shows: (job) => job.timers[0]?.ended?.outcome,
    as: 'stopped',
  },
};
