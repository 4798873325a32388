import type { SamplesOf } from '../testing/sample.ts';
import { picture } from '../testing/steps.ts';
import { open } from '../testing/world.ts';
import type { PICTURES } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const PICTURES_SAMPLES: SamplesOf<typeof PICTURES> = {
  'attach-picture': {
    after: [open],
    data: { id: 'p', hash: 'a'.repeat(64), subject: 'throttle-body', when: 'before', caption: '' },
    events: ['picture-attached'],
    shows: (job) => job.pictures.length,
    as: 1,
  },

  'mark-picture': {
    after: [open, picture],
    data: {
      pictureId: 'pic',
      rotation: 90,
      marks: [
        { kind: 'arrow', x: 0.1, y: 0.2, toX: 0.5, toY: 0.5 },
        { kind: 'circle', x: 0.5, y: 0.5, radius: 0.2 },
        { kind: 'text', x: 0.1, y: 0.1, text: 'ring' },
      ],
      anchors: [
        { x: 0.2, y: 0.2 },
        { x: 0.8, y: 0.8 },
      ],
    },
    events: ['picture-marked'],
    shows: (job) => job.pictures[0]?.marking?.marks.length,
    as: 3,
  },
};
