<script setup lang="ts">
import { ref } from 'vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** A part that no procedure lists. */
const form = useForm();
const adding = ref(false);
const name = ref('');
const partNumber = ref('');
function add(): void {
  const need = {
    id: freshId(),
    kind: 'part' as const,
    name: name.value,
    partNumber: partNumber.value.trim(),
    note: '',
    caution: null,
  };
  if (!form.send('add-need', { need })) return;
  name.value = '';
  partNumber.value = '';
  adding.value = false;
}
</script>

<template>
  <form v-if="adding" class="mt-4 flex flex-wrap items-end gap-3" @submit.prevent="add">
    <TextField v-model="name" class="min-w-52 flex-1" label="What else is needed?" :error="form.error('name')" />
    <TextField v-model="partNumber" class="w-44" label="Part number, if known" />
    <button type="submit" class="quiet">Put it on the list</button>
    <p v-if="form.general('name')" class="w-full font-semibold text-alarm" role="alert">{{ form.general('name') }}</p>
  </form>
  <button v-else type="button" class="quiet mt-4 text-sm" @click="adding = true">Something else is needed</button>
</template>
