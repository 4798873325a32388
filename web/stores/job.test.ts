import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { play } from '../../core/job/testing/play.ts';
import { SAMPLE_PROCEDURE, SAMPLES } from '../../core/job/testing/samples.ts';
import { type Command, type CommandBody, FACTS, type RecordedEvent } from '../../core/job/index.ts';
import { watch } from 'vue';
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
  it('reads on where an answer leaves out entries that it does not have', async () => {
    const asked: string[] = [];
    server(async () => answer(201, {}));
    const real = fetch;
    vi.stubGlobal('fetch', (url: string, init: { method: string }) => {
      asked.push(url);
      return real(url, init);
    });
    const store = useJob();
    await store.load('j');
    const far = {
      seq: log.length + 3,
      commandId: 'x',
      at: '',
      by: 'wen',
      v: 1,
      type: 'item-removed',
      data: off('cover'),
    };
    store.take({ jobId: 'j', version: far.seq, events: [far as RecordedEvent] });
    await vi.runAllTimersAsync();
    expect([store.confirmed?.version, store.confirmed?.items[1]?.state]).toEqual([log.length, 'on']);
    expect(asked.filter((url) => url.includes('/jobs/j?')).length).toBeGreaterThan(1);
  });
  it('shows all that waits while two hundred notes are sent, decides each a few times at most, and ends as the server has it', async () => {
    let seq = log.length;
    let reachable = false;
    server(async (command) => {
      if (!reachable) throw new Error('no network');
      const event = {
        seq: ++seq,
        commandId: command.id,
        at: command.at,
        by: 'tomas',
        v: 1,
        type: 'note-made',
        data: command.data,
      };
      return answer(201, { jobId: 'j', version: seq, events: [event], repeated: false });
    });
    const store = useJob();
    await store.load('j');
    const decided = vi.spyOn(FACTS.get('note-made')!, 'means');
    for (let nth = 0; nth < 200; nth += 1)
      store.send('make-note', { id: crypto.randomUUID(), stage: 'strip', text: `note ${nth}` });
    // As a screen sees it: once for what changes in one breath.
    const seen = new Set<number>();
    const stop = watch(
      () => store.job?.notes.length,
      (count) => seen.add(count ?? 0),
    );
    expect(store.job?.notes).toHaveLength(200);
    reachable = true;
    await vi.runAllTimersAsync();
    stop();
    expect([...seen].filter((count) => count !== 200)).toEqual([]);
    expect([store.waitingHere, store.confirmed?.notes.length, store.confirmed?.version]).toEqual([0, 200, seq]);
    expect(decided.mock.calls.length).toBeLessThan(200 * 12);
    decided.mockRestore();
  });
});
