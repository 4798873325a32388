<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { VehicleFile } from '../../contract/index.ts';
import { STAGE_NAMES } from '../../core/job/index.ts';
import { format } from '../../core/quantity/index.ts';
import { checkVin, engineLine, sourceWords, vehicleName } from '../../core/vehicle/index.ts';
import FigureRow from '../parts/FigureRow.vue';
import { api } from '../stores/api.ts';
import { useShop } from '../stores/shop.ts';
import DistanceLine from './DistanceLine.vue';

const route = useRoute();
const shop = useShop();
const file = shallowRef<VehicleFile | null>(null);
const failed = ref('');
watch(
  () => String(route.params.id),
  async (id) => {
    file.value = null;
    try {
      file.value = await api.get<VehicleFile>(`/vehicles/${id}`);
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  },
  { immediate: true },
);
const vehicle = computed(() => file.value?.vehicle ?? null);
const vin = computed(() => (vehicle.value === null || vehicle.value.vin === '' ? null : checkVin(vehicle.value.vin)));
const openJob = computed(() => file.value?.jobs.find(({ status }) => status === 'open') ?? null);
const figures = [
  { key: 'idleRpm', name: 'Idle, warm', unit: 'rpm' },
  { key: 'valveDuty', name: 'Valve duty', unit: '%' },
  { key: 'closedVolts', name: 'Sensor, plate closed', unit: 'V' },
] as const;
</script>

<template>
  <p v-if="failed" class="p-8" role="alert">
    {{ failed }} <RouterLink class="link" to="/vehicles">To the vehicles</RouterLink>
  </p>
  <div v-else-if="vehicle && file" class="grid h-full overflow-y-auto lg:grid-cols-[minmax(0,1fr)_312px]">
    <section class="min-w-0 px-4 py-6 md:px-7">
      <div class="flex flex-wrap items-center gap-4">
        <span class="plate px-3 py-1 text-2xl">{{ vehicle.plate }}</span>
        <div>
          <h1 class="text-xl">{{ vehicleName(vehicle) }}</h1>
          <p class="text-soft">{{ engineLine(vehicle) }}{{ vehicle.year ? ` · ${vehicle.year}` : '' }}</p>
        </div>
        <RouterLink class="quiet ml-auto" :to="`/vehicles/${vehicle.id}/edit`">Change</RouterLink>
        <RouterLink v-if="openJob" class="primary" :to="`/jobs/${openJob.id}`"
          >Go to job {{ openJob.number }}</RouterLink
        >
        <RouterLink v-else class="primary" :to="`/vehicles/${vehicle.id}/new-job`">Open a job</RouterLink>
      </div>
      <h2 class="mb-2 mt-8 text-sm font-bold">Jobs along the {{ vehicle.meterUnit === 'h' ? 'hours' : 'distance' }}</h2>
      <DistanceLine v-if="file.jobs.length > 0" :jobs="file.jobs" />
      <p v-else class="text-soft">No job yet on this vehicle.</p>
      <ul class="rows mt-4 border-y border-line">
        <li v-for="job in file.jobs" :key="job.id">
          <RouterLink
            :to="`/jobs/${job.id}`"
            class="grid items-baseline gap-x-5 py-3 hover:bg-band md:grid-cols-[4rem_8rem_1fr_auto]"
          >
            <span class="figure">{{ job.number }}</span><span>{{
              format({ value: job.reading, unit: job.readingUnit })
            }}</span>
            <span>{{ job.decision || 'not decided yet' }}</span>
            <span class="text-sm" :class="job.status === 'open' ? 'font-bold text-oxide' : 'text-soft'">{{
              job.status === 'open'
                ? STAGE_NAMES[job.stage]
                : `handed over, ${shop.say.time(job.lastAt).split(', ')[0]}`
            }}</span>
          </RouterLink>
        </li>
      </ul>
      <h2 class="mb-1 mt-8 text-sm font-bold">Units fitted</h2>
      <ul v-if="vehicle.units.length > 0" class="rows border-y border-line">
        <li v-for="unit in vehicle.units" :key="unit.id" class="grid gap-x-5 py-2.5 md:grid-cols-[1fr_1fr_1fr_auto]">
          <span class="font-semibold">{{
            unit.kind === 'throttle-body' ? 'Throttle body' : 'Idle air valve'
          }}</span><span class="text-soft">{{ unit.place }}</span
          ><span class="code">{{ unit.partNumber }}</span
          ><span
            >variant <span class="code font-bold">{{ unit.variant }}</span></span
          >
        </li>
      </ul>
      <p v-else class="text-soft">None noted.</p>
    </section>
    <aside
      class="border-t border-line bg-card px-4 py-6 md:px-6 lg:border-l lg:border-t-0"
      aria-label="Figures of this engine"
    >
      <p v-if="vehicle.lastReading">
        <span class="figure text-[2rem]">{{ format(vehicle.lastReading).split(' ')[0] }}</span>
        <span class="font-semibold text-soft">{{ vehicle.lastReading.unit }} last seen</span>
      </p>
      <dl class="rows mt-3 border-y border-line text-[0.9375rem]">
        <FigureRow label="Owner">{{ vehicle.owner || 'not noted' }}</FigureRow>
        <template v-for="figure in figures" :key="figure.key">
          <FigureRow v-if="vehicle.figures[figure.key]" :label="figure.name"
            >{{ vehicle.figures[figure.key]?.low }}–{{ vehicle.figures[figure.key]?.high }} {{ figure.unit
            }}<span class="block text-xs font-normal text-soft">{{
              sourceWords(vehicle.figures[figure.key] ?? { source: null })
            }}</span></FigureRow
          >
        </template>
      </dl>
      <div class="mt-4">
        <h2 class="text-sm font-bold">VIN</h2>
        <p class="code break-all">{{ vehicle.vin || 'not noted' }}</p>
        <p
          v-if="vin"
          class="text-sm"
          :class="
            vin.status === 'passes' ? 'text-moss' : vin.status === 'fails' ? 'font-semibold text-brass' : 'text-soft'
          "
        >
          {{ vin.message }}
        </p>
      </div>
      <p v-if="vehicle.notes" class="mt-4">{{ vehicle.notes }}</p>
    </aside>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the vehicle file</p>
</template>
