import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { createPinia, disposePinia, getActivePinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Command, RecordedEvent } from '../../core/job/index.ts';
import { play } from '../../core/job/testing/play.ts';
import { SAMPLES } from '../../core/job/testing/samples.ts';

const answer = (status: number, body: object): Response => new Response(JSON.stringify(body), { status });
const taken = (): Response => answer(201, { jobId: 'j', version: 1, events: [], repeated: false });
const away = (): Promise<Response> => Promise.reject(new Error('no network'));
const command = (id: string, type = 'make-note', data: object = { id, stage: 'strip', text: id }): Command =>
  ({ id, at: '2026-01-01T00:00:00.000Z', by: 'tomas', seen: 0, type, data }) as unknown as Command;

/** A page that was just opened in this browser: modules and stores are new, what the browser keeps is not. */
async function page() {
  const before = getActivePinia();
  if (before) disposePinia(before);
  vi.resetModules();
  setActivePinia(createPinia());
  const [{ useOutbox }, { useJob }, files, { useShop }] = await Promise.all([
    import('./outbox.ts'),
    import('./job.ts'),
    import('../data/waitingFiles.ts'),
    import('./shop.ts'),
  ]);
  useShop().pick('tomas');
  return { outbox: useOutbox(), job: useJob(), files };
}
/** The server, as a table of what it answers. */
function server(
  reply: (path: string, body: unknown) => Response | Promise<Response>,
): { path: string; body: unknown }[] {
  const asked: { path: string; body: unknown }[] = [];
  vi.stubGlobal('fetch', async (path: string, init?: { body?: unknown }) => {
    const body = typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : init?.body;
    asked.push({ path, body });
    return reply(path, body);
  });
  return asked;
}

beforeEach(() => {
  indexedDB = new IDBFactory();
});
afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

describe('what waits', () => {
  it('is there in the next page, in its order, and is sent from there once', async () => {
    server(away);
    const first = await page();
    for (const id of ['a', 'b', 'c']) first.outbox.add('j', command(id), id, 'Job 1, AB 12');
    await vi.waitFor(() => expect(first.outbox.outOfReach).toBe(true));
    const asked = server(taken);
    const next = await page();
    await next.outbox.restore();
    await vi.waitFor(() => expect(next.outbox.count).toBe(0));
    expect(asked.map(({ body }) => (body as Command).id)).toEqual(['a', 'b', 'c']);
    const last = await page();
    await last.outbox.restore();
    expect(last.outbox.count).toBe(0);
  });
  it('is there too where the tab was closed in the breath of the tap, before any database could take it', async () => {
    server(away);
    const first = await page();
    first.outbox.add('j', command('a'), 'Note: a');
    // No breath was left: its database has nothing of it.
    indexedDB = new IDBFactory();
    const next = await page();
    await next.outbox.restore();
    expect(next.outbox.waiting).toMatchObject([{ jobId: 'j', meant: 'Note: a', command: { id: 'a' } }]);
    server(taken);
    next.outbox.flush();
    await vi.waitFor(() => expect(next.outbox.count).toBe(0));
    expect(Object.keys(localStorage).filter((key) => key.includes('jotted'))).toEqual([]);
  });
  it('is not sent once it is dropped, and neither is its photo', async () => {
    server(away);
    const { outbox, files } = await page();
    const { hash } = await files.letWait('/pictures', new Blob(['p'], { type: 'image/png' }));
    outbox.add('j', command('a', 'attach-picture', { hash }));
    outbox.add('j', command('b'));
    await vi.waitFor(() => expect(outbox.outOfReach).toBe(true));
    await outbox.drop(outbox.waiting[0]!);
    const asked = server(taken);
    outbox.flush();
    await vi.waitFor(() => expect(outbox.count).toBe(0));
    expect(asked.map(({ path }) => path)).toEqual(['/api/jobs/j/commands']);
    expect(await files.sendWaiting(hash)).toBeNull();
  });
  it('is said to be only in this tab where the browser has no room, until it is sent', async () => {
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    server(away);
    const { outbox } = await page();
    outbox.add('j', command('a'));
    await vi.waitFor(() => expect(outbox.onlyHere).toBe(1));
    const closing = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(closing);
    expect(closing.defaultPrevented).toBe(true);
    vi.restoreAllMocks();
    server(taken);
    outbox.flush();
    await vi.waitFor(() => expect([outbox.count, outbox.onlyHere]).toEqual([0, 0]));
  });
  it('is said to be only in this tab too where there is room for the entry and none for its photo', async () => {
    const put = IDBObjectStore.prototype.put;
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, value, key) {
      if (this.name === 'files') throw new DOMException('full', 'QuotaExceededError');
      return put.call(this, value, key);
    });
    server(away);
    const { outbox, files } = await page();
    const { hash } = await files.letWait('/pictures', new Blob(['p'], { type: 'image/png' }));
    outbox.add('j', command('a', 'attach-picture', { hash }));
    await vi.waitFor(() => expect(outbox.outOfReach).toBe(true));
    expect(outbox.onlyHere).toBe(1);
    server((path) => (path === '/api/pictures' ? answer(201, { hash }) : taken()));
    outbox.flush();
    await vi.waitFor(() => expect([outbox.count, outbox.onlyHere]).toEqual([0, 0]));
  });
  it('does not wait for a browser store that an earlier program holds in another tab', async () => {
    await new Promise<void>((resolve) => {
      const held = indexedDB.open('unhurried-wrench', 1);
      held.onupgradeneeded = () => void held.result.createObjectStore('commands');
      held.onsuccess = () => resolve();
    });
    server(taken);
    const { outbox } = await page();
    outbox.add('j', command('a'));
    await vi.waitFor(() => expect(outbox.count).toBe(0));
  });
});

describe('a long queue', () => {
  it('asks for what it was told of only once', async () => {
    let version = 4;
    const asked = server(() => {
      version += 1;
      return answer(201, { jobId: 'j', version, events: [], repeated: false });
    });
    const { outbox } = await page();
    for (const id of ['a', 'b', 'c']) outbox.add('j', { ...command(id), seen: 4 });
    await vi.waitFor(() => expect(outbox.count).toBe(0));
    expect(asked.map(({ body }) => (body as Command).seen)).toEqual([4, 5, 6]);
  });
});

describe('what waits for a server that is back with an older store', () => {
  it('is sent as if nothing had been seen, and judged by what that store holds', async () => {
    const asked = server((_, body) =>
      (body as Command).seen > 0
        ? answer(409, { error: { code: 'seen-the-future', message: 'x', fields: {}, wouldHelp: '' } })
        : taken(),
    );
    const { outbox } = await page();
    outbox.add('j', { ...command('a'), seen: 7 });
    await vi.waitFor(() => expect(outbox.count).toBe(0));
    expect([asked.map(({ body }) => (body as Command).seen), outbox.notTaken]).toEqual([[7, 0], []]);
  });
});

describe('a file that waits', () => {
  it('goes before the entry that speaks of it, which names what the server calls it, and is kept until both are there', async () => {
    server(away);
    const { outbox, files } = await page();
    const { hash } = await files.letWait('/recordings', new Blob(['packed']));
    // As sha256sum has it.
    expect(hash).toBe('88cb8a087b6e8cebfc9ae5602f5a2159a6bcf923e7f2c56809bcda6cad1727a7');
    outbox.add('j', command('a', 'keep-recording', { hash }));
    await vi.waitFor(() => expect(outbox.outOfReach).toBe(true));
    // The entry is lost on its way: both are sent again.
    let lost = true;
    const asked = server((path) => {
      if (path === '/api/recordings') return answer(201, { hash: 'squeezed', bytes: 3 });
      if (!lost) return taken();
      lost = false;
      return away();
    });
    const next = await page();
    await next.outbox.restore();
    await vi.waitFor(() => expect(next.outbox.count).toBe(0), 5000);
    expect(asked.map(({ path }) => path)).toEqual([
      '/api/recordings',
      '/api/jobs/j/commands',
      '/api/recordings',
      '/api/jobs/j/commands',
    ]);
    expect((asked.at(-1)?.body as { data: object }).data).toEqual({ hash: 'squeezed' });
    await vi.waitFor(async () => expect(await next.files.sendWaiting(hash)).toBeNull());
  });
  it('that is no picture after all is told beside its entry', async () => {
    server((path) =>
      path === '/api/pictures'
        ? answer(400, { error: { code: 'bad-picture', message: 'That is not a picture.', fields: {}, wouldHelp: '' } })
        : taken(),
    );
    const { outbox, files } = await page();
    const { hash } = await files.letWait('/pictures', new Blob(['p'], { type: 'image/png' }));
    outbox.add('j', command('a', 'attach-picture', { hash }), 'Picture: plate');
    await vi.waitFor(() => expect(outbox.notTaken).toMatchObject([{ message: 'That is not a picture.' }]));
    await outbox.read(outbox.notTaken[0]!);
    await vi.waitFor(async () => expect(await files.sendWaiting(hash)).toBeNull());
  });
});

describe('a job that was here before', () => {
  const { log } = play([
    { type: 'open-job', data: SAMPLES['open-job'].data },
    { type: 'make-note', data: { id: '7c3a1c1e-0a4b-4c55-9e5e-1b1a2f3d4e5f', stage: 'strip', text: 'bracket bent' } },
  ]);
  const serves = (events: readonly RecordedEvent[]) =>
    server((path) => {
      const since = Number(/since=(\d+)/.exec(path)?.[1] ?? 0);
      return path.includes('/jobs/')
        ? answer(200, { jobId: 'j', version: events.length, events: events.filter(({ seq }) => seq > since) })
        : answer(404, { error: { code: 'x', message: 'x', fields: {}, wouldHelp: '' } });
    });

  const isKept = async (length: number): Promise<void> => {
    const { keptLog } = await import('../data/jobLogs.ts');
    await vi.waitFor(async () => expect(await keptLog('j')).toHaveLength(length), 3000);
  };

  it('is shown with the server away, and only what is new is asked for when it is back', async () => {
    serves(log.slice(0, 1));
    const first = await page();
    await first.job.load('j');
    await isKept(1);
    server(away);
    const second = await page();
    await second.job.load('j');
    expect([second.job.job?.version, second.job.fetching]).toEqual([1, 'idle']);
    const asked = serves(log);
    const third = await page();
    await third.job.load('j');
    expect(third.job.job?.version).toBe(log.length);
    expect(asked.map(({ path }) => path).filter((path) => path.includes('/jobs/'))).toEqual(['/api/jobs/j?since=0']);
  });
  it('that never was here is said to be out of reach', async () => {
    server(away);
    const { job } = await page();
    await job.load('j');
    expect([job.job, job.fetching, job.problem]).toEqual([null, 'failed', 'The server is out of reach.']);
  });
  it('is read anew where another version of the program left its log', async () => {
    serves(log.map((event) => ({ ...event, v: 99 })) as RecordedEvent[]);
    const { keepLog } = await import('../data/jobLogs.ts');
    await keepLog('j', log.map((event) => ({ ...event, v: 99 })) as RecordedEvent[]);
    serves(log);
    const { job } = await page();
    await job.load('j');
    expect([job.job?.version, job.fetching]).toEqual([log.length, 'idle']);
  });
  it('is shown as an older store has it, and what is gone is told once, in words', async () => {
    serves(log);
    const first = await page();
    await first.job.load('j');
    await isKept(log.length);
    serves(log.slice(0, -1));
    const second = await page();
    await second.job.load('j');
    expect(second.job.job?.version).toBe(log.length - 1);
    expect(second.outbox.notTaken).toMatchObject([{ gone: true, meant: expect.stringContaining('bracket bent') }]);
    const third = await page();
    await third.outbox.restore();
    await third.job.load('j');
    expect(third.outbox.notTaken).toHaveLength(1);
  });
  it('that an older store has not at all is told entry by entry, and not shown as if it were there', async () => {
    serves(log);
    await (await page()).job.load('j');
    await isKept(log.length);
    const missing = { code: 'no-such-job', message: 'There is no such job.', fields: {}, wouldHelp: '' };
    server(() => answer(404, { error: missing }));
    const { job, outbox } = await page();
    await job.load('j');
    expect([job.job, job.fetching, job.problem]).toEqual([
      null,
      'failed',
      'The server has an older store now, in which there is no such job.',
    ]);
    expect(outbox.notTaken).toHaveLength(log.length);
    expect(outbox.notTaken.every(({ gone }) => gone)).toBe(true);
    await isKept(0);
  });
});
