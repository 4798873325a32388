<script setup lang="ts">
import { format } from '../../core/quantity/index.ts';
import { engineLine, type Vehicle, vehicleName } from '../../core/vehicle/index.ts';
import { useVehicles } from '../data/vehicles.ts';
import type { ListColumn } from '../parts/listColumns.ts';
import ListTable from '../parts/ListTable.vue';
import { useListAsk } from '../stores/listMemory.ts';

/** Every vehicle that was ever here. */
const { text, settled, order, query } = useListAsk('vehicles', { sort: 'plate', direction: 'asc' });
const { rows, next, failed, loaded, busy, more } = useVehicles(() => query.value);
const columns: readonly ListColumn[] = [
  { id: 'plate', name: 'Plate', sort: 'plate', always: true },
  { id: 'vehicle', name: 'Vehicle', sort: 'make' },
  { id: 'engine', name: 'Engine', from: 'lg' },
  { id: 'owner', name: 'Owner', sort: 'owner', from: 'md' },
  { id: 'vin', name: 'VIN', from: 'xl' },
  { id: 'reading', name: 'Last seen', figures: true, from: 'sm' },
];
const keyOf = ({ id }: Vehicle): string => id;
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <div class="flex flex-wrap items-center gap-4">
      <h1 class="text-title">Vehicles</h1>
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
      <RouterLink class="link" to="/jobs">Jobs</RouterLink>
      <RouterLink class="link" to="/families">Engine families</RouterLink>
      <RouterLink class="link" to="/units">Units on the shelf</RouterLink>
      <RouterLink class="primary" to="/vehicles/new">New vehicle</RouterLink>
    </div>
    <p v-if="failed" class="mt-4 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <ListTable
      v-if="rows.length > 0"
      class="mt-4"
      name="vehicles"
      caption="Vehicles"
      :columns="columns"
      :rows="rows"
      :key-of="keyOf"
      :order="order"
      :more="next !== null"
      :busy="busy"
      @order="order = $event"
      @more="more"
    >
      <template #cell-plate="{ row }"
        ><RouterLink :to="`/vehicles/${row.id}`" class="plate px-2.5 py-0.5 hover:bg-band">{{
          row.plate
        }}</RouterLink></template
      >
      <template #cell-vehicle="{ row }"
        ><span class="font-semibold">{{ vehicleName(row) }}</span
        ><span class="block text-sm text-soft lg:hidden">{{ engineLine(row) }}</span></template
      >
      <template #cell-engine="{ row }"
        ><span class="text-soft">{{ engineLine(row) }}</span></template
      >
      <template #cell-owner="{ row }">{{ row.owner }}</template>
      <template #cell-vin="{ row }"
        ><span class="code text-sm text-soft">{{ row.vin }}</span></template
      >
      <template #cell-reading="{ row }"
        ><span class="font-semibold">{{ row.lastReading ? format(row.lastReading) : '' }}</span></template
      >
    </ListTable>
    <p v-else-if="loaded" class="mt-5 border-y border-line py-4 text-soft">
      {{ settled === '' ? 'No vehicle is written down yet.' : `Nothing fits “${settled}”.` }}
      <RouterLink class="link" to="/vehicles/new">Write one down</RouterLink>
    </p>
  </section>
</template>
