import { resolve } from 'node:path';
import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';
import { z } from 'zod';
import type { Finding } from '../contract/index.ts';
import { sayBytes } from '../core/keeping/index.ts';
import { letIn } from './access/letIn.ts';
import { makeBackup } from './keeping/backup.ts';
import { realFiles as files } from './keeping/files.ts';
import { whileHeld } from './keeping/hold.ts';
import { type Place, placeOf, storePath } from './keeping/place.ts';
import { rebuildStore } from './keeping/rebuild.ts';
import { type Restored, restoreStore } from './keeping/restore.ts';
import { backupFoldersOf } from './keeping/storeSettings.ts';
import { verifyStore } from './keeping/verify/verify.ts';
import { machineZone } from './machineZone.ts';
import { StoreError } from './store/errors.ts';
import { heldWords, holderOf, isHeld } from './store/holder.ts';
import { mustBeStore } from './store/open.ts';

/** How a command ended, for whoever started it from a script. */
const EXIT = { well: 0, failed: 1, usage: 2, notWell: 3, unusable: 4, noRoom: 5, held: 97 } as const;

const USAGE = `verify [store]                    proves that a store is whole
backup <store> [folder …]         makes a backup, also of a store that is in use
restore <backup> <store>          puts a backup in place; what was there is kept
  --another-shop                  … though it is of another shop
  --not-well                      … though the store in it was not well
rebuild [store]                   makes all lists anew from the logs
held [store]                      says who holds a store
let-in <store> <name>             sets a password, read from standard input, and opens a locked account
`;

const now = (): string => new Date().toISOString();
const print = (words: string): void => void process.stdout.write(`${words}\n`);

const SOON_MS = 1500;
/** Says how far a long run is: on one line of a terminal, and seldom elsewhere. */
function progressOf(what: string): (done: number, of: number) => void {
  let told = 0;
  const from = Date.now();
  return (done, of) => {
    // What is soon done says its result and nothing else.
    if (Date.now() - from < SOON_MS) return;
    const share = of === 0 ? 100 : Math.floor((done / of) * 100);
    if (process.stdout.isTTY) process.stdout.write(`\r${what}: ${share} %${done >= of ? '\n' : ''}`);
    else if (share >= told + 10) print(`${what}: ${share} %`);
    if (share >= told + 10) told = share;
  };
}

const lineOf = ({ words, toDo }: Finding): string => `${words} ${toDo}`;
const some = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;

async function verify(place: Place): Promise<number> {
  mustBeStore(place.store);
  const told = new Map<string, (done: number, of: number) => void>();
  const progress = (what: string, done: number, of: number): void => {
    const say = told.get(what) ?? progressOf(`Checking ${what}`);
    told.set(what, say);
    say(done, of);
  };
  const check = (): ReturnType<typeof verifyStore> =>
    verifyStore(place, { files, machineZone: machineZone(), backupFolders: backupFoldersOf(place.store), progress });
  const { findings, jobs, entries, pictures } = await whileHeldOrReadOnly(place, check);
  for (const finding of findings) print(lineOf(finding));
  const counted = `${some(jobs, 'job')}, ${some(entries, 'entry', 'entries')}, ${some(pictures, 'photo')}`;
  print(findings.length === 0 ? `Whole: ${counted}.` : `${some(findings.length, 'finding')} in ${counted}.`);
  return findings.length === 0 ? EXIT.well : EXIT.notWell;
}

/** A place that can only be read cannot be held, and nobody can change it meanwhile. */
async function whileHeldOrReadOnly<T>(place: Place, work: () => Promise<T>): Promise<T> {
  try {
    return await whileHeld(files, place, now(), work);
  } catch (error) {
    if (!(error instanceof StoreError) || error.code !== 'read-only') throw error;
    return work();
  }
}

const STEPS = {
  copy: 'Copying',
  check: 'Checking',
  pack: 'Packing',
  'read back': 'Reading back',
  'second copy': 'Second copy',
} as const;

async function backup(place: Place, folders: readonly string[]): Promise<number> {
  mustBeStore(place.store);
  if (isHeld(place.store)) return backupByHolder(place, folders);
  const chosen = folders.length > 0 ? folders : backupFoldersOf(place.store);
  const { line, findings, removed } = await whileHeldOrReadOnly(place, async () => {
    const told = new Map<string, (done: number, of: number) => void>();
    return makeBackup(files, { place, folders: chosen, now: now(), machineZone: machineZone() }, (step, done, of) => {
      const say = told.get(step) ?? progressOf(STEPS[step]);
      told.set(step, say);
      say(done, of);
    });
  });
  for (const finding of findings) print(lineOf(finding));
  for (const name of removed) print(`${name} had its time and was removed.`);
  print(`${line.folder}/${line.name}: ${sayBytes(line.bytes)}, read back and whole.`);
  return line.good ? EXIT.well : EXIT.notWell;
}

/** What of the server's answer is told. */
const reply = z.object({
  running: z.object({}).nullable(),
  lastTry: z.object({ ok: z.boolean(), words: z.string() }).nullable(),
  backups: z.array(z.object({ good: z.boolean() })),
});

/** A store that is served is backed up by its server, into the folders that the shop chose. */
async function backupByHolder({ store }: Place, folders: readonly string[]): Promise<number> {
  const address = holderOf(store)?.address ?? '';
  if (address === '') throw new StoreError('held', heldWords(store));
  if (folders.length > 0)
    throw new StoreError('held', `${heldWords(store)} Its backups go where Settings says; leave out the folder.`);
  print(`The store is in use; the program at ${address} makes the backup.`);
  await fetch(`${address}/api/backups`, { method: 'POST' });
  for (;;) {
    const { running, lastTry, backups } = reply.parse(await (await fetch(`${address}/api/keeping`)).json());
    if (running === null) {
      print(lastTry?.words ?? '');
      if (lastTry?.ok !== true) return EXIT.failed;
      return backups[0]?.good === true ? EXIT.well : EXIT.notWell;
    }
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

function told({ jobs, madeAt, kept, onlyInKept, notes }: Restored, { store }: Place): void {
  print(`${store} holds ${some(jobs, 'job')}${madeAt === null ? '' : ` as of ${madeAt}`}.`);
  for (const note of notes) print(note);
  if (kept === null) return;
  print(`What was there is kept in ${kept}.`);
  if (onlyInKept.length === 0) print('It has nothing that the backup had not.');
  else for (const line of ['It has, and the backup had not:', ...onlyInKept]) print(line);
}

async function run(): Promise<number> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { 'another-shop': { type: 'boolean' }, 'not-well': { type: 'boolean' } },
  });
  const [command = '', first, second, ...more] = positionals;
  const place = placeOf(storePath(first ?? 'var/demo/shop.sqlite'));
  switch (command) {
    case 'verify':
      return verify(place);
    case 'backup':
      if (first === undefined) break;
      return backup(
        place,
        [second, ...more].flatMap((folder) => (folder === undefined ? [] : [resolve(folder)])),
      );
    case 'restore': {
      if (first === undefined || second === undefined) break;
      const target = placeOf(storePath(second));
      const task = {
        backup: resolve(first),
        place: target,
        now: now(),
        machineZone: machineZone(),
        anotherShop: values['another-shop'] ?? false,
        notWell: values['not-well'] ?? false,
      };
      told(await whileHeld(files, target, now(), () => restoreStore(files, task, progressOf('Unpacking'))), target);
      return EXIT.well;
    }
    case 'rebuild': {
      mustBeStore(place.store);
      const jobs = await whileHeld(files, place, now(), () =>
        rebuildStore(place, machineZone(), progressOf('Reading jobs')),
      );
      print(`${place.store}: what is searched and listed was made anew from the logs of ${some(jobs, 'job')}.`);
      return EXIT.well;
    }
    case 'let-in': {
      if (first === undefined || second === undefined) break;
      mustBeStore(place.store);
      if (process.stdin.isTTY) process.stdout.write('New password, and Enter (it is shown as you type): ');
      const password = await firstLine();
      const name = await whileHeld(files, place, now(), () =>
        letIn(place.store, [second, ...more].join(' '), password, now()),
      );
      print(`${name} signs in by it from now on.`);
      return EXIT.well;
    }
    case 'held':
      if (isHeld(place.store)) throw new StoreError('held', heldWords(place.store));
      return EXIT.well;
  }
  process.stdout.write(USAGE);
  return EXIT.usage;
}

/** What is typed or piped in, up to the end of the line. */
async function firstLine(): Promise<string> {
  for await (const line of createInterface({ input: process.stdin })) return line;
  return '';
}

function codeOf(error: unknown): number {
  if ((error as { code?: string }).code === 'ENOSPC') return EXIT.noRoom;
  if (!(error instanceof StoreError)) return EXIT.failed;
  if (error.code === 'held') return EXIT.held;
  if (error.code === 'no-room') return EXIT.noRoom;
  return error.code === 'not-whole' || error.code === 'damaged' ? EXIT.notWell : EXIT.unusable;
}

try {
  process.exitCode = await run();
} catch (error) {
  const { code, message } = error as { code?: string; message?: string };
  process.stderr.write(
    `${code === 'ENOSPC' ? 'The disk is full. Nothing was changed.' : (message ?? String(error))}\n`,
  );
  process.exitCode = codeOf(error);
}
