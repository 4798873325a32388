import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { play } from '../../core/job/testing/play.ts';
import { SAMPLES } from '../../core/job/testing/samples.ts';

const { log } = play([
  { type: 'open-job', data: SAMPLES['open-job'].data },
  { type: 'pin-procedure', data: SAMPLES['pin-procedure'].data },
]);
let open: string[] = [];
let asked: string[] = [];
let away = '';

beforeEach(() => {
  indexedDB = new IDBFactory();
  vi.resetModules();
  setActivePinia(createPinia());
  asked = [];
  away = '';
  vi.stubGlobal('fetch', async (path: string) => {
    asked.push(path);
    if (away !== '' && path.startsWith(away)) throw new Error('no network');
    const body = path.startsWith('/api/bay')
      ? { lines: open.map((jobId) => ({ jobId })) }
      : path.startsWith('/api/jobs/')
        ? { jobId: 'j', version: log.length, events: log }
        : path === '/api/procedures'
          ? { rows: [{ id: 'sample' }] }
          : { rows: [], next: null };
    return new Response(JSON.stringify(body), { headers: { 'x-shop-time': new Date().toISOString() } });
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('what is taken along', () => {
  it('is the log of every open job with what its page asks for, and the lists; of jobs that are closed nothing stays', async () => {
    const [{ carry }, { keptLog }, { ask }] = await Promise.all([
      import('./carry.ts'),
      import('./jobLogs.ts'),
      import('./asking.ts'),
    ]);
    open = ['j', 'k'];
    await carry();
    expect(await keptLog('j')).toEqual(log);
    expect(asked).toEqual(
      expect.arrayContaining(['/api/procedures/sample/times', '/api/vehicles?sort=plate&direction=asc', '/api/air']),
    );
    open = ['k'];
    await carry();
    expect([(await keptLog('j')).length, (await keptLog('k')).length]).toEqual([0, log.length]);
    // With the server away it is answered from here.
    away = '/api';
    expect(await ask('/procedures')).toEqual({ rows: [{ id: 'sample' }] });
  });
  it('stops where the server goes away, without a word, and keeps what it has', async () => {
    const [{ carry }, { keptLog }] = await Promise.all([import('./carry.ts'), import('./jobLogs.ts')]);
    open = ['j'];
    away = '/api/procedures';
    await carry();
    expect(await keptLog('j')).toEqual(log);
    expect(asked.at(-1)).toMatch(/^\/api\/procedures/);
  });
});
