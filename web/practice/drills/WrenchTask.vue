<script setup lang="ts">
import { computed, ref } from 'vue';
import { judgeWrench, wrenchDrill } from '../../../core/drills/index.ts';
import JudgedLine from './JudgedLine.vue';

/** A figure of the book, and a wrench with another scale: set it. */
const props = defineProps<{ seed: number }>();
const emit = defineEmits<{ judged: [got: { right: number; of: number }] }>();
const drill = wrenchDrill(props.seed);
const { low, high, step, unit } = drill.scale;
const set = ref(low);
const done = ref(false);
const judged = computed(() => judgeWrench(drill, set.value));
const shown = (value: number): string => value.toFixed(step < 1 ? 1 : 0);
const turn = (by: number): void => {
  set.value = Math.min(high, Math.max(low, Number((set.value + by * step).toFixed(2))));
};
/** A drum of marks about the one that is set. */
const marks = computed(() =>
  Array.from({ length: 21 }, (_, index) => Number((set.value + (index - 10) * step).toFixed(2))).filter(
    (value) => value >= low && value <= high,
  ),
);
const big = (value: number): boolean => Math.abs(value / (step * 5) - Math.round(value / (step * 5))) < 1e-6;
function judge(): void {
  done.value = true;
  emit('judged', { right: judged.value.isRight ? 1 : 0, of: 1 });
}
</script>

<template>
  <form class="grid max-w-2xl gap-5" @submit.prevent="judge">
    <p>
      <span class="block text-note text-soft">The book says</span>
      <span class="text-figure-lg font-bold tabular-nums">{{ drill.figure.value }}</span>
      <span class="text-xl"> {{ drill.figure.unit }}</span>
    </p>
    <div>
      <p class="text-note text-soft">
        The wrench has a scale in {{ unit }}, {{ low }} to {{ high }}, a mark every {{ step }}.
      </p>
      <svg viewBox="-210 -34 420 68" class="mt-2 block w-full max-w-xl" aria-hidden="true">
        <rect x="-206" y="-30" width="412" height="60" rx="8" class="fill-card stroke-line" stroke-width="2" />
        <g v-for="mark in marks" :key="mark" :transform="`translate(${((mark - set) / step) * 20} 0)`">
          <path
            :d="`M0 ${big(mark) ? -26 : -26}V${big(mark) ? 0 : -12}`"
            class="stroke-ink"
            :stroke-width="big(mark) ? 2.4 : 1.2"
          />
          <text v-if="big(mark)" y="20" text-anchor="middle" font-size="15" font-weight="700" class="fill-ink">
            {{ shown(mark) }}
          </text>
        </g>
        <path d="M0 -34V34" class="stroke-oxide" stroke-width="2.5" />
      </svg>
      <div class="mt-3 flex flex-wrap items-center gap-2">
        <button
          type="button"
          class="quiet size-14 p-0! text-lg"
          aria-label="Ten marks down"
          :disabled="done"
          @click="turn(-10)"
        >
          −10
        </button>
        <button
          type="button"
          class="quiet size-14 p-0! text-xl"
          aria-label="A mark down"
          :disabled="done"
          @click="turn(-1)"
        >
          −
        </button>
        <output class="min-w-40 text-center text-figure-sm font-bold tabular-nums" aria-live="polite"
          >{{ shown(set) }} <span class="text-lg font-normal">{{ unit }}</span></output
        >
        <button
          type="button"
          class="quiet size-14 p-0! text-xl"
          aria-label="A mark up"
          :disabled="done"
          @click="turn(1)"
        >
          +
        </button>
        <button
          type="button"
          class="quiet size-14 p-0! text-lg"
          aria-label="Ten marks up"
          :disabled="done"
          @click="turn(10)"
        >
          +10
        </button>
      </div>
    </div>
    <button v-if="!done" type="submit" class="primary justify-self-start">It is set</button>
    <JudgedLine v-else :right="judged.isRight" :words="judged.words" />
  </form>
</template>
