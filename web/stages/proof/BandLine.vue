<script setup lang="ts">
import { computed } from 'vue';
import { bandOf, type Job, measured, type MeasureKind, MEASURES } from '../../../core/job/index.ts';
import SourceNote from '../../parts/SourceNote.vue';

/** Before and after on one line with the normal band shaded. */
const props = defineProps<{ job: Job; kind: MeasureKind }>();
const band = computed(() => bandOf(props.job, props.kind));
const before = computed(() => measured(props.job, props.kind, 'before'));
const after = computed(() => measured(props.job, props.kind, 'after'));
const scale = computed(() => {
  const figures = [band.value?.low, band.value?.high, before.value?.value, after.value?.value].filter(
    (value) => value !== undefined,
  );
  const low = Math.min(...figures);
  const high = Math.max(...figures);
  const room = Math.max((high - low) * 0.25, Math.abs(high) * 0.05, 0.01);
  return { low: low - room, high: high + room };
});
const at = (value: number): number => ((value - scale.value.low) / (scale.value.high - scale.value.low)) * 600;
</script>

<template>
  <figure v-if="band && (before || after)" class="grid items-center gap-x-6 gap-y-1 sm:grid-cols-[12rem_1fr]">
    <figcaption>
      <p class="font-semibold">{{ MEASURES[kind].name }}</p>
      <p class="text-sm text-soft">
        {{ before ? `${before.value}` : '—' }} before,
        <span class="font-bold" :class="after?.good ? 'text-moss' : 'text-oxide'"
          >{{ after ? after.value : '—' }} {{ MEASURES[kind].unit }} after</span
        >
      </p>
      <p v-if="after" class="text-sm" :class="after.good ? 'text-moss' : 'font-bold text-oxide'">{{ after.words }}</p>
    </figcaption>
    <div>
      <svg
        viewBox="0 0 600 62"
        class="w-full"
        role="img"
        :aria-label="`${MEASURES[kind].name}: band ${band.low} to ${band.high} ${MEASURES[kind].unit}, before ${before?.value ?? 'not measured'}, after ${after?.value ?? 'not measured'}`"
      >
        <rect
          :x="at(band.low)"
          y="12"
          :width="at(band.high) - at(band.low)"
          height="26"
          fill="var(--moss)"
          opacity="0.18"
        />
        <path d="M0 25h600" stroke="var(--line)" stroke-width="2" />
        <path :d="`M${at(band.low)} 12v26M${at(band.high)} 12v26`" stroke="var(--moss)" stroke-width="1.5" />
        <text :x="at(band.low)" y="56" text-anchor="middle" font-size="13" fill="var(--soft)">{{ band.low }}</text>
        <text :x="at(band.high)" y="56" text-anchor="middle" font-size="13" fill="var(--soft)">{{ band.high }}</text>
        <path
          v-if="before && after"
          :d="`M${at(before.value)} 25H${at(after.value)}`"
          stroke="var(--bottle)"
          stroke-width="2"
          stroke-dasharray="3 4"
        />
        <circle
          v-if="before"
          :cx="at(before.value)"
          cy="25"
          r="8"
          fill="var(--paper)"
          stroke="var(--oxide)"
          stroke-width="3"
        />
        <circle v-if="after" :cx="at(after.value)" cy="25" r="9" :fill="after.good ? 'var(--moss)' : 'var(--oxide)'" />
      </svg>
      <p class="text-right text-xs"><SourceNote :source="band.source" /></p>
    </div>
  </figure>
</template>
