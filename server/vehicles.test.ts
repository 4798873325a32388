import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sheetOf } from '../core/job/index.ts';
import { speaker } from '../core/sheet/index.ts';
import type { Vehicle } from '../core/vehicle/index.ts';
import { type Harness, harness, openJob } from './testing/harness.ts';

describe('a vehicle that is wrong in the list', () => {
  let server: Harness;
  beforeAll(async () => {
    server = await harness();
  });
  afterAll(() => server.close());
  const get = (id: string): Vehicle | null => server.services.vehicles.get(id);
  async function copy(id: string, plate: string, more: Partial<Vehicle> = {}): Promise<void> {
    const { id: _, lastReading: __, ...bus } = get('bus')!;
    await server.http
      .put(`/api/vehicles/${id}`)
      .send({ by: 'isla', basedOn: 0, vehicle: { ...bus, plate, units: [], ...more } })
      .expect(201);
  }

  it('keeps which computer is fitted and what its cooling system holds', async () => {
    const coolant = { capacityL: 6.5, glycol: 'ethylene', concentration: 0.5, bleedPoint: 'housing' } as const;
    await copy('keeps', 'KE 1', { computer: 'EU4 3F2', coolant });
    expect(get('keeps')).toMatchObject({ computer: 'EU4 3F2', coolant });
    const { id: _, lastReading: __, ...same } = get('keeps')!;
    const again = { by: 'isla', basedOn: 1, vehicle: { ...same, coolant: { ...coolant, capacityL: 900 } } };
    const refused = await server.http.put('/api/vehicles/keeps').send(again).expect(400);
    expect(refused.body.error.fields['vehicle.coolant.capacityL']).toBe('Expected 0.1 to 60 L.');
  });

  it('keeps whether its engine starts by itself, and that nobody has said', async () => {
    await copy('hybrid', 'HY 1', { selfStarting: true });
    await copy('plain', 'PL 1', { selfStarting: false });
    await copy('unsaid', 'UN 1');
    expect(['hybrid', 'plain', 'unsaid'].map((id) => get(id)?.selfStarting)).toEqual([true, false, undefined]);
    await openJob(server, 'hybrid-job', { vehicleId: 'hybrid' }).expect(201);
    expect(server.services.jobs.job('hybrid-job')?.vehicle.selfStarting).toBe(true);
  });

  it('goes when nothing hangs on it, and its units lie loose', async () => {
    const unit = { id: 'loose-tb', kind: 'throttle-body', place: 'only', partNumber: 'TB-9', variant: '' } as const;
    await copy('slip', 'SL 1', { units: [unit] });
    await server.http.delete('/api/vehicles/slip?by=wen').expect(200);
    expect(get('slip')).toBeNull();
    expect(server.services.units.get('loose-tb')?.vehicleId).toBeNull();
    expect(server.services.audit.of('vehicle', 'slip', undefined, 1)).toMatchObject([{ kind: 'vehicle-removed' }]);
    await server.http.delete('/api/vehicles/slip?by=wen').expect(404);
  });

  it('stays while a job is on it, and says what would help', async () => {
    await copy('held', 'HE 1');
    await openJob(server, 'held-job', { vehicleId: 'held' }).expect(201);
    const refused = await server.http.delete('/api/vehicles/held?by=isla').expect(409);
    expect(refused.body.error).toMatchObject({ code: 'jobs-on-it', message: 'HE 1 has a job.' });
    expect(get('held')).not.toBeNull();
  });

  it('is put right on the job itself, in its own log', async () => {
    await copy('right', 'RI 1');
    await copy('wrong', 'WR 1');
    await openJob(server, 'moved', { vehicleId: 'wrong' }).expect(201);
    await server.send('moved', 'move-job', { vehicleId: 'gone', why: 'x' }).expect(404);
    await server.send('moved', 'move-job', { vehicleId: 'right', why: '' }).expect(400);
    await server.send('moved', 'move-job', { vehicleId: 'right', why: 'picked the wrong one' }).expect(201);
    expect(server.services.jobs.job('moved')?.vehicle.plate).toBe('RI 1');
    const line = server.db.prepare('SELECT vehicle_id, plate FROM job_summary WHERE job_id = ?').get('moved');
    expect(line).toEqual({ vehicle_id: 'right', plate: 'RI 1' });
    expect(get('right')?.lastReading).toMatchObject({ value: 148_220 });
    expect(get('wrong')?.lastReading).toBeNull();
  });

  it('is merged into its other entry: jobs, units and audit', async () => {
    const unit = { id: 'twin-tb', kind: 'throttle-body', place: 'only', partNumber: 'TB-7', variant: 'B' } as const;
    await copy('twice', 'TW 1', { units: [unit] });
    await copy('once', 'TW 2');
    await openJob(server, 'twin-1', { vehicleId: 'twice' }).expect(201);
    await server.send('twin-1', 'cancel-job', { why: 'sold' }).expect(201);
    await openJob(server, 'twin-2', { vehicleId: 'twice' }).expect(201);
    const merge = (body: object, by = 'isla') => server.http.post('/api/vehicles/twice/merge').send({ by, ...body });
    const itself = await merge({ into: 'twice', why: 'new plate' }).expect(400);
    expect(itself.body.error.fields).toEqual({ into: 'That is the same vehicle. Pick the other entry of it.' });
    await merge({ into: 'nowhere', why: 'new plate' }).expect(404);
    await merge({ into: 'once', why: ' ' }).expect(400);
    await merge({ into: 'once', why: 'new plate' }, 'wen').expect(403);
    expect((await merge({ into: 'once', why: 'new plate' }).expect(200)).body).toEqual({ into: 'once', jobs: 2 });
    expect(get('twice')).toBeNull();
    expect(get('once')?.units).toMatchObject([{ id: 'twin-tb', partNumber: 'TB-7', variant: 'B' }]);
    for (const id of ['twin-1', 'twin-2']) {
      expect(server.services.jobs.job(id)?.wrongVehicles).toMatchObject([{ plate: 'TW 1', why: 'new plate' }]);
      expect(server.services.jobs.verify(id)).toBeNull();
    }
  });

  it('may be no vehicle at all: a loose unit has a job without a reading', async () => {
    await copy('loose', 'Pump house body', { use: 'loose', meterUnit: 'h' });
    await openJob(server, 'counter', { vehicleId: 'loose', reading: { value: 0, unit: 'h' } }).expect(201);
    await openJob(server, 'counter-2', { vehicleId: 'loose', reading: { value: 0, unit: 'h' } }).expect(201);
    expect(get('loose')?.lastReading).toBeNull();
    const sheet = sheetOf(server.services.jobs.job('counter')!, speaker(new Map(), 'cr', 'UTC'));
    expect(sheet.identity.find(({ label }) => label === 'Vehicle')?.value).toBe('none: a loose unit');
  });
});

describe('entries put right, over the wire', () => {
  let server: Harness;
  beforeAll(async () => {
    server = await harness();
    await openJob(server, 'j').expect(201);
  });
  afterAll(() => server.close());

  it('are struck, said anew and redone, and the columns follow the log', async () => {
    const code = { id: 'k', code: 'P0505', status: 'stored', when: 'before', note: '' };
    const sent = await server.send('j', 'read-code', code).expect(201);
    const command = sent.body.events.at(-1).commandId as string;
    const rows = (): unknown =>
      server.db.prepare("SELECT code, status FROM code WHERE job_id = 'j' AND code = 'P0505'").all();
    expect(rows()).toEqual([{ code: 'P0505', status: 'stored' }]);
    const name = { command, kind: 'code-read', nth: 0 };
    const bad = await server
      .send('j', 'correct-entry', { ...name, why: '', is: [{ field: 'code', text: 'nonsense' }] })
      .expect(400);
    expect(Object.keys(bad.body.error.fields)).toEqual(['data.code']);
    const anew = await server
      .send('j', 'correct-entry', { ...name, why: 'misread', is: [{ field: 'status', text: 'pending' }] })
      .expect(201);
    expect(rows()).toEqual([{ code: 'P0505', status: 'pending' }]);
    const again = anew.body.events.at(-1).commandId as string;
    await server.send('j', 'strike-entry', { command: again, kind: 'code-read', nth: 0, why: 'other car' }).expect(201);
    expect(rows()).toEqual([]);
    const strike = server.services.jobs.job('j')!.undo!.commandId;
    const undone = await server.send('j', 'undo', { expected: strike }).expect(201);
    expect(rows()).toEqual([{ code: 'P0505', status: 'pending' }]);
    await server.send('j', 'redo', { expected: undone.body.events.at(-1).commandId }).expect(201);
    expect(rows()).toEqual([]);
    expect(server.services.jobs.verify('j')).toBeNull();
    const job = server.services.jobs.job('j');
    server.services.jobs.rebuild();
    expect(rows()).toEqual([]);
    expect(job?.struck).toHaveLength(2);
  });
});

describe('a shop that changes', () => {
  let server: Harness;
  beforeAll(async () => {
    server = await harness();
    await openJob(server, 'j').expect(201);
  });
  afterAll(() => server.close());

  it('lets nobody leave with open jobs until somebody has them', async () => {
    const wen = server.services.people.here().find(({ id }) => id === 'wen')!;
    await server.send('j', 'assign-job', { to: 'wen', name: wen.name, note: '' }).expect(201);
    const leave = (body: object) => server.http.post('/api/people/wen/leave').send({ by: 'isla', ...body });
    const held = await leave({}).expect(409);
    expect(held.body.error).toMatchObject({ code: 'jobs-with-them', wouldHelp: 'Say who has them from now on.' });
    expect(held.body.error.message).toMatch(/still has job \d+\./);
    await leave({ to: 'wen' }).expect(400);
    await leave({ to: 'nobody' }).expect(400);
    expect(server.services.people.roleOf('wen')).not.toBeNull();
    await leave({ to: 'tomas' }).expect(200);
    expect(server.services.people.roleOf('wen')).toBeNull();
    expect(server.services.jobs.job('j')?.assigned).toMatchObject({
      to: 'tomas',
      note: `${wen.name} has left the workshop`,
    });
    expect(server.services.jobLines.assignedTo('wen')).toEqual([]);
  });

  it('asks what recorded prices mean in another currency', async () => {
    const now = server.services.settings.shop();
    const put = (more: object) =>
      server.http.put('/api/settings').send({ by: 'isla', settings: { ...now, currency: 'EUR' }, ...more });
    const asked = await put({}).expect(409);
    expect(asked.body.error.code).toBe('money-recorded');
    expect(asked.body.error.message).toContain('would read as EUR');
    expect(server.services.settings.shop().currency).toBe('cr');
    await put({ sameFigures: true }).expect(200);
    expect(server.services.settings.shop().currency).toBe('EUR');
  });

  it('has figures of the trade of its own, with where they are from and who said so', async () => {
    const put = (id: string, body: object, by = 'isla') =>
      server.http.put(`/api/figures/${id}`).send({ by, source: null, ...body });
    await put('soak-minutes', { value: 30 }, 'tomas').expect(403);
    const out = await put('soak-minutes', { value: 0 }).expect(400);
    expect(out.body.error.fields).toEqual({ value: 'Expected 1 to 1440 min, got 0.' });
    await put('no-such', { value: 1 }).expect(400);
    await put('soak-minutes', { value: 30, source: 'our last twenty' }).expect(200);
    const told = await server.http.get('/api/shop').expect(200);
    expect(told.body.figures).toMatchObject({ 'soak-minutes': { value: 30, source: 'our last twenty', by: 'isla' } });
    expect(server.services.audit.of('shop', 'shop', undefined, 1)).toMatchObject([{ kind: 'settings' }]);
    expect((await put('soak-minutes', { value: null }).expect(200)).body.figures).toEqual({});
  });
});
