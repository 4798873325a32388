<script setup lang="ts">
import { computed } from 'vue';
import type { JobSummary } from '../../contract/index.ts';
import { format } from '../../core/quantity/index.ts';

/** Jobs as stops along the distance or the hours. */
const props = defineProps<{ jobs: readonly JobSummary[] }>();
const stops = computed(() => {
  const sorted = [...props.jobs].sort((a, b) => a.reading - b.reading);
  const low = sorted[0]?.reading ?? 0;
  const high = sorted.at(-1)?.reading ?? 1;
  const place = (reading: number): number => (high === low ? 380 : 60 + ((reading - low) / (high - low)) * 640);
  return sorted.map((job) => ({ job, x: place(job.reading) }));
});
</script>

<template>
  <svg
    viewBox="0 0 760 74"
    class="w-full max-w-3xl"
    role="img"
    :aria-label="`Jobs: ${stops.map(({ job }) => `${job.number} at ${format({ value: job.reading, unit: job.readingUnit })}`).join(', ')}`"
  >
    <path d="M10 30h740" stroke="var(--line)" stroke-width="2" />
    <g v-for="stop in stops" :key="stop.job.id">
      <circle
        :cx="stop.x"
        cy="30"
        r="8"
        :fill="stop.job.status === 'open' ? 'var(--paper)' : 'var(--moss)'"
        :stroke="stop.job.status === 'open' ? 'var(--oxide)' : 'var(--moss)'"
        stroke-width="4"
      />
      <text :x="stop.x" y="14" text-anchor="middle" font-size="13" font-weight="700" fill="var(--ink)">
        {{ stop.job.number }}
      </text>
      <text :x="stop.x" y="58" text-anchor="middle" font-size="13" fill="var(--soft)">
        {{ format({ value: stop.job.reading, unit: stop.job.readingUnit }) }}
      </text>
    </g>
  </svg>
</template>
