import type { SamplesOf } from '../testing/sample.ts';
import { decided, handOver } from '../testing/steps.ts';
import { open } from '../testing/world.ts';
import type { HANDOVER } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const HANDOVER_SAMPLES: SamplesOf<typeof HANDOVER> = {
  'pass-stage': {
    after: [open],
    data: { stage: 'complaint' },
    events: ['stage-passed'],
    shows: (job) => job.passed,
    as: ['complaint'],
  },

  'hand-over': {
    after: [open, decided],
    data: handOver,
    events: ['handed-over'],
    shows: (job) => [job.status, job.handOver?.labourMinutes],
    as: ['closed', 30],
  },

  'reopen-job': {
    after: [open, decided, { type: 'hand-over', data: handOver }],
    data: { reason: 'came back' },
    events: ['job-reopened'],
    shows: (job) => [job.status, job.reopened[0]?.reason],
    as: ['open', 'came back'],
  },

  'set-recheck': {
    after: [open],
    data: { id: 'k', what: 'Coolant level', days: 14, use: 500 },
    events: ['recheck-set'],
    shows: (job) => job.rechecks.map(({ days }) => days),
    as: [14],
  },

  'leave-open': {
    after: [
      open,
      decided,
      {
        type: 'record-finding',
        data: { id: 'g', unit: 'throttle-body', point: 'deposit-back', when: 'after', grade: 4, text: '' },
      },
    ],
    data: {
      code: 'still-bad',
      subject: 'throttle-body deposit-back',
      reason: 'coke behind the plate would not come off',
      watch: 'idle that drops at stops',
      days: 60,
      use: null,
    },
    events: ['point-left-open'],
    shows: (job) => job.leftOpen.map(({ words, days }) => [words, days]),
    as: [['Throttle body, deposit, back: still bad after the work', 60]],
  },
};
