import type { Change } from '../../contract/index.ts';

/** Tells whoever listens what has changed, once it is on disk. */
export class Changes {
  readonly #listeners = new Set<(change: Change) => void>();

  /** @returns how to stop */
  listen(listener: (change: Change) => void): () => void {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  }

  /** Whether anybody listens. */
  get isHeard(): boolean {
    return this.#listeners.size > 0;
  }

  tell(change: Change): void {
    for (const listener of this.#listeners) listener(change);
  }
}
