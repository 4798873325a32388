<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '../../../core/choose/index.ts';
import { ofHundred } from './planWords.ts';

/** A plan drawn as a path: its thickness is how many of a hundred are still on the way, branches are how many end. */
const props = defineProps<{ plan: Plan; large: boolean }>();

const WIDTH = 720;
const TALL = computed(() => (props.large ? 26 : 16));
const HEIGHT = computed(() => (props.large ? 76 : 62));
/** Where each step stands, by how many there are; the end of the path is at the right. */
const START = 14;
const END = 690;
const spots = computed(() => {
  const { steps } = props.plan;
  const gap = (END - START - 150) / Math.max(1, steps.length);
  return steps.map((step, index) => {
    const x = START + index * gap;
    const thick = Math.max(1, step.reach * TALL.value);
    const leaving = Math.max(1, step.ends * TALL.value);
    const left = Math.max(step.reach - step.ends > 0 ? 1 : 0, (step.reach - step.ends) * TALL.value);
    const turn = x + gap * 0.45;
    return { step, index, x, gap, thick, leaving, left, turn };
  });
});
const top = 14;
/** The part that is cured bends down out of the path. */
const branch = ({ turn, thick, leaving, gap }: (typeof spots.value)[number]): string => {
  const from = top + thick - leaving;
  const down = HEIGHT.value - leaving - 8;
  const end = turn + Math.min(70, gap * 0.5);
  const middle = (turn + end) / 2;
  return `M${turn},${from} C${middle},${from} ${middle},${down} ${end},${down} L${end},${down + leaving} C${middle},${down + leaving} ${middle},${from + leaving} ${turn},${from + leaving} Z`;
};
const last = computed(() => spots.value.at(-1));
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT + 8}`"
    class="w-full overflow-visible"
    :class="large ? '' : 'max-w-3xl'"
    role="img"
    :aria-label="`Of a hundred: ${plan.steps.map((step) => `${ofHundred(step.ends)} end at step ${plan.steps.indexOf(step) + 1}`).join(', ')}, ${ofHundred(plan.open)} stay open`"
  >
    <template v-for="spot in spots" :key="spot.index">
      <rect :x="spot.x" :y="top" :width="spot.turn - spot.x" :height="spot.thick" class="fill-bottle" />
      <rect
        :x="spot.turn"
        :y="top"
        :width="(spots[spot.index + 1]?.x ?? END - 40) - spot.turn"
        :height="spot.left"
        class="fill-bottle"
      />
      <path :d="branch(spot)" class="fill-moss" />
      <text
        :x="spot.turn + Math.min(70, spot.gap * 0.5) + 6"
        :y="HEIGHT - spot.leaving / 2 - 3"
        class="fill-moss font-bold"
        :font-size="large ? 17 : 14"
      >
        {{ ofHundred(spot.step.ends) }}
        <tspan font-size="13">end here</tspan>
      </text>
    </template>
    <template v-for="spot in spots" :key="`at-${spot.index}`">
      <circle :cx="spot.x" :cy="top + spot.thick / 2" r="12" class="fill-paper stroke-bottle" stroke-width="2.5" />
      <text :x="spot.x" :y="top + spot.thick / 2 + 5" text-anchor="middle" class="fill-ink font-bold" font-size="14">
        {{ spot.index + 1 }}
      </text>
    </template>
    <template v-if="last">
      <line
        :x1="END - 52"
        :x2="END - 40"
        :y1="top + last.left / 2"
        :y2="top + last.left / 2"
        class="stroke-oxide"
        stroke-width="2.5"
      />
      <text :x="END + 26" :y="top + 7" text-anchor="end" class="fill-oxide font-bold" :font-size="large ? 17 : 14">
        {{ ofHundred(plan.open) }}
        <tspan font-size="13">open</tspan>
      </text>
    </template>
  </svg>
</template>
