import { type ChildProcess, spawn } from 'node:child_process';
import { cpSync, existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import sharp from 'sharp';
import { shop } from '../../../../demo/shop.ts';
import { vehicles } from '../../../../demo/vehicles.ts';
import { openArchive, proveArchive } from '../../../keeping/archive/read.ts';
import { backupsIn } from '../../../keeping/backups.ts';
import { hashOf, realFiles } from '../../../keeping/files.ts';
import { takeStore } from '../../../keeping/hold.ts';
import { type Place, placeOf } from '../../../keeping/place.ts';
import { verifyStore } from '../../../keeping/verify/verify.ts';
import { type Random, seeded } from '../../damages.ts';
import { copyOfStore, ZONE } from '../../goodStore.ts';

/** The built programs. */
export interface Programs {
  readonly main: string;
  readonly maintain: string;
}
/** How many kills there were, and what went wrong after any of them. */
export interface Killed {
  readonly kills: number;
  readonly acknowledged: number;
  readonly wrong: readonly string[];
}
const NOTHING: Killed = { kills: 0, acknowledged: 0, wrong: [] };
const sum = (a: Killed, b: Killed): Killed => ({
  kills: a.kills + b.kills,
  acknowledged: a.acknowledged + b.acknowledged,
  wrong: [...a.wrong, ...b.wrong],
});

const NOW = '2026-05-20T10:00:00.000Z';
const ended = (child: ChildProcess): Promise<void> => new Promise((resolve) => child.on('close', () => resolve()));

/** Starts a program and waits for words of it; null when it ended before it said them. */
async function started(
  script: string,
  args: readonly string[],
  words: RegExp,
): Promise<{ child: ChildProcess; said: string } | null> {
  const child = spawn(process.execPath, [script, ...args], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, TZ: ZONE },
  });
  let said = '';
  return new Promise((resolve) => {
    const hear = (chunk: Buffer): void => {
      said += String(chunk);
      if (words.test(said)) resolve({ child, said });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('close', () => resolve(null));
  });
}

/** What is wrong with a store after a kill, once whoever comes next has put right what was left behind. */
async function wrongWith(place: Place, what: string): Promise<string[]> {
  takeStore(realFiles, place, NOW).release();
  const { findings } = await verifyStore(place, { files: realFiles, machineZone: ZONE });
  const left = readdirSync(place.folder).filter(
    (name) => name.startsWith('.unfinished-') || name.includes('restoring'),
  );
  return [...findings.map(({ words }) => `${what}: ${words}`), ...left.map((name) => `${what}: ${name} is left`)];
}

/** A server that takes commands and photos, killed in the middle, over and over on one store. */
export async function killServer({ main }: Programs, folder: string, times: number, seed: number): Promise<Killed> {
  const place = placeOf(join(folder, 'killed', 'shop.sqlite'));
  const random = seeded(seed);
  const acknowledged: { jobId: string; id: string }[] = [];
  const photos: string[] = [];
  const wrong: string[] = [];
  for (let round = 0; round < times; round += 1) {
    const server = await started(main, ['--data', place.store, '--port', '0'], /http:\/\/\S+/);
    if (server === null) {
      wrong.push(`round ${round}: the server did not start`);
      break;
    }
    const address = /http:\/\/\S+/.exec(server.said)?.[0] ?? '';
    const sent = (
      method: string,
      path: string,
      body: string | Buffer,
      type = 'application/json',
    ): Promise<Response | null> =>
      fetch(`${address}/api${path}`, { method, headers: { 'content-type': type }, body: body as BodyInit }).catch(
        () => null,
      );
    if (round === 0) {
      await sent('PUT', '/shop', JSON.stringify(shop));
      await sent('PUT', '/vehicles/bus', JSON.stringify({ by: 'isla', vehicle: vehicles.bus }));
    }
    const over = ended(server.child);
    await untilKilled(server.child, random, round, sent, acknowledged, photos);
    server.child.kill('SIGKILL');
    await over;
  }
  if (existsSync(place.store)) {
    const db = new Sqlite(place.store);
    const has = db.prepare('SELECT 1 FROM command WHERE id = ? AND job_id = ?');
    for (const { jobId, id } of acknowledged)
      if (has.get(id, jobId) === undefined) wrong.push(`${id} was acknowledged and is lost`);
    const hasPhoto = db.prepare('SELECT 1 FROM picture WHERE hash = ?');
    for (const hash of photos)
      if (hasPhoto.get(hash) === undefined) wrong.push(`photo ${hash} was acknowledged and is lost`);
    db.close();
    wrong.push(...(await wrongWith(place, 'after commands and photos')));
  }
  return { kills: times, acknowledged: acknowledged.length + photos.length, wrong };
}

async function untilKilled(
  child: ChildProcess,
  random: Random,
  round: number,
  sent: (method: string, path: string, body: string | Buffer, type?: string) => Promise<Response | null>,
  acknowledged: { jobId: string; id: string }[],
  photos: string[],
): Promise<void> {
  const jobId = `job-${round}`;
  const killAfter = 3 + Math.floor(random() * 30);
  for (let index = 0; index < 60; index += 1) {
    const id = `c-${round}-${index}`;
    // The signal goes out while the request is under way, at a different depth each time.
    const hit = (): void => {
      if (index === killAfter) setTimeout(() => child.kill('SIGKILL'), Math.floor(random() * 6));
    };
    if (index % 5 === 4) {
      const bytes = await sharp({
        create: { width: 60, height: 40, channels: 3, background: { r: round % 256, g: index, b: 9 } },
      })
        .png()
        .toBuffer();
      const request = sent('POST', '/pictures', bytes, 'image/png');
      hit();
      const reply = await request;
      if (reply === null) return;
      if (reply.ok) photos.push(hashOf(bytes));
      continue;
    }
    const [type, data] =
      index === 0
        ? [
            'open-job',
            { vehicleId: 'bus', reading: { value: 1000 + round, unit: 'km' }, readingReason: '', complaint: 'x' },
          ]
        : index % 3 === 0
          ? ['make-note', { id: `n${index}`, stage: 'strip', text: 'y'.repeat(500) }]
          : ['take-measurement', { id: `m${index}`, kind: 'idle-rpm', when: 'before', value: 600 + index }];
    const body = JSON.stringify({ id, at: new Date().toISOString(), by: 'tomas', seen: 0, type, data });
    const request = sent('POST', `/jobs/${jobId}/commands`, body);
    hit();
    const reply = await request;
    if (reply === null) return;
    if (reply.ok && (await reply.json().catch(() => null)) !== null) acknowledged.push({ jobId, id });
  }
}

const jobsOf = ({ store }: Place): string => {
  const db = new Sqlite(store, { readonly: true });
  const jobs = db.prepare('SELECT job_id, COUNT(*) AS n FROM event GROUP BY job_id ORDER BY job_id').all();
  db.close();
  return JSON.stringify(jobs);
};

/** What is killed besides a server at work, and how. */
export type Task = 'migration' | 'backup' | 'restore' | 'rebuild';

/** A command on a copy of a store, killed at any moment between its start and its usual end. @param earlier an older store */
export async function killTask(
  { main, maintain }: Programs,
  task: Task,
  folder: string,
  good: Place,
  earlier: string,
  times: number,
  seed: number,
): Promise<Killed> {
  const random = seeded(seed);
  let result = NOTHING;
  // How long it takes when nobody kills it; measured once.
  let usual = 0;
  for (let index = -1; index < times; index += 1) {
    const home = join(folder, `${task}-${index}`);
    if (task === 'migration') cpSync(earlier, home, { recursive: true });
    else copyOfStore(good, home);
    const place = placeOf(join(home, 'shop.sqlite'));
    const before = jobsOf(place);
    const [backup = ''] = existsSync(place.backups) ? readdirSync(place.backups) : [];
    const args: Readonly<Record<Task, readonly [string, ...string[]]>> = {
      migration: [main, '--data', place.store, '--port', '0'],
      backup: [maintain, 'backup', place.store],
      restore: [maintain, 'restore', join(place.backups, backup), place.store],
      rebuild: [maintain, 'rebuild', place.store],
    };
    const [script, ...rest] = args[task];
    const from = performance.now();
    const child = spawn(process.execPath, [script, ...rest], {
      stdio: ['ignore', 'pipe', 'ignore'],
      env: { ...process.env, TZ: ZONE },
    });
    const over = ended(child);
    if (index === -1) {
      if (task === 'migration')
        child.stdout
          .once('data', () => undefined)
          .on('data', (chunk: Buffer) => /listening/.test(String(chunk)) && child.kill('SIGKILL'));
      await over;
      usual = performance.now() - from;
    } else {
      // Node itself takes a third of a second before the program begins.
      setTimeout(() => child.kill('SIGKILL'), usual * (0.35 + random() * 0.65));
      await over;
      const wrong = await wrongWith(place, `${task} ${index}`);
      if (jobsOf(place) !== before) wrong.push(`${task} ${index}: other jobs than before`);
      for (const { name } of backupsIn(place.backups))
        await proveArchive(await openArchive(join(place.backups, name))).catch((error: unknown) =>
          wrong.push(`${task} ${index}: ${(error as Error).message}`),
        );
      result = sum(result, { kills: 1, acknowledged: 0, wrong });
    }
    rmSync(home, { recursive: true });
  }
  return result;
}
