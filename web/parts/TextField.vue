<script setup lang="ts">
import FieldBox from './FieldBox.vue';

defineProps<{
  label: string;
  error?: string | null | undefined;
  hint?: string;
  placeholder?: string;
  inputmode?: 'text' | 'decimal' | 'numeric';
  lines?: number;
}>();
const model = defineModel<string>({ required: true });
</script>

<template>
  <FieldBox
    v-slot="{ id, described, invalid }"
    :label="label"
    :error="error"
    v-bind="hint === undefined ? {} : { hint }"
  >
    <textarea
      v-if="lines"
      :id="id"
      v-model="model"
      class="input"
      :rows="lines"
      :placeholder="placeholder"
      :aria-describedby="described"
      :aria-invalid="invalid"
    />
    <input
      v-else
      :id="id"
      v-model="model"
      class="input"
      :placeholder="placeholder"
      :inputmode="inputmode ?? 'text'"
      autocomplete="off"
      :aria-describedby="described"
      :aria-invalid="invalid"
    />
  </FieldBox>
</template>
