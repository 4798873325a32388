import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type BeforeConstraint,
  buildGraph,
  type Constraint,
  estimate,
  independentSteps,
  type LockInput,
  locksOf,
  lostTime,
  planRefit,
  replan,
  toolList,
} from './index.ts';

const items = (count: number) =>
  Array.from({ length: count }, (_, index) => ({
    id: String(index + 1),
    name: `item ${index + 1}`,
    stripOrder: index + 1,
  }));
const before = (a: number, b: number): BeforeConstraint => ({
  kind: 'before',
  id: `${a}<${b}`,
  a: String(a),
  b: String(b),
  reason: `${a} then ${b}`,
});
const ids = (plan: ReturnType<typeof replan>): string[] =>
  plan.ok ? plan.steps.map(({ itemId }) => itemId) : ['circle'];

describe('replan', () => {
  it('keeps what is back as it went and plans the rest round it', () => {
    const graph = buildGraph(items(5), [before(1, 4)]);
    expect(ids(replan(graph, []))).toEqual(['5', '3', '2', '1', '4']);
    expect(ids(replan(graph, ['2', '5']))).toEqual(['2', '5', '3', '1', '4']);
  });
  it('bends round what went against a reason, and does not call it a circle', () => {
    const graph = buildGraph(items(4), [before(1, 4), before(2, 3)]);
    expect(ids(replan(graph, ['4']))).toEqual(['4', '2', '3', '1']);
  });
  it('is what planning from nothing gives when nothing is done, and ignores what is not there', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.array(fc.tuple(fc.nat(29), fc.nat(29)), { maxLength: 40 }),
        (count, pairs) => {
          const constraints = pairs.flatMap(([a, b]) =>
            a % count < b % count ? [before((a % count) + 1, (b % count) + 1)] : [],
          );
          const graph = buildGraph(items(count), constraints);
          expect(replan(graph, ['none'])).toEqual(planRefit(items(count), constraints));
        },
      ),
    );
  });
  it('keeps every reason among what is left, whatever was done first', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 25 }),
        fc.array(fc.tuple(fc.nat(24), fc.nat(24)), { maxLength: 40 }),
        fc.array(fc.nat(24), { maxLength: 10 }),
        (count, pairs, done) => {
          const constraints = pairs.flatMap(([a, b]) =>
            a % count < b % count ? [before((a % count) + 1, (b % count) + 1)] : [],
          );
          const gone = [...new Set(done.map((index) => String((index % count) + 1)))];
          const order = ids(replan(buildGraph(items(count), constraints), gone));
          expect([...order].sort()).toEqual(
            items(count)
              .map(({ id }) => id)
              .sort(),
          );
          expect(order.slice(0, gone.length)).toEqual(gone);
          const place = new Map(order.map((id, index) => [id, index]));
          for (const { a, b } of constraints) if (!gone.includes(b)) expect(place.get(a)!).toBeLessThan(place.get(b)!);
        },
      ),
    );
  });
});

describe('locksOf', () => {
  const input = (more: Partial<LockInput> & { off?: readonly string[] } = {}): LockInput => ({
    constraints: [
      before(1, 2),
      { kind: 'after-bench', id: 'b', item: '2', unit: 'body', reason: 'clean first' },
      { kind: 'needs', id: 'n', item: '2', part: 'G-1', reason: 'a new one' },
    ],
    stateOf: (id) => ((more.off ?? ['1', '2']).includes(id) ? 'off' : 'refitted'),
    benchDone: () => false,
    partHere: () => ({ here: false, expected: '2026-05-18' }),
    cures: [],
    buried: [],
    ...more,
  });
  it('names all that an item waits for', () => {
    expect(locksOf('2', input())).toEqual([
      { kind: 'before', item: '1', reason: '1 then 2' },
      { kind: 'bench', unit: 'body', reason: 'clean first' },
      { kind: 'part', part: 'G-1', reason: 'a new one', expected: '2026-05-18' },
    ]);
    expect(locksOf('1', input())).toEqual([]);
  });
  it('is free once they are done, and when nothing is known of a part', () => {
    expect(locksOf('2', input({ off: ['2'], benchDone: () => true, partHere: () => null }))).toEqual([]);
    expect(
      locksOf('2', input({ off: ['2'], benchDone: () => true, partHere: () => ({ here: true, expected: null }) })),
    ).toEqual([]);
  });
  it('waits for a cure on itself and on what comes before it, and on nothing else', () => {
    const cures = [{ item: '1', label: 'Sealant cures', endsAt: '2026-05-13T14:00:00Z' }];
    const free = { benchDone: () => true, partHere: () => null, cures, off: ['2'] };
    expect(locksOf('2', input(free))).toEqual([
      { kind: 'cure', label: 'Sealant cures', endsAt: '2026-05-13T14:00:00Z' },
    ]);
    expect(locksOf('1', input(free))).toHaveLength(1);
    expect(locksOf('3', input(free))).toEqual([]);
  });
  it('says first what covers it', () => {
    const [lock] = locksOf('2', input({ buried: [{ item: '2', by: '9', reason: 'it lies under' }] }));
    expect(lock).toEqual({ kind: 'buried', item: '9', reason: 'it lies under' });
  });
});

describe('independentSteps', () => {
  const ties: Constraint[] = [
    before(1, 2),
    { kind: 'together', id: 't', items: ['3', '4'], reason: 'a pair' },
    { kind: 'closes', id: 'c', plug: '5', item: '6', reason: 'closes' },
  ];
  it('gives each person a step that nothing ties to another’s', () => {
    expect(independentSteps(['1', '2', '3', '4', '5', '6', '7'], [], ties, 4)).toEqual(['1', '3', '5', '7']);
    expect(independentSteps(['2', '4', '6', '7'], ['1', '3'], ties, 2)).toEqual(['6', '7']);
    expect(independentSteps(['1'], ['1'], ties, 2)).toEqual([]);
  });
});

describe('estimate', () => {
  const steps = [
    { id: 'a', expected: 10 },
    { id: 'b', expected: 20 },
  ];
  it('adds what is expected, with a range that has it in the middle', () => {
    const guess = estimate(steps, new Map());
    expect(guess.likely).toBeCloseTo(30, 9);
    // Variance 6² + 12² + (0.1 × 30)².
    expect(guess.high - guess.likely).toBeCloseTo(1.2816 * Math.sqrt(36 + 144 + 9), 6);
    expect(guess.likely - guess.low).toBeCloseTo(guess.high - guess.likely, 9);
    expect(guess).toMatchObject({ timed: 0, steps: 2, waiting: 0 });
  });
  it('moves to what was timed, and grows surer with it', () => {
    const once = estimate(steps, new Map([['a', [4]]]));
    const often = estimate(steps, new Map([['a', [4, 4, 4, 4, 4, 4, 4, 4]]]));
    // Prior worth two timings: (2·10 + 4) / 3 and (2·10 + 8·4) / 10.
    expect(once.likely).toBeCloseTo(28, 9);
    expect(often.likely).toBeCloseTo(25.2, 9);
    expect(often.high - often.low).toBeLessThan(once.high - once.low);
    expect(often.timed).toBe(1);
  });
  it('is never below nothing, and adds up waits', () => {
    expect(estimate([{ id: 'a', expected: 0 }], new Map(), [25, 35])).toMatchObject({ low: 0, likely: 0, waiting: 60 });
  });
  it('shows where time was lost, worst first', () => {
    const usual = (id: string): number => ({ a: 2, b: 10, c: 1 })[id] ?? 0;
    expect(
      lostTime(
        [
          { id: 'a', minutes: 9 },
          { id: 'b', minutes: 31 },
          { id: 'c', minutes: 3.5 },
        ],
        usual,
      ),
    ).toEqual([
      { id: 'b', took: 31, usual: 10 },
      { id: 'a', took: 9, usual: 2 },
    ]);
  });
});

describe('toolList', () => {
  it('lists each tool once, as it is first picked up', () => {
    expect(
      toolList([
        { id: '1', tool: '12 mm, long extension' },
        { id: '2', tool: 'cross-point bit, Japanese pattern' },
        { id: '3', tool: 'Long extension; T30' },
        { id: '4', tool: '' },
      ]),
    ).toEqual([
      { tool: '12 mm', steps: ['1'] },
      { tool: 'long extension', steps: ['1', '3'] },
      { tool: 'cross-point bit, Japanese pattern', steps: ['2'] },
      { tool: 'T30', steps: ['3'] },
    ]);
  });
});
