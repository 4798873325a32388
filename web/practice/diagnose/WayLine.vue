<script setup lang="ts">
import type { WayMark } from '../usePractice.ts';

/** The way so far: what was looked at, how long it took, what was said of it. */
defineProps<{ marks: readonly WayMark[]; minutes: number; /** Empty for nothing. */ cost: string }>();
</script>

<template>
  <div class="flex flex-wrap items-end gap-x-6 gap-y-3">
    <ol v-if="marks.length > 0" class="flex min-w-0 flex-1 flex-wrap gap-y-3" aria-label="Your way so far">
      <li v-for="mark in marks" :key="mark.key" class="w-[7.25rem] pr-2">
        <span class="block min-h-[2.5em] text-sm font-semibold leading-tight [align-content:end]">{{ mark.name }}</span>
        <span class="relative my-1.5 block h-1" aria-hidden="true">
          <span
            class="absolute inset-x-0 top-[1px] border-t-[3px]"
            :class="mark.isOpen ? 'border-dashed border-oxide' : 'border-bottle'"
          />
          <span
            class="absolute -right-1 -top-[3px] size-3 rounded-full border-[3px]"
            :class="mark.isOpen ? 'border-oxide bg-paper' : 'border-bottle bg-bottle'"
          />
        </span>
        <span class="block text-sm text-soft">{{ mark.minutes }} min</span>
        <span class="block text-note font-bold leading-tight" :class="mark.isOpen ? 'text-oxide' : ''">{{
          mark.isOpen ? 'yours to say' : mark.said
        }}</span>
      </li>
    </ol>
    <p v-else class="flex-1 text-note text-soft">Nothing was looked at yet.</p>
    <p class="ml-auto whitespace-nowrap text-right">
      <span class="text-xl font-bold tabular-nums">{{ minutes }}</span> <span class="text-note text-soft">min</span>
      <span v-if="cost" class="ml-2 text-xl font-bold tabular-nums text-brass">{{ cost }}</span>
    </p>
  </div>
</template>
