import type { SamplesOf } from '../testing/sample.ts';
import { decided, estimate, told } from '../testing/steps.ts';
import { open } from '../testing/world.ts';
import type { CHOICE } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const CHOICE_SAMPLES: SamplesOf<typeof CHOICE> = {
  decide: {
    after: [open, told],
    data: { choice: 'clean-in-place', reason: 'ring at the front', departure: 'only the front is dirty', options: [] },
    events: ['decision-made', 'belief-kept', 'rule-departed'],
    shows: (job) => [
      job.decision?.choice,
      job.belief?.knowledge,
      job.belief?.findings,
      (job.belief?.causes ?? []).length,
      job.departures[0]?.reason,
    ],
    as: [
      'clean-in-place',
      1,
      ['clean on the bench helped before', 'idle hunts', 'worse cold'],
      6,
      'only the front is dirty',
    ],
  },

  'depart-from-rule': {
    after: [open],
    data: { question: 'where', taken: 'in-place', reason: 'front only is dirty' },
    events: ['rule-departed'],
    shows: (job) => job.departures.map(({ rule, taken }) => [rule, taken]),
    as: [['off', 'in-place']],
  },

  'set-terms': {
    after: [open],
    data: { option: 'replace', partsMinor: 80_000, minutes: 90, daysOff: 2, life: 150_000 },
    events: ['terms-set'],
    shows: (job) => job.terms,
    as: [{ id: 'replace', partsMinor: 80_000, minutes: 90, daysOff: 2, life: 150_000 }],
  },

  'make-estimate': {
    after: [open, decided],
    data: estimate,
    events: ['estimate-made'],
    shows: (job) => [job.estimates[0]?.highMinor, job.estimates[0]?.answer],
    as: [3000, null],
  },

  'answer-estimate': {
    after: [open, decided, { type: 'make-estimate', data: estimate }],
    data: { id: 'e', answer: 'up to', limitMinor: 2800, who: 'the nurse', how: 'telephone', note: '' },
    events: ['estimate-answered'],
    shows: (job) => [job.estimates[0]?.answer?.answer, job.estimates[0]?.answer?.limitMinor],
    as: ['up to', 2800],
  },
};
