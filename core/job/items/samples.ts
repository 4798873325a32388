import { plainItem } from '../../procedure/index.ts';
import { jobMayStart, jobTally } from '../start/tallies.ts';
import type { SamplesOf } from '../testing/sample.ts';
import { broken, drop, keep, noFigure, screwsOff } from '../testing/steps.ts';
import { back, item, off, open, pin, pinRich, plug } from '../testing/world.ts';
import { itemOf, nextOff } from './query.ts';
import type { ITEMS } from './subject.ts';

/** One good command of every kind of this subject; see `SAMPLES`. */
export const ITEMS_SAMPLES: SamplesOf<typeof ITEMS> = {
  'add-item': {
    after: [open],
    data: { item: item('typed') },
    events: ['item-added'],
    shows: (job) => job.items[0]?.origin,
    as: 'typed',
  },

  'correct-item': {
    after: [open, noFigure, off('bracket')],
    data: {
      itemId: 'bracket',
      is: { name: 'Cooler bracket', kind: 'bracket', tool: '12 mm', count: 3, thread: 'M8×20', joint: 'bracket' },
      why: 'miscounted',
    },
    events: ['item-corrected'],
    shows: (job) => [
      itemOf(job, 'bracket')?.name,
      itemOf(job, 'bracket')?.fasteners?.count,
      itemOf(job, 'bracket')?.corrections.map(({ was, why }) => [was.name, was.count, why]),
    ],
    as: ['Cooler bracket', 3, [['Throttle bracket', 2, 'miscounted']]],
  },

  'tie-aside': {
    after: [open, pin],
    data: { itemId: 'plug', where: 'to the strut' },
    events: ['item-tied-aside'],
    shows: (job) => [itemOf(job, 'plug')?.aside?.where, jobTally(job).itemsOff.map(({ id, aside }) => [id, aside])],
    as: ['to the strut', [['plug', true]]],
  },

  'say-off-order': {
    after: [open, pin],
    data: { itemId: 'plug', first: 'cover', kind: 'reach', reason: 'it sits on top' },
    events: ['off-order-said'],
    shows: (job) => [nextOff(job)?.id, itemOf(job, 'plug')?.offAfter],
    as: ['cover', [{ item: 'cover', kind: 'reach', reason: 'it sits on top' }]],
  },

  'strike-removal': {
    after: [open, pin, off('cover')],
    data: { itemId: 'cover', why: 'the other one' },
    events: ['removal-struck'],
    shows: (job) => [
      itemOf(job, 'cover')?.state,
      itemOf(job, 'cover')?.stripOrder,
      itemOf(job, 'cover')?.neverOff?.why,
    ],
    as: ['on', null, 'the other one'],
  },

  'take-off-typed': {
    after: [open],
    data: {
      item: plainItem('hose', 'Coolant hose, left', 'coolant-hose'),
      opening: { id: 'hose-opening', name: 'Coolant circuit', plugWith: 'Bung' },
      pocket: '',
      plug: { id: 'bung', what: 'Bung' },
    },
    events: ['item-added', 'opening-added', 'item-removed', 'opening-plugged'],
    shows: (job) => [
      itemOf(job, 'hose')?.state,
      job.openings.map(({ id, state }) => [id, state]),
      itemOf(job, 'bung')?.origin,
    ],
    as: ['off', [['hose-opening', 'plugged']], 'plug'],
  },

  'add-constraint': {
    after: [open, pin],
    data: { constraint: { kind: 'before', id: 'x', a: 'cover', b: 'body', reason: 'it is under' } },
    events: ['constraint-added'],
    shows: (job) => job.constraints.length,
    as: 1,
  },

  'remark-item': {
    after: [open, pin],
    data: { itemId: 'cover', pocket: 'A1', label: 'x', remark: 'cracked' },
    events: ['item-remarked'],
    shows: (job) => job.items[1]?.remark,
    as: 'cracked',
  },

  'remove-item': {
    after: [open, pin],
    data: { itemId: 'body', pocket: 'bench', label: 'left', countedOut: null },
    events: ['item-removed'],
    shows: (job) => [job.items[3]?.state, job.items[3]?.pocket, job.openings[0]?.state],
    as: ['off', 'bench', 'open'],
  },

  'take-out-rest': {
    after: [open, pinRich, screwsOff],
    data: { itemId: 'screws' },
    events: ['rest-taken-out'],
    shows: (job) => [itemOf(job, 'screws')?.stayingIn, itemOf(job, 'screws')?.lengthsOut.length],
    as: [0, 2],
  },
  // Against the order, so that both of its events are seen; the plain way is in every other sample that puts back.
  'put-back-item': {
    after: [open, pin, off('body'), plug],
    data: {
      itemId: 'body',
      renewed: true,
      fitted: 'S-2',
      countedBack: null,
      confirmed: false,
      against: 'it is on already',
    },
    events: ['item-put-back', 'order-broken'],
    shows: (job) => [job.items[3]?.state, job.items[3]?.fitted, job.openings[0]?.state, job.brokenOrders.length],
    as: ['renewed', 'S-2', 'plugged', 1],
  },

  'confirm-connector': {
    after: [open, pin, off('plug'), back('plug')],
    data: { itemId: 'plug' },
    events: ['connector-confirmed'],
    shows: (job) => job.items[0]?.confirmed,
    as: true,
  },

  'leave-off-item': {
    after: [open, pin, off('cover')],
    data: { itemId: 'cover', reason: 'clips broken' },
    events: ['item-left-off'],
    shows: (job) => [job.items[1]?.state, job.items[1]?.remark],
    as: ['left-off', 'clips broken'],
  },

  'swap-over': {
    after: [open, pinRich],
    data: { itemId: 'arm' },
    events: ['item-swapped-over'],
    shows: (job) => itemOf(job, 'arm')?.swapped?.by,
    as: 'tomas',
  },

  'finish-bench': {
    after: [open, pinRich, off('unit')],
    data: { itemId: 'unit', note: '' },
    events: ['bench-finished'],
    shows: (job) => job.unitWorkDone.map(({ itemId }) => itemId),
    as: ['unit'],
  },

  'take-step': {
    after: [open, pin],
    data: { itemId: 'cover' },
    events: ['step-taken'],
    shows: (job) => job.hands.map(({ by, itemId }) => [by, itemId]),
    as: [['tomas', 'cover']],
  },

  'plug-opening': {
    after: [open, pin, off('body')],
    data: { openingId: 'inlet', plugId: 'cap', what: 'Cap' },
    events: ['opening-plugged'],
    shows: (job) => [job.openings[0]?.state, job.items[4]?.origin],
    as: ['plugged', 'plug'],
  },

  'unplug-opening': {
    after: [open, pin, off('body'), plug],
    data: { openingId: 'inlet' },
    events: ['opening-unplugged'],
    shows: (job) => [job.openings[0]?.state, job.items[4]?.state],
    as: ['open', 'refitted'],
  },

  'add-opening': {
    after: [open, { type: 'add-item', data: { item: item('hose') } }, off('hose')],
    data: { itemId: 'hose', opening: { id: 'hole', name: ' Breather stub ', plugWith: 'Cap' } },
    events: ['opening-added'],
    shows: (job) => [job.openings[0]?.name, job.openings[0]?.state, itemOf(job, 'hose')?.opens],
    as: ['Breather stub', 'open', ['hole']],
  },

  'place-object': {
    after: [open],
    data: { id: 'rag', what: 'Rag', where: 'duct' },
    events: ['object-placed'],
    shows: (job) => job.objects[0]?.out,
    as: false,
  },

  'take-object-out': {
    after: [open, { type: 'place-object', data: { id: 'rag', what: 'Rag', where: 'duct' } }],
    data: { id: 'rag' },
    events: ['object-taken-out'],
    shows: (job) => job.objects[0]?.out,
    as: true,
  },

  'drop-object': {
    after: [open],
    data: drop.data,
    events: ['object-dropped'],
    shows: (job) => [job.searches[0]?.what, jobMayStart(job).may],
    as: ['M6 nut', false],
  },

  'end-search': {
    after: [open, drop],
    data: { id: 'd', outcome: 'accepted', where: 'fell to the floor, swept' },
    events: ['search-ended'],
    shows: (job) => [job.searches[0]?.ended?.outcome, jobMayStart(job).may],
    as: ['accepted', true],
  },

  'flag-item': {
    after: [open, pin],
    data: { ...broken, needs: 'part' },
    events: ['need-added', 'need-ticked', 'item-flagged'],
    shows: (job) => [itemOf(job, 'cover')?.flag?.flag, job.ownNeeds[0]?.partNumber, job.needs[0]?.state],
    as: ['broken', 'C-1', 'missing'],
  },

  'settle-flag': {
    after: [open, pin, { type: 'flag-item', data: { ...broken, needs: 'repair' } }],
    data: { itemId: 'cover', how: 'glued' },
    events: ['flag-settled'],
    shows: (job) => itemOf(job, 'cover')?.flag?.settled?.how,
    as: 'glued',
  },

  'keep-measure': {
    after: [open, pinRich],
    data: keep.data,
    events: ['measure-kept'],
    shows: (job) => itemOf(job, 'dashpot')?.kept.map(({ text, restored }) => [text, restored]),
    as: [['7.4 mm', null]],
  },

  'restore-measure': {
    after: [open, pinRich, keep, off('dashpot'), back('dashpot')],
    data: { itemId: 'dashpot', kind: 'lock-nut', text: '7.4 mm' },
    events: ['measure-restored'],
    shows: (job) => [itemOf(job, 'dashpot')?.kept[0]?.restored?.text, jobMayStart(job).may],
    as: ['7.4 mm', true],
  },

  'lay-out-tray': {
    after: [open],
    data: { rows: 3, columns: 5 },
    events: ['tray-laid-out'],
    shows: (job) => [job.tray.rows, job.tray.columns],
    as: [3, 5],
  },

  'name-pocket': {
    after: [open],
    data: { pocket: 'B2', name: ' flange bolts ' },
    events: ['pocket-named'],
    shows: (job) => job.tray.names,
    as: { B2: 'flange bolts' },
  },
};
