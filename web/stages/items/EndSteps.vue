<script setup lang="ts">
import { computed } from 'vue';
import { endSteps, type Job } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';

/** The battery, the tray, the fuse: done first, undone last. */
const props = defineProps<{ job: Job }>();
const store = useJob();
const steps = computed(() => endSteps(props.job));
</script>

<template>
  <div v-if="steps.length > 0" id="last" class="mt-4 border-t border-line pt-3">
    <h3 class="text-sm font-bold">Last of all</h3>
    <ul class="rows">
      <li v-for="step in steps" :key="step.need.id" class="flex items-center justify-between gap-3 py-1.5">
        <span :class="step.done ? 'text-soft' : 'font-semibold'"
          >{{ step.words
          }}<span v-if="!step.done && step.beforeStart" class="font-normal text-soft"
            >, before the engine starts</span
          ></span
        >
        <span v-if="step.done" class="font-semibold text-moss">done</span>
        <button
          v-else-if="job.status === 'open'"
          type="button"
          class="quiet text-sm"
          @click="store.send('do-end-step', { needId: step.need.id, note: '' })"
        >
          Done
        </button>
      </li>
    </ul>
  </div>
</template>
