import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { PROOF } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const PROOF_SAMPLES: SamplesOf<typeof PROOF> = {
  'take-measurement': {
    after: [open],
    data: { id: 'm', kind: 'idle-rpm', when: 'after', value: 1300 },
    events: ['measurement-taken'],
    shows: (job) => job.measurements[0]?.value,
    as: 1300,
  },

  'record-proof': {
    after: [open],
    data: { check: 'leaks', result: 'bad', note: 'hose B' },
    events: ['proof-recorded'],
    shows: (job) => job.proofs[0]?.note,
    as: 'hose B',
  },

  'try-line': {
    after: [open, { type: 'note-symptom', data: { id: 's', text: 'hunts' } }],
    data: { line: 'symptom:s', words: '', verdict: 'still there', came: '±140 rpm', state: 'warm' },
    events: ['line-tried'],
    shows: (job) => job.tried.map(({ words, verdict, came, state }) => [words, verdict, came, state]),
    as: [['Hunts', 'still there', '±140 rpm', 'warm']],
  },

  'note-tool-said': {
    after: [open],
    data: { what: 'Throttle adaptation', when: 'after', said: 'learned, 0.62 V' },
    events: ['tool-said'],
    shows: (job) => job.toolSays.map(({ said }) => said),
    as: ['learned, 0.62 V'],
  },
};
