<script setup lang="ts">
import { computed } from 'vue';
import { group } from '../../core/quantity/index.ts';
import type { Lasting } from '../../core/visits/index.ts';

/** What still holds over the use, in steps, with its band; one kind solid, another dashed. Drawn from the same figures as its table. */
const { kinds } = defineProps<{ kinds: readonly (Lasting & { readonly name: string })[] }>();
const WIDTH = 640;
const HEIGHT = 240;
const LEFT = 44;
const BOTTOM = 28;
const reach = computed(() => Math.max(1, ...kinds.flatMap(({ lives }) => lives.map(({ use }) => use))));
const x = (use: number): number => LEFT + (use / reach.value) * (WIDTH - LEFT - 8);
const y = (share: number): number => 8 + (1 - share) * (HEIGHT - BOTTOM - 8);
/** A line in steps, from everything good to where the last is known. */
function steps({ survival, lives }: Lasting, of: 'share' | 'low' | 'high'): string {
  const end = Math.max(...lives.filter(({ knownBy }) => knownBy !== 'hand-over').map(({ use }) => use), 0);
  const path = survival.steps.reduce((line, step) => `${line}H${x(step.use)}V${y(step[of])}`, `M${x(0)} ${y(1)}`);
  return `${path}H${x(end)}`;
}
const band = (kind: Lasting): string => {
  const top = kind.survival.steps.map(({ use, high }) => `H${x(use)}V${y(high)}`).join('');
  const end = Math.max(...kind.lives.map(({ use }) => use));
  const back = kind.survival.steps
    .toReversed()
    .map(({ use, low }) => `V${y(low)}H${x(use)}`)
    .join('');
  return kind.survival.steps.length === 0 ? '' : `M${x(0)} ${y(1)}${top}H${x(end)}${back}V${y(1)}Z`;
};
const ticks = computed(() => {
  const rough = reach.value / 5;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((each) => each * power).find((each) => each >= rough) ?? rough;
  return Array.from({ length: Math.floor(reach.value / step) + 1 }, (_, nth) => nth * step);
});
const TONES = ['var(--bottle)', 'var(--oxide)'] as const;
/** Repairs that were last seen good: small ticks on the line. */
const still = (kind: Lasting): { readonly x: number; readonly y: number }[] =>
  kind.lives
    .filter(({ failed, knownBy }) => !failed && knownBy !== 'hand-over')
    .map(({ use }) => ({ x: x(use), y: y(kind.survival.steps.findLast((step) => step.use <= use)?.share ?? 1) }));
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="w-full max-w-3xl"
    role="img"
    aria-label="Share that still holds, over the use"
  >
    <g class="text-soft" font-size="12" fill="currentColor">
      <template v-for="share in [0, 0.5, 1]" :key="share">
        <line :x1="LEFT" :x2="WIDTH - 8" :y1="y(share)" :y2="y(share)" stroke="var(--line)" />
        <text :x="LEFT - 6" :y="y(share) + 4" text-anchor="end">{{ share * 100 }} %</text>
      </template>
      <text v-for="tick in ticks" :key="tick" :x="x(tick)" :y="HEIGHT - 8" text-anchor="middle">
        {{ group(String(tick)) }}
      </text>
    </g>
    <template v-for="(kind, nth) in kinds" :key="kind.name">
      <path :d="band(kind)" :fill="TONES[nth % 2]" opacity="0.13" />
      <path
        :d="steps(kind, 'share')"
        fill="none"
        :stroke="TONES[nth % 2]"
        stroke-width="2.5"
        :stroke-dasharray="nth === 0 ? undefined : '7 4'"
      />
      <line
        v-for="(tick, at) in still(kind)"
        :key="at"
        :x1="tick.x"
        :x2="tick.x"
        :y1="tick.y - 6"
        :y2="tick.y + 3"
        :stroke="TONES[nth % 2]"
        stroke-width="1.5"
      />
    </template>
  </svg>
</template>
