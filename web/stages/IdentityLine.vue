<script setup lang="ts">
import { computed } from 'vue';
import { daysBetween } from '../../core/days/index.ts';
import type { Job } from '../../core/job/index.ts';
import { format } from '../../core/quantity/index.ts';
import { engineLine, vehicleName } from '../../core/vehicle/index.ts';
import { useShop } from '../stores/shop.ts';
import { useToday } from '../stores/today.ts';

const props = defineProps<{ job: Job }>();
const shop = useShop();
const today = useToday();
const day = computed(() => daysBetween(shop.say.isoDay(props.job.opened.at), today.value) + 1);
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-1 pt-2.5 md:px-7">
    <span class="plate px-2.5 py-0.5 text-xl">{{ job.vehicle.plate }}</span>
    <h1 class="text-action">{{ vehicleName(job.vehicle) }}</h1>
    <!-- Where it is narrow the engine gives way, never the reading or the number of the job. -->
    <span class="min-w-0 flex-1 truncate text-note text-soft max-md:hidden">{{ engineLine(job.vehicle) }}</span>
    <span class="ml-auto flex gap-x-4 whitespace-nowrap text-note text-soft">
      <span>{{ format(job.reading) }}</span>
      <span>Job {{ job.number }}, {{ job.status === 'closed' ? 'handed over' : `day ${day}` }}</span>
    </span>
  </div>
</template>
