import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import yazl from 'yazl';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { seeded } from '../testing/damages.ts';
import { fullFrom, powerCutAt } from '../testing/faultyFiles.ts';
import { copyOfStore, goodStore, ZONE } from '../testing/goodStore.ts';
import { openArchive, proveArchive } from './archive/read.ts';
import { makeBackup } from './backup.ts';
import { backupsIn } from './backups.ts';
import { realFiles } from './files.ts';
import { takeStore } from './hold.ts';
import { type Place, placeOf } from './place.ts';
import { restoreStore } from './restore.ts';
import { verifyStore } from './verify/verify.ts';

const AT = '2026-05-14T02:00:00.000Z';
const LATER = '2026-05-15T02:00:00.000Z';
const how = { files: realFiles, machineZone: ZONE };
let home: string;
let good: Place;
let folder: string;
let place: Place;
beforeAll(async () => {
  home = mkdtempSync(join(tmpdir(), 'uw-backup-'));
  good = await goodStore(join(home, 'good'));
});
afterAll(() => rmSync(home, { recursive: true, force: true }));
beforeEach(() => {
  folder = mkdtempSync(join(home, 'one-'));
  place = copyOfStore(good, join(folder, 'shop'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const backUp = (files = realFiles, folders: readonly string[] = [], now = AT) =>
  makeBackup(files, { place, folders, now, machineZone: ZONE });
const newest = (): string => join(place.backups, backupsIn(place.backups)[0]?.name ?? '');
const restore = (backup: string, to = place, more: object = {}, files = realFiles) =>
  restoreStore(files, { backup, place: to, now: LATER, machineZone: ZONE, ...more });
/** So many of the steps 1 to `of`, evenly, the first and the last among them. */
const points = (of: number, count: number): number[] =>
  Array.from({ length: count }, (_, index) => 1 + Math.round((index * (of - 1)) / (count - 1)));
const jobIds = ({ store }: Place): unknown => {
  const db = new Sqlite(store, { readonly: true });
  const ids = db.prepare('SELECT job_id, COUNT(*) AS n FROM event GROUP BY job_id').all();
  db.close();
  return ids;
};
/** Everything in a folder by name and content. */
const contents = (root: string): Record<string, string> =>
  Object.fromEntries(
    (readdirSync(root, { recursive: true }) as string[])
      .filter((name) => !/(-wal|-shm|\.lock|holder\.json)$/.test(name))
      .map((name) => join(root, name))
      .filter((path) => !existsSync(join(path, '.')))
      .map((path) => [path.slice(root.length), readFileSync(path).toString('base64').slice(0, 4000)]),
  );
/** Removes a job as if it had never been. */
const forget = (jobId: string): void => {
  const db = new Sqlite(place.store);
  db.pragma('foreign_keys = OFF');
  const triggers = db
    .prepare<[], { name: string; sql: string }>(
      "SELECT name, sql FROM sqlite_schema WHERE type = 'trigger' AND tbl_name = 'event'",
    )
    .all();
  for (const { name } of triggers) db.exec(`DROP TRIGGER ${name}`);
  for (const table of ['event', 'command']) db.prepare(`DELETE FROM ${table} WHERE job_id = ?`).run(jobId);
  for (const { sql } of triggers) db.exec(sql);
  db.close();
};

describe('a backup', () => {
  it('holds the database, every photo, and what they are told by; read back before it is in place', async () => {
    const { line, findings } = await backUp();
    expect(findings).toEqual([]);
    expect(line).toMatchObject({ at: AT, good: true, folder: place.backups });
    const archive = await openArchive(join(line.folder, line.name));
    expect(archive.manifest).toMatchObject({
      format: 'unhurried-wrench-backup',
      shop: { name: 'Tern Quay Garage' },
      jobs: 9,
    });
    expect(archive.manifest.files).toHaveLength(6);
    expect((await proveArchive(archive)).jobs.size).toBe(9);
    expect(readdirSync(place.backups).filter((name) => name.startsWith('.'))).toEqual([]);
  });
  it('is taken of a store that is in use, as of one moment', async () => {
    const db = new Sqlite(place.store);
    db.exec(
      "BEGIN IMMEDIATE; INSERT INTO airing (at, person, state) VALUES ('2026-05-14T01:59:00.000Z', 'isla', 'door')",
    );
    const { line } = await backUp();
    db.exec('COMMIT');
    db.close();
    const { manifest } = await openArchive(join(line.folder, line.name));
    expect(manifest.findings).toEqual([]);
  });
  it('goes to two folders, and makes way by days, weeks and months in both', async () => {
    const folders = [join(folder, 'first'), join(folder, 'second')];
    await expect(backUp(realFiles, folders)).rejects.toThrow(/There is no folder .*first/);
    for (const each of folders) mkdirSync(each);
    for (let day = 1; day <= 9; day += 1) await backUp(realFiles, folders, `2026-06-0${day}T02:00:00.000Z`);
    const names = folders.map((each) => backupsIn(each).map(({ at }) => at.slice(8, 10)));
    // Of nine nights: seven days, of which three are also the newest of a week or a month; the first is a Monday.
    expect(names[0]).toEqual(['09', '08', '07', '06', '05', '04', '03']);
    expect(names[1]).toEqual(names[0]);
  });
  it('of another shop in the same folder stays', async () => {
    const other = join(place.backups, 'workshop-00000000-2020-01-01T02-00-00Z.backup.zip');
    writeFileSync(other, 'theirs');
    await backUp();
    expect(existsSync(other)).toBe(true);
  });
  it('never takes the name of another', async () => {
    const names = [(await backUp()).line.name, (await backUp()).line.name];
    expect(new Set(names).size).toBe(2);
  });
  it('of a store that is not well says so, by name too, and does not count as good', async () => {
    const db = new Sqlite(place.store);
    db.exec('UPDATE stock_moved SET booked = booked + 1');
    db.close();
    const { line, findings } = await backUp();
    expect(line).toMatchObject({ good: false, name: expect.stringContaining('not-well') });
    expect(findings.map(({ kind }) => kind)).toContain('balance');
  });
  it('of a store with a lost photo is good, and names the gap', async () => {
    const [photo = ''] = readdirSync(place.pictures).filter((name) => name.length === 64);
    truncateSync(join(place.pictures, photo), 10);
    const { line, findings } = await backUp();
    expect(line.good).toBe(true);
    expect(findings).toMatchObject([{ kind: 'picture', words: expect.stringContaining(photo.slice(0, 8)) }]);
    expect((await openArchive(join(line.folder, line.name))).manifest.lost).toEqual([photo]);
  });
  it('is refused in words where there is no room, and nothing is left of it', async () => {
    const before = readdirSync(place.backups);
    await expect(backUp({ ...realFiles, freeBytes: () => 1_000_000 })).rejects.toThrow(
      /needs .* MB in .*; there are 1 MB left/,
    );
    expect(readdirSync(place.backups)).toEqual(before);
  });
  it('of no store is an error', async () => {
    rmSync(place.store);
    await expect(backUp()).rejects.toThrow('There is no store at');
    expect(existsSync(place.store)).toBe(false);
  });
});

describe('a backup on a disk that fails', () => {
  it('leaves nothing that looks like one, whenever the disk fills', async () => {
    const counting = fullFrom(realFiles, Infinity);
    await backUp(counting);
    rmSync(newest());
    const before = backupsIn(place.backups);
    for (const at of points(counting.steps(), 10)) {
      await expect(backUp(fullFrom(realFiles, at)), `step ${at}`).rejects.toMatchObject({ code: 'ENOSPC' });
      // Full at the very last, when its name is made to last, it is there and is one.
      const more = backupsIn(place.backups).filter(({ name }) => before.every((each) => each.name !== name));
      for (const { name } of more) await proveArchive(await openArchive(join(place.backups, name)));
      expect(more.length).toBeLessThanOrEqual(at === counting.steps() ? 1 : 0);
    }
    expect((await verifyStore(place, how)).findings).toEqual([]);
  });
  it('is whole or not there after a power cut, whenever it comes', async () => {
    const counting = fullFrom(realFiles, Infinity);
    await backUp(counting);
    for (const at of points(counting.steps() + 1, 12)) {
      const files = powerCutAt(realFiles, at);
      const made = await backUp(files, [], `2026-05-20T02:00:${String(at % 60).padStart(2, '0')}.000Z`).catch(
        () => null,
      );
      files.lose();
      const all = backupsIn(place.backups);
      for (const { name } of all) await proveArchive(await openArchive(join(place.backups, name)));
      if (made !== null) expect(all.map(({ name }) => name)).toContain(made.line.name);
    }
    takeStore(realFiles, place, AT).release();
    expect(readdirSync(place.backups).filter((name) => name.startsWith('.'))).toEqual([]);
  });
});

describe('whoever takes a store', () => {
  it('sweeps away what was never finished, by whichever name an earlier version gave it, and nothing else', () => {
    const [photo = ''] = readdirSync(place.pictures).filter((name) => name.length === 64);
    const working = join(place.pictures, `.unfinished-${process.ppid}-1`);
    writeFileSync(working, 'somebody is at work on this');
    const left = ['.unfinished-1', '.0b8f2a3c-1d4e-4f5a-8b6c-7d8e9f0a1b2c'].map((name) => join(place.pictures, name));
    for (const path of left) writeFileSync(path, 'half');
    takeStore(realFiles, place, AT).release();
    for (const path of left) expect(existsSync(path)).toBe(false);
    expect(existsSync(working)).toBe(true);
    expect(existsSync(join(place.pictures, photo))).toBe(true);
  });
});

describe('restoring', () => {
  it('puts the backup in place, keeps what was there under its date, and says what only that has', async () => {
    forget('job-235');
    rmSync(place.heads);
    const { line } = await backUp();
    const present = copyOfStore(good, join(folder, 'present'));
    const restored = await restore(join(line.folder, line.name), present, { notWell: true });
    expect(restored.onlyInKept).toEqual([expect.stringMatching(/^Job \d+ as a whole, \d+ entries\.$/)]);
    expect(restored.kept).toContain('before-restore-2026-05-15T02-00-00Z');
    expect(jobIds(placeOf(join(restored.kept ?? '', 'shop.sqlite')))).toEqual(jobIds(good));
    expect(readdirSync(join(restored.kept ?? '', 'pictures')).length).toBeGreaterThan(5);
    expect((jobIds(present) as unknown[]).length).toBe(8);
  });
  it('keeps work that was not checkpointed yet', async () => {
    const db = new Sqlite(place.store);
    db.pragma('wal_autocheckpoint = 0');
    db.prepare("INSERT INTO airing (at, person, state) VALUES (?, 'isla', 'door')").run(AT);
    // Killed with the work in the log beside the file: copied as it lies there.
    const crashed = copyOfStore(place, join(folder, 'crashed'));
    db.close();
    const { kept, onlyInKept } = await restore(newest(), crashed);
    expect(onlyInKept).toEqual(['1 airings of the bay.']);
    const then = new Sqlite(join(kept ?? '', 'shop.sqlite'));
    expect(then.prepare('SELECT COUNT(*) AS n FROM airing').get()).toEqual({ n: 1 });
    then.close();
  });
  it('into nothing makes the shop, photos and all', async () => {
    const empty = placeOf(join(folder, 'new', 'shop.sqlite'));
    const { kept, jobs } = await restore(newest(), empty);
    expect([kept, jobs]).toEqual([null, 9]);
    expect((await verifyStore(empty, how)).findings).toEqual([]);
    expect(jobIds(empty)).toEqual(jobIds(good));
  });
  it('an older one, with a later backup beside it, is no loss that verify need speak of', async () => {
    const { line } = await backUp();
    const db = new Sqlite(place.store);
    db.prepare("INSERT INTO airing (at, person, state) VALUES (?, 'isla', 'door')").run(AT);
    db.close();
    await backUp(realFiles, [], '2026-05-14T20:00:00.000Z');
    // The later one of a day takes the place of the earlier; a copy of that was kept elsewhere.
    const { onlyInKept } = await restore(newest());
    expect(onlyInKept).toEqual([]);
    const older = copyOfStore(good, join(folder, 'older'));
    const earlier = join(older.backups, backupsIn(older.backups)[0]?.name ?? '');
    expect((await restore(earlier)).onlyInKept).toEqual(['1 airings of the bay.']);
    expect(line.good).toBe(true);
    expect((await verifyStore(place, how)).findings).toEqual([]);
    // Work that is done after that is watched again.
    const after = new Sqlite(place.store);
    after.prepare("INSERT INTO airing (at, person, state) VALUES (?, 'isla', 'fan')").run(LATER);
    after.close();
    await backUp(realFiles, [], '2026-05-16T02:00:00.000Z');
    const gone = new Sqlite(place.store);
    gone.exec('DELETE FROM airing');
    gone.close();
    expect((await verifyStore(place, how)).findings.map(({ kind }) => kind)).toContain('cut');
  });
  it('leaves the photos of another store alone that lies in the same folder', async () => {
    const other = placeOf(join(place.folder, 'other.sqlite'));
    const { line } = await backUp();
    const db = new Sqlite(place.store);
    await db.backup(other.store);
    db.close();
    const photos = contents(place.pictures);
    await restore(join(line.folder, line.name), other);
    expect(contents(place.pictures)).toEqual(photos);
    expect((await verifyStore(place, how)).findings).toEqual([]);
    expect((await verifyStore(other, how)).findings).toEqual([]);
  });
  it('makes a photo whole that was damaged, and keeps the damaged one too', async () => {
    const [photo = ''] = readdirSync(place.pictures).filter((name) => name.length === 64);
    truncateSync(join(place.pictures, photo), 12);
    const { kept } = await restore(newest());
    expect((await verifyStore(place, how)).findings).toEqual([]);
    expect(readFileSync(join(kept ?? '', 'pictures', photo))).toHaveLength(12);
  });
  it('twice never overwrites what was kept the first time', async () => {
    const first = await restore(newest());
    const second = await restore(newest());
    expect(second.kept).not.toBe(first.kept);
    expect(readdirSync(place.kept)).toHaveLength(2);
  });
  it('takes the bare database that older versions copied, and says that photos are not in it', async () => {
    const loose = join(folder, 'loose.sqlite');
    const db = new Sqlite(place.store);
    await db.backup(loose);
    db.close();
    const { notes, kept } = await restore(loose);
    expect(notes.join(' ')).toContain('photos are not in it');
    expect((await verifyStore(place, how)).findings).toEqual([]);
    expect(readdirSync(join(kept ?? '', 'pictures')).length).toBeGreaterThan(5);
  });
});

describe('restoring what should not be', () => {
  const zip = async (
    path: string,
    entries: Record<string, string>,
    replace: readonly [string, string] = ['', ''],
  ): Promise<string> => {
    const file = new yazl.ZipFile();
    for (const [name, text] of Object.entries(entries)) file.addBuffer(Buffer.from(text), name);
    file.end();
    const chunks: Buffer[] = [];
    for await (const chunk of file.outputStream as unknown as AsyncIterable<Buffer>) chunks.push(chunk);
    // Names that no decent program writes are put in afterwards.
    writeFileSync(
      path,
      Buffer.from(
        Buffer.concat(chunks)
          .toString('latin1')
          .replaceAll(...replace),
        'latin1',
      ),
    );
    return path;
  };
  const manifestOf = async (): Promise<Record<string, unknown>> => ({ ...(await openArchive(newest())).manifest });
  const CASES: readonly [string, () => Promise<string> | string, RegExp][] = [
    ['a mistyped name', () => join(folder, 'bakcup.zip'), /There is no backup at .*Check the name/],
    ['a folder', () => place.backups, /is a folder; name the backup in it/],
    ['an empty file', () => write('empty.zip', ''), /is an empty file, and no backup/],
    [
      'a text',
      () => write('text.zip', 'hello, this is not a backup at all'),
      /not whole: its table of contents cannot be read/,
    ],
    ['the store itself', () => place.store, /the same file/],
    ['a database of another program', () => otherDatabase(), /database of another program/],
    ['a database of a later version', () => laterDatabase(), /last used by a newer program/],
    [
      'a backup of a later version',
      async () =>
        zip(join(folder, 'later.zip'), { 'manifest.json': JSON.stringify({ ...(await manifestOf()), version: 2 }) }),
      /made by a later program/,
    ],
    ['a zip of something else', () => zip(join(folder, 'photos.zip'), { 'a.jpg': 'x' }), /has no manifest/],
    [
      'a manifest that says nothing',
      () => zip(join(folder, 'm.zip'), { 'manifest.json': '{}' }),
      /its manifest says something else/,
    ],
    [
      'a manifest that is cut',
      () => zip(join(folder, 'm.zip'), { 'manifest.json': '{"format": "unh' }),
      /its manifest is damaged/,
    ],
    [
      'a name that leads outside',
      () => zip(join(folder, 'out.zip'), { 'manifest.json': '{}', '__/__/evil': 'x' }, ['__/__/evil', '../../evil']),
      /names that lead outside/,
    ],
    [
      'a name from the root',
      () => zip(join(folder, 'root.zip'), { 'manifest.json': '{}', 'Xetc/evil': 'x' }, ['Xetc/evil', '/etc/evil']),
      /names that lead outside/,
    ],
    [
      'a file that nobody named',
      async () =>
        zip(join(folder, 'more.zip'), {
          'manifest.json': JSON.stringify({
            ...(await manifestOf()),
            files: [],
            database: { bytes: 1, sha256: 'a'.repeat(64) },
            heads: { bytes: 1, sha256: 'a'.repeat(64) },
          }),
          'shop.sqlite': 'x',
          'heads.txt': 'y',
          'run.sh': 'z',
        }),
      /holds “run.sh”, which its manifest does not name/,
    ],
    [
      'a bomb',
      async () => zip(join(folder, 'bomb.zip'), { 'manifest.json': ' '.repeat(70_000_000) }),
      /its manifest is far too large/,
    ],
    [
      'a backup that says less than it holds',
      async () =>
        zip(join(folder, 'fat.zip'), {
          'manifest.json': JSON.stringify(await manifestOf()),
          'shop.sqlite': 'x'.repeat(5_000_000),
        }),
      /bytes; its manifest says/,
    ],
    ['one that was cut', () => cut(), /not whole/],
    ['one of which a byte is another', () => flipped(), /not whole|no backup/],
    ['one of another shop', () => anotherShop(), /of another shop/],
  ];
  const write = (name: string, text: string): string => {
    writeFileSync(join(folder, name), text);
    return join(folder, name);
  };
  const otherDatabase = (): string => {
    const db = new Sqlite(join(folder, 'other.sqlite'));
    db.exec('CREATE TABLE songs (name TEXT)');
    db.close();
    return join(folder, 'other.sqlite');
  };
  const laterDatabase = (): string => {
    const later = copyOfStore(good, join(folder, 'later'));
    const db = new Sqlite(later.store);
    db.prepare("INSERT INTO migration VALUES ('999-future.sql', 'x', '2030-01-01')").run();
    db.close();
    return later.store;
  };
  const cut = (): string => {
    const bytes = readFileSync(newest());
    writeFileSync(join(folder, 'cut.zip'), bytes.subarray(0, bytes.length * 0.7));
    return join(folder, 'cut.zip');
  };
  const flipped = (): string => {
    const bytes = readFileSync(newest());
    const at = Math.floor(bytes.length / 2);
    bytes[at] = (bytes[at] ?? 0) ^ 1;
    writeFileSync(join(folder, 'flipped.zip'), bytes);
    return join(folder, 'flipped.zip');
  };
  const anotherShop = async (): Promise<string> => {
    const other = copyOfStore(good, join(folder, 'theirs'));
    const db = new Sqlite(other.store);
    db.prepare("UPDATE migration SET applied_at = '2020-01-01T00:00:00.000Z' WHERE name = '001-first.sql'").run();
    db.close();
    const { line } = await makeBackup(realFiles, { place: other, folders: [], now: AT, machineZone: ZONE });
    return join(line.folder, line.name);
  };
  it.each(CASES)('%s is refused in words, and nothing is changed', async (_, make, words) => {
    const backup = await make();
    const before = contents(place.folder);
    await expect(restore(backup)).rejects.toThrow(words);
    expect(contents(place.folder)).toEqual(before);
  });
  it('one of another shop, and one that was not well, are taken when they are asked for', async () => {
    const backup = await anotherShop();
    expect((await restore(backup, place, { anotherShop: true })).jobs).toBe(9);
  });
  it('any byte that turns is noticed, or makes no difference to what is restored', async () => {
    const random = seeded(7);
    const bytes = readFileSync(newest());
    const { manifest } = await openArchive(newest());
    for (let turn = 0; turn < 60; turn += 1) {
      const copy = Buffer.from(bytes);
      const at = Math.floor(random() * copy.length);
      copy[at] = (copy[at] ?? 0) ^ (1 << Math.floor(random() * 8));
      const path = write('turned.zip', '');
      writeFileSync(path, copy);
      try {
        const archive = await openArchive(path);
        await proveArchive(archive);
        expect(archive.manifest).toEqual(manifest);
      } catch (error) {
        expect((error as Error).message, `byte ${at}`).toMatch(/not whole|no backup|later program/);
      }
    }
  });
});

describe('a restore that is stopped', () => {
  const isWhole = async (stopped: Place): Promise<void> => {
    takeStore(realFiles, stopped, LATER).release();
    expect((await verifyStore(stopped, how)).findings).toEqual([]);
    expect(jobIds(stopped)).toEqual(jobIds(good));
    expect(
      readdirSync(stopped.folder).filter((name) => name.startsWith('.unfinished') || name.includes('restoring')),
    ).toEqual([]);
  };
  it('by a power cut, whenever it comes, leaves the old store or the new one, whole, and the old one kept', async () => {
    const counting = fullFrom(realFiles, Infinity);
    await restore(newest(), copyOfStore(good, join(folder, 'counted')), {}, counting);
    // Every step of the moving itself, and some of what leads to it.
    const moving = Array.from({ length: 12 }, (_, back) => counting.steps() - 2 * back);
    for (const at of [...points(counting.steps() - 24, 4), ...moving]) {
      const stopped = copyOfStore(good, join(folder, `cut-${at}`));
      const files = powerCutAt(realFiles, at);
      await restore(newest(), stopped, {}, files).catch(() => null);
      if (at % 4 < 2) files.lose();
      await isWhole(stopped);
      const kept = existsSync(stopped.kept)
        ? readdirSync(stopped.kept).filter((name) => existsSync(join(stopped.kept, name, 'shop.sqlite')))
        : [];
      for (const name of kept) expect(jobIds(placeOf(join(stopped.kept, name, 'shop.sqlite')))).toEqual(jobIds(good));
      rmSync(stopped.folder, { recursive: true });
    }
  }, 120_000);
  it('by a disk that is full, says so and has changed nothing', async () => {
    const counting = fullFrom(realFiles, Infinity);
    await restore(newest(), copyOfStore(good, join(folder, 'counted')), {}, counting);
    for (const at of points(counting.steps() - 16, 8)) {
      const stopped = copyOfStore(good, join(folder, `full-${at}`));
      await expect(restore(newest(), stopped, {}, fullFrom(realFiles, at))).rejects.toMatchObject({ code: 'ENOSPC' });
      await isWhole(stopped);
      rmSync(stopped.folder, { recursive: true });
    }
  }, 120_000);
});
