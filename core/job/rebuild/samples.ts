import type { SamplesOf } from '../testing/sample.ts';
import { apart } from '../testing/steps.ts';
import { open } from '../testing/world.ts';
import type { REBUILD } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const REBUILD_SAMPLES: SamplesOf<typeof REBUILD> = {
  'decide-seal': {
    after: [open],
    data: { id: 'o', name: 'O-ring', decision: 'reused', partNumber: '', why: 'soft' },
    events: ['seal-decided'],
    shows: (job) => job.seals[0]?.decision,
    as: 'reused',
  },

  'set-apart': {
    after: [open],
    data: { id: 'inj', unit: 'throttle-body', what: 'Injector', place: 'cylinder 2' },
    events: ['piece-set-apart'],
    shows: (job) => job.pieces.map(({ place }) => place),
    as: ['cylinder 2'],
  },

  'return-piece': {
    after: [open, apart],
    data: { id: 'inj', place: 'cylinder 2', renewed: false },
    events: ['piece-returned'],
    shows: (job) => job.pieces[0]?.returned?.renewed,
    as: false,
  },

  'sweep-sensor': {
    after: [open],
    data: { id: 's', unit: 'throttle-body', when: 'after', typed: ['0.5', '1.5', '2.5', '3.5', '4.5'] },
    events: ['sensor-swept'],
    shows: (job) => job.sweeps.map(({ good }) => good),
    as: [true],
  },

  'turn-screw': {
    after: [open],
    data: { id: 't', unit: 'throttle-body', screw: 'idle', turnsText: '1.5', why: 'to free it' },
    events: ['screw-turned'],
    shows: (job) => job.turned.map(({ turns }) => turns),
    as: [1.5],
  },

  'replace-unit': {
    after: [open],
    data: {
      id: 'r',
      unit: 'throttle-body',
      kind: 'throttle-body',
      place: 'only',
      oldUnitId: 'u',
      oldPartNumber: 'S-1',
      fitted: {
        unitId: 'u2',
        partNumber: 'S-1',
        features: { portMm: 42, gasket: 'oval', pins: 3, drive: 'cable', mark: 'A' },
        origin: 'used',
        priceMinor: 20_000,
        supplier: 'breaker',
        warrantyMonths: 3,
      },
      failCode: 'F-10',
      failNote: '0.3 mm',
      anyway: '',
    },
    events: ['unit-replaced', 'part-used'],
    shows: (job) => [job.replaced.map(({ verdict }) => verdict), job.parts.map(({ name }) => name)],
    as: [['fits'], ['Used unit']],
  },
};
