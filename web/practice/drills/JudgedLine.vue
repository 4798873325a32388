<script setup lang="ts">
/** What an answer was, by word and shape, with the reason. */
defineProps<{ right: boolean; words: string }>();
</script>

<template>
  <p
    class="flex items-start gap-3 border-l-4 py-1 pl-3 text-lg leading-snug"
    :class="right ? 'border-moss' : 'border-oxide'"
    role="status"
  >
    <span
      class="mt-0.5 grid size-6 shrink-0 place-items-center rounded-full text-sm font-bold text-paper"
      :class="right ? 'bg-moss' : 'bg-oxide'"
      aria-hidden="true"
      >{{ right ? '✓' : '–' }}</span
    >
    <span
      ><b>{{ right ? 'Right.' : 'Not so.' }}</b> {{ words }}</span
    >
  </p>
</template>
