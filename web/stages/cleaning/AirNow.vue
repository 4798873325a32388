<script setup lang="ts">
import { computed } from 'vue';
import { isOver, shareWords } from '../../../core/clean/index.ts';
import { useAir, useAirLive } from '../../stores/air.ts';

/** The air of the bay in two lines; the page has the curve. */
const props = defineProps<{ now: string }>();
const store = useAir();
useAirLive();
const state = computed(() => {
  const { air } = store;
  if (air === null) return null;
  const minute = store.minuteOf(props.now);
  const at = air.at(minute);
  return { ...at, airing: air.airingFrom(minute) };
});
const over = computed(() => state.value !== null && isOver(state.value));
</script>

<template>
  <section>
    <h3 class="text-lg">Air in the bay</h3>
    <template v-if="state">
      <p class="mt-1">
        <span class="figure text-2xl" :class="over ? 'text-alarm' : ''">{{ Math.round(state.ppm) }}</span>
        <span class="font-semibold text-soft">ppm</span>
      </p>
      <p class="text-note" :class="over ? 'font-semibold text-alarm' : 'text-soft'">
        Of the exposure limit {{ shareWords(state.exposure) }}, of the explosive limit
        {{ shareWords(state.explosive) }}.
        <template v-if="over">{{
          state.airing === null ? 'Open a door: shut, it stays.' : `Air for ${Math.ceil(state.airing)} minutes.`
        }}</template>
      </p>
    </template>
    <p v-else class="text-soft">{{ store.failed || 'Nothing sprayed yet.' }}</p>
    <RouterLink class="link mt-1 inline-block" to="/tools/air">Doors, fan and curve</RouterLink>
  </section>
</template>
