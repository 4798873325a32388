import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { StockItem } from '../../contract/index.ts';
import { api } from './api.ts';

/** What lies in stock. Out of reach of the server it stays as it was last seen, and `failed` says why. */
export const useStock = defineStore('stock', () => {
  const rows = shallowRef<readonly StockItem[]>([]);
  const failed = ref('');

  async function load(): Promise<void> {
    try {
      rows.value = (await api.get<{ rows: StockItem[] }>('/stock')).rows;
      failed.value = '';
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  return { rows, failed, load };
});
