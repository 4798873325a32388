import { accessSync, constants, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import type { Finding } from '../../../contract/index.ts';
import { StoreError } from '../../store/errors.ts';
import { behind } from '../../store/migrate.ts';
import { inWords, mustBeStore, openStore } from '../../store/open.ts';
import { backupsIn } from '../backups.ts';
import { openArchive, proveArchive } from '../archive/read.ts';
import { copyClosed } from '../copy.ts';
import { type Files, removeQuietly } from '../files.ts';
import { keptHeads } from '../heads.ts';
import type { Place } from '../place.ts';
import { shopIdOf } from '../shopId.ts';
import { checkDatabase, type CheckProgress } from './database.ts';
import { finding } from './finding.ts';
import type { Witness } from './jobs.ts';
import { checkPictures } from './pictures.ts';

/** What a check of a store found. */
export interface Verified {
  readonly findings: readonly Finding[];
  readonly jobs: number;
  readonly entries: number;
  readonly pictures: number;
}

/** How a store is checked. */
export interface Verifying {
  readonly files: Files;
  readonly machineZone: string;
  /** Where backups of it are looked for besides the folder beside it. */
  readonly backupFolders?: readonly string[];
  readonly progress?: CheckProgress;
}

/** The words for the file of heads in a finding. */
export const BESIDE = 'the file beside the store';

/**
 * Checks all there is of a store that nobody works on: the file, every log to its end, all that was made of the logs,
 * every row, every photo, and the last backup. Nothing is changed; a store of an earlier version is checked as a copy
 * that is brought up to date.
 * @throws StoreError when there is no store, or one of another or a later program
 */
export async function verifyStore(
  place: Place,
  { files, machineZone, backupFolders = [], progress = () => undefined }: Verifying,
): Promise<Verified> {
  mustBeStore(place.store);
  let checked: ReturnType<typeof openChecked>;
  try {
    checked = openChecked(place.store, files);
  } catch (error) {
    if (!(error instanceof StoreError) || error.code !== 'damaged') throw error;
    return { findings: [finding('file', 'The database is damaged and cannot be opened.')], ...NOTHING };
  }
  const { db, done } = checked;
  try {
    const beside = keptHeads(place.heads);
    const folders = [place.backups, ...backupFolders];
    const { witnesses, findings: backups } = await lastBackup(db, folders, beside?.restoredAt ?? null);
    const all = beside === null ? witnesses : [{ where: BESIDE, heads: beside }, ...witnesses];
    const own = checkDatabase(db, { witnesses: all, machineZone, progress });
    const pictures = await picturesOf(db, place.pictures, progress);
    return { findings: [...own, ...pictures, ...backups], ...countsOf(db) };
  } finally {
    done();
  }
}

const NOTHING = { jobs: 0, entries: 0, pictures: 0 };

/** How much there is; nothing of what cannot be read. */
export function countsOf(db: Database): Omit<Verified, 'findings'> {
  const count = (sql: string): number => {
    try {
      return db.prepare<[], { n: number }>(sql).get()?.n ?? 0;
    } catch {
      return 0;
    }
  };
  return {
    jobs: count('SELECT COUNT(*) AS n FROM (SELECT DISTINCT job_id FROM event)'),
    entries: count('SELECT COUNT(*) AS n FROM event'),
    pictures: count('SELECT COUNT(*) AS n FROM picture'),
  };
}

async function picturesOf(db: Database, folder: string, progress: CheckProgress): Promise<Finding[]> {
  try {
    return await checkPictures(db, folder, { progress: (done, of) => progress('photos', done, of) });
  } catch (error) {
    if (!(error instanceof Sqlite.SqliteError)) throw error;
    return [finding('file', `Which photos there are cannot be read: ${error.message}.`)];
  }
}

/** Opens a store to be checked: as it stands, or a copy where it is of an earlier version or cannot be written beside. */
function openChecked(store: string, files: Files): { readonly db: Database; readonly done: () => void } {
  const own = asItStands(store);
  if (own !== null) return { db: own, done: () => void own.close() };
  const folder = mkdtempSync(join(tmpdir(), 'unhurried-wrench-check-'));
  const copy = join(folder, 'shop.sqlite');
  try {
    copyClosed(store, copy);
    const db = openStore(copy, { mayCreate: false });
    return {
      db,
      done: () => {
        db.close();
        removeQuietly(files, folder);
      },
    };
  } catch (error) {
    removeQuietly(files, folder);
    throw inWords(error, store);
  }
}

/** The store itself, when it is of this version and can be opened where it lies; null when a copy is needed. */
function asItStands(store: string): Database | null {
  if (!canWrite(store)) return null;
  let db: Database | null = null;
  try {
    db = new Sqlite(store, { fileMustExist: true });
    if (behind(db).pending.length === 0) return db;
  } catch (error) {
    if (!/^SQLITE_(READONLY|CANTOPEN)/.test((error as { code?: string }).code ?? '')) {
      db?.close();
      throw inWords(error, store);
    }
  }
  db?.close();
  return null;
}

/** The id of the shop; null where the file is too damaged to tell. */
function shopIdOrNull(db: Database): string | null {
  try {
    return shopIdOf(db);
  } catch {
    return null;
  }
}

/** Whether the store and what lies beside it can be written: the index of words is asked by a connection that could. */
function canWrite(store: string): boolean {
  try {
    for (const path of [store, dirname(store)]) accessSync(path, constants.W_OK);
    return true;
  } catch {
    return false;
  }
}

/** The heads that the newest backup holds, and what is wrong with that backup. */
async function lastBackup(
  db: Database,
  folders: readonly string[],
  restoredAt: string | null,
): Promise<{ witnesses: Witness[]; findings: Finding[] }> {
  const shopId = shopIdOrNull(db);
  const [newest] = [...new Set(folders)]
    .flatMap((folder) => (shopId === null ? [] : backupsIn(folder, shopId)))
    .sort((a, b) => (a.at < b.at ? 1 : -1));
  if (newest === undefined) return { witnesses: [], findings: [] };
  try {
    const heads = await proveArchive(await openArchive(join(newest.folder, newest.name)));
    // One from before a restore may well have seen more than was put back.
    if (restoredAt !== null && newest.at < restoredAt) return { witnesses: [], findings: [] };
    return { witnesses: [{ where: `the backup of ${newest.at}`, heads }], findings: [] };
  } catch (error) {
    return { witnesses: [], findings: [finding('backup', (error as Error).message)] };
  }
}
