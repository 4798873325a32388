import { onScopeDispose, shallowRef } from 'vue';
import type { EngineShown } from '../../contract/index.ts';
import { watchEngine } from '../data/practice.ts';

/** A moment of the engine, with when it was, s. */
export interface EngineSample extends EngineShown {
  readonly at: number;
}
/** So far back is shown, s. */
export const SHOWN_S = 22;

/** The engine behind the adapter, as its instruments show it. */
export function useEngine() {
  const samples = shallowRef<readonly EngineSample[]>([]);
  const shown = shallowRef<EngineShown | null>(null);
  const stop = watchEngine('sim.practice', (now) => {
    const at = performance.now() / 1000;
    shown.value = now;
    samples.value = [...samples.value.filter((each) => each.at > at - SHOWN_S), { ...now, at }];
  });
  onScopeDispose(stop);
  return { samples, shown };
}
