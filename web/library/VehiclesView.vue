<script setup lang="ts">
import { onMounted, ref, shallowRef, watch } from 'vue';
import type { Page } from '../../contract/index.ts';
import { format } from '../../core/quantity/index.ts';
import { engineLine, type Vehicle, vehicleName } from '../../core/vehicle/index.ts';
import { api } from '../stores/api.ts';

const text = ref('');
const rows = shallowRef<readonly Vehicle[]>([]);
const next = ref<string | null>(null);
const failed = ref('');
const loaded = ref(false);
let asked = 0;

/** The newest question wins; an older answer that arrives late is dropped. */
async function look(after: string | null = null): Promise<void> {
  const mine = ++asked;
  try {
    const page = await api.get<Page<Vehicle>>(
      `/vehicles?q=${encodeURIComponent(text.value)}${after === null ? '' : `&after=${encodeURIComponent(after)}`}`,
    );
    if (mine !== asked) return;
    rows.value = after === null ? page.rows : [...rows.value, ...page.rows];
    next.value = page.next;
    failed.value = '';
    loaded.value = true;
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
watch(text, () => look());
onMounted(() => look());
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <div class="flex flex-wrap items-center gap-4">
      <h1 class="text-[1.75rem]">Vehicles</h1>
      <div class="min-w-64 flex-1">
        <label class="sr-only" for="vehicle-search">Search vehicles</label>
        <input
          id="vehicle-search"
          v-model="text"
          class="input max-w-xl"
          type="search"
          placeholder="Plate, VIN, make, owner or engine"
          autocomplete="off"
        />
      </div>
      <RouterLink class="quiet" to="/families">Engine families</RouterLink>
      <RouterLink class="quiet" to="/units">Units on the shelf</RouterLink>
      <RouterLink class="primary" to="/vehicles/new">New vehicle</RouterLink>
    </div>
    <p v-if="failed" class="mt-4 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <ul class="rows mt-5 border-y border-line">
      <li v-for="vehicle in rows" :key="vehicle.id">
        <RouterLink
          :to="`/vehicles/${vehicle.id}`"
          class="grid items-center gap-x-5 gap-y-1 py-3.5 hover:bg-band md:grid-cols-[9rem_1fr_1fr_9rem]"
        >
          <span
            ><span class="plate px-2.5 py-0.5">{{ vehicle.plate }}</span></span
          >
          <span class="font-semibold">{{ vehicleName(vehicle) }}</span>
          <span class="text-soft"
            >{{ engineLine(vehicle) }}<span class="block text-sm">{{ vehicle.owner }}</span></span
          >
          <span class="md:text-right">{{ vehicle.lastReading ? format(vehicle.lastReading) : '' }}</span>
        </RouterLink>
      </li>
      <li v-if="loaded && rows.length === 0" class="py-4 text-soft">
        {{ text === '' ? 'No vehicle is written down yet.' : `Nothing fits “${text}”.` }}
        <RouterLink class="link" to="/vehicles/new">Write one down</RouterLink>
      </li>
    </ul>
    <button v-if="next" type="button" class="quiet mt-4" @click="look(next)">Show more</button>
  </section>
</template>
