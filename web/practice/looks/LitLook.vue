<script setup lang="ts">
import { ref } from 'vue';
import type { Met } from '../../../core/practice/index.ts';
import LookPicture from './LookPicture.vue';

/** What is met, with the lamp in one's own hand where there is something to light. */
defineProps<{ met: Met }>();
const lamp = ref(10);
const turn = (by: number): void => {
  lamp.value = (lamp.value + by + 12) % 12;
};
</script>

<template>
  <div>
    <LookPicture :met="met" :lamp="lamp" />
    <div v-if="met.kind === 'deposit'" class="mx-auto mt-3 flex max-w-[300px] items-center justify-between">
      <button type="button" class="quiet size-12 p-0! text-xl" aria-label="Lamp back an hour" @click="turn(-1)">
        ↺
      </button>
      <span class="text-note font-semibold" aria-live="polite">Lamp at {{ lamp === 0 ? 12 : lamp }}</span>
      <button type="button" class="quiet size-12 p-0! text-xl" aria-label="Lamp on an hour" @click="turn(1)">↻</button>
    </div>
  </div>
</template>
