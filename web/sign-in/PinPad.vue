<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue';

/** Digits for a PIN, large enough for gloves; a keyboard does as well. What was typed is never shown. */
const { busy = false, done = 'Go on' } = defineProps<{
  /** Whose PIN it is. */
  name: string;
  error: string;
  busy?: boolean;
  /** What the last button says. */
  done?: string;
}>();
const emit = defineEmits<{ pin: [digits: string] }>();
const MOST = 8;
const LEAST = 4;
const digits = ref('');
const field = useTemplateRef<HTMLInputElement>('field');
onMounted(() => field.value?.focus());

function put(digit: string): void {
  if (digits.value.length < MOST) digits.value += digit;
}
function give(): void {
  if (digits.value.length < LEAST || busy) return;
  emit('pin', digits.value);
  digits.value = '';
  field.value?.focus();
}
const onlyDigits = (event: Event): void => {
  const input = event.target as HTMLInputElement;
  input.value = digits.value = input.value.replace(/\D/g, '').slice(0, MOST);
};
</script>

<template>
  <form class="w-full max-w-72" @submit.prevent="give">
    <label class="mb-1 block font-semibold" for="pin">PIN of {{ name }}</label>
    <input
      id="pin"
      ref="field"
      :value="digits"
      type="password"
      inputmode="none"
      autocomplete="off"
      class="input text-center text-2xl tracking-[0.4em]"
      :aria-invalid="error !== ''"
      :aria-describedby="error ? 'pin-error' : undefined"
      @input="onlyDigits"
    />
    <p id="pin-error" class="min-h-6 py-0.5 text-sm font-semibold text-alarm" role="alert">{{ error }}</p>
    <div class="grid grid-cols-3 gap-2">
      <button
        v-for="digit in '123456789'"
        :key="digit"
        type="button"
        class="quiet min-h-16! text-2xl"
        @click="put(digit)"
      >
        {{ digit }}
      </button>
      <button type="button" class="quiet min-h-16!" :disabled="digits === ''" @click="digits = digits.slice(0, -1)">
        Back<span class="sr-only"> one digit</span>
      </button>
      <button type="button" class="quiet min-h-16! text-2xl" @click="put('0')">0</button>
      <button type="submit" class="primary min-h-16! justify-center!" :disabled="digits.length < LEAST || busy">
        {{ done }}
      </button>
    </div>
  </form>
</template>
