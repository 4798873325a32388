<script setup lang="ts">
import { storeToRefs } from 'pinia';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { StockItem } from '../../contract/index.ts';
import { shelfState } from '../../core/stock/index.ts';
import { sayDate } from '../../core/days/index.ts';
import { api, ApiError } from '../stores/api.ts';
import { freshId } from '../stores/job.ts';
import { useShop } from '../stores/shop.ts';
import { useToday } from '../stores/today.ts';
import { useStock } from '../stores/stock.ts';

/** What lies there, what of it is spoken for, and what should be ordered before it runs out. */
const shop = useShop();
const router = useRouter();
const stock = useStock();
const { rows, failed } = storeToRefs(stock);
const text = ref('');
const found = ref('');
const table = ref<{ message: string; lines: readonly string[]; text: string; goodOnly: boolean } | null>(null);
const taken = ref('');
onMounted(stock.load);
const kinds = {
  gasket: 'Gaskets',
  seal: 'Seals',
  part: 'Parts',
  screw: 'Screws',
  cleaner: 'Cleaners',
  coolant: 'Coolant',
} as const;
const today = useToday();
const onItsWay = ({ onOrder }: StockItem): number =>
  onOrder.reduce((sum, { quantity, received }) => sum + quantity - received, 0);
const point = ({ detail, reorder }: StockItem): number | null => detail.reorderAt ?? reorder.point;
/** At or below the point, with what is on its way counted in. */
const low = (row: StockItem): boolean => {
  const at = point(row);
  const coming = row.free + onItsWay(row);
  return coming < 0 || (at !== null && coming <= at);
};
const toOrder = computed(() => rows.value.filter(low));
const going = computed(() =>
  rows.value.flatMap((row) =>
    row.batches
      .filter((batch) => shelfState(batch, today.value) !== 'keeps')
      .map((batch) => ({ row, batch, past: shelfState(batch, today.value) === 'past' })),
  ),
);
const groups = computed(() => {
  const wanted = text.value.toLowerCase();
  const shown = rows.value.filter((row) => `${row.name} ${row.partNumber} ${row.place}`.toLowerCase().includes(wanted));
  return (Object.keys(kinds) as (keyof typeof kinds)[])
    .map((kind) => ({ kind, name: kinds[kind], rows: shown.filter((row) => row.kind === kind) }))
    .filter((group) => group.rows.length > 0);
});
/** A scanner types a number and presses Enter. */
async function scan(): Promise<void> {
  found.value = '';
  if (text.value.trim() === '') return;
  try {
    const reply = await api.get<{ itemId: string | null; code: { batch?: string; bestBefore?: string | null } }>(
      `/stock/find?code=${encodeURIComponent(text.value)}`,
    );
    if (reply.itemId === null) {
      found.value = groups.value.length === 0 ? 'No such number here. Note it as a new thing?' : '';
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
    const path = `/stock/table?by=${shop.personId}${goodOnly ? '&good=1' : ''}`;
    const reply = await api.upload<{ taken: number }>(path, new Blob([content], { type: 'text/csv' }));
    taken.value = `${reply.taken} ${reply.taken === 1 ? 'line' : 'lines'} taken in.`;
    table.value = null;
    await stock.load();
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
      <h1 class="text-[1.75rem]">Stock</h1>
      <form class="w-full max-w-md" @submit.prevent="scan">
        <label class="sr-only" for="stock-search">Search stock, or scan a number</label
        ><input
          id="stock-search"
          v-model="text"
          type="search"
          class="input"
          placeholder="Name, number or place; scan, then Enter"
        />
      </form>
      <RouterLink class="link ml-auto" to="/returns">Returns box</RouterLink>
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
            }}{{ point(row) === null ? '' : `, order at ${point(row)}` }}</span
          >
        </li>
      </ul>
    </section>
    <section v-if="going.length > 0 && text === ''" class="mt-3 px-4">
      <p
        v-for="{ row, batch, past } in going"
        :key="row.id + batch.batch"
        :class="past ? 'font-semibold text-alarm' : 'text-brass'"
      >
        {{ row.name }}, batch {{ batch.batch }}: {{ past ? 'past its date' : 'keeps until' }}
        {{ sayDate(batch.bestBefore ?? '') }}.
      </p>
    </section>
    <section v-for="group in groups" :key="group.kind" class="mt-6">
      <h2 class="text-sm font-bold">{{ group.name }}</h2>
      <ul class="rows mt-1 border-y border-line">
        <li
          v-for="row in group.rows"
          :key="row.id"
          class="grid grid-cols-[3.5rem_1fr] items-baseline gap-x-4 py-2.5 md:grid-cols-[3.5rem_1fr_9rem_10rem_8rem_6rem]"
        >
          <span class="figure text-xl" :class="row.left < 0 ? 'text-alarm' : low(row) ? 'text-brass' : ''"
            >{{ row.left }}<span v-if="row.left < 0" class="sr-only"> below zero: count again</span></span
          >
          <span
            ><RouterLink class="font-semibold hover:underline" :to="`/stock/${row.id}`">{{ row.name }}</RouterLink
            ><span v-if="row.left < 0" class="block text-sm text-alarm"
              >more used than was booked in: count again</span
            ></span
          >
          <span class="code text-soft max-md:col-start-2">{{ row.partNumber }}</span><span
            class="text-soft max-md:col-start-2"
            >{{ row.place }}</span
          >
          <span class="text-sm max-md:col-start-2">
            <span v-if="row.reserved.length > 0" class="block"
              >job {{ row.reserved.map(({ number }) => number).join(', ') }}</span
            >
            <span v-if="onItsWay(row) > 0" class="block text-brass">{{ onItsWay(row) }} on the way</span>
          </span>
          <span class="md:text-right max-md:col-start-2">{{ shop.say.money(row.priceMinor) }}</span>
        </li>
      </ul>
    </section>
    <p v-if="groups.length === 0 && !failed" class="mt-6 text-soft">Nothing fits.</p>
  </section>
</template>
