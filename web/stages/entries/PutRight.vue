<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { entryOf, type Job } from '../../../core/job/index.ts';

const PutRightSheet = defineAsyncComponent(() => import('./PutRightSheet.vue'));

/** The way to put a line right, where it stands. */
const props = defineProps<{
  job: Job;
  /** The fact that made the line. */
  kind: string;
  /** What that fact holds, so that it is found among others. */
  holds: Readonly<Record<string, unknown>>;
  /** What the line says, for who cannot see beside what the button stands. */
  what: string;
}>();
const open = ref(false);
const entry = computed(() => (open.value ? entryOf(props.job, props.kind, props.holds) : undefined));
</script>

<template>
  <button v-if="job.cancelled === null" type="button" class="link min-h-8 text-sm" @click="open = true">
    Put right<span class="sr-only">: {{ what }}</span>
  </button>
  <PutRightSheet v-if="entry" :job="job" :entry="entry" @close="open = false" />
</template>
