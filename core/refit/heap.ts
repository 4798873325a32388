/** A binary max-heap of nodes by their keys; the planner takes the one with the largest key that is free. */
export class MaxHeap {
  readonly #keys: Float64Array;
  readonly #nodes: number[] = [];

  /** @param keys key of each node */
  constructor(keys: Float64Array) {
    this.#keys = keys;
  }

  get size(): number {
    return this.#nodes.length;
  }

  push(node: number): void {
    const nodes = this.#nodes;
    const key = this.#keyOf(node);
    let at = nodes.length;
    nodes.push(node);
    while (at > 0) {
      const parent = (at - 1) >> 1;
      const above = nodes[parent] ?? 0;
      if (this.#keyOf(above) >= key) break;
      nodes[at] = above;
      at = parent;
    }
    nodes[at] = node;
  }

  /** The node with the largest key, removed. Undefined when empty. */
  pop(): number | undefined {
    const nodes = this.#nodes;
    const top = nodes[0];
    const last = nodes.pop();
    if (top === undefined || last === undefined || nodes.length === 0) return top;
    const key = this.#keyOf(last);
    let at = 0;
    for (;;) {
      let child = 2 * at + 1;
      if (child >= nodes.length) break;
      if (child + 1 < nodes.length && this.#keyAt(child + 1) > this.#keyAt(child)) child += 1;
      if (this.#keyAt(child) <= key) break;
      nodes[at] = nodes[child] ?? 0;
      at = child;
    }
    nodes[at] = last;
    return top;
  }

  #keyAt(at: number): number {
    return this.#keyOf(this.#nodes[at] ?? -1);
  }

  #keyOf(node: number): number {
    return this.#keys[node] ?? Number.NEGATIVE_INFINITY;
  }
}
