import { afterEach, describe, expect, it } from 'vitest';
import type { InstrumentInfo, InstrumentNews, Page } from '../../contract/index.ts';
import { type Harness, harness } from '../testing/harness.ts';
import { InstrumentHub, serveInstrument } from './hub.ts';
import { STAND_INS, StandIn } from './standIns.ts';

const open: Harness[] = [];
async function shop(): Promise<Harness> {
  const made = await harness();
  open.push(made);
  return made;
}
afterEach(() => {
  for (const each of open.splice(0)) each.close();
});
const rows = async (server: Harness): Promise<readonly InstrumentInfo[]> =>
  ((await server.http.get('/api/instruments').expect(200)).body as Page<InstrumentInfo>).rows;
/** The next news that fits. */
const heard = (hub: InstrumentHub, id: string, fits: (news: InstrumentNews) => boolean): Promise<InstrumentNews> =>
  new Promise((resolve) => {
    const stop = hub.listen(id, (news) => {
      if (!fits(news)) return;
      queueMicrotask(() => stop());
      resolve(news);
    });
  });

describe('instruments of the bench', () => {
  it('are listed with their range and calibration, and paired with one station, by whom', async () => {
    const server = await shop();
    expect((await rows(server)).map(({ kind, station }) => [kind, station])).toEqual(
      STAND_INS.map(({ kind }) => [kind, null]),
    );
    const pair = (station: string | null) =>
      server.http.put('/api/instruments/scale-1/station').send({ by: 'tomas', station });
    await pair('bench-2').expect(200);
    expect((await rows(server)).find(({ id }) => id === 'scale-1')).toMatchObject({
      station: 'bench-2',
      high: 5000,
      calibratedOn: null,
    });
    expect(server.db.prepare("SELECT kind, person AS by FROM audit WHERE kind = 'instrument-paired'").all()).toEqual([
      { kind: 'instrument-paired', by: 'tomas' },
    ]);
    // What one shows goes to no other bench.
    await server.http.get('/api/instruments/scale-1/readings?station=bench-1').expect(409);
    await pair(null).expect(200);
    await server.http.get('/api/instruments/scale-1/readings?station=bench-2').expect(409);
    await server.http.put('/api/instruments/none/station').send({ by: 'tomas', station: 'x' }).expect(404);
    await pair('').expect(400);
  });
  it('send what they show, as it is set; a torque wrench tells one peak a pull', async () => {
    const server = await shop();
    const { instruments } = server.services;
    const set = (id: string, body: object) => server.http.put(`/api/instruments/${id}/shows`).send(body);
    await set('scale-1', { values: [398.5], unit: 'g', mood: 'steady' }).expect(200);
    expect((await heard(instruments, 'scale-1', () => true)).reading).toMatchObject({
      values: [398.5],
      unit: 'g',
      peak: false,
    });
    await set('wrench-1', { values: [9.1], unit: 'N·m', mood: 'steady' }).expect(200);
    const peak = await heard(instruments, 'wrench-1', ({ reading }) => reading?.peak === true);
    expect(peak.reading).toMatchObject({ values: [9.1], angleDeg: 47 });
    const after = await heard(instruments, 'wrench-1', ({ reading }) => reading !== null);
    expect(after.reading).toMatchObject({ values: [0], peak: false });
    await set('meter-1', { values: [1], unit: 'V', mood: 'overload' }).expect(200);
    expect((await heard(instruments, 'meter-1', () => true)).reading).toMatchObject({ values: null });
    await set('meter-1', { values: [1], unit: 'V', mood: 'unplugged' }).expect(200);
    expect(await heard(instruments, 'meter-1', () => true)).toMatchObject({
      gone: true,
      words: 'The instrument is unplugged.',
    });
    await set('meter-1', { values: [], unit: 'V', mood: 'steady' }).expect(400);
    expect(await heard(instruments, 'nothing', () => true)).toMatchObject({ gone: true });
  });
  it('are heard over TCP by the same lines, and said to be gone when they are', async () => {
    const server = await shop();
    const served = await serveInstrument('thermometer-1', 0);
    served.standIn.set([61.5], '°C', 'steady');
    const hub = new InstrumentHub(server.db, [served.port]);
    const listed = (await hub.list()).find(({ simulated }) => !simulated);
    expect(listed).toMatchObject({ id: `port-${served.port}`, kind: 'thermometer', name: 'Probe thermometer' });
    expect((await heard(hub, `port-${served.port}`, ({ reading }) => reading !== null)).reading).toMatchObject({
      values: [61.5],
    });
    expect(hub.set(`port-${served.port}`, [1], '°C', 'steady')).toBe(false);
    served.standIn.set([61.5], '°C', 'unplugged');
    expect(await heard(hub, `port-${served.port}`, ({ gone }) => gone)).toMatchObject({ gone: true });
    served.close();
    await expect(serveInstrument('toaster', 0)).rejects.toThrow(/toaster/);
    // Nothing answers on that port any more: it is not listed.
    expect((await hub.list()).every(({ simulated }) => simulated)).toBe(true);
  });
  it('wander when they are noisy', () => {
    const scale = new StandIn(STAND_INS.find(({ id }) => id === 'scale-1')!);
    scale.set([400], 'g', 'noisy');
    return new Promise<void>((done) => {
      const seen: string[] = [];
      const stop = scale.listen(
        (line) => {
          seen.push(line);
          if (seen.length < 4) return;
          stop();
          expect(new Set(seen).size).toBe(4);
          done();
        },
        () => undefined,
      );
    });
  });
});
