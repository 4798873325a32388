import { describe, expect, it } from 'vitest';
import {
  type CommandBody,
  commandOf,
  freePocket,
  gaping,
  holding,
  itemOf,
  type Job,
  placeFor,
  pocketId,
  standsAt,
  tagFor,
  tapOn,
  torqueStep,
  UNTYPED,
  workQueue,
} from '../index.ts';
import { plainItem } from '../../procedure/index.ts';
import { play } from '../testing/play.ts';
import { freshItem } from './item.ts';
import { back, off, open, pin, pinRich, SAMPLE_CONTEXT } from '../testing/samples.ts';

const { wrenches } = SAMPLE_CONTEXT;
const jobAfter = (...bodies: CommandBody[]): Job => play([open, ...bodies]).job!;
const placed = (itemId: string, more: object): CommandBody =>
  ({ type: 'remove-item', data: { itemId, pocket: '', label: '', countedOut: null, ...more } }) as CommandBody;
const tapAt = (job: Job, id: string, way: 'strip' | 'refit' = 'refit', typed = UNTYPED) => {
  const item = itemOf(job, id)!;
  return tapOn(way, job, item, typed, way === 'refit' ? torqueStep(item, wrenches, '') : null);
};
/** Taps whatever work stands at until nothing is left; the kinds of the taps. */
function tapThrough(first: readonly CommandBody[], way: 'strip' | 'refit'): string[] {
  const bodies = [open, ...first];
  const kinds: string[] = [];
  for (let taps = 0; taps < 20; taps += 1) {
    const { job } = play(bodies);
    const [item] = workQueue(job!, way, 'tomas');
    const tap = item === undefined ? null : tapAt(job!, item.id, way);
    if (tap === null) return kinds;
    kinds.push(tap.kind);
    bodies.push(commandOf(tap, job!, UNTYPED, `cap-${taps}`));
  }
  return kinds;
}

describe('one tap', () => {
  it('in strip plugs what gapes before anything else, and takes out what holds the weight before the unit', () => {
    const open = jobAfter(pin, off('body'));
    expect(gaping(open)?.id).toBe('inlet');
    expect(tapAt(open, 'cover', 'strip')).toMatchObject({ kind: 'plug', opening: { id: 'inlet', plugWith: 'Cap' } });
    const held = jobAfter(pinRich, placed('screws', { countedOut: 4, stayIn: 2 }));
    expect(holding(held, itemOf(held, 'unit')!)?.id).toBe('screws');
    expect(holding(held, itemOf(held, 'arm')!)).toBeUndefined();
    expect(tapAt(held, 'unit', 'strip')).toMatchObject({ kind: 'rest', group: { id: 'screws' } });
    expect(tapAt(held, 'arm', 'strip')).toMatchObject({ kind: 'off', again: false });
  });
  it('takes a whole job off and brings it back, plug, bolts and lock in their order', () => {
    const bodies: CommandBody[] = [pin];
    expect(tapThrough(bodies, 'strip')).toEqual(['off', 'off', 'off', 'off', 'plug']);
    const stripped = [pin, off('plug'), off('cover'), off('bolts'), off('body')];
    expect(tapThrough(stripped, 'refit')).toEqual(['back', 'bolt', 'back', 'back']);
    const plugged: CommandBody = { type: 'plug-opening', data: { openingId: 'inlet', plugId: 'cap', what: 'Cap' } };
    expect(tapThrough([...stripped, plugged], 'refit')).toEqual(['unplug', 'back', 'bolt', 'back', 'back']);
  });
  it('asks for the lock of a connector that went back without it, and for nothing once all is done', () => {
    const job = jobAfter(pin, off('plug'), back('plug'));
    expect(tapAt(job, 'plug')).toMatchObject({ kind: 'lock', item: { id: 'plug' } });
    expect(commandOf(tapAt(job, 'plug')!, job, UNTYPED, '')).toEqual({
      type: 'confirm-connector',
      data: { itemId: 'plug' },
    });
    expect(tapAt(jobAfter(pin), 'cover')).toBeNull();
  });
  it('goes by what was typed: a new one, a pocket, a tag, how many stay in', () => {
    const job = jobAfter(pinRich, off('seal'));
    expect(tapAt(job, 'seal')).toMatchObject({ kind: 'back', renewed: true });
    const cover = jobAfter(pin, off('cover'));
    const typed = { ...UNTYPED, renew: true };
    expect(commandOf(tapAt(cover, 'cover', 'refit', typed)!, cover, typed, '').data).toMatchObject({ renewed: true });
    const whole = jobAfter(pinRich);
    const own = { ...UNTYPED, pocket: 'B2', label: 'mine', stayIn: 1 };
    expect(commandOf(tapAt(whole, 'screws', 'strip')!, whole, own, '').data).toMatchObject({
      pocket: 'B2',
      label: 'mine',
      stayIn: 1,
      countedOut: 4,
      lengthsOut: [
        { lengthMm: 25, count: 3 },
        { lengthMm: 20, count: 1 },
      ],
    });
  });
  it('waits where a thread stripped and nothing else of the group is left', () => {
    const job = jobAfter(pin, off('bolts'), { type: 'strip-thread', data: { itemId: 'bolts', boltId: '1', note: '' } });
    expect(tapAt(job, 'bolts')).toBeNull();
  });
});

describe('where work stands', () => {
  it('in refit is a group that is back and not at torque, before anything else', () => {
    const half = jobAfter(pinRich, off('screws'), {
      type: 'tighten-pass',
      data: { itemId: 'screws', pass: 1, method: 'wrench', torqueText: '5 Nm', wrenchId: 'w' },
    });
    expect(standsAt(half, 'refit', 'tomas')?.id).toBe('screws');
    expect(torqueStep(itemOf(half, 'screws')!, wrenches, '')).toMatchObject({ pass: 2, angleDeg: 45, entry: '45°' });
  });
  it('leaves to others what they have in hand', () => {
    const job = jobAfter(pin, { type: 'take-step', data: { itemId: 'plug' } });
    expect(standsAt(job, 'strip', 'tomas')?.id).toBe('plug');
    expect(standsAt(job, 'strip', 'isla')?.id).toBe('cover');
  });
  it('in strip comes last to the item whose opening gapes', () => {
    const job = jobAfter(pin, off('plug'), off('cover'), off('bolts'), off('body'));
    expect(workQueue(job, 'strip').map(({ id }) => id)).toEqual(['body']);
    expect(workQueue(jobAfter(pin), 'refit')).toEqual([]);
  });
});

describe('places', () => {
  it('are the first pocket with nothing in it; when all are taken, with its kin or where the fewest lie', () => {
    const job = jobAfter(pinRich, placed('dashpot', { pocket: 'A1' }), placed('arm', { pocket: 'A3' }));
    expect(freePocket(job)).toBe('A2');
    expect(freePocket(job, '', ['A2', 'A4'])).toBe('A5');
    const items = job.items.map((item) =>
      item.pocket === 'A1'
        ? { ...item, section: 'Left bank' }
        : item.pocket === 'A3'
          ? { ...item, pocket: 'A2' }
          : item,
    );
    const full = { ...job, items, tray: { rows: 1, columns: 2, names: {} } };
    expect(freePocket(full, 'Left bank')).toBe('A1');
    const uneven = { ...full, items: [...items, { ...items[2]!, id: 'more', pocket: 'A1', section: 'x' }] };
    expect(freePocket(uneven)).toBe('A2');
    expect(freePocket(uneven, '', ['A2', 'A2'])).toBe('A1');
    expect(freePocket({ ...full, tray: { rows: 0, columns: 0, names: {} } })).toBe('');
    expect(pocketId(2, 4)).toBe('C5');
  });
  it('of a procedure that was written before there were tags, are told apart by what their names say last', () => {
    const plug = (more: object) =>
      freshItem({ ...plainItem('p', 'Coil plug, left bank, upper', 'connector'), ...more }, 'procedure');
    expect(tagFor(plug({ alike: 'coil' }))).toBe('upper');
    expect(tagFor(plug({ alike: 'coil', tag: 'red' }))).toBe('red');
    expect(tagFor(plug({}))).toBe('');
    expect(tagFor(plug({ alike: 'coil', name: 'Coil plug' }))).toBe('');
  });
  it('of what hangs are none, of a unit where units are worked on', () => {
    const job = jobAfter(pinRich);
    expect(['left-plug', 'unit', 'arm'].map((id) => placeFor(job, itemOf(job, id)!))).toEqual(['', 'bench', 'A1']);
    expect(tagFor({ label: '', tag: 'upper' })).toBe('upper');
    expect(tagFor({ label: 'blue', tag: 'upper' })).toBe('blue');
    expect(tagFor({ label: '', tag: undefined as never })).toBe('');
  });
});
