import type { SamplesOf } from '../testing/sample.ts';
import { drop } from '../testing/steps.ts';
import { afloat, open } from '../testing/world.ts';
import type { START } from './subject.ts';
import { jobMayStart } from './tallies.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const START_SAMPLES: SamplesOf<typeof START> = {
  'override-hold': {
    after: [open, drop, { type: 'place-object', data: { id: 'r', what: 'Rag', where: 'duct' } }],
    data: { keys: ['search d'], reason: 'magnet found nothing in it' },
    events: ['hold-overridden'],
    shows: (job) => {
      const verdict = jobMayStart(job);
      return [verdict.passed.map(({ code }) => code), verdict.may ? [] : verdict.holds.map(({ code }) => code)];
    },
    as: [['search'], ['object-in']],
  },

  'give-water': {
    after: [afloat],
    data: { how: 'muffs and hose' },
    events: ['water-given'],
    shows: (job) => [job.water?.how, jobMayStart(job).may],
    as: ['muffs and hose', true],
  },
};
