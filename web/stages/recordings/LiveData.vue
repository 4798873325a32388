<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue';
import type { Condition, Job, When } from '../../../core/job/index.ts';

/** Live data of a job before or after the work: recorded here, or brought in a file, and what they show. */
defineProps<{ job: Job; when: When; under: Condition }>();
// Charts and recordings are a good deal to load: only who wants them waits for them.
const RecordingPanel = defineAsyncComponent(() => import('./RecordingPanel.vue'));
const CsvImport = defineAsyncComponent(() => import('./CsvImport.vue'));
const RecordingFindings = defineAsyncComponent(() => import('./RecordingFindings.vue'));
const recording = ref(false);
</script>

<template>
  <div class="grid gap-4">
    <template v-if="job.status === 'open'">
      <button v-if="!recording" type="button" class="quiet justify-self-start" @click="recording = true">
        Live data {{ when }} the work …
      </button>
      <template v-else>
        <RecordingPanel :job="job" :when="when" :under="under" />
        <CsvImport :job="job" :when="when" :under="under" />
      </template>
    </template>
    <RecordingFindings v-if="job.recordings.some((each) => each.when === when)" :job="job" :when="when" />
  </div>
</template>
