import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { browserStore, dropStores } from './browserStore.ts';

afterEach(() => vi.unstubAllGlobals());

describe('what a browser keeps of a practice job', () => {
  it('is taken away once it is ended, whatever was open', async () => {
    vi.stubGlobal('indexedDB', new IDBFactory());
    const open = browserStore('kept-here', 1, (made) => void made.createObjectStore('rows' as never));
    expect(await open()).not.toBeNull();
    expect((await indexedDB.databases()).map(({ name }) => name)).toEqual(['kept-here']);
    await dropStores();
    expect(await indexedDB.databases()).toEqual([]);
    // What is asked for again is made again.
    expect(await open()).not.toBeNull();
  });
});
