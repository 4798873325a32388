<script setup lang="ts">
import { onMounted, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { JobSummary, Page } from '../../contract/index.ts';
import { engineLine, type Vehicle, vehicleName } from '../../core/vehicle/index.ts';
import { STAGE_NAMES } from '../../core/job/index.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import { api } from '../stores/api.ts';

const emit = defineEmits<{ close: [] }>();
const router = useRouter();
const text = ref('');
const vehicles = shallowRef<readonly Vehicle[]>([]);
const jobs = shallowRef<readonly JobSummary[]>([]);
let asked = 0;

/** The newest question wins; an older answer that arrives late is dropped. */
async function look(): Promise<void> {
  const mine = ++asked;
  const query = encodeURIComponent(text.value);
  const [found, all] = await Promise.all([
    api.get<Page<Vehicle>>(`/vehicles?limit=8&q=${query}`),
    api.get<Page<JobSummary>>('/jobs?limit=100'),
  ]).catch(() => [null, null]);
  if (mine !== asked || found === null || all === null) return;
  vehicles.value = found.rows;
  const words = text.value.toLowerCase().split(/\s+/).filter(Boolean);
  jobs.value = all.rows
    .filter((job) => words.every((word) => `${job.number} ${job.plate} ${job.name}`.toLowerCase().includes(word)))
    .slice(0, 8);
}
watch(text, look);
onMounted(look);

function open(path: string): void {
  emit('close');
  void router.push(path);
}
</script>

<template>
  <SheetDialog title="Search" @close="emit('close')">
    <label class="sr-only" for="search-anything">Plate, VIN, make, owner, engine or job number</label>
    <input
      id="search-anything"
      v-model="text"
      class="input"
      placeholder="Plate, VIN, make, owner, engine, job number"
      autocomplete="off"
    />
    <h3 class="mt-5 text-sm font-bold text-soft">Jobs</h3>
    <ul class="rows">
      <li v-for="job in jobs" :key="job.id">
        <button
          type="button"
          class="flex min-h-12 w-full items-center gap-3 py-2 text-left hover:text-bottle"
          @click="open(`/jobs/${job.id}`)"
        >
          <span class="figure w-12">{{ job.number }}</span><span class="flex-1">{{ job.plate }} · {{ job.name }}</span>
          <span class="text-sm text-soft">{{ job.status === 'closed' ? 'handed over' : STAGE_NAMES[job.stage] }}</span>
        </button>
      </li>
    </ul>
    <p v-if="jobs.length === 0" class="py-2 text-soft">No job fits.</p>
    <h3 class="mt-4 text-sm font-bold text-soft">Vehicles</h3>
    <ul class="rows">
      <li v-for="vehicle in vehicles" :key="vehicle.id">
        <button
          type="button"
          class="flex min-h-12 w-full items-center gap-3 py-2 text-left hover:text-bottle"
          @click="open(`/vehicles/${vehicle.id}`)"
        >
          <span class="plate px-2 py-0.5 text-sm">{{ vehicle.plate }}</span><span class="flex-1">{{
            vehicleName(vehicle)
          }}</span>
          <span class="text-sm text-soft">{{ engineLine(vehicle) }}</span>
        </button>
      </li>
    </ul>
    <p v-if="vehicles.length === 0" class="py-2 text-soft">No vehicle fits.</p>
  </SheetDialog>
</template>
