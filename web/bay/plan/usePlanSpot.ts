import { computed, type ComputedRef, ref } from 'vue';
import { nowIso } from '../../stores/clock.ts';
import { useDay } from '../../stores/day.ts';
import type { DrawnBlock } from './planView.ts';

/** Times are dropped on whole steps of so many minutes. */
const STEP_MIN = 5;
const MINUTE_MS = 60_000;

/** Which block is chosen, and what comes of one that is dragged elsewhere. */
export function usePlanSpot(blocks: ComputedRef<readonly DrawnBlock[]>) {
  const day = useDay();
  const key = ref('');
  const chosen = computed(() => blocks.value.find((block) => block.key === key.value) ?? null);
  function choose(which: string): void {
    key.value = key.value === which ? '' : which;
  }
  async function drop({ jobId, stretch, from, personId }: DrawnBlock, minutes: number, to: string): Promise<void> {
    const steps = Math.round(minutes / STEP_MIN) * STEP_MIN;
    if (steps === 0 && to === personId) return;
    const wished = day.reply?.wishes.find((wish) => wish.jobId === jobId && wish.stretch === stretch);
    const soonest = Date.parse(nowIso()) + MINUTE_MS;
    const at =
      steps === 0
        ? (wished?.at ?? null)
        : new Date(Math.max(Date.parse(from) + steps * MINUTE_MS, soonest)).toISOString();
    day.failed = await day.wish({ jobId, stretch, at, personId: to });
  }
  return { chosen, choose, drop };
}
