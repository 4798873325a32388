import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { OutOfReach } from './api.ts';

interface KeptSchema extends DBSchema {
  answers: {
    key: string;
    value: { readonly path: string; readonly at: number; readonly answer: unknown };
    indexes: { at: number };
  };
}

/** So many answers are kept; the oldest go first. */
const MOST = 400;

let db: Promise<IDBPDatabase<KeptSchema> | null> | null = null;
// Without IndexedDB (a private window) nothing is kept, and nothing else changes.
const open = (): Promise<IDBPDatabase<KeptSchema> | null> =>
  (db ??= Promise.resolve()
    .then(() =>
      openDB<KeptSchema>('unhurried-wrench-answers', 1, {
        upgrade: (made) => void made.createObjectStore('answers', { keyPath: 'path' }).createIndex('at', 'at'),
      }),
    )
    .catch(() => null));

async function keep(path: string, answer: unknown): Promise<void> {
  const store = await open();
  if (store === null) return;
  await store.put('answers', { path, at: Date.now(), answer });
  for (let over = (await store.count('answers')) - MOST; over > 0; over -= 1) {
    const oldest = await store.getKeyFromIndex('answers', 'at', IDBKeyRange.lowerBound(0));
    if (oldest !== undefined) await store.delete('answers', oldest);
  }
}

/**
 * What the server answers; where it is out of reach, what it answered last.
 * @throws OutOfReach when it never answered, and whatever else asking throws
 */
export async function keptOr<T>(path: string, ask: () => Promise<T>): Promise<T> {
  try {
    const answer = await ask();
    void keep(path, answer).catch(() => undefined);
    return answer;
  } catch (error) {
    if (!(error instanceof OutOfReach)) throw error;
    const known = await (await open())?.get('answers', path);
    if (known === undefined) throw error;
    return known.answer as T;
  }
}
