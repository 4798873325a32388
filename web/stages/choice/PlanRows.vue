<script setup lang="ts">
import type { Believed, Plan, Way } from '../../../core/choose/index.ts';
import PlanPath from './PlanPath.vue';
import { daysWords, ofHundred } from './planWords.ts';

/** The best plan in full and two others below, in the same form: the whole row is the target. */
defineProps<{
  plans: readonly Plan[];
  per: string;
  perUse: (minor: number) => string;
  money: (minor: number) => string;
  name: (way: Way) => string;
  /** A cause in few words. */
  cause: (believed: Believed) => string;
  disabled: boolean;
}>();
const chosen = defineModel<string>({ required: true });
const left = (then: readonly Believed[], cause: (believed: Believed) => string): string =>
  then
    .slice(0, 2)
    .map((each) => `${cause(each)} ${ofHundred(each.share)}\u00a0%`)
    .join(', ');
</script>

<template>
  <fieldset :disabled="disabled">
    <legend class="sr-only">Which plan</legend>
    <label
      v-for="(plan, index) in plans"
      :key="plan.steps[0]!.way.id"
      class="block cursor-pointer border-b border-line px-3 py-4 last:border-b-0 has-checked:bg-band"
    >
      <span class="flex items-start gap-3">
        <input
          v-model="chosen"
          type="radio"
          name="plan"
          :value="plan.steps[0]!.way.id"
          class="mt-1 size-5 shrink-0 accent-bottle"
          :aria-label="`Plan ${index + 1}: ${plan.steps.map(({ way }) => name(way)).join(', then ')}`"
        />
        <span class="min-w-0 flex-1">
          <span class="grid gap-x-4 gap-y-1" :class="plan.steps.length > 1 ? 'sm:grid-cols-3' : ''">
            <span v-for="(step, at) in plan.steps" :key="step.way.id">
              <span class="block leading-tight" :class="index === 0 ? 'text-lg font-bold' : 'font-bold'"
                ><span class="sr-only">Step {{ at + 1 }}: </span>{{ name(step.way) }}</span
              >
              <span class="block text-note"
                ><span class="font-bold">{{
                  step.way.costMinor === null ? 'no price' : money(Math.round(step.way.costMinor))
                }}</span>
                <span class="text-soft">
                  {{ Math.round(step.way.terms.minutes) }} min, {{ daysWords(step.way.terms.daysOff) }}</span
                ></span
              >
              <span class="block text-sm text-soft">{{ ofHundred(step.reach) }} of 100 come here</span>
            </span>
          </span>
          <PlanPath class="mt-1" :plan="plan" :large="index === 0" />
          <span v-if="index === 0" class="mt-1 grid gap-x-4 gap-y-1 text-note text-soft sm:grid-cols-3">
            <span v-for="step in plan.steps" :key="step.way.id">
              <span class="block">It holds: done.</span>
              <span v-if="step.then.length > 0" class="block">It does not: then {{ left(step.then, cause) }}.</span>
            </span>
          </span>
          <span class="mt-2 flex flex-wrap items-baseline gap-x-7 gap-y-1">
            <span
              ><span class="figure text-lg">{{ money(Math.round(plan.expectedMinor)) }}</span>
              <span class="text-sm text-soft"> expected</span></span
            >
            <span
              ><span class="figure text-lg">{{ perUse(plan.perUseMinor) }}</span>
              <span class="text-sm text-soft"> {{ per }}</span></span
            >
            <span
              ><span class="figure text-lg">{{ daysWords(plan.days) }}</span>
              <span v-if="plan.days >= 0.05" class="text-sm text-soft"> off the road</span></span
            >
          </span>
        </span>
      </span>
    </label>
  </fieldset>
</template>
