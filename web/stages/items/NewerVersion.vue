<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { useProcedures } from '../../data/procedures.ts';

/** A job keeps the version it began with; a newer one is offered, with what differs. */
const props = defineProps<{ job: Job }>();
const { rows } = useProcedures();
const newest = computed(() => rows.value?.find(({ id }) => id === props.job.procedure?.id)?.version ?? 0);
</script>

<template>
  <p
    v-if="job.status === 'open' && job.procedure && newest > job.procedure.version"
    class="mt-2 border-l-[3px] border-brass py-1 pl-3 text-note"
  >
    Version {{ newest }} of this procedure is in the library; this job works by {{ job.procedure.version }}.
    <RouterLink
      class="link"
      :to="`/procedures/${job.procedure.id}/difference?from=${job.procedure.version}&to=${newest}&job=${job.id}`"
      >See what differs</RouterLink
    >
  </p>
</template>
