import type { DBSchema } from 'idb';
import { api, OutOfReach } from './api.ts';
import { browserStore } from './browserStore.ts';

interface KeptSchema extends DBSchema {
  answers: {
    key: string;
    value: { readonly path: string; readonly at: number; readonly answer: unknown };
    indexes: { at: number };
  };
}

/** So many answers are kept; the oldest go first. */
const MOST = 1200;

const open = browserStore<KeptSchema>('unhurried-wrench-answers', 1, (made) => {
  made.createObjectStore('answers', { keyPath: 'path' }).createIndex('at', 'at');
});

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
 * Something that the server holds; out of reach as it was answered last.
 * @throws ApiError; OutOfReach when it never answered
 */
export async function ask<T>(path: string): Promise<T> {
  try {
    const answer = await api.get<T>(path);
    void keep(path, answer).catch(() => undefined);
    return answer;
  } catch (error) {
    if (!(error instanceof OutOfReach)) throw error;
    const known = await (await open())?.get('answers', path);
    if (known === undefined) throw error;
    return known.answer as T;
  }
}

/** Keeps no answer any more. */
export async function forgetAnswers(): Promise<void> {
  await (await open())?.clear('answers').catch(() => undefined);
}
