<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { StockItem } from '../../contract/index.ts';
import { api } from '../stores/api.ts';
import { useShop } from '../stores/shop.ts';

const shop = useShop();
const rows = shallowRef<readonly StockItem[]>([]);
const failed = ref('');
const text = ref('');
onMounted(async () => {
  try {
    rows.value = (await api.get<{ rows: StockItem[] }>('/stock')).rows;
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
});
const kinds = {
  gasket: 'Gaskets',
  seal: 'Seals',
  part: 'Parts',
  screw: 'Screws',
  cleaner: 'Cleaners',
  coolant: 'Coolant',
} as const;
const found = computed(() =>
  rows.value.filter((row) =>
    `${row.name} ${row.partNumber} ${row.place}`.toLowerCase().includes(text.value.toLowerCase()),
  ),
);
const groups = computed(() =>
  (Object.keys(kinds) as (keyof typeof kinds)[])
    .map((kind) => ({ kind, name: kinds[kind], rows: found.value.filter((row) => row.kind === kind) }))
    .filter((group) => group.rows.length > 0),
);
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <div class="flex flex-wrap items-center gap-4">
      <h1 class="text-[1.75rem]">Stock</h1>
      <label class="sr-only" for="stock-search">Search stock</label
      ><input
        id="stock-search"
        v-model="text"
        type="search"
        class="input max-w-md"
        placeholder="Name, number or place"
      />
    </div>
    <p class="mt-1 text-soft">What was counted, less what jobs have used since.</p>
    <p v-if="failed" class="mt-4 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <section v-for="group in groups" :key="group.kind" class="mt-6">
      <h2 class="text-sm font-bold">{{ group.name }}</h2>
      <ul class="rows mt-1 border-y border-line">
        <li
          v-for="row in group.rows"
          :key="row.id"
          class="grid grid-cols-[3.5rem_1fr] items-baseline gap-x-4 py-2.5 md:grid-cols-[3.5rem_1fr_9rem_10rem_6rem]"
        >
          <span class="figure text-xl" :class="row.left <= 0 ? 'text-alarm' : row.left <= 2 ? 'text-brass' : ''"
            >{{ row.left }}<span v-if="row.left < 0" class="sr-only"> below zero: count again</span></span
          >
          <span class="font-semibold"
            >{{ row.name
            }}<span v-if="row.left < 0" class="block text-sm text-alarm"
              >more used than was counted: count again</span
            ></span
          ><span class="code text-soft max-md:col-start-2">{{ row.partNumber }}</span
          ><span class="text-soft max-md:col-start-2">{{ row.place }}</span
          ><span class="md:text-right max-md:col-start-2">{{ shop.say.money(row.priceMinor) }}</span>
        </li>
      </ul>
    </section>
    <p v-if="groups.length === 0 && !failed" class="mt-6 text-soft">Nothing fits.</p>
  </section>
</template>
