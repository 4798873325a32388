<script setup lang="ts">
import { computed } from 'vue';
import type { DueLine } from '../../contract/index.ts';
import { daysBetween } from '../../core/days/index.ts';

/** The time in which a vehicle comes to be due, on the same scale as all the others; today is the line through them. */
const { line, span, today } = defineProps<{
  line: DueLine;
  span: { readonly from: string; readonly days: number };
  today: string;
}>();
const at = (day: string): number => Math.min(100, Math.max(0, (daysBetween(span.from, day) / span.days) * 100));
const band = computed(() => ({ left: at(line.lowOn), width: Math.max(0.6, at(line.highOn) - at(line.lowOn)) }));
</script>

<template>
  <span aria-hidden="true" class="relative block h-6">
    <span class="absolute inset-x-0 top-1/2 border-t border-line" />
    <span
      class="absolute inset-y-1.5 rounded-sm border-2"
      :class="[
        line.likelyOn < today ? 'border-oxide' : 'border-bottle/60',
        line.from === 'house' ? 'border-dashed' : 'bg-bottle/15',
      ]"
      :style="{ left: `${band.left}%`, width: `${band.width}%` }"
    />
    <span
      class="absolute inset-y-0 w-1 -translate-x-1/2 rounded-sm"
      :class="line.likelyOn < today ? 'bg-oxide' : 'bg-bottle'"
      :style="{ left: `${at(line.likelyOn)}%` }"
    />
    <span class="absolute -inset-y-1 border-l-2 border-oxide" :style="{ left: `${at(today)}%` }" />
  </span>
</template>
