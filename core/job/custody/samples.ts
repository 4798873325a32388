import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { CUSTODY } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const CUSTODY_SAMPLES: SamplesOf<typeof CUSTODY> = {
  'assign-job': {
    after: [open],
    data: { to: 'isla', name: 'Isla Renn', note: 'the lower hose leaks' },
    events: ['job-assigned'],
    shows: (job) => [job.assigned?.to, job.assigned?.note],
    as: ['isla', 'the lower hose leaks'],
  },
  'put-aside': {
    after: [open],
    data: { until: '2026-05-18', why: 'seal on order' },
    events: ['job-put-aside'],
    shows: (job) => [job.aside?.until, job.aside?.why, job.status],
    as: ['2026-05-18', 'seal on order', 'open'],
  },
  'take-up': {
    after: [open, { type: 'put-aside', data: { until: null, why: 'lunch' } }],
    data: {},
    events: ['job-taken-up'],
    shows: (job) => job.aside,
    as: null,
  },
  'cancel-job': {
    after: [open],
    data: { why: 'sold' },
    events: ['job-cancelled'],
    shows: (job) => [job.cancelled?.why, job.status],
    as: ['sold', 'closed'],
  },
};
