<script setup lang="ts">
import { computed } from 'vue';
import type { JobUnit, Job } from '../../../core/job/index.ts';
import { pointsFor } from '../../../core/inspect/index.ts';
import PointPanel from '../inspection/PointPanel.vue';

/** Once it is together: does it leak, does it return? */
const props = defineProps<{ job: Job; unit: JobUnit }>();
const points = computed(() =>
  pointsFor(props.unit.form).filter(({ id }) => id === 'leak' || id === 'spring' || id === 'rest-angle'),
);
</script>

<template>
  <section class="grid gap-6">
    <h3 class="text-lg">Together again: leak and spring</h3>
    <PointPanel v-for="point in points" :key="point.id" :job="job" :unit="unit" :point="point" when="after" />
  </section>
</template>
