<script setup lang="ts">
import { computed } from 'vue';
import { type Job, type JobItem, offReasonWords, stillBefore } from '../../../core/job/index.ts';

/** What should come off before this and is still on, and why. It can come off all the same. */
const props = defineProps<{ job: Job; item: JobItem }>();
const first = computed(() => stillBefore(props.job, props.item));
const hurts = computed(() => first.value.some(({ kind }) => kind === 'drops' || kind === 'weight'));
</script>

<template>
  <ul v-if="first.length > 0" class="border-l-[3px] py-1 pl-3" :class="hurts ? 'border-alarm' : 'border-oxide'">
    <li v-for="each in first" :key="each.item">
      <span class="font-semibold" :class="hurts ? 'text-alarm' : ''">{{ each.name }} first:</span> it
      {{ offReasonWords(each) }}.
    </li>
  </ul>
</template>
