import type { DBSchema } from 'idb';
import { defineStore } from 'pinia';
import { computed, onScopeDispose, shallowRef } from 'vue';
import type { CommandReply, SentCommand } from '../../contract/index.ts';
import type { Command, RecordedEvent } from '../../core/job/index.ts';
import { afterPaint } from './afterPaint.ts';
import { api, ApiError } from '../data/api.ts';
import { browserStore } from '../data/browserStore.ts';
import { signedAs } from '../data/signedAs.ts';
import { filesOnlyHere, forgetWaiting, sendWaiting } from '../data/waitingFiles.ts';
import { deviceIso } from './clock.ts';
import { jot, jotted, strikeJotted } from './jotted.ts';

/** A command on its way. */
export interface Waiting {
  /** Its place in the queue: the time it was given, kept apart within one millisecond. */
  readonly order: number;
  readonly jobId: string;
  readonly command: Command;
  /** What it does, in the technician's words; absent in what an earlier version left behind. */
  readonly meant?: string | undefined;
  /** What people call the job; absent in what an earlier version left behind. */
  readonly jobName?: string | undefined;
  /** The stretch of work that it was made in, at a station where people sign in. */
  readonly stretch?: string | undefined;
}

/** A command that the server would not take, with its reason; kept until a person has dealt with it. */
export interface NotTaken extends Waiting {
  readonly message: string;
  readonly wouldHelp: string;
  /** It had been taken, and the store of the server is an older one: there is nothing to send, only to know. */
  readonly gone?: true;
}

interface OutboxSchema extends DBSchema {
  // By command id, so that two windows of one browser never write over each other.
  commands: { key: string; value: Waiting };
  refused: { key: string; value: NotTaken };
}

/** Without it (a private window) the queues live in memory only. */
const open = browserStore<OutboxSchema>('unhurried-wrench', 2, (made, from) => {
  if (from < 1) made.createObjectStore('commands');
  if (from < 2) made.createObjectStore('refused');
});

const RETRY_MS = [500, 1000, 2000, 5000, 10_000] as const;
/** What waited here longer than this was kept while out of reach, ms. */
const KEPT_MS = 60 * 60_000;

/** A command as it is sent now: with this device's clock, by which the server puts its time right. */
function sent(command: Command, told = 0): SentCommand {
  const sentAt = deviceIso();
  const waited = Date.parse(sentAt) - Date.parse(command.at);
  return {
    ...command,
    seen: Math.max(command.seen, told),
    sentAt,
    ...(command.late === undefined && waited > KEPT_MS ? { late: 'kept' } : {}),
  };
}

/** Answers that say “not now” rather than “never”: nobody is signed in, or too much at once, or the server itself. */
const COMES_BACK = new Set([401, 429, 500, 502, 503, 504, 507]);
/** Refusals that wait for whoever made the entry to sign in. */
const WAITS_FOR_A_PERSON: ReadonlySet<string> = new Set(['somebody-else', 'bad-token']);
/** So many times in a row the server may fail over one command before it is asked whether all else is well. */
const FAILS_BEFORE_ASIDE = 3;

/** Is it this command that the server fails over? A full disk (507) or a server on its way up fails over all. */
async function failsAlone(error: ApiError, attempts: number): Promise<boolean> {
  if (error.status !== 500 || attempts < FAILS_BEFORE_ASIDE) return false;
  return api.get('/health').then(
    () => true,
    () => false,
  );
}

/** Told of an answer before its command leaves the queue. */
type Heard = (jobId: string, reply: CommandReply, command: Command) => void;

/** What one job's queue does now, and how it last fared. */
interface Queue {
  readonly sending: boolean;
  /** Times in a row that its first command could not be sent. */
  readonly attempts: number;
  /** Why, in the server's words; “” where it was out of reach. */
  readonly trouble: string | null;
}
const IDLE: Queue = { sending: false, attempts: 0, trouble: null };

/**
 * Commands waiting to be saved, a queue for each job. Each is written to IndexedDB, sent in the order of its job, and
 * removed once the server has it on disk; a reload or a dead server in between loses nothing, and a command that the
 * server cannot take holds up no other job.
 */
export const useOutbox = defineStore('outbox', () => {
  const waiting = shallowRef<readonly Waiting[]>([]);
  const notTaken = shallowRef<readonly NotTaken[]>([]);
  const queues = shallowRef<ReadonlyMap<string, Queue>>(new Map());
  /** Shown, but not yet written to IndexedDB. */
  const unkept = new Set<Waiting>();
  /** Commands that this browser would not write down: closing the tab loses them. */
  const onlyHere = shallowRef<ReadonlySet<string>>(new Set());
  /** When a job is tried again, by its id. */
  const retries = new Map<string, ReturnType<typeof setTimeout>>();
  /** How far the server has told each job's queue: what it told once it need not answer with again. */
  const told = new Map<string, number>();
  const listeners = new Set<Heard>();

  /** Takes up what an earlier page left behind. */
  async function restore(): Promise<void> {
    const hasty = jotted();
    const store = await open();
    const [kept, refused] =
      store === null ? [[], []] : await Promise.all([store.getAll('commands'), store.getAll('refused')]);
    const left = [...kept, ...hasty.filter(({ command }) => !kept.some((each) => each.command.id === command.id))];
    for (const entry of hasty) void write(entry).catch(() => undefined);
    const known = new Set([...waiting.value, ...notTaken.value].map(({ command }) => command.id));
    const fresh = <T extends Waiting>(entries: readonly T[]): T[] =>
      entries.filter(({ command }) => !known.has(command.id));
    notTaken.value = [...fresh(refused), ...notTaken.value];
    waiting.value = [...fresh(left), ...waiting.value].sort((a, b) => a.order - b.order);
    flush();
  }

  function add(jobId: string, command: Command, meant = '', jobName = ''): void {
    const order = Math.max(Date.now(), (waiting.value.at(-1)?.order ?? 0) + 0.001);
    const { stretch } = signedAs();
    const entry = { order, jobId, command, meant, jobName, ...(stretch !== '' && { stretch }) };
    waiting.value = [...waiting.value, entry];
    unkept.add(entry);
    jot(entry);
    // The tap is painted first; writing and sending would otherwise compete with it.
    afterPaint(
      () =>
        void keep(entry).then(() => {
          // A queue that is to be tried again soon is not hurried by what joins it.
          if (!retries.has(jobId)) void flushJob(jobId);
        }),
    );
  }

  async function keep(entry: Waiting): Promise<void> {
    if (!unkept.delete(entry)) return;
    // A store that is full or gone must not keep the command from being sent.
    await write(entry).catch(() => setOnlyHere(entry.command.id, waiting.value.includes(entry)));
  }

  async function write(entry: Waiting): Promise<void> {
    const store = await open();
    if (store === null) throw new Error('No store.');
    await store.put('commands', entry, entry.command.id);
    strikeJotted(entry.command.id);
  }

  async function remove(id: string): Promise<void> {
    waiting.value = waiting.value.filter(({ command }) => command.id !== id);
    setOnlyHere(id, false);
    strikeJotted(id);
    await (await open())?.delete('commands', id).catch(() => undefined);
  }

  function setOnlyHere(id: string, is: boolean): void {
    if (onlyHere.value.has(id) === is) return;
    const next = new Set(onlyHere.value);
    if (is) next.add(id);
    else next.delete(id);
    onlyHere.value = next;
  }

  /** A person would rather not have it sent. What was made later by the same job stays, and is judged without it. */
  async function drop({ command }: Waiting): Promise<void> {
    await remove(command.id);
    await forgetFile(command);
  }

  /** Sends what waits, every job by itself. */
  function flush(): void {
    for (const jobId of new Set(waiting.value.map((entry) => entry.jobId))) void flushJob(jobId);
  }

  const queueOf = (jobId: string): Queue => queues.value.get(jobId) ?? IDLE;
  function setQueue(jobId: string, queue: Queue): void {
    queues.value = new Map([...queues.value, [jobId, queue]]);
  }
  const firstOf = (jobId: string): Waiting | undefined => waiting.value.find((entry) => entry.jobId === jobId);

  async function flushJob(jobId: string): Promise<void> {
    if (queueOf(jobId).sending || over.signal.aborted) return;
    clearTimeout(retries.get(jobId));
    retries.delete(jobId);
    setQueue(jobId, { ...queueOf(jobId), sending: true });
    try {
      for (let next = firstOf(jobId); next !== undefined; next = firstOf(jobId)) await sendOne(next);
      setQueue(jobId, IDLE);
    } catch (error) {
      const { attempts } = queueOf(jobId);
      const trouble = error instanceof ApiError ? error.message : '';
      setQueue(jobId, { sending: false, attempts: attempts + 1, trouble });
      const later = setTimeout(() => void flushJob(jobId), RETRY_MS[Math.min(attempts, RETRY_MS.length - 1)]);
      retries.set(jobId, later);
    }
  }

  async function sendOne(entry: Waiting): Promise<void> {
    const { jobId, command } = entry;
    try {
      const reply = await api.post<CommandReply>(
        `/jobs/${jobId}/commands`,
        sent(await withItsFile(command), told.get(jobId)),
        entry.stretch === undefined ? {} : { 'x-wrench-stretch': entry.stretch },
      );
      // The answer is applied before the command leaves the queue, so that the screen never shows neither.
      told.set(jobId, reply.version);
      for (const listen of listeners) listen(jobId, reply, command);
      await remove(command.id);
      await forgetFile(command);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      // An older store was put back: what waited still happened, and is judged by what that store holds.
      if (error.code === 'seen-the-future' && (command.seen > 0 || told.delete(jobId))) {
        told.delete(jobId);
        return sendOne({ ...entry, command: { ...command, seen: 0 } });
      }
      const comesBack = COMES_BACK.has(error.status) || WAITS_FOR_A_PERSON.has(error.code);
      const setAside = !comesBack || (await failsAlone(error, queueOf(jobId).attempts));
      if (!setAside) throw error;
      await refuse({ ...entry, message: error.message, wouldHelp: error.wouldHelp });
    }
  }

  /** What was refused is on disk before it leaves the queue: a reload in between loses neither. */
  async function refuse(entry: NotTaken): Promise<void> {
    notTaken.value = [...notTaken.value, entry];
    await (await open())?.put('refused', entry, entry.command.id).catch(() => undefined);
    await remove(entry.command.id);
  }

  /** What was saved once is not in the store any more. Told once, and kept until somebody has read it. */
  function sayGone(jobId: string, event: RecordedEvent, meant: string, jobName: string): void {
    const id = `${event.commandId}/${event.seq}`;
    if (notTaken.value.some(({ command }) => command.id === id)) return;
    void refuse({
      order: event.seq,
      jobId,
      jobName,
      meant,
      command: { ...event, id, seen: event.seq } as unknown as Command,
      message: 'It was saved, but the server has an older store now, without it.',
      wouldHelp: 'Do it anew where it still holds.',
      gone: true,
    });
  }

  /** Sends once more what was not taken, behind what its job has waiting; the same command, so never twice. */
  async function again(entry: NotTaken): Promise<void> {
    add(entry.jobId, entry.command, entry.meant, entry.jobName);
    await dealtWith(entry);
  }

  /** Sends what was not taken as a person has put it now: another command, of the time at which the work was done. */
  async function changed(entry: NotTaken, data: Command['data'], meant: string): Promise<void> {
    add(entry.jobId, { ...entry.command, data, id: crypto.randomUUID() } as Command, meant, entry.jobName);
    await dealtWith(entry);
  }

  const of = (jobId: string): readonly Waiting[] => waiting.value.filter((entry) => entry.jobId === jobId);
  /** A person has dealt with it, and it is not sent any more. */
  async function read(entry: NotTaken): Promise<void> {
    await dealtWith(entry);
    await forgetFile(entry.command);
  }
  async function dealtWith({ command }: NotTaken): Promise<void> {
    notTaken.value = notTaken.value.filter((other) => other.command.id !== command.id);
    await (await open())?.delete('refused', command.id).catch(() => undefined);
  }
  const failing = computed(() => [...queues.value.values()].filter(({ trouble }) => trouble !== null));

  const over = new AbortController();
  window.addEventListener('online', flush, over);
  // A page that goes away in the same breath as a tap still writes it down.
  window.addEventListener(
    'pagehide',
    () => {
      for (const entry of [...unkept]) void keep(entry);
    },
    over,
  );
  // What is nowhere else is asked about before the tab goes.
  const lostWithTab = computed(
    () =>
      waiting.value.filter(({ command }) => onlyHere.value.has(command.id) || filesOnlyHere.has(fileOf(command) ?? ''))
        .length,
  );
  window.addEventListener('beforeunload', (event) => lostWithTab.value > 0 && event.preventDefault(), over);
  onScopeDispose(() => {
    over.abort();
    for (const later of retries.values()) clearTimeout(later);
  });

  return {
    waiting,
    notTaken,
    /** Something could not be sent, and is tried again. */
    outOfReach: computed(() => failing.value.length > 0),
    /** Why, where the server said so. */
    trouble: computed(() => failing.value.find(({ trouble }) => trouble !== '')?.trouble ?? ''),
    /** So many would be lost with this tab, or their photos: the browser does not keep them. */
    onlyHere: lostWithTab,
    /** A few on their way are nobody’s business; what stays behind is. */
    lagging: computed(() => failing.value.length > 0 || waiting.value.length > 3 || lostWithTab.value > 0),
    add,
    drop,
    restore,
    flush,
    of,
    read,
    again,
    changed,
    sayGone,
    onReply: (listen: Heard) => listeners.add(listen),
    count: computed(() => waiting.value.length),
  };
});

/** The hash of the file that a command speaks of; null for most. */
const fileOf = (command: Command): string | null =>
  command.type === 'attach-picture' || command.type === 'keep-recording' ? command.data.hash : null;

/** The same command, of the file under the hash that it was stored by. */
function speakingOf(command: Command, hash: string): Command {
  if (command.type === 'attach-picture') return { ...command, data: { ...command.data, hash } };
  if (command.type === 'keep-recording') return { ...command, data: { ...command.data, hash } };
  return command;
}

/** Sends the file first, where it waits too; it is kept until the command is taken, since both may be sent again. */
async function withItsFile(command: Command): Promise<Command> {
  const hash = fileOf(command);
  const stored = hash === null ? null : await sendWaiting(hash);
  return stored === null ? command : speakingOf(command, stored);
}
async function forgetFile(command: Command): Promise<void> {
  const hash = fileOf(command);
  if (hash !== null) await forgetWaiting(hash);
}
