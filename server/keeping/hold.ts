import { existsSync } from 'node:fs';
import { StoreError } from '../store/errors.ts';
import { type Held, holdStore } from '../store/holder.ts';
import { look } from '../store/open.ts';
import { type Files, sweep } from './files.ts';
import { keptHeads } from './heads.ts';
import { finishMoves } from './moves.ts';
import type { Place } from './place.ts';

/**
 * Holds a store against every other process, and puts right what one that was killed left behind: a restore that was
 * being moved into place is finished, what was never finished is swept away.
 * @throws StoreError `held` when another process has it
 */
export function takeStore(files: Files, place: Place, now: string): Held {
  const held = holdStore(place.store, now);
  try {
    finishMoves(files, place.restoring);
    for (const folder of [place.folder, place.pictures, place.backups]) sweep(files, folder);
    return held;
  } catch (error) {
    held.release();
    throw error;
  }
}

/** Does something to a store while it is held. @throws StoreError `held`, and what the work throws */
export async function whileHeld<T>(files: Files, place: Place, now: string, work: () => T | Promise<T>): Promise<T> {
  const held = takeStore(files, place, now);
  try {
    return await work();
  } finally {
    held.release();
  }
}

/**
 * Looks whether a store is there that was there before; a new one is not made over its loss.
 * @throws StoreError `lost`, with what to do
 */
export function mustNotBeLost(place: Place): void {
  const found = look(place.store);
  if (found !== 'missing' && found !== 'empty') return;
  const jobs = keptHeads(place.heads)?.jobs.size ?? 0;
  if (jobs === 0) return;
  throw new StoreError(
    'lost',
    `The store ${place.store} is ${found === 'empty' ? 'empty' : 'not there'}, and held ${jobs} jobs when it was last seen. Nothing was made in its place. Restore a backup${
      existsSync(place.backups) ? ` (${place.backups})` : ''
    }, or move ${place.heads} away to begin anew.`,
  );
}
