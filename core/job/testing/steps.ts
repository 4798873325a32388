/** Steps that several samples take before their own. */
import { plainItem } from '../../procedure/index.ts';
import type { CommandBody, CommandData } from '../catalogue.ts';

const step = <K extends CommandBody['type']>(type: K, data: CommandData[K]): CommandBody & { readonly type: K } =>
  ({ type, data }) as unknown as CommandBody & { readonly type: K };

export const told = step('tell-complaint', { id: 't', text: 'Hunts when cold.' });
export const decided = step('decide', { choice: 'relearn', reason: 'clean bore', departure: '', options: [] });
export const clearing = step('clear-codes', { id: 'z', codes: ['P0505'], from: 'sim' });
export const run = step('start-run', { id: 'r', recipeId: 'drive' });
export const handOver: CommandData['hand-over'] = {
  watch: 'idle',
  nextDue: null,
  labourMinutes: 30,
  ratePerHourMinor: 6000,
  currency: 'cr',
};
export const estimate: CommandData['make-estimate'] = {
  id: 'e',
  choice: 'relearn',
  lines: [{ words: 'Labour', minor: 2400 }],
  lowMinor: 2400,
  highMinor: 3000,
  currency: 'cr',
  note: '',
};
export const screwsOff = step('remove-item', {
  itemId: 'screws',
  pocket: 'A1',
  label: '',
  countedOut: 4,
  stayIn: 2,
  lengthsOut: [
    { lengthMm: 25, count: 3 },
    { lengthMm: 20, count: 1 },
  ],
});
export const ready = (needId: string): CommandBody => step('tick-need', { needId, state: 'ready', expected: null });
export const broken = {
  itemId: 'cover',
  flag: 'broken',
  text: 'clip snapped',
  needId: 'n',
  partNumber: 'C-1',
} as const;
export const drop = step('drop-object', { id: 'd', what: 'M6 nut', where: 'behind the plenum' });
export const keep = step('keep-measure', { itemId: 'dashpot', kind: 'lock-nut', text: '7.4 mm' });
/** A bracket that carries load, typed without a figure. */
export const noFigure = step('add-item', {
  item: plainItem('bracket', 'Throttle bracket', 'bracket', {
    fasteners: { count: 2, thread: 'M6×16', into: '', bolts: [], fractions: [1], spec: null, joint: 'bracket' },
  }),
});
export const strippedThread = step('strip-thread', { itemId: 'bolts', boltId: '1', note: 'came out with the thread' });
export const seized: CommandData['note-seized'] = {
  id: 'z',
  unit: 'idle-valve',
  where: 'Valve screw, lower',
  thread: 'M5×14',
  host: 'aluminium',
  headWhole: true,
  nearDelicate: false,
  partNumber: 'NP-05-0514',
};
export const noted = step('note-seized', seized);
export const picture = step('attach-picture', {
  id: 'pic',
  hash: 'a'.repeat(64),
  subject: 'throttle-body',
  when: 'before',
  caption: '',
});
export const apart = step('set-apart', { id: 'inj', unit: 'throttle-body', what: 'Injector', place: 'cylinder 2' });
