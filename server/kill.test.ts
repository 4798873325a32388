import { type ChildProcess, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'esbuild';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { replay } from '../core/job/index.ts';
import { shop } from '../demo/shop.ts';
import { vehicles } from '../demo/vehicles.ts';
import { createServices } from './services.ts';
import { canonical } from './store/chain.ts';
import { openStore } from './store/open.ts';
import { PROJECTIONS } from './store/projections/index.ts';
import { storedRows } from './testing/storedRows.ts';

const TIMES = 30;
let folder: string;
let file: string;

beforeAll(async () => {
  folder = mkdtempSync(join(process.cwd(), 'node_modules', '.cache', 'uw-kill-'));
  file = join(mkdtempSync(join(tmpdir(), 'uw-kill-data-')), 'shop.sqlite');
  await build({
    entryPoints: ['server/main.ts'],
    outfile: join(folder, 'main.js'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    logLevel: 'error',
  });
  cpSync('server/store/migrations', join(folder, 'migrations'), { recursive: true });
});
afterAll(() => {
  for (const path of [folder, join(file, '..')]) rmSync(path, { recursive: true, force: true });
});

function start(): Promise<{ child: ChildProcess; address: string }> {
  const child = spawn(process.execPath, [join(folder, 'main.js'), '--data', file, '--port', '0'], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.stdout?.on('data', (chunk: Buffer) => {
      const address = /http:\/\/\S+/.exec(String(chunk))?.[0];
      if (address) resolve({ child, address });
    });
    child.on('exit', (code) => reject(new Error(`ended with ${code}`)));
  });
}
const post = (address: string, method: string, path: string, body: unknown): Promise<Response> =>
  fetch(`${address}/api${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

describe('killed in the middle of work', () => {
  it(`${TIMES} times: everything acknowledged is there, the chain is whole, projections equal a replay`, async () => {
    const acknowledged: { jobId: string; id: string }[] = [];
    let sent = 0;
    let seed = 20260513;
    const random = (): number => (seed = (seed * 1664525 + 1013904223) % 4294967296) / 4294967296;

    for (let round = 0; round < TIMES; round += 1) {
      const { child, address } = await start();
      if (round === 0) {
        await post(address, 'PUT', '/shop', shop);
        await post(address, 'PUT', '/vehicles/bus', { by: 'isla', vehicle: vehicles.bus });
      }
      const jobId = `job-${round}`;
      const killAfter = 3 + Math.floor(random() * 40);
      const killed = new Promise((resolve) => child.on('exit', resolve));
      const stream = async (): Promise<void> => {
        for (let index = 0; index < 60; index += 1) {
          sent += 1;
          const id = `c${sent}`;
          const at = new Date().toISOString();
          const body =
            index === 0
              ? {
                  id,
                  at,
                  by: 'tomas',
                  seen: 0,
                  type: 'open-job',
                  data: {
                    vehicleId: 'bus',
                    reading: { value: 1000 + round, unit: 'km' },
                    readingReason: '',
                    complaint: 'x',
                  },
                }
              : {
                  id,
                  at,
                  by: 'tomas',
                  seen: 0,
                  type: index % 3 === 0 ? 'make-note' : 'take-measurement',
                  data:
                    index % 3 === 0
                      ? { id: `n${index}`, stage: 'strip', text: 'y'.repeat(500) }
                      : { id: `m${index}`, kind: 'idle-rpm', when: 'before', value: 600 + index },
                };
          const request = post(address, 'POST', `/jobs/${jobId}/commands`, body);
          // The signal goes out while the request is under way, at a different depth each time.
          if (index === killAfter) setImmediate(() => child.kill('SIGKILL'));
          const reply = await request.catch(() => null);
          if (reply === null) return;
          if (reply.ok && (await reply.json().catch(() => null)) !== null) acknowledged.push({ jobId, id });
        }
      };
      await stream();
      child.kill('SIGKILL');
      await killed;
    }

    const db = openStore(file);
    const { jobs } = createServices(db, join(folder, 'pictures'), () => new Date().toISOString(), 'UTC');
    for (const { jobId, id } of acknowledged) expect(jobs.log.command(id)?.job_id, id).toBe(jobId);
    expect(acknowledged.length).toBeGreaterThan(TIMES * 3);
    for (const jobId of jobs.log.jobIds()) {
      expect(jobs.verify(jobId)).toBeNull();
      const job = replay(jobId, jobs.log.since(jobId, 0));
      for (const { table, rows } of PROJECTIONS) {
        const stored = storedRows(db, table, jobId);
        expect(stored.map(canonical).sort(), `${jobId} ${table}`).toEqual(rows(job!, 'UTC').map(canonical).sort());
      }
    }
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
    db.close();
  }, 180_000);
});
