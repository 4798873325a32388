import { buildGraph, type PlanGraph } from './graph.ts';
import { MaxHeap } from './heap.ts';
import type { Constraint, CycleLink, PlanItem, RefitPlan, RefitStep } from './types.ts';

/**
 * Works out the way back. Starts from the exact mirror of strip and takes, at each point, the item that came off
 * last among those whose predecessors are back: the topological order nearest to the mirror in that greedy sense
 * (Kahn's algorithm with a priority queue; Kahn 1962, CACM 5(11)). The answer does not depend on the order in which
 * items or constraints are listed. Time is n log n in items plus constraints.
 * @param items each with its place in the strip order; ids and places must be unique
 * @param constraints those naming an item that is not in the list are ignored
 * @returns the steps, or the chain of items and reasons that closes a circle; never an exception
 */
export const planRefit = (items: readonly PlanItem[], constraints: readonly Constraint[]): RefitPlan =>
  replan(buildGraph(items, constraints), []);

/**
 * The plan after what has been done, which stays as it was done even where it went against a constraint: the rest
 * bends round it. Much cheaper than {@link planRefit}, since the graph is there already.
 * @param done ids of items that are back, in the order in which they went
 */
export function replan(graph: PlanGraph, done: readonly string[]): RefitPlan {
  const { members, keys, start, next } = graph;
  const isDone = new Uint8Array(graph.items.length);
  const order: number[] = [];
  for (const id of done) {
    const index = graph.indexOf.get(id);
    if (index === undefined || isDone[index] === 1) continue;
    isDone[index] = 1;
    order.push(index);
  }
  const left = new Int32Array(members.length);
  const settled = new Uint8Array(members.length);
  for (const [node, each] of members.entries()) {
    left[node] = order.length === 0 ? each.length : countLeft(each, isDone);
    settled[node] = left[node] === 0 ? 1 : 0;
  }
  const waiting = new Int32Array(members.length);
  for (let edge = 0; edge < graph.to.length; edge += 1) {
    if ((left[graph.from[edge] ?? 0] ?? 0) > 0) waiting[graph.to[edge] ?? 0]! += 1;
  }
  const free = new MaxHeap(keys);
  let open = 0;
  for (let node = 0; node < members.length; node += 1) {
    if (left[node] === 0) continue;
    open += 1;
    if (waiting[node] === 0) free.push(node);
  }
  for (let node = free.pop(); node !== undefined; node = free.pop()) {
    settled[node] = 1;
    open -= 1;
    for (const index of members[node] ?? []) if (isDone[index] === 0) order.push(index);
    for (let at = start[node] ?? 0; at < (start[node + 1] ?? 0); at += 1) {
      const after = next[at] ?? 0;
      waiting[after]! -= 1;
      if (waiting[after] === 0 && settled[after] === 0) free.push(after);
    }
  }
  if (open > 0) return { ok: false, cycle: findCycle(graph, settled) };
  const broken = brokenInside(order, graph, isDone);
  if (broken.length > 0) return { ok: false, cycle: broken };
  return { ok: true, steps: explain(order, graph) };
}

function countLeft(members: readonly number[], isDone: Uint8Array): number {
  let count = 0;
  for (const index of members) if (isDone[index] === 0) count += 1;
  return count;
}

/** Constraints between items that go back together can contradict one another; these are the ones left unmet. */
function brokenInside(order: readonly number[], graph: PlanGraph, isDone: Uint8Array): CycleLink[] {
  if (graph.inner.length === 0) return [];
  const place = new Map(order.map((index, at) => [graph.items[index]?.id ?? '', at]));
  const isBack = (id: string): boolean => isDone[graph.indexOf.get(id) ?? -1] === 1;
  const unmet = graph.inner.filter(({ a, b }) => !isBack(b) && (place.get(a) ?? 0) >= (place.get(b) ?? 0));
  const involved = new Set(unmet.flatMap(({ a, b }) => [a, b]));
  return unmet.length === 0
    ? []
    : graph.inner
        .filter(({ a, b }) => involved.has(a) && involved.has(b))
        .map(({ a, b, reason }) => ({ from: a, to: b, reason }));
}

/** Walks back through unmet predecessors until a node repeats: that walk holds the circle. */
function findCycle(graph: PlanGraph, settled: Uint8Array): CycleLink[] {
  // The first edge into each node from one that is not settled; a circle needs no more.
  const into = new Int32Array(graph.members.length).fill(-1);
  for (let edge = graph.to.length - 1; edge >= 0; edge -= 1) {
    if (settled[graph.from[edge] ?? 0] === 0) into[graph.to[edge] ?? 0] = edge;
  }
  const walked: { node: number; link: CycleLink }[] = [];
  let at = settled.indexOf(0);
  for (;;) {
    const edge = into[at] ?? -1;
    const why = graph.why[edge];
    if (why === undefined) return walked.map(({ link }) => link).reverse();
    walked.push({ node: at, link: { from: why.a, to: why.b, reason: why.reason } });
    at = graph.from[edge] ?? 0;
    const seen = walked.findIndex(({ node }) => node === at);
    if (seen >= 0)
      return walked
        .slice(seen)
        .map(({ link }) => link)
        .reverse();
  }
}

/** What does not change while the same things are off: the mirror, and which constraints go against it. */
interface Telling {
  readonly mirror: Int32Array;
  readonly bends: ReadonlyMap<number, readonly Constraint[]>;
}
const tellings = new WeakMap<PlanGraph, Telling>();

function tellingOf(graph: PlanGraph): Telling {
  const known = tellings.get(graph);
  if (known !== undefined) return known;
  const nodes = Array.from(graph.members.keys()).sort((a, b) => (graph.keys[b] ?? 0) - (graph.keys[a] ?? 0));
  const mirror = new Int32Array(graph.items.length);
  let place = 0;
  for (const node of nodes) {
    for (const index of graph.members[node] ?? []) {
      place += 1;
      mirror[index] = place;
    }
  }
  const telling = { mirror, bends: bendingConstraints(graph) };
  tellings.set(graph, telling);
  return telling;
}

function explain(order: readonly number[], graph: PlanGraph): RefitStep[] {
  const { mirror, bends } = tellingOf(graph);
  return order.map((index, at) => {
    const mirrors = mirror[index] ?? at + 1;
    const itemId = graph.items[index]?.id ?? '';
    return { itemId, mirrors, position: at + 1, movedBy: mirrors === at + 1 ? NOTHING : (bends.get(index) ?? NOTHING) };
  });
}

const NOTHING: readonly Constraint[] = [];

/** Constraints that the plain mirror would break: what came off first must nevertheless go back first. */
function bendingConstraints({ items, constraints, indexOf }: PlanGraph): Map<number, Constraint[]> {
  const bends = new Map<number, Constraint[]>();
  const add = (index: number, constraint: Constraint): void => {
    const list = bends.get(index);
    if (list === undefined) bends.set(index, [constraint]);
    else list.push(constraint);
  };
  for (const constraint of constraints) {
    if (constraint.kind === 'before') {
      const a = indexOf.get(constraint.a);
      const b = indexOf.get(constraint.b);
      if (a === undefined || b === undefined || (items[a]?.stripOrder ?? 0) > (items[b]?.stripOrder ?? 0)) continue;
      add(a, constraint);
      add(b, constraint);
    } else if (constraint.kind === 'together') {
      for (const id of constraint.items) {
        const index = indexOf.get(id);
        if (index !== undefined) add(index, constraint);
      }
    } else if (constraint.kind === 'closes') {
      const plug = indexOf.get(constraint.plug);
      if (plug !== undefined) add(plug, constraint);
    }
  }
  return bends;
}
