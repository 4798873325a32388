<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Gap } from '../../core/job/index.ts';
import { linkTo } from './linkTo.ts';

/** What is missing or in the way, each with the way to where it is made good. */
const props = defineProps<{ jobId: string; gaps: readonly Gap[]; first: number }>();
const all = ref(false);
const shown = computed(() => (all.value ? props.gaps : props.gaps.slice(0, props.first)));
</script>

<template>
  <ul>
    <li v-for="gap in shown" :key="gap.words">
      <RouterLink class="link inline-block min-h-7 py-1 leading-tight" :to="linkTo(jobId, gap.at)">{{
        gap.words
      }}</RouterLink>
    </li>
    <li v-if="gaps.length > shown.length">
      <button type="button" class="link min-h-7" @click="all = true">and {{ gaps.length - shown.length }} more</button>
    </li>
  </ul>
</template>
