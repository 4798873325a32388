import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { ENTRIES } from './subject.ts';

const note = { type: 'make-note', data: { id: 'n', stage: 'strip', text: 'rusty' } } as const;

/** One good command of every kind of this subject; see `SAMPLES`. */
export const ENTRIES_SAMPLES: SamplesOf<typeof ENTRIES> = {
  'strike-entry': {
    after: [open, note],
    data: { command: 'c1', nth: 0, kind: 'note-made', why: 'wrong vehicle' },
    events: ['entry-struck'],
    shows: (job) => [job.notes.length, job.struck[0]?.words, job.struck[0]?.why],
    as: [0, 'Note at strip', 'wrong vehicle'],
  },
  'correct-entry': {
    after: [open, note],
    data: { command: 'c1', nth: 0, kind: 'note-made', why: '', is: [{ field: 'text', text: 'dusty' }] },
    events: ['entry-struck', 'note-made'],
    shows: (job) => [job.notes.map(({ text }) => text), job.struck.length],
    as: [['dusty'], 1],
  },
  'move-entry': {
    after: [open, note],
    data: { command: 'c1', nth: 0, kind: 'note-made', at: '2026-05-13T08:01:00.000Z', why: '' },
    events: ['entry-moved'],
    shows: (job) => [job.notes[0]?.at, job.moved.length],
    as: ['2026-05-13T08:01:00.000Z', 1],
  },
};
