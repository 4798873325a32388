<script setup lang="ts">
import { useJob } from '../stores/job.ts';

/** A page or file that the server makes of the job: offered once it has all that was done. */
defineProps<{ href: string; download?: boolean }>();
const store = useJob();
</script>

<template>
  <a
    v-if="store.waitingHere === 0"
    class="quiet"
    :href="href"
    :download="download ? '' : undefined"
    :target="download ? undefined : '_blank'"
    rel="noopener"
    ><slot
  /></a>
  <span v-else class="quiet text-soft" aria-disabled="true"><slot />, once all is saved</span>
</template>
