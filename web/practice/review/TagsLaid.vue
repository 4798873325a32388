<script setup lang="ts">
import { computed } from 'vue';
import type { PracticeEntry } from '../../../contract/index.ts';

/** How many of the ten tags lay on what was really wrong, each time they were moved. */
const props = defineProps<{ entries: readonly PracticeEntry[]; faults: readonly string[]; begun: string }>();
const ALL = 10;
const SHOWN = 4;
const lines = computed(() =>
  props.entries
    .filter(({ kind }) => kind === 'tags')
    .map(({ seq, at, tags }) => ({
      seq,
      minute: Math.round((Date.parse(at) - Date.parse(props.begun)) / 60_000),
      on: props.faults.reduce((sum, fault) => sum + (tags?.[fault] ?? 0), 0),
    }))
    .slice(-SHOWN),
);
</script>

<template>
  <section v-if="lines.length > 0">
    <h2 class="text-sm font-bold">Your tags; those on it filled</h2>
    <ul class="mt-2 grid gap-1.5">
      <li v-for="line in lines" :key="line.seq" class="flex items-center gap-2">
        <span class="w-12 text-sm text-soft">{{ line.minute }} min</span>
        <span class="flex gap-0.5" aria-hidden="true">
          <svg v-for="tag in ALL" :key="tag" viewBox="0 0 18 14" class="h-3 w-4 text-brass">
            <path
              d="M5 1H16a1 1 0 0 1 1 1V12a1 1 0 0 1-1 1H5L1 7Z"
              :fill="tag <= line.on ? 'currentColor' : 'none'"
              stroke="currentColor"
            />
          </svg>
        </span>
        <span class="ml-auto font-bold tabular-nums">{{ line.on }}<span class="sr-only"> of ten</span></span>
      </li>
    </ul>
  </section>
</template>
