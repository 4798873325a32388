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
export function planRefit(items: readonly PlanItem[], constraints: readonly Constraint[]): RefitPlan {
  const graph = buildGraph(items, constraints);
  const waiting = graph.nodes.map(({ waits }) => waits.length);
  const byKey = new Map(graph.nodes.map((node, index) => [node.key, index]));
  const free = new MaxHeap();
  for (const [index, node] of graph.nodes.entries()) if (waiting[index] === 0) free.push(node.key);

  const order: PlanItem[] = [];
  const done = new Set<number>();
  while (free.size > 0) {
    const index = byKey.get(free.pop() ?? Number.NaN);
    const node = index === undefined ? undefined : graph.nodes[index];
    if (index === undefined || node === undefined) continue;
    done.add(index);
    order.push(...node.members);
    for (const next of node.next) {
      const left = (waiting[next] ?? 0) - 1;
      waiting[next] = left;
      if (left === 0) free.push(graph.nodes[next]?.key ?? Number.NaN);
    }
  }
  if (done.size < graph.nodes.length) return { ok: false, cycle: findCycle(graph, done) };
  const broken = brokenInside(order, graph);
  if (broken.length > 0) return { ok: false, cycle: broken };
  return { ok: true, steps: explain(order, graph, constraints) };
}

/** Constraints between items that go back together can contradict one another; these are the ones left unmet. */
function brokenInside(order: readonly PlanItem[], graph: PlanGraph): CycleLink[] {
  if (graph.inner.length === 0) return [];
  const place = new Map(order.map(({ id }, index) => [id, index]));
  const unmet = graph.inner.filter(({ a, b }) => (place.get(a) ?? 0) >= (place.get(b) ?? 0));
  const involved = new Set(unmet.flatMap(({ a, b }) => [a, b]));
  return unmet.length === 0
    ? []
    : graph.inner
        .filter(({ a, b }) => involved.has(a) && involved.has(b))
        .map(({ a, b, reason }) => ({ from: a, to: b, reason }));
}

/** Walks back through unmet predecessors until a node repeats: that walk holds the circle. */
function findCycle(graph: PlanGraph, done: ReadonlySet<number>): CycleLink[] {
  const start = graph.nodes.findIndex((_, index) => !done.has(index));
  const walked: { node: number; link: CycleLink }[] = [];
  let at = start;
  for (;;) {
    const wait = graph.nodes[at]?.waits.find(({ node }) => !done.has(node));
    if (wait === undefined) return walked.map(({ link }) => link).reverse();
    walked.push({ node: at, link: { from: wait.because.a, to: wait.because.b, reason: wait.because.reason } });
    at = wait.node;
    const seen = walked.findIndex(({ node }) => node === at);
    if (seen >= 0)
      return walked
        .slice(seen)
        .map(({ link }) => link)
        .reverse();
  }
}

function explain(order: readonly PlanItem[], graph: PlanGraph, constraints: readonly Constraint[]): RefitStep[] {
  const mirrored = [...graph.nodes].sort((a, b) => b.key - a.key).flatMap(({ members }) => members);
  const mirror = new Map(mirrored.map(({ id }, index) => [id, index + 1]));
  const bending = bendingConstraints(order, constraints);
  return order.map(({ id }, index) => {
    const mirrors = mirror.get(id) ?? index + 1;
    return { itemId: id, mirrors, position: index + 1, movedBy: mirrors === index + 1 ? [] : (bending.get(id) ?? []) };
  });
}

/** Constraints that the plain mirror would break: what came off first must nevertheless go back first. */
function bendingConstraints(order: readonly PlanItem[], constraints: readonly Constraint[]): Map<string, Constraint[]> {
  const stripOrder = new Map(order.map(({ id, stripOrder: place }) => [id, place]));
  const bends = new Map<string, Constraint[]>();
  const add = (id: string, constraint: Constraint): void => {
    const list = bends.get(id);
    if (list === undefined) bends.set(id, [constraint]);
    else list.push(constraint);
  };
  for (const constraint of constraints) {
    if (constraint.kind === 'before') {
      const a = stripOrder.get(constraint.a);
      const b = stripOrder.get(constraint.b);
      if (a === undefined || b === undefined || a > b) continue;
      add(constraint.a, constraint);
      add(constraint.b, constraint);
    } else if (constraint.kind === 'together') {
      for (const id of constraint.items) add(id, constraint);
    } else if (constraint.kind === 'closes') {
      add(constraint.plug, constraint);
    }
  }
  return bends;
}
