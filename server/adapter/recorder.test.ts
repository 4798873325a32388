import { copyFileSync, existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Transfer } from '../../contract/index.ts';
import type { Job } from '../../core/job/index.ts';
import { channelOf, pack, type Trace, unpack } from '../../core/trace/index.ts';
import { checkPictures } from '../keeping/verify/pictures.ts';
import { createServices } from '../services.ts';
import { openStore } from '../store/open.ts';
import { type Harness, harness, NOW, openJob } from '../testing/harness.ts';
import { InProcessVehicle } from './links.ts';
import { Recorder, type RecorderClock } from './recorder.ts';
import { SCRIPTS } from './scripts.ts';

/** Time that moves only while somebody rests, so that a recording is the same on a machine under load. */
function steppedClock(): RecorderClock {
  let now = 0;
  return {
    seconds: () => now,
    rest: (seconds) => {
      now += Math.max(seconds, 0.001);
      return new Promise((resolve) => setImmediate(resolve));
    },
  };
}
const open: Harness[] = [];
async function shop(): Promise<Harness> {
  const made = await harness({ clock: steppedClock() });
  open.push(made);
  await openJob(made, 'j').expect(201);
  return made;
}
afterEach(() => {
  for (const each of open.splice(0)) each.close();
});

const jobOf = (server: Harness): Job => server.services.jobs.job('j')!;
const begin = async (server: Harness, when: 'before' | 'after', more: object = {}): Promise<string> => {
  const { body } = await server.http
    .post('/api/adapter/recordings')
    .send({ link: 'sim.bus', jobId: 'j', when, by: 'tomas', ...more })
    .expect(201);
  return (body as { id: string }).id;
};
/** Waits until it has recorded for so long, in the vehicle’s seconds. */
async function recorded(server: Harness, id: string, seconds: number): Promise<void> {
  const recorder = server.services.desk.recorder(id)!;
  await new Promise<void>((done) => {
    const stop = recorder.listen((news) => {
      if (news.seconds < seconds && news.state === 'recording') return;
      queueMicrotask(() => stop());
      done();
    });
  });
}
const end = (server: Harness, id: string, keep = true) =>
  server.http.post(`/api/adapter/recordings/${id}/end`).send({ keep, by: 'tomas' });
const act = (server: Harness, deed: string) =>
  server.http.post('/api/adapter/recordings/act').send({ link: 'sim.bus', deed });
const step = (server: Harness, id: string, body: object) =>
  server.http.post(`/api/adapter/recordings/${id}/steps`).send(body);

describe('recording live data', () => {
  it('reads a vehicle over and over, with phases, onto its job, its tables and a file', async () => {
    const server = await shop();
    const id = await begin(server, 'before', { state: 'warm', place: 'bay' });
    await step(server, id, { do: 'mark', phase: 'warm-idle' }).expect(200);
    await recorded(server, id, 40);
    await act(server, 'blip').expect(200);
    await step(server, id, { do: 'mark', phase: 'blip' }).expect(200);
    await recorded(server, id, 60);
    await end(server, id).expect(201);
    const [kept] = jobOf(server).recordings;
    expect(kept).toMatchObject({
      when: 'before',
      from: 'sim.bus',
      ended: 'stopped',
      state: 'warm',
      place: 'bay',
      by: 'tomas',
    });
    expect(kept!.phases.map(({ kind }) => kind)).toEqual(['warm-idle', 'blip']);
    expect(kept!.channels.map(({ role }) => role)).toEqual(
      expect.arrayContaining(['rpm', 'plate', 'duty', 'manifold']),
    );
    // The valve of the library bus sticks: it hunts, and the blip is found.
    const figure = (kind: string) => kept!.figures.find((each) => each.kind === kind)?.value;
    expect(figure('swing')).toBeGreaterThan(40);
    expect(figure('blip-lowest')).toBeGreaterThan(300);
    const rows = server.db
      .prepare('SELECT kind FROM trace_figure WHERE job_id = ? AND recording_id = ?')
      .all('j', kept!.id);
    // It hunts, and never settles: that is no point of a curve over visits.
    expect(rows).toHaveLength(kept!.figures.filter(({ atLeast }) => atLeast !== true).length);
    expect(kept!.figures.find(({ kind }) => kind === 'settle')).toMatchObject({ atLeast: true });
    expect(server.db.prepare('SELECT hash, phase FROM recording_kept').all()).toEqual([
      { hash: kept!.hash, phase: 'before' },
    ]);
    const { body } = await server.http
      .get(`/api/recordings/${kept!.hash}`)
      .buffer(true)
      .parse(binary as never)
      .expect(200);
    const trace = unpack(body as Buffer);
    expect(channelOf(trace, 'rpm')!.times.length).toBeGreaterThan(100);
    expect(readdirSync(join(server.folder, 'pictures'))).toContain(kept!.hash);
  });
  it('notices what was done: after cleaning and a new valve it no longer hunts', async () => {
    const server = await shop();
    const before = await begin(server, 'before');
    await recorded(server, before, 40);
    await end(server, before).expect(201);
    server.services.hub.meet('bus', { faults: { depositMm2: 0, valveStickPercent: 0 }, relearned: true });
    const recorder = new Recorder(await server.services.hub.open('sim.bus'), server.services.hub.clock);
    await new Promise<void>((done) => {
      const stop = recorder.listen((news) => {
        if (news.seconds >= 40) {
          queueMicrotask(() => stop());
          done();
        }
      });
    });
    await recorder.stop();
    const rpm = channelOf(recorder.trace(), 'rpm')!;
    const settled = Array.from(rpm.values).slice(Math.floor(rpm.values.length / 2));
    expect(Math.max(...settled) - Math.min(...settled)).toBeLessThan(90);
  });
  it('pauses without counting the time, and can be thrown away', async () => {
    const server = await shop();
    const id = await begin(server, 'after');
    await recorded(server, id, 3);
    await step(server, id, { do: 'pause' }).expect(200);
    const at = server.services.desk.recorder(id)!.seconds;
    for (let turn = 0; turn < 100; turn += 1) await new Promise((resolve) => setImmediate(resolve));
    expect(server.services.desk.recorder(id)!.seconds).toBe(at);
    await step(server, id, { do: 'resume' }).expect(200);
    await recorded(server, id, at + 2);
    const { body } = await end(server, id, false).expect(200);
    expect(body).toEqual({ kept: false });
    expect(jobOf(server).recordings).toEqual([]);
    await step(server, id, { do: 'pause' }).expect(404);
    await server.http.get(`/api/adapter/recordings/${id}/news`).expect(404);
  });
  it('keeps what came when the connection goes', async () => {
    const gone = { ...SCRIPTS.find(({ id }) => id === 'gone')!, faults: { goneAfter: 200 } };
    const clock = steppedClock();
    const recorder = new Recorder(new InProcessVehicle(gone, clock.seconds).open(), clock);
    await new Promise<void>((done) => {
      recorder.listen(({ state }) => state === 'lost' && done());
    });
    expect(recorder.problems.at(-1)).toContain('gone');
    expect(channelOf(recorder.trace(), 'rpm')!.times.length).toBeGreaterThan(3);
  });
  it('takes up after a crash what came until then', async () => {
    const server = await shop();
    const trace: Trace = {
      channels: [
        {
          id: 'rpm',
          role: 'rpm',
          name: 'Engine speed',
          unit: 'rpm',
          times: Float64Array.of(0, 1, 2),
          values: Float64Array.of(800, 810, 805),
        },
      ],
      phases: [],
    };
    const folder = join(server.folder, 'recording-now');
    mkdirSync(folder);
    const about = { id: 'cut', jobId: 'j', when: 'before', from: 'sim.bus', startedAt: NOW, by: 'tomas', under: {} };
    writeFileSync(join(folder, 'cut.json'), JSON.stringify(about));
    writeFileSync(join(folder, 'cut.uwt'), pack(trace));
    writeFileSync(join(folder, 'half.json'), '{');
    const start = () => createServices(server.db, join(server.folder, 'pictures'), () => NOW, 'Europe/London');
    await server.send('j', 'cancel-job', { why: 'wrong day' }).expect(201);
    start();
    expect(readdirSync(folder).sort()).toEqual(['cut.json', 'cut.uwt']);
    await server.send('j', 'reopen-job', { reason: 'after all' }).expect(201);
    const services = start();
    expect(services.jobs.job('j')!.recordings).toMatchObject([{ id: 'cut', ended: 'lost', readings: 3 }]);
    expect(readdirSync(folder)).toEqual([]);
  });
  it('loses nothing where its job does not take it: it can be ended again, or is taken up at the next start', async () => {
    const server = await shop();
    const id = await begin(server, 'before');
    await recorded(server, id, 3);
    await server.send('j', 'cancel-job', { why: 'wrong day' }).expect(201);
    await end(server, id).expect(409);
    expect(server.services.desk.recorder(id)!.trace().channels.length).toBeGreaterThan(3);
    await server.send('j', 'reopen-job', { reason: 'after all' }).expect(201);
    await end(server, id).expect(201);
    expect(jobOf(server).recordings).toHaveLength(1);
  });
  it('is kept by itself where it ended and nobody looks on', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
    try {
      const server = await shop();
      const id = await begin(server, 'before');
      await recorded(server, id, 3);
      const recorder = server.services.desk.recorder(id)!;
      await recorder.stop();
      vi.advanceTimersByTime(30_000);
      expect(jobOf(server).recordings).toEqual([]);
      vi.advanceTimersByTime(60_000);
      await vi.waitFor(() => expect(jobOf(server).recordings).toMatchObject([{ id, ended: 'stopped' }]));
      expect(server.services.desk.recorder(id)).toBeNull();
    } finally {
      vi.useRealTimers();
    }
  });
  it('is joined by who comes back to it, with all that came before', async () => {
    const server = await shop();
    const id = await begin(server, 'before');
    await recorded(server, id, 3);
    expect(await begin(server, 'before')).toBe(id);
    const told: number[] = [];
    server.services.desk.listen(id, ({ values }) => told.push(values['rpm']?.length ?? 0))!();
    expect(told[0]).toBeGreaterThan(20);
    await end(server, id).expect(201);
    expect(await begin(server, 'before')).not.toBe(id);
  });
  it('refuses an adapter or a job that is not there', async () => {
    const server = await shop();
    const send = (body: object) =>
      server.http.post('/api/adapter/recordings').send({ when: 'before', by: 'tomas', ...body });
    await send({ link: 'sim.none', jobId: 'j' }).expect(502);
    await send({ link: 'sim.bus', jobId: 'none' }).expect(404);
    await server.http
      .post('/api/adapter/recordings/act')
      .send({ link: 'tcp.1', deed: 'blip' })
      .expect(200, { done: false });
  });
});

/** The bytes of an answer. */
function binary(response: NodeJS.ReadableStream, done: (error: Error | null, body: Buffer) => void): void {
  const parts: Buffer[] = [];
  response.on('data', (part: Buffer) => parts.push(part));
  response.on('end', () => done(null, Buffer.concat(parts)));
}

describe('a recording as a file', () => {
  const trace: Trace = {
    channels: [
      {
        id: 'rpm',
        role: 'rpm',
        name: 'Engine speed',
        unit: 'rpm',
        times: Float64Array.of(0, 0.5, 1),
        values: Float64Array.of(800, 812.5, 805),
      },
    ],
    phases: [],
  };
  const upload = (server: Harness, bytes: Uint8Array) =>
    server.http.post('/api/recordings').set('content-type', 'application/octet-stream').send(Buffer.from(bytes));
  const keep = (server: Harness, hash: string) =>
    server.send('j', 'keep-recording', {
      id: 'r', hash, when: 'before', startedAt: NOW, from: 'idle.csv', seconds: 1, readings: 3,
      channels: [{ role: 'rpm', name: 'Engine speed', unit: 'rpm' }], phases: [], ended: 'file', figures: [], untold: [], odd: [],
    }); // prettier-ignore
  it('is stored once, and comes back packed and as CSV, wide or long', async () => {
    const server = await shop();
    const { body } = await upload(server, pack(trace)).expect(201);
    const { hash } = body as { hash: string };
    expect((await upload(server, pack(trace)).expect(201)).body).toEqual(body);
    expect(server.db.prepare('SELECT COUNT(*) AS n FROM recording').get()).toEqual({ n: 1 });
    const wide = await server.http.get(`/api/recordings/${hash}/csv`).expect(200);
    expect(wide.text).toBe('time [s],Engine speed [rpm]\n0,800\n0.5,812.5\n1,805\n');
    const long = await server.http.get(`/api/recordings/${hash}/csv?form=long`).expect(200);
    expect(long.text).toContain('0.5,Engine speed,812.5,rpm');
  });
  it('is refused when it is none, and says when it is not there or lost', async () => {
    const server = await shop();
    await upload(server, new Uint8Array([1, 2, 3])).expect(400);
    await server.http.post('/api/recordings').send({ a: 1 }).expect(415);
    await server.http.get(`/api/recordings/${'a'.repeat(64)}`).expect(404);
    const { body } = await upload(server, pack(trace)).expect(201);
    const { hash } = body as { hash: string };
    writeFileSync(join(server.folder, 'pictures', hash), 'cut');
    await server.http.get(`/api/recordings/${hash}`).expect(410);
    await server.http.get(`/api/recordings/${hash}/csv`).expect(410);
  });
  it('is looked at in a check of the store, as photos are', async () => {
    const server = await shop();
    const { body } = await upload(server, pack(trace)).expect(201);
    const { hash } = body as { hash: string };
    const pictures = join(server.folder, 'pictures');
    expect(await checkPictures(server.db, pictures)).toEqual([]);
    writeFileSync(join(pictures, hash), Buffer.alloc(10));
    expect(await checkPictures(server.db, pictures)).toMatchObject([
      { kind: 'picture', words: expect.stringContaining(`Recording ${hash.slice(0, 8)}… has 10 bytes`) },
    ]);
  });
  it('goes with its job in a job file, and into a copy of the store', async () => {
    const server = await shop();
    const { body } = await upload(server, pack(trace)).expect(201);
    const { hash } = body as { hash: string };
    await keep(server, hash).expect(201);
    const file = (await server.http.get('/api/jobs/j/file').expect(200)).body as Transfer;
    expect(unpack(gunzipSync(Buffer.from(file.recordings![0]!.base64, 'base64'))).channels[0]!.values[1]).toBe(812.5);
    const other = await harness();
    open.push(other);
    await other.http.post('/api/job-files?by=isla').send(file).expect(201);
    await other.http.get(`/api/recordings/${hash}`).expect(200);
    const damaged = { ...file, recordings: [{ hash, base64: Buffer.from('no').toString('base64') }] };
    const third = await harness();
    open.push(third);
    await third.http.post('/api/job-files?by=isla').send(damaged).expect(400);
    // Into a new store, as a restore does: the folder with its files, and the rows.
    const folder = join(server.folder, 'again');
    mkdirSync(folder);
    copyFileSync(join(server.folder, 'pictures', hash), join(folder, hash));
    server.db.pragma('wal_checkpoint(TRUNCATE)');
    copyFileSync(server.file, join(folder, 'shop.sqlite'));
    const copy = openStore(join(folder, 'shop.sqlite'));
    expect(copy.prepare('SELECT hash FROM recording').all()).toEqual([{ hash }]);
    copy.close();
    expect(existsSync(join(folder, hash))).toBe(true);
  });
});
