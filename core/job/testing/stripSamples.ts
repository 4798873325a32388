import type { CommandBody } from '../commands.ts';
import { itemOf } from '../query.ts';
import type { StripCommandData } from '../stripCommands.ts';
import { jobMayStart } from '../tallies.ts';
import { back, item, off, open, pin, pinRich, type Sample } from './world.ts';

const screwsOff: CommandBody = {
  type: 'remove-item',
  data: {
    itemId: 'screws',
    pocket: 'A1',
    label: '',
    countedOut: 4,
    stayIn: 2,
    lengthsOut: [
      { lengthMm: 25, count: 3 },
      { lengthMm: 20, count: 1 },
    ],
  },
};
const ready = (needId: string): CommandBody => ({
  type: 'tick-need',
  data: { needId, state: 'ready', expected: null },
});
const flag = { itemId: 'cover', flag: 'broken', text: 'clip snapped', needId: 'n', partNumber: 'C-1' } as const;
const drop: CommandBody = { type: 'drop-object', data: { id: 'd', what: 'M6 nut', where: 'behind the plenum' } };
const keep: CommandBody = { type: 'keep-measure', data: { itemId: 'dashpot', kind: 'lock-nut', text: '7.4 mm' } };
const strippedThread: CommandBody = {
  type: 'strip-thread',
  data: { itemId: 'bolts', boltId: '1', note: 'came out with the thread' },
};

/** Samples of the commands about items, openings and fasteners; see `SAMPLES`. */
export const STRIP_SAMPLES: { readonly [K in keyof StripCommandData]: Sample<K> } = {
  'move-to-version': {
    after: [open, pin, off('cover')],
    data: { procedureId: 'sample', version: 2 },
    events: ['procedure-moved'],
    shows: (job) => [job.procedure?.version, itemOf(job, 'cover')?.state],
    as: [2, 'off'],
  },
  'add-need': {
    after: [open],
    data: {
      need: { id: 'own', kind: 'part', name: ' Clamp 40 mm ', partNumber: '', note: '', caution: null },
    },
    events: ['need-added'],
    shows: (job) => job.ownNeeds.map(({ name }) => name),
    as: ['Clamp 40 mm'],
  },
  'do-end-step': {
    after: [open, pinRich, ready('battery-off')],
    data: { needId: 'battery-off', note: '' },
    events: ['end-step-done'],
    shows: (job) => [job.endSteps.length, jobMayStart(job).may],
    as: [1, true],
  },
  'add-opening': {
    after: [open, { type: 'add-item', data: { item: item('hose') } }, off('hose')],
    data: { itemId: 'hose', opening: { id: 'hole', name: ' Breather stub ', plugWith: 'Cap' } },
    events: ['opening-added'],
    shows: (job) => [job.openings[0]?.name, job.openings[0]?.state, itemOf(job, 'hose')?.opens],
    as: ['Breather stub', 'open', ['hole']],
  },
  'take-out-rest': {
    after: [open, pinRich, screwsOff],
    data: { itemId: 'screws' },
    events: ['rest-taken-out'],
    shows: (job) => [itemOf(job, 'screws')?.stayingIn, itemOf(job, 'screws')?.lengthsOut.length],
    as: [0, 2],
  },
  'flag-item': {
    after: [open, pin],
    data: { ...flag, needs: 'part' },
    events: ['need-added', 'need-ticked', 'item-flagged'],
    shows: (job) => [itemOf(job, 'cover')?.flag?.flag, job.ownNeeds[0]?.partNumber, job.needs[0]?.state],
    as: ['broken', 'C-1', 'missing'],
  },
  'settle-flag': {
    after: [open, pin, { type: 'flag-item', data: { ...flag, needs: 'repair' } }],
    data: { itemId: 'cover', how: 'glued' },
    events: ['flag-settled'],
    shows: (job) => itemOf(job, 'cover')?.flag?.settled?.how,
    as: 'glued',
  },
  'keep-measure': {
    after: [open, pinRich],
    data: keep.data as StripCommandData['keep-measure'],
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
  'drop-object': {
    after: [open],
    data: drop.data as StripCommandData['drop-object'],
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
  'finish-bench': {
    after: [open, pinRich, off('unit')],
    data: { itemId: 'unit', note: '' },
    events: ['bench-finished'],
    shows: (job) => job.benchDone.map(({ itemId }) => itemId),
    as: ['unit'],
  },
  'swap-over': {
    after: [open, pinRich],
    data: { itemId: 'arm' },
    events: ['item-swapped-over'],
    shows: (job) => itemOf(job, 'arm')?.swapped?.by,
    as: 'tomas',
  },
  'take-step': {
    after: [open, pin],
    data: { itemId: 'cover' },
    events: ['step-taken'],
    shows: (job) => job.hands.map(({ by, itemId }) => [by, itemId]),
    as: [['tomas', 'cover']],
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
  'tighten-pass': {
    after: [open, pinRich, screwsOff],
    data: { itemId: 'screws', pass: 1, method: 'wrench', torqueText: '5 Nm', wrenchId: 'w' },
    events: ['bolt-tightened', 'bolt-tightened', 'bolt-tightened', 'bolt-tightened'],
    shows: (job) => itemOf(job, 'screws')?.bolts.map(({ nm, final }) => [nm, final]),
    as: Array.from({ length: 4 }, () => [5, false]),
  },
  'strip-thread': {
    after: [open, pin, off('bolts')],
    data: strippedThread.data as StripCommandData['strip-thread'],
    events: ['thread-stripped'],
    shows: (job) => itemOf(job, 'bolts')?.threads.map(({ boltId, repaired }) => [boltId, repaired]),
    as: [['1', null]],
  },
  'repair-thread': {
    after: [open, pin, off('bolts'), strippedThread],
    data: { itemId: 'bolts', boltId: '1', route: 'insert', note: 'wire insert' },
    events: ['thread-repaired'],
    shows: (job) => itemOf(job, 'bolts')?.threads[0]?.repaired?.route,
    as: 'insert',
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
