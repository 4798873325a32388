/** A binary max-heap over numbers; the planner takes the largest strip order that is free. */
export class MaxHeap {
  readonly #values: number[] = [];

  get size(): number {
    return this.#values.length;
  }

  push(value: number): void {
    const values = this.#values;
    let at = values.length;
    values.push(value);
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (this.#at(parent) >= value) break;
      values[at] = this.#at(parent);
      at = parent;
    }
    values[at] = value;
  }

  /** The largest value, removed. Undefined when empty. */
  pop(): number | undefined {
    const values = this.#values;
    const top = values[0];
    const last = values.pop();
    if (top === undefined || last === undefined || values.length === 0) return top;
    let at = 0;
    for (;;) {
      let child = 2 * at + 1;
      if (child >= values.length) break;
      if (child + 1 < values.length && this.#at(child + 1) > this.#at(child)) child += 1;
      if (this.#at(child) <= last) break;
      values[at] = this.#at(child);
      at = child;
    }
    values[at] = last;
    return top;
  }

  #at(index: number): number {
    return this.#values[index] ?? Number.NEGATIVE_INFINITY;
  }
}
