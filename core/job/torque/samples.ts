import { itemOf } from '../items/query.ts';
import { jobTally } from '../start/tallies.ts';
import type { SamplesOf } from '../testing/sample.ts';
import { noFigure, screwsOff, strippedThread } from '../testing/steps.ts';
import { off, open, pin, pinRich } from '../testing/world.ts';
import type { TORQUE } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const TORQUE_SAMPLES: SamplesOf<typeof TORQUE> = {
  'tighten-bolt': {
    after: [open, pin, off('bolts')],
    data: { itemId: 'bolts', boltId: '1', pass: 1, method: 'wrench', torqueText: '9 Nm', wrenchId: 'w' },
    events: ['bolt-tightened', 'item-put-back'],
    shows: (job) => [job.items[2]?.bolts[0]?.nm, job.items[2]?.bolts[0]?.wrench, job.items[2]?.state],
    as: [9, 'Click', 'refitted'],
  },

  'place-bolts': {
    after: [open, noFigure],
    data: {
      itemId: 'bracket',
      places: [
        { x: 0, y: 0 },
        { x: 40, y: 10 },
      ],
    },
    events: ['bolts-placed'],
    shows: (job) => itemOf(job, 'bracket')?.fasteners?.bolts.map(({ id, x }) => [id, x]),
    as: [
      ['1', 0],
      ['2', 40],
    ],
  },

  'tighten-pass': {
    after: [open, pinRich, screwsOff],
    data: { itemId: 'screws', pass: 1, method: 'wrench', torqueText: '5 Nm', wrenchId: 'w' },
    events: ['bolt-tightened', 'bolt-tightened', 'bolt-tightened', 'bolt-tightened'],
    shows: (job) => itemOf(job, 'screws')?.bolts.map(({ nm, final }) => [nm, final]),
    as: Array.from({ length: 4 }, () => [5, false]),
  },

  'strip-thread': {
    after: [open, pin, off('bolts')],
    data: strippedThread.data,
    events: ['thread-stripped'],
    shows: (job) => itemOf(job, 'bolts')?.threads.map(({ boltId, repaired }) => [boltId, repaired]),
    as: [['1', null]],
  },

  'repair-thread': {
    after: [open, pin, off('bolts'), strippedThread],
    role: 'apprentice',
    data: { itemId: 'bolts', boltId: '1', route: 'insert', note: 'wire insert' },
    events: ['thread-repaired', 'countersign-asked'],
    shows: (job) => itemOf(job, 'bolts')?.threads[0]?.repaired?.route,
    as: 'insert',
  },

  'give-figure': {
    after: [open, noFigure, off('bracket')],
    data: {
      itemId: 'bracket',
      text: '8 to 10 Nm',
      source: 'shop book',
      like: { jobId: 'j-7', number: 7, vehicle: 'AB 1' },
    },
    events: ['figure-given'],
    shows: (job) => [
      itemOf(job, 'bracket')?.fasteners?.spec?.targetNm,
      itemOf(job, 'bracket')?.fasteners?.fractions,
      itemOf(job, 'bracket')?.figureFrom?.number,
      jobTally(job).figuresWanted.length,
    ],
    as: [9, [0.5, 1], 7, 0],
  },

  'choose-by-feel': {
    after: [open, noFigure, off('bracket')],
    data: { itemIds: ['bracket'], why: 'no book for this engine' },
    events: ['by-feel-chosen'],
    shows: (job) => [itemOf(job, 'bracket')?.byFeel?.why, jobTally(job).figuresWanted.length],
    as: ['no book for this engine', 0],
  },

  'go-over-group': {
    after: [
      open,
      pin,
      off('bolts'),
      {
        type: 'tighten-bolt',
        data: { itemId: 'bolts', boltId: '1', pass: 1, method: 'wrench', torqueText: '9 Nm', wrenchId: 'w' },
      },
    ],
    data: { itemId: 'bolts', moved: false, note: '' },
    events: ['group-gone-over'],
    shows: (job) => itemOf(job, 'bolts')?.retorqued?.moved,
    as: false,
  },
};
