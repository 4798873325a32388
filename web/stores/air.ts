import { defineStore } from 'pinia';
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import type { AirReply } from '../../contract/index.ts';
import { type AiringState, bayAir, type BayAir } from '../../core/clean/index.ts';
import { BREATH_MS, useChanges } from '../data/changes.ts';
import { airBay, readAir } from '../data/shopRows.ts';

/** The air of the bay, over all jobs: what was sprayed and how it is aired. Minutes run from `since`. */
export const useAir = defineStore('air', () => {
  const reply = shallowRef<AirReply | null>(null);
  const failed = ref('');

  async function load(): Promise<void> {
    try {
      reply.value = await readAir();
      failed.value = '';
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  async function set(state: AiringState): Promise<void> {
    try {
      reply.value = await airBay(state);
      failed.value = '';
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  /** The clock's zero: a day before what was heard. */
  const since = computed(() => Date.parse(reply.value?.now ?? new Date(0).toISOString()) - 24 * 3_600_000);
  const minuteOf = (iso: string): number => (Date.parse(iso) - since.value) / 60_000;
  const air = computed((): BayAir | null => {
    const { value } = reply;
    if (value === null) return null;
    const airings = [
      { fromMinute: 0, airChanges: value.rates.shut },
      ...value.airings.map(({ at, state }) => ({
        fromMinute: Math.max(0, minuteOf(at)),
        airChanges: value.rates[state],
      })),
    ];
    return bayAir(
      value.releases.map(({ at, ...release }) => ({ ...release, endMinute: minuteOf(at) })),
      airings,
      value.roomM3,
    );
  });

  return { reply, failed, load, set, air, minuteOf };
});

/** Others spray and open doors too: the air is asked for anew when they do, while the component is on the screen. */
export function useAirLive(): void {
  const store = useAir();
  let breath: ReturnType<typeof setTimeout> | undefined;
  onMounted(() => void store.load());
  useChanges((change) => {
    if (change?.kind === 'rows' && change.list !== 'air') return;
    clearTimeout(breath);
    breath = setTimeout(() => void store.load(), BREATH_MS);
  });
  onBeforeUnmount(() => clearTimeout(breath));
}
