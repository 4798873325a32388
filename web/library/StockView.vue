<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { StockItem } from '../../contract/index.ts';
import { sayDate } from '../../core/days/index.ts';
import { lowOn, onItsWay, orderAt } from '../../core/stock/index.ts';
import { ApiError } from '../data/api.ts';
import { findStock, takeTable, useStockList, useStockOutlook } from '../data/stock.ts';
import type { ListColumn } from '../parts/listColumns.ts';
import ListTable from '../parts/ListTable.vue';
import { freshId } from '../stores/job.ts';
import { useListAsk } from '../stores/listMemory.ts';
import { useShop } from '../stores/shop.ts';

/** What lies there, what of it is spoken for, and what should be ordered before it runs out. */
const shop = useShop();
const router = useRouter();
const { text, settled, order, query } = useListAsk('stock', { sort: 'kind', direction: 'asc' });
const { rows, next, failed, loaded, busy, more, reload } = useStockList(() => query.value);
const { data: outlook } = useStockOutlook();
const found = ref('');
const table = ref<{ message: string; lines: readonly string[]; text: string; goodOnly: boolean } | null>(null);
const taken = ref('');
const columns: readonly ListColumn[] = [
  { id: 'left', name: 'Left', always: true, figures: true },
  { id: 'name', name: 'Thing', sort: 'name', always: true },
  { id: 'kind', name: 'Kind', sort: 'kind', from: 'lg' },
  { id: 'number', name: 'Number', sort: 'number', from: 'sm' },
  { id: 'place', name: 'Place', sort: 'place', from: 'md' },
  { id: 'wanted', name: 'Spoken for', from: 'md' },
  { id: 'point', name: 'Order at', figures: true, from: 'xl' },
  { id: 'price', name: 'Price', figures: true, from: 'lg' },
];
const keyOf = ({ id }: StockItem): string => id;
const KINDS: Readonly<Record<StockItem['kind'], string>> = {
  gasket: 'gasket',
  seal: 'seal',
  part: 'part',
  screw: 'screw',
  cleaner: 'cleaner',
  coolant: 'coolant',
};
const toOrder = computed(() => outlook.value?.toOrder ?? []);
const going = computed(() => outlook.value?.going ?? []);
/** A scanner types a number and presses Enter. */
async function scan(): Promise<void> {
  found.value = '';
  if (text.value.trim() === '') return;
  try {
    const reply = await findStock(text.value);
    if (reply.itemId === null) {
      found.value = rows.value.length === 0 ? 'No such number here. Note it as a new thing?' : '';
      return;
    }
    const { batch = '', bestBefore } = reply.code;
    await router.push({
      path: `/stock/${reply.itemId}`,
      query: { ...(batch ? { batch } : {}), ...(bestBefore ? { bestBefore } : {}) },
    });
  } catch (error) {
    found.value = error instanceof Error ? error.message : String(error);
  }
}
async function readTable(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (file !== undefined) await sendTable(await file.text(), false);
  input.value = '';
}
async function sendTable(content: string, goodOnly: boolean): Promise<void> {
  taken.value = '';
  try {
    const reply = await takeTable(content, goodOnly);
    taken.value = `${reply.taken} ${reply.taken === 1 ? 'line' : 'lines'} taken in.`;
    table.value = null;
    await reload();
  } catch (error) {
    table.value = {
      message: error instanceof Error ? error.message : String(error),
      lines: error instanceof ApiError ? Object.entries(error.fields).map(([line, words]) => `${line}: ${words}`) : [],
      text: content,
      goodOnly: error instanceof ApiError && error.wouldHelp !== '',
    };
  }
}
const create = (): void =>
  void router.push({ path: `/stock/${freshId()}`, query: text.value ? { number: text.value } : {} });
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-3">
      <h1 class="text-title">Stock</h1>
      <form class="w-full max-w-sm" @submit.prevent="scan">
        <label class="sr-only" for="stock-search">Search stock, or scan a number</label
        ><input
          id="stock-search"
          v-model="text"
          type="search"
          class="input"
          placeholder="Name, number or place; scan, then Enter"
        />
      </form>
      <RouterLink class="link ml-auto" to="/arrivals">What arrived</RouterLink>
      <RouterLink class="link" to="/price-lists">Price lists</RouterLink>
      <RouterLink class="link" to="/returns">Returns box</RouterLink>
      <a class="link" href="/api/stock/table.csv" download="stock.csv">Table out</a>
      <label class="link cursor-pointer focus-within:outline-3 focus-within:outline-bottle"
        >Table in<input type="file" accept=".csv,text/csv" class="sr-only" @change="readTable"
      /></label>
      <button type="button" class="quiet" @click="create">A new thing</button>
    </div>
    <p v-if="found" class="mt-2 font-semibold text-brass" role="status">{{ found }}</p>
    <p v-if="taken" class="mt-2 text-moss" role="status">{{ taken }}</p>
    <div v-if="table" class="mt-3 max-w-3xl border-l-[3px] border-alarm pl-3" role="alert">
      <p class="font-semibold text-alarm">{{ table.message }}</p>
      <ul class="mt-1 text-sm">
        <li v-for="line in table.lines" :key="line">{{ line }}</li>
      </ul>
      <p class="mt-2 flex gap-3">
        <button v-if="table.goodOnly" type="button" class="quiet text-sm" @click="sendTable(table.text, true)">
          Take in the good lines
        </button>
        <button type="button" class="faint self-center!" @click="table = null">Leave it</button>
      </p>
    </div>
    <p v-if="failed" class="mt-4 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <section v-if="toOrder.length > 0 && text === ''" class="mt-5 border-y border-line bg-card px-4 py-3">
      <h2 class="font-bold text-brass">To order</h2>
      <ul class="mt-1 grid gap-x-8 gap-y-1 md:grid-cols-2">
        <li v-for="row in toOrder" :key="row.id" class="flex flex-wrap gap-x-2">
          <RouterLink class="font-semibold underline underline-offset-2" :to="`/stock/${row.id}`">{{
            row.name
          }}</RouterLink>
          <span class="text-soft"
            >{{ row.free < 0 ? `−${-row.free}` : row.free }} free{{
              onItsWay(row) ? `, ${onItsWay(row)} on the way` : ''
            }}{{ orderAt(row) === null ? '' : `, order at ${orderAt(row)}` }}</span
          >
        </li>
      </ul>
    </section>
    <section v-if="going.length > 0 && text === ''" class="mt-3 px-4">
      <p
        v-for="{ item, batch, past } in going"
        :key="item.id + batch.batch"
        :class="past ? 'font-semibold text-alarm' : 'text-brass'"
      >
        {{ item.name }}, batch {{ batch.batch }}: {{ past ? 'past its date' : 'keeps until' }}
        {{ sayDate(batch.bestBefore ?? '') }}.
      </p>
    </section>
    <ListTable
      v-if="rows.length > 0"
      class="mt-5"
      name="stock"
      caption="Stock"
      :columns="columns"
      :rows="rows"
      :key-of="keyOf"
      :order="order"
      :more="next !== null"
      :busy="busy"
      @order="order = $event"
      @more="more"
    >
      <template #cell-left="{ row }"
        ><span class="figure text-xl" :class="row.left < 0 ? 'text-alarm' : lowOn(row) ? 'text-brass' : ''">{{
          row.left
        }}</span></template
      >
      <template #cell-name="{ row }"
        ><RouterLink class="font-semibold hover:underline" :to="`/stock/${row.id}`">{{ row.name }}</RouterLink
        ><span v-if="row.left < 0" class="block text-sm text-alarm">more used than was booked in: count again</span
        ><span class="code block text-sm text-soft sm:hidden">{{ row.partNumber }}</span></template
      >
      <template #cell-kind="{ row }"
        ><span class="text-soft">{{ KINDS[row.kind] }}</span></template
      >
      <template #cell-number="{ row }"
        ><span class="code">{{ row.partNumber }}</span></template
      >
      <template #cell-place="{ row }">{{ row.place }}</template>
      <template #cell-wanted="{ row }">
        <span v-if="row.reserved.length > 0" class="block text-sm"
          >job {{ row.reserved.map(({ number }) => number).join(', ') }}</span
        >
        <span v-if="onItsWay(row) > 0" class="block text-sm text-brass">{{ onItsWay(row) }} on the way</span>
      </template>
      <template #cell-point="{ row }"
        ><span class="text-soft">{{ orderAt(row) ?? '' }}</span></template
      >
      <template #cell-price="{ row }">{{ shop.say.money(row.priceMinor) }}</template>
    </ListTable>
    <p v-else-if="loaded && !failed" class="mt-6 text-soft">
      {{ settled === '' ? 'Nothing lies here yet. Note the first thing, or take a table in.' : 'Nothing fits.' }}
    </p>
  </section>
</template>
