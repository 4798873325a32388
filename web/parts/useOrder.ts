import { dragAndDrop } from '@formkit/drag-and-drop/vue';
import { ref, type Ref, watch } from 'vue';

/** What a row is dragged by: a class of its handle. The rest of the row stays for typing and tapping. */
export const HANDLE = 'drag-handle';

/**
 * A list that is put in order by dragging its rows by their handles. Whoever cannot drag has buttons beside them.
 * @param list the element whose children are the rows, one for each id, in this order
 * @param ids as they are kept @param moved a row was let go at another place, counted from 0
 * @returns ids in the order to show: as they are kept, or while one is dragged as they would be
 */
export function useOrder(
  list: Readonly<Ref<HTMLElement | null>>,
  ids: () => readonly string[],
  moved: (id: string, to: number) => void,
): Ref<string[]> {
  const order = ref([...ids()]);
  watch(ids, (kept) => {
    if (kept.join('\n') !== order.value.join('\n')) order.value = [...kept];
  });
  dragAndDrop<string>({
    parent: list,
    values: order,
    dragHandle: `.${HANDLE}`,
    onDragend: ({ draggedNode }) => {
      const id = draggedNode.data.value;
      const to = order.value.indexOf(id);
      if (to >= 0 && to !== ids().indexOf(id)) moved(id, to);
    },
  });
  return order;
}
