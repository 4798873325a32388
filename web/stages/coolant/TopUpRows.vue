<script setup lang="ts">
import { computed } from 'vue';
import {
  type CoolantState,
  type CoolantTarget,
  freezePoint,
  freezeWords,
  type Glycol,
  topUp,
} from '../../../core/coolant/index.ts';

/** Ways from what is in the system to level and mix, the simplest first. */
const props = defineProps<{ state: CoolantState; target: CoolantTarget; glycol: Glycol }>();
defineEmits<{ pick: [amount: { litres: number; percent: number }] }>();
const ways = computed(() =>
  topUp(props.state, props.target).map((way) => ({
    ...way,
    freezes: freezeWords(freezePoint(props.glycol, way.after.concentration)),
  })),
);
</script>

<template>
  <ul class="rows border-y border-line">
    <li v-for="(way, index) in ways" :key="way.way" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
      <span class="min-w-52 flex-1" :class="index === 0 ? 'font-semibold' : ''"
        >{{ way.words }}
        <span class="font-normal text-soft"
          >Then {{ Math.round(way.after.concentration * 100) }} %, {{ way.freezes }}.</span
        ></span
      >
      <button
        v-if="way.added > 0"
        type="button"
        class="quiet text-sm"
        @click="$emit('pick', { litres: way.added, percent: Math.round(way.addedShare * 100) })"
      >
        Take this
      </button>
    </li>
  </ul>
</template>
