<script setup lang="ts">
defineProps<{ value: string; label: string; tone: 'ink' | 'oxide' | 'brass' | 'alarm' }>();
defineEmits<{ open: [] }>();
const tones = { ink: 'text-ink', oxide: 'text-oxide', brass: 'text-brass', alarm: 'text-alarm' } as const;
</script>

<template>
  <button type="button" class="min-h-11 text-left" @click="$emit('open')">
    <span class="figure block text-heading" :class="tones[tone]">{{ value }}</span>
    <span class="mt-0.5 block max-w-56 truncate text-fine text-soft">{{ label }}</span>
  </button>
</template>
