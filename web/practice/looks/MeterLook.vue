<script setup lang="ts">
import type { Shown } from '../../../core/practice/index.ts';

/** Figures as an instrument shows them. */
defineProps<{ figures: readonly Shown[] }>();
const words = ({ value, decimals }: Shown): string => (value === null ? 'beyond its range' : value.toFixed(decimals));
</script>

<template>
  <dl class="grid gap-3" :class="figures.length > 1 ? 'sm:grid-cols-2' : ''">
    <div
      v-for="figure in figures"
      :key="figure.name"
      class="rounded border-[3px] border-[#3a4341] bg-[#0d1412] px-4 py-3 text-[#c9e8b5]"
    >
      <dt class="text-sm text-[#a9bfa0]">{{ figure.name || 'It shows' }}</dt>
      <dd
        class="whitespace-nowrap font-mono font-bold tabular-nums"
        :class="figure.value === null ? 'text-xl' : 'text-figure-md'"
      >
        {{ words(figure) }} <span class="text-lg">{{ figure.unit }}</span>
      </dd>
    </div>
  </dl>
</template>
