<script setup lang="ts">
import type { Way } from '../../../core/choose/index.ts';
import { daysWords } from './planWords.ts';

/** What can be done as planned work: what it takes and how long it lasts. No fault is weighed. */
defineProps<{
  ways: readonly Way[];
  name: (way: Way) => string;
  lasts: (life: number) => string;
  money: (minor: number) => string;
  disabled: boolean;
}>();
const choice = defineModel<string>({ required: true });
</script>

<template>
  <fieldset :disabled="disabled">
    <legend class="sr-only">What will be done</legend>
    <div class="rows border-y border-line">
      <label
        v-for="way in ways"
        :key="way.id"
        class="grid min-h-14 cursor-pointer items-center gap-x-4 px-2 py-1.5 has-checked:bg-band sm:grid-cols-[minmax(0,1fr)_7rem_6rem_6rem]"
      >
        <span class="flex items-center gap-3">
          <input v-model="choice" type="radio" name="way" :value="way.id" class="size-5 shrink-0 accent-bottle" />
          <span class="leading-tight"
            ><span class="block font-semibold">{{ name(way) }}</span
            ><span class="block text-sm text-soft">lasts about {{ lasts(way.terms.life) }}</span></span
          >
        </span>
        <span class="font-bold max-sm:pl-8 sm:text-right">{{
          way.costMinor === null ? 'no price' : money(Math.round(way.costMinor))
        }}</span>
        <span class="text-soft max-sm:pl-8 sm:text-right">{{ Math.round(way.terms.minutes) }} min</span>
        <span class="text-soft max-sm:pl-8 sm:text-right">{{ daysWords(way.terms.daysOff) }}</span>
      </label>
    </div>
  </fieldset>
</template>
