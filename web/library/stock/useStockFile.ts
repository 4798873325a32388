import { onMounted, ref, shallowRef } from 'vue';
import type { StockFile } from '../../../contract/index.ts';
import { ApiError } from '../../data/api.ts';
import { readStock } from '../../data/stock.ts';

/** One thing in stock as the server has it, and what was wrong with what was sent last, by field. */
export function useStockFile(id: () => string) {
  const file = shallowRef<StockFile | null>(null);
  /** There is no such thing yet: it is being described. */
  const isNew = ref(false);
  const failed = ref('');
  const wrong = ref<Readonly<Record<string, string>>>({});

  const load = async (): Promise<void> => {
    file.value = await readStock(id());
    isNew.value = false;
  };
  /** Reads it, and says what went wrong when it cannot be read. */
  async function open(): Promise<void> {
    try {
      await load();
    } catch (error) {
      if (error instanceof ApiError && error.status === 404) isNew.value = true;
      else failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  onMounted(open);

  /** Sends something that answers with the file, or with null when it is to be read anew. What was typed stays. */
  async function send(work: () => Promise<StockFile | null>): Promise<boolean> {
    wrong.value = {};
    failed.value = '';
    try {
      const reply = await work();
      if (reply === null) await load();
      else file.value = reply;
      return true;
    } catch (error) {
      if (error instanceof ApiError) wrong.value = error.fields;
      failed.value = error instanceof Error && Object.keys(wrong.value).length === 0 ? error.message : '';
      return false;
    }
  }

  return { file, isNew, failed, wrong, open, send };
}

/** What a piece of the page is given to work with. */
export type SendStock = ReturnType<typeof useStockFile>['send'];
