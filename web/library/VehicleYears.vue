<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { TRACE_FIGURES, type TraceFigureKind } from '../../core/trace/index.ts';
import { useVisitFigures } from '../data/vehicles.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { kindsOf, visitCurve, visitsOf } from './visitCurves.ts';

/** Figures of a vehicle over all its visits, with the work between. */
const props = defineProps<{ vehicleId: string; meterUnit: string }>();
const CurveChart = defineAsyncComponent(() => import('../charts/CurveChart.vue'));
const { data } = useVisitFigures(() => props.vehicleId);
const rows = computed(() => data.value?.rows ?? []);
const kinds = computed(() => kindsOf(rows.value).map((id) => ({ id, name: TRACE_FIGURES[id].name })));
const picked = ref<TraceFigureKind | null>(null);
const kind = computed({
  get: () => picked.value ?? kinds.value[0]?.id ?? null,
  set: (chosen) => (picked.value = chosen),
});
const curve = computed(() => (kind.value === null ? null : visitCurve(rows.value, kind.value)));
const visits = computed(() => (kind.value === null ? [] : visitsOf(rows.value, kind.value)));
</script>

<template>
  <section v-if="kinds.length > 0" aria-label="Figures over its visits">
    <h2 class="mb-2 mt-8 text-sm font-bold">Figures over its visits</h2>
    <ChoiceRow v-model="kind" label="Figure" hide-label :options="kinds" />
    <CurveChart v-if="curve" class="mt-3 h-56 max-w-3xl" :curve="curve" />
    <div class="mt-3 overflow-x-auto" tabindex="0" role="region" aria-label="Visits with this figure">
      <table class="w-full max-w-3xl text-note">
        <thead>
          <tr class="text-left text-sm text-soft">
            <th scope="col" class="font-normal">Job</th>
            <th scope="col" class="text-right font-normal">{{ meterUnit }}</th>
            <th scope="col" class="pl-6 font-normal">Before</th>
            <th scope="col" class="font-normal">After</th>
            <th scope="col" class="font-normal">What was done</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="visit in visits" :key="visit.jobId" class="border-t border-line">
            <td class="py-2">
              <RouterLink class="link" :to="`/jobs/${visit.jobId}/prove`">{{ visit.number }}</RouterLink>
            </td>
            <td class="text-right">{{ visit.reading }}</td>
            <td class="pl-6 text-oxide">{{ visit.before }}</td>
            <td class="font-semibold text-bottle">{{ visit.after }}</td>
            <td>{{ visit.work }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
