<script setup lang="ts">
import type { Chart } from 'chart.js';
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue';
import { theme } from '../shell/theme.ts';
import { chartOf, redraw } from './chartOf.ts';
import { type Curve, figuresOf } from './curve.ts';
import { themeColours } from './themeColours.ts';

/** A curve in the colours of the theme; a tap on it says the value there, and all of it can be read as figures. */
const props = defineProps<{ curve: Curve }>();
const canvas = useTemplateRef('canvas');
let chart: Chart<'line', { x: number; y: number }[]> | null = null;

onMounted(() => {
  if (canvas.value !== null) chart = chartOf(canvas.value, props.curve, themeColours());
});
// After the style sheet has the other theme’s colours.
watch([() => props.curve, theme], () => chart && redraw(chart, props.curve, themeColours()), { flush: 'post' });
onBeforeUnmount(() => chart?.destroy());
</script>

<template>
  <figure>
    <div class="relative h-72 w-full min-w-0">
      <canvas ref="canvas" role="img" :aria-label="curve.words"></canvas>
    </div>
    <details class="no-print mt-1 text-sm">
      <summary class="link inline-block">As figures</summary>
      <table class="mt-2 text-left">
        <thead>
          <tr class="text-soft">
            <th class="pr-6 font-semibold" scope="col">{{ curve.x.name }}</th>
            <th v-for="line in curve.lines" :key="line.name" class="pr-6 font-semibold" scope="col">{{ line.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in figuresOf(curve)" :key="row.x">
            <th class="pr-6 font-normal" scope="row">{{ row.x }}</th>
            <td v-for="(value, index) in row.values" :key="index" class="pr-6">{{ value ?? '–' }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </figure>
</template>
