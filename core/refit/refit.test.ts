import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type BeforeConstraint,
  type Constraint,
  holdKey,
  mayStart,
  type PlanItem,
  planRefit,
  tally,
  type TallyInput,
} from './index.ts';

const items = (count: number): PlanItem[] =>
  Array.from({ length: count }, (_, index) => ({
    id: String(index + 1),
    name: `item ${index + 1}`,
    stripOrder: index + 1,
  }));
const before = (a: number | string, b: number | string): BeforeConstraint => ({
  kind: 'before',
  id: `${a}<${b}`,
  a: String(a),
  b: String(b),
  reason: `${a} then ${b}`,
});
const order = (count: number, constraints: readonly Constraint[]): string[] => {
  const plan = planRefit(items(count), constraints);
  if (!plan.ok) throw new Error('a circle');
  return plan.steps.map(({ itemId }) => itemId);
};

/** Random constraints that cannot circle: they follow a hidden order. */
const acyclic = fc.integer({ min: 2, max: 40 }).chain((count) =>
  fc.record({
    count: fc.constant(count),
    constraints: fc
      .array(fc.tuple(fc.integer({ min: 1, max: count }), fc.integer({ min: 1, max: count })), { maxLength: 80 })
      .map((pairs) => pairs.flatMap(([a, b]) => ((a * 7919) % 101 < (b * 7919) % 101 ? [before(a, b)] : []))),
  }),
);

describe('planRefit', () => {
  it('is the exact mirror without constraints', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), (count) => {
        expect(order(count, [])).toEqual(
          items(count)
            .map(({ id }) => id)
            .reverse(),
        );
      }),
    );
  });
  it('takes the latest free item, worked by hand', () => {
    expect(order(5, [before(2, 4)])).toEqual(['5', '3', '2', '4', '1']);
    expect(order(4, [before(1, 4), before(4, 3)])).toEqual(['2', '1', '4', '3']);
  });
  it('keeps every constraint and loses no item', () => {
    fc.assert(
      fc.property(acyclic, ({ count, constraints }) => {
        const result = order(count, constraints);
        const place = new Map(result.map((id, index) => [id, index]));
        expect(result).toHaveLength(count);
        expect(place.size).toBe(count);
        for (const { a, b } of constraints) expect(place.get(a)).toBeLessThan(place.get(b) ?? -1);
      }),
    );
  });
  it('is the largest order item by item: swapping in any later free item breaks a constraint', () => {
    fc.assert(
      fc.property(acyclic, ({ count, constraints }) => {
        const left = new Set(items(count).map(({ id }) => id));
        for (const id of order(count, constraints)) {
          const free = [...left].filter((each) => !constraints.some(({ a, b }) => b === each && left.has(a)));
          expect(Number(id)).toBe(Math.max(...free.map(Number)));
          left.delete(id);
        }
      }),
      { numRuns: 50 },
    );
  });
  it('does not depend on the order of its inputs', () => {
    fc.assert(
      fc.property(acyclic, ({ count, constraints }) => {
        const reversed = planRefit(items(count).reverse(), [...constraints].reverse());
        expect(reversed.ok && reversed.steps.map(({ itemId }) => itemId)).toEqual(order(count, constraints));
      }),
    );
  });
  it('names the chain that closes a circle', () => {
    const plan = planRefit(items(5), [before(1, 2), before(2, 3), before(3, 1), before(4, 5)]);
    expect(plan.ok).toBe(false);
    const links = plan.ok ? [] : plan.cycle;
    expect(links).toHaveLength(3);
    for (const [index, link] of links.entries()) expect(links[(index + 1) % 3]?.from).toBe(link.to);
    expect(links.every(({ reason }) => reason.includes('then'))).toBe(true);
  });
  it('names an item that must precede itself', () => {
    expect(planRefit(items(2), [before(1, 1)])).toMatchObject({ ok: false });
  });
  it('takes a plug out straight before what closes its opening, wherever that is', () => {
    const closes: Constraint = { kind: 'closes', id: 'p', item: '2', plug: '5', reason: '' };
    expect(order(5, [closes])).toEqual(['4', '3', '5', '2', '1']);
    expect(order(5, [closes, before(1, 2)])).toEqual(['4', '3', '1', '5', '2']);
  });
  it('keeps together what goes together', () => {
    expect(order(5, [{ kind: 'together', id: 't', items: ['1', '4'], reason: '' }])).toEqual(['5', '4', '1', '3', '2']);
    expect(order(3, [{ kind: 'together', id: 't', items: ['1', '3'], reason: '' }, before(1, 3)])).toEqual([
      '1',
      '3',
      '2',
    ]);
    expect(
      planRefit(items(3), [{ kind: 'together', id: 't', items: ['1', '3'], reason: '' }, before(1, 3), before(3, 1)]),
    ).toMatchObject({ ok: false });
  });
  it('knows no circle where a reason names a plug inside a group that goes together', () => {
    const together: Constraint = { kind: 'together', id: 't', items: ['1', '3', '5'], reason: '' };
    const closes: Constraint = { kind: 'closes', id: 'p', item: '3', plug: '4', reason: '' };
    // Plug 4 comes out straight before 3: what must wait for it waits for both.
    expect(order(5, [together, closes, before(4, 5)])).toEqual(['4', '3', '5', '1', '2']);
    expect(order(5, [together, closes, before(1, 4)])).toEqual(['5', '1', '4', '3', '2']);
    expect(order(5, [together, closes, before(4, 1), before(1, 5)])).toEqual(['4', '3', '1', '5', '2']);
    // Two plugs of one closer keep their own order.
    const second: Constraint = { kind: 'closes', id: 'q', item: '3', plug: '2', reason: '' };
    expect(order(5, [together, closes, second, before(4, 2)])).toEqual(['5', '4', '2', '3', '1']);
    // What closes the opening cannot be there before its plug is out.
    expect(planRefit(items(5), [together, closes, before(3, 4)])).toMatchObject({ ok: false });
    expect(planRefit(items(5), [together, closes, before(4, 5), before(5, 3)])).toMatchObject({ ok: false });
  });
  it('gives the reason to what moved and none to what merely slid', () => {
    const plan = planRefit(items(4), [before(1, 4)]);
    const moved = plan.ok
      ? Object.fromEntries(
          plan.steps.map(({ itemId, movedBy, mirrors, position }) => [itemId, [mirrors, position, movedBy.length]]),
        )
      : {};
    expect(moved).toEqual({ 3: [2, 1, 0], 2: [3, 2, 0], 1: [4, 3, 1], 4: [1, 4, 1] });
  });
  it('leaves out constraints on items that are not there', () => {
    expect(order(2, [before(1, 9), before(9, 2)])).toEqual(['2', '1']);
  });
});

describe('tally and mayStart', () => {
  const clear: TallyInput = {
    items: [
      {
        id: 'b',
        name: 'Bolts',
        kind: 'fasteners',
        state: 'refitted',
        confirmed: false,
        singleUse: false,
        toRestore: [],
        fasteners: {
          count: 4,
          torqued: true,
          atTorque: 4,
          byFeel: 0,
          figureWanted: false,
          countedOut: 4,
          countedBack: 4,
          stayingIn: 0,
          stripped: 0,
        },
      },
    ],
    openings: [{ id: 'o', name: 'Inlet', state: 'closed', plug: null }],
    objects: [],
    searches: [],
    endSteps: [],
    fluidsWanted: [],
    openQuestions: [],
  };
  const withItem = (change: object): TallyInput => ({ ...clear, items: [{ ...clear.items[0]!, ...change }] });
  it('lets the engine start when all is accounted for', () => {
    expect(mayStart(clear)).toEqual({ may: true, passed: [] });
    expect(tally(clear)).toMatchObject({ fastenersOut: 4, fastenersBack: 4, boltsAtTorque: 4, boltsToTorque: 4 });
  });
  it.each([
    ['item-off', withItem({ state: 'off' })],
    ['torque', withItem({ fasteners: { ...clear.items[0]!.fasteners!, atTorque: 3 } })],
    ['figure', withItem({ fasteners: { ...clear.items[0]!.fasteners!, torqued: false, figureWanted: true } })],
    ['unit-loose', withItem({ loose: true })],
    ['coolant', { ...clear, fluidsWanted: [{ code: 'coolant' as const, id: 'c', words: 'not back' }] }],
    ['count', withItem({ fasteners: { ...clear.items[0]!.fasteners!, countedBack: 3 } })],
    ['connector', withItem({ kind: 'connector', fasteners: null })],
    ['opening-open', { ...clear, openings: [{ id: 'o', name: 'Inlet', state: 'open', plug: null }] }],
    ['opening-plugged', { ...clear, openings: [{ id: 'o', name: 'Inlet', state: 'plugged', plug: 'cap' }] }],
    ['thread', withItem({ fasteners: { ...clear.items[0]!.fasteners!, stripped: 1 } })],
    ['measure', withItem({ toRestore: ['lock-nut position 7.4 mm'] })],
    ['search', { ...clear, searches: [{ id: 'd', what: 'Nut', where: 'plenum', outcome: null }] }],
    ['end-step', { ...clear, endSteps: [{ id: 'bat', words: 'Battery negative on', done: false }] }],
    ['object-in', { ...clear, objects: [{ id: 'r', what: 'Rag', where: 'duct', out: false }] }],
  ] as const)('holds it for %s', (code, input) => {
    const verdict = mayStart(input);
    expect(verdict.may ? [] : verdict.holds.map((hold) => hold.code)).toEqual([code]);
  });
  it('lets pass what a lead let pass, and nothing that comes up later', () => {
    const open = { ...clear, openings: [{ id: 'o', name: 'Inlet', state: 'open', plug: null }] } as TallyInput;
    const word = new Set([holdKey({ code: 'opening-open', subject: 'o' })]);
    expect(mayStart(open, word)).toMatchObject({ may: true, passed: [{ code: 'opening-open' }] });
    const rag = { ...open, objects: [{ id: 'r', what: 'Rag', where: 'duct', out: false }] };
    expect(mayStart(rag, word)).toMatchObject({ may: false, holds: [{ code: 'object-in' }] });
  });
  it('does not hold for what was found, accepted or undone', () => {
    const settled: TallyInput = {
      ...clear,
      searches: [{ id: 'd', what: 'Nut', where: 'plenum', outcome: 'accepted' }],
      endSteps: [{ id: 'bat', words: 'Battery negative on', done: true }],
    };
    expect(mayStart(settled).may).toBe(true);
    expect(tally(settled)).toMatchObject({ searching: [], endSteps: [] });
  });
  it('counts a single-use part that went back old', () => {
    expect(tally(withItem({ singleUse: true })).reusedSingleUse).toHaveLength(1);
    expect(tally(withItem({ singleUse: true, state: 'renewed' })).reusedSingleUse).toHaveLength(0);
  });
});
