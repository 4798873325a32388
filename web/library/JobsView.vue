<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import type { JobSummary } from '../../contract/index.ts';
import { STAGE_NAMES } from '../../core/job/index.ts';
import { format } from '../../core/quantity/index.ts';
import { useJobList } from '../data/jobs.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import type { ListColumn } from '../parts/listColumns.ts';
import ListTable from '../parts/ListTable.vue';
import { useListAsk } from '../stores/listMemory.ts';
import { useShop } from '../stores/shop.ts';

/** Every job, open and handed over, of the shop or of one vehicle. */
const route = useRoute();
const shop = useShop();
const { text, settled, order, query } = useListAsk('jobs', { sort: 'number', direction: 'desc' });
const status = ref<'all' | 'open' | 'closed' | null>('all');
const vehicle = computed(() => (typeof route.query.vehicle === 'string' ? route.query.vehicle : undefined));
const { rows, next, failed, loaded, busy, more } = useJobList(() => ({
  ...query.value,
  status: status.value ?? 'all',
  vehicleId: vehicle.value,
}));
const columns: readonly ListColumn[] = [
  { id: 'number', name: 'Job', sort: 'number', always: true },
  { id: 'plate', name: 'Plate', sort: 'plate' },
  { id: 'vehicle', name: 'Vehicle', from: 'md' },
  { id: 'stands', name: 'Stands at' },
  { id: 'decision', name: 'Decided', from: 'xl' },
  { id: 'reading', name: 'Odometer', figures: true, from: 'lg' },
  { id: 'last', name: 'Last entry', sort: 'last', from: 'sm' },
  { id: 'by', name: 'By', from: 'lg' },
];
const states = [
  { id: 'all', name: 'All' },
  { id: 'open', name: 'Open' },
  { id: 'closed', name: 'Handed over' },
] as const;
/** Where a job stands, in a word: a stage, or that it is done, called off or put aside. */
function standsAt({ cancelled, status: is, aside, stage }: JobSummary): string {
  if (cancelled !== null) return 'cancelled';
  if (is === 'closed') return 'handed over';
  return aside === null ? STAGE_NAMES[stage] : `${STAGE_NAMES[stage]}, put aside`;
}
const keyOf = ({ id }: JobSummary): string => id;
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <div class="flex flex-wrap items-center gap-4">
      <h1 class="text-title">
        Jobs<span v-if="vehicle" class="ml-3 text-base font-normal text-soft"
          >of {{ route.query.plate }} · <RouterLink class="link" to="/jobs">all vehicles</RouterLink></span
        >
      </h1>
      <div class="min-w-64 flex-1">
        <label class="sr-only" for="job-search">Search jobs</label>
        <input
          id="job-search"
          v-model="text"
          class="input max-w-xl"
          type="search"
          placeholder="Number, plate, VIN, vehicle or owner"
          autocomplete="off"
        />
      </div>
      <ChoiceRow v-model="status" label="Which jobs" :options="states" hide-label />
    </div>
    <p v-if="failed" class="mt-4 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <ListTable
      v-if="rows.length > 0"
      class="mt-4"
      name="jobs"
      caption="Jobs"
      :columns="columns"
      :rows="rows"
      :key-of="keyOf"
      :order="order"
      :more="next !== null"
      :busy="busy"
      @order="order = $event"
      @more="more"
    >
      <template #cell-number="{ row }"
        ><RouterLink :to="`/jobs/${row.id}`" class="figure text-lg underline-offset-4 hover:underline">{{
          row.number
        }}</RouterLink></template
      >
      <template #cell-plate="{ row }"
        ><span class="plate px-2 py-0.5">{{ row.plate }}</span></template
      >
      <template #cell-vehicle="{ row }">{{ row.name }}</template>
      <template #cell-stands="{ row }"
        ><span :class="row.status === 'open' ? 'font-bold text-oxide' : 'text-soft'">{{ standsAt(row) }}</span
        ><b v-if="row.held" class="block text-sm text-alarm">engine held</b></template
      >
      <template #cell-decision="{ row }">{{ row.decision || 'not decided yet' }}</template>
      <template #cell-reading="{ row }">{{ format({ value: row.reading, unit: row.readingUnit }) }}</template>
      <template #cell-last="{ row }"
        >{{ shop.say.nearTime(row.lastAt) }}<span class="block text-sm text-soft">{{ row.lastWords }}</span></template
      >
      <template #cell-by="{ row }">{{ shop.firstName(row.lastBy) }}</template>
    </ListTable>
    <p v-else-if="loaded" class="mt-5 border-y border-line py-4 text-soft">
      {{ settled === '' ? 'No job yet.' : `Nothing fits “${settled}”.` }}
      <RouterLink class="link" to="/vehicles">Pick a vehicle and open one</RouterLink>
    </p>
  </section>
</template>
