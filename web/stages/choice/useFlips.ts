import { computed, shallowRef, watch, type Ref } from 'vue';
import type { AskedPrice, ChooseInput, Flip } from '../../../core/choose/index.ts';
import type { Knowledge } from '../../../core/diagnose/index.ts';
import { useJudging } from '../../workers/useJudging.ts';

/** Where the choice flips; undefined while it is worked out, in a worker, null where nothing changes it. */
export function useFlips(
  asked: Ref<{
    readonly knowledge: Knowledge;
    readonly choose: ChooseInput;
    readonly priceOf: string | null;
    readonly chanceOf: string | null;
  } | null>,
) {
  const price = shallowRef<Flip | null>();
  const chance = shallowRef<Flip | null>();
  /** Prices that decide and that nobody has given; undefined while that is worked out. */
  const asks = shallowRef<readonly AskedPrice[]>();
  const { ask } = useJudging((answer) => {
    if (answer.kind !== 'flips') return;
    price.value = answer.price;
    chance.value = answer.chance;
    asks.value = answer.asked;
  });
  const told = computed(() => asks.value ?? (typeof Worker === 'undefined' ? [] : undefined));
  watch(
    asked,
    (now, before) => {
      // While a price is dragged the old mark stays until the new one is there; another way has another mark.
      if (now?.priceOf !== before?.priceOf) price.value = undefined;
      if (now?.chanceOf !== before?.chanceOf) chance.value = undefined;
      if (now !== null) {
        const { knowledge, ...task } = now;
        ask(knowledge, { kind: 'flips', ...task });
      }
    },
    { immediate: true },
  );
  return { price, chance, asks: told };
}
