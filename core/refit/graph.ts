import type { BeforeConstraint, Constraint, PlanItem } from './types.ts';

/**
 * The planning graph. Items that must go together are one node; a plug and what closes its opening likewise, the
 * plug first. A node's key is the latest strip order among its members, plugs aside (a plug goes in after the item
 * came off, yet it is that item's place in the mirror that counts). Items and nodes are numbers here: a plan is made
 * anew after every tap, and looking names up is most of the cost.
 */
export interface PlanGraph {
  readonly items: readonly PlanItem[];
  readonly constraints: readonly Constraint[];
  readonly indexOf: ReadonlyMap<string, number>;
  /** Node of each item. */
  readonly nodeOf: Int32Array;
  /** Items of each node, in the order in which they go back. */
  readonly members: readonly (readonly number[])[];
  readonly keys: Float64Array;
  /** Edges: `from[i]` before `to[i]`, because of `why[i]`. */
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly why: readonly BeforeConstraint[];
  /** Successors of node n lie at `next[start[n]]` up to `next[start[n + 1]]`. */
  readonly start: Int32Array;
  readonly next: Int32Array;
  /** Constraints between members of one node; a circle among them is found by checking the finished order. */
  readonly inner: readonly BeforeConstraint[];
}

/** Builds the graph. Constraints that name an item which is not in the list do not apply and are left out. */
export function buildGraph(items: readonly PlanItem[], constraints: readonly Constraint[]): PlanGraph {
  const indexOf = new Map<string, number>();
  for (const [index, { id }] of items.entries()) indexOf.set(id, index);
  const closerOf = new Map<number, number>();
  const groups = new Groups(items.length);
  const edges: Edges = { a: [], b: [], why: [] };
  for (const constraint of constraints) {
    if (constraint.kind === 'before') {
      const a = indexOf.get(constraint.a);
      const b = indexOf.get(constraint.b);
      if (a === undefined || b === undefined) continue;
      edges.a.push(a);
      edges.b.push(b);
      edges.why.push(constraint);
    } else if (constraint.kind === 'together') {
      groups.join(constraint.items.flatMap((id) => indexOf.get(id) ?? []));
    } else if (constraint.kind === 'closes') {
      const plug = indexOf.get(constraint.plug);
      const closer = indexOf.get(constraint.item);
      if (plug === undefined || closer === undefined) continue;
      closerOf.set(plug, closer);
      groups.join([plug, closer]);
    }
  }
  const { nodeOf, members } = groups.all();
  const wired = wire(edges, nodeOf, members.length);
  const ordered = members.map((each) =>
    each.length === 1 ? each : orderWithin(each, items, wired.inner, indexOf, closerOf),
  );
  const keys = new Float64Array(ordered.length);
  for (const [node, each] of ordered.entries()) keys[node] = keyOf(each, items, closerOf);
  return { items, constraints, indexOf, nodeOf, members: ordered, keys, ...wired };
}

/** Edges between items, in three columns. */
interface Edges {
  readonly a: number[];
  readonly b: number[];
  readonly why: BeforeConstraint[];
}

function keyOf(members: readonly number[], items: readonly PlanItem[], closerOf: ReadonlyMap<number, number>): number {
  let [own, all] = [Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const index of members) {
    const place = items[index]?.stripOrder ?? 0;
    all = Math.max(all, place);
    if (!members.includes(closerOf.get(index) ?? -1)) own = Math.max(own, place);
  }
  return own === Number.NEGATIVE_INFINITY ? all : own;
}

/** Edges between nodes, and successor lists in two flat arrays; edges within a node are set apart. */
function wire(
  edges: Edges,
  nodeOf: Int32Array,
  nodes: number,
): Pick<PlanGraph, 'from' | 'to' | 'why' | 'start' | 'next' | 'inner'> {
  const from = new Int32Array(edges.why.length);
  const to = new Int32Array(edges.why.length);
  const [why, inner]: [BeforeConstraint[], BeforeConstraint[]] = [[], []];
  const start = new Int32Array(nodes + 1);
  for (const [edge, constraint] of edges.why.entries()) {
    const a = nodeOf[edges.a[edge] ?? 0] ?? 0;
    const b = nodeOf[edges.b[edge] ?? 0] ?? 0;
    if (a === b) {
      inner.push(constraint);
      continue;
    }
    from[why.length] = a;
    to[why.length] = b;
    why.push(constraint);
    start[a + 1]! += 1;
  }
  for (let node = 0; node < nodes; node += 1) start[node + 1]! += start[node] ?? 0;
  const fill = start.slice();
  const next = new Int32Array(why.length);
  for (let edge = 0; edge < why.length; edge += 1) {
    const node = from[edge] ?? 0;
    const at = fill[node] ?? 0;
    next[at] = to[edge] ?? 0;
    fill[node] = at + 1;
  }
  return { from: from.subarray(0, why.length), to: to.subarray(0, why.length), why, start, next, inner };
}

/**
 * Orders the members of one node: mirror, constraints between them kept, each plug directly before its closer. A
 * constraint that names a plug binds its closer with it, since the two stay side by side.
 */
function orderWithin(
  members: readonly number[],
  items: readonly PlanItem[],
  befores: readonly BeforeConstraint[],
  indexOf: ReadonlyMap<string, number>,
  closerOf: ReadonlyMap<number, number>,
): number[] {
  const here = new Set(members);
  const isPlugHere = (index: number): boolean => here.has(closerOf.get(index) ?? -1);
  const place = (index: number): number => items[index]?.stripOrder ?? 0;
  const left = members.filter((index) => !isPlugHere(index)).sort((a, b) => place(b) - place(a));
  const pairs = befores.flatMap(({ a, b }) => {
    const pair: [number, number] = [indexOf.get(a) ?? -1, indexOf.get(b) ?? -1];
    return here.has(pair[0]) && here.has(pair[1]) ? [pair] : [];
  });
  const led = (index: number): number => (isPlugHere(index) ? (closerOf.get(index) ?? index) : index);
  const own = pairs.map(([a, b]): [number, number] => [led(a), led(b)]).filter(([a, b]) => a !== b);
  const ordered: number[] = [];
  while (left.length > 0) {
    ordered.push(...takeFree(left, own));
  }
  return ordered.flatMap((index) => {
    const plugs = members.filter((each) => closerOf.get(each) === index);
    const inOrder: number[] = [];
    while (plugs.length > 0) inOrder.push(...takeFree(plugs, pairs));
    return [...inOrder, index];
  });
}

/** Takes the first that waits for none of the others; where each waits, the first: the circle is found afterwards. */
function takeFree(left: number[], pairs: readonly (readonly [number, number])[]): number[] {
  const free = left.findIndex((index) => !pairs.some(([a, b]) => b === index && left.includes(a)));
  return left.splice(Math.max(0, free), 1);
}

/** Union of items into groups, by path-halving disjoint sets. */
class Groups {
  readonly #parent: Int32Array;

  constructor(count: number) {
    this.#parent = new Int32Array(count);
    for (let index = 0; index < count; index += 1) this.#parent[index] = index;
  }

  #root(index: number): number {
    let at = index;
    for (;;) {
      const parent = this.#parent[at] ?? at;
      if (parent === at) return at;
      const grand = this.#parent[parent] ?? parent;
      this.#parent[at] = grand;
      at = grand;
    }
  }

  join(indices: readonly number[]): void {
    const [first, ...rest] = indices;
    if (first === undefined) return;
    for (const index of rest) this.#parent[this.#root(index)] = this.#root(first);
  }

  all(): { nodeOf: Int32Array; members: number[][] } {
    const count = this.#parent.length;
    const nodeOf = new Int32Array(count);
    const nodeOfRoot = new Int32Array(count).fill(-1);
    const members: number[][] = [];
    for (let index = 0; index < count; index += 1) {
      const root = this.#root(index);
      let node = nodeOfRoot[root] ?? -1;
      if (node < 0) {
        node = members.length;
        nodeOfRoot[root] = node;
        members.push([]);
      }
      nodeOf[index] = node;
      members[node]?.push(index);
    }
    return { nodeOf, members };
  }
}
