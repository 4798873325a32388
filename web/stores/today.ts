import { onBeforeUnmount, onMounted, type Ref, ref, watch } from 'vue';
import { dayOf, msToNextDay } from '../../core/days/index.ts';
import { nowIso } from './clock.ts';
import { useShop } from './shop.ts';

/** A timer may fire a little early; the day has turned for certain by then. */
const AFTER_MIDNIGHT_MS = 500;
/** Longer than this a sleeping tablet may have missed its timer: it looks again, ms. */
const LOOK_AGAIN_MS = 30 * 60_000;

/** The shop's day, ISO; on an open page it turns when the day turns there. */
export function useToday(): Ref<string> {
  const shop = useShop();
  const today = ref(dayOf(nowIso(), shop.settings.timeZone));
  let timer: ReturnType<typeof setTimeout> | undefined;
  function look(): void {
    const now = nowIso();
    today.value = dayOf(now, shop.settings.timeZone);
    clearTimeout(timer);
    timer = setTimeout(look, Math.min(LOOK_AGAIN_MS, msToNextDay(now, shop.settings.timeZone) + AFTER_MIDNIGHT_MS));
  }
  watch(() => shop.settings.timeZone, look);
  onMounted(look);
  onBeforeUnmount(() => clearTimeout(timer));
  return today;
}
