<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { useShop } from '../../stores/shop.ts';

/** What stood here and was struck or said anew: its old words, by whom and why. */
const props = defineProps<{ job: Job; kinds: readonly string[] }>();
const shop = useShop();
const lines = computed(() => props.job.struck.filter(({ type }) => props.kinds.includes(type)));
</script>

<template>
  <ul v-if="lines.length > 0" class="mt-2 text-note text-soft" aria-label="Struck or put right">
    <li v-for="(line, index) in lines" :key="index">
      <s>{{ line.words }}</s><template v-if="line.instead"> now: {{ line.instead }}</template
      ><template v-if="line.why">; {{ line.why }}</template
      >. {{ shop.firstName(line.by) }}, {{ shop.say.nearTime(line.at) }}
    </li>
  </ul>
</template>
