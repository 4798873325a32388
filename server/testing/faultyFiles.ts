import { copyFileSync, existsSync, mkdtempSync, renameSync, rmSync, statSync, truncateSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import type { Files, Out } from '../keeping/files.ts';

const HARMLESS: ReadonlySet<keyof Files> = new Set(['freeBytes', 'removeFolder', 'remove']);

/** Counts what is done to files, and stops at one of them. */
export interface Counted extends Files {
  /** How many changes were asked for until now. */
  readonly steps: () => number;
}

function stepping(files: Files, before: (step: number, op: keyof Files | 'write' | 'sync') => void): Counted {
  let steps = 0;
  const step = (op: keyof Files | 'write' | 'sync'): void => before((steps += 1), op);
  const wrapped = Object.fromEntries(
    Object.entries(files).map(([name, work]) => [
      name,
      (...given: never[]) => {
        if (!HARMLESS.has(name as keyof Files)) step(name as keyof Files);
        return (work as (...all: never[]) => unknown)(...given);
      },
    ]),
  ) as unknown as Files;
  return {
    ...wrapped,
    create(path): Out {
      const out = wrapped.create(path);
      return {
        write(bytes) {
          // Half of it gets through before the disk says no.
          try {
            step('write');
          } catch (error) {
            out.write(bytes.subarray(0, bytes.length >> 1));
            throw error;
          }
          out.write(bytes);
        },
        sync() {
          step('sync');
          out.sync();
        },
        close: () => out.close(),
      };
    },
    steps: () => steps,
  };
}

/** A disk that is full from a given change on; tidying up still works, as it does on a full disk. */
export const fullFrom = (files: Files, at: number): Counted =>
  stepping(files, (step) => {
    if (step >= at) throw Object.assign(new Error('ENOSPC: no space left on device'), { code: 'ENOSPC', errno: -28 });
  });

/** The power goes at a given change. */
export class PowerCut extends Error {}

/** Files on a disk that keeps for certain only what was flushed to it. */
export interface Unflushed extends Counted {
  /** Takes back what was not flushed: contents, and names in folders that were not. */
  readonly lose: () => void;
}

interface Pending {
  /** The name lasts once this folder is flushed. */
  readonly folder: string;
  readonly undo: () => void;
}

/**
 * A disk whose power goes at a given change. What was written and not flushed is lost then; what was renamed or made in a
 * folder that was not flushed has never been.
 */
export function powerCutAt(files: Files, at: number): Unflushed {
  const trash = mkdtempSync(join(tmpdir(), 'uw-trash-'));
  let pending: Pending[] = [];
  /** Length of contents that are flushed, by the name that a file has now. */
  const flushed = new Map<string, number>();
  let copies = 0;
  const keepAside = (path: string): string | null => {
    if (!existsSync(path) || !statSync(path).isFile()) return null;
    const copy = join(trash, String((copies += 1)));
    copyFileSync(path, copy);
    return copy;
  };
  const layer: Files = {
    ...files,
    create(path) {
      const out = files.create(path);
      flushed.set(resolve(path), 0);
      pending.push({ folder: dirname(resolve(path)), undo: () => rmSync(path, { force: true }) });
      let length = 0;
      return {
        write(bytes) {
          out.write(bytes);
          length += bytes.length;
        },
        sync() {
          out.sync();
          // It may have been renamed since; while it is open here it never is.
          flushed.set(resolve(path), length);
        },
        close: () => out.close(),
      };
    },
    rename(from, to) {
      const was = keepAside(to);
      files.rename(from, to);
      const length = flushed.get(resolve(from));
      if (length !== undefined) flushed.set(resolve(to), length);
      flushed.delete(resolve(from));
      pending.push({
        folder: dirname(resolve(to)),
        undo: () => {
          if (existsSync(to)) renameSync(to, from);
          if (was !== null) copyFileSync(was, to);
        },
      });
    },
    remove(path) {
      const was = keepAside(path);
      files.remove(path);
      if (was !== null) pending.push({ folder: dirname(resolve(path)), undo: () => copyFileSync(was, path) });
    },
    syncFolder(path) {
      files.syncFolder(path);
      pending = pending.filter(({ folder }) => folder !== resolve(path));
    },
  };
  let isOff = false;
  const counted = stepping(layer, (step) => {
    isOff ||= step >= at;
    if (isOff) throw new PowerCut('The power is gone.');
  });
  return {
    ...counted,
    // Without power nobody tidies up either.
    remove(path) {
      if (!isOff) layer.remove(path);
    },
    removeFolder(path) {
      if (!isOff) layer.removeFolder(path);
    },
    lose() {
      for (const [path, length] of flushed)
        if (existsSync(path) && statSync(path).size > length) truncateSync(path, length);
      for (const { undo } of pending.reverse()) undo();
      rmSync(trash, { recursive: true, force: true });
    },
  };
}
