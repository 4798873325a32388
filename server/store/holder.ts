import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { dirname } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { StoreError } from './errors.ts';

/** Who works on a store. */
export interface Holder {
  readonly process: number;
  readonly host: string;
  /** ISO time. */
  readonly since: string;
  /** Where it serves, once it does; empty for a command. */
  readonly address: string;
}

/** A store that is held. */
export interface Held {
  /** Says where the holder serves, for whoever comes second. */
  serving: (address: string) => void;
  release: () => void;
}

const lockFile = (store: string): string => `${store}.lock`;
const holderFile = (store: string): string => `${store}.holder.json`;

/** Who holds a store, as it said itself; null when it said nothing that can be read. */
export function holderOf(store: string): Holder | null {
  try {
    return JSON.parse(readFileSync(holderFile(store), 'utf8')) as Holder;
  } catch {
    return null;
  }
}

/**
 * Holds a store against every other process. The lock is the operating system's own on a small file beside the store:
 * it goes with the process, however that ends, so a crashed holder never stands in the way.
 * @throws StoreError `held`, naming the holder and where it serves; `read-only` where nothing can be written
 */
export function holdStore(store: string, now: string): Held {
  let lock: Database | null = null;
  try {
    mkdirSync(dirname(store), { recursive: true });
    lock = new Sqlite(lockFile(store), { timeout: 0 });
    lock.pragma('journal_mode = DELETE');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock?.close();
    throw whyNotHeld(store, error);
  }
  const file = lock;
  const write = (address: string): void => {
    const holder: Holder = { process: process.pid, host: hostname(), since: now, address };
    try {
      writeFileSync(holderFile(store), `${JSON.stringify(holder)}\n`);
    } catch {
      // The lock holds without it, on a full disk for one; whoever comes second is told less.
    }
  };
  write('');
  return {
    serving: write,
    release: () => {
      if (!file.open) return;
      rmSync(holderFile(store), { force: true });
      file.close();
    },
  };
}

const CANNOT_WRITE = /^(SQLITE_READONLY|SQLITE_CANTOPEN|EROFS|EACCES|EPERM)/;

/** Why a store cannot be held: another has it, nothing can be written there, or what the disk says. */
function whyNotHeld(store: string, error: unknown): unknown {
  const { code = '' } = error as { code?: string };
  if (code.startsWith('SQLITE_BUSY')) return new StoreError('held', heldWords(store), error);
  if (CANNOT_WRITE.test(code))
    return new StoreError('read-only', `Nothing can be written beside ${store}; it can only be read.`, error);
  return error;
}

/** Who holds a store and what to do, as a sentence. */
export function heldWords(store: string): string {
  const holder = holderOf(store);
  if (holder === null) return `Another process works on ${store}. Stop it first.`;
  const { process: id, host, since, address } = holder;
  return `${store} is held by process ${id} on ${host} since ${since}.${
    address === '' ? ' Wait until it is done.' : ` It serves at ${address}: open that instead, or stop it first.`
  }`;
}

/** Whether a store is held right now. */
export function isHeld(store: string): boolean {
  if (!existsSync(lockFile(store))) return false;
  const lock = new Sqlite(lockFile(store), { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
    lock.exec('ROLLBACK');
    return false;
  } catch {
    return true;
  } finally {
    lock.close();
  }
}
