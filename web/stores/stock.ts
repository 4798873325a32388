import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { StockItem } from '../../contract/index.ts';
import { allPages, type Query } from '../data/pages.ts';

/** What of the stock a stage works with. Out of reach it stays as it was last seen, and `failed` says why. */
export const useStock = defineStore('stock', () => {
  const rows = shallowRef<readonly StockItem[]>([]);
  const failed = ref('');

  /** @param which the kinds or part numbers that are wanted; nothing is asked for where there are none */
  async function load(which: Query): Promise<void> {
    const numbers = which.number;
    if (Array.isArray(numbers) && numbers.every((number) => number === '')) {
      rows.value = [];
      return;
    }
    try {
      rows.value = await allPages<StockItem>('/stock', which);
      failed.value = '';
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  return { rows, failed, load };
});
