import { createReadStream, existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import type { BackupLine, BackupStep, Finding } from '../../contract/index.ts';
import { keptBackups, sayBytes } from '../../core/keeping/index.ts';
import { Audit } from '../store/audit.ts';
import { StoreError } from '../store/errors.ts';
import { look, mustBeStore, openStore } from '../store/open.ts';
import { Settings } from '../store/settings.ts';
import { VERSION } from '../version.ts';
import { BACKUP_FORMAT, type Manifest } from './archive/manifest.ts';
import { openArchive, proveArchive } from './archive/read.ts';
import { writeArchive } from './archive/write.ts';
import { backupName, backupsIn } from './backups.ts';
import { snapshot } from './copy.ts';
import { type Files, hashOf, hashOfFile, lengthOf, removeQuietly, sweep, unfinishedIn } from './files.ts';
import { type Heads, headsOf, keptHeads, writeHeads } from './heads.ts';
import type { Place } from './place.ts';
import { shopIdOf } from './shopId.ts';
import { checkDatabase } from './verify/database.ts';
import { knownPictures, pictureFinding, pictureProblem } from './verify/pictures.ts';
import { BESIDE, countsOf } from './verify/verify.ts';

/** What is to be backed up, and to where. */
export interface BackupTask {
  readonly place: Place;
  /** One folder or two; the first gets the archive, the second a copy of it. */
  readonly folders: readonly string[];
  /** ISO time. */
  readonly now: string;
  readonly machineZone: string;
}

/** A backup that was made, read back, and put in place. */
export interface Backup {
  readonly line: BackupLine;
  readonly findings: readonly Finding[];
  /** Backups that had their time and were removed. */
  readonly removed: readonly string[];
}

/** What is told while it is made. */
export type BackupProgress = (step: BackupStep, done: number, of: number) => void;

/** A store is well enough when these are all that is wrong: they are lasting, told elsewhere, and no reason to trust a backup less. */
const LASTING: ReadonlySet<string> = new Set(['picture', 'setting']);
const isGood = (findings: readonly Finding[]): boolean => findings.every(({ kind }) => LASTING.has(kind));

type Progress = (done: number, of: number) => void;

/** What an archive needs beside its contents: room for the copy it is made from, and for tables. */
const MARGIN_BYTES = 16_000_000;

/**
 * Makes a backup of a store, which may be in use: one archive with the database as of one moment, every photo, and what
 * they are told by. It is written aside, read back from beginning to end, and then moved into place; whatever stops it
 * leaves nothing that looks like a backup.
 * @throws StoreError in words, and what the disk says
 */
export async function makeBackup(
  files: Files,
  task: BackupTask,
  progress: BackupProgress = () => undefined,
): Promise<Backup> {
  const { place, folders, now } = task;
  mustBeStore(place.store);
  const [first = place.backups, second] = folders;
  const into = second === undefined ? [first] : [first, second];
  for (const folder of into) {
    // Only the folder beside the store is made; where a disk is not plugged in, any other would come to lie on another.
    if (folder === place.backups) files.makeFolder(folder);
    else if (look(folder) !== 'folder')
      throw new StoreError(
        'missing',
        `There is no folder ${folder}. Check the name, and whether the disk is plugged in.`,
      );
    sweep(files, folder);
  }
  const work = unfinishedIn(first);
  files.makeFolder(work);
  try {
    const copy = join(work, 'shop.sqlite');
    hasRoom(files, first, lengthOf(place.store) ?? 0);
    // Read before the moment of the copy, which therefore reaches at least as far.
    const seen = keptHeads(place.heads);
    await snapshot(place.store, copy, (done, of) => progress('copy', done, of));
    const { manifest, heads, timeZone } = await checked(copy, task, seen, progress);
    const good = isGood(manifest.findings as Finding[]);
    hasRoom(
      files,
      first,
      manifest.files.reduce((sum, { bytes }) => sum + bytes, manifest.database.bytes),
    );
    const aside = join(work, 'backup.zip');
    await writeArchive(files, aside, { manifest, database: copy, heads, files: place.pictures }, (done, of) =>
      progress('pack', done, of),
    );
    await proveArchive(await openArchive(aside), (done, of) => progress('read back', done, of));
    const name = freeName(first, manifest.shop.id, now, good);
    files.rename(aside, join(first, name));
    files.syncFolder(first);
    if (second !== undefined)
      await copyTo(files, join(first, name), second, name, (done, of) => progress('second copy', done, of));
    return {
      line: { name, folder: first, at: now, bytes: lengthOf(join(first, name)) ?? 0, good },
      findings: manifest.findings as Finding[],
      removed: into.flatMap((folder) => removeOld(files, folder, manifest.shop.id, timeZone)),
    };
  } finally {
    removeQuietly(files, work);
  }
}

/** The name of a backup that is not taken: two in one second are told apart by the next one. */
function freeName(folder: string, shopId: string, now: string, good: boolean): string {
  let at = Date.parse(now);
  while (existsSync(join(folder, backupName(shopId, new Date(at).toISOString(), good)))) at += 1000;
  return backupName(shopId, new Date(at).toISOString(), good);
}

function hasRoom(files: Files, folder: string, bytes: number): void {
  const free = files.freeBytes(folder);
  if (free !== null && free < bytes + MARGIN_BYTES)
    throw new StoreError(
      'no-room',
      `The backup needs ${sayBytes(bytes + MARGIN_BYTES)} in ${folder}; there are ${sayBytes(free)} left. Make room, or choose another folder.`,
    );
}

/** The copy, checked, and all that is said of it in the archive. */
interface Checked {
  readonly manifest: Manifest;
  readonly heads: Buffer;
  readonly timeZone: string;
}

/** Checks the copy, all of it, and says what goes into the archive. @param seen heads that the store must reach */
async function checked(
  copy: string,
  { place, now, machineZone }: BackupTask,
  seen: Heads | null,
  progress: BackupProgress,
): Promise<Checked> {
  const db = openStore(copy, { mayCreate: false });
  try {
    const own = checkDatabase(db, {
      witnesses: seen === null ? [] : [{ where: BESIDE, heads: seen }],
      machineZone,
      progress: (_, done, of) => progress('check', done, of),
    });
    const { kept, lost, gaps } = await picturesOf(db, place.pictures);
    const settings = new Settings(db, new Audit(db), machineZone);
    const { shopName, timeZone } = settings.shop();
    const shop = { id: shopIdOf(db), name: shopName };
    const heads = Buffer.from(writeHeads(headsOf(db)));
    const { jobs, entries } = countsOf(db);
    // Nothing may lie beside the file: what goes into the archive is the whole of it.
    db.pragma('journal_mode = DELETE');
    db.close();
    return {
      heads,
      timeZone,
      manifest: {
        format: BACKUP_FORMAT,
        version: 1,
        program: VERSION,
        shop,
        madeAt: now,
        database: { bytes: lengthOf(copy) ?? 0, sha256: await hashOfFile(copy) },
        heads: { bytes: heads.length, sha256: hashOf(heads) },
        jobs,
        entries,
        files: kept,
        lost,
        findings: [...own, ...gaps],
      },
    };
  } finally {
    if (db.open) db.close();
  }
}

async function picturesOf(
  db: Database,
  folder: string,
): Promise<{ kept: Manifest['files']; lost: string[]; gaps: Finding[] }> {
  const kept: Manifest['files'] = [];
  const lost: string[] = [];
  const gaps: Finding[] = [];
  for (const picture of knownPictures(db)) {
    const problem = await pictureProblem(folder, picture);
    if (problem === null) kept.push({ sha256: picture.hash, bytes: picture.bytes });
    else {
      lost.push(picture.hash);
      gaps.push(pictureFinding(picture, problem));
    }
  }
  return { kept, lost, gaps };
}

/** A second copy, in another folder: aside, flushed, held against the first, moved. */
async function copyTo(files: Files, from: string, folder: string, name: string, progress: Progress): Promise<void> {
  const of = lengthOf(from) ?? 0;
  hasRoom(files, folder, of);
  const aside = unfinishedIn(folder);
  try {
    const out = files.create(aside);
    let done = 0;
    try {
      for await (const chunk of createReadStream(from, { highWaterMark: 1 << 20 })) {
        out.write(chunk as Buffer);
        progress((done += (chunk as Buffer).length), of);
      }
      out.sync();
    } finally {
      out.close();
    }
    if ((await hashOfFile(aside)) !== (await hashOfFile(from)))
      throw new StoreError(
        'not-whole',
        `The copy of the backup in ${folder} is not what was written. Try another disk.`,
      );
    files.rename(aside, join(folder, name));
    files.syncFolder(folder);
  } catch (error) {
    removeQuietly(files, aside);
    throw error;
  }
}

/** Removes backups that had their time; those of a store that was not well count for nothing and go after as long. */
function removeOld(files: Files, folder: string, shopId: string, timeZone: string): string[] {
  const all = backupsIn(folder, shopId);
  const gone = [true, false]
    .flatMap(
      (good) =>
        keptBackups(
          all.filter((each) => each.good === good),
          timeZone,
        ).drop,
    )
    .map(({ name }) => name);
  for (const name of gone) files.remove(join(folder, name));
  return gone;
}
