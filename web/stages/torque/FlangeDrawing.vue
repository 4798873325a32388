<script setup lang="ts">
import { computed } from 'vue';
import { boltOrder, isTight, type JobItem, strippedThreads } from '../../../core/job/index.ts';

/** The flange with its bolts in place, numbered in tightening order; what is at torque, what is next. */
const props = defineProps<{ item: JobItem; next: string }>();

const WIDTH = 250;
const HEIGHT = 190;
const MARGIN = 36;

const drawn = computed(() => {
  const bolts = props.item.fasteners?.bolts ?? [];
  const xs = bolts.map(({ x }) => x);
  const ys = bolts.map(({ y }) => y);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const wide = Math.max(...xs) - left;
  const high = Math.max(...ys) - top;
  const scale = Math.min((WIDTH - 2 * MARGIN) / Math.max(wide, 1), (HEIGHT - 2 * MARGIN) / Math.max(high, 1), 2.2);
  const place = (x: number, y: number) => ({
    x: WIDTH / 2 + (x - left - wide / 2) * scale,
    y: HEIGHT / 2 + (y - top - high / 2) * scale,
  });
  const order = boltOrder(props.item);
  const stripped = new Set(strippedThreads(props.item).map(({ boltId }) => boltId));
  const points = bolts.map((bolt) => ({
    ...bolt,
    ...place(bolt.x, bolt.y),
    number: order.indexOf(bolt.id) + 1,
    done: isTight(props.item, bolt.id),
    stripped: stripped.has(bolt.id),
    touched: props.item.bolts.some(({ boltId }) => boltId === bolt.id),
  }));
  const path = order.map((id) => points.find((point) => point.id === id)).filter((point) => point !== undefined);
  return {
    points,
    path,
    ring: bolts.length >= 4 ? Math.min(wide, high) * scale * 0.36 : 0,
    frame: {
      x: WIDTH / 2 - (wide * scale) / 2 - 24,
      y: HEIGHT / 2 - (high * scale) / 2 - 24,
      w: wide * scale + 48,
      h: high * scale + 48,
    },
  };
});
/** Lengths are printed only where they differ: there a mix-up breaks something. */
const uneven = computed(() => new Set(props.item.fasteners?.bolts.map(({ lengthMm }) => lengthMm)).size > 1);
const said = computed(() =>
  drawn.value.points
    .map(
      ({ number, label, done, stripped }) =>
        `bolt ${number} ${label}${stripped ? ' thread stripped' : done ? ' at torque' : ''}`,
    )
    .join(', '),
);
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="flange" role="img" :aria-label="`Tightening order: ${said}`">
    <rect class="body" :x="drawn.frame.x" :y="drawn.frame.y" :width="drawn.frame.w" :height="drawn.frame.h" rx="12" />
    <template v-if="drawn.ring > 0">
      <circle class="bore" :cx="WIDTH / 2" :cy="HEIGHT / 2" :r="drawn.ring" />
      <path class="shaft" :d="`M${WIDTH / 2 - drawn.ring} ${HEIGHT / 2}h${2 * drawn.ring}`" />
    </template>
    <polyline class="order" :points="drawn.path.map(({ x, y }) => `${x},${y}`).join(' ')" />
    <g
      v-for="point in drawn.points"
      :key="point.id"
      :class="{
        done: point.done,
        touched: point.touched && !point.done,
        next: point.id === next,
        stripped: point.stripped,
      }"
    >
      <circle :cx="point.x" :cy="point.y" r="17" />
      <text :x="point.x" :y="point.y + 5.5">{{ point.number }}</text>
      <path v-if="point.stripped" class="cross" :d="`M${point.x - 17} ${point.y - 17}l34 34m0 -34l-34 34`" />
      <text v-if="uneven && point.lengthMm" class="length" :x="point.x" :y="point.y + 30">{{ point.lengthMm }}</text>
    </g>
  </svg>
</template>

<style scoped>
.flange {
  display: block;
  width: 100%;
  max-width: 186px;
  margin: 0 auto;
}
.body {
  fill: var(--band);
  stroke: var(--line);
  stroke-width: 1.5px;
}
.bore {
  fill: var(--paper);
  stroke: var(--line);
  stroke-width: 6px;
}
.shaft {
  stroke: var(--line);
  stroke-width: 2px;
}
.order {
  fill: none;
  stroke: var(--oxide);
  stroke-width: 1.2px;
  stroke-dasharray: 3 4;
  opacity: 0.8;
}
g circle {
  fill: var(--card);
  stroke: var(--soft);
  stroke-width: 2px;
}
g text {
  fill: var(--ink);
  font-size: 16px;
  font-weight: 700;
  text-anchor: middle;
}
.touched circle {
  stroke: var(--moss);
  stroke-dasharray: 4 3;
}
.done circle {
  fill: var(--moss);
  stroke: var(--moss);
}
.done text {
  fill: var(--card);
}
g.stripped circle {
  stroke: var(--alarm);
  fill: var(--card);
}
.cross {
  stroke: var(--alarm);
  stroke-width: 2.5px;
}
g text.length {
  fill: var(--soft);
  font-size: 11px;
  font-weight: 600;
}
.next circle {
  stroke-dasharray: none;
  stroke: var(--oxide);
  stroke-width: 3.5px;
}
.next text {
  fill: var(--oxide);
}
</style>
