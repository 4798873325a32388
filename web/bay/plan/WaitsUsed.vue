<script setup lang="ts">
import type { WaitUsed } from '../../../core/bay/index.ts';
import { formatMinutes } from '../../../core/quantity/index.ts';
import { type Saying, useWords } from './planWords.ts';

/** Which waits the plan fills with what: each minute that it saves lies in one of them. */
defineProps<{ uses: readonly WaitUsed[]; saying: Saying }>();
</script>

<template>
  <section v-if="uses.length > 0" aria-label="Waits that are used">
    <h3 class="text-sm font-bold">Waits that are used</h3>
    <ul class="rows mt-1 border-y border-line text-note">
      <li
        v-for="used in uses"
        :key="used.job + used.stretch + used.otherJob + used.otherStretch"
        class="flex justify-between gap-4 py-1.5"
      >
        <span>{{ useWords(used, saying) }}</span><b class="whitespace-nowrap">{{ formatMinutes(used.minutes) }}</b>
      </li>
    </ul>
  </section>
</template>
