import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { DIAGNOSIS } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const DIAGNOSIS_SAMPLES: SamplesOf<typeof DIAGNOSIS> = {
  'do-check': {
    after: [open],
    data: { id: 'k', name: 'PCV', result: 'rattles', verdict: 'normal' },
    events: ['check-done'],
    shows: (job) => job.checks[0]?.verdict,
    as: 'normal',
  },

  'record-check': {
    after: [open],
    data: { id: 'k', check: 'closed-volts', outcome: '', typed: ['0,71'], when: 'before' },
    events: ['check-recorded'],
    shows: (job) => [
      job.checks[0]?.outcome,
      job.checks[0]?.result,
      job.checks[0]?.verdict,
      job.checks[0]?.band?.source,
    ],
    as: ['high', '0.71 V: above 0.45 to 0.55 V', 'abnormal', 'sample'],
  },

  'pass-over-check': {
    after: [open],
    data: { id: 'o', check: 'smoke-test', why: 'no machine' },
    events: ['check-passed-over'],
    shows: (job) => job.passedOver.map(({ check, why }) => [check, why]),
    as: [['smoke-test', 'no machine']],
  },

  'compare-variant': {
    after: [open],
    data: {
      id: 'w',
      kind: 'throttle-body',
      place: 'only',
      found: { portMm: 44, gasket: 'oval', pins: 3, drive: 'cable', mark: 'A' },
    },
    events: ['variant-compared'],
    shows: (job) => job.variants[0]?.verdict,
    as: 'fits, but sets idle codes',
  },

  'choose-knowledge': {
    after: [open],
    data: { version: 2 },
    events: ['knowledge-chosen'],
    shows: (job) => job.knowledge,
    as: 2,
  },
};
