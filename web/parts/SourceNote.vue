<script setup lang="ts">
defineProps<{ source: string | null }>();
</script>

<template>
  <span :class="source === null ? 'font-semibold text-brass' : 'text-soft'">{{ source ?? 'shop figure, verify' }}</span>
</template>
