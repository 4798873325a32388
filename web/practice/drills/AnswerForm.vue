<script setup lang="ts">
import { ref } from 'vue';

/** Answers of which one is picked and given; once given they stand. */
defineProps<{ answers: readonly { readonly id: string; readonly name: string }[]; legend: string }>();
const emit = defineEmits<{ given: [id: string] }>();
const picked = ref('');
const done = ref(false);
function give(): void {
  if (picked.value === '') return;
  done.value = true;
  emit('given', picked.value);
}
</script>

<template>
  <form class="grid content-start gap-3" @submit.prevent="give">
    <fieldset class="grid gap-2" :disabled="done">
      <legend class="mb-1 text-sm font-bold">{{ legend }}</legend>
      <label
        v-for="each in answers"
        :key="each.id"
        class="flex min-h-12 cursor-pointer items-center gap-3 rounded border-[1.5px] border-line px-3 py-2 leading-tight has-checked:border-2 has-checked:border-bottle has-checked:font-bold"
      >
        <input v-model="picked" type="radio" name="answer" :value="each.id" class="size-5 shrink-0 accent-bottle" />
        {{ each.name }}
      </label>
    </fieldset>
    <button v-if="!done" type="submit" class="primary" :disabled="picked === ''">That is it</button>
  </form>
</template>
