import type { SamplesOf } from '../testing/sample.ts';
import { open, pin } from '../testing/world.ts';
import { coolantSystem } from './system.ts';
import type { COOLANT } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const COOLANT_SAMPLES: SamplesOf<typeof COOLANT> = {
  'record-coolant': {
    after: [open],
    data: { id: 'k', kind: 'caught', amountText: '0,7 L', concentration: null },
    events: ['coolant-recorded'],
    shows: (job) => job.coolant[0]?.litres,
    as: 0.7,
  },

  'give-coolant-system': {
    after: [open],
    data: { capacityText: '6,5 L', glycol: 'ethylene', concentration: 0.5, bleedPoint: 'housing screw' },
    events: ['coolant-system-given'],
    shows: (job) => coolantSystem(job),
    as: { capacityL: 6.5, glycol: 'ethylene', concentration: 0.5, bleedPoint: 'housing screw' },
  },

  'check-level': {
    after: [open],
    data: { when: 'cold', level: 'right' },
    events: ['level-checked'],
    shows: (job) => job.levels[0]?.level,
    as: 'right',
  },

  'test-coolant': {
    after: [open, pin],
    data: { id: 'c', when: 'before', tool: 'refractometer', scale: 'ethylene', typed: '−37 °C' },
    events: ['coolant-tested'],
    shows: (job) => job.coolantTests.map(({ celsius, share }) => [celsius, Math.round(share * 100)]),
    as: [[-37, 50]],
  },

  'check-leaks': {
    after: [open],
    data: { when: 'hot', result: 'leaks', where: 'lower hose' },
    events: ['leak-checked'],
    shows: (job) => job.leakChecks.map(({ where }) => where),
    as: ['lower hose'],
  },
};
