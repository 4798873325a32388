<script setup lang="ts">
import { computed } from 'vue';
import { LIGHT_NAMES, LIGHT_SECTORS } from '../../../core/inspect/index.ts';

/** The closed plate against the lamp: each twelfth of its edge is tapped through none, thin line, wide. */
const props = defineProps<{ marks: readonly number[]; disabled?: boolean }>();
const emit = defineEmits<{ mark: [marks: number[]] }>();

const MIDDLE = 150;
const PLATE = 98;
const place = (radius: number, turn: number): string =>
  `${MIDDLE + radius * Math.sin(turn)} ${MIDDLE - radius * Math.cos(turn)}`;
/** A piece of a ring between two radii, over one sector less a hair on each side. */
function piece(index: number, inner: number, outer: number, gap = 0.012): string {
  const half = Math.PI / LIGHT_SECTORS - gap;
  const middle = (2 * Math.PI * index) / LIGHT_SECTORS;
  const [from, to] = [middle - half, middle + half];
  return `M${place(outer, from)}A${outer} ${outer} 0 0 1 ${place(outer, to)}L${place(inner, to)}A${inner} ${inner} 0 0 0 ${place(inner, from)}Z`;
}
const sectors = computed(() =>
  Array.from({ length: LIGHT_SECTORS }, (_, index) => {
    const mark = props.marks[index] ?? 0;
    const middle = (2 * Math.PI * index) / LIGHT_SECTORS;
    return {
      index,
      mark,
      hour: index === 0 ? 12 : index,
      target: piece(index, PLATE - 30, 142, 0),
      gap: piece(index, PLATE + 2, PLATE + 2 + (mark === 0 ? 3 : mark === 1 ? 7 : 22), 0.004),
      x: MIDDLE + 132 * Math.sin(middle),
      y: MIDDLE - 132 * Math.cos(middle) + 4.5,
    };
  }),
);
function turn(index: number): void {
  if (props.disabled) return;
  emit(
    'mark',
    Array.from({ length: LIGHT_SECTORS }, (_, at) =>
      at === index ? ((props.marks[at] ?? 0) + 1) % 3 : (props.marks[at] ?? 0),
    ),
  );
}
</script>

<template>
  <svg viewBox="0 0 300 300" class="h-auto" role="group" aria-label="Light round the closed plate, twelve sectors">
    <circle cx="150" cy="150" r="148" fill="var(--band)" />
    <circle cx="150" cy="150" r="122" fill="none" stroke="var(--soft)" stroke-width="2" />
    <circle
      cx="150"
      cy="150"
      :r="PLATE"
      fill="color-mix(in srgb, var(--brass) 26%, var(--metal))"
      stroke="var(--brass)"
      stroke-width="2"
    />
    <path d="M46 150h208" stroke="var(--soft)" stroke-width="10" />
    <circle cx="118" cy="150" r="6" fill="var(--card)" stroke="var(--soft)" />
    <circle cx="182" cy="150" r="6" fill="var(--card)" stroke="var(--soft)" />
    <g
      v-for="sector in sectors"
      :key="sector.index"
      class="sector cursor-pointer"
      role="button"
      tabindex="0"
      :aria-label="`${sector.hour} o’clock: ${LIGHT_NAMES[sector.mark]}`"
      :aria-disabled="disabled"
      @click="turn(sector.index)"
      @keydown.enter.prevent="turn(sector.index)"
      @keydown.space.prevent="turn(sector.index)"
    >
      <path :d="sector.target" fill="transparent" class="target" />
      <path :d="sector.gap" :fill="sector.mark === 0 ? 'var(--coke)' : 'var(--light)'" />
      <text :x="sector.x" :y="sector.y" text-anchor="middle" font-size="13" fill="var(--ink)">{{ sector.hour }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  --light: #e9b417;
}
[data-theme='dark'] svg {
  --light: #ffe08a;
}
.sector:focus-visible {
  outline: none;
}
.sector:focus-visible .target {
  stroke: var(--bottle);
  stroke-width: 3;
}
</style>
