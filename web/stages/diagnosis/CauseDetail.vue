<script setup lang="ts">
import { computed } from 'vue';
import type { Cause, RankedCause } from '../../../core/diagnose/index.ts';
import { formatNumber } from '../../../core/quantity/index.ts';

/** Why a cause stands where it does: findings for and against, each with its weight and its reason. */
const props = defineProps<{
  ranked: RankedCause;
  cause: Cause;
  says: (finding: { readonly sign: string; readonly outcome: string }) => string;
}>();

const LEAST_BITS = 0.1;
const because = (sign: string, outcome: string): string =>
  props.cause.shows.find((row) => row.sign === sign && row.outcome === outcome)?.why ?? '';
const weighed = computed(() =>
  props.ranked.evidence
    .filter(({ bits }) => Math.abs(bits) >= LEAST_BITS)
    .map(({ finding, bits }) => ({
      words: props.says(finding),
      why: because(finding.sign, finding.outcome),
      bits,
    }))
    .sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits)),
);
const sides = computed(() => [
  { title: 'Speaks for it', rows: weighed.value.filter(({ bits }) => bits > 0) },
  { title: 'Speaks against it', rows: weighed.value.filter(({ bits }) => bits < 0) },
]);
const once = computed(() => props.ranked.evidence.filter(({ countedAs }) => countedAs !== null).length);
const said = (bits: number): string => formatNumber({ value: Math.abs(bits), unit: 'V' }, { decimals: 1 });
</script>

<template>
  <div class="mb-3 border-l-2 border-bottle bg-card px-4 py-3">
    <p>
      {{ cause.about
      }}<span v-if="!cause.throttle" class="font-semibold text-brass"> No work on the throttle will cure it.</span
      ><span v-if="ranked.standing === 'proved'" class="font-semibold text-moss"> Seen or measured directly.</span
      ><span v-else-if="ranked.standing === 'ruled out'" class="font-semibold text-soft">
        Ruled out by what was seen.</span
      >
    </p>
    <div class="mt-2 grid gap-x-8 gap-y-3 sm:grid-cols-2">
      <div v-for="side in sides" :key="side.title">
        <h4 class="text-sm font-bold">{{ side.title }}</h4>
        <ul v-if="side.rows.length > 0" class="text-note">
          <li v-for="row in side.rows.slice(0, 7)" :key="row.words" class="flex items-baseline gap-2 py-0.5">
            <span class="figure w-9 shrink-0 text-right text-sm" :class="row.bits > 0 ? 'text-bottle' : 'text-oxide'"
              >{{ row.bits > 0 ? '+' : '−' }}{{ said(row.bits) }}</span
            >
            <span
              ><span class="font-semibold">{{ row.words }}</span
              ><span v-if="row.why" class="text-soft">: {{ row.why }}</span></span
            >
          </li>
        </ul>
        <p v-else class="text-sm text-soft">Nothing of weight.</p>
      </div>
    </div>
    <p v-if="once > 0" class="mt-2 text-sm text-soft">
      {{ once === 1 ? 'One finding is' : `${once} findings are` }} another view of what is weighed already, and counted
      once.
    </p>
    <p class="mt-2 text-sm text-soft">
      Weights in bits: one bit doubles the odds. Findings are weighed in the order they were met.
    </p>
  </div>
</template>
