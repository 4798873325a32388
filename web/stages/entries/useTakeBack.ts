import { computed, ref } from 'vue';
import type { Refusal } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';

/**
 * Undo and redo: each says what it takes back or does again. What somebody else did is asked about first; `asking` is
 * its words and theirs while it is.
 */
export function useTakeBack(tell: (refusal: Refusal | null) => void = () => undefined) {
  const store = useJob();
  const shop = useShop();
  const asked = ref('');
  const undo = computed(() => (store.job?.status === 'open' ? store.job.undo : null));
  const redo = computed(() => (store.job?.status === 'open' ? store.job.redo : null));
  const others = computed(() =>
    undo.value !== null && undo.value.by !== shop.personId ? shop.firstName(undo.value.by) : '',
  );
  /** Asked about, and still the last. */
  const asking = computed(() => (undo.value !== null && undo.value.commandId === asked.value ? undo.value : null));

  function takeBack(): void {
    if (undo.value === null) return;
    if (others.value !== '' && asking.value === null) {
      asked.value = undo.value.commandId;
      return;
    }
    asked.value = '';
    tell(store.send('undo', { expected: undo.value.commandId }));
  }
  function doAgain(): void {
    if (redo.value !== null) tell(store.send('redo', { expected: redo.value.by }));
  }
  const leave = (): void => {
    asked.value = '';
  };
  return { undo, redo, others, asking, takeBack, doAgain, leave };
}
