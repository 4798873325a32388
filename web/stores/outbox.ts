import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { CommandReply, SentCommand } from '../../contract/index.ts';
import type { Command } from '../../core/job/index.ts';
import { afterPaint } from './afterPaint.ts';
import { api, ApiError } from './api.ts';
import { deviceIso } from './clock.ts';

/** A command on its way. */
export interface Waiting {
  /** Its place in the queue: the time it was given, kept apart within one millisecond. */
  readonly order: number;
  readonly jobId: string;
  readonly command: Command;
}

/** A command that the server would not take, with its reason; kept until the person has read it. */
export interface NotTaken {
  readonly jobId: string;
  readonly command: Command;
  readonly message: string;
  readonly wouldHelp: string;
}

interface OutboxSchema extends DBSchema {
  // By command id, so that two windows of one browser never write over each other.
  commands: { key: string; value: Waiting };
}

const RETRY_MS = [500, 1000, 2000, 5000, 10_000] as const;
/** What waited here longer than this was kept while out of reach, ms. */
const KEPT_MS = 60 * 60_000;

/** A command as it is sent now: with this device's clock, by which the server puts its time right. */
function sent(command: Command): SentCommand {
  const sentAt = deviceIso();
  const waited = Date.parse(sentAt) - Date.parse(command.at);
  return { ...command, sentAt, ...(command.late === undefined && waited > KEPT_MS ? { late: 'kept' } : {}) };
}

/** Answers that say “not now” rather than “never”. */
const COMES_BACK = new Set([500, 502, 503, 504, 507]);

/**
 * Commands waiting to be saved. Each is written to IndexedDB, sent in order, and removed once the server has it on
 * disk; a reload or a dead server in between loses nothing.
 */
export const useOutbox = defineStore('outbox', () => {
  const waiting = shallowRef<readonly Waiting[]>([]);
  const notTaken = shallowRef<readonly NotTaken[]>([]);
  const outOfReach = ref(false);
  const trouble = ref('');
  /** Shown, but not yet written to IndexedDB. */
  const unkept = new Set<Waiting>();
  const listeners = new Set<(jobId: string, reply: CommandReply) => void>();
  let db: Promise<IDBPDatabase<OutboxSchema> | null> | null = null;
  let sending = false;
  let attempt = 0;

  const open = (): Promise<IDBPDatabase<OutboxSchema> | null> =>
    // Without IndexedDB (a private window) the queue lives in memory only.
    (db ??= Promise.resolve()
      .then(() =>
        openDB<OutboxSchema>('unhurried-wrench', 1, { upgrade: (made) => void made.createObjectStore('commands') }),
      )
      .catch(() => null));

  /** Takes up what an earlier page left behind. */
  async function restore(): Promise<void> {
    const store = await open();
    if (store === null) return;
    const left = await store.getAll('commands');
    const known = new Set(waiting.value.map(({ command }) => command.id));
    waiting.value = [...left.filter(({ command }) => !known.has(command.id)), ...waiting.value].sort(
      (a, b) => a.order - b.order,
    );
    void flush();
  }

  function add(jobId: string, command: Command): void {
    const entry = { order: Math.max(Date.now(), (waiting.value.at(-1)?.order ?? 0) + 0.001), jobId, command };
    waiting.value = [...waiting.value, entry];
    unkept.add(entry);
    // The tap is painted first; writing and sending would otherwise compete with it.
    afterPaint(() => void keep(entry).then(flush));
  }

  async function keep(entry: Waiting): Promise<void> {
    if (!unkept.delete(entry)) return;
    // A store that is full or gone must not keep the command from being sent.
    await (await open())?.put('commands', entry, entry.command.id).catch(() => undefined);
  }

  async function drop(id: string): Promise<void> {
    waiting.value = waiting.value.filter(({ command }) => command.id !== id);
    await (await open())?.delete('commands', id).catch(() => undefined);
  }

  async function flush(): Promise<void> {
    if (sending) return;
    sending = true;
    try {
      for (let next = waiting.value[0]; next !== undefined; next = waiting.value[0]) await sendOne(next);
      outOfReach.value = false;
      trouble.value = '';
      attempt = 0;
    } catch (error) {
      outOfReach.value = true;
      trouble.value = error instanceof ApiError ? error.message : '';
      setTimeout(() => void flush(), RETRY_MS[Math.min(attempt, RETRY_MS.length - 1)]);
      attempt += 1;
    } finally {
      sending = false;
    }
  }

  async function sendOne({ jobId, command }: Waiting): Promise<void> {
    try {
      const reply = await api.post<CommandReply>(`/jobs/${jobId}/commands`, sent(command));
      // The answer is applied before the command leaves the queue, so that the screen never shows neither.
      for (const listen of listeners) listen(jobId, reply);
      await drop(command.id);
    } catch (error) {
      if (!(error instanceof ApiError) || COMES_BACK.has(error.status)) throw error;
      notTaken.value = [...notTaken.value, { jobId, command, message: error.message, wouldHelp: error.wouldHelp }];
      await drop(command.id);
    }
  }

  const of = (jobId: string): readonly Waiting[] => waiting.value.filter((entry) => entry.jobId === jobId);
  const read = (entry: NotTaken): void => {
    notTaken.value = notTaken.value.filter((other) => other !== entry);
  };

  window.addEventListener('online', () => void flush());
  // A page that goes away in the same breath as a tap still writes it down.
  window.addEventListener('pagehide', () => {
    for (const entry of [...unkept]) void keep(entry);
  });

  return {
    waiting,
    notTaken,
    outOfReach,
    trouble,
    add,
    restore,
    flush,
    of,
    read,
    onReply: (listen: (jobId: string, reply: CommandReply) => void) => listeners.add(listen),
    count: computed(() => waiting.value.length),
  };
});
