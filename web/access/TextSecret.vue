<script setup lang="ts">
import FieldBox from '../parts/FieldBox.vue';

/** A field whose text is not shown. */
defineProps<{
  label: string;
  completes: 'current-password' | 'new-password' | 'off';
  error?: string;
  hint?: string;
  digits?: boolean;
}>();
const model = defineModel<string>({ required: true });
</script>

<template>
  <FieldBox
    v-slot="{ id, described, invalid }"
    :label="label"
    :error="error || null"
    v-bind="hint === undefined ? {} : { hint }"
  >
    <input
      :id="id"
      v-model="model"
      class="input"
      type="password"
      :inputmode="digits ? 'numeric' : 'text'"
      :autocomplete="completes"
      :aria-describedby="described"
      :aria-invalid="invalid"
    />
  </FieldBox>
</template>
