import { mkdirSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { pino } from 'pino';
import sharp from 'sharp';
import supertest from 'supertest';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { KeepingReply } from '../contract/index.ts';
import { createApp } from './app.ts';
import { headsOf, keptHeads } from './keeping/heads.ts';
import { realFiles } from './keeping/files.ts';
import { openForReading } from './keeping/openForReading.ts';
import { placeOf } from './keeping/place.ts';
import { createServices, type ServiceOptions } from './services.ts';
import { fullFrom } from './testing/faultyFiles.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';

let server: Harness;
beforeEach(async () => {
  server = await harness();
  await openJob(server, 'j').expect(201);
});
afterEach(() => server.close());

/** The same store served otherwise: by another clock, on another disk. */
function otherwise(options: ServiceOptions, now = NOW, db: Database = server.db) {
  const services = createServices(db, join(server.folder, 'pictures'), () => now, 'Europe/London', undefined, options);
  return { services, http: supertest(createApp(services, pino({ level: 'silent' }), null)) };
}
const status = async (http = server.http): Promise<KeepingReply> => (await http.get('/api/keeping').expect(200)).body;
async function backedUp(http = server.http): Promise<KeepingReply> {
  await http.post('/api/backups').send({}).expect(202);
  for (;;) {
    const reply = await status(http);
    if (reply.running === null) return reply;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
}
const picture = (colour: string): Promise<Buffer> =>
  sharp({ create: { width: 90, height: 60, channels: 3, background: colour } })
    .png()
    .toBuffer();
const sendPicture = (bytes: Buffer, http = server.http) =>
  http.post('/api/pictures').set('content-type', 'image/png').send(bytes);

describe('keeping the shop', () => {
  it('says how things stand before there is a backup, makes one when asked, and tells who listens', async () => {
    expect(await status()).toMatchObject({
      age: 'not-yet',
      lastGood: null,
      running: null,
      minute: 180,
      chosen: false,
      broken: [],
      readOnly: false,
    });
    const heard: string[] = [];
    server.services.changes.listen((change) => heard.push(change.kind === 'rows' ? change.list : ''));
    const after = await backedUp();
    expect(after).toMatchObject({
      age: 'good',
      lastTry: { ok: true, words: expect.stringMatching(/kB, read back and whole/) },
    });
    expect(after.lastGood?.at).toBe(NOW);
    expect(new Set(heard)).toEqual(new Set(['keeping']));
    expect(readdirSync(join(server.folder, 'backups'))).toEqual([after.lastGood?.name]);
  });
  it('is told where and when by a lead, into folders that are there', async () => {
    const folders = ['first', 'second'].map((name) => join(server.folder, name));
    const put = (by: string, keeping: object) => server.http.put('/api/keeping').send({ by, keeping });
    await put('tomas', { folders: [], minute: 60 }).expect(403);
    mkdirSync(folders[0] ?? '');
    const refused = await put('isla', { folders, minute: 60 }).expect(400);
    expect(refused.body.error.fields).toEqual({
      'keeping.folders.1': expect.stringMatching(/not there. Is the disk plugged in/),
    });
    expect((await status()).minute).toBe(180);
    for (const [keeping, words] of [
      [{ folders: ['backups'], minute: 60 }, /whole path/],
      [{ folders: [folders[0], folders[0]], minute: 60 }, /two different folders/],
      [{ folders: [], minute: 1440 }, /time of day/],
    ] as const)
      expect((await put('isla', keeping).expect(400)).body.error.message).toMatch(words);
    mkdirSync(folders[1] ?? '');
    await put('isla', { folders, minute: 60 }).expect(200);
    const after = await backedUp();
    expect(after.lastTry?.ok).toBe(true);
    for (const folder of folders) expect(readdirSync(folder)).toEqual([after.lastGood?.name]);
    // A disk that was taken away gets no folder made in its place.
    rmSync(folders[1] ?? '', { recursive: true });
    expect((await backedUp()).lastTry).toMatchObject({
      ok: false,
      words: expect.stringContaining('Is the disk plugged in?'),
    });
    expect(readdirSync(server.folder)).not.toContain('second');
  });
  it('makes a backup when one is due, once, and tries again an hour after one that failed', async () => {
    const at = (now: string, options: ServiceOptions = {}) => otherwise(options, now).services.keeper;
    expect(at('2026-05-13T13:20:00.000Z').isDue()).toBe(true);
    await at('2026-05-13T13:20:00.000Z').backUp();
    expect(at('2026-05-13T23:00:00.000Z').isDue()).toBe(false);
    expect(at('2026-05-14T02:01:00.000Z').isDue()).toBe(true);
    let now = '2026-05-14T02:01:00.000Z';
    const failing = createServices(server.db, join(server.folder, 'pictures'), () => now, 'Europe/London', undefined, {
      files: fullFrom(realFiles, 1),
    }).keeper;
    await failing.backUp();
    expect(failing.status()).toMatchObject({
      age: 'good',
      lastTry: { ok: false, words: expect.stringContaining('disk is full') },
    });
    now = '2026-05-14T02:30:00.000Z';
    expect(failing.isDue()).toBe(false);
    now = '2026-05-14T03:02:00.000Z';
    expect(failing.isDue()).toBe(true);
  });
  it('counts a backup as too old, and work without one as never backed up', async () => {
    await backedUp();
    expect((await status(otherwise({}, '2026-05-15T02:00:00.000Z').http)).age).toBe('old');
    rmSync(join(server.folder, 'backups'), { recursive: true });
    expect((await status(otherwise({}, '2026-05-15T02:00:00.000Z').http)).age).toBe('never');
  });
  it('has nothing to keep in a shop without work', async () => {
    const empty = await harness({ empty: true });
    expect(empty.services.keeper.isDue()).toBe(false);
    empty.close();
  });
  it('tells what a check of the store found', async () => {
    server.db.exec('UPDATE stock_moved SET booked = booked + 1');
    const after = await backedUp();
    expect(after.findings.map(({ kind }) => kind)).toContain('balance');
    expect(after).toMatchObject({ lastGood: null, lastTry: { ok: true, words: expect.stringContaining('not well') } });
  });
  it('watches the disk, and tells who shows it when it has come to stand otherwise', () => {
    vi.useFakeTimers();
    try {
      let free = 2_000_000_000;
      const { services } = otherwise({
        files: { ...realFiles, freeBytes: () => free },
        make: () => Promise.reject(new Error('not now')),
      });
      let told = 0;
      services.changes.listen(() => (told += 1));
      const stop = services.keeper.watch();
      // A backup is due as well, which tells of its own.
      vi.advanceTimersByTime(61_000);
      const before = told;
      vi.advanceTimersByTime(60_000);
      expect(told).toBe(before);
      free = 500_000_000;
      vi.advanceTimersByTime(60_000);
      expect(told).toBe(before + 1);
      stop();
    } finally {
      vi.useRealTimers();
    }
  });
  it('keeps the heads of all logs beside the store, and of all lists that grow', async () => {
    await server.send('j', 'make-note', { id: 'n', stage: 'strip', text: 'x' }).expect(201);
    const kept = keptHeads(`${server.file}.heads`);
    expect(kept?.jobs).toEqual(headsOf(server.db).jobs);
    expect(kept?.rows).toEqual(headsOf(server.db).rows);
  });
});

describe('settings', () => {
  it('that cannot be read give way, and are told', async () => {
    const put = server.db.prepare('INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)');
    for (const [key, value] of [
      ['calendar', '{"hours": '],
      ['rate-per-hour-minor', 'fifty'],
      ['bay-volume-m3', '-4'],
      ['air-rates', '{"shut": 1}'],
      ['time-zone', 'Atlantis/Quay'],
      ['first-job-number', '99999999999'],
    ])
      put.run(key, value);
    const { body } = await server.http.get('/api/shop').expect(200);
    expect(body.settings).toMatchObject({ ratePerHourMinor: 0, timeZone: 'Europe/London' });
    expect(body.calendar.hours).toHaveLength(7);
    await server.http.get('/api/bay').expect(200);
    expect((await server.http.get('/api/air').expect(200)).body).toMatchObject({ roomM3: 180, rates: { fan: 12 } });
    expect((await status()).broken).toEqual([
      { key: 'air-rates', name: 'how fast the bay’s air is changed', holds: null },
      { key: 'bay-volume-m3', name: 'the size of the bay', holds: '180' },
      { key: 'calendar', name: 'the opening hours', holds: null },
      { key: 'first-job-number', name: 'the first job’s number', holds: '1' },
      { key: 'rate-per-hour-minor', name: 'the price of an hour', holds: '0' },
      { key: 'time-zone', name: 'the time zone', holds: 'Europe/London' },
    ]);
  });
});

describe('a store that can only be read', () => {
  it('shows everything, takes nothing, and leaves the store as it is', async () => {
    server.db.pragma('wal_checkpoint(TRUNCATE)');
    const reading = openForReading(realFiles, server.file, () => undefined);
    const { http } = otherwise({ readOnly: true, place: placeOf(server.file) }, NOW, reading.db);
    reading.seal();
    expect((await http.get('/api/shop').expect(200)).body.readOnly).toBe(true);
    expect((await http.get('/api/jobs/j').expect(200)).body.version).toBeGreaterThan(0);
    const { body } = await http
      .post('/api/jobs/j/commands')
      .send({ id: 'x', at: NOW, by: 'tomas', seen: 0, type: 'make-note', data: { id: 'n', stage: 'strip', text: 'x' } })
      .expect(507);
    expect(body.error).toMatchObject({ code: 'cannot-write', message: expect.stringContaining('can only be read') });
    expect((await status(http)).readOnly).toBe(true);
    reading.close();
    expect(server.services.jobs.log.length('j')).toBeGreaterThan(0);
  });
});

describe('photos', () => {
  const filesOf = (hash: string): string[] =>
    readdirSync(join(server.folder, 'pictures')).filter((name) => name.startsWith(hash));
  async function taken(colour: string): Promise<string> {
    const { body } = await sendPicture(await picture(colour)).expect(201);
    await server
      .send('j', 'attach-picture', {
        id: `p-${colour}`,
        hash: body.hash,
        subject: 'throttle-body',
        when: 'before',
        caption: '',
      })
      .expect(201);
    return body.hash as string;
  }

  it('are refused in words where the disk is full, half of none is kept, and sending again after that is saved for true', async () => {
    const bytes = await picture('red');
    const counting = fullFrom(realFiles, Infinity);
    await sendPicture(bytes, otherwise({ files: counting }).http).expect(201);
    const of = counting.steps();
    server.db.exec('DELETE FROM picture');
    for (let at = 3; at <= of; at += 1) {
      for (const name of filesOf('')) rmSync(join(server.folder, 'pictures', name));
      const { body } = await sendPicture(bytes, otherwise({ files: fullFrom(realFiles, at) }).http).expect(507);
      expect(body.error).toMatchObject({
        code: 'cannot-write',
        message: expect.stringContaining('disk is full'),
      });
    }
    expect(server.db.prepare('SELECT COUNT(*) AS n FROM picture').get()).toEqual({ n: 0 });
    const { body } = await sendPicture(bytes).expect(201);
    const { body: shown } = await server.http.get(`/api/pictures/${body.hash}?original=1`).expect(200);
    expect(Buffer.from(shown)).toEqual(bytes);
  });
  it('that are lost or damaged are a named gap, never a failure, and are whole once they are sent again', async () => {
    const hash = await taken('blue');
    for (const harm of [
      () => filesOf(hash).forEach((name) => rmSync(join(server.folder, 'pictures', name))),
      () => {
        for (const name of filesOf(hash)) truncateSync(join(server.folder, 'pictures', name), 20);
      },
    ]) {
      harm();
      for (const query of ['', '?size=small', '?original=1']) {
        const { body, headers } = await server.http.get(`/api/pictures/${hash}${query}`).expect(410);
        expect(headers['cache-control']).toBe('no-store');
        expect(body.error).toMatchObject({
          code: 'picture-lost',
          wouldHelp: expect.stringContaining('Take it in again'),
        });
      }
      const pdf = await server.http.get('/api/jobs/j/sheet.pdf').expect(200);
      expect(pdf.headers['content-type']).toBe('application/pdf');
      const { body: file } = await server.http.get('/api/jobs/j/file').expect(200);
      expect([file.pictures, file.lost]).toEqual([[], [hash]]);
      await sendPicture(await picture('blue')).expect(201);
      await server.http.get(`/api/pictures/${hash}`).expect(200);
      expect((await server.http.get('/api/jobs/j/file').expect(200)).body.lost).toBeUndefined();
    }
  });
  it('of which a bit has turned do not leave with the job file', async () => {
    const hash = await taken('green');
    const bytes = await picture('green');
    bytes[40] = (bytes[40] ?? 0) ^ 1;
    writeFileSync(join(server.folder, 'pictures', hash), bytes);
    expect((await server.http.get('/api/jobs/j/file').expect(200)).body.lost).toEqual([hash]);
  });
  it('have copies for the screen that are made anew when they are gone', async () => {
    const hash = await taken('olive');
    for (const name of filesOf(hash)) if (name !== hash) rmSync(join(server.folder, 'pictures', name));
    await server.http.get(`/api/pictures/${hash}?size=small`).expect(200);
    expect(filesOf(hash)).toHaveLength(3);
  });
  it('that were never sent here are another thing', async () => {
    expect((await server.http.get(`/api/pictures/${'a'.repeat(64)}`).expect(404)).body.error.code).toBe(
      'no-such-picture',
    );
  });
  it('leave the last of the disk to what is typed', async () => {
    const { http, services } = otherwise({ files: { ...realFiles, freeBytes: () => 50_000_000 } });
    const { body } = await sendPicture(await picture('pink'), http).expect(507);
    expect(body.error.message).toContain('photos are not taken in any more');
    expect(services.keeper.status()).toMatchObject({ room: 'last', freeBytes: 50_000_000 });
    await http
      .post('/api/jobs/j/commands')
      .send({
        id: 'typed',
        at: NOW,
        by: 'tomas',
        seen: 0,
        type: 'make-note',
        data: { id: 'n2', stage: 'strip', text: 'x' },
      })
      .expect(201);
  });
});
