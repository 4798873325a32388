import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { FILES } from './archive/manifest.ts';
import { type Files, isWhole, lengthOf } from './files.ts';
import type { Place } from './place.ts';

/** Where the photos that are kept wait to be moved, in the folder of a restore that is at work. */
export const KEPT_PICTURES = 'kept-pictures';

/** The photos that are here, under a second name each: they go with what is kept, and cost no room. */
export function linkPictures(files: Files, { pictures }: Place, work: string): void {
  if (!existsSync(pictures)) return;
  files.makeFolder(join(work, KEPT_PICTURES));
  for (const name of readdirSync(pictures))
    if (!name.startsWith('.')) files.link(join(pictures, name), join(work, KEPT_PICTURES, name));
  files.syncFolder(join(work, KEPT_PICTURES));
}

/**
 * Photos of the backup join those that are here: a name is the hash of what it holds, so none takes the place of another,
 * one that was damaged is whole again, and those that nobody knows after all are only room on the disk. Another store
 * may share the folder.
 */
export function takeInPictures(files: Files, { pictures }: Place, work: string): void {
  files.makeFolder(pictures);
  for (const name of readdirSync(join(work, FILES))) {
    const from = join(work, FILES, name);
    if (!isWhole(join(pictures, name), lengthOf(from) ?? 0, name)) files.rename(from, join(pictures, name));
  }
  files.syncFolder(pictures);
}
