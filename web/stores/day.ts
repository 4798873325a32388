import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Change, DayReply, KeptPlan } from '../../contract/index.ts';
import {
  type DayWay,
  type PlannedBlock,
  stretchKey,
  type TimedStretch,
  type Wish,
  type WovenDay,
} from '../../core/bay/index.ts';
import { ApiError } from '../data/api.ts';
import { BREATH_MS } from '../data/changes.ts';
import { keepPlan, readDay, sayWish } from '../data/day.ts';
import { useWeaving } from '../workers/useWeaving.ts';
import { nowIso } from './clock.ts';
import { useShop } from './shop.ts';

/** Lists whose changes make another day. */
const LISTS: ReadonlySet<string> = new Set([
  'day',
  'absences',
  'people',
  'calendar',
  'wrenches',
  'shop',
  'stock',
  'orders',
]);
/** While nothing is entered time goes on, and what has not begun slips, ms. */
export const AGAIN_MS = 5 * 60_000;

/** The plan of the day: read, woven in a worker, and kept for everybody when it is another. */
export const useDay = defineStore('day', () => {
  const shop = useShop();
  const reply = shallowRef<DayReply | null>(null);
  const woven = shallowRef<WovenDay | null>(null);
  const ways = shallowRef<ReadonlyMap<number, readonly DayWay[]>>(new Map());
  const failed = ref('');
  /** What moved when the plan was last woven anew. */
  const moved = shallowRef<readonly PlannedBlock[]>([]);
  let breath: ReturnType<typeof setTimeout> | undefined;

  const { ask } = useWeaving((answer) => {
    if (answer.kind === 'ways') ways.value = new Map(ways.value).set(answer.nth, answer.ways);
    else {
      woven.value = answer.day;
      ways.value = new Map();
      if (answer.day.moved.length > 0) moved.value = answer.day.moved;
      if (answer.day.changed) void keep(answer.day.blocks);
    }
  });

  async function load(): Promise<void> {
    try {
      reply.value = await readDay();
      failed.value = '';
      await weave();
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  async function weave(): Promise<void> {
    const read = reply.value;
    if (read === null) return;
    const { jobs, people, absences, longer, wishes, pace, bays, pause, plan } = read;
    await ask({
      now: nowIso(),
      timeZone: shop.settings.timeZone,
      calendar: shop.calendar,
      pause,
      bays,
      people,
      absences,
      longer,
      jobs,
      wishes,
      wrenches: shop.wrenches,
      pace,
      before: plan?.blocks ?? [],
    });
  }
  /** Of several who weave at once the first keeps the plan; the others take it and weave after it. */
  async function keep(blocks: readonly PlannedBlock[]): Promise<void> {
    const read = reply.value;
    const role = shop.person?.role;
    if (read === null || shop.readOnly || role === undefined || role === 'parts') return;
    const seen = read.plan?.version ?? 0;
    try {
      takePlan(await keepPlan(seen, blocks));
    } catch (error) {
      const newer = error instanceof ApiError ? (error.newer?.row as KeptPlan | null | undefined) : null;
      // Out of reach, or refused: the plan is shown here all the same, and kept when it is next woven.
      if (newer == null || newer.version <= seen) return;
      takePlan(newer);
      await weave();
    }
  }
  function takePlan(plan: KeptPlan): void {
    if (reply.value !== null) reply.value = { ...reply.value, plan };
  }
  /** Says who does a stretch and when. @returns what is wrong with it, or an empty text */
  async function wish(said: Wish): Promise<string> {
    try {
      reply.value = await sayWish(said);
      await weave();
      return '';
    } catch (error) {
      return error instanceof Error ? error.message : String(error);
    }
  }
  /** What the change stream told; null when it is new. */
  function heard(change: Change | null): void {
    if (change !== null && change.kind !== 'job' && !(change.kind === 'rows' && LISTS.has(change.list))) return;
    clearTimeout(breath);
    breath = setTimeout(() => void load(), BREATH_MS);
  }
  const stretches = computed<ReadonlyMap<string, TimedStretch>>(
    () => new Map((woven.value?.stretches ?? []).map((each) => [stretchKey(each.jobId, each.id), each])),
  );
  const stretchOf = ({ jobId, stretch }: Pick<PlannedBlock, 'jobId' | 'stretch'>): TimedStretch | null =>
    stretches.value.get(stretchKey(jobId, stretch)) ?? null;
  return { reply, woven, ways, failed, moved, load, weave, wish, heard, stretchOf };
});
