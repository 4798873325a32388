import { samePart } from '../../../core/stock/index.ts';
import { computed, type ComputedRef, onMounted, ref, shallowRef } from 'vue';
import type { ItemTimes } from '../../../contract/index.ts';
import {
  allNeeds,
  type Job,
  jobOutlook,
  type Missing,
  missingParts,
  neededNumbers,
  type Outlook,
} from '../../../core/job/index.ts';
import { momentOf } from '../../../core/days/index.ts';
import {
  orderNow,
  type OrderLine,
  readiness,
  type Readiness,
  type StartAdvice,
  startOrWait,
} from '../../../core/prepare/index.ts';
import { toolList, type ToolUse } from '../../../core/refit/index.ts';
import { readTimes } from '../../data/procedures.ts';
import { readWanted } from '../../data/shopRows.ts';
import { useMinute } from '../../stores/clock.ts';
import { useShop } from '../../stores/shop.ts';
import { useStock } from '../../stores/stock.ts';

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
    const [, others] = await Promise.all([
      stock.load({ number: job.value === null ? [] : neededNumbers(job.value) }),
      readWanted().catch(() => ({ rows: [], opened: 0 })),
    ]);
    wanted.value = others.rows;
    opened.value = others.opened;
    const procedureId = job.value?.procedure?.id;
    if (procedureId !== undefined) times.value = await readTimes(procedureId).catch(() => ({}));
  }

  const moment = computed(() => momentOf(now.value, shop.settings.timeZone));
  const list = computed((): Readiness[] => {
    const { value } = job;
    if (value === null) return [];
    return readiness({
      needs: allNeeds(value),
      states: value.needs,
      stock: stock.rows.map(({ partNumber, left, place }) => ({ partNumber, left, place })),
      wantedElsewhere: (partNumber) =>
        wanted.value.filter((each) => samePart(each.partNumber, partNumber) && each.jobId !== value.id).length,
      tools: shop.tools,
      today: moment.value.day,
    });
  });
  const orders = computed((): OrderLine[] => orderNow(list.value, moment.value.day));
  const missing = computed((): readonly Missing[] => (job.value === null ? [] : missingParts(job.value, list.value)));
  const outlook = computed((): Outlook | null =>
    job.value === null ? null : jobOutlook(job.value, times.value, missing.value, shop.figures),
  );
  const advice = computed((): StartAdvice | null => {
    const { value } = outlook;
    if (value === null) return null;
    const after = value.back.likely * value.heldShare;
    return startOrWait({
      now: moment.value,
      calendar: shop.calendar,
      minutesBefore: value.off.likely + value.units + value.back.likely - after,
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
