import { existsSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import type { BackupStep, Finding, KeepingInput, KeepingReply } from '../../contract/index.ts';
import { backupAge, backupDue, type DiskRoom, diskRoom, sayBytes } from '../../core/keeping/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Changes } from '../store/changes.ts';
import type { Settings } from '../store/settings.ts';
import type { Backup, BackupProgress, BackupTask } from './backup.ts';
import { backupsIn } from './backups.ts';
import type { Files } from './files.ts';
import type { Place } from './place.ts';
import { shopIdOf } from './shopId.ts';

/** Makes a backup, here or in a thread of its own. */
export type MakeBackup = (task: BackupTask, progress: BackupProgress) => Promise<Backup>;

/** What a keeper works with. */
export interface KeeperParts {
  readonly db: Database;
  readonly place: Place;
  readonly files: Files;
  readonly settings: Settings;
  readonly changes: Changes;
  /** ISO time. */
  readonly now: () => string;
  readonly machineZone: string;
  readonly make: MakeBackup;
  readonly readOnly: boolean;
}

/** How often it is looked whether a backup is due, ms. */
const LOOK_MS = 60_000;
/** A try that failed is made again after so long, ms. */
const AGAIN_MS = 3_600_000;
/** Progress is told no more often, ms. */
const TELL_MS = 300;

/** Keeps the shop's data: makes backups when they are due and when they are asked for, and says how things stand. */
export class Keeper {
  readonly #parts: KeeperParts;
  #running: { step: BackupStep; done: number; of: number } | null = null;
  #lastTry: { at: string; ok: boolean; words: string } | null = null;
  #findings: readonly Finding[] = [];
  #toldAt = 0;
  #since: string | null = null;
  #room: DiskRoom = 'well';

  constructor(parts: KeeperParts) {
    this.#parts = parts;
  }

  /** The store can only be read. */
  get readOnly(): boolean {
    return this.#parts.readOnly;
  }

  /** Looks from now on, by the minute, whether a backup is due. @returns how to stop */
  watch(): () => void {
    const timer = setInterval(() => {
      if (this.isDue()) void this.backUp();
      this.#lookAtTheDisk();
    }, LOOK_MS);
    timer.unref();
    return () => clearInterval(timer);
  }

  /** Tells who shows it when the disk has come to stand otherwise. */
  #lookAtTheDisk(): void {
    const room = diskRoom(this.freeBytes());
    if (room !== this.#room) this.#tell(true);
    this.#room = room;
  }

  /** Whether a backup should be made now. */
  isDue(): boolean {
    const { settings, now, readOnly } = this.#parts;
    if (readOnly || this.#running !== null || this.#workSince() === null) return false;
    if (this.#lastTry?.ok === false) return Date.parse(now()) - Date.parse(this.#lastTry.at) > AGAIN_MS;
    const time = { minute: settings.read('backup-minute'), timeZone: settings.timeZone() };
    return backupDue(time, this.#backups()[0]?.at ?? null, now());
  }

  /** Makes a backup; one that is being made already goes on. How it ends is told by {@link status}. */
  async backUp(): Promise<void> {
    if (this.#running !== null) return;
    const { place, now, machineZone, make } = this.#parts;
    const at = now();
    this.#running = { step: 'copy', done: 0, of: 0 };
    this.#tell(true);
    try {
      const absent = this.#folders().find(({ problem }) => problem !== null);
      if (absent !== undefined) throw new Error(`${absent.path}: ${absent.problem ?? ''}`);
      const folders = this.#folders().map(({ path }) => path);
      const { line, findings } = await make({ place, folders, now: at, machineZone }, (step, done, of) => {
        const next = step !== this.#running?.step;
        this.#running = { step, done, of };
        this.#tell(next);
      });
      this.#findings = findings;
      this.#lastTry = {
        at,
        ok: true,
        words: line.good ? `${sayBytes(line.bytes)}, read back and whole.` : 'Made, but the store was not well.',
      };
    } catch (error) {
      this.#lastTry = { at, ok: false, words: inWords(error) };
    }
    this.#running = null;
    this.#tell(true);
  }

  #tell(atOnce: boolean): void {
    const now = Date.now();
    if (!atOnce && now - this.#toldAt < TELL_MS) return;
    this.#toldAt = now;
    this.#parts.changes.tell({ kind: 'rows', list: 'keeping' });
  }

  /** Sets where backups go and when. Call inside a transaction. @returns what is wrong with a folder, by its place in the list */
  set({ folders, minute }: KeepingInput, who: Stamp): Readonly<Record<number, string>> {
    const problems = Object.fromEntries(
      folders.flatMap((path, index) => {
        const problem = folderProblem(path);
        return problem === null ? [] : [[index, problem] as const];
      }),
    );
    if (Object.keys(problems).length === 0)
      this.#parts.settings.set({ 'backup-folders': JSON.stringify(folders), 'backup-minute': String(minute) }, who);
    return problems;
  }

  /** Room that is left on the disk that holds the store, bytes; null where the machine does not say. */
  freeBytes(): number | null {
    return this.#parts.files.freeBytes(this.#parts.place.folder);
  }

  status(): KeepingReply {
    const { settings, now, readOnly } = this.#parts;
    const backups = this.#backups();
    const lastGood = backups.find(({ good }) => good) ?? null;
    const freeBytes = this.freeBytes();
    return {
      age: backupAge(lastGood?.at ?? null, this.#workSince(), now()),
      lastGood,
      lastTry: this.#lastTry,
      running: this.#running,
      minute: settings.read('backup-minute'),
      folders: this.#folders(),
      chosen: settings.read('backup-folders').length > 0,
      backups,
      findings: this.#findings,
      room: diskRoom(freeBytes),
      freeBytes,
      readOnly,
      broken: settings.broken(),
    };
  }

  #folders(): { path: string; problem: string | null }[] {
    const chosen = this.#parts.settings.read('backup-folders');
    if (chosen.length === 0) return [{ path: this.#parts.place.backups, problem: null }];
    return chosen.map((path) => ({ path, problem: folderProblem(path) }));
  }

  /** Newest first; one that lies in both folders is named once. */
  #backups(): KeepingReply['backups'] {
    const shopId = shopIdOf(this.#parts.db);
    const all = this.#folders().flatMap(({ path }) => backupsIn(path, shopId));
    return [...new Map(all.reverse().map((line) => [line.name, line])).values()].sort((a, b) => (a.at < b.at ? 1 : -1));
  }

  /** When the first entry was received that there is to lose. */
  #workSince(): string | null {
    // It never changes once it is there.
    this.#since ??=
      this.#parts.db.prepare<[], { at: string }>('SELECT received_at AS at FROM command ORDER BY rowid LIMIT 1').get()
        ?.at ?? null;
    return this.#since;
  }
}

/** A folder that the shop chose is never made: where a disk is not plugged in, it would come to lie on another. */
const folderProblem = (path: string): string | null =>
  existsSync(path) ? null : 'This folder is not there. Is the disk plugged in?';

function inWords(error: unknown): string {
  const { code, message } = error as { code?: string; message?: string };
  if (code === 'ENOSPC') return 'The disk is full. Make room, or choose another folder.';
  if (code === 'EACCES' || code === 'EROFS' || code === 'EPERM') return 'The folder cannot be written to.';
  return message ?? 'It failed.';
}
