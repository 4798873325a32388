import { jobMayStart } from '../start/tallies.ts';
import type { SamplesOf } from '../testing/sample.ts';
import { ready } from '../testing/steps.ts';
import { open, pin, pinRich } from '../testing/world.ts';
import type { NEEDS } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const NEEDS_SAMPLES: SamplesOf<typeof NEEDS> = {
  'tick-need': {
    after: [open, pin],
    data: { needId: 'need', state: 'ordered', expected: '2026-05-18' },
    events: ['need-ticked'],
    shows: (job) => job.needs[0]?.expected,
    as: '2026-05-18',
  },

  'add-need': {
    after: [open],
    data: {
      need: { id: 'own', kind: 'part', name: ' Clamp 40 mm ', partNumber: '', note: '', caution: null },
    },
    events: ['need-added'],
    shows: (job) => job.ownNeeds.map(({ name }) => name),
    as: ['Clamp 40 mm'],
  },

  'do-end-step': {
    after: [open, pinRich, ready('battery-off')],
    data: { needId: 'battery-off', note: '' },
    events: ['end-step-done'],
    shows: (job) => [job.endSteps.length, jobMayStart(job).may],
    as: [1, true],
  },

  'use-part': {
    after: [open],
    data: { id: 'g', name: 'Gasket', partNumber: 'G', quantity: 2, priceMinor: 640 },
    events: ['part-used'],
    shows: (job) => job.parts[0]?.quantity,
    as: 2,
  },
};
