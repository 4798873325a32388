import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { play } from '../../core/job/testing/play.ts';
import { SAMPLE_PROCEDURE, SAMPLES } from '../../core/job/testing/samples.ts';
import type { Command, CommandBody, RecordedEvent } from '../../core/job/index.ts';
import { useJob } from './job.ts';
import { useOutbox } from './outbox.ts';
import { useShop } from './shop.ts';

const opened: CommandBody = { type: 'open-job', data: SAMPLES['open-job'].data };
const pinned: CommandBody = { type: 'pin-procedure', data: SAMPLES['pin-procedure'].data };
const { log } = play([opened, pinned]);
const answer = (status: number, body: object): Response => new Response(JSON.stringify(body), { status });

/** Answers like the server; what was posted is kept. */
function server(onPost: (command: Command) => Promise<Response>): Command[] {
  const posted: Command[] = [];
  vi.stubGlobal('fetch', async (url: string, init: { method: string; body?: string }) => {
    if (init.method === 'GET')
      return answer(
        200,
        url.includes('/procedures/') ? SAMPLE_PROCEDURE : { jobId: 'j', version: log.length, events: log },
      );
    const command = JSON.parse(init.body ?? '{}') as Command;
    posted.push(command);
    return onPost(command);
  });
  return posted;
}
const off = (itemId: string) => ({ itemId, pocket: '', label: '', countedOut: null, stayIn: 0, lengthsOut: [] });

describe('the job on the screen', () => {
  beforeEach(() => {
    setActivePinia(createPinia());
    vi.useFakeTimers();
    useShop().pick('tomas');
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('shows a tap at once, and the same once the server has it', async () => {
    const posted = server(async (command) => {
      const event: RecordedEvent = {
        seq: log.length + 1,
        commandId: command.id,
        at: command.at,
        by: 'tomas',
        v: 1,
        type: 'item-removed',
        data: off('cover'),
      };
      return answer(201, { jobId: 'j', version: event.seq, events: [event], repeated: false });
    });
    const store = useJob();
    await store.load('j');
    expect(store.send('remove-item', off('cover'))).toBeNull();
    expect(store.job?.items[1]?.state).toBe('off');
    expect(store.confirmed?.items[1]?.state).toBe('on');
    await vi.runAllTimersAsync();
    expect(posted).toMatchObject([{ type: 'remove-item', by: 'tomas', seen: log.length }]);
    expect([store.confirmed?.items[1]?.state, store.job?.version, store.waitingHere]).toEqual([
      'off',
      log.length + 1,
      0,
    ]);
  });
  it('sends nothing that would be refused, and says why beside the field', async () => {
    const posted = server(async () => answer(500, { error: { code: 'x', message: 'x', fields: {}, wouldHelp: '' } }));
    const store = useJob();
    await store.load('j');
    expect(store.send('remove-item', off('ghost'))).toMatchObject({ code: 'no-such-item' });
    expect(store.send('decide', { choice: 'relearn', reason: ' ', departure: '', options: [] })).toMatchObject({
      field: 'reason',
    });
    await vi.runAllTimersAsync();
    expect(posted).toEqual([]);
  });
  it('goes back to what the server holds when it refuses', async () => {
    server(async () =>
      answer(409, { error: { code: 'already-off', message: 'Off already.', fields: {}, wouldHelp: '' } }),
    );
    const store = useJob();
    await store.load('j');
    store.send('remove-item', off('cover'));
    expect(store.job?.items[1]?.state).toBe('off');
    await vi.runAllTimersAsync();
    expect(store.job?.items[1]?.state).toBe('on');
    expect(useOutbox().notTaken).toMatchObject([{ message: 'Off already.' }]);
  });
  it('builds one waiting tap on another, and undo takes back the last of them', async () => {
    server(() => Promise.reject(new Error('no network')));
    const store = useJob();
    await store.load('j');
    store.send('remove-item', off('body'));
    expect(store.job?.openings[0]?.state).toBe('open');
    expect(store.send('plug-opening', { openingId: 'inlet', plugId: 'cap', what: 'Cap' })).toBeNull();
    expect(store.job?.openings[0]?.state).toBe('plugged');
    store.send('undo', { expected: store.job?.undo?.commandId ?? '' });
    expect(store.job?.openings[0]?.state).toBe('open');
    expect(store.waitingHere).toBe(3);
  });
  it('asks who is there before it writes anything', async () => {
    server(async () => answer(201, {}));
    const store = useJob();
    await store.load('j');
    useShop().pick('');
    expect(store.send('remove-item', off('cover'))).toMatchObject({ code: 'nobody' });
  });
  it('knows a procedure before it pins it', async () => {
    server(async () => answer(201, {}));
    const store = useJob();
    await store.load('j');
    expect(store.send('pin-procedure', { procedureId: 'sample' })).toMatchObject({ code: 'no-such-procedure' });
    await store.needProcedure('sample');
    expect(store.send('pin-procedure', { procedureId: 'sample' })).toBeNull();
  });
});
