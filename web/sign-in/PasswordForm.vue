<script setup lang="ts">
import { nextTick, onMounted, ref, useTemplateRef } from 'vue';
import FieldBox from '../parts/FieldBox.vue';

/** A name and a password. Where the name is known, only the password is asked. */
const { name: known = '', done = 'Sign in' } = defineProps<{
  name?: string;
  error: string;
  busy?: boolean;
  done?: string;
}>();
const emit = defineEmits<{ give: [name: string, password: string] }>();
const name = ref(known);
const password = ref('');
const form = useTemplateRef<HTMLFormElement>('form');
onMounted(async () => {
  await nextTick();
  form.value?.querySelector<HTMLInputElement>(known === '' ? 'input' : 'input[type="password"]')?.focus();
});
function give(): void {
  emit('give', name.value, password.value);
  password.value = '';
}
</script>

<template>
  <form ref="form" class="grid w-full max-w-sm gap-4" @submit.prevent="give">
    <FieldBox v-if="known === ''" v-slot="{ id }" label="Your name">
      <input :id="id" v-model="name" class="input" autocomplete="username" />
    </FieldBox>
    <FieldBox
      v-slot="{ id, described, invalid }"
      :label="known === '' ? 'Password' : `Password of ${known}`"
      :error="error || null"
    >
      <input
        :id="id"
        v-model="password"
        class="input"
        type="password"
        autocomplete="current-password"
        :aria-describedby="described"
        :aria-invalid="invalid"
      />
    </FieldBox>
    <button type="submit" class="primary" :disabled="busy || password === '' || name === ''">{{ done }}</button>
  </form>
</template>
