<script setup lang="ts">
import type { MarkedPart } from '../../core/words/index.ts';

/** A text in which what was searched for stands out. */
defineProps<{ parts: readonly MarkedPart[] }>();
</script>

<template>
  <template v-for="(part, index) in parts" :key="index"
    ><mark v-if="part.hit" class="bg-transparent font-bold text-ink underline decoration-brass decoration-2">{{
      part.text
    }}</mark
    ><template v-else>{{ part.text }}</template></template
  >
</template>
