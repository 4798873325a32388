import type { BeforeConstraint, Constraint, PlanItem } from './types.ts';

/**
 * The planning graph. Items that must go together are one node; a plug and what closes its opening likewise, the
 * plug first. A node's key is the latest strip order among its members, plugs aside (a plug goes in after the item
 * came off, yet it is that item's place in the mirror that counts).
 */
export interface PlanGraph {
  readonly nodes: readonly PlanNode[];
  /** Constraints between members of one node; a circle among them is found by checking the finished order. */
  readonly inner: readonly BeforeConstraint[];
}

export interface PlanNode {
  /** Members in the order in which they go back. */
  readonly members: readonly PlanItem[];
  readonly key: number;
  /** Nodes that must wait for this one. */
  readonly next: number[];
  /** Why this node waits: index of the node it waits for, and the constraint. */
  readonly waits: { readonly node: number; readonly because: BeforeConstraint }[];
}

/** Builds the graph. Constraints that name an item which is not in the list do not apply and are left out. */
export function buildGraph(items: readonly PlanItem[], constraints: readonly Constraint[]): PlanGraph {
  const byId = new Map(items.map((item) => [item.id, item]));
  const groups = new Groups(items);
  for (const constraint of constraints) {
    if (constraint.kind === 'together') groups.join(constraint.items.filter((id) => byId.has(id)));
    if (constraint.kind === 'closes') groups.join([constraint.plug, constraint.item].filter((id) => byId.has(id)));
  }
  const closerOf = new Map(
    constraints.flatMap((constraint) =>
      constraint.kind === 'closes' ? [[constraint.plug, constraint.item] as const] : [],
    ),
  );
  const befores = constraints.filter((constraint) => constraint.kind === 'before');
  const nodes: PlanNode[] = [];
  const nodeOf = new Map<string, number>();
  for (const members of groups.all()) {
    const own = members.filter(({ id }) => !members.some((other) => other.id === closerOf.get(id)));
    for (const { id } of members) nodeOf.set(id, nodes.length);
    nodes.push({
      members,
      key: Math.max(...(own.length > 0 ? own : members).map(({ stripOrder }) => stripOrder)),
      next: [],
      waits: [],
    });
  }
  for (const because of befores) {
    const from = nodeOf.get(because.a);
    const to = nodeOf.get(because.b);
    if (from === undefined || to === undefined || from === to) continue;
    nodes[from]?.next.push(to);
    nodes[to]?.waits.push({ node: from, because });
  }
  const inner = befores.filter(({ a, b }) => byId.has(a) && nodeOf.get(a) === nodeOf.get(b));
  return {
    nodes: nodes.map((node) =>
      node.members.length === 1 ? node : { ...node, members: orderWithin(node.members, inner, closerOf) },
    ),
    inner,
  };
}

/** Orders the members of one node: mirror, constraints between them kept, each plug directly before its closer. */
function orderWithin(
  members: readonly PlanItem[],
  befores: readonly BeforeConstraint[],
  closerOf: ReadonlyMap<string, string>,
): PlanItem[] {
  const isPlugHere = (item: PlanItem): boolean => members.some(({ id }) => id === closerOf.get(item.id));
  const left = members.filter((item) => !isPlugHere(item)).sort((a, b) => b.stripOrder - a.stripOrder);
  const ordered: PlanItem[] = [];
  while (left.length > 0) {
    const free = left.findIndex(
      ({ id }) => !befores.some(({ a, b }) => b === id && left.some((other) => other.id === a)),
    );
    ordered.push(...left.splice(Math.max(0, free), 1));
  }
  return ordered.flatMap((item) => [...members.filter(({ id }) => closerOf.get(id) === item.id), item]);
}

/** Union of items into groups, by path-halving disjoint sets. */
class Groups {
  readonly #parent = new Map<string, string>();
  readonly #items: readonly PlanItem[];

  constructor(items: readonly PlanItem[]) {
    this.#items = items;
    for (const { id } of items) this.#parent.set(id, id);
  }

  #root(id: string): string {
    let at = id;
    for (;;) {
      const parent = this.#parent.get(at) ?? at;
      if (parent === at) return at;
      const grand = this.#parent.get(parent) ?? parent;
      this.#parent.set(at, grand);
      at = grand;
    }
  }

  join(ids: readonly string[]): void {
    const [first, ...rest] = ids;
    if (first === undefined) return;
    for (const id of rest) this.#parent.set(this.#root(id), this.#root(first));
  }

  all(): PlanItem[][] {
    const groups = new Map<string, PlanItem[]>();
    for (const item of this.#items) {
      const root = this.#root(item.id);
      const group = groups.get(root);
      if (group === undefined) groups.set(root, [item]);
      else group.push(item);
    }
    return [...groups.values()];
  }
}
