<script setup lang="ts">
import { computed } from 'vue';
import { atHour } from './drawing.ts';

/** The plate from behind, closed, with a lamp in front: what light comes through round its edge. */
const props = defineProps<{ /** Clockwise from twelve, 0 none to 1 wide. */ sectors: readonly number[] }>();
const RIM = 96;
/** The widest gap that is drawn. */
const WIDE = 15;
const POINTS = 96;

const plate = computed(() => {
  const { sectors } = props;
  const count = sectors.length;
  const points = Array.from({ length: POINTS }, (_, index) => {
    const place = (index / POINTS) * count;
    const before = Math.floor(place) % count;
    const part = place - Math.floor(place);
    // A cosine between neighbours: a gap has no corners.
    const weight = (1 - Math.cos(part * Math.PI)) / 2;
    const open = (sectors[before] ?? 0) * (1 - weight) + (sectors[(before + 1) % count] ?? 0) * weight;
    const [x, y] = atHour((index / POINTS) * 12, RIM - Math.max(0, open) * WIDE);
    return `${x.toFixed(1)} ${y.toFixed(1)}`;
  });
  return `M${points.join('L')}Z`;
});
const words = computed(
  () =>
    `The closed plate against a lamp. Light round the edge, in tenths, from twelve on clockwise: ${props.sectors
      .map((open) => Math.round(open * 10))
      .join(', ')}.`,
);
</script>

<template>
  <svg viewBox="-122 -122 244 244" role="img" :aria-label="words" class="mx-auto block w-full max-w-[300px]">
    <circle r="118" fill="#0a0c0c" />
    <circle r="104" fill="#1a1d1c" />
    <circle :r="RIM" fill="#ffdf7a" />
    <circle :r="RIM" fill="none" stroke="#fff4c8" stroke-width="1.5" />
    <path :d="plate" fill="#22211c" />
    <rect x="-88" y="-6" width="176" height="12" rx="2" fill="#2d2e2a" />
    <g v-for="x in [-34, 34]" :key="x" :transform="`translate(${x} 0)`">
      <circle r="6" fill="#3a3931" />
    </g>
    <g font-size="9" text-anchor="middle" aria-hidden="true">
      <text v-for="hour in 12" :key="hour" :x="atHour(hour, 111)[0]" :y="atHour(hour, 111)[1] + 3" fill="#b9c0bb">
        {{ hour }}
      </text>
    </g>
  </svg>
</template>
