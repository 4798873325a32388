import { describe, expect, it } from 'vitest';
import { checkProcedure, expectedMinutes, type Procedure, type ProcedureItem } from '../../procedure/index.ts';
import {
  type CommandBody,
  decide,
  engineHolds,
  foreseenPlan,
  itemOf,
  type Job,
  jobLocks,
  jobPlan,
  leftColumn,
  nextBack,
  nextOff,
  openedHoses,
  proposeProcedure,
  stillBefore,
  tapOn,
  unitDeeds,
  UNTYPED,
} from '../index.ts';
import type { Command } from '../catalogue.ts';
import { play } from '../testing/play.ts';
import { back, item, off, open, pin, SAMPLE_CONTEXT, SAMPLE_PROCEDURE } from '../testing/samples.ts';
import { moveProcedure } from '../procedure/move.ts';
import { itemRows } from './sheet.ts';
import { speaker } from '../../sheet/index.ts';

const SPEAKER = speaker(new Map(), 'cr', 'UTC');

const job = (...bodies: CommandBody[]): Job => play([open, ...bodies]).job!;
const add = (id: string, more: Partial<ProcedureItem> = {}): CommandBody => ({
  type: 'add-item',
  data: { item: item(id, more) },
});
const step = add('vacuum', { name: 'Vacuum the valley', note: 'what lies there falls in', backBefore: 'plenum' });
const listed = [add('cover'), add('plenum'), step, add('rail')];
const told = (on: Job, body: CommandBody) => decide(on, body as Command, SAMPLE_CONTEXT);

describe('a step that exists only on the way back', () => {
  it('is never taken off: it waits once what it belongs to is off', () => {
    const before = job(...listed);
    expect(leftColumn(before).map(({ id }) => id)).toEqual(['cover', 'plenum', 'vacuum', 'rail']);
    expect(tapOn('strip', before, itemOf(before, 'vacuum')!, UNTYPED, null)).toBeNull();
    expect(told(before, off('vacuum'))).toMatchObject({ ok: false, message: /never comes off/ });
    const after = job(...listed, off('cover'), off('plenum'), off('rail'));
    expect(nextOff(after)).toBeNull();
    expect(itemOf(after, 'vacuum')).toMatchObject({ state: 'off', stripOrder: 3 });
    expect(itemOf(after, 'rail')?.stripOrder).toBe(4);
  });
  it('comes straight before what it belongs to, in the plan that is foreseen and in the one that is worked', () => {
    const order = (plan: ReturnType<typeof jobPlan>) => (plan.ok ? plan.steps.map(({ itemId }) => itemId) : null);
    expect(order(foreseenPlan(job(...listed)))).toEqual(['rail', 'vacuum', 'plenum', 'cover']);
    const off3 = job(...listed, off('cover'), off('plenum'), off('rail'));
    expect(order(jobPlan(off3))).toEqual(['rail', 'vacuum', 'plenum', 'cover']);
    expect(jobPlan(off3)).toMatchObject({
      steps: [{ movedBy: [] }, { movedBy: [] }, { movedBy: [] }, { movedBy: [] }],
    });
  });
  it('is done while the plug is still in: the plug comes out after it, and the string stays straight', () => {
    const plug: CommandBody = { type: 'plug-opening', data: { openingId: 'mouth', plugId: 'cap', what: 'Cap' } };
    const opens: CommandBody = {
      type: 'add-opening',
      data: { itemId: 'plenum', opening: { id: 'mouth', name: 'Mouth', plugWith: 'Cap' } },
    };
    const made = job(...listed, opens, off('plenum'), plug, off('rail'));
    const plan = jobPlan(made);
    expect(plan.ok && plan.steps.map(({ itemId }) => itemId)).toEqual(['rail', 'vacuum', 'cap', 'plenum']);
    expect(plan.ok && plan.steps.every(({ mirrors, position }) => mirrors === position)).toBe(true);
  });
  it('holds the engine and what it belongs to until it is done, or left out with a reason', () => {
    const waits = job(...listed, off('plenum'));
    expect(engineHolds(waits).map(({ words }) => words)).toContain('Vacuum the valley: still to do');
    expect(jobLocks(waits, 'plenum', null)).toMatchObject([{ kind: 'before', item: 'vacuum', reason: /falls in/ }]);
    expect(nextBack(waits)?.id).toBe('vacuum');
    const done = job(...listed, off('plenum'), back('vacuum'), back('plenum'));
    expect(engineHolds(done)).toEqual([]);
    const out: CommandBody = { type: 'leave-off-item', data: { itemId: 'vacuum', reason: 'it is clean' } };
    const without = job(...listed, off('plenum'), out, back('plenum'));
    expect(engineHolds(without)).toEqual([]);
    expect(itemRows(without, SPEAKER).map(({ label, value }) => [label, value])[1]).toEqual([
      'Vacuum the valley',
      expect.stringContaining('left out'),
    ]);
  });
  it('waits again when that comes off again, and no more when it never came off', () => {
    const again = job(...listed, off('plenum'), back('vacuum'), back('plenum'), off('plenum'));
    expect(itemOf(again, 'vacuum')?.state).toBe('off');
    const never = job(...listed, off('plenum'), { type: 'strike-removal', data: { itemId: 'plenum', why: '' } });
    expect(itemOf(never, 'vacuum')).toMatchObject({ state: 'on', stripOrder: null });
  });
  it('can be added while that is off already, and needs something that comes off', () => {
    const late = job(add('cover'), add('plenum'), add('rail'), off('plenum'), off('rail'), step);
    expect(itemOf(late, 'vacuum')).toMatchObject({ state: 'off', stripOrder: 2 });
    expect(itemOf(late, 'rail')?.stripOrder).toBe(3);
    expect(told(job(), step)).toMatchObject({ ok: false });
    const onStep = add('second', { backBefore: 'vacuum' });
    expect(told(job(...listed), onStep)).toMatchObject({ ok: false, field: 'backBefore' });
  });
  it('comes with a newer version of the procedure, and waits at once where its turn has come', () => {
    const plain = SAMPLE_PROCEDURE.items;
    const begun = play([open, pin, off('body'), off('cover')]).job!;
    const tied = play([open, pin, off('body'), { type: 'tie-aside', data: { itemId: 'bolts', where: 'wing' } }]).job!;
    const newer: Procedure = {
      ...SAMPLE_PROCEDURE,
      version: 2,
      items: [...plain, item('face', { backBefore: 'body' }), item('later', { backBefore: 'plug' })],
    };
    const moved = { ...begun, ...moveProcedure(begun, newer) };
    expect(itemOf(moved, 'face')).toMatchObject({ state: 'off', stripOrder: 2 });
    expect(itemOf(moved, 'later')?.state).toBe('on');
    expect(itemOf({ ...tied, ...moveProcedure(tied, newer) }, 'bolts')).toMatchObject({
      fasteners: null,
      aside: { where: 'wing', fasteners: { count: 1 } },
    });
  });
  it('takes no minutes on the way off', () => {
    expect(expectedMinutes(item('x', { backBefore: 'y' }), 'off')).toBe(0);
    expect(expectedMinutes(item('x', { backBefore: 'y' }), 'back')).toBeGreaterThan(0);
  });
  it('is kept in the procedure that the job makes', () => {
    const { log, job: made } = play([open, ...listed, off('cover'), off('plenum'), off('rail')]);
    const { procedure } = proposeProcedure(made!, log, { id: 'p', name: 'P', family: 'f', work: 'clean' });
    expect(procedure.items.find(({ id }) => id === 'vacuum')?.backBefore).toBe('plenum');
    expect(checkProcedure(procedure)).toEqual([]);
  });
});

describe('the order of coming off', () => {
  const order: CommandBody = {
    type: 'say-off-order',
    data: { itemId: 'cover', first: 'rail', kind: 'weight', reason: 'it hangs there' },
  };
  it('puts what comes first in front, and says why while it is still on', () => {
    const said = job(...listed, order);
    expect(nextOff(said)?.id).toBe('rail');
    expect(stillBefore(said, itemOf(said, 'cover')!)).toMatchObject([{ item: 'rail', name: 'Sample rail' }]);
    expect(stillBefore(job(...listed, order, off('rail')), itemOf(said, 'cover')!)).toEqual([]);
  });
  it('is advice: another order is recorded as it was, and the sheet says so', () => {
    const other = job(...listed, order, off('cover'));
    expect(itemRows(other, SPEAKER)[0]?.note).toContain('came off before sample rail, which holds its weight');
    expect(itemRows(job(...listed, order, off('rail'), off('cover')), SPEAKER)[0]?.note).toBe('');
  });
  it.each([
    [{ first: 'cover' }, /before itself/],
    [{ first: 'vacuum' }, /does not come off/],
    [{ first: 'nothing' }, /no item/],
    [{ itemId: 'rail', first: 'cover' }, /circle/],
  ])('refuses %j', (change, message) => {
    const body = { type: 'say-off-order', data: { ...(order.data as object), ...change } } as CommandBody;
    expect(told(job(...listed, order), body)).toMatchObject({ ok: false, message });
  });
  it('is checked in a procedure, as steps of the way back are', () => {
    const wrong = (items: ProcedureItem[]): string[] => checkProcedure({ ...SAMPLE_PROCEDURE, items } as Procedure);
    const after = (id: string) => [{ item: id, kind: 'reach' as const, reason: '' }];
    const body = SAMPLE_PROCEDURE.items[3]!;
    expect(wrong([item('a', { offAfter: after('b') }), item('b'), body])).toEqual([]);
    expect(wrong([item('a', { offAfter: after('b') }), item('b', { offAfter: after('a') }), body]).join()).toMatch(
      /circle/,
    );
    expect(wrong([item('a', { offAfter: after('gone') }), body]).join()).toMatch(/“gone”/);
    expect(wrong([item('a', { backBefore: 'gone' }), body]).join()).toMatch(/“gone”/);
    const round = { kind: 'before' as const, id: 'r', a: 'b', b: 'a', reason: 'r' };
    expect(
      checkProcedure({
        ...SAMPLE_PROCEDURE,
        items: [item('a', { backBefore: 'b' }), item('b'), body],
        constraints: [round],
      }).join(),
    ).toMatch(/circle/);
  });
});

describe('what stays connected and is tied aside', () => {
  const hose = add('hose', {
    kind: 'coolant-hose',
    opens: [],
    fasteners: { count: 2, thread: 'M6', into: '', bolts: [], spec: null, fractions: [1] },
  });
  const aside: CommandBody = { type: 'tie-aside', data: { itemId: 'hose', where: 'to the strut' } };
  it('undoes nothing: no coolant, no fasteners, and it has to come back to its place', () => {
    const tied = job(hose, aside);
    expect(openedHoses(tied)).toEqual([]);
    expect(openedHoses(job(hose, off('hose')))).toHaveLength(1);
    expect(engineHolds(tied).map(({ words }) => words)).toEqual(['Sample hose is tied aside']);
    const home = job(hose, aside, back('hose'));
    expect(engineHolds(home)).toEqual([]);
    expect(itemRows(home, SPEAKER)[0]).toMatchObject({ value: expect.stringContaining('back in its place') });
  });
  it('keeps what was recorded of it when it had been off and back once', () => {
    const tight: CommandBody = {
      type: 'tighten-bolt',
      data: { itemId: 'bolts', boltId: '1', pass: 1, method: 'wrench', torqueText: '9 Nm', wrenchId: '' },
    };
    const before = play([open, pin, off('bolts'), tight]).job!;
    const tie: CommandBody = { type: 'tie-aside', data: { itemId: 'bolts', where: 'wing' } };
    const after = play([open, pin, off('bolts'), tight, tie]).job!;
    expect(itemOf(before, 'bolts')?.bolts).toHaveLength(1);
    expect(itemOf(after, 'bolts')).toMatchObject({
      state: 'off',
      fasteners: { count: 1 },
      bolts: itemOf(before, 'bolts')!.bolts,
    });
  });
  it('leaves nothing open, whatever it turns out to be', () => {
    const correct: CommandBody = {
      type: 'correct-item',
      data: {
        itemId: 'pipe',
        is: { name: 'Water pipe', kind: 'coolant-hose', tool: '', count: null, thread: '', joint: null },
        why: '',
      },
    };
    const pipe = job(add('pipe'), { type: 'tie-aside', data: { itemId: 'pipe', where: 'wing' } }, correct);
    expect(pipe.openings.map(({ state }) => state)).toEqual(['whole']);
  });
  it('can come off after all, and then is what it was', () => {
    const off2 = job(hose, aside, off('hose'));
    expect(itemOf(off2, 'hose')).toMatchObject({ aside: null, state: 'off', fasteners: { count: 2 } });
    expect(openedHoses(off2)).toHaveLength(1);
    const { log, job: made } = play([open, hose, aside]);
    const { procedure, lessons } = proposeProcedure(made!, log, { id: 'p', name: 'P', family: 'f', work: 'clean' });
    expect(lessons.map(({ words }) => words)).toContain('Sample hose stayed connected, tied to the strut.');
    expect(procedure.items[0]).toMatchObject({ fasteners: { count: 2 }, mayStay: 'to the strut' });
  });
  it('says where, and is not tied twice', () => {
    expect(told(job(hose), { ...aside, data: { itemId: 'hose', where: ' ' } } as CommandBody)).toMatchObject({
      field: 'where',
    });
    expect(told(job(hose, aside), aside)).toMatchObject({ ok: false, message: /tied aside already/ });
  });
});

describe('the life of a unit', () => {
  it('says that it was off and back, and leaves out the one that was replaced', () => {
    const unit = { id: 'tb-9', kind: 'throttle-body' as const, place: 'only', partNumber: '', variant: '' };
    const made = job(...listed, off('cover'), back('cover'));
    const on = { ...made, vehicle: { ...made.vehicle, units: [unit] } };
    const is = { ...on, items: on.items.map((each) => (each.id === 'cover' ? { ...each, unitIds: ['tb-9'] } : each)) };
    expect(unitDeeds(is)).toEqual([
      { unitId: 'tb-9', kind: 'refitted', note: expect.stringMatching(/^Job \d+, at 10 km/) },
    ]);
    expect(unitDeeds(on)).toEqual([]);
  });
});
