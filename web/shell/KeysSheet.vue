<script setup lang="ts">
import { computed } from 'vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { boundKeys } from './keys.ts';

defineEmits<{ close: [] }>();

const shown = (keys: string): string =>
  keys === ' '
    ? 'Space'
    : keys.length === 2
      ? `${keys[0]?.toUpperCase()} then ${keys[1]?.toUpperCase()}`
      : keys.length > 2
        ? keys[0]?.toUpperCase() + keys.slice(1)
        : keys.toUpperCase();
/** What works on the screen behind, last bound first, each key once. */
const list = computed(() => [...new Map([...boundKeys].map((binding) => [binding.keys, binding])).values()].reverse());
</script>

<template>
  <SheetDialog title="Keys that work here" @close="$emit('close')">
    <dl class="rows">
      <div v-for="binding in list" :key="binding.keys" class="flex items-center justify-between gap-4 py-2">
        <dd>{{ binding.does }}</dd>
        <dt>
          <kbd class="key whitespace-nowrap">{{ shown(binding.keys) }}</kbd>
        </dt>
      </div>
    </dl>
    <p class="mt-4 text-sm text-soft">Keys rest while you type.</p>
  </SheetDialog>
</template>
