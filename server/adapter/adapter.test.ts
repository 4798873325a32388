import { createServer } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { AdapterReading } from '../../contract/index.ts';
import { createEngine, readings } from '../../core/engine/index.ts';
import { PIDS } from '../../core/obd/index.ts';
import { type Harness, harness, NOW, openJob } from '../testing/harness.ts';
import { AdapterHub } from './hub.ts';
import { AdapterError, InProcessVehicle, type Link, openTcp, serveTcp } from './links.ts';
import { Reader, readVehicle } from './reader.ts';
import { SCRIPTS, type VehicleScript } from './scripts.ts';
import { vinOf } from './simulator.ts';

const QUICK = { timeoutMs: 40, retries: 1 };
const script = (id: string): VehicleScript => SCRIPTS.find((each) => each.id === id)!;
const readerOf = (id: string, patience = QUICK): Reader =>
  new Reader(new InProcessVehicle(script(id)).open(), patience);

/** A link that answers each request with given lines. */
function scripted(answers: Readonly<Record<string, readonly string[]>>): Link & { readonly sent: string[] } {
  const sent: string[] = [];
  let lines: string[] = [];
  return {
    sent,
    send: (line) => {
      sent.push(line);
      lines.push(...(answers[line] ?? []));
    },
    next: (timeoutMs) => {
      const line = lines.shift();
      return line === undefined
        ? Promise.reject(new AdapterError('adapter-silent', `No answer within ${timeoutMs} ms.`))
        : Promise.resolve(line);
    },
    drain: () => {
      lines = [];
    },
    close: () => undefined,
  };
}

describe('reading a simulated vehicle', () => {
  it('reads all there is: VIN, codes, freeze frame and values in their units', async () => {
    const reading = await readVehicle(readerOf('van3'), { codes: true, values: true });
    expect(reading).toMatchObject({
      vin: vinOf(script('van3')),
      stored: ['P2119'],
      pending: ['P0171'],
      codesRead: true,
      problems: [],
      gone: false,
    });
    expect(reading.frame).toMatchObject({
      code: 'P2119',
      values: expect.arrayContaining([{ pid: 0x0c, name: 'Engine speed', value: 590, unit: 'rpm' }]),
    });
    const value = (pid: number) => reading.values.find((each) => each.pid === pid);
    expect(value(0x05)).toMatchObject({ name: 'Coolant temperature', unit: '°C' });
    // A coked plate and a computer that may add no more: it idles below its 720, and its air agrees with that.
    expect(value(0x0c)?.value).toBeGreaterThan(590);
    expect(value(0x0c)?.value).toBeLessThan(690);
    expect(value(0x10)?.value).toBeGreaterThan(1.2);
    expect(value(0x10)?.value).toBeLessThan(2.4);
    // Everything that the engine has and this program reads.
    const has = Object.keys(readings(createEngine(script('van3').engine))).map(Number);
    expect(reading.values.map(({ pid }) => pid).sort((a, b) => a - b)).toEqual(
      has.filter((pid) => PIDS.has(pid)).sort((a, b) => a - b),
    );
  });
  it('takes four codes, split over frames with flow control', async () => {
    expect(await readerOf('van2', { timeoutMs: 300, retries: 1 }).codes(0x03)).toEqual([
      'P2111',
      'P0507',
      'P2101',
      'P0121',
    ]);
  });
  it('asks again when an answer is rubbish, and waits for a slow one', async () => {
    expect((await readerOf('van2', { timeoutMs: 300, retries: 1 }).value(0x01, 0x10)).value).toBeGreaterThan(4);
    expect((await readerOf('van2', { timeoutMs: 300, retries: 0 }).value(0x01, 0x05)).value).toBeGreaterThan(80);
    await expect(readerOf('van2', { timeoutMs: 5, retries: 0 }).value(0x01, 0x05)).rejects.toMatchObject({
      code: 'adapter-silent',
    });
  });
  it('says in words what it could not read, and reads the rest', async () => {
    const reading = await readVehicle(readerOf('farm'), { codes: true, values: true });
    expect(reading.problems).toEqual([
      'Intake air temperature: No answer to 01 0F after 2 tries of 40 ms. Is the key on?',
      'Module voltage: The answer is empty. (01 42, 2 tries)',
    ]);
    expect(reading.values.map(({ pid }) => pid)).toContain(0x11);
    expect(reading).toMatchObject({ stored: [], codesRead: true, frame: null });
  });
  it('keeps what was read when the adapter goes in the middle', async () => {
    const reading = await readVehicle(readerOf('gone'), { codes: true, values: true });
    expect(reading).toMatchObject({ gone: true, stored: ['P0122'], codesRead: true, values: [] });
    expect(reading.problems).toEqual(['The adapter is gone: the connection closed.']);
  });
  it('does not ask again for what the vehicle refuses', async () => {
    const link = scripted({ '01 05': ['03 7F 01 12'] });
    await expect(new Reader(link, QUICK).value(0x01, 0x05)).rejects.toMatchObject({
      code: 'adapter-refuses',
      message: 'Mode 01: the vehicle does not have this value.',
    });
    expect(link.sent).toEqual(['01 05']);
  });
  it('waits when the vehicle asks for more time, but not for ever', async () => {
    const busy = '03 7F 01 78';
    expect((await new Reader(scripted({ '01 05': [busy, busy, '03 41 05 7B'] }), QUICK).value(0x01, 0x05)).value).toBe(
      83,
    );
    await expect(
      new Reader(scripted({ '01 05': Array.from({ length: 9 }, () => busy) }), QUICK).value(0x01, 0x05),
    ).rejects.toMatchObject({ code: 'adapter-refuses' });
  });
  it.each([
    ['a lost frame', ['10 0B 43 04 05 05 21 11', '22 01 02 03 04 05'], /Frame 1 of the answer is lost/],
    ['an answer to another question', ['03 41 0C 7B'], /got an answer to 01/],
    ['codes that are fewer than announced', ['04 43 03 05 05'], /announced 3 codes and sent 1/],
  ])('says so: %s', async (_, lines, words) => {
    await expect(new Reader(scripted({ '03': lines }), QUICK).codes(0x03)).rejects.toThrow(words);
  });
  it('forgets codes when told to, and remembers that between links', async () => {
    const vehicle = new InProcessVehicle(script('van3'));
    await new Reader(vehicle.open(), QUICK).clear();
    expect(await new Reader(vehicle.open(), QUICK).codes(0x03)).toEqual([]);
    await expect(new Reader(vehicle.open(), QUICK).value(0x02, 0x05)).rejects.toMatchObject({
      code: 'adapter-refuses',
    });
  });
});

describe('over TCP on this machine', () => {
  it('reads the same vehicle through a socket', async () => {
    const standIn = await serveTcp(script('van2'), 0);
    const link = await openTcp(standIn.port);
    const reading = await readVehicle(new Reader(link, { timeoutMs: 500, retries: 1 }), { codes: true, values: true });
    expect(reading).toMatchObject({
      vin: vinOf(script('van2')),
      stored: ['P2111', 'P0507', 'P2101', 'P0121'],
      problems: [],
    });
    expect(reading.values.map(({ pid }) => pid)).toContain(0x4c);
    link.close();
    standIn.close();
  });
  it('says that it is gone when the other side hangs up, or nothing listens', async () => {
    const standIn = await serveTcp(script('gone'), 0);
    const reading = await readVehicle(new Reader(await openTcp(standIn.port), { timeoutMs: 500, retries: 1 }), {
      codes: true,
      values: true,
    });
    expect(reading).toMatchObject({ gone: true, stored: ['P0122'] });
    standIn.close();
    const nobody = createServer();
    const port = await new Promise<number>((resolve) =>
      nobody.listen(0, '127.0.0.1', () => resolve((nobody.address() as { port: number }).port)),
    );
    await new Promise((resolve) => nobody.close(resolve));
    await expect(openTcp(port)).rejects.toThrow(/Nothing answers on port/);
  });
  it('is offered where it is expected, and nowhere else', async () => {
    const hub = new AdapterHub([4217]);
    expect(hub.list().map(({ id }) => id)).toEqual([...SCRIPTS.map(({ id }) => `sim.${id}`), 'tcp.4217']);
    for (const id of ['sim.nothing', 'tcp.99999', 'tcp.1', 'http://elsewhere'])
      await expect(hub.open(id)).rejects.toThrow(/There is no adapter/);
  });
});

describe('over the API', () => {
  let server: Harness;
  beforeAll(async () => {
    server = await harness();
    await openJob(server, 'j', { vehicleId: 'van3', reading: { value: 92_000, unit: 'km' } }).expect(201);
  });
  afterAll(() => server.close());
  const clear = (more: object = {}) =>
    server.http
      .post('/api/adapter/clear')
      .send({ link: 'sim.van3', jobId: 'j', commandId: 'clear-1', at: NOW, by: 'tomas', seen: 0, ...more });

  it('lists adapters and reads one', async () => {
    const { rows } = (await server.http.get('/api/adapter').expect(200)).body;
    expect(rows).toContainEqual({
      id: 'sim.van3',
      name: 'Simulated: post van 3, CW 118',
      vehicleId: 'van3',
      vin: 'XCW14EB24LT001180',
    });
    const reading = (
      await server.http.post('/api/adapter/read').send({ link: 'sim.van3', codes: true, values: false }).expect(200)
    ).body as AdapterReading;
    expect(reading).toMatchObject({ stored: ['P2119'], values: [] });
    await server.http.post('/api/adapter/read').send({ link: 'sim.none', codes: true, values: true }).expect(502);
    await server.http.post('/api/adapter/read').send({ link: 'sim.van3' }).expect(400);
  });
  it('keeps what was stored in the log before it clears, once', async () => {
    expect((await clear().expect(201)).body.events.map(({ type }: { type: string }) => type)).toEqual(
      expect.arrayContaining(['codes-cleared', 'clearing-ended']),
    );
    expect(server.db.prepare("SELECT codes, origin, outcome FROM clearing WHERE job_id = 'j'").all()).toEqual([
      { codes: 'P2119 P0171', origin: 'sim.van3', outcome: 'cleared' },
    ]);
    expect(server.services.jobs.job('j')?.frames).toMatchObject([{ code: 'P2119', values: { length: 5 } }]);
    await clear({ commandId: 'clear-0', by: 'ghost' }).expect(400);
    const after = (await server.http.post('/api/adapter/read').send({ link: 'sim.van3', codes: true, values: false }))
      .body;
    expect(after).toMatchObject({ stored: [], pending: [] });
    await clear().expect(201);
    expect(server.services.jobs.job('j')?.clearings).toHaveLength(1);
  });
  it('clears nothing on a job that is not there, or when the adapter goes before', async () => {
    await clear({ jobId: 'none', commandId: 'clear-2', link: 'sim.van2' }).expect(404);
    expect(
      (await server.http.post('/api/adapter/read').send({ link: 'sim.van2', codes: true, values: false })).body.stored,
    ).toHaveLength(4);
    await clear({ commandId: 'clear-3', link: 'sim.nothing' }).expect(502);
    expect(server.services.jobs.job('j')?.clearings).toHaveLength(1);
  });
  it('notes that a clearing failed, and why', async () => {
    const reply = await clear({ commandId: 'clear-4', link: 'sim.farm' }).expect(502);
    expect(reply.body.error).toMatchObject({
      code: 'adapter-refuses',
      message: 'Mode 04: not possible now, try key on, engine off.',
    });
    expect(server.services.jobs.job('j')?.clearings.at(-1)).toMatchObject({
      from: 'sim.farm',
      codes: [],
      ended: { outcome: 'failed' },
    });
  });
});
