import { existsSync, realpathSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { Stations } from '../access/stations.ts';
import { forgetCookieKey } from '../network/kept.ts';
import { StoreError } from '../store/errors.ts';
import { behind } from '../store/migrate.ts';
import { inWords, look, openStore } from '../store/open.ts';
import { DATABASE, FILES, type Manifest } from './archive/manifest.ts';
import { openArchive, unpack } from './archive/read.ts';
import { snapshot } from './copy.ts';
import { type Files, putFile, removeQuietly, sweep, unfinishedIn } from './files.ts';
import { type Heads, headsOf, writeHeads } from './heads.ts';
import { KEPT_PICTURES, linkPictures, takeInPictures } from './joinPictures.ts';
import { lackingIn } from './lacking.ts';
import { finishMoves, moveTogether, type Plan } from './moves.ts';
import type { Place } from './place.ts';
import { shopIdOf } from './shopId.ts';
import { checkDatabase } from './verify/database.ts';
import { checkPictures } from './verify/pictures.ts';

/** A backup that is to be put in place of a store. */
export interface RestoreTask {
  readonly backup: string;
  readonly place: Place;
  /** ISO time. */
  readonly now: string;
  readonly machineZone: string;
  /** Takes a backup of another shop, or one of a store that was not well; each has to be asked for. */
  readonly anotherShop?: boolean;
  readonly notWell?: boolean;
}

/** A store that was restored. */
export interface Restored {
  readonly jobs: number;
  /** When the backup was made, ISO time; null where it does not say. */
  readonly madeAt: string | null;
  /** The folder in which all that was there is kept; null where nothing was. */
  readonly kept: string | null;
  /** What the kept store has that the backup had not, a line each. */
  readonly onlyInKept: readonly string[];
  /** What the person has to know of it besides. */
  readonly notes: readonly string[];
}

/**
 * Puts a backup in place of a store that nobody works on. The backup is proved first, unpacked beside, and moved in as
 * one; what was there is kept whole under a dated name, what was not yet checkpointed and the photos included.
 * @throws StoreError when the backup is missing, foreign, damaged or of a later version; then nothing was changed
 */
export async function restoreStore(
  files: Files,
  task: RestoreTask,
  progress: (done: number, of: number) => void = () => undefined,
): Promise<Restored> {
  const { backup, place } = task;
  if (samePath(backup, place.store))
    throw new StoreError(
      'foreign',
      'The backup and the store are the same file. Name the backup first, then the store.',
    );
  const kind = backupKind(backup);
  finishMoves(files, place.restoring);
  files.makeFolder(place.folder);
  sweep(files, place.folder);
  const work = unfinishedIn(place.folder);
  files.makeFolder(work);
  try {
    const said =
      kind === 'archive' ? await fromArchive(files, backup, work, progress) : await fromLoose(files, backup, work);
    const isNew = look(place.store) === 'missing';
    const found = await proved(work, task, said);
    const onlyInKept = isNew ? [] : await lackingIn(place.store, work, found.heads);
    if (!isNew && !task.anotherShop) refuseAnother(place.store, found.shopId);
    // What later backups have seen is not in this one, and is no loss that anybody need look for.
    putFile(files, join(work, 'heads'), Buffer.from(writeHeads({ ...found.heads, restoredAt: task.now })));
    if (!isNew) linkPictures(files, place, work);
    takeInPictures(files, place, work);
    const { plan, kept } = planOf(files, place, work, task.now);
    moveTogether(files, place.restoring, plan);
    // Whoever was signed in when the backup was made is not signed in by it again.
    forgetCookieKey(place.folder);
    return {
      jobs: found.heads.jobs.size,
      madeAt: said?.madeAt ?? null,
      kept,
      onlyInKept,
      notes: [
        ...(found.stations > 0
          ? [
              'Stations that were struck out since the backup was made count again: strike them out anew under Settings, Who is let in.',
            ]
          : []),
        ...(said === null
          ? ['This copy is of the database alone: photos are not in it. Those that were here stay.']
          : []),
        ...(said !== null && said.lost.length > 0
          ? [`${said.lost.length} photos were missing already when the backup was made.`]
          : []),
      ],
    };
  } finally {
    // Once the note is written, what is unpacked belongs to the store, even if moving it is stopped here.
    if (!existsSync(place.restoring)) removeQuietly(files, work);
  }
}

function samePath(a: string, b: string): boolean {
  const real = (path: string): string => (existsSync(path) ? realpathSync(path) : resolve(path));
  return real(a) === real(b);
}

/** @throws StoreError when it is neither an archive nor a bare database */
function backupKind(path: string): 'archive' | 'loose' {
  const found = look(path);
  if (found === 'missing')
    throw new StoreError('missing', `There is no backup at ${path}. Check the name. Nothing was changed.`);
  if (found === 'folder')
    throw new StoreError('missing', `${path} is a folder; name the backup in it. Nothing was changed.`);
  if (found === 'empty')
    throw new StoreError('foreign', `${path} is an empty file, and no backup. Nothing was changed.`);
  return found === 'database' ? 'loose' : 'archive';
}

async function fromArchive(
  files: Files,
  path: string,
  work: string,
  progress: (done: number, of: number) => void,
): Promise<Manifest> {
  const archive = await openArchive(path);
  await unpack(files, archive, work, progress);
  return archive.manifest;
}

/** A bare database, as older versions copied it: the photos that are here stay. */
async function fromLoose(files: Files, path: string, work: string): Promise<null> {
  mustBeOurs(path);
  await snapshot(path, join(work, DATABASE));
  files.makeFolder(join(work, FILES));
  return null;
}

/** Looks before anything is copied. @throws StoreError for a database of another or a later program */
function mustBeOurs(path: string): void {
  let db: Database | null = null;
  try {
    db = new Sqlite(path, { readonly: true, fileMustExist: true });
    behind(db);
  } catch (error) {
    throw inWords(error, path);
  } finally {
    db?.close();
  }
}

/** Brings what was unpacked up to date, and checks all of it. @throws StoreError when anything is wrong with it */
async function proved(
  work: string,
  { backup, machineZone, notWell }: RestoreTask,
  said: Manifest | null,
): Promise<{ heads: Heads; shopId: string; stations: number }> {
  const db = openStore(join(work, DATABASE), { mayCreate: false });
  try {
    const findings = checkDatabase(db, { witnesses: [], machineZone, progress: () => undefined });
    // Photos that were lost before are no fault of the backup.
    const pictures = said === null ? [] : await checkPictures(db, join(work, FILES), { besides: new Set(said.lost) });
    const grave = [...findings.filter(({ kind }) => kind !== 'setting'), ...pictures];
    const [first] = grave;
    if (first !== undefined && notWell !== true)
      throw new StoreError(
        'not-whole',
        `The store in ${backup} is not well: ${first.words}${grave.length > 1 ? ` And ${grave.length - 1} more.` : ''} Nothing was changed. Take another backup, or ask for this one with --not-well.`,
      );
    db.pragma('wal_checkpoint(TRUNCATE)');
    const stations = new Stations(db).all().filter(({ struckAt }) => struckAt === null).length;
    return { heads: headsOf(db), shopId: shopIdOf(db), stations };
  } finally {
    db.close();
  }
}

/** @throws StoreError when the store is of another shop than the backup */
function refuseAnother(store: string, shopId: string): void {
  let own: string;
  try {
    const db = new Sqlite(store, { readonly: true });
    try {
      own = shopIdOf(db);
    } finally {
      db.close();
    }
  } catch {
    // What is there cannot even tell whose it is; it is kept, and the backup takes its place.
    return;
  }
  if (own !== shopId)
    throw new StoreError(
      'another-shop',
      'The backup is of another shop than the store. Nothing was changed. If that is meant, ask for it with --another-shop.',
    );
}

/** A new folder for all that is there, named by the day and minute; never one that is there already. */
function keptFolder(files: Files, { kept }: Place, now: string): string {
  const name = `before-restore-${new Date(now)
    .toISOString()
    .replace(/\.\d+Z$/, 'Z')
    .replaceAll(':', '-')}`;
  let folder = join(kept, name);
  for (let index = 2; existsSync(folder); index += 1) folder = join(kept, `${name}-${index}`);
  files.makeFolder(folder);
  files.syncFolder(kept);
  files.syncFolder(dirname(kept));
  return folder;
}

/** What is there of a store, by the name under which it is kept. */
const presentOf = ({ store, heads }: Place, work: string): { from: string; name: string }[] =>
  [
    ...['', '-wal', '-shm'].map((tail) => ({ from: `${store}${tail}`, name: `${DATABASE}${tail}` })),
    { from: join(work, KEPT_PICTURES), name: 'pictures' },
    { from: heads, name: `${DATABASE}.heads` },
  ].filter(({ from }) => existsSync(from));

/** What goes to the kept folder and what comes in its place. */
function planOf(files: Files, place: Place, work: string, now: string): { plan: Plan; kept: string | null } {
  const present = presentOf(place, work);
  const kept = present.length === 0 ? null : keptFolder(files, place, now);
  return {
    kept,
    plan: {
      out: present.map(({ from, name }) => ({ from, to: join(kept ?? '', name) })),
      in: [
        { from: join(work, 'heads'), to: place.heads },
        { from: join(work, DATABASE), to: place.store },
      ],
      leftovers: [work],
    },
  };
}
