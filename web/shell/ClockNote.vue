<script setup lang="ts">
import { computed } from 'vue';
import { formatMinutes } from '../../core/quantity/index.ts';
import { clockOffset } from '../stores/clock.ts';

/** A clock that is out by less is nobody's business, ms. */
const WORTH_SAYING_MS = 60_000;
const words = computed(() => {
  const offset = clockOffset.value;
  if (Math.abs(offset) < WORTH_SAYING_MS) return '';
  return `This tablet’s clock is ${formatMinutes(Math.abs(offset) / 60_000)} ${offset < 0 ? 'ahead' : 'behind'}.`;
});
</script>

<template>
  <p v-if="words" class="no-print border-b border-brass bg-band px-4 py-1.5 md:px-7" role="status">
    <b class="text-brass">{{ words }}</b> What you enter counts by the shop’s time all the same; set the clock when you
    can.
  </p>
</template>
