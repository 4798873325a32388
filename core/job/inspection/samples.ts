import { stageGaps } from '../handover/progress.ts';
import type { SamplesOf } from '../testing/sample.ts';
import { open } from '../testing/world.ts';
import type { INSPECTION } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const INSPECTION_SAMPLES: SamplesOf<typeof INSPECTION> = {
  'drop-unit': {
    after: [open],
    data: { id: 'd', unit: 'throttle-body', heightText: '80 cm', note: 'onto concrete' },
    events: ['unit-dropped'],
    shows: (job) => [job.drops.map(({ unit, height }) => [unit, height]), stageGaps(job, 'inspect').at(-1)?.words],
    as: [
      [['throttle-body', { value: 80, unit: 'cm', text: '80 cm' }]],
      'Throttle body was dropped and not looked at since',
    ],
  },
  'record-finding': {
    after: [open],
    data: { id: 'f', unit: 'throttle-body', point: 'deposit-edge', when: 'before', grade: 3, text: '' },
    events: ['finding-recorded'],
    shows: (job) => job.findings[0]?.grade,
    as: 3,
  },

  'judge-point': {
    after: [open],
    data: {
      id: 'f',
      unit: 'throttle-body',
      kind: 'throttle-body',
      form: 'cable',
      point: 'body-flat',
      when: 'before',
      which: '',
      marks: [],
      outcome: '',
      typed: ['0.3'],
      note: 'both ways',
    },
    events: ['point-judged', 'check-recorded'],
    shows: (job) => [job.findings[0]?.judged?.verdict, job.checks.map(({ outcome }) => outcome)],
    as: ['bad', ['warped']],
  },
};
