import type { SamplesOf } from '../testing/sample.ts';
import { noted, seized } from '../testing/steps.ts';
import { open } from '../testing/world.ts';
import type { SEIZED } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const SEIZED_SAMPLES: SamplesOf<typeof SEIZED> = {
  'note-seized': {
    after: [open],
    data: seized,
    events: ['screw-seized'],
    shows: (job) => job.seized.map(({ where }) => where),
    as: ['Valve screw, lower'],
  },

  'try-rung': {
    after: [open, noted],
    data: { screwId: 'z', rung: 'oil', outcome: 'waiting', note: '', timerId: 't' },
    events: ['rung-tried', 'timer-started'],
    shows: (job) => [job.seized[0]?.tried.length, job.timers[0]?.kind],
    as: [1, 'oil'],
  },

  'give-up-screw': {
    after: [open, noted],
    data: { screwId: 'z', why: 'a new valve is cheaper' },
    events: ['screw-given-up'],
    shows: (job) => job.seized[0]?.ended?.outcome,
    as: 'given up',
  },
};
