<script setup lang="ts">
import { useId } from 'vue';

/** A labelled field: what is wrong with it stands right under it and is read with it. */
defineProps<{ label: string; error?: string | null | undefined; hint?: string; bare?: boolean }>();
const id = useId();
</script>

<template>
  <div>
    <label :id="`${id}-label`" :for="id" :class="bare ? 'sr-only' : 'mb-1 block text-sm font-semibold'">{{
      label
    }}</label>
    <slot
      :id="id"
      :labelled="`${id}-label`"
      :described="error ? `${id}-error` : hint ? `${id}-hint` : undefined"
      :invalid="Boolean(error)"
    />
    <p v-if="error" :id="`${id}-error`" class="mt-1 text-sm font-semibold text-alarm" role="alert">{{ error }}</p>
    <p v-else-if="hint" :id="`${id}-hint`" class="mt-1 text-sm text-soft">{{ hint }}</p>
  </div>
</template>
