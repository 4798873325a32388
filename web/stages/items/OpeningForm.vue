<script setup lang="ts">
import { ref } from 'vue';
import type { JobItem } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** What was typed at the vehicle may leave a hole that no procedure knows of. */
const props = defineProps<{ item: JobItem }>();
const form = useForm();
const open = ref(false);
const name = ref('');
const plugWith = ref('');
function add(): void {
  const opening = { id: freshId(), name: name.value, plugWith: plugWith.value || 'Clean cloth' };
  if (form.send('add-opening', { itemId: props.item.id, opening })) open.value = false;
}
</script>

<template>
  <form v-if="open" class="grid gap-2" @submit.prevent="add">
    <TextField
      v-model="name"
      label="What does it leave open?"
      placeholder="breather stub"
      :error="form.error('name') ?? form.general('name')"
    />
    <TextField v-model="plugWith" label="Plug it with" placeholder="cap, bung, clean cloth" />
    <button type="submit" class="quiet">Note the opening</button>
  </form>
  <button v-else type="button" class="faint" @click="open = true">It leaves something open</button>
</template>
