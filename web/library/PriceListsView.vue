<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import type { PriceListLine } from '../../contract/index.ts';
import { ApiError } from '../data/api.ts';
import { dropPriceList, readPriceLists, takePriceList } from '../data/supplier.ts';
import TextField from '../parts/TextField.vue';
import { useShop } from '../stores/shop.ts';

/** Price lists of suppliers as CSV: asked when the supplier does not answer, and for what it does not have. */
const shop = useShop();
const rows = shallowRef<readonly PriceListLine[]>([]);
const supplier = ref('');
const problem = ref('');
const lines = ref<readonly string[]>([]);
const text = ref('');
const said = ref('');
const unnamed = ref<string | null>(null);
const load = async (): Promise<void> => {
  rows.value = (await readPriceLists()).rows;
};
load().catch((error: unknown) => (problem.value = error instanceof Error ? error.message : String(error)));
async function pick(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (file === undefined) return;
  text.value = await file.text();
  input.value = '';
  await send(false);
}
async function send(goodOnly: boolean): Promise<void> {
  problem.value = said.value = '';
  lines.value = [];
  unnamed.value = supplier.value.trim() === '' ? 'Whose list is it?' : null;
  if (unnamed.value !== null) return;
  try {
    const { taken } = await takePriceList(supplier.value, text.value, goodOnly);
    said.value = `${taken} ${taken === 1 ? 'price' : 'prices'} taken in.`;
    supplier.value = text.value = '';
    await load();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
    lines.value = error instanceof ApiError ? Object.entries(error.fields).map(([at, what]) => `${at}: ${what}`) : [];
  }
}
async function drop(id: string): Promise<void> {
  try {
    await dropPriceList(id);
    await load();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <p class="text-sm"><RouterLink class="link" to="/stock">Stock</RouterLink></p>
    <h1 class="text-title">Price lists</h1>
    <p class="mt-1 max-w-prose text-soft">
      Asked for what a supplier does not answer. Columns: part number, name, kind (new, rebuilt, used), price, deposit,
      days; a list takes the place of the one before.
    </p>
    <ul v-if="rows.length > 0" class="rows mt-4 max-w-3xl border-y border-line">
      <li v-for="row in rows" :key="row.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
        <span class="min-w-40 flex-1 font-semibold">{{ row.supplier }}</span>
        <span>{{ row.parts }} {{ row.parts === 1 ? 'part' : 'parts' }}, {{ row.currency }}</span>
        <span class="text-soft"
          >{{ shop.say.day(shop.say.isoDay(row.takenAt)) }}, {{ shop.firstName(row.takenBy) }}</span
        >
        <button type="button" class="faint" @click="drop(row.id)">
          Throw away<span class="sr-only">: {{ row.supplier }}</span>
        </button>
      </li>
    </ul>
    <form class="mt-4 flex flex-wrap items-end gap-3" @submit.prevent>
      <TextField v-model="supplier" class="w-64" label="Supplier" placeholder="Skerry Parts" :error="unnamed" />
      <label class="quiet cursor-pointer"
        >Take a list in<input type="file" accept=".csv,text/csv,text/plain" class="sr-only" @change="pick"
      /></label>
    </form>
    <p v-if="said" class="mt-2 font-semibold text-moss" role="status">{{ said }}</p>
    <div v-if="problem" class="mt-2 border-l-[3px] border-alarm pl-3" role="alert">
      <p class="font-semibold text-alarm">{{ problem }}</p>
      <ul class="text-note">
        <li v-for="line in lines.slice(0, 8)" :key="line">{{ line }}</li>
      </ul>
      <button v-if="lines.length > 0" type="button" class="quiet mt-2" @click="send(true)">
        Take the good lines in
      </button>
    </div>
  </section>
</template>
