<script setup lang="ts">
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { BehindJob, Report } from '../../contract/index.ts';
import { sayCell } from '../../core/report/index.ts';
import { lowerFirst } from '../../core/words/index.ts';
import { readBehind, readReport } from '../data/reports.ts';
import { useShop } from '../stores/shop.ts';
import { useToday } from '../stores/today.ts';
import RecordsNav from './RecordsNav.vue';
import { chartOfTable, partTables, periodName, periodOn } from './reportView.ts';

/** A month or a year of the shop: figures, charts and tables, each row with the jobs behind it; on A4 and as CSV too. */
const BarChart = defineAsyncComponent(() => import('../charts/BarChart.vue'));
const route = useRoute();
const router = useRouter();
const shop = useShop();
const today = useToday();
const period = computed(() => String(route.params.period ?? '') || today.value.slice(0, 7));
const yearly = computed(() => !period.value.includes('-'));
const report = shallowRef<Report | null>(null);
const failed = ref('');
const open = ref('');
const behind = shallowRef<readonly BehindJob[] | null>(null);
watch(
  period,
  async (wanted) => {
    open.value = '';
    try {
      report.value = await readReport(wanted);
      failed.value = '';
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  },
  { immediate: true },
);
const parts = computed(() => (report.value === null ? null : partTables(report.value)));
const go = (wanted: string): void => void router.push(`/records/report/${wanted}`);
/** The other kind: the year of this month, or its last month that has begun. */
const other = computed(() => {
  if (!yearly.value) return period.value.slice(0, 4);
  const last = `${period.value}-12`;
  const now = today.value.slice(0, 7);
  return last < now ? last : now;
});
async function show(table: string, row: string): Promise<void> {
  const key = `${table} ${row}`;
  if (open.value === key) {
    open.value = '';
    return;
  }
  open.value = key;
  behind.value = null;
  try {
    const jobs = await readBehind(period.value, table, row);
    if (open.value === key) behind.value = jobs;
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
    open.value = '';
  }
}
</script>

<template>
  <div class="h-full overflow-y-auto px-4 pb-8 pt-5 md:px-7">
    <RecordsNav />
    <div class="mt-5 flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1 class="text-title">{{ periodName(period) }}</h1>
      <button type="button" class="quiet" @click="go(periodOn(period, -1))">
        <span aria-hidden="true">←</span> {{ periodName(periodOn(period, -1)) }}
      </button>
      <button type="button" class="quiet" @click="go(periodOn(period, 1))">
        {{ periodName(periodOn(period, 1)) }} <span aria-hidden="true">→</span>
      </button>
      <button type="button" class="quiet" @click="go(other)">{{ yearly ? 'By month' : 'The whole year' }}</button>
      <a class="link ml-auto" :href="`/api/reports/${period}/sheet.pdf`" target="_blank" rel="noopener"
        >On one A4 page</a
      >
    </div>
    <p v-if="failed" class="mt-2 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <template v-if="report && parts">
      <dl class="mt-5 flex flex-wrap gap-x-10 gap-y-4 border-y border-line py-4">
        <div v-for="figure in report.figures" :key="figure.id">
          <dd class="figure text-figure-sm">{{ sayCell(figure.kind, figure.value, shop.say.money) }}</dd>
          <dt class="mt-1 text-fine text-soft">{{ figure.name }}</dt>
        </div>
      </dl>
      <p v-if="parts.full.length === 0" class="mt-4 max-w-prose text-lg">
        Nothing was done and handed over in this time. Each job that is adds to it by itself.
      </p>
      <div class="grid gap-x-12 xl:grid-cols-2">
        <section
          v-for="table in parts.full"
          :key="table.id"
          class="mt-8 min-w-0"
          :class="table.id === 'times' || table.id === 'over' ? 'xl:col-span-2' : ''"
          :aria-label="table.title"
        >
          <div class="flex flex-wrap items-baseline justify-between gap-x-4">
            <h2 class="text-xl">{{ table.title }}</h2>
            <a class="faint" :href="`/api/reports/${period}/tables/${table.id}.csv`">CSV</a>
          </div>
          <p v-if="table.note" class="text-note text-soft">{{ table.note }}</p>
          <div :class="table.id === 'times' ? 'grid gap-x-10 xl:grid-cols-2' : ''">
            <BarChart v-if="chartOfTable(table)" class="mt-3" :bars="chartOfTable(table)!" />
            <div class="min-w-0 overflow-x-auto">
              <table class="mt-2 w-full text-note">
                <thead>
                  <tr class="border-b border-line text-sm">
                    <th
                      v-for="column in table.columns"
                      :key="column.id"
                      scope="col"
                      class="py-1 pr-4 last:pr-0"
                      :class="column.kind === 'text' ? 'text-left' : 'text-right'"
                    >
                      {{ column.name }}
                    </th>
                  </tr>
                </thead>
                <tbody>
                  <template v-for="row in table.rows" :key="row.key">
                    <tr class="border-b border-line/60">
                      <td
                        v-for="(column, nth) in table.columns"
                        :key="column.id"
                        class="py-1 pr-4 last:pr-0"
                        :class="column.kind === 'text' ? 'text-left' : 'whitespace-nowrap text-right font-semibold'"
                      >
                        <button
                          v-if="nth === 0"
                          type="button"
                          class="min-h-8 text-left underline decoration-line underline-offset-4 hover:decoration-current"
                          :aria-expanded="open === `${table.id} ${row.key}`"
                          @click="show(table.id, row.key)"
                        >
                          {{ sayCell(column.kind, row.cells[column.id] ?? null, shop.say.money) }}
                        </button>
                        <template v-else>{{
                          sayCell(column.kind, row.cells[column.id] ?? null, shop.say.money)
                        }}</template>
                      </td>
                    </tr>
                    <tr v-if="open === `${table.id} ${row.key}`">
                      <td :colspan="table.columns.length" class="bg-card px-3 py-2">
                        <span v-if="behind === null" class="text-soft" role="status">The jobs behind it.</span>
                        <span v-else-if="behind.length === 0" class="text-soft">No job is behind it.</span>
                        <span v-else class="flex flex-wrap gap-x-5 gap-y-1">
                          <RouterLink v-for="job in behind" :key="job.jobId" class="link" :to="`/jobs/${job.jobId}`"
                            >{{ job.plate }}, job {{ job.number }}</RouterLink
                          >
                        </span>
                      </td>
                    </tr>
                  </template>
                </tbody>
              </table>
            </div>
          </div>
        </section>
      </div>
      <p v-if="parts.empty.length > 0 && parts.full.length > 0" class="mt-8 text-soft">
        Nothing of: {{ parts.empty.map(lowerFirst).join('; ') }}.
      </p>
    </template>
  </div>
</template>
