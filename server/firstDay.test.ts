import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { plainItem } from '../core/procedure/index.ts';
import { type Harness, harness, openJob } from './testing/harness.ts';

const ida = { name: 'Ida Holm', role: 'lead', bay: 'bay 1' };
const WRENCH = {
  name: 'Small click',
  scale: { unit: 'N·m', low: 4, high: 20, step: 0.5 },
  deviationPercent: null,
  calibratedOn: null,
};

describe('an empty shop', () => {
  let server: Harness;
  beforeAll(async () => {
    server = await harness({ empty: true });
  });
  afterAll(() => server.close());
  const audit = (): readonly { readonly kind: string; readonly person: string }[] =>
    server.db.prepare<[], { kind: string; person: string }>('SELECT kind, person FROM audit ORDER BY id').all();

  it('begins with somebody who answers for it, and with nobody else', async () => {
    const refused = await server.http
      .put('/api/people/wen')
      .send({ by: 'wen', person: { ...ida, name: 'Wen', role: 'apprentice' } })
      .expect(400);
    expect(refused.body.error.fields).toEqual({
      'person.role': 'Somebody has to answer for the shop: a lead or the owner.',
    });
    expect(server.services.people.all()).toEqual([]);
    await server.http.put('/api/people/ida').send({ by: 'ida', person: ida }).expect(200);
    expect(server.services.people.roleOf('ida')).toBe('lead');
    expect(audit().at(-1)).toEqual({ kind: 'person-kept', person: 'ida' });
    // From then on nobody adds themselves.
    await server.http
      .put('/api/people/eve')
      .send({ by: 'eve', person: { ...ida, name: 'Eve' } })
      .expect(400);
  });
  it('takes in others, tells two of one name apart, and lets them leave and come back', async () => {
    const put = (id: string, person: object, by = 'ida') => server.http.put(`/api/people/${id}`).send({ by, person });
    await put('per', { name: 'Per Lund', role: 'technician', bay: '' }).expect(200);
    await put('eve', { name: 'Eve Strand', role: 'apprentice', bay: '' }, 'per').expect(403);
    const twice = await put('per2', { name: 'per lund', role: 'technician', bay: '' }).expect(400);
    expect(twice.body.error.fields['person.name']).toContain('There is a per lund already');
    const last = await server.http.post('/api/people/ida/leave').send({ by: 'ida' }).expect(400);
    expect(last.body.error.message).toContain('answer for the shop');
    await server.http.post('/api/people/per/leave').send({ by: 'ida' }).expect(200);
    expect(server.services.people.roleOf('per')).toBeNull();
    expect(server.services.people.names().get('per')).toBe('Per Lund');
    expect(server.services.people.here().map(({ id }) => id)).toEqual(['ida']);
    await server.http.post('/api/people/per/leave').send({ by: 'ida' }).expect(404);
    await put('per', { name: 'Per Lund', role: 'technician', bay: 'bay 2' }).expect(200);
    expect(server.services.people.roleOf('per')).toBe('technician');
  });
  it('hangs wrenches and tools on the wall and takes them down', async () => {
    const hung = await server.http.put('/api/wrenches/w1').send({ by: 'ida', wrench: WRENCH }).expect(200);
    expect(hung.body.wrenches).toEqual([{ id: 'w1', ...WRENCH }]);
    const upside = { ...WRENCH, scale: { ...WRENCH.scale, low: 30 } };
    const refused = await server.http.put('/api/wrenches/w2').send({ by: 'ida', wrench: upside }).expect(400);
    expect(refused.body.error.fields).toEqual({ 'wrench.scale': 'Expected the smaller figure first.' });
    await server.http.put('/api/wrenches/w3').send({ by: 'per', wrench: WRENCH }).expect(403);
    const tool = { name: 'Strap wrench', place: 'rack', range: '', calibratedOn: null, calibrationMonths: null };
    await server.http.put('/api/tools/t1').send({ by: 'ida', tool }).expect(200);
    expect(server.services.tools.all()).toEqual([{ id: 't1', ...tool }]);
    await server.http.delete('/api/tools/t1?by=ida').expect(200);
    await server.http.delete('/api/wrenches/w1?by=ida').expect(200);
    await server.http.delete('/api/wrenches/w1?by=ida').expect(404);
    expect([server.services.tools.all(), server.services.tools.wrenches()]).toEqual([[], []]);
    expect(audit().map(({ kind }) => kind)).toEqual(
      expect.arrayContaining(['wrench-kept', 'wrench-removed', 'tool-kept', 'tool-removed']),
    );
  });
  it('takes in the starter set once; what the shop wrote over it stays', async () => {
    const taken = await server.http.post('/api/starter').send({ by: 'ida' }).expect(200);
    expect(taken.body.added).toBe(taken.body.of);
    const { families } = server.services;
    const own = families.get('starter-electronic')!;
    expect(Object.values(own.figures).every((figure) => figure.source === null)).toBe(true);
    const { id: _, ...input } = { ...own, name: 'Ours' };
    families.put('starter-electronic', input as never, 1, { by: 'ida', at: '2026-05-13T13:09:00.000Z' });
    const again = await server.http.post('/api/starter').send({ by: 'ida' }).expect(200);
    expect(again.body.added).toBe(0);
    expect(families.get('starter-electronic')?.name).toBe('Ours');
    await server.http.post('/api/starter').send({ by: 'per' }).expect(403);
  });
  it('takes a vehicle of which only plate and kind are known, and a job on it', async () => {
    const vehicle = {
      plate: 'QX 1',
      use: 'outboard',
      vin: '',
      make: '',
      model: '',
      nickname: '',
      year: null,
      engine: '',
      throttle: 'cable',
      idleValve: 'none',
      owner: '',
      meterUnit: 'h',
      figures: { idleRpm: null, valveDuty: null, closedVolts: null },
      units: [],
      notes: '',
    };
    await server.http.put('/api/vehicles/qx').send({ by: 'ida', vehicle }).expect(201);
    expect(server.services.vehicles.get('qx')).toMatchObject({ plate: 'QX 1', use: 'outboard' });
    const opening = { vehicleId: 'qx', reading: { value: 12, unit: 'h' }, readingReason: '', complaint: 'Stalls.' };
    await server.send('first', 'open-job', opening, { by: 'ida' }).expect(201);
    expect(server.services.jobs.job('first')?.vehicle).toMatchObject({ use: 'outboard', make: '' });
    // Who works alone answers for what is let pass.
    await server.http.post('/api/people/per/leave').send({ by: 'ida' }).expect(200);
    const pass = { keys: ['cooling-water water'], reason: 'on the hose' };
    await server.send('first', 'override-hold', pass, { by: 'ida' }).expect(201);
  });
});

describe('a job that rests or is called off', () => {
  it('says so in the lists, and is opened again with a reason', async () => {
    const server = await harness();
    await openJob(server, 'r').expect(201);
    const line = async () =>
      (await server.http.get('/api/jobs?q=TQ%20417').expect(200)).body.rows.find(
        ({ id }: { id: string }) => id === 'r',
      );
    await server.send('r', 'assign-job', { to: 'isla', name: 'Isla Renn', note: '' }).expect(201);
    await server.send('r', 'put-aside', { until: '2026-05-20', why: 'seal on order' }).expect(201);
    expect(await line()).toMatchObject({
      assigned: 'isla',
      aside: { until: '2026-05-20', why: 'seal on order' },
      cancelled: null,
      status: 'open',
    });
    await server.send('r', 'cancel-job', { why: 'sold' }).expect(201);
    expect(await line()).toMatchObject({ aside: null, cancelled: 'sold', status: 'closed' });
    await server.send('r', 'make-note', { id: 'n', stage: 'strip', text: 'late' });
    await server.send('r', 'reopen-job', { reason: 'not sold' }).expect(201);
    expect(await line()).toMatchObject({ cancelled: null, status: 'open' });
    server.close();
  });
});

describe('figures of like jobs', () => {
  let server: Harness;
  beforeAll(async () => {
    server = await harness();
    const bolts = (id: string, spec: string | null, thread = 'M6×25') => ({
      item: plainItem(id, 'Flange bolts', 'fasteners', {
        fasteners: { count: 4, thread, into: '', bolts: [], fractions: [1], spec: null, joint: 'flange' },
        note: spec ?? '',
      }),
      opening: null,
      pocket: '',
      plug: null,
    });
    for (const [job, vehicle] of [
      ['a', 'bus'],
      ['b', 'bus'],
      ['c', 'van2'],
    ] as const) {
      await openJob(server, job, { vehicleId: vehicle, reading: { value: 400_000, unit: 'km' } }).expect(201);
      await server.send(job, 'take-off-typed', bolts('bolts', null)).expect(201);
    }
    for (const [job, text] of [
      ['a', '8 to 10 Nm'],
      ['c', '30 Nm'],
    ] as const)
      await server.send(job, 'give-figure', { itemId: 'bolts', text, source: 'book 3', like: null }).expect(201);
  });
  afterAll(() => server.close());
  const like = (job: string, item = 'bolts') => server.http.get(`/api/jobs/${job}/like-figures?item=${item}`);

  it('come from the same thread in the same kind of joint on a like vehicle, with that job', async () => {
    const { body } = await like('b').expect(200);
    expect(body).toEqual([
      {
        jobId: 'a',
        number: expect.any(Number) as number,
        plate: 'TQ 417',
        vehicle: 'Norrland Parcel',
        name: 'Flange bolts',
        text: '8 to 10 Nm',
        source: 'book 3',
        kin: 'vehicle',
      },
    ]);
    expect((await like('b', 'nothing').expect(200)).body).toEqual([]);
    await like('nowhere').expect(404);
    await server.http.get('/api/jobs/b/like-figures').expect(400);
  });
  it('stand in their table with what has none and what goes by feel', async () => {
    const rows = () =>
      server.db.prepare('SELECT job_id, text, target_nm, by_feel, wanted FROM fastener_group ORDER BY job_id').all();
    expect(rows()).toEqual([
      { job_id: 'a', text: '8 to 10 Nm', target_nm: 9, by_feel: null, wanted: 0 },
      { job_id: 'b', text: null, target_nm: null, by_feel: null, wanted: 1 },
      { job_id: 'c', text: '30 Nm', target_nm: 30, by_feel: null, wanted: 0 },
    ]);
    await server.send('b', 'choose-by-feel', { itemIds: ['bolts'], why: 'no book' }).expect(201);
    expect(rows()[1]).toEqual({ job_id: 'b', text: null, target_nm: null, by_feel: 'no book', wanted: 0 });
  });
});
