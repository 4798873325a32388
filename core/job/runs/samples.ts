import type { SamplesOf } from '../testing/sample.ts';
import { run } from '../testing/steps.ts';
import { open } from '../testing/world.ts';
import type { RUNS } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const RUNS_SAMPLES: SamplesOf<typeof RUNS> = {
  'start-run': {
    after: [open],
    data: { id: 'r', recipeId: 'drive' },
    events: ['run-started'],
    shows: (job) => job.runs[0]?.run.status,
    as: 'running',
  },

  'advance-run': {
    after: [open, run],
    data: { runId: 'r', input: { kind: 'reading', name: 'ect', value: 84 } },
    events: ['run-advanced'],
    shows: (job) => job.runs[0]?.run.readings.ect,
    as: 84,
  },

  'close-run': {
    after: [open, run],
    data: { runId: 'r', outcome: 'abandoned', why: 'rain' },
    events: ['run-closed'],
    shows: (job) => job.runs[0]?.closed?.why,
    as: 'rain',
  },
};
