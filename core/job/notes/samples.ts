import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { NOTES } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const NOTES_SAMPLES: SamplesOf<typeof NOTES> = {
  'make-note': {
    after: [open],
    data: { id: 'n', stage: 'strip', text: 'rusty' },
    events: ['note-made'],
    shows: (job) => job.notes[0]?.text,
    as: 'rusty',
  },

  'acknowledge-caution': {
    after: [open],
    data: { caution: 'battery' },
    events: ['caution-acknowledged'],
    shows: (job) => job.cautions,
    as: ['battery'],
  },
};
