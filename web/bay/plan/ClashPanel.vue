<script setup lang="ts">
import { computed, ref } from 'vue';
import type { DayClash, DayWay } from '../../../core/bay/index.ts';
import { type Saying, clashWords, wayWords } from './planWords.ts';
import { useWayOut } from './useWayOut.ts';

/** One clash at a time, with at most two ways out; the first is taken unless somebody picks the other. */
const { clash, ways, saying } = defineProps<{
  clash: DayClash;
  /** Null while they are worked out. */
  ways: readonly DayWay[] | null;
  more: number;
  saying: Saying;
}>();
const picked = ref(0);
const { take, problem, busy } = useWayOut();
const said = computed(() => clashWords(clash, saying));
const rows = computed(() => (ways ?? []).map((way) => ({ way, ...wayWords(way, saying) })));
const chosen = computed(() => rows.value[picked.value] ?? rows.value[0] ?? null);
</script>

<template>
  <section aria-label="A clash to settle">
    <p class="font-bold text-oxide">One clash{{ more > 0 ? `, and ${more} more after it` : '' }}</p>
    <h2 class="mt-1 text-xl">{{ said.title }}</h2>
    <p class="text-soft">{{ said.line }}</p>
    <p v-if="ways === null" class="mt-3 text-soft" role="status">Two ways out are being worked out.</p>
    <p v-else-if="rows.length === 0" class="mt-3">
      No order of the work and nobody else helps. Say who does it, when they are here, or promise another time.
    </p>
    <fieldset v-else class="mt-3 grid gap-2.5">
      <legend class="sr-only">Ways out</legend>
      <label
        v-for="(row, index) in rows"
        :key="row.title"
        class="block cursor-pointer border-2 bg-card px-3.5 py-2.5 has-[:focus-visible]:outline-3 has-[:focus-visible]:outline-bottle"
        :class="chosen === row ? 'border-bottle' : 'border-line'"
      >
        <input v-model="picked" type="radio" name="way-out" class="sr-only" :value="index" />
        <span class="block font-bold">{{ row.title }}</span>
        <span class="block text-note">{{ row.line }}</span>
        <span class="block text-note font-semibold" :class="row.way.late.length > 0 ? 'text-brass' : 'text-moss'">{{
          row.late
        }}</span>
      </label>
    </fieldset>
    <p v-if="problem" class="mt-2 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <button
      v-if="chosen"
      type="button"
      class="primary mt-3 w-full"
      :disabled="busy"
      @click="take(chosen.way, clash, saying)"
    >
      Weave it the {{ picked === 0 ? 'first' : 'second' }} way <span aria-hidden="true">→</span>
    </button>
  </section>
</template>
