import { computed, type ComputedRef, onMounted, ref, shallowRef } from 'vue';
import type { ItemTimes } from '../../../contract/index.ts';
import { allNeeds, type Job } from '../../../core/job/index.ts';
import {
  heldByParts,
  type Moment,
  orderNow,
  type OrderLine,
  readiness,
  type Readiness,
  type StartAdvice,
  startOrWait,
} from '../../../core/prepare/index.ts';
import { expectedMinutes } from '../../../core/procedure/index.ts';
import { estimate, type TimedStep, type TimeEstimate, toolList, type ToolUse } from '../../../core/refit/index.ts';
import { api } from '../../stores/api.ts';
import { useMinute } from '../../stores/clock.ts';
import { useShop } from '../../stores/shop.ts';
import { useStock } from '../../stores/stock.ts';

/** Bench work a unit, when nobody has timed it: our own estimate. */
export const BENCH_MINUTES = 40;
/** One soak runs by itself. */
export const SOAK_MINUTES = 25;

/** A moment of this device's wall clock. */
export function momentOf(iso: string): Moment {
  const at = new Date(iso);
  const two = (value: number): string => String(value).padStart(2, '0');
  return {
    day: `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`,
    minute: at.getHours() * 60 + at.getMinutes(),
  };
}

/** How long a job still takes: off, bench, back before and after the missing parts. */
export interface Outlook {
  readonly off: TimeEstimate;
  readonly back: TimeEstimate;
  readonly bench: number;
  /** Items that cannot go back before the parts are here. */
  readonly held: number;
}

/** What is needed against what is there, what to order, and whether to start. */
export function usePrepare(job: ComputedRef<Job | null>) {
  const shop = useShop();
  const now = useMinute();
  const stock = useStock();
  const wanted = shallowRef<readonly { partNumber: string; jobId: string; number: number }[]>([]);
  const times = shallowRef<ItemTimes>({});
  const opened = ref(0);

  onMounted(() => void load());
  async function load(): Promise<void> {
    const rows = async <T>(path: string): Promise<readonly T[]> =>
      (await api.get<{ rows: T[] }>(path).catch(() => ({ rows: [] as T[] }))).rows;
    [, wanted.value] = await Promise.all([
      stock.load(),
      rows<{ partNumber: string; jobId: string; number: number }>('/wanted'),
    ]);
    const open = await rows<{ itemsOff: number }>('/jobs?status=open&limit=100');
    opened.value = open.filter(({ itemsOff }) => itemsOff > 0).length;
    const procedureId = job.value?.procedure?.id;
    if (procedureId !== undefined)
      times.value = await api.get<ItemTimes>(`/procedures/${procedureId}/times`).catch(() => ({}));
  }

  const moment = computed(() => momentOf(now.value));
  const list = computed((): Readiness[] => {
    const { value } = job;
    if (value === null) return [];
    return readiness({
      needs: allNeeds(value),
      states: value.needs,
      stock: stock.rows.map(({ partNumber, left, place }) => ({ partNumber, left, place })),
      wantedElsewhere: (partNumber) =>
        wanted.value.filter((each) => each.partNumber === partNumber && each.jobId !== value.id).length,
      tools: shop.tools,
      today: moment.value.day,
    });
  });
  const orders = computed((): OrderLine[] => orderNow(list.value, moment.value.day));
  const missing = computed(() =>
    list.value.flatMap(({ need, status }) => {
      if (need.kind !== 'part') return [];
      const expected = job.value?.needs.find(({ needId }) => needId === need.id)?.expected ?? null;
      if (status === 'on order') return [{ need, name: need.name, expected }];
      return status === 'not in stock' || status === 'spoken for' ? [{ need, name: need.name, expected: null }] : [];
    }),
  );

  const outlook = computed((): Outlook | null => {
    const { value } = job;
    if (value === null || value.items.length === 0) return null;
    const parts = new Set(missing.value.flatMap(({ need }) => [need.id, need.partNumber]));
    const held = heldByParts(value.constraints, (part) => parts.has(part));
    const steps = (way: 'off' | 'back'): TimedStep[] =>
      value.items
        .filter(
          ({ state, origin }) =>
            origin !== 'plug' && (way === 'off' ? state === 'on' : state === 'on' || state === 'off'),
        )
        .map((item) => ({ id: item.id, expected: expectedMinutes(item, way) }));
    const history = (way: 'off' | 'back'): Map<string, readonly number[]> =>
      new Map(Object.entries(times.value).map(([id, taken]) => [id, taken[way]]));
    const units = value.items.filter(
      ({ kind, state }) => kind === 'unit' && state !== 'refitted' && state !== 'renewed',
    );
    return {
      off: estimate(steps('off'), history('off')),
      back: estimate(steps('back'), history('back'), [SOAK_MINUTES]),
      bench: units.length * BENCH_MINUTES,
      held: value.items.filter(({ id, state }) => held.has(id) && state !== 'refitted' && state !== 'renewed').length,
    };
  });
  const heldShare = computed(() => {
    const total = job.value?.items.filter(({ origin }) => origin !== 'plug').length ?? 0;
    return total === 0 ? 0 : (outlook.value?.held ?? 0) / total;
  });
  const advice = computed((): StartAdvice | null => {
    const { value } = outlook;
    if (value === null) return null;
    const after = value.back.likely * heldShare.value;
    return startOrWait({
      now: moment.value,
      calendar: shop.calendar,
      minutesBefore: value.off.likely + value.bench + value.back.likely - after,
      minutesAfter: missing.value.length === 0 ? 0 : after,
      waiting: value.back.waiting,
      missing: missing.value,
    });
  });
  const tools = computed((): ToolUse[] =>
    toolList(job.value?.items.filter(({ origin }) => origin !== 'plug').map(({ id, tool }) => ({ id, tool })) ?? []),
  );
  /** Bays that somebody works in. */
  const bays = computed(() => new Set(shop.people.map(({ bay }) => bay).filter((bay) => /^bay\b/i.test(bay))).size);
  return { bays, list, orders, missing, outlook, advice, tools, opened, moment };
}
