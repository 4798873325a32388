import { defineStore } from 'pinia';
import { computed, onScopeDispose, ref, watch } from 'vue';
import type { ListOrder } from '../parts/listColumns.ts';

interface Asked {
  readonly text: string;
  readonly order: ListOrder;
}

/** What each list was asked last, so that whoever comes back finds it as it was left. */
export const useListMemory = defineStore('list-memory', () => ({ asked: ref<Readonly<Record<string, Asked>>>({}) }));

/** Typing is let settle so long before the list is asked for, ms. */
const SETTLE_MS = 120;

/** What a list is asked by: words typed, and the order. @param list its name @param begin its order at first */
export function useListAsk(list: string, begin: ListOrder) {
  const memory = useListMemory();
  const kept = memory.asked[list] ?? { text: '', order: begin };
  const text = ref(kept.text);
  const settled = ref(kept.text);
  const order = ref<ListOrder>(kept.order);
  let settling: ReturnType<typeof setTimeout> | undefined;
  watch(text, (typed) => {
    clearTimeout(settling);
    settling = setTimeout(() => (settled.value = typed), SETTLE_MS);
  });
  watch([text, order], () => {
    memory.asked = { ...memory.asked, [list]: { text: text.value, order: order.value } };
  });
  onScopeDispose(() => clearTimeout(settling));
  const query = computed(() => ({
    q: settled.value.trim() === '' ? undefined : settled.value,
    sort: order.value.sort,
    direction: order.value.direction,
  }));
  return { text, settled, order, query };
}
