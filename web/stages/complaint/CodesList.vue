<script setup lang="ts">
import { computed } from 'vue';
import type { Job, When } from '../../../core/job/index.ts';
import { DTC_MEANINGS } from '../../../core/vehicle/index.ts';

const props = defineProps<{ job: Job; when: When }>();
const codes = computed(() => props.job.codes.filter((read) => read.when === props.when));
</script>

<template>
  <ul v-if="codes.length > 0" class="rows max-w-2xl border-y border-line">
    <li v-for="read in codes" :key="read.id" class="grid grid-cols-[5rem_1fr_auto] items-baseline gap-3 py-2">
      <span class="code font-bold">{{ read.code }}</span>
      <span
        >{{ DTC_MEANINGS.get(read.code) ?? 'unknown here'
        }}<span v-if="read.note" class="block text-sm text-soft">{{ read.note }}</span></span
      >
      <span class="text-sm text-soft">{{ read.status }}</span>
    </li>
  </ul>
  <p v-else class="text-soft">{{ job.codesRead[when] === null ? 'Not read yet.' : 'Read: none stored.' }}</p>
</template>
