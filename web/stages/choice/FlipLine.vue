<script setup lang="ts">
import { computed, useId } from 'vue';
import type { Flip } from '../../../core/choose/index.ts';

/** A part's price on a line, to be dragged; where the first choice flips is marked on it. Prices in minor units. */
const props = defineProps<{
  label: string;
  /** Undefined while it is worked out. */
  flip: Flip | null | undefined;
  highest: number;
  money: (minor: number) => string;
  nameOf: (way: Flip['below']) => string;
}>();
const price = defineModel<number>({ required: true });
defineEmits<{ settle: [] }>();
const id = useId();
const STEP = 500;
const place = (minor: number): string => `${Math.min(100, (minor / props.highest) * 100)}%`;
const words = computed(() =>
  props.flip === undefined
    ? ''
    : props.flip === null
      ? 'No price of it changes what comes first.'
      : `Below ${props.money(props.flip.at)}: ${props.nameOf(props.flip.below).toLowerCase()}. Above: ${props.nameOf(props.flip.above).toLowerCase()}.`,
);
</script>

<template>
  <div>
    <div class="flex items-baseline justify-between gap-3">
      <label :for="id" class="text-sm font-bold">{{ label }}</label>
      <span class="figure text-xl">{{ money(price) }}</span>
    </div>
    <svg class="mt-1 overflow-visible" width="100%" height="16" aria-hidden="true">
      <line x1="0" x2="100%" y1="12" y2="12" class="stroke-line" stroke-width="2" />
      <template v-if="flip && flip.at <= highest">
        <line x1="0" :x2="place(flip.at)" y1="12" y2="12" class="stroke-bottle" stroke-width="4" />
        <line :x1="place(flip.at)" :x2="place(flip.at)" y1="2" y2="16" class="stroke-oxide" stroke-width="3" />
      </template>
    </svg>
    <input
      :id="id"
      v-model.number="price"
      type="range"
      min="0"
      :max="highest"
      :step="STEP"
      class="h-11 w-full accent-bottle"
      :aria-valuetext="money(price)"
      @change="$emit('settle')"
    />
    <p class="text-note" role="status">{{ words }}</p>
  </div>
</template>
