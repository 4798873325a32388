<script setup lang="ts">
import { onMounted, ref, shallowRef, watch } from 'vue';
import type { Reminder } from '../../contract/index.ts';
import { format } from '../../core/quantity/index.ts';
import { api } from '../stores/api.ts';
import { useShop } from '../stores/shop.ts';
import { useToday } from '../stores/today.ts';

/** What is to be looked at again: on one vehicle, or what is due in the whole shop. */
const props = defineProps<{ vehicleId?: string; title: string }>();
const shop = useShop();
const rows = shallowRef<readonly Reminder[]>([]);
const failed = ref('');
const today = useToday();
async function load(): Promise<void> {
  try {
    const query = props.vehicleId === undefined ? '' : `?vehicleId=${props.vehicleId}`;
    const all = (await api.get<{ rows: Reminder[] }>(`/reminders${query}`)).rows;
    rows.value =
      props.vehicleId === undefined
        ? all.filter(({ dueOn }) => dueOn !== null && dueOn <= today.value).slice(0, 6)
        : all;
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
async function done({ jobId, id }: Reminder): Promise<void> {
  try {
    await api.post(`/reminders/${jobId}/${id}/done`, { by: shop.personId, note: '' });
    await load();
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
onMounted(load);
watch(() => props.vehicleId, load);
</script>

<template>
  <section v-if="rows.length > 0">
    <h2 class="mb-1 text-sm font-bold">{{ title }}</h2>
    <ul class="rows border-y border-line">
      <li v-for="row in rows" :key="row.jobId + row.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
        <span class="min-w-40 flex-1">
          <RouterLink v-if="vehicleId === undefined" class="link" :to="`/vehicles/${row.vehicleId}`">{{
            row.plate
          }}</RouterLink>
          <span class="font-semibold">{{ vehicleId === undefined ? ` ${row.what.toLowerCase()}` : row.what }}</span>
          <span
            class="block text-sm"
            :class="row.dueOn !== null && row.dueOn <= today ? 'font-semibold text-brass' : 'text-soft'"
            >{{ row.dueOn === null ? '' : `due ${shop.say.day(row.dueOn)}`
            }}{{
              row.dueReading === null
                ? ''
                : `${row.dueOn === null ? 'due' : ', or'} at ${format({ value: row.dueReading, unit: row.readingUnit })}`
            }}</span
          >
        </span>
        <button type="button" class="quiet text-sm" @click="done(row)">Looked at</button>
      </li>
    </ul>
    <p v-if="failed" class="mt-1 text-sm font-semibold text-alarm" role="alert">{{ failed }}</p>
  </section>
</template>
