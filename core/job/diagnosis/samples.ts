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

  'tell-attempt': {
    after: [open],
    data: {
      id: 't',
      option: 'replace',
      helped: false,
      ago: { km: 400, h: null, days: 20 },
      words: 'new valve, no change',
    },
    events: ['attempt-told'],
    shows: (job) => job.attempts.map(({ option, helped }) => [option, helped]),
    as: [['replace', false]],
  },

  'strike-attempt': {
    after: [
      open,
      {
        type: 'tell-attempt',
        data: { id: 't', option: 'relearn', helped: true, ago: { km: null, h: null, days: null }, words: '' },
      },
    ],
    data: { id: 't' },
    events: ['attempt-struck'],
    shows: (job) => job.attempts.length,
    as: 0,
  },

  'describe-foreign': {
    after: [open],
    data: { id: 'f', what: 'Acorn', where: 'under the plate', came: 'the air box', amount: 'one' },
    events: ['foreign-found'],
    shows: (job) => job.foreign.map(({ what, came, recovered }) => [what, came, recovered]),
    as: [['Acorn', 'the air box', null]],
  },

  'recover-foreign': {
    after: [
      open,
      {
        type: 'describe-foreign',
        data: { id: 'f', what: 'Filter', where: 'behind the plate', came: '', amount: 'crumbs' },
      },
    ],
    data: { id: 'f', recovered: 'part', how: 'a corner is missing, perhaps in the manifold' },
    events: ['foreign-recovered'],
    shows: (job) => job.foreign[0]?.recovered?.recovered,
    as: 'part',
  },

  'let-stand': {
    after: [
      open,
      { type: 'answer-question', data: { id: 'a', sign: 'idle-high', outcome: 'yes' } },
      { type: 'answer-question', data: { id: 'b', sign: 'idle-low', outcome: 'yes' } },
    ],
    data: { id: 's', stands: { sign: 'idle-low', outcome: 'yes' }, falls: { sign: 'idle-high', outcome: 'yes' } },
    events: ['finding-stands'],
    shows: (job) => job.fallen.map(({ falls }) => falls.sign),
    as: ['idle-high'],
  },
};
