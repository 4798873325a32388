<script setup lang="ts">
import { computed } from 'vue';
import type { Flip, Plan } from '../../../core/choose/index.ts';
import FigureRow from '../../parts/FigureRow.vue';
import { ofHundred } from './planWords.ts';

/** What a plan comes to for a hundred such vehicles, and what would change it. */
const props = defineProps<{
  plan: Plan;
  per: string;
  perUse: (minor: number) => string;
  money: (minor: number) => string;
  dayPriceMinor: number;
  /** What it costs when nothing of it cured. */
  unsolvedMinor: number;
  /** Undefined while it is worked out. */
  chanceFlip: Flip | null | undefined;
  name: (way: Flip['below']) => string;
}>();
const first = computed(() => props.plan.steps[0]);
const share = (value: number): string => `${(value * 100).toFixed(1)}%`;
const flips = computed(() => {
  const { chanceFlip } = props;
  if (chanceFlip === undefined) return undefined;
  if (chanceFlip === null || first.value === undefined) return null;
  return first.value.way.chance.mean >= chanceFlip.at
    ? {
        at: chanceFlip.at,
        words: `under ${ofHundred(chanceFlip.at)}: ${props.name(chanceFlip.below).toLowerCase()} first`,
      }
    : {
        at: chanceFlip.at,
        words: `over ${ofHundred(chanceFlip.at)}: ${props.name(chanceFlip.above).toLowerCase()} first`,
      };
});
</script>

<template>
  <section aria-label="This plan">
    <h3 class="text-sm font-bold">This plan, for a hundred such vehicles</h3>
    <div class="mt-1 flex gap-8">
      <p>
        <span class="figure text-figure-sm">{{ 100 - ofHundred(plan.open) }}</span><span class="block text-sm text-soft"
          >cured in the end</span
        >
      </p>
      <p>
        <span class="figure text-figure-sm">{{ money(Math.round(plan.expectedMinor)) }}</span><span
          class="block text-sm text-soft"
          >expected, each</span
        >
      </p>
    </div>
    <dl class="rows mt-2 text-note">
      <FigureRow label="Steps, as far as needed">{{ money(Math.round(plan.stepsMinor)) }}</FigureRow>
      <FigureRow
        v-if="plan.daysMinor > 0"
        :label="`${plan.days.toFixed(plan.days < 0.1 ? 2 : 1)} days off the road, at ${money(dayPriceMinor)}`"
        >{{ money(Math.round(plan.daysMinor)) }}</FigureRow
      >
      <FigureRow v-if="plan.comebackMinor > 0" label="Failures that show later">{{
        money(Math.round(plan.comebackMinor))
      }}</FigureRow>
      <FigureRow :label="`${ofHundred(plan.open)} open, at ${money(unsolvedMinor)} each`">{{
        money(Math.round(plan.unsolvedMinor))
      }}</FigureRow>
      <FigureRow :label="`${per} that it lasts`">{{ perUse(plan.perUseMinor) }}</FigureRow>
    </dl>
    <template v-if="first">
      <h3 class="mt-4 text-sm font-bold">What would change the order</h3>
      <p class="mt-1 flex items-baseline justify-between gap-3 text-note">
        <span>{{ name(first.way) }} cures</span
        ><span class="shrink-0 font-bold">{{ ofHundred(first.way.chance.mean) }} in 100 now</span>
      </p>
      <svg class="mt-1 overflow-visible" width="100%" height="22" aria-hidden="true">
        <line x1="0" x2="100%" y1="11" y2="11" class="stroke-line" stroke-width="3" />
        <rect
          :x="share(first.way.chance.low)"
          :width="share(Math.max(0.01, first.way.chance.high - first.way.chance.low))"
          y="6"
          height="10"
          class="fill-bottle"
          fill-opacity="0.25"
        />
        <line
          v-if="flips"
          :x1="share(flips.at)"
          :x2="share(flips.at)"
          y1="1"
          y2="21"
          class="stroke-brass"
          stroke-width="3"
        />
        <circle :cx="share(first.way.chance.mean)" cy="11" r="7" class="fill-paper stroke-bottle" stroke-width="3" />
      </svg>
      <p class="text-note font-semibold text-brass">
        {{ flips === undefined ? ' ' : (flips?.words ?? 'No chance of it changes what comes first.') }}
      </p>
      <p class="text-sm text-soft">
        From the causes {{ ofHundred(first.way.chance.fromCauses) }} in 100; our own jobs:
        {{ first.way.chance.cured }} cured, {{ first.way.chance.cameBack }} back.
      </p>
    </template>
  </section>
</template>
