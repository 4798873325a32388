<script setup lang="ts">
import { computed } from 'vue';
import { checkVin } from '../../core/vehicle/index.ts';
import TextField from '../parts/TextField.vue';

/** A VIN, with what its check digit says of it and what it may have been meant to be. */
defineProps<{ error?: string | null | undefined }>();
const text = defineModel<string>({ required: true });
const vin = computed(() => (text.value.trim() === '' ? null : checkVin(text.value)));
</script>

<template>
  <div>
    <TextField v-model="text" label="VIN" placeholder="17 characters" :error="error" />
    <p
      v-if="vin"
      class="mt-1 text-sm"
      :class="vin.status === 'passes' ? 'text-moss' : vin.status === 'fails' ? 'font-semibold text-brass' : 'text-soft'"
    >
      {{ vin.message }}
      <button
        v-for="suspect in vin.suspects"
        :key="suspect"
        type="button"
        class="link code ml-2"
        @click="text = suspect"
      >
        {{ suspect }}
      </button>
    </p>
  </div>
</template>
