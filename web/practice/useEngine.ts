import { useDocumentVisibility } from '@vueuse/core';
import { shallowRef, watch } from 'vue';
import type { EngineShown } from '../../contract/index.ts';
import { watchEngine } from '../data/practice.ts';

/** A moment of the engine, with when it was, s. */
export interface EngineSample extends EngineShown {
  readonly at: number;
}
/** So far back is shown, s. */
export const SHOWN_S = 22;

/**
 * The engine behind the adapter, as its instruments show it. A page that nobody looks at lets go: browsers allow few
 * connections to one server.
 * @param runs whether there is anything to watch
 */
export function useEngine(runs: () => boolean) {
  const samples = shallowRef<readonly EngineSample[]>([]);
  const shown = shallowRef<EngineShown | null>(null);
  const visibility = useDocumentVisibility();
  watch(
    () => runs() && visibility.value === 'visible',
    (watched, _, onCleanup) => {
      if (!watched) return;
      const stop = watchEngine('sim.practice', (now) => {
        const at = performance.now() / 1000;
        shown.value = now;
        samples.value = [...samples.value.filter((each) => each.at > at - SHOWN_S), { ...now, at }];
      });
      onCleanup(stop);
    },
    { immediate: true },
  );
  return { samples, shown };
}
