import { inflateSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Page, VisitFigure } from '../contract/index.ts';
import { ENGINE_KINDS } from '../core/engine/index.ts';
import { keepingOf, reportBy } from '../core/job/index.ts';
import { pack } from '../core/trace/index.ts';
import { recordEngine } from '../demo/recordings.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => (server = await harness()));
afterAll(() => server.close());

const dirty = { depositMm2: 3.1, valveStickPercent: 18 };
async function visit(job: string, km: number, choice: string): Promise<void> {
  await openJob(server, job, { reading: { value: km, unit: 'km' } }).expect(201);
  for (const when of ['before', 'after'] as const) {
    const trace = recordEngine(ENGINE_KINDS.valve, when === 'before' ? dirty : {}, when === 'before' ? 3 : 4);
    const { body } = await server.http
      .post('/api/recordings')
      .set('content-type', 'application/octet-stream')
      .send(Buffer.from(pack(trace)))
      .expect(201);
    const { hash } = body as { hash: string };
    const source = {
      id: `${job}-${when}`,
      hash,
      when,
      startedAt: NOW,
      from: 'adapter',
      ended: 'stopped',
      under: {},
    } as const;
    const { vehicle } = server.services.jobs.job(job)!;
    await server.send(job, 'keep-recording', keepingOf(trace, source, reportBy(vehicle))).expect(201);
  }
  await server
    .send(job, 'take-measurement', { id: `${job}-m`, kind: 'idle-rpm', when: 'after', value: 815 })
    .expect(201);
  await server.send(job, 'decide', { choice, reason: 'ring', departure: '', options: [] }).expect(201);
}

describe('figures of a vehicle over its visits', () => {
  it('stand along the meter, before and after, with what was done; what was typed comes first', async () => {
    await visit('first', 120_000, 'clean-bench');
    await visit('second', 148_000, 'relearn');
    const { body } = await server.http.get('/api/vehicles/bus/figures').expect(200);
    const { rows } = body as Page<VisitFigure>;
    const of = (jobId: string, kind: string, when: string) =>
      rows.filter((row) => row.jobId === jobId && row.kind === kind && row.when === when);
    expect(of('first', 'swing', 'before')[0]!.value).toBeGreaterThan(40);
    expect(of('first', 'swing', 'after')[0]!.value).toBe(0);
    expect(of('second', 'gap-area', 'after')).toMatchObject([
      { reading: 148_000, readingUnit: 'km', choice: 'relearn' },
    ]);
    expect(of('first', 'idle', 'after')).toMatchObject([{ value: 815, choice: 'clean-bench' }]);
    expect(rows.map(({ reading }) => reading)).toEqual([...rows.map(({ reading }) => reading)].sort((a, b) => a - b));
    expect((await server.http.get('/api/vehicles/farm/figures').expect(200)).body).toEqual({ rows: [], next: null });
  });
  it('are drawn into the printed sheet: both curves, and their words', async () => {
    const { body } = await server.http
      .get('/api/jobs/first/sheet.pdf')
      .buffer(true)
      .parse(bytes as never)
      .expect(200);
    const streams = streamsOf(body as Buffer);
    // The curve of before is broken: a dash of four and three.
    expect(streams.some((stream) => /\[4 3\] 0 d/.test(stream))).toBe(true);
    expect(streams.join('').match(/ l\n/g)!.length).toBeGreaterThan(400);
    await openJob(server, 'bare').expect(201);
    const bare = (
      await server.http
        .get('/api/jobs/bare/sheet.pdf')
        .buffer(true)
        .parse(bytes as never)
        .expect(200)
    ).body as Buffer;
    expect(streamsOf(bare).some((stream) => /\[4 3\] 0 d/.test(stream))).toBe(false);
  });
});

function bytes(response: NodeJS.ReadableStream, done: (error: Error | null, body: Buffer) => void): void {
  const parts: Buffer[] = [];
  response.on('data', (part: Buffer) => parts.push(part));
  response.on('end', () => done(null, Buffer.concat(parts)));
}

/** The drawings of a PDF in its own words. */
function streamsOf(pdf: Buffer): string[] {
  const found: string[] = [];
  for (let at = pdf.indexOf('stream\n'); at >= 0; at = pdf.indexOf('stream\n', at + 7)) {
    if (pdf.toString('latin1', at - 3, at) === 'end') continue;
    const end = pdf.indexOf('endstream', at);
    try {
      found.push(inflateSync(pdf.subarray(at + 7, end)).toString('latin1'));
    } catch {
      // A font or a picture.
    }
  }
  return found;
}
