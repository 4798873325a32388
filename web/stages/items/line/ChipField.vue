<script setup lang="ts">
import { computed, useId } from 'vue';
import type { ChipState } from '../../../../core/job/index.ts';

/** One thing that was read: bright edge from your words, plain where it is proposed, dashed where it is wanted. */
const props = defineProps<{
  label: string;
  state: ChipState;
  placeholder?: string;
  error?: string | null;
  options?: readonly { readonly id: string; readonly name: string }[];
  numeric?: boolean;
}>();
const model = defineModel<string>({ required: true });
const id = useId();
const width = computed(() => Math.min(22, Math.max(3, (model.value || (props.placeholder ?? '')).length + 1)));
</script>

<template>
  <span class="chip" :class="[state, { wrong: error }]">
    <label :for="id">{{ label }}</label>
    <select v-if="options" :id="id" v-model="model">
      <option v-for="option in options" :key="option.id" :value="option.id">{{ option.name }}</option>
    </select>
    <input
      v-else
      :id="id"
      v-model="model"
      autocomplete="off"
      :inputmode="numeric ? 'numeric' : 'text'"
      :placeholder="placeholder"
      :size="width"
      :aria-invalid="error ? 'true' : undefined"
      :aria-describedby="error ? `${id}-error` : undefined"
    />
    <span v-if="error" :id="`${id}-error`" class="sr-only">{{ error }}</span>
  </span>
</template>

<style scoped>
.chip {
  display: inline-flex;
  min-height: 48px;
  flex-direction: column;
  justify-content: center;
  padding: 0.15rem 0.6rem 0.2rem;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: var(--card);
}
.chip:focus-within {
  border-color: var(--bottle);
  outline: 2px solid var(--bottle);
  outline-offset: 1px;
}
.chip label {
  font-size: var(--text-fine);
  line-height: 1.1;
  color: var(--soft);
}
.chip input,
.chip select {
  min-height: 24px;
  max-width: 100%;
  background: transparent;
  font-weight: 700;
  color: var(--ink);
}
.chip input:focus,
.chip select:focus {
  outline: none;
}
.chip select {
  margin-left: -0.2rem;
}
.chip input::placeholder {
  font-weight: 600;
  color: var(--soft);
  opacity: 1;
}
.said {
  border-color: var(--bottle);
}
.wanted {
  border: 1.5px dashed var(--brass);
}
.wanted label,
.wanted input::placeholder {
  color: var(--brass);
}
.wrong {
  border-color: var(--alarm);
}
@media (pointer: coarse) {
  .chip {
    min-height: 56px;
  }
}
</style>
