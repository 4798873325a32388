import type { CommandData } from '../catalogue.ts';
import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { RECORDINGS } from './subject.ts';

/** A recording before the work in which the idle swings. */
export const swinging: CommandData['keep-recording'] = {
  id: 'rec',
  hash: 'b'.repeat(64),
  when: 'before',
  startedAt: '2026-05-12T10:22:00.000Z',
  from: 'sim.bus',
  seconds: 60,
  readings: 4200,
  channels: [{ role: 'rpm', name: 'Engine speed', unit: 'rpm' }],
  phases: [{ kind: 'warm-idle', from: 0, to: 60 }],
  ended: 'stopped',
  figures: [
    { kind: 'idle', value: 828, sd: null, from: 0, to: 60 },
    { kind: 'swing', value: 140, sd: null, from: 0, to: 60 },
    { kind: 'swing-period', value: 2.6, sd: null, from: 0, to: 60 },
  ],
  untold: [],
  odd: [],
};

/** One good command of every kind of this subject; see `SAMPLES`. */
export const RECORDINGS_SAMPLES: SamplesOf<typeof RECORDINGS> = {
  'keep-recording': {
    after: [open],
    data: swinging,
    events: ['recording-kept'],
    shows: (job) => job.recordings.map(({ figures }) => figures.find(({ kind }) => kind === 'swing')?.value),
    as: [140],
  },
};
