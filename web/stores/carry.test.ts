import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { play } from '../../core/job/testing/play.ts';
import { effectScope } from 'vue';
import { FakeStream } from '../testing.ts';
import { SAMPLES } from '../../core/job/testing/samples.ts';

const { log } = play([
  { type: 'open-job', data: SAMPLES['open-job'].data },
  { type: 'pin-procedure', data: SAMPLES['pin-procedure'].data },
]);
let open: string[] = [];
let asked: string[] = [];
let away = '';
/** A job that the store does not have. */
let lost = '';

beforeEach(() => {
  indexedDB = new IDBFactory();
  vi.resetModules();
  setActivePinia(createPinia());
  asked = [];
  away = '';
  lost = '';
  vi.stubGlobal('fetch', async (path: string) => {
    asked.push(path);
    if (away !== '' && path.startsWith(away)) throw new Error('no network');
    if (lost !== '' && path.startsWith(`/api/jobs/${lost}`)) {
      const error = { code: 'no-such-job', message: 'There is no such job.', fields: {}, wouldHelp: '' };
      return new Response(JSON.stringify({ error }), { status: 404 });
    }
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
      import('../data/jobLogs.ts'),
      import('../data/kept.ts'),
    ]);
    open = ['j', 'k'];
    await carry(null);
    expect(await keptLog('j')).toEqual(log);
    expect(asked).toEqual(
      expect.arrayContaining([
        '/api/procedures/sample/times',
        expect.stringMatching(/^\/api\/stock\?number=.+&limit=200$/),
        '/api/vehicles?sort=plate&direction=asc',
        '/api/air',
      ]),
    );
    open = ['k'];
    await carry(null);
    expect([(await keptLog('j')).length, (await keptLog('k')).length]).toEqual([0, log.length]);
    // With the server away it is answered from here.
    away = '/api';
    expect(await ask('/procedures')).toEqual({ rows: [{ id: 'sample' }] });
  });
  it('of a job that the store of the server has lost is told before it is left behind', async () => {
    const [{ carry }, { keptLog }, { useOutbox }] = await Promise.all([
      import('./carry.ts'),
      import('../data/jobLogs.ts'),
      import('./outbox.ts'),
    ]);
    open = ['j', 'k'];
    await carry(null);
    expect(useOutbox().notTaken).toEqual([]);
    open = ['k'];
    lost = 'j';
    await carry(null);
    expect(useOutbox().notTaken.map(({ jobId, gone }) => [jobId, gone])).toEqual(log.map(() => ['j', true]));
    expect(await keptLog('j')).toEqual([]);
  });
  it('stops where the server goes away, and keeps what it has', async () => {
    const [{ carry }, { keptLog }] = await Promise.all([import('./carry.ts'), import('../data/jobLogs.ts')]);
    open = ['j'];
    away = '/api/procedures';
    await expect(carry(null)).rejects.toThrow('out of reach');
    expect(await keptLog('j')).toEqual(log);
    expect(asked.at(-1)).toMatch(/^\/api\/procedures/);
  });
  it('is only what has changed, once all of it was', async () => {
    const { carry } = await import('./carry.ts');
    open = ['j', 'k'];
    await carry(null);
    asked = [];
    await carry([{ kind: 'job', id: 'k', version: 9 }]);
    expect(asked.filter((path) => path.startsWith('/api/jobs/'))).toEqual([
      `/api/jobs/k?since=${log.length - 1}`,
      '/api/jobs/k?since=0',
    ]);
    expect(asked).not.toContain('/api/air');
    asked = [];
    await carry([{ kind: 'rows', list: 'families' }]);
    expect(asked).toEqual(['/api/families']);
  });
});

describe('when it is taken along', () => {
  it('is once it is quiet, after half a minute all the same, and all of it after a break', async () => {
    vi.useFakeTimers();
    const carried: unknown[] = [];
    vi.doMock('./carry.ts', () => ({ carry: async (changes: unknown) => void carried.push(changes) }));
    vi.stubGlobal('EventSource', FakeStream);
    const { useCarry } = await import('./useCarry.ts');
    const scope = effectScope();
    scope.run(() => useCarry());
    await vi.advanceTimersByTimeAsync(5000);
    expect(carried).toEqual([null]);
    for (let nth = 0; nth < 20; nth += 1) {
      FakeStream.say({ kind: 'job', id: 'j', version: nth });
      await vi.advanceTimersByTimeAsync(2000);
    }
    // Never quiet for four seconds in forty.
    expect(carried).toHaveLength(2);
    expect((carried[1] as unknown[]).length).toBeGreaterThan(10);
    FakeStream.all.at(-1)?.onopen?.();
    await vi.advanceTimersByTimeAsync(5000);
    expect(carried.at(-1)).toBeNull();
    scope.stop();
    vi.useRealTimers();
    vi.doUnmock('./carry.ts');
  });
});
