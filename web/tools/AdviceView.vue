<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  advise,
  METHODS,
  type Method,
  SUBSTANCES,
  type Substance,
  SURFACES,
  type Surface,
  type Verdict,
} from '../../core/clean/index.ts';
import { HOUSE_QUESTIONS } from '../../core/house/index.ts';
import FieldBox from '../parts/FieldBox.vue';
import { upperFirst } from '../../core/words/index.ts';

/** Every cleaner and lubricant against everything it can touch, each cell with its reason. */
const method = ref<Method>('spray');
const chosen = ref<{ substance: Substance; surface: Surface }>({
  substance: 'throttle-cleaner',
  surface: 'coated-bore',
});
const substances = Object.keys(SUBSTANCES) as Substance[];
const surfaces = Object.keys(SURFACES) as Surface[];
const advice = computed(() => advise(chosen.value.substance, chosen.value.surface, method.value));
const signs: Readonly<Record<Verdict, string>> = { use: '●', 'with care': '◐', never: '✕' };
const tone: Readonly<Record<Verdict, string>> = { use: 'text-moss', 'with care': 'text-brass', never: 'text-alarm' };
const words: Readonly<Record<Verdict, string>> = { use: 'Use', 'with care': 'With care', never: 'Never' };
const schoolName = (id: string): string =>
  HOUSE_QUESTIONS.flatMap(({ schools }) => schools).find((school) => school.id === id)?.name ?? id;
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <p class="text-sm"><RouterLink class="link" to="/tools">Tools</RouterLink></p>
    <h1 class="text-title">What may touch what</h1>
    <div class="mt-3 flex flex-wrap items-end gap-x-8 gap-y-3">
      <FieldBox v-slot="{ id }" label="How" class="w-64">
        <select :id="id" v-model="method" class="input">
          <option v-for="(name, key) in METHODS" :key="key" :value="key">{{ name }}</option>
        </select>
      </FieldBox>
      <p class="flex gap-5 pb-2.5 text-soft">
        <span v-for="(sign, key) in signs" :key="key"
          ><b :class="tone[key]">{{ sign }}</b> {{ words[key].toLowerCase() }}</span
        >
      </p>
    </div>
    <div class="mt-4 grid gap-x-8 gap-y-5 xl:grid-cols-[minmax(0,1fr)_19rem]">
      <div class="overflow-x-auto" tabindex="0" role="region" aria-label="The matrix">
        <table class="border-separate border-spacing-0 text-sm">
          <thead>
            <tr>
              <th scope="col" class="sticky left-0 z-10 bg-paper text-left align-bottom font-bold">Substance</th>
              <th
                v-for="surface in surfaces"
                :key="surface"
                scope="col"
                class="h-34 w-10 min-w-10 align-bottom font-semibold"
              >
                <span class="head" :class="surface === chosen.surface ? 'text-bottle' : ''">{{
                  SURFACES[surface]
                }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="substance in substances" :key="substance">
              <th
                scope="row"
                class="sticky left-0 z-10 max-w-60 border-t border-line bg-paper py-0 pr-3 text-left font-semibold"
                :class="substance === chosen.substance ? 'text-bottle' : ''"
              >
                {{ upperFirst(SUBSTANCES[substance]) }}
              </th>
              <td v-for="surface in surfaces" :key="surface" class="border-t border-line p-0">
                <button
                  type="button"
                  class="grid size-10 place-items-center text-lg hover:bg-band"
                  :class="[
                    tone[advise(substance, surface, method).verdict],
                    substance === chosen.substance && surface === chosen.surface
                      ? 'outline-2 -outline-offset-2 outline-bottle'
                      : '',
                  ]"
                  :aria-label="`${SUBSTANCES[substance]} on ${SURFACES[surface]}: ${advise(substance, surface, method).verdict}`"
                  :aria-pressed="substance === chosen.substance && surface === chosen.surface"
                  @click="chosen = { substance, surface }"
                >
                  {{ signs[advise(substance, surface, method).verdict] }}
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <aside
        class="border-t border-line pt-4 xl:border-l xl:border-t-0 xl:pl-6 xl:pt-0"
        aria-live="polite"
        aria-label="The cell"
      >
        <p class="text-soft">
          {{ upperFirst(SUBSTANCES[chosen.substance]) }}, {{ METHODS[method] }}, on {{ SURFACES[chosen.surface] }}
        </p>
        <p class="mt-1 text-title font-bold" :class="tone[advice.verdict]">{{ words[advice.verdict] }}</p>
        <p class="mt-1">{{ upperFirst(advice.reason) }}.</p>
        <div v-if="advice.schools.length > 0" class="mt-4">
          <h2 class="text-sm font-bold">Schools differ</h2>
          <ul class="rows mt-1 border-y border-line text-note">
            <li v-for="view in advice.schools" :key="view.school" class="py-2">
              <b>{{ schoolName(view.school) }}</b>: {{ view.holds }}
            </li>
          </ul>
        </div>
        <p class="mt-4 text-sm text-soft">
          Shop knowledge by kind of solvent, not a maker’s word. The label and the maker’s procedure come first; try on
          a hidden place.
        </p>
      </aside>
    </div>
  </section>
</template>

<style scoped>
.head {
  display: inline-block;
  writing-mode: vertical-rl;
  transform: rotate(180deg);
  text-align: left;
}
</style>
