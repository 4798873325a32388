<script setup lang="ts">
/** Answers of which one is picked; once picked they stand. */
defineProps<{ answers: readonly { readonly id: string; readonly name: string }[]; legend: string; done: boolean }>();
const model = defineModel<string>({ required: true });
</script>

<template>
  <fieldset class="grid gap-2" :disabled="done">
    <legend class="mb-1 text-sm font-bold">{{ legend }}</legend>
    <label
      v-for="each in answers"
      :key="each.id"
      class="flex min-h-12 cursor-pointer items-center gap-3 rounded border-[1.5px] border-line px-3 py-2 leading-tight has-checked:border-2 has-checked:border-bottle has-checked:font-bold"
    >
      <input v-model="model" type="radio" name="answer" :value="each.id" class="size-5 shrink-0 accent-bottle" />
      {{ each.name }}
    </label>
  </fieldset>
</template>
