<script setup lang="ts">
import { looseEnd, middleOf, type Twine, twinePath } from './layout.ts';

/** The strings between twins. One that leads out of sight is two loose ends, with the place that it leads to. */
defineProps<{
  twines: readonly (Twine & { readonly far: boolean })[];
  selected: string;
  width: number;
  height: number;
  /** Height of a row, px. */
  pitch: number;
  /** Rows of the right column, which is read from its foot. */
  rows: number;
}>();

/** “26th”. */
function ordinal(number: number): string {
  const tens = number % 100;
  const suffix = tens > 10 && tens < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][number % 10] ?? 'th');
  return `${number}${suffix}`;
}
</script>

<template>
  <svg :width="width" :height="height">
    <g
      v-for="twine in twines"
      :key="twine.id"
      v-memo="[twine.from, twine.to, twine.far, twine.state, twine.id === selected, width, rows]"
    >
      <template v-if="twine.far">
        <path :d="looseEnd('left', twine.from, twine.to, width, pitch)" :class="twine.state" />
        <path :d="looseEnd('right', twine.from, twine.to, width, pitch)" :class="twine.state" />
      </template>
      <path
        v-else
        :d="twinePath(twine.from, twine.to, width, pitch)"
        :class="[twine.state, { chosen: twine.id === selected }]"
      />
    </g>
    <!-- After all strings, so that none runs over the words. -->
    <template v-for="twine in twines" :key="`word ${twine.id}`">
      <text v-if="twine.far && width > 130" :x="width * 0.23" :y="middleOf(twine.from, pitch) + 4" :class="twine.state">
        back {{ ordinal(rows - twine.to) }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
svg {
  position: absolute;
  overflow: visible;
}
path {
  fill: none;
  stroke-width: 1.6px;
}
path.off {
  stroke: var(--oxide);
}
path.on {
  stroke: var(--line);
  stroke-dasharray: 2 5;
}
path.refitted,
path.renewed {
  stroke: var(--moss);
  opacity: 0.55;
}
path.left-off {
  stroke: var(--brass);
  opacity: 0.6;
}
/* Where a string passes behind the words, the paper keeps them readable. */
text {
  fill: var(--soft);
  font-size: 12px;
  stroke: var(--paper);
  stroke-width: 5px;
  paint-order: stroke;
}
text.off {
  fill: var(--oxide);
}
path.chosen {
  stroke-width: 3px;
  opacity: 1;
}
</style>
