<script setup lang="ts">
import { computed } from 'vue';
import type { RankedCause } from '../../../core/diagnose/index.ts';
import { beliefLine, placeOf } from './beliefLine.ts';
import { shareWords } from './useDiagnosis.ts';

/** Every cause is a line: it starts at how common it is and each finding pushes it right or left by its weight. */
const props = defineProps<{
  causes: readonly RankedCause[];
  name: (cause: string) => string;
  says: (finding: { readonly sign: string; readonly outcome: string }) => string;
  /** Findings that say no more than that something is in order. */
  ordinary: (finding: { readonly sign: string; readonly outcome: string }) => boolean;
}>();
const chosen = defineModel<string | null>('chosen', { required: true });

const EVEN = placeOf(0);
const ROW = 7;
const rows = computed(() =>
  props.causes.map((cause, index) => {
    const line = beliefLine(cause);
    const speaks = [...cause.evidence]
      .filter(({ bits, finding }) => bits > 0.3 && !props.ordinary(finding))
      .sort((a, b) => b.bits - a.bits)
      .slice(0, 2)
      .map(({ finding }) => props.says(finding));
    return {
      cause,
      line,
      strong: cause.standing === 'proved' || (index < 2 && cause.share >= 0.15),
      speaks: speaks.join(', '),
      height: Math.max(3, line.bars.length) * ROW + 14,
    };
  }),
);
</script>

<template>
  <div>
    <div class="flex text-sm text-soft" aria-hidden="true">
      <span class="w-64 shrink-0 max-md:w-0" />
      <span class="relative h-5 flex-1">
        <span class="absolute left-0">unlikely</span>
        <span class="absolute left-[60%] -translate-x-1/2">even</span>
        <span class="absolute right-0">likely</span>
      </span>
      <span class="w-20 shrink-0" />
    </div>
    <ul>
      <li v-for="{ cause, line, strong, speaks, height } in rows" :key="cause.id">
        <button
          type="button"
          class="flex w-full flex-wrap items-center py-0.5 text-left hover:bg-band aria-expanded:bg-band md:flex-nowrap"
          :aria-expanded="chosen === cause.id"
          @click="chosen = chosen === cause.id ? null : cause.id"
        >
          <span class="w-64 shrink-0 pr-3 leading-tight max-md:w-full">
            <span class="block" :class="strong ? 'font-bold' : 'font-semibold text-soft'">{{ name(cause.id) }}</span>
            <span v-if="speaks" class="block text-sm text-soft">{{ speaks }}</span>
          </span>
          <svg class="min-w-0 flex-1 basis-40 overflow-visible" :height="height" width="100%" aria-hidden="true">
            <line :x1="`${EVEN}%`" :x2="`${EVEN}%`" y1="-2" :y2="height + 2" class="stroke-line" stroke-width="1.5" />
            <line x1="0" x2="100%" :y1="height - 6" :y2="height - 6" class="stroke-line" stroke-width="1" />
            <line
              :x1="`${line.start}%`"
              :x2="`${line.start}%`"
              y1="1"
              :y2="height - 6"
              class="stroke-ink"
              stroke-width="1.5"
              stroke-dasharray="2 3"
            />
            <rect
              v-for="bar in line.bars"
              :key="bar.key"
              :x="`${bar.x}%`"
              :width="`${Math.max(bar.width, 0.4)}%`"
              :y="3 + bar.row * ROW"
              height="5"
              :class="bar.bits > 0 ? 'fill-bottle' : 'fill-oxide'"
              :fill-opacity="strong ? 1 : 0.5"
            />
            <circle
              :cx="`${line.end}%`"
              :cy="height - 6"
              r="5.5"
              :class="strong ? 'fill-bottle stroke-bottle' : 'fill-paper stroke-bottle'"
              stroke-width="2"
            />
          </svg>
          <span
            class="figure w-20 shrink-0 text-right"
            :class="strong ? 'text-title' : 'text-base font-semibold text-soft'"
            >{{ cause.standing === 'proved' ? 'seen' : shareWords(cause.share) }}</span
          >
        </button>
        <slot v-if="chosen === cause.id" name="detail" :cause="cause" />
      </li>
    </ul>
  </div>
</template>
