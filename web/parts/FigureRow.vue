<script setup lang="ts">
defineProps<{ label: string }>();
</script>

<template>
  <div class="flex items-baseline justify-between gap-4 py-2">
    <dt>{{ label }}</dt>
    <dd class="shrink-0 text-right font-bold"><slot /></dd>
  </div>
</template>
