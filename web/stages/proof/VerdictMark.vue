<script setup lang="ts">
import { type Verdict, VERDICT_WORDS } from '../../../core/job/index.ts';

/** A verdict by form, colour and word: a tick in a disc, a cross in a square, a broken ring. */
defineProps<{ verdict: Verdict }>();
const GOOD: ReadonlySet<Verdict> = new Set<Verdict>(['gone', 'good']);
const BAD: ReadonlySet<Verdict> = new Set<Verdict>(['still there', 'worse', 'failed']);
</script>

<template>
  <span
    class="flex items-center gap-2 font-semibold"
    :class="GOOD.has(verdict) ? 'text-moss' : BAD.has(verdict) ? 'text-oxide' : 'text-brass'"
  >
    <svg viewBox="0 0 24 24" class="size-6 shrink-0" aria-hidden="true">
      <template v-if="GOOD.has(verdict)">
        <circle cx="12" cy="12" r="10" fill="currentColor" />
        <path d="M7 12.5l3.5 3.5L17 8.5" fill="none" stroke="var(--paper)" stroke-width="2.5" />
      </template>
      <template v-else-if="BAD.has(verdict)">
        <rect x="2.5" y="2.5" width="19" height="19" fill="currentColor" />
        <path d="M8 8l8 8M16 8l-8 8" stroke="var(--paper)" stroke-width="2.5" />
      </template>
      <circle
        v-else
        cx="12"
        cy="12"
        r="9"
        fill="none"
        stroke="currentColor"
        stroke-width="2.5"
        stroke-dasharray="4 3.2"
      />
    </svg>
    {{ VERDICT_WORDS[verdict] }}
  </span>
</template>
