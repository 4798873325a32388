import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Change } from '../contract/index.ts';
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

/** Reads changes from the stream until it has so many. */
async function changes(reader: ReadableStreamDefaultReader<Uint8Array>, count: number): Promise<Change[]> {
  const found: Change[] = [];
  while (found.length < count) {
    const { value, done } = await reader.read();
    if (done) break;
    const text = new TextDecoder().decode(value);
    found.push(...[...text.matchAll(/data: (.+)/g)].map(([, change]) => JSON.parse(change!) as Change));
  }
  return found;
}

it('one stream tells of every job and every list that was changed, once it is on disk, and of nothing else', async () => {
  const stream = await fetch(`${address}/api/changes`, { headers: { 'accept-encoding': 'gzip' } });
  expect(stream.headers.get('content-type')).toContain('text/event-stream');
  expect(stream.headers.get('content-encoding')).toBeNull();
  const reader = stream.body!.getReader() as ReadableStreamDefaultReader<Uint8Array>;
  await openJob(server, 'j').expect(201);
  await openJob(server, 'other', { vehicleId: 'van1', reading: { value: 119_000, unit: 'km' } }).expect(201);
  await server.send('j', 'note-symptom', { id: 's', text: '' }).expect(400);
  await server.send('j', 'note-symptom', { id: 's', text: 'hunts' }).expect(201);
  const movement = { id: 'm', kind: 'received', figure: 2, batch: '', bestBefore: null, note: '' };
  await server.http.post('/api/stock/s-1107/movements').send({ by: 'wen', movement }).expect(201);
  await server.http.post('/api/stock/nothing/movements').send({ by: 'wen', movement }).expect(404);
  await server.http.put('/api/references?x=1').send({ by: 'nobody' }).expect(400);
  expect(await changes(reader, 4)).toEqual([
    { kind: 'job', id: 'j', version: 3 },
    { kind: 'job', id: 'other', version: 3 },
    { kind: 'job', id: 'j', version: 4 },
    { kind: 'rows', list: 'stock' },
  ]);
  await reader.cancel();
});
