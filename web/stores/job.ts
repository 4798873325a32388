import { defineStore } from 'pinia';
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import type { CommandReply, JobReply, SentCommand } from '../../contract/index.ts';
import {
  type Asks,
  type Command,
  type CommandBody,
  type CommandData,
  type CommandType,
  type Context,
  type Job,
  NO_CONTEXT,
  type RecordedEvent,
  type Refusal,
} from '../../core/job/index.ts';
import type { Procedure } from '../../core/procedure/index.ts';
import { api, OutOfReach } from '../data/api.ts';
import { ask } from '../data/kept.ts';
import { dropLog, followLog, keepLog, keptLog } from '../data/jobLogs.ts';
import { deviceIso, putRight } from './clock.ts';
import { asksOf, decide, evolve, isReadable, replay, withTyped, wordsOf } from './engine.ts';
import { tellGone } from './gone.ts';
import { nameOfJob } from './jobName.ts';
import { useKnowledge } from './knowledge.ts';
import { useOutbox } from './outbox.ts';
import { useShop } from './shop.ts';
import { useWritingUp } from './writingUp.ts';

/** So few may be decided anew at every answer. */
const FEW_WAIT = 20;
/** With more, answers are held so many times as long as the last confirming took, and no longer than that, ms. */
const HELD_TIMES = 10;
const MOST_HELD_MS = 15_000;
const LEAST_HELD_MS = 200;
/** Quiet for so long, and the log is kept by this browser, ms. */
const KEEP_AFTER_MS = 400;

/**
 * The job on the screen: what the server has confirmed, with what waits to be saved applied on top by the same
 * `decide` and `evolve` that the server runs.
 */
export const useJob = defineStore('job', () => {
  const outbox = useOutbox();
  const shop = useShop();
  const known = useKnowledge();
  const writingUp = useWritingUp();
  const id = ref('');
  const confirmed = shallowRef<Job | null>(null);
  /** The entries that made it, for this browser to keep. */
  let log: readonly RecordedEvent[] = [];
  const procedures = shallowRef<ReadonlyMap<string, Procedure>>(new Map());
  /** “idle”, “loading” or “failed”: what is happening, apart from what we have. */
  const fetching = ref<'idle' | 'loading' | 'failed'>('idle');
  const problem = ref('');

  /** Between the answer and the removal from the queue a command is in both. */
  const lastConfirmed = shallowRef<ReadonlySet<string>>(new Set());

  /** What the job is judged by: null until it is loaded. */
  const knowledge = computed(() => known.versions.get(confirmed.value?.knowledge ?? 1) ?? null);
  const family = computed(() => known.families.get(confirmed.value?.vehicle.familyId ?? '') ?? null);

  const knowledgeFor = (asked: Asks['knowledge']): Context['knowledge'] =>
    asked === undefined ? null : typeof asked === 'number' ? (known.versions.get(asked) ?? null) : knowledge.value;

  const procedureFor = (asked: Asks['procedure']): Context['procedure'] =>
    asked === undefined
      ? null
      : (procedures.value.get(asked.version === undefined ? asked.id : versionKey(asked.id, asked.version)) ?? null);

  /** What a command asks for, of what is at hand here; the server knows the rest. */
  function contextFor(command: CommandBody, by: string): Context {
    const asks = asksOf(command);
    const sender = shop.here.find((person) => person.id === by);
    return {
      ...NO_CONTEXT,
      wrenches: asks.wrenches ? shop.wrenches : [],
      rules: asks.rules ? shop.rules : {},
      figures: asks.figures ? shop.figures : {},
      measures: asks.measures ? shop.settings.measures : null,
      role: asks.role ? (sender?.role ?? null) : null,
      alone: asks.role === true && shop.here.length === 1 && sender !== undefined,
      family: asks.family ? family.value : null,
      knowledge: knowledgeFor(asks.knowledge),
      procedure: procedureFor(asks.procedure),
      recipe: shop.recipes.find(({ id }) => id === asks.recipe) ?? null,
    };
  }

  /**
   * What waiting commands made of a state, while what they are judged by is the same: a tap on top of two thousand that
   * wait costs one decision, not two thousand.
   */
  let applied = new WeakMap<Job, Map<string, Job>>();
  watch(
    [
      () => [shop.wrenches, shop.rules, shop.figures, shop.settings, shop.people, shop.recipes, shop.personId],
      procedures,
      knowledge,
      family,
    ],
    () => (applied = new WeakMap()),
    { flush: 'sync' },
  );

  function apply(current: Job | null, command: Command): Job | null {
    const known = current === null ? undefined : applied.get(current)?.get(command.id);
    if (known !== undefined) return known;
    const next = decided(current, command);
    if (current !== null && next !== null && next !== current) {
      const made = applied.get(current) ?? new Map<string, Job>();
      applied.set(current, made.set(command.id, next));
    }
    return next;
  }

  /** A command that would be refused now is passed over: the server will say why. */
  function decided(current: Job | null, command: Command): Job | null {
    const decision = decide(current, command, contextFor(command, command.by));
    if (!decision.ok) return current;
    return decision.events.reduce<Job | null>(
      (state, fact) =>
        evolve(
          state,
          { ...fact, seq: (state?.version ?? 0) + 1, commandId: command.id, at: countedAt(command), by: command.by },
          id.value,
        ),
      current,
    );
  }

  /** Answered, and not yet part of what is confirmed: see {@link heard}. */
  const answered = shallowRef<readonly Command[]>([]);
  const held = shallowRef<readonly RecordedEvent[]>([]);
  let settling: ReturnType<typeof setTimeout> | undefined;
  let lastTook = 0;
  let keeping: ReturnType<typeof setTimeout> | undefined;

  const job = computed(() => {
    const early = new Set(answered.value.map((command) => command.id));
    const waiting = outbox.of(id.value).flatMap(({ command }) => (early.has(command.id) ? [] : [command]));
    return [...answered.value, ...waiting].reduce<Job | null>(
      (state, command) => (lastConfirmed.value.has(command.id) ? state : apply(state, command)),
      confirmed.value,
    );
  });

  /**
   * Where much waits, answers are confirmed some at a time: each new base has all that waits decided anew. Until then
   * the command goes on being shown as it was, so that the screen never lacks it.
   */
  function heard(jobId: string, { events }: CommandReply, command: Command): void {
    if (jobId !== id.value) return;
    held.value = [...held.value, ...events];
    answered.value = [...answered.value, command];
    const left = outbox.of(jobId).length;
    if (left <= FEW_WAIT) settle();
    else settling ??= setTimeout(settle, Math.min(MOST_HELD_MS, Math.max(LEAST_HELD_MS, lastTook * HELD_TIMES)));
  }
  function settle(): void {
    clearTimeout(settling);
    settling = undefined;
    const events = held.value;
    const from = performance.now();
    held.value = [];
    if (events.length > 0) take({ jobId: id.value, version: events.at(-1)!.seq, events });
    answered.value = [];
    // Asked for here, so that it is known what it costs.
    void job.value;
    lastTook = performance.now() - from;
  }

  function take(reply: JobReply | CommandReply): void {
    const seen = confirmed.value?.version ?? 0;
    const fresh = reply.events.filter(({ seq }) => seq > seen);
    // An answer to a queue that was told of entries while another page was shown.
    if (fresh[0] !== undefined && fresh[0].seq !== seen + 1) return void load(reply.jobId);
    lastConfirmed.value = new Set([...lastConfirmed.value, ...fresh.map(({ commandId }) => commandId)]);
    confirmed.value = replay(reply.jobId, fresh, confirmed.value);
    log = [...log, ...fresh];
    if (fresh.length > 0 && log.length === reply.version) keepSoon();
    if (confirmed.value !== null) void needJudgement(confirmed.value);
  }

  /** Keeps the log once it is quiet: whoever taps fast should not pay for writing it all each time. */
  function keepSoon(): void {
    clearTimeout(keeping);
    keeping = setTimeout(() => void keepLog(id.value, log), KEEP_AFTER_MS);
  }

  /** Fetches what the job is judged by; what is there already costs nothing. */
  async function needJudgement({ knowledge: version, vehicle }: Job): Promise<void> {
    await Promise.all([known.need(version), vehicle.familyId ? known.needFamily(vehicle.familyId) : null]);
  }

  outbox.onReply(heard);
  onScopeDispose(() => {
    clearTimeout(settling);
    clearTimeout(keeping);
  });

  /** Forgets what is shown, for another job or another log of this one. */
  function begin(jobId: string): void {
    clearTimeout(settling);
    settling = undefined;
    clearTimeout(keeping);
    id.value = jobId;
    confirmed.value = null;
    lastConfirmed.value = new Set();
    answered.value = [];
    held.value = [];
    log = [];
  }

  /** Shows a job as it was last here, then as it is. */
  async function load(jobId: string): Promise<void> {
    fetching.value = 'loading';
    problem.value = '';
    if (id.value !== jobId) {
      begin(jobId);
      const known = await keptLog(jobId);
      if (id.value === jobId && confirmed.value === null && known.length > 0 && isReadable(known))
        take({ jobId, version: known.length, events: known });
    }
    try {
      const known = log;
      const { events, gone } = await followLog(jobId, known);
      if (id.value === jobId) {
        tellGone(jobId, known, gone);
        if (gone.length > 0) begin(jobId);
        if (events.length === 0 && gone.length > 0) {
          await dropLog(jobId);
          throw new Error('The server has an older store now, in which there is no such job.');
        }
        take({ jobId, version: events.at(-1)?.seq ?? 0, events });
      }
      fetching.value = 'idle';
    } catch (error) {
      // What was last here goes on being shown; that the server is away is said for the whole page.
      fetching.value = error instanceof OutOfReach && confirmed.value !== null ? 'idle' : 'failed';
      problem.value = error instanceof Error ? error.message : String(error);
    }
  }

  /** Fetches a procedure, the newest version unless one is named, so that working by it shows at once. */
  async function needProcedure(procedureId: string, version?: number): Promise<Procedure> {
    const key = version === undefined ? procedureId : versionKey(procedureId, version);
    const kept = procedures.value.get(key);
    // A named version never changes; the newest may have moved on.
    if (kept !== undefined && version !== undefined) return kept;
    const found = await ask<Procedure>(
      `/procedures/${procedureId}${version === undefined ? '' : `?version=${version}`}`,
    );
    procedures.value = new Map([...procedures.value, [key, found]]);
    return found;
  }

  /**
   * Does something on the job: shown at once, then saved. @returns null when taken, or the refusal to show beside the
   * field; nothing is sent then
   */
  const send = <K extends CommandType>(type: K, data: CommandData[K]): Refusal | null =>
    sendAs(shop.personId, type, data);

  /** The same in the name of somebody else who stands here: where names are picked, nothing more is asked of them. */
  function sendAs<K extends CommandType>(by: string, type: K, data: CommandData[K]): Refusal | null {
    const body = { type, data } as unknown as CommandBody;
    const current = job.value;
    const decision = decide(current, { ...body, by } as unknown as CommandBody, contextFor(body, by));
    if (!decision.ok) return decision;
    if (by === '')
      return {
        ok: false,
        code: 'nobody',
        message: 'Who is at the bench? Pick your name at the foot of the rail.',
        wouldHelp: '',
        field: null,
      };
    const command = {
      ...body,
      id: crypto.randomUUID(),
      ...timeOf(id.value),
      by,
      seen: confirmed.value?.version ?? 0,
    } as Command;
    outbox.add(
      id.value,
      command,
      current === null ? '' : withTyped(wordsOf(decision.events, current), data),
      nameOfJob(current),
    );
    return null;
  }

  /** The device's own time, or the time that the person writes up; the server puts the first right, and keeps the second. */
  function timeOf(jobId: string): Pick<Command, 'at' | 'late'> {
    const writtenFor = writingUp.timeFor(jobId);
    return writtenFor === null ? { at: deviceIso() } : { at: writtenFor, late: 'written-up' };
  }

  /** Does something that only the server can decide, and shows it once it has. @throws ApiError, OutOfReach */
  async function sendAndWait<K extends CommandType>(type: K, data: CommandData[K]): Promise<void> {
    const jobId = id.value;
    const command = {
      type,
      data,
      id: crypto.randomUUID(),
      at: putRight(deviceIso()),
      by: shop.personId,
      seen: confirmed.value?.version ?? 0,
    } as unknown as SentCommand;
    const reply = await api.post<CommandReply>(`/jobs/${jobId}/commands`, command);
    if (id.value === jobId) take(reply);
  }

  return {
    id,
    sendAndWait,
    job,
    confirmed,
    knowledge,
    family,
    take,
    fetching,
    problem,
    load,
    send,
    sendAs,
    needProcedure,
    /** The version up to which the server has told this page. */
    told: computed(() => held.value.at(-1)?.seq ?? confirmed.value?.version ?? 0),
    waitingHere: computed(() => outbox.of(id.value).length),
  };
});

/** The time that counts, as the server will have it. */
const countedAt = ({ at, late }: Command): string => (late === 'written-up' ? at : putRight(at));
const versionKey = (procedureId: string, version: number): string => `${procedureId}@${version}`;

/** A fresh id for anything that a command creates. */
export const freshId = (): string => crypto.randomUUID();
