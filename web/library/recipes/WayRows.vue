<script setup lang="ts">
import type { WayOn } from '../../../core/relearn/index.ts';
import TextField from '../../parts/TextField.vue';
import type { WayOut } from './waysOut.ts';

/** Ways out of a step: the words that are tapped, and where each leads. */
const props = defineProps<{
  label: string;
  hint: string;
  add: string;
  placeholder: string;
  rows: readonly WayOn[];
  ways: readonly WayOut[];
  errors: readonly string[];
}>();
const emit = defineEmits<{ change: [rows: readonly WayOn[]] }>();
const put = (index: number, more: Partial<WayOn>): void =>
  emit(
    'change',
    props.rows.map((row, at) => (at === index ? { ...row, ...more } : row)),
  );
</script>

<template>
  <fieldset class="grid gap-2">
    <legend class="text-sm font-bold">{{ label }}</legend>
    <p class="text-sm text-soft">{{ hint }}</p>
    <div v-for="(row, index) in rows" :key="index" class="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
      <TextField
        :model-value="row.words"
        :label="`${label} ${index + 1}`"
        :placeholder="placeholder"
        @update:model-value="put(index, { words: $event })"
      />
      <label class="block">
        <span class="mb-1 block text-sm font-semibold">leads to</span>
        <select
          class="input"
          :value="row.goTo"
          @change="put(index, { goTo: ($event.target as HTMLSelectElement).value })"
        >
          <option v-for="way in ways" :key="way.id" :value="way.id">{{ way.words }}</option>
        </select>
      </label>
      <button
        type="button"
        class="faint"
        :aria-label="`Take out ${row.words || `${label.toLowerCase()} ${index + 1}`}`"
        @click="
          emit(
            'change',
            rows.filter((_, at) => at !== index),
          )
        "
      >
        Take out
      </button>
    </div>
    <p v-for="error in errors" :key="error" class="text-sm font-semibold text-alarm">{{ error }}</p>
    <button
      type="button"
      class="quiet justify-self-start text-sm"
      @click="emit('change', [...rows, { words: '', goTo: 'done' }])"
    >
      {{ add }}
    </button>
  </fieldset>
</template>
