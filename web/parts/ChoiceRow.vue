<script setup lang="ts" generic="T extends string">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue';

/** A few choices side by side, one of them taken. */
defineProps<{ label: string; options: readonly { readonly id: T; readonly name: string }[]; hideLabel?: boolean }>();
const model = defineModel<T | null>({ required: true });
</script>

<template>
  <RadioGroup :model-value="model ?? ''" @update:model-value="model = $event as T">
    <RadioGroupLabel class="mb-1 block text-sm font-semibold" :class="hideLabel ? 'sr-only' : ''">{{
      label
    }}</RadioGroupLabel>
    <div class="flex flex-wrap gap-2">
      <RadioGroupOption
        v-for="option in options"
        :key="option.id"
        as="button"
        type="button"
        class="quiet"
        :value="option.id"
        >{{ option.name }}</RadioGroupOption
      >
    </div>
  </RadioGroup>
</template>
