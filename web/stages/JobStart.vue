<script setup lang="ts">
import { watch } from 'vue';
import { useRouter } from 'vue-router';
import { currentStage } from '../../core/job/index.ts';
import { useJob } from '../stores/job.ts';

/** Opens a job where it stands. */
const store = useJob();
const router = useRouter();
watch(
  () => store.job,
  (job) => {
    if (job !== null) void router.replace(`/jobs/${job.id}/${currentStage(job)}`);
  },
  { immediate: true },
);
</script>

<template>
  <p class="p-8 text-soft" aria-busy="true">Opening the job</p>
</template>
