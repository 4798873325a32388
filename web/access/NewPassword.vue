<script setup lang="ts">
import { ref } from 'vue';
import TextSecret from './TextSecret.vue';

/** A new password, typed twice: nobody sees what was typed, and a slip would lock somebody out. */
const { error = '', done } = defineProps<{
  error?: string;
  done: string;
  busy?: boolean;
  own?: boolean;
  first?: boolean;
}>();
const emit = defineEmits<{ give: [password: string, current: string] }>();
const current = ref('');
const password = ref('');
const again = ref('');
const wrong = ref('');
function give(): void {
  wrong.value = password.value === again.value ? '' : 'The two are not the same.';
  if (wrong.value === '') emit('give', password.value, current.value);
}
</script>

<template>
  <form class="grid max-w-sm gap-3" @submit.prevent="give">
    <TextSecret v-if="own" v-model="current" label="Your password so far" completes="current-password" />
    <TextSecret
      v-model="password"
      label="New password"
      completes="new-password"
      :error="error"
      hint="At least 10 characters. Three or four words that do not belong together are easy to keep and hard to guess."
    />
    <TextSecret v-model="again" label="The same once more" completes="new-password" :error="wrong" />
    <div>
      <button type="submit" :class="first ? 'primary' : 'quiet'" :disabled="busy || password === ''">{{ done }}</button>
    </div>
  </form>
</template>
