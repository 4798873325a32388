import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Command } from '../../core/job/index.ts';
import { useOutbox } from './outbox.ts';

const command = (id: string): Command => ({
  id,
  at: '2026-01-01T00:00:00.000Z',
  by: 'tomas',
  seen: 0,
  type: 'make-note',
  data: { id, stage: 'strip', text: id },
});
const failure = (message: string): object => ({ error: { code: 'failed', message, fields: {}, wouldHelp: '' } });
const reply = (status: number, body: object): Response => new Response(JSON.stringify(body), { status });

describe('the outbox', () => {
  beforeEach(() => {
    setActivePinia(createPinia());
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('sends in order, one at a time, tells who listens, and is empty then', async () => {
    const sent: string[] = [];
    vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
      sent.push((JSON.parse(body) as Command).id);
      return reply(201, { jobId: 'j', version: sent.length, events: [], repeated: false });
    });
    const outbox = useOutbox();
    const heard: number[] = [];
    outbox.onReply((_, { version }) => heard.push(version));
    for (const id of ['a', 'b', 'c']) outbox.add('j', command(id));
    expect(outbox.count).toBe(3);
    await vi.runAllTimersAsync();
    expect([sent, heard, outbox.count]).toEqual([['a', 'b', 'c'], [1, 2, 3], 0]);
  });
  it('sends with its own clock, and says that what waited long was kept', async () => {
    vi.setSystemTime(new Date('2026-01-01T00:20:00.000Z'));
    const sent: { sentAt?: string; late?: string }[] = [];
    vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
      sent.push(JSON.parse(body) as Command);
      return reply(201, { jobId: 'j', version: sent.length, events: [], repeated: false });
    });
    const outbox = useOutbox();
    outbox.add('j', command('soon'));
    await vi.runAllTimersAsync();
    vi.setSystemTime(new Date('2026-01-01T08:00:00.000Z'));
    outbox.add('j', command('long'));
    outbox.add('j', { ...command('named'), late: 'written-up' });
    await vi.runAllTimersAsync();
    expect(sent.map(({ late }) => late)).toEqual([undefined, 'kept', 'written-up']);
    expect(sent[0]?.sentAt).toMatch(/^2026-01-01T00:20:00/);
  });
  it('keeps what cannot be sent and tries again, also when the disk is full', async () => {
    const answers = [
      () => Promise.reject(new Error('no network')),
      () =>
        Promise.resolve(
          reply(507, { error: { code: 'cannot-write', message: 'The disk is full.', fields: {}, wouldHelp: '' } }),
        ),
      () => Promise.resolve(reply(201, { jobId: 'j', version: 1, events: [], repeated: false })),
    ];
    vi.stubGlobal('fetch', () => answers.shift()?.());
    const outbox = useOutbox();
    outbox.add('j', command('a'));
    await vi.advanceTimersByTimeAsync(200);
    expect([outbox.outOfReach, outbox.count]).toEqual([true, 1]);
    await vi.advanceTimersByTimeAsync(600);
    expect([outbox.trouble, outbox.count]).toEqual(['The disk is full.', 1]);
    await vi.runAllTimersAsync();
    expect([outbox.outOfReach, outbox.trouble, outbox.count]).toEqual([false, '', 0]);
  });
  it('shows what is refused with its reason, and goes on with the rest', async () => {
    vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) =>
      (JSON.parse(body) as Command).id === 'a'
        ? reply(409, { error: { code: 'x', message: 'Already off.', fields: {}, wouldHelp: 'Undo.' } })
        : reply(201, { jobId: 'j', version: 1, events: [], repeated: false }),
    );
    const outbox = useOutbox();
    outbox.add('j', command('a'));
    outbox.add('j', command('b'));
    await vi.runAllTimersAsync();
    expect(outbox.count).toBe(0);
    expect(outbox.notTaken).toMatchObject([{ message: 'Already off.', wouldHelp: 'Undo.', command: { id: 'a' } }]);
    await outbox.read(outbox.notTaken[0]!);
    expect(outbox.notTaken).toEqual([]);
  });
  it('keeps a queue for each job: what the server fails over holds up no other', async () => {
    vi.stubGlobal('fetch', async (path: string) =>
      path.includes('/jobs/broken/')
        ? reply(500, failure('The server failed over this.'))
        : reply(201, { jobId: 'j', version: 1, events: [], repeated: false }),
    );
    const outbox = useOutbox();
    outbox.add('broken', command('a'));
    outbox.add('broken', command('b'));
    outbox.add('well', command('c'));
    await vi.advanceTimersByTimeAsync(300);
    expect(outbox.waiting.map(({ command: { id } }) => id)).toEqual(['a', 'b']);
    expect([outbox.outOfReach, outbox.trouble]).toEqual([true, 'The server failed over this.']);
  });
  it('sets aside the one command that the server fails over while all else is well, and sends it again when asked', async () => {
    let mended = false;
    const sent: string[] = [];
    vi.stubGlobal('fetch', async (path: string, { body }: { body?: string }) => {
      if (path === '/api/health') return reply(200, {});
      const { id } = JSON.parse(body ?? '') as Command;
      if (id === 'a' && !mended) return reply(500, failure('The server failed over this.'));
      sent.push(id);
      return reply(201, { jobId: 'j', version: 1, events: [], repeated: false });
    });
    const outbox = useOutbox();
    outbox.add('j', command('a'), 'Note: a');
    outbox.add('j', command('b'));
    await vi.advanceTimersByTimeAsync(3000);
    expect(outbox.count).toBe(2);
    await vi.advanceTimersByTimeAsync(60_000);
    expect([sent, outbox.count, outbox.outOfReach]).toEqual([['b'], 0, false]);
    expect(outbox.notTaken).toMatchObject([{ message: 'The server failed over this.', meant: 'Note: a' }]);
    mended = true;
    await outbox.again(outbox.notTaken[0]!);
    await vi.runAllTimersAsync();
    expect([sent, outbox.notTaken]).toEqual([['b', 'a'], []]);
  });
  it('sets nothing aside while the server fails over everything', async () => {
    vi.stubGlobal('fetch', async () => reply(500, failure('The store is away.')));
    const outbox = useOutbox();
    outbox.add('j', command('a'));
    await vi.advanceTimersByTimeAsync(120_000);
    expect([outbox.count, outbox.notTaken]).toEqual([1, []]);
  });
});
