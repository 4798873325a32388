import type { DBSchema } from 'idb';
import { shallowReactive } from 'vue';
import { api } from './api.ts';
import { browserStore } from './browserStore.ts';
import { apiUrl } from './world.ts';

/** A picture or a recording that the server does not have yet, by the hash of its bytes. */
interface WaitingFile {
  readonly hash: string;
  readonly path: '/pictures' | '/recordings';
  readonly blob: Blob;
}
interface FilesSchema extends DBSchema {
  files: { key: string; value: WaitingFile };
}

const open = browserStore<FilesSchema>('unhurried-wrench-files', 1, (made) => {
  made.createObjectStore('files', { keyPath: 'hash' });
});
/** What this browser would not keep lasts as long as this tab does. */
export const filesOnlyHere = shallowReactive(new Map<string, WaitingFile>());

/** SHA-256 of some bytes, hexadecimal. @throws Error where the page is not in a secure context */
async function hashOf(blob: Blob): Promise<string> {
  if (typeof crypto.subtle === 'undefined')
    throw new Error('Without a connection a file can be taken in only over HTTPS or on this computer.');
  const digest = await crypto.subtle.digest('SHA-256', await blob.arrayBuffer());
  return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** Keeps a file until the server is there. */
export async function letWait(path: WaitingFile['path'], blob: Blob): Promise<{ readonly hash: string }> {
  const file = { hash: await hashOf(blob), path, blob };
  const store = await open();
  const kept =
    (await store?.put('files', file).then(
      () => true,
      () => false,
    )) ?? false;
  if (!kept) filesOnlyHere.set(file.hash, file);
  if (path === '/pictures') await showMeanwhile(file.hash, blob).catch(() => undefined);
  return { hash: file.hash };
}

/**
 * Sends a file that waits. It stays until {@link forgetWaiting}: sent twice it is stored once.
 * @returns the hash that the server gave it (it squeezes recordings), or null where nothing waits by this hash
 * @throws ApiError, OutOfReach
 */
export async function sendWaiting(hash: string): Promise<string | null> {
  const file = filesOnlyHere.get(hash) ?? (await (await open())?.get('files', hash));
  return file === undefined ? null : (await api.upload<{ hash: string }>(file.path, file.blob)).hash;
}

/** Nobody wants it any more, or the server has it. */
export async function forgetWaiting(hash: string): Promise<void> {
  filesOnlyHere.delete(hash);
  await (await open())?.delete('files', hash).catch(() => undefined);
  await dropShown(hash).catch(() => undefined);
}

/** Pictures are shown by their address: until the server has this one, the browser answers for it. */
async function showMeanwhile(hash: string, blob: Blob): Promise<void> {
  const shown = await caches.open('pictures');
  for (const address of addressesOf(hash))
    await shown.put(address, new Response(blob, { headers: { 'content-type': blob.type } }));
}
/** From now on the server answers for it, with copies that are made for screens. */
async function dropShown(hash: string): Promise<void> {
  const shown = await caches.open('pictures');
  for (const address of addressesOf(hash)) await shown.delete(address);
}
const addressesOf = (hash: string): readonly string[] =>
  ['', '?size=small'].map((size) => apiUrl(`/pictures/${hash}${size}`));
