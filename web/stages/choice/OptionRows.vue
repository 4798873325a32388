<script setup lang="ts">
import type { ComparedOption } from '../../../core/choose/index.ts';

/** Options side by side: the chance to cure with its spread, money now and for the distance, days off the road. */
defineProps<{
  options: readonly ComparedOption[];
  name: (way: ComparedOption['way']) => string;
  per: string;
  perUse: (minor: number) => string;
  lasts: (life: number) => string;
  money: (minor: number) => string;
  disabled: boolean;
}>();
const choice = defineModel<string>({ required: true });
const WHY = {
  'no chance': 'not worth trying',
  'tried already': 'tried already, and it did not help',
  'no price': 'no price',
  'no life': 'no life given',
} as const;
const percent = (share: number): string => `${(share * 100).toFixed(1)}%`;
</script>

<template>
  <fieldset :disabled="disabled">
    <legend class="sr-only">What will be done</legend>
    <div
      class="hidden gap-x-4 pb-1 text-sm text-soft md:grid md:grid-cols-[15rem_1fr_6.5rem_6.5rem_5rem]"
      aria-hidden="true"
    >
      <span>What</span><span class="max-md:hidden">Chance to cure</span><span class="text-right">Now</span
      ><span class="text-right">{{ per }}</span
      ><span class="text-right max-md:hidden">Off the road</span>
    </div>
    <div class="rows border-y border-line">
      <label
        v-for="(option, index) in options"
        :key="option.way.id"
        class="grid min-h-12 cursor-pointer grid-cols-2 items-center gap-x-4 py-1 has-checked:bg-band md:grid-cols-[15rem_1fr_6.5rem_6.5rem_5rem]"
      >
        <span class="flex items-center gap-3 max-md:col-span-2">
          <input
            v-model="choice"
            type="radio"
            name="way"
            :value="option.way.id"
            class="ml-2 size-5 shrink-0 accent-bottle"
          />
          <span class="leading-tight"
            ><span
              class="block"
              :class="index === 0 && option.notWorth === null ? 'font-bold text-bottle' : 'font-semibold'"
              >{{ name(option.way) }}</span
            ><span class="block text-sm text-soft">{{
              option.notWorth !== null
                ? `${WHY[option.notWorth]}: ${Math.round(option.chance.mean * 100)} in 100`
                : index === 0
                  ? 'least for the distance'
                  : `lasts about ${lasts(option.terms.life)}`
            }}</span></span
          >
        </span>
        <span class="flex items-center gap-3 max-md:col-span-2 max-md:pl-10">
          <svg class="min-w-0 flex-1" width="100%" height="18" aria-hidden="true">
            <line x1="0" x2="100%" y1="9" y2="9" class="stroke-line" stroke-width="1" />
            <rect
              :x="percent(option.chance.low)"
              :width="percent(Math.max(0.005, option.chance.high - option.chance.low))"
              y="5"
              height="8"
              class="fill-bottle"
              fill-opacity="0.3"
            />
            <line
              :x1="percent(option.chance.mean)"
              :x2="percent(option.chance.mean)"
              y1="1"
              y2="17"
              class="stroke-bottle"
              stroke-width="3"
            />
          </svg>
          <span class="w-12 text-right"
            ><span class="sr-only">chance to cure </span
            ><span class="figure">{{ Math.round(option.chance.mean * 100) }} %</span></span
          >
        </span>
        <span class="text-right"
          ><span class="text-sm text-soft md:sr-only">now </span
          >{{ option.nowMinor === null ? 'no price' : money(option.nowMinor) }}</span
        >
        <span class="text-right" :class="index === 0 && option.notWorth === null ? 'font-bold' : ''"
          ><span class="text-sm font-normal text-soft md:sr-only">{{ per }} </span
          >{{ option.perUseMinor === null ? '—' : perUse(option.perUseMinor) }}</span
        >
        <span class="text-right text-soft max-md:hidden">{{
          option.terms.daysOff === 0 ? 'same day' : `${option.terms.daysOff} days`
        }}</span>
      </label>
    </div>
  </fieldset>
</template>
