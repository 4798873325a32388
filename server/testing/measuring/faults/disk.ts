import { execFileSync } from 'node:child_process';
import { cpSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { pino } from 'pino';
import sharp from 'sharp';
import supertest from 'supertest';
import { createApp } from '../../../app.ts';
import { makeBackup } from '../../../keeping/backup.ts';
import { backupsIn } from '../../../keeping/backups.ts';
import { type Files, realFiles } from '../../../keeping/files.ts';
import { takeStore } from '../../../keeping/hold.ts';
import { type Place, placeOf } from '../../../keeping/place.ts';
import { restoreStore } from '../../../keeping/restore.ts';
import { verifyStore } from '../../../keeping/verify/verify.ts';
import { createServices } from '../../../services.ts';
import { openStore } from '../../../store/open.ts';
import { fullFrom } from '../../faultyFiles.ts';
import { copyOfStore, ZONE } from '../../goodStore.ts';
import type { Measured } from '../measure.ts';

const NOW = '2026-05-20T10:00:00.000Z';
const LATER = '2026-05-21T02:00:00.000Z';

/** How a try on a full disk ended: what is wrong about it, in words; empty when it was refused in words and all is well. */
type Tried = readonly string[];

function served(place: Place, files: Files): { db: Database; http: ReturnType<typeof supertest> } {
  const db = openStore(place.store);
  const services = createServices(db, place.pictures, () => NOW, ZONE, undefined, { files });
  return { db, http: supertest(createApp(services, pino({ level: 'silent' }), null)) };
}

async function isWell(place: Place, what: string): Promise<Tried> {
  takeStore(realFiles, place, LATER).release();
  const { findings } = await verifyStore(place, { files: realFiles, machineZone: ZONE });
  const left = readdirSync(place.folder).filter((name) => name.startsWith('.unfinished-'));
  return [...findings.map(({ words }) => `${what}: ${words}`), ...left.map((name) => `${what}: ${name} is left`)];
}

const note = (id: string) => ({
  id,
  at: NOW,
  by: 'tomas',
  seen: 0,
  type: 'make-note',
  data: { id, stage: 'strip', text: 'x'.repeat(3900) },
});

/** Notes until the database cannot grow any more; then there is room again. */
async function typing(place: Place, spare: number): Promise<Tried> {
  const { db, http } = served(place, realFiles);
  const { job_id: jobId } = db
    .prepare<[], { job_id: string }>("SELECT job_id FROM job_summary WHERE status = 'open'")
    .get()!;
  db.pragma(`max_page_count = ${Number(db.pragma('page_count', { simple: true })) + spare}`);
  const wrong: string[] = [];
  let refused = false;
  for (let index = 0; index < 40 && !refused; index += 1) {
    const { status, body } = await http.post(`/api/jobs/${jobId}/commands`).send(note(`n-${index}`));
    refused = status === 507 && /full|did not take/.test(String(body.error?.message));
    if (status !== 201 && !refused) wrong.push(`typing answered ${status}`);
  }
  if (!refused) wrong.push('typing was never refused');
  db.pragma('max_page_count = 1073741823');
  const { status } = await http.post(`/api/jobs/${jobId}/commands`).send(note('room-again'));
  if (status !== 201) wrong.push(`with room again typing answered ${status}`);
  db.close();
  return [...wrong, ...(await isWell(place, 'typing'))];
}

const photo = (colour: string): Promise<Buffer> =>
  sharp({
    create: {
      width: 300,
      height: 200,
      channels: 3,
      background: colour,
      noise: { type: 'gaussian', mean: 90, sigma: 40 },
    },
  })
    .png()
    .toBuffer();

async function photos(place: Place, at: number): Promise<Tried> {
  const bytes = await photo('#345');
  const full = served(place, fullFrom(realFiles, at));
  const first = await full.http.post('/api/pictures').set('content-type', 'image/png').send(bytes);
  full.db.close();
  const wrong =
    first.status === 507 && /full/.test(String(first.body.error?.message))
      ? []
      : [`a photo on a full disk (${at}) answered ${first.status}`];
  const well = served(place, realFiles);
  const { status, body } = await well.http.post('/api/pictures').set('content-type', 'image/png').send(bytes);
  const back = await well.http.get(`/api/pictures/${body.hash}?original=1`);
  well.db.close();
  if (status !== 201 || !Buffer.from(back.body as Buffer).equals(bytes))
    wrong.push(`a photo sent again (${at}) is not whole`);
  return [...wrong, ...(await isWell(place, 'photos'))];
}

async function refusedWith(work: () => Promise<unknown>, what: string): Promise<string[]> {
  try {
    await work();
    return [`${what} went through on a full disk`];
  } catch (error) {
    return (error as { code?: string }).code === 'ENOSPC' ? [] : [`${what}: ${String(error)}`];
  }
}

async function backups(place: Place, at: number): Promise<Tried> {
  const before = backupsIn(place.backups).length;
  const make = () => makeBackup(fullFrom(realFiles, at), { place, folders: [], now: LATER, machineZone: ZONE });
  const wrong = await refusedWith(make, `backup at ${at}`);
  if (backupsIn(place.backups).length !== before) wrong.push(`backup at ${at} left something that looks like one`);
  return [...wrong, ...(await isWell(place, 'backup'))];
}

async function restores(place: Place, at: number): Promise<Tried> {
  const [backup] = backupsIn(place.backups);
  const task = { backup: join(place.backups, backup?.name ?? ''), place, now: LATER, machineZone: ZONE };
  const wrong = await refusedWith(() => restoreStore(fullFrom(realFiles, at), task), `restore at ${at}`);
  return [...wrong, ...(await isWell(place, 'restore'))];
}

/** A disk of so many megabytes, really full: photos and notes until each is refused, and well once there is room. */
async function realDisk(folder: string, good: Place, megabytes: number): Promise<Tried | null> {
  const disk = join(folder, `disk-${megabytes}`);
  mkdirSync(disk);
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m`, 'none', disk], { stdio: 'ignore' });
  } catch {
    return null;
  }
  try {
    const place = copyOfStore(good, join(disk, 'shop'));
    // The guard that leaves the last of the disk to what is typed would refuse before it is full.
    const { db, http } = served(place, { ...realFiles, freeBytes: () => null });
    const { job_id: jobId } = db
      .prepare<[], { job_id: string }>("SELECT job_id FROM job_summary WHERE status = 'open'")
      .get()!;
    const wrong: string[] = [];
    const refusals = { photo: 0, note: 0 };
    for (let index = 0; index < 4000 && (refusals.photo < 2 || refusals.note < 2); index += 1) {
      const isPhoto = refusals.photo < 2;
      const reply = isPhoto
        ? await http
            .post('/api/pictures')
            .set('content-type', 'image/png')
            .send(await photo(`rgb(${index % 256},90,90)`))
        : await http.post(`/api/jobs/${jobId}/commands`).send(note(`full-${index}`));
      if (reply.status === 507) refusals[isPhoto ? 'photo' : 'note'] += 1;
      else if (reply.status !== 201) wrong.push(`a full disk of ${megabytes} MB answered ${reply.status}`);
    }
    if (refusals.photo === 0 || refusals.note === 0) wrong.push(`${megabytes} MB were never full`);
    db.close();
    const roomy = join(folder, `roomy-${megabytes}`);
    cpSync(place.folder, roomy, { recursive: true });
    wrong.push(...(await isWell(placeOf(join(roomy, 'shop.sqlite')), `disk of ${megabytes} MB`)));
    rmSync(roomy, { recursive: true });
    return wrong;
  } finally {
    execFileSync('umount', [disk], { stdio: 'ignore' });
  }
}

/** Full disks at so many points, and some that are really full where this machine lets one be made. */
export async function fullDisks(folder: string, good: Place, count: number): Promise<Measured> {
  const wrong: string[] = [];
  let tried = 0;
  const ways = [typing, photos, backups, restores];
  for (let index = 0; tried < count - (count > 8 ? 4 : 0); index += 1) {
    const place = copyOfStore(good, join(folder, `full-${index}`));
    const way = ways[index % ways.length]!;
    const depth = Math.floor(index / ways.length);
    wrong.push(...(await way(place, way === typing ? 2 + 3 * depth : 3 + depth * (way === photos ? 1 : 4))));
    rmSync(place.folder, { recursive: true });
    tried += 1;
  }
  let real = 0;
  for (const megabytes of [6, 8, 11, 15].slice(0, count - tried)) {
    const found = await realDisk(folder, good, megabytes);
    if (found === null) break;
    wrong.push(...found);
    real += 1;
  }
  return {
    what: 'full disk: refused in words, and well afterwards',
    measured: `${tried + real} points, ${real} on a disk really full; ${wrong.length} wrong${wrong.length > 0 ? `: ${wrong.slice(0, 3).join('; ')}` : ''}`,
    wanted: `${count} points, 0 wrong`,
    met: wrong.length === 0 && tried + real >= Math.min(count, 36),
  };
}
