import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type Harness, harness, openJob } from './testing/harness.ts';

let server: Harness;
let listening: Server;
let address = '';
beforeAll(async () => {
  server = await harness();
  listening = server.app.listen(0, '127.0.0.1');
  await new Promise((resolve) => listening.once('listening', resolve));
  address = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;
});
afterAll(() => {
  listening.closeAllConnections();
  listening.close();
  server.close();
});

/** Reads versions from a stream until it has so many. */
async function versions(reader: ReadableStreamDefaultReader<Uint8Array>, count: number): Promise<number[]> {
  const found: number[] = [];
  while (found.length < count) {
    const { value, done } = await reader.read();
    if (done) break;
    found.push(...[...new TextDecoder().decode(value).matchAll(/data: (\d+)/g)].map(([, version]) => Number(version)));
  }
  return found;
}

it('tells the version of a job, now and at every change, of this job alone', async () => {
  await openJob(server, 'j').expect(201);
  await openJob(server, 'other', { vehicleId: 'van1', reading: { value: 119_000, unit: 'km' } }).expect(201);
  const stream = await fetch(`${address}/api/jobs/j/changes`, { headers: { 'accept-encoding': 'gzip' } });
  expect(stream.headers.get('content-type')).toContain('text/event-stream');
  expect(stream.headers.get('content-encoding')).toBeNull();
  const reader = stream.body!.getReader() as ReadableStreamDefaultReader<Uint8Array>;
  expect(await versions(reader, 1)).toEqual([2]);
  await server.send('other', 'make-note', { id: 'n', stage: 'strip', text: 'x' }).expect(201);
  await server.send('j', 'make-note', { id: 'n', stage: 'strip', text: 'x' }).expect(201);
  await server.send('j', 'note-symptom', { id: 's', text: '' }).expect(400);
  await server.send('j', 'note-symptom', { id: 's', text: 'hunts' }).expect(201);
  expect(await versions(reader, 2)).toEqual([3, 4]);
  await reader.cancel();
  await fetch(`${address}/api/jobs/none/changes`).then(({ status }) => expect(status).toBe(404));
});
