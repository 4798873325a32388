<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { formatClock } from '../../../core/quantity/index.ts';
import type { Recipe } from '../../../core/relearn/index.ts';
import FigureField from '../../parts/FigureField.vue';
import { useHandsBusy } from '../hands-busy/useHandsBusy.ts';
import { useAdapterReadings } from './useAdapterReadings.ts';
import { useRunCoach } from './useRunCoach.ts';

/** A relearn or bleeding in gloves: the step and its clock fill the screen. */
const route = useRoute();
const purpose = computed(() => route.params.purpose as Recipe['purpose']);
const hands = useHandsBusy({
  sheet: () => (purpose.value === 'bleed' ? 'coolant' : 'relearn'),
  current: () => coach.step.value?.id ?? null,
  left: () => (coach.step.value === null ? 0 : 1),
  act: () => {
    if (!coach.single.value) return null;
    coach.confirm();
    return coach.form.wrong.value;
  },
});
const { job, said, done, undo, leave } = hands;
const coach = useRunCoach(
  () => job.value,
  () => purpose.value,
);
const { run, step, left, counting, needs, clockWords, unread, turn, askedReadings, askedFlags, typed, text } = coach;
const adapter = useAdapterReadings(
  () => job.value,
  () => run.value,
  (name, value) => coach.send({ kind: 'reading', name, value }),
);
const next = computed(() =>
  step.value === null || step.value.answers.length > 0
    ? []
    : (run.value?.recipe.steps.slice(run.value.at + 1, run.value.at + 3) ?? []),
);
function answer(index: number): void {
  coach.confirm(index);
  hands.tell(coach.form.wrong.value);
}
</script>

<template>
  <main v-if="job" class="flex h-full flex-col overflow-y-auto p-5 sm:p-8 short:p-3!" data-testid="run-hands">
    <div class="flex flex-wrap items-center justify-between gap-3 text-soft">
      <h1 class="text-base font-normal">
        <b class="text-ink">{{ job.vehicle.plate }}</b> {{ run?.recipe.name ?? 'No run is open' }}
        <span v-if="run && step">· step {{ run.at + 1 }} of {{ run.recipe.steps.length }}</span>
        <b v-if="turn" class="ml-2 text-brass">{{ turn }}</b>
      </h1>
      <button type="button" class="quiet min-h-14" @click="leave">
        Back to the sheet <kbd class="key" aria-hidden="true">H</kbd>
      </button>
    </div>
    <template v-if="step && run">
      <div class="flex min-h-0 flex-1 flex-col justify-center py-4" aria-live="polite">
        <p class="text-far-name leading-[1.05] font-bold text-balance short:text-figure-md!">{{ step.title }}</p>
        <p class="mt-3 max-w-[46ch] text-2xl text-soft short:mt-1! short:text-lg!">{{ step.how }}</p>
        <p v-if="left !== null" class="mt-4 flex flex-wrap items-baseline gap-4 short:mt-1!">
          <span class="figure text-far" :class="counting ? 'text-brass' : 'text-soft'">{{
            formatClock(left)
          }}</span><span class="text-2xl text-soft">{{ clockWords }}</span>
        </p>
        <p v-if="needs" class="mt-3 text-2xl font-bold text-brass">Needs: {{ needs }}.</p>
        <p v-if="said || run.said" class="mt-3 border-l-4 border-brass pl-4 text-2xl font-bold" role="alert">
          {{ said || run.said }}
        </p>
        <div v-if="askedReadings.length + askedFlags.length > 0" class="mt-5 flex flex-wrap items-end gap-4">
          <form
            v-for="asked in askedReadings"
            :key="asked.name"
            class="flex items-end gap-2"
            @submit.prevent="coach.enter(asked)"
          >
            <FigureField
              v-model="typed[asked.name]!"
              class="w-44"
              :label="asked.label"
              :field="asked.field"
              :placeholder="asked.last"
              :error="unread === asked.name ? `Expected a figure in ${asked.unit}.` : null"
            />
            <button type="submit" class="quiet min-h-14 text-lg">Enter</button>
          </form>
          <button
            v-for="flag in askedFlags"
            :key="flag.name"
            type="button"
            class="quiet min-h-14 text-lg"
            :aria-pressed="flag.on"
            @click="coach.toggle(flag.name, !flag.on)"
          >
            {{ flag.words }}
          </button>
          <button
            v-if="askedReadings.length > 0 && adapter.links.value.length > 0"
            type="button"
            class="quiet min-h-14 text-lg"
            :aria-pressed="adapter.reading.value"
            @click="adapter.reading.value ? adapter.stop() : adapter.start()"
          >
            {{ adapter.reading.value ? 'Reading from the adapter' : 'Read from the adapter' }}
          </button>
        </div>
        <p v-if="adapter.wrong.value" class="mt-2 text-lg font-semibold text-alarm" role="alert">
          {{ adapter.wrong.value }}
        </p>
        <label v-if="step.asks" class="mt-5 block max-w-2xl">
          <span class="mb-1 block text-lg font-semibold">Type {{ step.asks }}</span>
          <input v-model="text" class="input min-h-14 text-xl" autocomplete="off" />
        </label>
      </div>
      <p v-if="next.length > 0" class="mb-3 text-lg text-soft short:hidden">
        Then <b class="text-ink">{{ next[0]?.title }}</b><template v-if="next[1]"
          >, then <b class="text-ink">{{ next[1].title }}</b></template
        >
      </p>
      <div class="grid gap-4 sm:grid-cols-[170px_1fr] short:gap-2!">
        <button
          type="button"
          class="min-h-16 rounded border-2 border-line text-2xl font-bold sm:min-h-24 short:min-h-14!"
          :disabled="job.undo === null"
          @click="undo"
        >
          Undo
        </button>
        <button
          v-if="coach.single.value"
          type="button"
          class="min-h-24 rounded bg-bottle text-figure-md font-bold text-on-bottle short:min-h-14! short:text-xl!"
          @click="done"
        >
          Done
        </button>
        <div v-else class="grid gap-3 sm:grid-cols-2">
          <button
            v-for="(each, index) in step.answers"
            :key="each.words"
            type="button"
            class="min-h-24 rounded border-2 border-bottle px-3 text-2xl font-bold short:min-h-14! short:text-lg!"
            @click="answer(index)"
          >
            {{ each.words }}
          </button>
        </div>
      </div>
      <div v-if="step.instead.length > 0" class="mt-3 flex flex-wrap gap-3">
        <button
          v-for="(other, index) in step.instead"
          :key="other.words"
          type="button"
          class="quiet min-h-14 text-lg"
          @click="coach.send({ kind: 'instead', answer: index })"
        >
          {{ other.words }}
        </button>
      </div>
    </template>
    <div v-else class="grid flex-1 place-content-center gap-4 text-center">
      <p class="text-figure-md font-bold" :class="run?.status === 'complete' ? 'text-moss' : ''">
        {{ run?.said || 'No run is open.' }}
      </p>
      <button type="button" class="primary min-h-16 justify-center!" @click="leave">
        Back to the sheet: did it take?
      </button>
    </div>
  </main>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the job</p>
</template>
