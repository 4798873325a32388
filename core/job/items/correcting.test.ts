import { describe, expect, it } from 'vitest';
import { changesOf, type CommandBody, decide, fallsWith, itemOf, jobMayStart, jobTally, sheetOf } from '../index.ts';
import { plainItem } from '../../procedure/index.ts';
import { speaker } from '../../sheet/index.ts';
import { play } from '../testing/play.ts';
import { noFigure } from '../testing/steps.ts';
import { off, open, pin, plug, SAMPLE_CONTEXT } from '../testing/samples.ts';

const bracket = {
  name: 'Throttle bracket',
  kind: 'bracket',
  tool: '',
  count: 2,
  thread: 'M6×16',
  joint: 'bracket',
} as const;
const correct = (is: object, why = ''): CommandBody =>
  ({ type: 'correct-item', data: { itemId: 'bracket', is: { ...bracket, ...is }, why } }) as CommandBody;
const counted: CommandBody = {
  type: 'remove-item',
  data: { itemId: 'bracket', pocket: 'A1', label: '', countedOut: 2 },
};
const tight: CommandBody = {
  type: 'tighten-bolt',
  data: { itemId: 'bracket', boltId: '2', pass: 1, method: 'wrench', torqueText: '9 Nm', wrenchId: 'w' },
};

describe('a line put right', () => {
  it('keeps the old words, who and why; what was counted follows', () => {
    const { job } = play([open, noFigure, counted, correct({ count: 3, thread: 'M8×20' }, 'found a third')]);
    const item = itemOf(job!, 'bracket')!;
    expect(item).toMatchObject({ fasteners: { count: 3, thread: 'M8×20' }, countedOut: 3 });
    expect(item.corrections).toMatchObject([
      { was: { count: 2 }, is: { count: 3 }, why: 'found a third', by: 'tomas' },
    ]);
    expect(changesOf(item.corrections[0]!.was, item.corrections[0]!.is)).toEqual(['3 × M8×20 instead of 2 × M6×16']);
    expect(jobTally(job!).fastenersOut).toBe(3);
    const say = speaker(new Map([['tomas', 'Tomas Virk']]), 'cr', 'Europe/London');
    const notes = sheetOf(job!, say).sections.flatMap(({ rows }) => rows.map(({ note }) => note));
    expect(notes.join()).toContain('put right by Tomas Virk, 09:06: 3 × M8×20 instead of 2 × M6×16 (found a third)');
  });
  it('that turns out to be a coolant hose has left its circuit open all the time', () => {
    const hose: CommandBody = { type: 'add-item', data: { item: plainItem('hose', 'Thin hose', 'hose') } };
    const gone: CommandBody = {
      type: 'remove-item',
      data: { itemId: 'hose', pocket: '', label: '', countedOut: null },
    };
    const is = {
      name: 'Thin coolant hose',
      kind: 'coolant-hose',
      tool: '',
      count: null,
      thread: '',
      joint: null,
    } as const;
    const fix: CommandBody = { type: 'correct-item', data: { itemId: 'hose', is, why: '' } };
    const { job } = play([open, hose, gone, fix]);
    expect(job!.openings).toMatchObject([{ id: 'hose-opening', state: 'open' }]);
    expect(itemOf(job!, 'hose')?.opens).toEqual(['hose-opening']);
    expect(jobMayStart(job!)).toMatchObject({ may: false });
    // Taken back it is a thin hose again, and nothing is open.
    const back = play([open, hose, gone, fix, { type: 'undo', data: { expected: 'c3' } }]).job!;
    expect(back.openings).toEqual([]);
    // While it is still on nothing is open yet.
    expect(play([open, hose, fix]).job!.openings).toMatchObject([{ state: 'whole' }]);
  });
  it.each([
    [{ name: ' ' }, 'name'],
    [{ name: 'sample cover' }, 'name'],
    [{ count: 0 }, 'count'],
    [{ count: 1 }, 'count'],
    [{ thread: 'M7.3' }, 'thread'],
    [{}, null],
  ] as const)('%j is refused at %s', (is, field) => {
    const { job } = play([open, pin, noFigure, counted, tight]);
    const refused = decide(job, correct(is), SAMPLE_CONTEXT);
    expect(refused).toMatchObject({ ok: false, field });
  });
  it('takes the call for a figure away, or makes it, with what the fasteners hold', () => {
    const wanted = (is: object) => jobTally(play([open, noFigure, counted, correct(is)]).job!).figuresWanted.length;
    expect([wanted({ joint: 'trim' }), wanted({ joint: 'fuel' }), wanted({ kind: 'cover' })]).toEqual([0, 1, 1]);
  });
  it('is undone like any entry', () => {
    const { job } = play([open, noFigure, correct({ name: 'Stay' })]);
    const back = play([
      open,
      noFigure,
      correct({ name: 'Stay' }),
      { type: 'undo', data: { expected: job!.undo!.commandId } },
    ]);
    expect(itemOf(back.job!, 'bracket')).toMatchObject({ name: 'Throttle bracket', corrections: [] });
  });
});

describe('what never came off', () => {
  const strike = (itemId: string): CommandBody => ({ type: 'strike-removal', data: { itemId, why: '' } });
  it('is on again, and what stood on it falls, told before', () => {
    const { job } = play([open, noFigure, counted, tight]);
    expect(fallsWith(itemOf(job!, 'bracket')!, job!)).toEqual(['1 bolt as tightened']);
    const struck = play([open, noFigure, counted, tight, strike('bracket')]).job!;
    expect(itemOf(struck, 'bracket')).toMatchObject({ state: 'on', stripOrder: null, bolts: [], countedOut: null });
    expect(jobTally(struck)).toMatchObject({ itemsOff: [], figuresWanted: [], fastenersOut: 0 });
  });
  it('closes what it was said to have opened, unless a plug sits there', () => {
    const opened = [open, pin, off('plug'), off('cover'), off('bolts'), off('body')];
    const struck = play([...opened, strike('body')]).job!;
    expect(struck.openings.map(({ state }) => state)).toEqual(['whole']);
    const plugged = decide(play([...opened, plug]).job, strike('body'), SAMPLE_CONTEXT);
    expect(plugged).toMatchObject({ ok: false, code: 'plug-still-in' });
    expect(decide(play([open, pin]).job, strike('body'), SAMPLE_CONTEXT)).toMatchObject({ ok: false, code: 'not-off' });
  });
});
