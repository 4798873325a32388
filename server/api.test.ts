import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { JobReply } from '../contract/index.ts';
import { diagnoseJob, ESTIMATE_SPREAD, estimateLines, jobChoice, jobOutlook, wayMinutes } from '../core/job/index.ts';
import { PAST_JOBS } from '../demo/past.ts';
import { seedDemo } from '../demo/seed.ts';
import { vehicles } from '../demo/vehicles.ts';
import { type Harness, harness, NOW, openJob, PROCEDURE } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
});
afterAll(() => server.close());

describe('lists', () => {
  it('answers health, shop, stock and procedures', async () => {
    await server.http.get('/api/health').expect(200, { ok: true });
    const shop = await server.http.get('/api/shop').expect(200);
    expect(shop.body).toMatchObject({
      now: NOW,
      settings: { shopName: 'Tern Quay Garage', currency: 'cr' },
      people: { length: 4 },
      wrenches: { length: 4 },
    });
    expect((await server.http.get('/api/procedures')).body.rows).toHaveLength(7);
    expect((await server.http.get(`/api/procedures/${PROCEDURE}`)).body.items.length).toBeGreaterThanOrEqual(24);
    await server.http.get('/api/procedures/none').expect(404);
    const stock = await server.http.get('/api/stock').expect(200);
    expect(stock.body.rows.find((row: { partNumber: string }) => row.partNumber === 'NP-25-1107')).toMatchObject({
      left: 3,
      free: 3,
    });
  });
  it('finds vehicles by plate, VIN, make, owner and engine', async () => {
    for (const words of ['TQ 417', 'tq417', 'XNP25', 'norrland parcel', 'library', '2.5 L']) {
      const found = await server.http.get('/api/vehicles').query({ q: words }).expect(200);
      expect(
        found.body.rows.map(({ id }: { id: string }) => id),
        words,
      ).toContain('bus');
    }
    expect((await server.http.get('/api/vehicles').query({ q: 'nothing like it' })).body.rows).toEqual([]);
  });
  it('pages by key without losing or doubling a row', async () => {
    const seen: string[] = [];
    let after: string | null = null;
    do {
      const page = await server.http
        .get('/api/vehicles')
        .query({ limit: 2, ...(after === null ? {} : { after }) })
        .expect(200);
      seen.push(...page.body.rows.map(({ id }: { id: string }) => id));
      after = page.body.next as string | null;
    } while (after !== null);
    expect([...seen].sort()).toEqual(Object.keys(vehicles).sort());
    expect(new Set(seen).size).toBe(seen.length);
  });
  it('changes a vehicle and leaves an audit row', async () => {
    const { body } = await server.http.get('/api/vehicles/launch');
    const { id: _, lastReading: __, ...input } = body.vehicle;
    await server.http
      .put('/api/vehicles/launch')
      .send({ by: 'isla', basedOn: body.version, vehicle: { ...input, owner: 'Harbour board' } })
      .expect(200);
    expect((await server.http.get('/api/vehicles/launch')).body.vehicle.owner).toBe('Harbour board');
    expect(
      server.db.prepare("SELECT person, kind FROM audit WHERE subject = 'launch' ORDER BY id DESC LIMIT 1").get(),
    ).toEqual({ person: 'isla', kind: 'vehicle-changed' });
  });
});

describe('commands', () => {
  it('open a job, number it and answer with its events', async () => {
    const reply = await openJob(server, 'first').expect(201);
    expect(reply.body).toMatchObject({
      jobId: 'first',
      version: 3,
      repeated: false,
      events: [
        { seq: 1, type: 'job-opened', by: 'tomas', data: { number: 228 } },
        { seq: 2, type: 'knowledge-chosen', data: { version: 1 } },
        { seq: 3, type: 'complaint-told', data: { id: 'opening', text: 'Hunts.', heard: [{ sign: 'hunting' }] } },
      ],
    });
    await openJob(server, 'second', { reading: { value: 148_300, unit: 'km' } }).expect(201);
    expect((await server.http.get('/api/jobs/second')).body.events[0].data.number).toBe(229);
    expect((await server.http.get('/api/vehicles/bus')).body).toMatchObject({
      vehicle: { lastReading: { value: 148_300, unit: 'km' } },
      jobs: { rows: [{ number: 229 }, { number: 228 }], next: null },
    });
  });
  it('change nothing when sent twice', async () => {
    const body = {
      id: 'twice',
      at: NOW,
      by: 'tomas',
      seen: 3,
      type: 'note-symptom',
      data: { id: 's1', text: 'hunting idle' },
    };
    await server.http.post('/api/jobs/first/commands').send(body).expect(201);
    const again = await server.http.post('/api/jobs/first/commands').send(body).expect(200);
    expect(again.body).toMatchObject({ repeated: true, version: 4, events: [{ seq: 4 }] });
    expect((await server.http.get('/api/jobs/first')).body.version).toBe(4);
  });
  it('re-decide a stale command against the job as it is, and refuse only a true conflict', async () => {
    const note = await server
      .send('first', 'make-note', { id: 'n1', stage: 'strip', text: 'rusty' }, { seen: 3 })
      .expect(201);
    expect(note.body.events.map(({ seq }: { seq: number }) => seq)).toEqual([4, 5]);
    const conflict = await server
      .send('first', 'note-symptom', { id: 's2', text: 'Hunting idle' }, { seen: 3 })
      .expect(409);
    expect(conflict.body.error).toMatchObject({ code: 'already-there' });
  });
  it('answer a job from a version on, and say when there is none', async () => {
    const reply = await server.http.get('/api/jobs/first').query({ since: 4 }).expect(200);
    expect((reply.body as JobReply).events.map(({ seq }) => seq)).toEqual([5]);
    await server.http.get('/api/jobs/none').expect(404);
  });
  it('list jobs by state and page them', async () => {
    expect((await server.http.get('/api/jobs').query({ status: 'open' })).body.rows).toHaveLength(2);
    const page = await server.http.get('/api/jobs').query({ limit: 1 }).expect(200);
    expect(page.body).toMatchObject({ rows: [{ number: 229, plate: 'TQ 417', stage: 'complaint' }] });
    expect((await server.http.get('/api/jobs').query({ limit: 1, after: page.body.next })).body).toMatchObject({
      rows: [{ number: 228 }],
      next: null,
    });
  });
  it('keep the chain whole', async () => {
    await server.http.get('/api/jobs/first/verify').expect(200, { whole: true, brokenAt: null });
    await server.http.get('/api/jobs/none/verify').expect(404);
  });
  it('show in the Bay with the stretches of the day', async () => {
    const bay = await server.http.get('/api/bay').expect(200);
    expect(bay.body).toMatchObject({
      now: NOW,
      lines: [{ job: { number: 228 }, stretches: [{ kind: 'hands-on' }] }, { job: { number: 229 } }],
    });
  });
});

describe('pictures', () => {
  it('are kept by the hash of their content, once, with a copy for the screen', async () => {
    const bytes = await sharp({ create: { width: 2400, height: 1200, channels: 3, background: '#875' } })
      .jpeg()
      .toBuffer();
    const first = await server.http.post('/api/pictures').set('content-type', 'image/jpeg').send(bytes).expect(201);
    expect(first.body).toMatchObject({ mime: 'image/jpeg', width: 2400, height: 1200 });
    const again = await server.http.post('/api/pictures').set('content-type', 'image/jpeg').send(bytes).expect(201);
    expect(again.body.hash).toBe(first.body.hash);
    expect(readdirSync(join(server.folder, 'pictures')).sort()).toEqual([
      first.body.hash,
      `${first.body.hash}.shown.webp`,
      `${first.body.hash}.small.webp`,
    ]);
    const shown = await server.http.get(`/api/pictures/${first.body.hash}`).expect(200).expect('content-type', /webp/);
    expect(await sharp(shown.body as Buffer).metadata()).toMatchObject({ width: 1600, height: 800 });
    const original = await server.http
      .get(`/api/pictures/${first.body.hash}`)
      .query({ original: 1 })
      .expect('content-type', 'image/jpeg');
    expect(Buffer.compare(original.body as Buffer, bytes)).toBe(0);
  });
});

describe('the demo world over the same requests as a person’s taps', () => {
  let demo: Harness;
  beforeAll(async () => {
    demo = await harness({ empty: true });
    const must = async (request: Promise<{ status: number; body: never }>) => {
      const reply = await request;
      if (reply.status >= 400) throw new Error(JSON.stringify(reply.body));
      return reply.body;
    };
    await seedDemo(
      {
        putShop: async (shop) => void (await must(demo.http.put('/api/shop').send(shop) as never)),
        takeLife: async (file, onto) =>
          void (await server.http.post('/api/signed-files').send({ by: 'isla', file, onto }).expect(201)),
        putVehicle: async (id, vehicle) =>
          void (await must(demo.http.put(`/api/vehicles/${id}`).send({ by: 'isla', vehicle }) as never)),
        putProcedure: async (procedure, basedOn, note) =>
          void (await must(
            demo.http.put(`/api/procedures/${procedure.id}`).send({ by: 'isla', basedOn, note, procedure }) as never,
          )),
        send: (jobId, command) => must(demo.http.post(`/api/jobs/${jobId}/commands`).send(command as object) as never),
        putRecording: async (packed) =>
          (
            (await must(
              demo.http
                .post('/api/recordings')
                .set('content-type', 'application/octet-stream')
                .send(Buffer.from(packed)) as never,
            )) as { hash: string }
          ).hash,
        putPicture: async (svg) =>
          (
            (await must(
              demo.http
                .post('/api/pictures')
                .set('content-type', 'image/png')
                .send(await sharp(Buffer.from(svg)).resize(80).png().toBuffer()) as never,
            )) as { hash: string }
          ).hash,
      },
      Date.parse(NOW),
    );
  });
  afterAll(() => demo.close());

  it('estimates the saloon as Prepare plans it: the same hours within the spread, the soak apart', () => {
    const job = demo.services.jobs.job('job-234')!;
    const family = demo.services.families.get(job.vehicle.familyId ?? null);
    const knowledge = demo.services.knowledge.newest();
    const procedure = demo.services.procedures.get(job.procedure!.id, job.procedure!.version)!;
    const settings = demo.services.settings.shop();
    const diagnosis = diagnoseJob(job, knowledge, family);
    const { terms } = jobChoice(job, diagnosis, knowledge, family, procedure, [], settings);
    const decided = terms.find(({ id }) => id === job.decision!.choice)!;
    const labour = estimateLines(decided, String, settings.ratePerHourMinor, wayMinutes(procedure)).filter(
      ({ words }) => words.includes('minutes'),
    );
    const estimated = (labour.reduce((sum, { minor }) => sum + minor, 0) / settings.ratePerHourMinor) * 60;
    const outlook = jobOutlook(job, {}, [])!;
    const planned = outlook.off.likely + outlook.back.likely + outlook.units;
    expect(planned).toBeGreaterThan(300);
    expect(planned).toBeGreaterThanOrEqual(estimated * ESTIMATE_SPREAD.low);
    expect(planned).toBeLessThanOrEqual(estimated * ESTIMATE_SPREAD.high);
    expect(labour.at(-1)!.words).toContain('soaking, not charged');
  });
  it('is the vehicles of now and of the past, nine jobs of now with two of them finished, and the past ones', async () => {
    const ids = ((await demo.http.get('/api/vehicles')).body.rows as { id: string }[]).map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(Object.keys(vehicles)));
    expect(ids.length).toBeGreaterThan(Object.keys(vehicles).length);
    const jobs = (await demo.http.get('/api/jobs')).body.rows as { number: number; status: string; stage: string }[];
    const past = jobs.slice(9);
    expect(past.length).toBe(PAST_JOBS);
    expect(past.every(({ status, number }) => status === 'closed' && number < 228)).toBe(true);
    expect(jobs.slice(0, 9).map(({ status, stage }) => `${status} ${stage}`)).toEqual([
      'open clean',
      'open rebuild',
      'open prepare',
      'open diagnose',
      'open clean',
      'open prepare',
      'open refit',
      'closed hand-over',
      'closed hand-over',
    ]);
  });
  it('tells another shop of no customer, no name of a person, and no money', () => {
    const { people, vehicles: files, lives } = demo.services;
    const private_ = [...people.names().values()];
    let chapters = 0;
    for (const { id } of demo.db.prepare<[], { id: string }>('SELECT id FROM vehicle').all()) {
      const file = demo.services.oneGo.run(() => lives.tellVehicle(id, NOW))!;
      const text = JSON.stringify(file.body.chapters);
      chapters += file.body.chapters.length;
      for (const word of [...private_, files.get(id)!.owner].filter(Boolean)) expect([id, text]).not.toEqual([id, expect.stringContaining(word)]); // prettier-ignore
      expect(text).not.toMatch(/\d[.,]\d\d cr\b/);
    }
    expect(chapters).toBe(PAST_JOBS + 2);
  });
  it('prints every sheet as a PDF with text that can be searched, and the finished ones hold nothing', async () => {
    for (const id of ['job-228', 'job-229', 'job-230']) {
      const pdf = await demo.http
        .get(`/api/jobs/${id}/sheet.pdf`)
        .expect(200)
        .expect('content-type', 'application/pdf');
      expect((pdf.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
      expect((pdf.body as Buffer).length).toBeGreaterThan(8000);
    }
    expect(
      demo.db.prepare("SELECT held, items_off FROM job_summary WHERE status = 'closed' AND number >= 228").all(),
    ).toEqual([
      { held: 0, items_off: 0 },
      { held: 0, items_off: 0 },
    ]);
  });
  it('leaves with a file and comes back the same into an empty store', async () => {
    const file = await demo.http.get('/api/jobs/job-229/file').expect(200);
    const other = await harness({ empty: true });
    try {
      await other.http
        .put('/api/shop')
        .send({
          people: [{ id: 'isla', name: 'Isla Renn', role: 'lead', bay: 'bay 1' }],
          settings: {},
          wrenches: [],
          stock: [],
          procedures: [],
        })
        .expect(200);
      await other.http
        .post('/api/job-files')
        .query({ by: 'isla' })
        .send(file.body)
        .expect(201, { ok: true, jobId: 'job-229', number: 229, strangers: [] });
      const [mine, theirs] = [demo.services.jobs.job('job-229'), other.services.jobs.job('job-229')];
      expect(theirs).toEqual(mine);
      await other.http.get('/api/jobs/job-229/verify').expect(200, { whole: true, brokenAt: null });
      const hash = mine?.pictures[0]?.hash ?? '';
      const [a, b] = await Promise.all(
        [demo, other].map(({ http }) => http.get(`/api/pictures/${hash}`).query({ original: 1 })),
      );
      expect(Buffer.compare(a!.body as Buffer, b!.body as Buffer)).toBe(0);
      const rows = (db: Harness['db']) =>
        db.prepare("SELECT * FROM torque_result WHERE job_id = 'job-229' ORDER BY item_id, bolt_id").all();
      expect(rows(other.db)).toEqual(rows(demo.db));
      expect(rows(demo.db).length).toBeGreaterThanOrEqual(13);
      await other.http.post('/api/job-files').query({ by: 'isla' }).send(file.body).expect(409);
    } finally {
      other.close();
    }
  });
  it('takes nothing from a file that was altered', async () => {
    const file = (await demo.http.get('/api/jobs/job-228/file')).body;
    const altered = structuredClone(file);
    altered.events[5].by = 'wen';
    const empty = await harness({ empty: true });
    await empty.http.put('/api/shop').send({
      people: [{ id: 'isla', name: 'Isla Renn', role: 'lead', bay: 'bay 1' }],
      settings: {},
      wrenches: [],
      stock: [],
      procedures: [],
    });
    const reply = await empty.http.post('/api/job-files').query({ by: 'isla' }).send(altered).expect(400);
    expect(reply.body.error.message).toContain('breaks at entry 6');
    expect((await empty.http.get('/api/jobs')).body.rows).toEqual([]);
    empty.close();
  });
  it('counts stock down by what jobs used', async () => {
    const stock = (await demo.http.get('/api/stock')).body.rows as { partNumber: string; left: number }[];
    expect(stock.find(({ partNumber }) => partNumber === 'NP-25-1107')?.left).toBe(1);
  });
});
