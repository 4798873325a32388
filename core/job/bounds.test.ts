import { describe, expect, it } from 'vitest';
import type { ShapeNode } from '../shape/index.ts';
import { BOUNDS, factProblem } from './bounds.ts';
import { FACTS } from './index.ts';
import { SAMPLES } from './testing/samples.ts';

const NOW = '2026-05-13T13:09:00.000Z';
const fact = (data: unknown, at = NOW) => ({
  seq: 7,
  commandId: 'c',
  at,
  by: 'tomas',
  type: 'coolant-recorded',
  v: 1,
  data,
});
const problem = (data: unknown, at?: string): string | null => factProblem(fact(data, at), NOW, 'Europe/London');

/** The names of all figures that facts have, whatever their version. */
function figuresOf(node: ShapeNode, name: string): string[] {
  switch (node.kind) {
    case 'number':
      return [name];
    case 'list':
    case 'or-null':
      return figuresOf(node.of, name);
    case 'record':
      return Object.entries(node.fields).flatMap(([field, inner]) => figuresOf(inner, field));
    case 'variants':
      return node.of.flatMap((each) => figuresOf(each, name));
    default:
      return [];
  }
}

describe('a fact that comes in a file', () => {
  it('has bounds for every figure that a fact can have', () => {
    const named = new Set(
      [...FACTS.values()].flatMap(({ shape, earlier = [] }) =>
        [shape, ...earlier.map((each) => each.shape)].flatMap(({ node }) => figuresOf(node, '')),
      ),
    );
    expect([...named].filter((name) => !(name in BOUNDS))).toEqual([]);
    expect(Object.keys(BOUNDS).filter((name) => !named.has(name))).toEqual([]);
  });
  it.each([
    [{ litres: 4000 }, /Entry 7 \(coolant-recorded\): “litres” is 4000; expected 0 to 1000/],
    [{ amount: { value: 1e12, unit: 'L' } }, /“value” is 1000000000000/],
    [{ lines: [{ minor: 5 }, { priceMinor: -1 }] }, /“priceMinor” is -1; expected 0 to/],
    [{ concentration: 50 }, /“concentration” is 50; expected 0 to 1/],
    [{ anything: 1e9 }, /“anything”/],
  ])('%o is refused with its bounds', (data, words) => {
    expect(problem(data)).toMatch(words);
  });
  it('lies neither ahead nor in another age', () => {
    expect(problem({}, '2026-05-13T13:20:00.000Z')).toMatch(/lies ahead: here it is Wednesday 13 May 2026, 14:09/);
    expect(problem({}, '1879-05-13T13:20:00.000Z')).toMatch(/expected a day since 1980/);
    expect(problem({}, '2026-05-13T13:10:30.000Z')).toBeNull();
  });
  it('stands when it is ordinary work', () => {
    expect(Object.entries(SAMPLES).map(([type, sample]) => [type, problem(sample.data)])).toEqual(
      Object.keys(SAMPLES).map((type) => [type, null]),
    );
  });
});
