<script setup lang="ts">
import { computed } from 'vue';
import type { LessonLine } from '../../contract/index.ts';
import { rounded } from '../../core/visits/index.ts';

/** Every vehicle of a lesson along its meter: what was bad stands above the line, filled; the others hang below it, hollow: not bad is not yet good. */
const { lesson } = defineProps<{ lesson: LessonLine }>();
const WIDTH = 560;
const LEFT = 56;
const RIGHT = 12;
const MIDDLE = 44;
const range = computed(() => {
  const meters = lesson.looks.map(({ meter }) => meter);
  const [low, high] = [Math.min(...meters), Math.max(...meters)];
  return { low, span: Math.max(1, high - low) };
});
const x = (meter: number): number =>
  LEFT + 8 + ((meter - range.value.low) / range.value.span) * (WIDTH - LEFT - RIGHT - 16);
/** Vehicles at nearly the same reading are stacked away from the line. */
const marks = computed(() => {
  const rows = new Map<string, number>();
  return lesson.looks.map((look) => {
    const key = `${look.bad} ${Math.round(x(look.meter) / 11)}`;
    const nth = rows.get(key) ?? 0;
    rows.set(key, nth + 1);
    return { ...look, x: x(look.meter), y: MIDDLE + (look.bad ? -1 : 1) * (10 + 11 * Math.min(nth, 2)) };
  });
});
const half = computed(() => (lesson.from?.half == null ? null : x(lesson.from.half)));
const unit = computed(() => (lesson.hours ? 'h' : 'km'));
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} 104`"
    class="block w-full max-w-2xl"
    role="img"
    :aria-label="`${lesson.here.k} bad and ${lesson.here.n - lesson.here.k} not, by the meter`"
  >
    <rect
      v-if="half !== null"
      :x="half"
      y="4"
      :width="WIDTH - RIGHT - half"
      height="80"
      fill="var(--oxide)"
      opacity="0.1"
    />
    <line v-if="half !== null" :x1="half" :x2="half" y1="4" y2="84" stroke="var(--oxide)" stroke-dasharray="4 3" />
    <line :x1="LEFT" :x2="WIDTH - RIGHT" :y1="MIDDLE" :y2="MIDDLE" stroke="var(--line)" stroke-width="1.5" />
    <text x="0" :y="MIDDLE - 14" font-size="13" fill="var(--ink)">bad</text>
    <text x="0" :y="MIDDLE + 24" font-size="13" fill="var(--soft)">not bad</text>
    <template v-for="mark in marks" :key="mark.jobId">
      <path v-if="mark.bad" :d="`M${mark.x} ${mark.y - 5.5}l5.5 5.5 -5.5 5.5 -5.5 -5.5Z`" fill="var(--oxide)" />
      <circle v-else :cx="mark.x" :cy="mark.y" r="4.2" fill="none" stroke="var(--soft)" stroke-width="1.8" />
    </template>
    <text :x="LEFT" y="101" font-size="13" fill="var(--soft)">{{ rounded(range.low, lesson.hours) }} {{ unit }}</text>
    <text :x="WIDTH - RIGHT" y="101" font-size="13" fill="var(--soft)" text-anchor="end">
      {{ rounded(range.low + range.span, lesson.hours) }} {{ unit }}
    </text>
  </svg>
</template>
