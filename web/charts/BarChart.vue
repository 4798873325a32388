<script setup lang="ts">
import type { Chart } from 'chart.js';
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue';
import { theme } from '../shell/theme.ts';
import { type Bars, barsOn, redrawBars } from './bars.ts';
import { themeColours } from './themeColours.ts';

/** Bars in the colours of the theme; the table that they are drawn from stands beside them. */
const props = defineProps<{ bars: Bars }>();
const canvas = useTemplateRef('canvas');
let chart: Chart<'bar'> | null = null;
onMounted(() => {
  if (canvas.value !== null) chart = barsOn(canvas.value, props.bars, themeColours());
});
// After the style sheet has the other theme’s colours.
watch([() => props.bars, theme], () => chart && redrawBars(chart, props.bars, themeColours()), { flush: 'post' });
onBeforeUnmount(() => chart?.destroy());
</script>

<template>
  <div class="relative h-60 w-full min-w-0">
    <canvas ref="canvas" role="img" :aria-label="bars.words"></canvas>
  </div>
</template>
