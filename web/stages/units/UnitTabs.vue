<script setup lang="ts">
import type { JobUnit } from '../../../core/job/index.ts';
import { UNIT_FORMS } from '../../../core/clean/index.ts';

/** Units on the bench side by side; one of them is worked on. `mark` says how far each is, in a word. */
defineProps<{ units: readonly JobUnit[]; current: string; mark?: (unit: JobUnit) => string }>();
defineEmits<{ pick: [id: string] }>();
</script>

<template>
  <div
    v-if="units.length > 1"
    class="flex flex-wrap gap-x-6 gap-y-1 border-b border-line"
    role="group"
    aria-label="Units on the bench"
  >
    <button
      v-for="unit in units"
      :key="unit.id"
      type="button"
      class="-mb-px min-h-12 border-b-[3px] pb-1 text-left"
      :class="unit.id === current ? 'border-bottle font-bold' : 'border-transparent text-soft hover:text-ink'"
      :aria-pressed="unit.id === current"
      @click="$emit('pick', unit.id)"
    >
      {{ unit.name }}
      <span class="block text-sm font-normal text-soft">{{ mark?.(unit) ?? UNIT_FORMS[unit.form] }}</span>
    </button>
  </div>
</template>
