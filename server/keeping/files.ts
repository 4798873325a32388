import { createHash, randomUUID } from 'node:crypto';
import {
  closeSync,
  createReadStream,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statfsSync,
  statSync,
  writeSync,
} from 'node:fs';
import { dirname, join } from 'node:path';

/** A file being written. */
export interface Out {
  /** All of it, or it throws. */
  write(bytes: Uint8Array): void;
  /** Flushed to the disk. */
  sync(): void;
  close(): void;
}

/**
 * The file functions by which anything is changed on the disk. Tests put faults under them: a disk that fills, a process
 * that is killed, a power cut that loses what was not flushed.
 */
export interface Files {
  /** A new file; it must not be there yet. */
  create(path: string): Out;
  /** Adds to the end of a file, which is made when it is not there. Not flushed: what is added so may be lost with the power. */
  append(path: string, bytes: Uint8Array): void;
  /** In place of what has that name, if anything. */
  rename(from: string, to: string): void;
  /** The same file under a second name; copied where the disk has no such thing. */
  link(from: string, to: string): void;
  remove(path: string): void;
  removeFolder(path: string): void;
  makeFolder(path: string): void;
  /** Makes names in a folder last: a rename counts only after this. */
  syncFolder(path: string): void;
  /** Room that is left on the disk of a folder; null where the machine does not say. */
  freeBytes(folder: string): number | null;
}

function writeAll(file: number, bytes: Uint8Array): void {
  // The system may take less than it is given, on a disk that is nearly full for one.
  for (let written = 0; written < bytes.length;) written += writeSync(file, bytes, written);
}

/** The file functions of this machine. */
export const realFiles: Files = {
  create(path) {
    const file = openSync(path, 'wx');
    return {
      write: (bytes) => writeAll(file, bytes),
      sync: () => fsyncSync(file),
      close: () => closeSync(file),
    };
  },
  append(path, bytes) {
    const file = openSync(path, 'a');
    try {
      writeAll(file, bytes);
    } finally {
      closeSync(file);
    }
  },
  rename: renameSync,
  link(from, to) {
    try {
      linkSync(from, to);
    } catch (error) {
      if (existsSync(to)) throw error;
      writeWhole(realFiles, to, readFileSync(from));
    }
  },
  remove: (path) => rmSync(path, { force: true }),
  removeFolder: (path) => rmSync(path, { force: true, recursive: true }),
  makeFolder: (path) => void mkdirSync(path, { recursive: true }),
  syncFolder(path) {
    const folder = openSync(path, 'r');
    try {
      fsyncSync(folder);
    } finally {
      closeSync(folder);
    }
  },
  freeBytes(folder) {
    try {
      const { bavail, bsize } = statfsSync(folder);
      return bavail * bsize;
    } catch {
      return null;
    }
  },
};

/** Names of what is unfinished begin so, and with the process that is at work on it. */
const UNFINISHED = '.unfinished-';
const WORKED_ON = /^\.unfinished-(\d+)-/;
/** As versions before 0.5 called a photo that was being written. */
const EARLIER = /^\.[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
/** A new name for something unfinished in a folder. */
export const unfinishedIn = (folder: string): string => join(folder, `${UNFINISHED}${process.pid}-${randomUUID()}`);

/** Whether another process is at work on something: two stores may share a folder. */
function isWorkedOn(name: string): boolean {
  const worker = Number(WORKED_ON.exec(name)?.[1] ?? 0);
  if (worker === 0 || worker === process.pid) return false;
  try {
    process.kill(worker, 0);
    return true;
  } catch (error) {
    // It is there, and of somebody else.
    return (error as { code?: string }).code === 'EPERM';
  }
}

/** Removes what was left unfinished in a folder. Call when this process is at work on nothing there. @returns how many */
export function sweep(files: Files, folder: string): number {
  if (!existsSync(folder)) return 0;
  const left = readdirSync(folder).filter(
    (name) => (name.startsWith(UNFINISHED) || EARLIER.test(name)) && !isWorkedOn(name),
  );
  for (const name of left) files.removeFolder(join(folder, name));
  return left.length;
}

/** SHA-256 in hexadecimal. */
export const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** SHA-256 of a file in hexadecimal, read in pieces. @throws what the disk says */
export async function hashOfFile(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const chunk of createReadStream(path, { highWaterMark: 1 << 20 })) hash.update(chunk as Buffer);
  return hash.digest('hex');
}

/** Writes a new file whole and flushes it. */
export function writeWhole(files: Files, path: string, bytes: Uint8Array): void {
  const out = files.create(path);
  try {
    out.write(bytes);
    out.sync();
  } finally {
    out.close();
  }
}

/**
 * Puts a file in place whole or not at all: written aside, flushed, read back, moved, and the move flushed. Whatever
 * fails, the name holds what it held before.
 * @throws what the disk says, or that it holds something else than was written
 */
export function putFile(files: Files, target: string, bytes: Uint8Array): void {
  const folder = dirname(target);
  const aside = unfinishedIn(folder);
  try {
    writeWhole(files, aside, bytes);
    if (!isWhole(aside, bytes.length, hashOf(bytes)))
      throw new Error(`The disk does not hold what was written to it: ${target}`);
    files.rename(aside, target);
    files.syncFolder(folder);
  } catch (error) {
    removeQuietly(files, aside);
    throw error;
  }
}

/** Tidies up after a failure, which is what is told; a disk that fails at this too has nothing new to say. */
export function removeQuietly(files: Files, path: string): void {
  try {
    files.removeFolder(path);
  } catch {
    // Swept at the next start.
  }
}

/** The length of a file; null when there is no file of that name. */
export function lengthOf(path: string): number | null {
  const found = statSync(path, { throwIfNoEntry: false });
  return found?.isFile() === true ? found.size : null;
}

/** Whether a file is there, of that length and with that hash. */
export const isWhole = (path: string, length: number, hash: string): boolean =>
  lengthOf(path) === length && hashOf(readFileSync(path)) === hash;
